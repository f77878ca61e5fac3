import {
	isSymmetrical,
	TISSUES,
	type ActionProfile,
	type LegAction,
	type MuscleGroup,
	type Tissue,
	legPair
} from '../anatomy';
import type { TimedItem } from '../clock';
import { actionOf, memoize, WORKING_MODES, type Mode } from '../movement';

/** Modes in which the joint stays where it is. */
export const STILL_MODES: ReadonlySet<Mode> = new Set(['passive', 'active', 'isometric', 'press-and-ease']);

/** The two legs of an item in its form; twice the same where it has no sides. */
export const legsOfItem = ({ movement, form, item }: TimedItem): [LegAction, LegAction] =>
	legPair(actionOf(movement, form, item.mode));

/** Whether an item is given on two sides. */
export const isSided = ({ movement }: TimedItem): boolean => !isSymmetrical(movement.action);

/** Tissues that the legs lengthen and muscles that they use, by their angles. */
const partsOf = memoize((action: ActionProfile) => {
	const legs = legPair(action);
	return {
		lengthens: new Set(legs.flatMap((leg) => leg.lengthens)),
		works: new Set(legs.flatMap((leg) => leg.works))
	};
});
const partsIn = ({ movement, form, item }: TimedItem) => partsOf(actionOf(movement, form, item.mode));

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
