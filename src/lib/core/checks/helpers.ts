import { lengthened, working } from '../orbit';
import { memoize, type FormId, type Movement, type Purpose } from '../movement';
import {
	doseByOne,
	findBlock,
	findItem,
	formChange,
	newItem,
	rangeInStyle,
	stepOfItem,
	type ClassPlan,
	type Flow,
	type Item,
	type PlanEdit,
	type Section
} from '../plan';
import { WHOLE_CLASS_FROM_SECONDS } from '../rules';
import type { TeachingStyle } from '../style';
import { formForRoom } from '../substitution';
import type { TimedItem } from '../clock';
import type { CheckContext, Repair, Where } from './types';

/** Helpers that several checks share. */

/** Where an item stands, for a finding about it. */
export const findingLocation = ({ item, blockId, startSeconds }: TimedItem): Where => ({
	itemId: item.id,
	blockId,
	atSeconds: startSeconds
});

/** The preparations that a movement asks for, and the families in which it has other names. */
const readinessOf = memoize(({ slug, preparations, kin }: Movement) => ({
	readyBy: new Set([slug, ...preparations]),
	kin: new Set(kin)
}));

/** Whether a movement makes another one ready: it is named so, or is the same shape, also under another name. */
export function prepares(before: Movement, deep: Movement): boolean {
	const { readyBy, kin } = readinessOf(deep);
	return readyBy.has(before.slug) || kin.has(before.slug) || before.kin.some((slug) => readyBy.has(slug));
}

/** Whether a movement is an easier one that a deep one wants before it: neither the same shape nor one under another name. */
export function preparesAsEasier(before: Movement, deep: Movement): boolean {
	const { kin } = readinessOf(deep);
	return before.slug !== deep.slug && !kin.has(before.slug) && prepares(before, deep);
}

/** Purposes that say what a movement is for in the class, and nothing of the hip. */
const OF_ANY_SHAPE: ReadonlySet<Purpose> = new Set(['reset', 'rest', 'floor sitting', 'getting down and up']);

/** Whether an item leads up to a deep one: it prepares it, or serves the same purpose on the same tissue, as lightly or as deeply. */
export function leadsUpTo(before: TimedItem, deep: TimedItem): boolean {
	if (prepares(before.movement, deep.movement)) return true;
	const { purposes } = deep.movement;
	if (!before.movement.purposes.some((p) => !OF_ANY_SHAPE.has(p) && purposes.includes(p))) return false;
	const parts = [lengthened(deep), working(deep)];
	return [lengthened(before), working(before)].some((given) => parts.some((wanted) => shares(given, wanted)));
}

function shares(a: ReadonlySet<string>, b: ReadonlySet<string>): boolean {
	for (const one of a) if (b.has(one)) return true;
	return false;
}

/** The flow of a block id in which the sides take turns and one has had a round more. */
export function oddFlow(plan: ClassPlan, blockId: string): Flow | undefined {
	const block = findBlock(plan, blockId)?.block;
	return block?.kind === 'flow' && block.sides === 'alternate' && block.rounds % 2 === 1 ? block : undefined;
}

/** The edit that puts another form on an item: its dose stays where the new limits allow it. */
export function formEdit(plan: ClassPlan, { item, movement }: TimedItem, form: FormId): PlanEdit {
	const written = findItem(plan, item.id) ?? item;
	return { do: 'setItem', itemId: item.id, change: formChange(plan, written, movement, { form }) };
}

/** The edit that takes one step off a dose, as long as it stays usual. */
export function lessOf({ item, movement, form }: TimedItem, style: TeachingStyle): PlanEdit | null {
	const { min } = rangeInStyle(style, item, movement, form);
	const find = (slug: string) => (slug === movement.slug ? (movement as Movement) : undefined);
	return item.dose.amount - stepOfItem(item, find) < min ? null : doseByOne(item, find, -1);
}

/** How grave it is that a class has too little of something: for a short set or a themed class it is worth knowing. */
export function shortfall({ theme, lengthSeconds }: ClassPlan): 'fix' | 'note' {
	return theme || lengthSeconds < WHOLE_CLASS_FROM_SECONDS ? 'note' : 'fix';
}

/** Percent of a whole, 0 where there is none. */
export const percent = (part: number, whole: number): number => (whole > 0 ? (100 * part) / whole : 0);

/** A new item of a movement in a form that the whole room can do; null where it has none. */
export function itemForRoom({ plan, group }: CheckContext, movement: Movement): Item | null {
	const item = newItem(plan, movement);
	const form = formForRoom(movement, group, item.form);
	if (!form) return null;
	return form.id === item.form ? item : newItem(plan, movement, undefined, form.id);
}

/** The repair that adds a movement at the end of a section; null where the room can do no form of it. */
export function addedAtEnd(context: CheckContext, section: Section, movement: Movement): Repair | null {
	const block = itemForRoom(context, movement);
	if (!block) return null;
	const at = { sectionId: section.id, index: section.blocks.length };
	return { label: `Add ${movement.english}`, edits: [{ do: 'insert', at, block }] };
}
