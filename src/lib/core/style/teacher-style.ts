import { object } from 'yup';
import { paceChangesSchema, type PaceChanges } from '../pace';
import { schemaFaults, type Fault } from '../validation';
import { styleSchema, type StyleChoices } from './style';

/** How a teacher teaches: the schools they follow and the pace they have. */
export interface TeacherStyle {
	choices: StyleChoices;
	pace: PaceChanges;
}

const teacherStyleSchema = object({ choices: styleSchema.required(), pace: paceChangesSchema })
	.noUnknown()
	.required();

/** Everything wrong with a teacher's style from outside; empty: it can be used as a {@link TeacherStyle}. */
export function teacherStyleFaults(value: unknown): Fault[] {
	return schemaFaults(teacherStyleSchema, value);
}
