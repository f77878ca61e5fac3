import { DIRECTION_NAME, DIRECTION_SIGN, DIRECTIONS } from '../anatomy';
import type { Finding } from '../checks';
import type { Preview, Analysis } from '../analysis';
import { formatDuration } from '../clock';
import { doseInWords, type ComparedItem } from '../plan';

/** One figure of a class before and after a change. */
export interface Shift {
	name: string;
	sign: string;
	before: string;
	after: string;
	/** Whether it stands within its band now. */
	within: boolean;
}

/** Clock, orbit and checks of a class before and after a change. */
export interface BeforeAfter {
	totalBefore: string;
	totalAfter: string;
	/** Directions and strength whose share moves by half a point or more. */
	shifts: Shift[];
	solved: Finding[];
	raised: Finding[];
}

const LEAST_POINTS = 0.5;
const whole = (percent: number) => `${Math.round(percent)} %`;

/** A share (0-1) as it is read: "72 %". */
export const percentOf = (share: number): string => whole(100 * share);

/** Clock and balance of two classes, or of one before and after a change. */
export function shiftsBetween(
	before: Analysis,
	after: Analysis,
	leastPoints = 0
): Pick<BeforeAfter, 'totalBefore' | 'totalAfter' | 'shifts'> {
	const verdicts = [
		...DIRECTIONS.map((d) => ({
			name: DIRECTION_NAME[d],
			sign: DIRECTION_SIGN[d] as string,
			a: before.balance.directions[d],
			b: after.balance.directions[d]
		})),
		{ name: 'strength', sign: '', a: before.balance.strength, b: after.balance.strength }
	];
	return {
		totalBefore: formatDuration(before.timeline.totalSeconds),
		totalAfter: formatDuration(after.timeline.totalSeconds),
		shifts: verdicts
			.filter(({ a, b }) => Math.abs(a.sharePercent - b.sharePercent) >= leastPoints)
			.map(({ name, sign, a, b }) => ({
				name,
				sign,
				before: whole(a.sharePercent),
				after: whole(b.sharePercent),
				within: b.standing === 'within'
			}))
	};
}

const FIELD_NAME = { form: 'form', mode: 'mode', dose: 'dose', lead: 'first side' } as const;

/** Describes the differences of one movement between two classes: "form: full → supported", "dose: 8 breaths → 40 seconds". */
export function changesInWords(
	{ before, after, changed }: ComparedItem,
	inBefore: Analysis,
	inAfter: Analysis
): { field: string; before: string; after: string }[] {
	return changed.map((field) =>
		field === 'dose'
			? {
					field,
					before: doseInWords(before, inBefore.context.find),
					after: doseInWords(after, inAfter.context.find)
				}
			: { field: FIELD_NAME[field], before: before[field], after: after[field] }
	);
}

/** Compares a class with what a repair would make of it: what moves by half a point or more is shown. */
export function beforeAfter(before: Analysis, { after, solved, raised }: Preview): BeforeAfter {
	return { ...shiftsBetween(before, after, LEAST_POINTS), solved, raised };
}
