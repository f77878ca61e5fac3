import { array, mixed, object, string } from 'yup';
import { LEGS, type Leg } from '../anatomy';
import { TIERS, type Tier } from './types';
import { CAUTIONS, type Caution } from '../movement';
import { eachOnce, schemaFaults, type Fault } from '../validation';

/** One person of a group: no more than a teacher needs to look after them. */
export interface Student {
	/** First name and initial, as in "Oda F.". */
	name: string;
	tier: Tier;
	cautions: Caution[];
	tighterSide: Leg | null;
}

export const studentSchema = object({
	name: string()
		.required('a first name and an initial are needed')
		.matches(/^\p{L}[\p{L}’'-]{0,28}( \p{L}\.?)?$/u, 'a first name and an initial, as in "Oda F."')
		.max(34),
	tier: string().oneOf(TIERS).required(),
	cautions: array()
		.of(string().oneOf(CAUTIONS).required())
		.max(CAUTIONS.length)
		.defined()
		.test(
			'once',
			eachOnce((caution) => caution, 'this caution is there already')
		),
	tighterSide: mixed<Leg>()
		.nullable()
		.defined()
		.test('leg', '${path} must be left, right or null', (side) => side === null || LEGS.includes(side as Leg))
}).noUnknown();

/** Everything wrong with a student from outside; empty: it can be used. */
export function studentFaults(value: unknown): Fault[] {
	if (typeof value !== 'object' || value === null || Array.isArray(value))
		return [{ path: '', message: 'a student is an object' }];
	return schemaFaults(studentSchema, value);
}

/** Returns the counts of a list of people: how many of each tier, and how many with each caution. */
export function countStudents(students: readonly Student[]): {
	tiers: Record<Tier, number>;
	cautions: { caution: Caution; people: number }[];
	tighter: Record<Leg, number>;
} {
	const tiers = Object.fromEntries(
		TIERS.map((tier) => [tier, students.filter((s) => s.tier === tier).length])
	) as Record<Tier, number>;
	const cautions = CAUTIONS.map((caution) => ({
		caution,
		people: students.filter((s) => s.cautions.includes(caution)).length
	})).filter(({ people }) => people > 0);
	const tighter = {
		left: students.filter((s) => s.tighterSide === 'left').length,
		right: students.filter((s) => s.tighterSide === 'right').length
	};
	return { tiers, cautions, tighter };
}
