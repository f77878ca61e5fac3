import type { Group } from '../group';
import { CLINICIAN_DECIDES, SITS_OUT, usualForm, type Caution, type Movement } from '../movement';
import { kitAtHand, kitNeeds } from './kit';
import { substituteSimilarity, type Likeness } from './likeness';
import { mostIntensity, suitsSomehow } from './suits';

/** A movement that can stand in for another, with how alike they are. */
export interface Substitute extends Likeness {
	movement: Movement;
	/** The catalogue names it as what is given instead. */
	named: boolean;
}

/** A substitute that the catalogue names goes before one that is only as alike. */
const NAMED_BONUS = 0.25;

/**
 * Returns the substitutes for a movement, best first: similar, suitable for every caution in the room, with kit at
 * hand, not too hard for the tight tier. Empty where the treating clinician decides.
 */
export function substitutes(
	movement: Movement,
	offered: readonly Movement[],
	group: Group | null,
	cautions: readonly Caution[] = group?.cautions.map((c) => c.caution) ?? [],
	most = 5
): Substitute[] {
	if (cautions.some((c) => CLINICIAN_DECIDES.has(c) && !SITS_OUT.has(c))) return [];
	const named = new Set(movement.cautions.filter((c) => cautions.includes(c.caution)).map((c) => c.instead));
	return offered
		.filter(
			(other) =>
				other.slug !== movement.slug && suitsSomehow(other, cautions) && (!group || fitsRoom(other, group))
		)
		.map((other) => ({
			movement: other,
			named: named.has(other.slug),
			...substituteSimilarity(movement, other)
		}))
		.sort((a, b) => rank(b) - rank(a) || (a.movement.slug < b.movement.slug ? -1 : 1))
		.slice(0, most);
}

const rank = ({ score, named }: Substitute) => score + (named ? NAMED_BONUS : 0);

function fitsRoom(movement: Movement, group: Group): boolean {
	const form = usualForm(movement);
	const hardest = movement.forms[0]?.intensity ?? form.intensity;
	if (group.tiers.tight > 0 && hardest > mostIntensity('tight', group)) return false;
	return kitNeeds([{ form, people: group.size }], kitAtHand(group)).every((need) => need.missing === 0);
}
