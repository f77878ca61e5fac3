import { DIRECTIONS } from '../../anatomy';
import type { Random } from '../pool/random';
import { GIVES_FROM } from './candidates';
import type { DraftItem, Unit } from './draft';
import { asUnit, linesAt, partOf, pick, usualSets, unitOf, unitsAt, withUnits, type Place } from './places';
import type { CandidatePools } from './pools';
import { singleItemUnit, type Scheme } from './scheme';
import { mustOf } from '../pool/types';
import type { Task } from './task';

/** Where a move is tried, and on which block. */
interface Spot {
	place: Place;
	scheme: Scheme;
	task: Task;
	pools: CandidatePools;
	random: Random;
	units: readonly Unit[];
	/** The index of the block, and the block; undefined where the place is empty. */
	at: number;
	unit: Unit | undefined;
}

/** One kind of small change: a new scheme, or null where it comes to nothing here. */
type Move = (spot: Spot) => Scheme | null;

/** The moves, each with how often it is drawn beside the others. */
const MOVES: readonly [share: number, move: Move][] = [
	[20, replaceOrInsert],
	[16, insert],
	[12, remove],
	[10, swap],
	[14, changeForm],
	[8, changeSets],
	[8, bringBack],
	[6, replaceByRelated],
	[3, changeEnds]
];
const ALL_SHARES = MOVES.reduce((sum, [share]) => sum + share, 0);

/** Tries one move, drawn at random, at a place of a scheme. */
export function changedAt(
	place: Place,
	scheme: Scheme,
	task: Task,
	pools: CandidatePools,
	random: Random
): Scheme | null {
	const units = unitsAt(scheme, place);
	const at = random.below(Math.max(1, units.length));
	let left = random() * ALL_SHARES;
	const drawn = MOVES.find(([share]) => (left -= share) < 0);
	return drawn ? drawn[1]({ place, scheme, task, pools, random, units, at, unit: units[at] }) : null;
}

/** The block that may be changed: those that are there already only change places. */
const own = ({ unit }: Spot): Unit | null => (unit && !unit.kept ? unit : null);

/** The scheme with other blocks at the place. */
const having = ({ scheme, place }: Spot, units: readonly Unit[]): Scheme => withUnits(scheme, place, units);

/** Another line of the theme takes the place of the block; where there is none, it is added. */
function replaceOrInsert(spot: Spot): Scheme | null {
	if (!own(spot)) return spot.unit ? null : insert(spot);
	const { place, scheme, pools, random, units, at } = spot;
	const giving = givesWanted(spot);
	if (giving) return having(spot, units.with(at, giving));
	const line = pick(linesAt(scheme, place, pools), random);
	return line ? having(spot, units.with(at, unitOf(line, place.kind, random))) : null;
}

/** Adds a line of the theme, something that is asked for, or something that gives a direction that is wanted. */
function insert(spot: Spot): Scheme | null {
	const { place, scheme, task, pools, random } = spot;
	const { like } = task.wishes;
	const must = mustOf(task.wishes);
	if ((must.length > 0 || like !== undefined) && random() < 0.25) {
		const asked = must.length && (!like || random() < 0.5) ? must : (like?.movements ?? must);
		const slug = pick(asked, random);
		const candidate = pick(
			pools.any[place.kind].filter(({ traits }) => traits.movement.slug === slug),
			random
		);
		if (candidate) return put(spot, asUnit(candidate, place, scheme));
	}
	const giving = givesWanted(spot);
	if (giving) return put(spot, giving);
	const line = pick(linesAt(scheme, place, pools), random);
	return line ? put(spot, unitOf(line, place.kind, random)) : null;
}

/** Now and then a block that gives a direction that is wanted, rather one that the group knows; else null. */
function givesWanted({ place, scheme, task, pools, random }: Spot): Unit | null {
	const { more = [] } = task.wishes;
	if (more.length === 0 || random() >= 0.25) return null;
	const wanted = DIRECTIONS.indexOf(pick(more, random)!);
	const giving = pools.any[place.kind].filter(({ traits }) => traits.directions[wanted]! >= GIVES_FROM);
	const met = giving.filter(({ traits }) => task.known?.has(traits.movement.slug));
	const candidate = pick(met.length && random() < 0.5 ? met : giving, random);
	return candidate ? asUnit(candidate, place, scheme) : null;
}

/** Puts a block where its theme has it, or anywhere. */
function put(spot: Spot, one: Unit): Scheme {
	const { units, random } = spot;
	const later = units.findIndex(({ theme, rank }) => theme === one.theme && (rank ?? -1) > (one.rank ?? 0));
	const at =
		random() < 0.75 && one.rank !== null
			? later < 0
				? units.length
				: later
			: random.below(units.length + 1);
	return having(spot, units.toSpliced(at, 0, one));
}

function remove(spot: Spot): Scheme | null {
	return own(spot) && having(spot, spot.units.toSpliced(spot.at, 1));
}

/** Two blocks change places. */
function swap(spot: Spot): Scheme | null {
	const { units, unit, at, random } = spot;
	const other = random.below(Math.max(1, units.length));
	const second = units[other];
	if (!unit || !second || other === at) return null;
	// blocks that are there already keep their order: a move only swaps one with a new neighbour
	if ((unit.kept || second.kept) && (Math.abs(at - other) > 1 || (unit.kept && second.kept))) return null;
	return having(spot, units.with(at, second).with(other, unit));
}

/** One item in another of the forms that its line has. */
function changeForm(spot: Spot): Scheme | null {
	const unit = own(spot);
	if (!unit) return null;
	const { place, pools, random, units, at } = spot;
	const p = random.below(unit.parts.length);
	const { candidate, sets } = unit.parts[p]!;
	const forms = pools.any[place.kind].filter(
		({ traits }) => traits.kind === candidate.traits.kind && traits.mode === candidate.traits.mode
	);
	const other = pick(forms, random);
	if (!other || other === candidate) return null;
	return having(spot, units.with(at, withPart(unit, p, { candidate: other, sets })));
}

/** A strong item in sets, or in one. */
function changeSets(spot: Spot): Scheme | null {
	const unit = own(spot);
	if (!unit) return null;
	const { candidate, sets } = unit.parts[0]!;
	if (unit.parts.length > 1 || !candidate.traits.strong || spot.place.kind === 'warm') return null;
	const changed = withPart(unit, 0, { candidate, sets: sets > 1 ? 1 : usualSets(candidate) });
	return having(spot, spot.units.with(spot.at, changed));
}

/** Something from before comes again, a form further on or held where it moved. */
function bringBack(spot: Spot): Scheme | null {
	const { place, scheme, pools, random, units } = spot;
	if (place.kind === 'warm' || place.kind === 'release') return null;
	// in the build it stays with its theme
	const itsTheme = place.kind === 'build' ? scheme.episodes[place.at]!.theme : null;
	const before = [...scheme.warm, ...scheme.episodes.flatMap((episode) => episode.units)].filter(
		({ theme, parts }) => (itsTheme === null || theme === itsTheme) && !parts[0]!.candidate.traits.reset
	);
	const again = pick(
		before.flatMap(({ parts, theme }) => parts.map(({ candidate }) => ({ candidate, theme }))),
		random
	);
	if (!again) return null;
	const { kind, demand, rank } = again.candidate.traits;
	const further = pools.any[place.kind].filter(
		({ traits }) => traits.kind === kind && (traits.demand > demand || traits.rank > rank) && !traits.rest
	);
	const candidate = pick(further, random);
	if (!candidate) return null;
	const one: Unit = { parts: [partOf(candidate, true, random)], theme: again.theme, rank: null };
	return having(spot, units.toSpliced(random.below(units.length + 1), 0, one));
}

/** Something that does about the same takes the place of a block of one item. */
function replaceByRelated(spot: Spot): Scheme | null {
	const { unit, place, pools, task, random, units, at } = spot;
	if (!unit || unit.parts.length > 1 || unit.kept) return null;
	const { traits } = unit.parts[0]!.candidate;
	const near = pools.any[place.kind].filter(
		(other) => other.traits.kind !== traits.kind && task.kinds.isRelated(other.traits.kind, traits.kind)
	);
	const candidate = pick(near, random);
	return candidate
		? having(spot, units.with(at, { ...singleItemUnit(candidate), theme: unit.theme, rank: null }))
		: null;
}

/** Another opening or another closing rest. */
function changeEnds({ scheme, task, pools, random }: Spot): Scheme | null {
	const kind = random() < 0.5 ? 'settle' : 'rest';
	if (task.keep.closed.has(kind) || task.keep.units[kind].length) return null;
	const candidate = pick(pools.any[kind], random);
	return candidate ? { ...scheme, [kind]: [singleItemUnit(candidate)] } : null;
}

const withPart = (unit: Unit, p: number, part: DraftItem): Unit => ({
	...unit,
	parts: unit.parts.with(p, part)
});
