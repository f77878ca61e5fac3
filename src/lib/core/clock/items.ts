import { formOf, type FindMovement, type Form, type Movement } from '../movement';
import { itemsAsDone, type ClassPlan, type Item, type Section } from '../plan';
import type { PaceModel } from '../pace';
import { clock } from './clock';
import { type Timeline } from './timeline';

/** One item with all that is known of it and when its first work begins. */
export interface TimedItem {
	/** As it is really done: in a flow joined to the breath it moves. */
	item: Item;
	section: Section;
	blockId: string;
	movement: Movement;
	form: Form;
	startSeconds: number;
	/** All of its work, both sides and all rounds. */
	workSeconds: number;
	/** How many times it is done: 2 with sides, more in a flow. */
	times: number;
}

/** The items of a plan in the order in which they are taught, with their times on its timeline. */
export function timedItems(plan: ClassPlan, find: FindMovement, timeline: Timeline): TimedItem[] {
	const start = new Map<string, number>();
	const work = new Map<string, { seconds: number; times: number }>();
	for (const { phase, itemId, fromSeconds, toSeconds } of timeline.entries) {
		if (itemId === null) continue;
		if (!start.has(itemId)) start.set(itemId, fromSeconds);
		if (phase !== 'work') continue;
		const sum = work.get(itemId) ?? { seconds: 0, times: 0 };
		work.set(itemId, { seconds: sum.seconds + toSeconds - fromSeconds, times: sum.times + 1 });
	}
	const items: TimedItem[] = [];
	for (const section of plan.sections)
		for (const block of section.blocks)
			for (const item of itemsAsDone(block)) {
				const movement = find(item.movement) as Movement;
				items.push({
					item,
					section,
					blockId: block.id,
					movement,
					form: formOf(movement, item.form) as TimedItem['form'],
					startSeconds: start.get(item.id) ?? 0,
					workSeconds: work.get(item.id)?.seconds ?? 0,
					times: work.get(item.id)?.times ?? 0
				});
			}
	return items;
}

/** Seconds of all the work of each item of a plan, by its id. */
export function workSecondsOf(plan: ClassPlan, find: FindMovement, pace: PaceModel): Map<string, number> {
	const seconds = new Map<string, number>();
	for (const { phase, itemId, fromSeconds, toSeconds } of clock(plan, find, pace).entries)
		if (itemId !== null && phase === 'work')
			seconds.set(itemId, (seconds.get(itemId) ?? 0) + toSeconds - fromSeconds);
	return seconds;
}
