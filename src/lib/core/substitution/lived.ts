import type { TimedItem } from '../clock';
import { peopleByTier, type Group, type Tier } from '../group';
import {
	formOf,
	modesOf,
	RESTS,
	type Caution,
	type FindMovement,
	type Form,
	type Movement
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

/** Returns what a person of a kind does while the room does an item: the same, another form, another movement, or a rest. */
export function doneBy({ movement, item }: Shared, who: Who, group: Group, find: FindMovement): DoneInstead {
	const given = formOf(movement, item.form)!;
	const same = { movement, form: given, waits: false };
	if ('tier' in who) {
		const wanted = formForTier(movement, item.form, who.tier);
		const tooMuch = wanted.intensity > mostIntensity(who.tier, group) && wanted.intensity > given.intensity;
		return tooMuch ? same : { ...same, form: wanted };
	}
	if (item.confirmed?.some(({ caution }) => caution === who.caution)) return same;
	const verdict = suits(movement, item.form, who.caution);
	switch (verdict.kind) {
		case 'fine':
		case 'in this form':
			return same;
		case 'other form':
			return { ...same, form: formOf(movement, verdict.form)! };
		case 'instead': {
			const people = group.cautions.find(({ caution }) => caution === who.caution)?.people ?? 1;
			const enough = kitSuffices(kitAtHand(group), people);
			const other = givenInstead(movement, item.form, who.caution, find, enough);
			return other ? { ...other, waits: false } : same;
		}
		case 'clinician':
			return { ...restFor(who.caution, given, find, same), waits: true };
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
		const modes = modesOf(movement, form);
		const mode = modes.includes(taught.item.mode) ? taught.item.mode : modes[0]!;
		return {
			...taught,
			movement,
			form,
			item: { ...taught.item, movement: movement.slug, form: form.id, mode }
		};
	});
}
