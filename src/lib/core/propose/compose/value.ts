import type { Purpose } from '../../movement';
import { SECTION_KINDS } from '../../plan';
import { purposesWanted } from '../../rules';
import { TERMS, worth } from '../model';
import { draftFeatures, secondsOfUnit, type Draft } from './draft';
import { endsUpright } from '../pool/roles';
import { orderLoss } from './order-loss';
import { sharesOf, standingOf } from './story';
import { WISH_POINTS, RELEASE, WARM, type Task } from './task';
import { storyLoss } from './story-loss';
import { wayLoss } from './way-loss';
import { wishLoss } from './wish-loss';

/** Fewer than these, and people wait. Common practice, no source. */
const ITEMS_IN_TEN_MINUTES = 3.8;
/** One thing with all of its sets and both sides: longer, and people wait. Common practice, no source. */
const LONGEST_SECONDS = 270;

/** A draft may be this much too short: doses are lengthened more easily than shortened. */
const LENGTH_SLACK = 0.02;

/** Too long weighs more by this factor where all of a class stands there already: its doses cannot give. */
const KEPT_TOO_LONG = 6;

/** Returns the value of a draft for its task, in points; more is better. */
export function valueOf(draft: Draft, task: Task): number {
	const reading = draftFeatures(draft, task.kinds, task.purposes);
	if (reading.steps.length === 0) return -1000;
	const { flow } = task.wishes.weights;
	return (
		worth(reading).total -
		(flow - 1) * TERMS.transitionShare.points * reading.transitionShare -
		shapeLoss(draft, reading, task) -
		storyLoss(draft, task) -
		peopleLoss(reading, task) -
		orderLoss(draft, reading.steps, task) -
		wayLoss(draft, reading.steps, task) -
		wishLoss(draft, reading, task)
	);
}

/** Length, and the length of each part. */
function shapeLoss(
	draft: Draft,
	{ steps, totalSeconds, shares }: ReturnType<typeof draftFeatures>,
	{ group, style, classSeconds, lengthSeconds, keep }: Task
): number {
	const ratio = totalSeconds / lengthSeconds;
	const tooLong =
		Math.max(0, ratio - 1) * (1 + KEPT_TOO_LONG * Math.min(1, keep.unitSeconds / lengthSeconds));
	let loss = WISH_POINTS.length * 10 * Math.max(tooLong, 1 - LENGTH_SLACK - ratio);
	for (const [i, wanted] of sharesOf(group, style, classSeconds).entries()) {
		loss += WISH_POINTS.share * 10 * Math.max(0, Math.abs(shares[i]! / totalSeconds - wanted) - 0.03);
		if (keep.closed.has(SECTION_KINDS[i]!)) continue;
		if (draft[i]!.length === 0 && !(SECTION_KINDS[i] === 'rest' && endsUpright(group)))
			loss += WISH_POINTS.empty;
	}
	for (const unit of draft.slice(WARM, RELEASE).flat())
		if (unit.parts.length === 1 && !unit.kept)
			loss += (WISH_POINTS.tooLong * Math.max(0, secondsOfUnit(unit) - LONGEST_SECONDS)) / 60;
	const usual = (lengthSeconds / 600) * (style.holding === 'quiet' ? 3 : ITEMS_IN_TEN_MINUTES);
	return loss + WISH_POINTS.items * Math.max(0, usual - steps.length);
}

/** Returns the loss, in points, for purposes of these people that are not served and for too much or too little standing. */
function peopleLoss({ steps, totalSeconds }: ReturnType<typeof draftFeatures>, task: Task): number {
	const { group, style } = task;
	let [standing, beside] = [0, 0];
	const served = new Set<Purpose>();
	for (const { traits, section, seconds, besideShare } of steps) {
		if (traits.level === 3) standing += seconds;
		beside += besideShare;
		if ((section !== 'build' && section !== 'peak') || traits.reset) continue;
		for (const purpose of traits.movement.purposes) served.add(purpose);
	}
	const [least, most] = standingOf(group, style);
	const share = standing / totalSeconds;
	const wanted = purposesWanted(group.purposes.length, task.classSeconds);
	const has = group.purposes.filter((purpose) => served.has(purpose)).length;
	return (
		WISH_POINTS.standing * 10 * Math.max(0, least - share, share - most) +
		WISH_POINTS.purpose * Math.max(0, wanted - has) +
		WISH_POINTS.beside * beside
	);
}
