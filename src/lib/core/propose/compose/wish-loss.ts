import type { Tissue } from '../../anatomy';
import { FORM_IDS } from '../../movement';
import type { Draft, draftFeatures } from './draft';
import { reachedKey, type Wishes } from '../pool/types';
import { BUILD, WISH_POINTS, draftItems, PEAK, RELEASE, type Task } from './task';

/** Returns the loss, in points, for unmet wishes and for likeness to other proposals. */
export function wishLoss(
	draft: Draft,
	{ steps, effort }: ReturnType<typeof draftFeatures>,
	task: Task
): number {
	const { wishes, known, others } = task;
	const { must = [], toward, like, lengthen = [] } = wishes;
	const slugs = new Set(steps.map(({ traits }) => traits.movement.slug));
	let unmet = must.filter((slug) => !slugs.has(slug)).length;
	if (
		toward &&
		!draft[PEAK]!.some(({ parts }) => parts.some((p) => p.candidate.traits.movement.slug === toward))
	)
		unmet += 1;
	if (wishes.purpose) {
		const serving = steps.filter(({ traits }) => traits.movement.purposes.includes(wishes.purpose!)).length;
		unmet += Math.max(0, 1 - serving / SERVING);
	}
	const inOthers = [...slugs].filter((slug) => others.some((other) => other.has(slug))).length;
	unmet += Math.max(0, inOthers / slugs.size - MOST_IN_OTHERS);
	for (const other of others)
		unmet += Math.max(0, [...slugs].filter((slug) => other.has(slug)).length / slugs.size - MOST_SHARED);
	if (known && wishes.mostNew !== undefined)
		unmet +=
			2 *
			Math.max(
				0,
				[...slugs].filter((slug) => !known.has(slug) && !must.includes(slug)).length - wishes.mostNew
			);
	if (wishes.mostMovements !== undefined) {
		const done = new Set(steps.filter(({ traits }) => !traits.rest).map(({ traits }) => traits.kind));
		unmet += 2 * Math.max(0, done.size - wishes.mostMovements);
	}
	for (const tissue of lengthen) unmet += 1 - Math.min(1, heldLong(draft, tissue) / HELD_SECONDS);
	let loss = WISH_POINTS.wish * unmet;
	if (like) {
		const again = [...slugs].filter((slug) => like.movements.includes(slug)).length / slugs.size;
		loss += WISH_POINTS.like * Math.max(0, Math.abs(again - like.share) - LIKE_SLACK);
	}
	const { least = 0, most = Infinity } = wishes.effort ?? {};
	loss += WISH_POINTS.effort * Math.max(0, least - effort, effort - most);
	return wishes.reached ? loss + notFurther(draft, wishes.reached) : loss;
}

/** The share of a class that may come in another one proposed beside it, and in any of the others. */
const MOST_SHARED = 0.45;
const MOST_IN_OTHERS = 0.55;
/** The fewest items that serve the purpose of a class. */
const SERVING = 2;
/** A tissue is held long when one leg hangs in it for a minute. */
export const HELD_SECONDS = 60;
/** The difference from the wished share of an earlier class that costs nothing. */
const LIKE_SLACK = 0.05;

/** Seconds in which a tissue is held long on one leg. */
function heldLong(draft: Draft, tissue: Tissue): number {
	let seconds = 0;
	// a shape that flows is not held
	for (const { candidate } of draft.flatMap((units) => draftItems(units.filter(({ rounds }) => !rounds))))
		seconds += (candidate.load.lengthens.get(tissue) ?? 0) * candidate.workSeconds;
	return seconds;
}

/** From this many visits at one height on, a movement is to go further where it is a peak again. */
const STILL_FROM = 2;

/** The loss for movements that come again in an easier form or in fewer sets, and for peaks that stay where they were. */
function notFurther(draft: Draft, reached: NonNullable<Wishes['reached']>): number {
	const now = new Map<string, { form: number; sets: number; inPeak: boolean }>();
	for (const index of [BUILD, PEAK, RELEASE])
		for (const { candidate, sets } of draftItems(draft[index]!)) {
			const { movement, form, mode, reset, rest } = candidate.traits;
			const key = reachedKey(movement.slug, mode);
			if (!reached.has(key) || reset || rest) continue;
			const known = now.get(key);
			now.set(key, {
				form: Math.max(known?.form ?? 0, FORM_IDS.indexOf(form.id)),
				sets: Math.max(known?.sets ?? 1, sets),
				inPeak: known?.inPeak || index === PEAK
			});
		}
	let loss = 0;
	for (const [key, { form, sets, inPeak }] of now) {
		const last = reached.get(key)!;
		if (form < last.form || (form === last.form && sets < last.sets)) loss += WISH_POINTS.goesDown;
		if (inPeak && form <= last.form && sets <= last.sets)
			loss += WISH_POINTS.still * Math.min(1, last.still / STILL_FROM);
	}
	return loss;
}
