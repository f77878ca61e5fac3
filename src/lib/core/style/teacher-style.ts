import { object } from 'yup';
import { PACE_MODEL, paceModelSchema, USUAL_PACE, type PaceModel } from '../pace';
import { isObject, schemaFaults, type DocumentKind, type Fault } from '../validation';
import { styleSchema } from './schema';
import type { StyleChoices } from './style';

/** How a teacher teaches: the schools they follow and the pace they have. */
export interface TeacherStyle {
	choices: StyleChoices;
	pace: PaceModel;
}

/** Nothing chosen and nothing known. */
export const NO_STYLE: TeacherStyle = { choices: {}, pace: USUAL_PACE };

const teacherStyleSchema = object({ choices: styleSchema.required(), pace: paceModelSchema })
	.noUnknown()
	.required();

/** Everything wrong with a teacher's style from outside; empty: it can be used as a {@link TeacherStyle}. */
export function teacherStyleFaults(value: unknown): Fault[] {
	return schemaFaults(teacherStyleSchema, value);
}

/** A style as it is sent and kept in a browser: its parts are kept apart in the database. 2: as {@link PACE_MODEL}. */
export const TEACHER_STYLE: DocumentKind = {
	name: 'style',
	schema: teacherStyleSchema,
	steps: PACE_MODEL.steps.map((step) => ({ pace, ...style }) => ({
		...style,
		pace: isObject(pace) ? step(pace) : pace
	}))
};
