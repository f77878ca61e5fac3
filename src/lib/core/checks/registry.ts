import { beforeSportStatic } from './before-sport-static';
import { bothSides } from './both-sides';
import { calmClose } from './calm-close';
import { calmOpen } from './calm-open';
import { cautionConflict } from './caution-conflict';
import { closeWithRest } from './close-with-rest';
import { counterShapeAfter } from './counter-shape-after';
import { crossingSwaps } from './crossing-swaps';
import { directionOver } from './direction-over';
import { directionShort } from './direction-short';
import { crossingBeforeFront } from './crossing-before-front';
import { dosePerTissue } from './dose-per-tissue';
import { facingChanges } from './facing-changes';
import { firstSideHabit } from './first-side-habit';
import { heavyBeforeLight } from './heavy-before-light';
import { heavySidesReset } from './heavy-sides-reset';
import { heavyPassiveLast } from './heavy-passive-last';
import { holdTooLong } from './hold-too-long';
import { holdTooShort } from './hold-too-short';
import { kitChurn } from './kit-churn';
import { kitShortage } from './kit-shortage';
import { leftRight } from './left-right';
import { legThroughLinks } from './leg-through-links';
import { levelJump } from './level-jump';
import { loadedInARow } from './loaded-in-a-row';
import { missingPreparation } from './missing-preparation';
import { moveBeforeHold } from './move-before-hold';
import { noPause } from './no-pause';
import { notYetKnown } from './not-yet-known';
import { oneWay } from './one-way';
import { owedAtEnd } from './owed-at-end';
import { passiveShare } from './passive-share';
import { peakPlace } from './peak-place';
import { positionChurn } from './position-churn';
import { preparationBeforeDeep } from './preparation-before-deep';
import { purposesMissing } from './purposes-missing';
import { revisitDeeper } from './revisit-deeper';
import { sideDrift } from './side-drift';
import { strengthShareCheck } from './strength-share';
import { strengthenThenRelease } from './strengthen-then-release';
import { stretchedNotStrengthened } from './stretched-not-strengthened';
import { styleConflict } from './style-conflict';
import { talkShare } from './talk-share';
import { testAtBothEnds } from './test-at-both-ends';
import { tierTooHard } from './tier-too-hard';
import { tighterSide } from './tighter-side';
import { timeOverOrUnder } from './time-over-or-under';
import { tooManyNew } from './too-many-new';
import { unusualDose } from './unusual-dose';
import { warmBeforeDeep } from './warm-before-deep';
import { wristsBeforeWeight } from './wrists-before-weight';
import type { Check } from './types';

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
