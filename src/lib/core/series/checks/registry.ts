import { SEVERITIES } from '../../checks';
import type { SeriesAnalysis } from '../analysis';
import { directionNeglected } from './direction-neglected';
import { goalOutOfReach } from './goal-out-of-reach';
import { goesBack } from './goes-back';
import { leftOutForgotten } from './left-out-forgotten';
import { loadFalls } from './load-falls';
import { monotonyHigh } from './monotony-high';
import { newTooFast } from './new-too-fast';
import { noEasierWeek } from './no-easier-week';
import { noRetest } from './no-retest';
import { rungSkipped } from './rung-skipped';
import { sameClassThrice } from './same-class-thrice';
import { sideHabit } from './side-habit';
import { tierLeftBehind } from './tier-left-behind';
import { tooSteep } from './too-steep';
import type { SeriesCheck, SeriesFinding } from './types';
import { weeklyDose } from './weekly-dose';

/** Every check of a series, in the order in which findings of equal severity are shown. */
export const SERIES_CHECKS: readonly SeriesCheck[] = [
	goalOutOfReach,
	rungSkipped,
	tooSteep,
	loadFalls,
	goesBack,
	monotonyHigh,
	directionNeglected,
	noRetest,
	newTooFast,
	leftOutForgotten,
	noEasierWeek,
	tierLeftBehind,
	sideHabit,
	sameClassThrice,
	weeklyDose
];

/** Returns the findings of a series, most serious first. */
export function seriesFindings(analysis: SeriesAnalysis): SeriesFinding[] {
	const found = SERIES_CHECKS.flatMap(({ meta, check }) =>
		check(analysis).map((report): SeriesFinding => ({ severity: meta.severity, ...report, checkId: meta.id }))
	);
	return SEVERITIES.flatMap((severity) => found.filter((finding) => finding.severity === severity));
}
