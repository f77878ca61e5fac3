import { KIT_KINDS, POSITIONS } from '../../src/lib/core/movement';
import { betweenSeconds, type Standing } from '../../src/lib/core/ordering';
import { paceOf, USUAL_PACE } from '../../src/lib/core/pace';
import { itemsOf, SECTION_KINDS } from '../../src/lib/core/plan';
import { optionsFor } from '../../src/lib/core/propose';
import type { Instance } from './instances';
import { Program } from './program';
import { balance, content, dose, rules } from './terms';
import type { Place, Way } from './way';

export interface Arc {
	/** -1 for the beginning of the class. */
	from: number;
	/** -1 for its end. */
	to: number;
	taken: number;
}

export interface Model {
	program: Program;
	ways: Way[];
	places: Place[];
	arcs: Arc[];
}

/**
 * The objective of docs/planner.md, its figures written down once more. Shared with the search are what may be given at all
 * (`optionsFor`) and how alike two movements are (`likeness`): a fault in those is not seen by comparing the two.
 */
const SHARES = [6, 18, 34, 16, 16, 10];
const UNNOTICED_PERCENT = 2;

/**
 * A whole class as a mixed-integer program: what is given, for how long, and in which order of places (part, body
 * position, kit), as one path through them. What depends on the order inside a place is left out (jumps of intensity,
 * strength after something heavy, the first two items, warmth and preparations within the peak), and doses may be
 * fractions: so its least cost is a bound that no class can be under.
 */
export function modelOf({ base, setting }: Instance): Model {
	const program = new Program();
	const length = base.lengthSeconds;
	const pins = new Map(
		base.sections.flatMap((s) =>
			s.blocks.flatMap((b) => (b.kind === 'item' ? [[b.movement, { item: b, kind: s.kind }] as const] : []))
		)
	);
	const options = optionsFor(base, {}, setting);
	const ways: Way[] = [];
	const places: Place[] = [];
	for (const option of options) {
		if (option.enter !== option.leave || option.enterKit !== option.leaveKit)
			throw new Error(
				`${option.movements[0]} ends elsewhere than it begins: the model has no place for that`
			);
		const pin = pins.get(option.movements[0]!);
		const same = pin && pin.item.form === option.item!.form && pin.item.mode === option.item!.mode;
		if (pin && !same) continue;
		for (const [section, kind] of SECTION_KINDS.entries()) {
			if (!option.sections.has(kind) || (pin && pin.kind !== kind)) continue;
			let place = places.findIndex(
				(p) => p.section === section && p.position === option.enter && p.kit === option.enterKit
			);
			if (place < 0) {
				const visited = program.column(0, 0, 1, true);
				place = places.push({ section, position: option.enter, kit: option.enterKit, visited, ways: [] }) - 1;
			}
			const given = program.column(0, pin ? 1 : 0, 1, true);
			const way: Way = { option, section, place, given, seconds: program.column(0) };
			const usual = option.workSeconds[option.usual]!;
			const [least, most] = pin ? [usual, usual] : [option.workSeconds[0]!, option.workSeconds.at(-1)!];
			program.row(0, Infinity, [
				[way.seconds, 1],
				[given, -least]
			]);
			program.row(-Infinity, 0, [
				[way.seconds, 1],
				[given, -most]
			]);
			if (!pin) dose(program, way);
			ways.push(way);
			places[place]!.ways.push(way);
		}
	}
	if (itemsOf(base).some(({ movement }) => !ways.some(({ option }) => option.movements[0] === movement)))
		throw new Error('A block that is there already has no place in the model');
	const arcs = order(program, places, base.pinnedPace);
	time(program, { program, ways, places, arcs }, length, base.pinnedPace);
	balance(program, ways, length, setting.targets);
	content(program, ways, setting.find);
	rules(program, ways, setting.find);
	return { program, ways, places, arcs };
}

/** One path through all places that are visited, part after part. */
function order(program: Program, places: readonly Place[], changes: Instance['base']['pinnedPace']): Arc[] {
	const lost = lostBetween(places, changes);
	const arcs: Arc[] = [];
	const arc = (from: number, to: number, seconds: number) =>
		arcs.push({ from, to, taken: program.column(0.04 * seconds, 0, 1) });
	for (const [to, place] of places.entries()) {
		arc(-1, to, lost(-1, to));
		arc(to, -1, 0);
		for (const [from, before] of places.entries())
			if (from !== to && before.section <= place.section) arc(from, to, lost(from, to));
	}
	for (const [at, { visited, ways }] of places.entries()) {
		for (const ends of ['to', 'from'] as const)
			program.row(0, 0, [
				[visited, -1],
				...arcs.filter((a) => a[ends] === at).map((a) => [a.taken, 1] as const)
			]);
		for (const { given } of ways)
			program.row(0, Infinity, [
				[visited, 1],
				[given, -1]
			]);
		program.row(0, Infinity, [[visited, -1], ...ways.map((w) => [w.given, 1] as const)]);
	}
	program.row(
		1,
		1,
		arcs.filter(({ from }) => from === -1).map(({ taken }) => [taken, 1] as const)
	);
	return arcs;
}

/** Seconds of going from place to place and fetching; never more than over a third place (so that no visit need be split). */
export function lostBetween(
	places: readonly { position: number; kit: number }[],
	changes: Instance['base']['pinnedPace']
): (from: number, to: number) => number {
	const pace = paceOf(USUAL_PACE, changes);
	// who lies on the side and turns over pays for it only in the search: this is a bound
	const standings = places.map(({ position, kit }): Standing => ({
		position: POSITIONS[position]!,
		kit: KIT_KINDS.filter((_, k) => kit & (1 << k)),
		onTop: null
	}));
	const to = (standing: Standing) => ({ blockId: '', enter: standing, leave: standing });
	const direct = standings.map((a) => standings.map((b) => betweenSeconds(a, to(b), pace)));
	for (const via of places.keys())
		for (const a of direct) for (const b of places.keys()) a[b] = Math.min(a[b]!, a[via]! + direct[via]![b]!);
	const first = standings.map((b) => betweenSeconds(null, to(b), pace));
	return (a, b) => (a < 0 ? first[b]! : direct[a]![b]!);
}

/** The length of the class and of its parts. */
function time(
	program: Program,
	{ ways, places, arcs }: Model,
	length: number,
	changes: Instance['base']['pinnedPace']
): void {
	const lost = lostBetween(places, changes);
	const between = (section?: number) =>
		arcs
			.filter(({ to }) => to >= 0 && (section === undefined || places[to]!.section === section))
			.map((a) => [a.taken, lost(a.from, a.to)] as const);
	const taking = (seconds: (way: Way) => readonly (readonly [number, number])[], section?: number) => [
		...between(section),
		...ways
			.filter((way) => section === undefined || way.section === section)
			.flatMap((way) => [[way.given, way.option.aroundSeconds] as const, ...seconds(way)])
	];
	const work = (way: Way) => [[way.seconds, 1] as const];
	// coming to a place twice takes longer than the path says, and a class that is too short may be glad of it; the going
	// may then fall into the part before
	const twice = SECTION_KINDS.map(() => program.column(0.04));
	const longest = Math.max(0, ...places.flatMap((_, a) => places.map((_, b) => lost(a, b))));
	const earlier = SECTION_KINDS.slice(1).map(() => program.column(0, 0, longest));
	const more = twice.map((column) => [column, 1] as const);
	const moreIn = (section: number) => [
		[twice[section]!, 1] as const,
		...(section < earlier.length ? [[earlier[section]!, 1] as const] : []),
		...(section > 0 ? [[earlier[section - 1]!, -1] as const] : [])
	];
	// a part is a share of the class as it is, not of its wished length: that can save 25 points for the whole length
	// (in a class so short that this would outweigh the length, its parts count for less: still no class is under it)
	const shape = Math.min(25, 0.03 * length);
	const off = 0.03 - shape / length;
	const [over, under] = [program.column(off), program.column(off)];
	program.row(length, length, [...taking(work), ...more, [over, -1], [under, 1]]);
	// not even the shortest (longest) doses give the length
	program.row(-Infinity, length, [
		...taking((way) => [[way.given, way.option.workSeconds[0]!]]),
		...more,
		[program.column(1), -1]
	]);
	program.row(length, Infinity, [
		...taking((way) => [[way.given, way.option.workSeconds.at(-1)!]]),
		...more,
		[program.column(1), 1]
	]);
	for (const [section, percent] of SHARES.entries()) {
		const wanted = (percent / 100) * length;
		const points = shape / length;
		const unnoticed = (UNNOTICED_PERCENT / 100) * length;
		program.row(wanted - unnoticed, wanted + unnoticed, [
			...taking(work, section),
			...moreIn(section),
			[program.column(points), -1],
			[program.column(points), 1]
		]);
		const own = ways.filter((way) => way.section === section);
		if (own.length)
			program.row(1, Infinity, [[program.column(20), 1], ...own.map((way) => [way.given, 1] as const)]);
	}
}
