import { isSymmetrical, otherLeg, type Leg } from '../anatomy';
import type { FindMovement, Movement, Position } from '../movement';
import type { PlanEdit } from './edit';
import type { ClassPlan, Item, Link, Linked } from './types';
import { blockOfItem, isLinked } from './walk';

/**
 * Shapes on the floor out of which standing up loads the leg that did not lead; out of kneeling the front leg goes on
 * leading. Common practice, no source.
 */
const FLOOR: ReadonlySet<Position> = new Set(['supine', 'prone', 'sidelying', 'seated', 'quadruped']);

/** An item of a chain or flow that has sides, with the leg that led last before it; null for the first. */
export interface LinkedSide {
	item: Item;
	movement: Movement;
	before: { item: Item; movement: Movement } | null;
}

/** The items with sides of a chain or flow, each with the one before: how the legs go through its links. */
export function legsThrough(block: Linked, find: FindMovement): LinkedSide[] {
	const led: LinkedSide[] = [];
	for (const item of block.items) {
		const movement = find(item.movement);
		if (!movement || isSymmetrical(movement.action)) continue;
		const last = led.at(-1);
		led.push({ item, movement, before: last ? { item: last.item, movement: last.movement } : null });
	}
	return led;
}

/** The leg that leads after a link, given the one that led before it. */
export const leadAfter = (lead: Leg, link: Link | undefined): Leg => (link ? otherLeg(lead) : lead);

/** The edit that says how the leg changes before an item; null where nothing with sides comes before it. */
export function linkEdit(
	plan: ClassPlan,
	find: FindMovement,
	itemId: string,
	link: Link | undefined
): PlanEdit | null {
	const block = blockOfItem(plan, itemId);
	const led = block && isLinked(block) && legsThrough(block, find).find(({ item }) => item.id === itemId);
	if (!led || !led.before) return null;
	return { do: 'link', itemId, link, lead: leadAfter(led.before.item.lead, link) };
}

/** Returns the link that two consecutive movements imply. */
export function impliedLink(from: Movement, to: Movement): Link | undefined {
	return FLOOR.has(from.position) && to.position === 'standing' ? 'stands up' : undefined;
}

/** The edits that give freshly joined items the links that their movements imply, where none is said yet. */
export function impliedLinks(plan: ClassPlan, find: FindMovement, itemId: string): PlanEdit[] {
	const block = blockOfItem(plan, itemId);
	if (!block || !isLinked(block)) return [];
	let lead: Leg | null = null;
	const edits: PlanEdit[] = [];
	for (const { item, movement, before } of legsThrough(block, find)) {
		const implied = before && !item.link ? impliedLink(before.movement, movement) : undefined;
		if (implied && lead && before!.item.lead === item.lead) {
			lead = otherLeg(lead);
			edits.push({ do: 'link', itemId: item.id, link: implied, lead });
		} else lead = lead && before ? (before.item.lead === item.lead ? lead : otherLeg(lead)) : item.lead;
	}
	return edits;
}
