import type { TimedItem } from '../clock';
import { modeIn, type Item } from '../plan';
import { peopleByTier, type Group, type Tier } from '../group';
import {
	formOf,
	RESTS,
	type Caution,
	type FindMovement,
	type Form,
	type Movement,
	memoize
} from '../movement';
import { kitAtHand, kitSuffices } from './kit';
import { formForTier, givenInstead, isNoHarder, isSuitable, mostIntensity, suits } from './suits';
import type { Shared, Who } from './ways';

/** Returns the kinds of people in a room who do a class in another way than it is planned, each with their number. */
export function othersIn(group: Group): { who: Who; people: number }[] {
	const tiers = peopleByTier(group);
	const beside: readonly Tier[] = ['tight', 'open'];
	return [
		...group.cautions.map(({ caution, people }) => ({ who: { caution }, people })),
		...beside.filter((tier) => tiers[tier] > 0).map((tier) => ({ who: { tier }, people: tiers[tier] }))
	];
}

/** The movement and form of a person at an item. */
export interface DoneInstead {
	movement: Movement;
	form: Form;
	/** Their clinician has to decide, and until then they rest. */
	waits: boolean;
}

/** Kept, since an edit leaves most items of a class the same; by the name of the kind of people. */
const kept = memoize(
	(_find: FindMovement, _group: Group, _movement: Movement, _item: Item) => new Map<string, DoneInstead>()
);

/** Returns what a person of a kind does while the room does an item: the same, another form, another movement, or a rest. */
export function doneBy(shared: Shared, who: Who, group: Group, find: FindMovement): DoneInstead {
	const known = kept(find, group, shared.movement, shared.item);
	const name = nameOfWho(who);
	const done =
		known.get(name) ??
		('tier' in who ? doneByTier(shared, who.tier, group) : doneWith(shared, who.caution, group, find));
	known.set(name, done);
	return done;
}

/** Returns the name of a kind of people: "sore knee", "tight". */
export const nameOfWho = (who: Who): string => ('tier' in who ? who.tier : who.caution);

function doneByTier({ movement, item }: Shared, tier: Tier, group: Group): DoneInstead {
	const given = formOf(movement, item.form)!;
	const wanted = formForTier(movement, item.form, tier);
	const isTooMuch = wanted.intensity > mostIntensity(tier, group) && wanted.intensity > given.intensity;
	return { movement, form: isTooMuch ? given : wanted, waits: false };
}

function doneWith(
	{ movement, item }: Shared,
	caution: Caution,
	group: Group,
	find: FindMovement
): DoneInstead {
	const given = formOf(movement, item.form)!;
	const same = { movement, form: given, waits: false };
	if (item.confirmed?.some((confirmed) => confirmed.caution === caution)) return same;
	const verdict = suits(movement, item.form, caution);
	switch (verdict.kind) {
		case 'fine':
		case 'in this form':
			return same;
		case 'other form':
			return { ...same, form: formOf(movement, verdict.form)! };
		case 'instead': {
			const people = group.cautions.find((counted) => counted.caution === caution)?.people ?? 1;
			const enough = kitSuffices(kitAtHand(group), people);
			const other = givenInstead(movement, item.form, caution, find, enough);
			return other ? { ...other, waits: false } : restFor(caution, given, find, same);
		}
		case 'clinician':
			return { ...restFor(caution, given, find, same), waits: true };
	}
}

/** The first rest that suits; what the room does where there is none. */
function restFor(caution: Caution, given: Form, find: FindMovement, same: DoneInstead): DoneInstead {
	for (const slug of RESTS) {
		const movement = find(slug);
		const form = movement?.forms.find((one) => isSuitable(movement, one, caution) && isNoHarder(one, given));
		if (movement && form) return { ...same, movement, form };
	}
	return same;
}

/**
 * Returns the items of a class as a person of a kind does them, at the times of the room: their own movement, form and
 * mode. What they do in place of something lasts as long as that.
 */
export function livedItems(
	items: readonly TimedItem[],
	who: Who,
	group: Group,
	find: FindMovement
): TimedItem[] {
	return items.map((taught) => {
		const { movement, form } = doneBy(taught, who, group, find);
		if (movement === taught.movement && form === taught.form) return taught;
		const mode = modeIn(movement, form, taught.item.mode);
		return {
			...taught,
			movement,
			form,
			item: { ...taught.item, movement: movement.slug, form: form.id, mode }
		};
	});
}
