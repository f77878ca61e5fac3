import { beforeSportStatic } from './rules/before-sport-static';
import { bothSides } from './rules/both-sides';
import { calmClose } from './rules/calm-close';
import { calmOpen } from './rules/calm-open';
import { cautionConflict } from './rules/caution-conflict';
import { closeWithRest } from './rules/close-with-rest';
import { counterShapeAfter } from './rules/counter-shape-after';
import { crossingSwaps } from './rules/crossing-swaps';
import { directionOver } from './rules/direction-over';
import { directionShort } from './rules/direction-short';
import { crossingBeforeFront } from './rules/crossing-before-front';
import { dosePerTissue } from './rules/dose-per-tissue';
import { facingChanges } from './rules/facing-changes';
import { firstSideHabit } from './rules/first-side-habit';
import { heavyBeforeLight } from './rules/heavy-before-light';
import { heavySidesReset } from './rules/heavy-sides-reset';
import { heavyPassiveLast } from './rules/heavy-passive-last';
import { holdTooLong } from './rules/hold-too-long';
import { holdTooShort } from './rules/hold-too-short';
import { kitChurn } from './rules/kit-churn';
import { kitShortage } from './rules/kit-shortage';
import { leftRight } from './rules/left-right';
import { legThroughLinks } from './rules/leg-through-links';
import { levelJump } from './rules/level-jump';
import { loadedInARow } from './rules/loaded-in-a-row';
import { missingPreparation } from './rules/missing-preparation';
import { moveBeforeHold } from './rules/move-before-hold';
import { noPause } from './rules/no-pause';
import { notYetKnown } from './rules/not-yet-known';
import { oneWay } from './rules/one-way';
import { owedAtEnd } from './rules/owed-at-end';
import { passiveShare } from './rules/passive-share';
import { peakPlace } from './rules/peak-place';
import { positionChurn } from './rules/position-churn';
import { preparationBeforeDeep } from './rules/preparation-before-deep';
import { promiseKept } from './rules/promise-kept';
import { purposesMissing } from './rules/purposes-missing';
import { revisitDeeper } from './rules/revisit-deeper';
import { sideDrift } from './rules/side-drift';
import { strengthShareCheck } from './rules/strength-share';
import { strengthenThenRelease } from './rules/strengthen-then-release';
import { stretchedNotStrengthened } from './rules/stretched-not-strengthened';
import { styleConflict } from './rules/style-conflict';
import { talkShare } from './rules/talk-share';
import { testAtBothEnds } from './rules/test-at-both-ends';
import { tierTooHard } from './rules/tier-too-hard';
import { tighterSide } from './rules/tighter-side';
import { timeOverOrUnder } from './rules/time-over-or-under';
import { tooManyNew } from './rules/too-many-new';
import { unusualDose } from './rules/unusual-dose';
import { warmBeforeDeep } from './rules/warm-before-deep';
import { wristsBeforeWeight } from './rules/wrists-before-weight';
import { backTime } from './rules/back-time';
import { endRangeSum } from './rules/end-range-sum';
import { oneLegLate } from './rules/one-leg-late';
import { risingQuickly } from './rules/rising-quickly';
import { breathInEffort } from './rules/breath-in-effort';
import { firstLoad } from './rules/first-load';
import type { Check } from './types';

/** The check of the length of a class: what is put together or changed is brought to its length at the end. */
export const LENGTH_CHECK = timeOverOrUnder.meta.id;

/** Every check there is, in the order in which findings of equal severity are shown. */
export const CHECKS: readonly Check[] = [
	timeOverOrUnder,
	cautionConflict,
	bothSides,
	owedAtEnd,
	legThroughLinks,
	warmBeforeDeep,
	wristsBeforeWeight,
	moveBeforeHold,
	missingPreparation,
	preparationBeforeDeep,
	heavyPassiveLast,
	calmOpen,
	calmClose,
	closeWithRest,
	tierTooHard,
	backTime,
	endRangeSum,
	oneLegLate,
	risingQuickly,
	breathInEffort,
	firstLoad,
	beforeSportStatic,
	holdTooLong,
	kitShortage,
	strengthShareCheck,
	purposesMissing,
	directionShort,
	leftRight,
	positionChurn,
	directionOver,
	passiveShare,
	stretchedNotStrengthened,
	strengthenThenRelease,
	counterShapeAfter,
	peakPlace,
	promiseKept,
	sideDrift,
	tighterSide,
	firstSideHabit,
	crossingSwaps,
	crossingBeforeFront,
	heavyBeforeLight,
	heavySidesReset,
	loadedInARow,
	revisitDeeper,
	dosePerTissue,
	holdTooShort,
	unusualDose,
	oneWay,
	noPause,
	talkShare,
	kitChurn,
	facingChanges,
	levelJump,
	testAtBothEnds,
	tooManyNew,
	notYetKnown,
	styleConflict
];
