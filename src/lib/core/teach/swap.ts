import { isSymmetrical } from '../anatomy';
import { groupToday } from '../group';
import { doseRange, modesOf, usualForm, type Form, type Movement } from '../movement';
import type { Attendance } from '../people';
import { itemsOf } from '../plan';
import { formForRoom, substitutes } from '../substitution';
import type { Figure } from '../figure';
import { bothDrawings, catalogueOf, type PackSource } from './pack';
import { kitLines, sayAtWork, sayToGetIn } from './say';
import type { Replacement } from './types';

/** A movement that could be given in place of an item, with its drawings by key. */
export interface SwapChoice {
	to: Replacement;
	figures: Record<string, Figure>;
}

/**
 * Returns the possible replacements of an item for the people who are here, most similar first; two-sided where the
 * item is, so that its time stays. Empty where there is none, or where the treating clinician decides.
 */
export function swapsFor(
	source: PackSource,
	here: Attendance | undefined,
	itemId: string,
	catalogue: readonly Movement[]
): SwapChoice[] {
	const { find, offered } = catalogueOf(source, catalogue);
	const item = itemsOf(source.plan).find(({ id }) => id === itemId);
	const movement = item && find(item.movement);
	if (!movement) return [];
	const group = groupToday(source.group, here);
	const isSided = !isSymmetrical(movement.action);
	const alike = offered.filter((other) => !isSymmetrical(other.action) === isSided);
	return substitutes(movement, alike, group).map(({ movement: other }) => {
		const form = formForRoom(other, group) ?? usualForm(other);
		return { to: replacementOf(other, form), figures: bothDrawings(other, form.id) };
	});
}

function replacementOf(movement: Movement, form: Form): Replacement {
	return {
		movement: movement.slug,
		form: form.id,
		title: movement.english,
		position: movement.position,
		unit: doseRange(form, modesOf(movement, form)[0]!).unit,
		sayIn: sayToGetIn(movement, form),
		sayAtWork: sayAtWork(movement),
		kit: kitLines(form)
	};
}
