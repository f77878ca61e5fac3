import type { Group } from '../group';
import { formOf, usualForm, type Form, type FormId, type Movement } from '../movement';
import { kitAtHand, kitNeeds } from './kit';
import { suitsAll } from './suits';

/**
 * The form of a movement that a whole room can do, as its cautions and its kit are, the wanted or the usual one if
 * possible; undefined when there is none. Where no people are known, that one.
 */
export function formForRoom(
	movement: Movement,
	group: Group | null | undefined,
	wanted?: FormId
): Form | undefined {
	const usual = (wanted && formOf(movement, wanted)) ?? usualForm(movement);
	if (!group) return usual;
	const atHand = kitAtHand(group);
	const fits = (form: Form) =>
		suitsAll(
			movement,
			form,
			group.cautions.map(({ caution }) => caution)
		) && kitNeeds([{ form, people: group.size }], atHand).every(({ missing }) => missing === 0);
	return fits(usual) ? usual : movement.forms.find(fits);
}
