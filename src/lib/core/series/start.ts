import { DIRECTION_NAME, type Direction } from '../anatomy';
import { meetingsOf, nextMeeting, type Group } from '../group';
import type { TestId } from '../hip-tests';
import type { FindMovement, Movement, Purpose } from '../movement';
import type { TeachingStyle } from '../style';
import { sentence } from '../text';
import type { SeriesSettings } from './edit';
import { laddersFor } from './ladder';
import type { Ladder, WeekTheme } from './types';

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
export function usualThemes(weeks: number): WeekTheme[] {
	return Array.from({ length: weeks }, (_, i) => {
		const more = ROUND[i % ROUND.length]!;
		return { words: `More ${DIRECTION_NAME[more].toLowerCase()}`, more };
	});
}

/** One week in this many is for balance, in a series with a goal. Common practice, no source. */
const BALANCE_EVERY = 3;

/**
 * Themes of a series that leads to something, each week another purpose of its goals; every third week gives more of a
 * direction, so that no other way of the hip is forgotten. Without goals they are the usual ones.
 */
export function themesTo(goals: readonly Pick<Movement, 'purposes'>[], weeks: number): WeekTheme[] {
	const purposes = [...new Set(goals.flatMap((goal) => goal.purposes))];
	if (purposes.length === 0) return usualThemes(weeks);
	const balance = usualThemes(weeks);
	const themes: WeekTheme[] = [];
	let [served, balanced] = [0, 0];
	for (let week = 1; week <= weeks; week++) {
		// the last week shows what the first could not
		if (week % BALANCE_EVERY === 0 && week < weeks) themes.push(balance[balanced++]!);
		else {
			const purpose = purposes[week === weeks ? 0 : served++ % purposes.length]!;
			themes.push({ words: sentence(purpose), purpose });
		}
	}
	return themes;
}

const goalsOf = (ladders: readonly Ladder[], find: FindMovement): Movement[] =>
	ladders.flatMap(({ rungs }) => find(rungs.at(-1)!.movement) ?? []);

/** Returns the settings that follow from the goals of a series: the themes of its weeks, and its test. */
export function settingsFor(
	ladders: readonly Ladder[],
	{ weeks, retest }: Pick<SeriesSettings, 'weeks' | 'retest'>,
	find: FindMovement
): Pick<SeriesSettings, 'themes' | 'retest'> {
	const goals = goalsOf(ladders, find);
	return { themes: themesTo(goals, weeks), retest: { ...retest, test: testForGoal(goals[0]) } };
}

/** A new series that leads to what its group comes for: with ladders for its first purposes, and weeks that follow them. */
export function withUsualGoals(
	settings: SeriesSettings,
	group: Group,
	find: FindMovement,
	style: TeachingStyle
): SeriesSettings {
	const ladders = laddersFor(group, find, style);
	return ladders.length ? { ...settings, ladders, ...settingsFor(ladders, settings, find) } : settings;
}

/**
 * A series with other goals: its themes follow them as long as the teacher has not changed them, and its test follows the first.
 * @param begun whether something of it was taught: its test stays then
 */
export function withGoals(
	series: SeriesSettings,
	ladders: Ladder[],
	begun: boolean,
	find: FindMovement
): Partial<SeriesSettings> {
	const { themes, retest } = settingsFor(ladders, series, find);
	// weeks may have been added or taken away since they were given their themes
	const usual = themesTo(goalsOf(series.ladders, find), series.themes.length);
	const untouched = JSON.stringify(series.themes) === JSON.stringify(usual);
	const isFirst = series.ladders.length === 0 && ladders.length === 1;
	return { ladders, ...(untouched ? { themes } : {}), ...(isFirst && !begun ? { retest } : {}) };
}

/** Retests at the beginning, in the middle and at the end. */
export function usualRetests(weeks: number): number[] {
	return [...new Set([1, Math.ceil(weeks / 2), weeks])];
}

/** The test that shows whether a purpose gets nearer. Common practice, no source. */
const TEST_OF: Partial<Record<Purpose, TestId>> = {
	'hip extension under the trunk': 'low-lunge-upright',
	'push-off': 'low-lunge-upright',
	'high step': 'knee-to-chest',
	'knee pull': 'knee-to-chest',
	'deep flexion': 'knee-to-chest',
	'wide straddle': 'wide-stance-fold',
	'adductors at length': 'wide-stance-fold',
	'hinge with a long back': 'wide-stance-fold',
	'turned-out squat': 'butterfly-knees',
	'dropped knee': 'leg-roll',
	'turning both ways': 'leg-roll',
	'floor sitting': 'ninety-ninety-seat',
	'getting down and up': 'seat-switch',
	'single-leg strength': 'one-leg-balance',
	'level pelvis': 'one-leg-balance',
	'balance with support': 'one-leg-balance',
	'step-up': 'one-leg-balance'
};

/** The test for a series that leads to a movement: by the first of its purposes that has one; else how the legs roll. */
export function testForGoal(goal: Pick<Movement, 'purposes'> | undefined): TestId {
	const purpose = goal?.purposes.find((one) => TEST_OF[one]);
	return (purpose && TEST_OF[purpose]) ?? 'leg-roll';
}

/** A new series for a group from its next meeting on, with the usual rules of progress (common practice, no source). */
export function newSeries(group: Group, startsOn: string, timeZone: string, weeks = 8): SeriesSettings {
	return {
		title: `${group.name}, ${weeks} weeks`,
		goal: '',
		timeZone,
		startsOn: nextMeeting(group, startsOn),
		weeks,
		meetings: meetingsOf(group),
		lengthSeconds: group.lengthSeconds,
		skipped: [],
		ladders: [],
		themes: usualThemes(weeks),
		easierEvery: 4,
		retest: { test: testForGoal(undefined), weeks: usualRetests(weeks) },
		repeats: 2,
		mostNew: 3,
		mostUpPercent: 10,
		keepPercent: 70
	};
}
