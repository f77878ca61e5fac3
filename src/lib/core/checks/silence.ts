import { object } from 'yup';
import { oneLine, schemaFaults, type Fault } from '../validation';
import { CHECKS } from './registry';

/** The id of a check that can be silenced; null for one of safety and for none at all. */
export function silenceable(id: string): string | null {
	const check = CHECKS.find(({ meta }) => meta.id === id);
	return check && !check.meta.neverSilent ? id : null;
}

const silenceSchema = object({
	reason: oneLine(300)
		.required('a silenced check needs a reason')
		.matches(/\S/, 'a silenced check needs a reason')
})
	.noUnknown()
	.required();

/** Everything wrong with what is said on silencing a check; empty: it has its reason. */
export const silenceFaults = (value: unknown): Fault[] => schemaFaults(silenceSchema, value);
