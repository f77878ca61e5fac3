import { likeness } from '../../src/lib/core/adapt';
import { DIRECTIONS } from '../../src/lib/core/anatomy';
import { KIT_KINDS, POSITIONS } from '../../src/lib/core/movement';
import { moveSeconds, paceOf } from '../../src/lib/core/pace';
import { itemsOf, SECTION_KINDS } from '../../src/lib/core/plan';
import { optionsFor, type Option } from '../../src/lib/core/propose';
import type { Instance } from './instances';
import { Program } from './program';

/** An option in a part of the class: whether it is given (0 or 1) and its seconds of work. */
export interface Way {
	option: Option;
	section: number;
	/** Number of the class of places that it belongs to. */
	place: number;
	given: number;
	seconds: number;
}

/** All ways of one part that begin and end in one body position with the same kit: no time is lost between them. */
export interface Place {
	section: number;
	position: number;
	kit: number;
	visited: number;
	ways: Way[];
}

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

/** The objective of docs/planner.md, its figures written down once more: nothing here is shared with the search. */
const SHARES = [6, 18, 34, 16, 16, 10];
const PEAK = SECTION_KINDS.indexOf('peak');
const DEEP = 4;

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
	const arcs = order(program, places, base.pace);
	time(program, { program, ways, places, arcs }, length, base.pace);
	balance(program, ways, length, setting.targets);
	content(program, ways, setting.find);
	rules(program, ways, setting.find);
	return { program, ways, places, arcs };
}

/** Away from the usual dose, too short, or a rest too long: the greatest convex function under its points. */
function dose(program: Program, { option, section, given, seconds }: Way): void {
	const steps = option.amounts.length - 1;
	if (steps === 0) return;
	const points = option.workSeconds.map((work, i) => {
		let cost = (0.6 * Math.abs(i - option.usual)) / steps;
		if (!option.rests) cost += (2.5 * Math.max(0, 45 - work)) / 45;
		else if (SECTION_KINDS[section] !== 'rest') cost += 0.03 * Math.max(0, work - 150);
		return { work, cost };
	});
	const hull: typeof points = [];
	for (const point of points) {
		while (hull.length > 1) {
			const [a, b] = [hull.at(-2)!, hull.at(-1)!];
			if ((b.cost - a.cost) * (point.work - a.work) < (point.cost - a.cost) * (b.work - a.work)) break;
			hull.pop();
		}
		hull.push(point);
	}
	const cost = program.column(1);
	for (const [i, b] of hull.slice(1).entries()) {
		const a = hull[i]!;
		const slope = (b.cost - a.cost) / (b.work - a.work);
		program.row(0, Infinity, [
			[cost, 1],
			[seconds, -slope],
			[given, -(a.cost - slope * a.work)]
		]);
	}
}

/** One path through all places that are visited, part after part. */
function order(program: Program, places: readonly Place[], changes: Instance['base']['pace']): Arc[] {
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
	changes: Instance['base']['pace']
): (from: number, to: number) => number {
	const pace = paceOf(changes);
	const fetch = (missing: number) =>
		Math.round(KIT_KINDS.reduce((sum, kit, k) => sum + (missing & (1 << k) ? pace.fetchSeconds[kit] : 0), 0));
	const direct = places.map((a) =>
		places.map(
			(b) =>
				Math.round(moveSeconds(pace, POSITIONS[a.position]!, POSITIONS[b.position]!)) + fetch(b.kit & ~a.kit)
		)
	);
	for (const via of places.keys())
		for (const a of direct) for (const b of places.keys()) a[b] = Math.min(a[b]!, a[via]! + direct[via]![b]!);
	return (from, to) => (from < 0 ? fetch(places[to]!.kit) : direct[from]![to]!);
}

/** The length of the class and of its parts. */
function time(
	program: Program,
	{ ways, places, arcs }: Model,
	length: number,
	changes: Instance['base']['pace']
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
		program.row(wanted, wanted, [
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

/** The bands of the six directions and of strength. */
function balance(
	program: Program,
	ways: readonly Way[],
	length: number,
	targets: Instance['setting']['targets']
): void {
	const outside = (
		points: number,
		part: (option: Option) => number,
		whole: (option: Option) => number,
		{ minPercent, maxPercent }: { minPercent: number; maxPercent: number }
	) => {
		const slack = program.column((100 * points) / length);
		const by = (share: number, sign: 1 | -1) =>
			ways.map(
				({ option, seconds }) => [seconds, sign * (part(option) - (share / 100) * whole(option))] as const
			);
		program.row(0, Infinity, [[slack, 1], ...by(minPercent, 1)]);
		program.row(0, Infinity, [[slack, 1], ...by(maxPercent, -1)]);
	};
	const all = (option: Option) => option.directions.reduce((a, b) => a + b, 0);
	for (const [d, direction] of DIRECTIONS.entries())
		outside(1, (option) => option.directions[d]!, all, targets.directions[direction]);
	outside(
		0.5,
		(option) => option.strengthens,
		(option) => (option.rests ? 0 : 1),
		targets.strength
	);
}

/** Each movement once; two that are alike cost. */
function content(program: Program, ways: readonly Way[], find: Instance['setting']['find']): void {
	const bySlug = new Map<string, Way[]>();
	for (const way of ways) {
		const slug = way.option.movements[0]!;
		bySlug.set(slug, [...(bySlug.get(slug) ?? []), way]);
	}
	for (const own of bySlug.values())
		program.row(
			-Infinity,
			1,
			own.map(({ given }) => [given, 1] as const)
		);
	const working = [...bySlug]
		.map(([slug, own]) => ({ movement: find(slug)!, own: own.filter(({ option }) => !option.rests) }))
		.filter(({ own }) => own.length > 0);
	for (const [i, a] of working.entries())
		for (const b of working.slice(0, i)) {
			const over =
				Math.max(likeness(a.movement, b.movement).score, likeness(b.movement, a.movement).score) - 0.7;
			if (over <= 0) continue;
			program.row(-Infinity, 1, [
				...[...a.own, ...b.own].map(({ given }) => [given, 1] as const),
				[program.column(9 * over), -1]
			]);
		}
}

/** What must have come before, where parts alone decide it, and the height of the peak. */
function rules(program: Program, ways: readonly Way[], find: Instance['setting']['find']): void {
	const given = (which: readonly Way[], sign: 1 | -1 = 1) => which.map((way) => [way.given, sign] as const);
	const deep = ways.filter(({ option }) => option.intensity >= DEEP);
	const early = (section: number) => ways.filter((way) => way.section <= section);
	// 180 s of warming, or each deep form costs
	const warm = program.column(0, 0, 1, true);
	program.row(0, Infinity, [
		[warm, -180],
		...early(PEAK)
			.filter(
				({ option }) =>
					option.intensity < DEEP && ['dynamic', 'active', 'isometric'].includes(option.item!.mode)
			)
			.map((way) => [way.seconds, 1] as const)
	]);
	for (const way of deep) {
		program.row(0, Infinity, [
			[program.column(9), 1],
			[warm, 1],
			[way.given, -1]
		]);
		const { preparations } = find(way.option.movements[0]!)!;
		if (preparations.length === 0) continue;
		const prepared = early(way.section).filter(({ option }) => preparations.includes(option.movements[0]!));
		program.row(0, Infinity, [[program.column(7), 1], [way.given, -1], ...given(prepared)]);
	}
	for (const way of ways) {
		if (way.option.item!.mode !== 'passive' || way.option.intensity < 2) continue;
		const moving = early(way.section).filter(({ option }) => option.item!.mode === 'dynamic');
		program.row(0, Infinity, [[program.column(7), 1], [way.given, -1], ...given(moving)]);
	}
	for (const section of SECTION_KINDS.keys())
		program.row(-Infinity, 1, [
			...given(ways.filter((way) => way.section === section && way.option.rests > 0)),
			[program.column(6), -1]
		]);
	const inPeak = ways.filter(({ section }) => section === PEAK);
	const deepest = Math.max(0, ...inPeak.map(({ option }) => option.intensity));
	for (let step = 1; step <= Math.min(4, deepest); step++)
		program.row(1, Infinity, [
			[program.column(1.5, 0, 1), 1],
			...given(inPeak.filter(({ option }) => option.intensity >= step))
		]);
}
