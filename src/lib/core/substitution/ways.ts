import type { TimedItem } from '../clock';
import { regionOf } from '../measure';
import { peopleByTier, TIERS, type Group, type Tier } from '../group';
import {
	memoize,
	type Caution,
	type FindMovement,
	type Form,
	type KitKind,
	type Movement
} from '../movement';
import type { Item } from '../plan';
import { kitAtHand, kitNeeds, kitSuffices, type KitNeed } from './kit';
import { formForTier, givenInstead, mostIntensity, suits } from './suits';

/** A kind of person in a room: of a tier, or with a caution. */
export type Who = { tier: Tier } | { caution: Caution };

/** A variant of an item for some of the people. */
export interface ItemVariant {
	who: Who;
	people: number;
	movement: Movement;
	form: Form;
}

/** As much of an item as says who does what at it. */
export type Shared = Pick<TimedItem, 'movement' | 'item'>;

/**
 * Who does what at an item: those with a caution another form or movement beside the class, every tier its form. Nobody
 * knows which tier a person with a caution belongs to: they are taken out of the largest. Where the kit does not suffice
 * for the form of a tier, it does the form that all are given, if that is not too much for it.
 *
 * @param atHand pieces of each kind in the room
 */
export function waysAt(
	shared: Shared,
	group: Group,
	find: FindMovement,
	atHand: Record<KitKind, number> = kitAtHand(group)
): ItemVariant[] {
	const { movement, item } = shared;
	const beside = besideTheClass(shared, group, find, atHand);
	const people = { ...peopleByTier(group, regionOf(movement)) };
	let apart = beside.reduce((sum, way) => sum + way.people, 0);
	for (const tier of [...TIERS].sort((a, b) => people[b] - people[a])) {
		const taken = Math.min(apart, people[tier]);
		people[tier] -= taken;
		apart -= taken;
	}
	const given = movement.forms.find((form) => form.id === item.form) as Form;
	const tiers = TIERS.filter((tier) => people[tier] > 0).map((tier): ItemVariant => {
		const wanted = formForTier(movement, item.form, tier);
		const own = tier === 'open' && wanted.intensity > mostIntensity(tier, group) ? given : wanted;
		return { who: { tier }, people: people[tier], movement, form: own };
	});
	const lacks = (ways: readonly ItemVariant[]) => missingIn(ways, shared, atHand) > 0;
	if (lacks([...tiers, ...beside]))
		for (const [i, way] of tiers.entries()) {
			const bare = { ...way, form: given };
			const tooMuch = 'tier' in way.who && given.intensity > mostIntensity(way.who.tier, group);
			if (way.form !== given && !tooMuch && lacks([way]) && !lacks([bare])) tiers[i] = bare;
		}
	return [...tiers, ...beside];
}

/** Returns the variants for people with a caution that does not allow the item, unless the teacher keeps the item for them. */
function besideTheClass(
	{ movement, item }: Shared,
	group: Group,
	find: FindMovement,
	atHand: Record<KitKind, number>
): ItemVariant[] {
	return group.cautions.flatMap(({ caution, people }): ItemVariant[] => {
		if (item.confirmed?.some((c) => c.caution === caution)) return [];
		const verdict = suits(movement, item.form, caution);
		if (verdict.kind === 'other form') {
			const form = movement.forms.find(({ id }) => id === verdict.form);
			return form ? [{ who: { caution }, people, movement, form }] : [];
		}
		const other = givenInstead(movement, item.form, caution, find, kitSuffices(atHand, people));
		return other ? [{ who: { caution }, people, ...other }] : [];
	});
}

/** Returns the kit that all variants need together, with the kit uses of the item. */
export function kitOfWays(
	ways: readonly ItemVariant[],
	{ movement, item }: Shared,
	atHand: Record<KitKind, number>
): KitNeed[] {
	return kitNeeds(
		ways.map((way) => ({
			form: way.form,
			people: way.people,
			uses: way.movement === movement ? (item.kit ?? []) : []
		})),
		atHand
	);
}

const missingIn = (ways: readonly ItemVariant[], shared: Shared, atHand: Record<KitKind, number>): number =>
	kitOfWays(ways, shared, atHand).reduce((sum, need) => sum + need.missing, 0);

/** Kit that an item needs when everybody gets a suitable variant; cached, since an edit leaves most items unchanged. */
const needs = memoize((find: FindMovement, group: Group, movement: Movement, item: Item): KitNeed[] => {
	const atHand = kitAtHand(group);
	const shared = { movement, item };
	return kitOfWays(waysAt(shared, group, find, atHand), shared, atHand);
});

/** Returns the kit that an item needs when everybody gets a suitable variant. */
export const itemKit = ({ movement, item }: Shared, group: Group, find: FindMovement): KitNeed[] =>
	needs(find, group, movement, item);
