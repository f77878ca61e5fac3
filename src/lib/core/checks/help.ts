import type { ActionProfile, LegAction, MuscleGroup, Tissue } from '../anatomy';
import { isSymmetrical, TISSUES } from '../anatomy';
import {
	actionOf,
	memoize,
	WORKING_MODES,
	type FormId,
	type Mode,
	type Movement,
	type Purpose
} from '../movement';
import {
	doseByOne,
	findItem,
	formChange,
	newItem,
	rangeInStyle,
	stepOfItem,
	type ClassPlan,
	type Item,
	type PlanEdit
} from '../plan';
import type { TeachingStyle } from '../style';
import { formForRoom } from '../substitution';
import type { TimedItem } from '../clock';
import type { CheckContext } from './types';
import type { Where } from './types';

/** Small words that several checks use. */

/** Where an item stands, for a finding about it. */
export const findingLocation = ({ item, blockId, startSeconds }: TimedItem): Where => ({
	itemId: item.id,
	blockId,
	atSeconds: startSeconds
});

/** Modes in which the joint stays where it is. */
export const STILL_MODES: ReadonlySet<Mode> = new Set(['passive', 'active', 'isometric', 'press-and-ease']);

/** The two legs of an item in its form; twice the same where it has no sides. */
export function legsOfItem({ movement, form, item }: TimedItem): [LegAction, LegAction] {
	const action = actionOf(movement, form, item.mode);
	return isSymmetrical(action) ? [action.both, action.both] : [action.lead, action.trail];
}

/** Whether an item is given on two sides. */
export const isSided = ({ movement }: TimedItem): boolean => !isSymmetrical(movement.action);

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

/** Purposes that say what a movement is for in the class, and nothing of the hip. */
const OF_ANY_SHAPE: ReadonlySet<Purpose> = new Set(['reset', 'rest', 'floor sitting', 'getting down and up']);

/** Whether an item leads up to a deeper one: it prepares it, or serves the same purpose on the same tissue more lightly. */
export function leadsUpTo(before: TimedItem, deep: TimedItem): boolean {
	if (prepares(before.movement, deep.movement)) return true;
	if (before.form.intensity >= deep.form.intensity) return false;
	const { purposes } = deep.movement;
	if (!before.movement.purposes.some((p) => !OF_ANY_SHAPE.has(p) && purposes.includes(p))) return false;
	const parts = [lengthened(deep), working(deep)];
	return [lengthened(before), working(before)].some((given) => parts.some((wanted) => shares(given, wanted)));
}

/** Tissues that the legs lengthen and muscles that they use, by their angles. */
const partsOf = memoize((action: ActionProfile) => {
	const legs = isSymmetrical(action) ? [action.both] : [action.lead, action.trail];
	return {
		lengthens: new Set(legs.flatMap((leg) => leg.lengthens)),
		works: new Set(legs.flatMap((leg) => leg.works))
	};
});
const partsIn = ({ movement, form, item }: TimedItem) => partsOf(actionOf(movement, form, item.mode));

function shares(a: ReadonlySet<string>, b: ReadonlySet<string>): boolean {
	for (const one of a) if (b.has(one)) return true;
	return false;
}

/** Tissues that either leg lengthens in an item. */
export const lengthened = (taught: TimedItem): ReadonlySet<Tissue> => partsIn(taught).lengthens;

/** Returns the muscle groups that work in an item; empty in modes in which the muscles rest. */
export function working(taught: TimedItem): ReadonlySet<MuscleGroup> {
	return WORKING_MODES.has(taught.item.mode) && taught.form.effort > 0 ? partsIn(taught).works : NOTHING;
}
const NOTHING: ReadonlySet<MuscleGroup> = new Set();

/** Which muscles own a tissue, where the two can be told together: what is stretched there, these can strengthen. */
export const MUSCLES_OF_TISSUE: Partial<Record<Tissue, readonly MuscleGroup[]>> = {
	'hip flexors': ['hip flexors'],
	'rectus femoris': ['hip flexors', 'knee extensors'],
	'gluteus maximus': ['hip extensors'],
	'gluteus medius': ['hip abductors'],
	'deep outward rotators': ['hip external rotators', 'hip abductors'],
	'inward rotators': ['hip internal rotators'],
	adductors: ['hip adductors'],
	hamstrings: ['hip extensors', 'knee flexors']
};

/** Tissues that are muscles, in the order of all tissues. */
export const MUSCLE_TISSUES = TISSUES.filter((tissue) => tissue in MUSCLES_OF_TISSUE);

/**
 * Seconds in which each tissue is held long on one leg, standing still (both passes of an item counted for their own
 * leg; a symmetrical item counts once).
 */
export function stillSeconds(items: readonly TimedItem[]): Map<Tissue, number> {
	const sums = new Map<Tissue, number>();
	for (const taught of items) {
		if (!STILL_MODES.has(taught.item.mode)) continue;
		const passes = isSided(taught) && !taught.item.oneSided ? 2 : 1;
		const [lead, trail] = legsOfItem(taught);
		for (const tissue of lengthened(taught)) {
			const legs = isSided(taught)
				? Number(lead.lengthens.includes(tissue)) + Number(trail.lengthens.includes(tissue))
				: 1;
			// on one leg: each pass stretches it on the lead, on the trail, or on both sides of the change
			const perLeg = (taught.workSeconds / passes) * (passes === 2 ? legs : 1);
			sums.set(tissue, (sums.get(tissue) ?? 0) + perLeg);
		}
	}
	return sums;
}

/** Seconds in which each muscle hangs long on one leg, without working. */
export function hungSeconds(items: readonly TimedItem[]): Map<Tissue, number> {
	const passive = items.filter(({ item }) => item.mode === 'passive');
	return new Map([...stillSeconds(passive)].filter(([tissue]) => tissue in MUSCLES_OF_TISSUE));
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

/** A set shorter than this, or a class about one thing, need not have of everything what a whole class has. */
const WHOLE_CLASS_SECONDS = 20 * 60;

/** How grave it is that a class has too little of something: for a short set or a themed class it is worth knowing. */
export function shortfall({ theme, lengthSeconds }: ClassPlan): 'fix' | 'note' {
	return theme || lengthSeconds < WHOLE_CLASS_SECONDS ? 'note' : 'fix';
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
