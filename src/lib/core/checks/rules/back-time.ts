import { formatDuration, type TimedItem } from '../../clock';
import { formFacts, type Caution } from '../../movement';
import { findingLocation } from '../helpers';
import { factsOf, livedWith } from '../lived';
import type { Check, CheckContext, Report } from '../types';

const LATER: Caution = 'pregnancy';

/**
 * Seconds on the back in later pregnancy, raised or flat: at a stretch and in a whole class. That lying on the back for
 * long lowers the flow of blood is from ACOG Committee Opinion 804 (2020), from memory; the seconds are common practice.
 */
const MOST_SECONDS = { stretch: 180, all: 600 };

const isOnBack = (taught: TimedItem) => formFacts.isOnTheBack(factsOf(taught));

/** Runs of items on the back, one after another. */
function stretches(items: readonly TimedItem[]): TimedItem[][] {
	const runs: TimedItem[][] = [];
	let open: TimedItem[] = [];
	for (const taught of items)
		if (isOnBack(taught)) open.push(taught);
		else if (open.length) {
			runs.push(open);
			open = [];
		}
	return open.length ? [...runs, open] : runs;
}

const secondsOf = (items: readonly TimedItem[]) =>
	Math.round(items.reduce((sum, { workSeconds }) => sum + workSeconds, 0));

function reportsOf(context: CheckContext): Report[] {
	const lived = livedWith(context, LATER);
	if (!lived) return [];
	const runs = stretches(lived.items);
	const long = runs.filter((run) => secondsOf(run) > MOST_SECONDS.stretch);
	const all = runs.reduce((sum, run) => sum + secondsOf(run), 0);
	const who = `${LATER} (${lived.people})`;
	const reports = long.map((run): Report => ({
		message: `${who}: ${formatDuration(secondsOf(run))} on the back without a break. Offer a turn to the left side after ${formatDuration(MOST_SECONDS.stretch)}.`,
		where: findingLocation(run[0]!),
		cause: 'stretch',
		data: { seconds: secondsOf(run), mostSeconds: MOST_SECONDS.stretch, movement: run[0]!.movement.slug }
	}));
	if (all > MOST_SECONDS.all)
		reports.push({
			message: `${who}: ${formatDuration(all)} on the back in this class; ${formatDuration(MOST_SECONDS.all)} is the most. Give them the side or a seat.`,
			cause: 'all',
			data: { seconds: all, mostSeconds: MOST_SECONDS.all }
		});
	return reports;
}

export const backTime: Check = {
	meta: {
		id: 'back-time',
		summary: 'Later in pregnancy there is little time on the back',
		severity: 'fix',
		why: 'The weight of the child presses on large vessels; three minutes at a stretch and ten in all are enough, and the left side is better.',
		source:
			'ACOG Committee Opinion 804 (2020): long lying on the back is avoided later in pregnancy (from memory); the minutes are common practice',
		canRepair: false
	},
	check: reportsOf
};
