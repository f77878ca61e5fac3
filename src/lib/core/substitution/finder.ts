import { DIRECTIONS, TISSUES, type Direction, type Tissue } from '../anatomy';
import { type FamiliarMovements, slugsOfKnown } from '../record';
import { TIERS, type Group, type Tier } from '../group';
import {
	MODES,
	POSITIONS,
	PURPOSES,
	searchMovements,
	type Mode,
	type Movement,
	type Position,
	type Purpose
} from '../movement';
import { howWithoutKit, kitAtHand, kitNeeds } from './kit';
import { profileOf } from './profile';
import { suitsSomehow, suitsTier } from './suits';

export const SERVES = ['range', 'strength'] as const;
export type Serves = (typeof SERVES)[number];

/** Filters of a search; a missing filter lets everything through. */
export interface Filters {
	search?: string;
	direction?: Direction;
	/** The direction as range, or as strength; both when left out. */
	serves?: Serves;
	tissue?: Tissue;
	purpose?: Purpose;
	position?: Position;
	mode?: Mode;
	/** Has a form for this tier. */
	tier?: Tier;
	/** Can be done by everybody with the kit of the group. */
	kitAtHand?: boolean;
	/** Has a form that suits every caution of the group. */
	cautionSafe?: boolean;
	/** Not in a class of the last four weeks. */
	rested?: boolean;
}

/** The group, kit and class that a search for movements looks at besides its words. */
export interface FinderContext {
	group: Group | null;
	/** Movements used in the last four weeks. */
	usedLately: FamiliarMovements;
}

/** How many would be found with each choice, all other filters as they are. */
export interface Counts {
	direction: Record<Direction, number>;
	serves: Record<Serves, number>;
	tissue: Record<Tissue, number>;
	purpose: Record<Purpose, number>;
	position: Record<Position, number>;
	mode: Record<Mode, number>;
	tier: Record<Tier, number>;
	kitAtHand: number;
	cautionSafe: number;
	rested: number;
}
type Facet = keyof Counts;
const FACETS: readonly Facet[] = [
	'direction',
	'serves',
	'tissue',
	'purpose',
	'position',
	'mode',
	'tier',
	'kitAtHand',
	'cautionSafe',
	'rested'
];

/** A movement that was found, with why it fits. */
export interface SearchResult {
	movements: Movement[];
	counts: Counts;
}

function servesDirection(
	movement: Movement,
	direction: Direction | undefined,
	serves: Serves | undefined
): boolean {
	const { range, strength } = profileOf(movement);
	const directions = direction ? [direction] : DIRECTIONS;
	return directions.some(
		(d) => (serves !== 'strength' && range[d] > 0) || (serves !== 'range' && strength.has(d))
	);
}

function passes(movement: Movement, facet: Facet, f: Filters, context: FinderContext): boolean {
	switch (facet) {
		case 'direction':
			return !f.direction || servesDirection(movement, f.direction, f.serves);
		case 'serves':
			return !f.serves || servesDirection(movement, f.direction, f.serves);
		case 'tissue':
			return !f.tissue || profileOf(movement).tissues.has(f.tissue);
		case 'purpose':
			return !f.purpose || movement.purposes.includes(f.purpose);
		case 'position':
			return !f.position || movement.position === f.position;
		case 'mode':
			return !f.mode || movement.modes.includes(f.mode);
		case 'tier':
			return !f.tier || suitsTier(movement, f.tier, context.group);
		case 'kitAtHand':
			return !f.kitAtHand || kitSuffices(movement, context.group);
		case 'cautionSafe':
			return !f.cautionSafe || safe(movement, context.group);
		case 'rested':
			return !f.rested || !slugsOfKnown(context.usedLately).has(movement.slug);
	}
}

const safe = (movement: Movement, group: Group | null) =>
	!group ||
	suitsSomehow(
		movement,
		group.cautions.map((c) => c.caution)
	);

function kitSuffices(movement: Movement, group: Group | null): boolean {
	if (!group || howWithoutKit(movement)) return true;
	const atHand = kitAtHand(group);
	return movement.forms.some((form) =>
		kitNeeds([{ form, people: group.size }], atHand).every((need) => need.missing === 0)
	);
}

/** The values of a facet that a movement has, given the other filters. */
function count(counts: Counts, movement: Movement, facet: Facet, f: Filters, context: FinderContext): void {
	switch (facet) {
		case 'direction':
			for (const d of DIRECTIONS) if (servesDirection(movement, d, f.serves)) counts.direction[d] += 1;
			return;
		case 'serves':
			for (const s of SERVES) if (servesDirection(movement, f.direction, s)) counts.serves[s] += 1;
			return;
		case 'tissue':
			for (const t of profileOf(movement).tissues) counts.tissue[t] += 1;
			return;
		case 'purpose':
			for (const p of movement.purposes) counts.purpose[p] += 1;
			return;
		case 'position':
			counts.position[movement.position] += 1;
			return;
		case 'mode':
			for (const m of movement.modes) counts.mode[m] += 1;
			return;
		case 'tier':
			for (const t of TIERS) if (suitsTier(movement, t, context.group)) counts.tier[t] += 1;
			return;
		case 'kitAtHand':
			if (kitSuffices(movement, context.group)) counts.kitAtHand += 1;
			return;
		case 'cautionSafe':
			if (safe(movement, context.group)) counts.cautionSafe += 1;
			return;
		case 'rested':
			if (!slugsOfKnown(context.usedLately).has(movement.slug)) counts.rested += 1;
	}
}

const zeros = <K extends string>(keys: readonly K[]) =>
	Object.fromEntries(keys.map((key) => [key, 0])) as Record<K, number>;

/** Looks through the movements once: what passes every filter, and the counts beside each choice. */
export function findInCatalogue(
	movements: readonly Movement[],
	f: Filters,
	context: FinderContext
): SearchResult {
	const counts: Counts = {
		direction: zeros(DIRECTIONS),
		serves: zeros(SERVES),
		tissue: zeros(TISSUES),
		purpose: zeros(PURPOSES),
		position: zeros(POSITIONS),
		mode: zeros(MODES),
		tier: zeros(TIERS),
		kitAtHand: 0,
		cautionSafe: 0,
		rested: 0
	};
	const found: Movement[] = [];
	for (const movement of searchMovements(movements, f.search ?? '')) {
		const failed = FACETS.filter((facet) => !passes(movement, facet, f, context));
		if (failed.length === 0) {
			found.push(movement);
			for (const facet of FACETS) count(counts, movement, facet, f, context);
		} else if (failed.length === 1) count(counts, movement, failed[0] as Facet, f, context);
		// the direction and what it is asked for as hang together: changing one may satisfy both
		else if (failed.length === 2 && failed.includes('direction') && failed.includes('serves'))
			for (const facet of failed) count(counts, movement, facet, f, context);
	}
	return { movements: found, counts };
}
