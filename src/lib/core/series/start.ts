import { DIRECTION_NAME, type Direction } from '../anatomy';
import type { Group } from '../group';
import type { SeriesSettings } from './edit';
import type { Meeting, Theme } from './types';

/** Directions in the order in which the weeks of a new series are about them: opposites follow each other. */
const ROUND: readonly Direction[] = [
	'externalRotation',
	'internalRotation',
	'extension',
	'flexion',
	'abduction',
	'adduction'
];

/** Themes to begin with, each week another direction; all editable. */
export function usualThemes(weeks: number): Theme[] {
	return Array.from({ length: weeks }, (_, i) => {
		const more = ROUND[i % ROUND.length]!;
		return { words: `More ${DIRECTION_NAME[more].toLowerCase()}`, more };
	});
}

/** Retests at the beginning, in the middle and at the end. */
export function usualRetests(weeks: number): number[] {
	return [...new Set([1, Math.ceil(weeks / 2), weeks])];
}

/** A new series for a group, with the usual rules of progress (common practice, no source). */
export function newSeries(group: Group, startsOn: string, timeZone: string, weeks = 8): SeriesSettings {
	return {
		title: `${group.name}, ${weeks} weeks`,
		goal: '',
		timeZone,
		startsOn,
		weeks,
		meetings: [{ weekday: group.weekday, startsAt: group.startsAt }],
		lengthSeconds: group.lengthSeconds,
		skipped: [],
		ladders: [],
		themes: usualThemes(weeks),
		easierEvery: 4,
		retest: { test: 'leg-roll', weeks: usualRetests(weeks) },
		repeats: 2,
		mostNew: 1,
		mostUpPercent: 10,
		keepPercent: 70
	};
}

/** One more day a week, at the time of the last: the next weekday on which the group does not meet yet. */
export function withOneMoreDay(meetings: readonly Meeting[]): Meeting[] {
	const last = meetings.at(-1)!;
	const taken = new Set(meetings.map(({ weekday }) => weekday));
	const free = [1, 2, 3, 4, 5, 6, 7].map((step) => ((last.weekday + step - 1) % 7) + 1);
	const weekday = free.find((day) => !taken.has(day));
	return weekday === undefined ? [...meetings] : [...meetings, { ...last, weekday }];
}
