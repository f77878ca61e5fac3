import type { Tissue } from '../../anatomy';
import { FORM_IDS } from '../../movement';
import type { Draft, draftFeatures } from './draft';
import { WISH_POINTS, draftItems, PEAK, type Task } from './task';

/** Returns the loss, in points, for unmet wishes and for likeness to other proposals. */
export function wishLoss(
	draft: Draft,
	{ steps, effort }: ReturnType<typeof draftFeatures>,
	task: Task
): number {
	const { wishes, known, before, others } = task;
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
	for (const other of others)
		unmet += Math.max(0, [...slugs].filter((slug) => other.has(slug)).length / slugs.size - 0.45);
	if (known && wishes.mostNew !== undefined)
		unmet +=
			2 *
			Math.max(
				0,
				[...slugs].filter((slug) => !known.has(slug) && !must.includes(slug)).length - wishes.mostNew
			);
	for (const tissue of lengthen) unmet += 1 - Math.min(1, heldLong(draft, tissue) / HELD_SECONDS);
	let loss = WISH_POINTS.wish * unmet;
	if (like) {
		const again = [...slugs].filter((slug) => like.movements.includes(slug)).length / slugs.size;
		loss += WISH_POINTS.like * Math.max(0, Math.abs(again - like.share) - LIKE_SLACK);
	}
	const { least = 0, most = Infinity } = wishes.effort ?? {};
	loss += WISH_POINTS.effort * Math.max(0, least - effort, effort - most);
	return loss + WISH_POINTS.goesDown * goneDown(draft, before);
}

/** The fewest items that serve the purpose of a class. */
const SERVING = 2;
/** A tissue is held long when one leg hangs in it for a minute. */
export const HELD_SECONDS = 60;
/** The difference from the wished share of an earlier class that costs nothing. */
const LIKE_SLACK = 0.05;

/** Seconds in which a tissue is held long on one leg. */
function heldLong(draft: Draft, tissue: Tissue): number {
	let seconds = 0;
	for (const { candidate } of draft.flatMap(draftItems))
		seconds += (candidate.load.lengthens.get(tissue) ?? 0) * candidate.workSeconds;
	return seconds;
}

/** Movements of the class before that come again and are given in an easier form, or in fewer sets. */
function goneDown(draft: Draft, before: Task['before']): number {
	if (before.size === 0) return 0;
	const now = new Map<string, { form: number; sets: number }>();
	for (const { candidate, sets } of draft.flatMap(draftItems)) {
		const { movement, form } = candidate.traits;
		if (!before.has(movement.slug) || candidate.traits.reset) continue;
		const known = now.get(movement.slug);
		now.set(movement.slug, {
			form: Math.max(known?.form ?? 0, FORM_IDS.indexOf(form.id)),
			sets: Math.max(known?.sets ?? 1, sets)
		});
	}
	let down = 0;
	for (const [slug, { form, sets }] of now) {
		const last = before.get(slug)!;
		if (form < last.form) down += 1;
		else if (form === last.form && sets < last.sets) down += 0.5;
	}
	return down;
}
