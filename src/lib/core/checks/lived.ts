import { formatDuration, type TimedItem } from '../clock';
import { formFacts, type Caution } from '../movement';
import { livedItems } from '../substitution';
import { findingLocation } from './helpers';
import type { CheckContext, Report } from './types';

/** Helpers of the checks that add up what people with a caution do over a whole class. */

/** Returns how many people have a caution, and the items as they do them; null where none has it. */
export function livedWith(
	{ group, items, find }: CheckContext,
	caution: Caution
): { people: number; items: TimedItem[] } | null {
	const people = group?.cautions.find((counted) => counted.caution === caution)?.people;
	if (!group || !people) return null;
	return { people, items: livedItems(items, { caution }, group, find) };
}

/** A rule that adds up seconds of what people with a caution do. */
export interface SumRule {
	caution: Caution;
	/** "of stretch at the inner thigh" */
	what: string;
	mostSeconds: number;
	/** Seconds of an item that count. */
	seconds: (taught: TimedItem) => number;
	/** A sentence that helps. */
	advice: string;
}

/** Returns one report for each rule whose seconds are over its limit, at the item that adds most. */
export function sumReports(context: CheckContext, rules: readonly SumRule[]): Report[] {
	return rules.flatMap(({ caution, what, mostSeconds, seconds, advice }): Report[] => {
		const lived = livedWith(context, caution);
		if (!lived) return [];
		const counted = lived.items
			.map((taught) => ({ taught, own: seconds(taught) }))
			.filter(({ own }) => own > 0);
		const sum = Math.round(counted.reduce((all, { own }) => all + own, 0));
		if (sum <= mostSeconds) return [];
		const most = counted.reduce((a, b) => (b.own > a.own ? b : a)).taught;
		return [
			{
				message: `${caution} (${lived.people}): ${formatDuration(sum)} ${what}; ${formatDuration(mostSeconds)} is enough. ${advice}`,
				where: findingLocation(most),
				cause: caution,
				data: { caution, seconds: sum, mostSeconds, movement: most.movement.slug }
			}
		];
	});
}

/** Returns what an item asks of the body, in the mode in which it is given. */
export const factsOf = ({ movement, form, item }: TimedItem): formFacts.GivenForm =>
	formFacts.givenForm(movement, form, item.mode);
