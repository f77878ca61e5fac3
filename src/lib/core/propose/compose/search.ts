import type { SectionKind } from '../../plan';
import type { Random } from '../pool/random';
import { FLOW_ROUNDS, secondsOfUnit, type DraftItem, type Unit } from './draft';
import { valueOf } from './value';
import { mustOf, type Task } from './task';
import type { Candidate } from './candidates';
import { singleItemUnit, draftOfScheme, type Scheme } from './scheme';
import type { ThemeLine, CandidatePools } from './pools';
import { sharesOf } from './story';

/** The last part of the steps in which nothing worse is taken. */
const GREEDY_TAIL_FRACTION = 0.15;
/** Temperature at the start of annealing, in points. */
const INITIAL_TEMPERATURE = 0.8;

const pick = <T>(list: readonly T[], random: Random): T | undefined => list[random.below(list.length)];

/** How often something strong is begun with in sets. */
const BEGIN_IN_SETS = 0.4;

const partOf = (candidate: Candidate, strongSets: boolean, random: Random): DraftItem => ({
	candidate,
	sets:
		strongSets && candidate.traits.strong && candidate.sets > 1 && random() < BEGIN_IN_SETS
			? setsOf(candidate)
			: 1
});
const setsOf = ({ sets }: Candidate) => Math.min(3, Math.max(2, sets));

/** A line of a theme as a block: in the peak in one of its harder forms, elsewhere mostly in the first that is asked of everybody. */
function unitOf(line: ThemeLine, kind: Place['kind'], random: Random): Unit {
	const hard = kind === 'peak';
	const single = line.parts.length === 1 && (hard || kind === 'episode');
	const parts = line.parts.map((forms): DraftItem => {
		const at = hard
			? Math.max(0, forms.length - 1 - random.below(Math.min(2, forms.length)))
			: random.below(Math.min(2, forms.length));
		return partOf(forms[at]!, single, random);
	});
	return { parts, theme: line.theme, rank: line.rank, ...(line.flow ? { rounds: FLOW_ROUNDS } : {}) };
}

/** The parts of a scheme that are lists of blocks. */
type Place = { kind: 'wake' | 'peak' | 'letGo' } | { kind: 'episode'; at: number };

const unitsAt = (scheme: Scheme, place: Place): readonly Unit[] =>
	place.kind === 'episode' ? scheme.episodes[place.at]!.units : scheme[place.kind];

function withUnits(scheme: Scheme, place: Place, units: readonly Unit[]): Scheme {
	if (place.kind !== 'episode') return { ...scheme, [place.kind]: units };
	return {
		...scheme,
		episodes: scheme.episodes.map((own, i) => (i === place.at ? { ...own, units } : own))
	};
}

function linesAt(scheme: Scheme, place: Place, shelves: CandidatePools): readonly ThemeLine[] {
	if (place.kind === 'episode') return shelves.build[scheme.episodes[place.at]!.theme]!;
	return shelves[place.kind];
}

/** Candidates of any theme that may fill a place. */
const anyAt = ({ kind }: Place, { any }: CandidatePools): readonly Candidate[] =>
	kind === 'wake' ? any.warm : kind === 'letGo' ? any.release : kind === 'peak' ? any.peak : any.build;

/** A rough class: of each theme what is near the beginning, the middle and the end of its list. */
export function constructInitial(task: Task, shelves: CandidatePools, random: Random): Scheme {
	const shares = sharesOf(task.group, task.style, task.classSeconds);
	const filled = (lines: readonly ThemeLine[], share: number, kind: Place['kind']): Unit[] => {
		const chosen: { line: ThemeLine; unit: Unit }[] = [];
		let seconds = 0;
		const left = [...lines];
		while (left.length && seconds < 0.85 * share * task.lengthSeconds) {
			const [line] = left.splice(random.below(left.length), 1);
			const unit = unitOf(line!, kind, random);
			chosen.push({ line: line!, unit });
			seconds += secondsOfUnit(unit);
		}
		return chosen.sort((a, b) => a.line.rank - b.line.rank).map(({ unit }) => unit);
	};
	const each = shares[2]! / task.story.themes.length;
	const peaks = shelves.peak.filter(({ theme }) => theme === 0);
	const { units, closed } = task.keep;
	/** Returns the blocks already in a section, followed by the new ones. */
	const into = (kind: SectionKind, more: () => readonly Unit[]): readonly Unit[] =>
		closed.has(kind) ? units[kind] : [...units[kind], ...more()];
	const one = (kind: 'settle' | 'rest') =>
		into(kind, () => {
			const candidate = units[kind].length ? undefined : pick(shelves.any[kind], random);
			return candidate ? [singleItemUnit(candidate)] : [];
		});
	const own = (lines: readonly ThemeLine[]) => {
		const themed = lines.filter(({ theme }) => theme !== null);
		return themed.length ? themed : lines;
	};
	const rough: Scheme = {
		settle: one('settle'),
		wake: into('warm', () => filled(own(shelves.wake), shares[1]!, 'wake')),
		episodes: shelves.build.map((lines, theme) => {
			const kept = units.build.filter((unit) => unit.theme === theme);
			return { theme, units: closed.has('build') ? kept : [...kept, ...filled(lines, each, 'episode')] };
		}),
		peak: into('peak', () => filled(peaks.length ? peaks : shelves.peak, shares[3]!, 'peak')),
		letGo: into('release', () => filled(own(shelves.letGo), shares[4]!, 'letGo')),
		rest: one('rest')
	};
	return withWanted(rough, task, shelves, random);
}

/** Something as a block of a place. */
const asUnit = (candidate: Candidate, place: Place, scheme: Scheme): Unit => ({
	...singleItemUnit(candidate),
	theme: place.kind === 'episode' ? scheme.episodes[place.at]!.theme : null
});

/** A rough class with everything that must be in it, each where it may stand. */
function withWanted(scheme: Scheme, task: Task, shelves: CandidatePools, random: Random): Scheme {
	const { toward } = task.wishes;
	const { closed } = task.keep;
	let now = scheme;
	for (const slug of mustOf(task.wishes)) {
		const places: Place[] = [
			...(slug === toward ? [] : scheme.episodes.map((_, at): Place => ({ kind: 'episode', at }))),
			{ kind: 'peak' },
			{ kind: 'wake' },
			{ kind: 'letGo' }
		];
		for (const place of places.filter(({ kind }) => !closed.has(SECTION_OF[kind]))) {
			const candidate = pick(
				anyAt(place, shelves).filter(({ traits }) => traits.movement.slug === slug),
				random
			);
			if (!candidate) continue;
			now = withUnits(now, place, [...unitsAt(now, place), asUnit(candidate, place, now)]);
			break;
		}
	}
	return now;
}
const SECTION_OF: Record<Place['kind'], SectionKind> = {
	wake: 'warm',
	episode: 'build',
	peak: 'peak',
	letGo: 'release'
};

/** One small change of a scheme; null where it comes to nothing. */
function changed(scheme: Scheme, task: Task, shelves: CandidatePools, random: Random): Scheme | null {
	const place = placeIn(scheme, task.keep.closed, random);
	return place && changedAt(place, scheme, task, shelves, random);
}

function changedAt(
	place: Place,
	scheme: Scheme,
	task: Task,
	shelves: CandidatePools,
	random: Random
): Scheme | null {
	const units = unitsAt(scheme, place);
	const u = random.below(Math.max(1, units.length));
	const unit = units[u];
	const { like } = task.wishes;
	const must = mustOf(task.wishes);
	const isAnythingAsked = must.length > 0 || like !== undefined;
	// blocks that are there already only change places
	const own = unit && !unit.kept ? unit : null;
	const moves: readonly [share: number, make: () => Scheme | null][] = [
		[20, () => (own ? replaced() : unit ? null : inserted())],
		[16, inserted],
		[12, () => own && withUnits(scheme, place, units.toSpliced(u, 1))],
		[10, swapped],
		[14, () => own && otherForm(own)],
		[8, () => own && otherSets(own)],
		[8, comingBack],
		[6, related],
		[3, otherEnds],
		[3, episodesSwapped]
	];
	let left = random() * moves.reduce((sum, [share]) => sum + share, 0);
	const drawn = moves.find(([share]) => (left -= share) < 0);
	return drawn ? drawn[1]() : null;

	function replaced(): Scheme | null {
		const line = pick(linesAt(scheme, place, shelves), random);
		return line ? withUnits(scheme, place, units.with(u, unitOf(line, place.kind, random))) : null;
	}
	function inserted(): Scheme | null {
		if (isAnythingAsked && random() < 0.25) {
			const asked = must.length && (!like || random() < 0.5) ? must : (like?.movements ?? must);
			const slug = pick(asked, random);
			const candidate = pick(
				anyAt(place, shelves).filter(({ traits }) => traits.movement.slug === slug),
				random
			);
			if (candidate) return put(asUnit(candidate, place, scheme));
		}
		const line = pick(linesAt(scheme, place, shelves), random);
		return line ? put(unitOf(line, place.kind, random)) : null;
	}
	/** Puts a block where its theme has it, or anywhere. */
	function put(one: Unit): Scheme {
		const later = units.findIndex(({ theme, rank }) => theme === one.theme && (rank ?? -1) > (one.rank ?? 0));
		const at =
			random() < 0.75 && one.rank !== null
				? later < 0
					? units.length
					: later
				: random.below(units.length + 1);
		return withUnits(scheme, place, units.toSpliced(at, 0, one));
	}
	function swapped(): Scheme | null {
		const v = random.below(Math.max(1, units.length));
		const other = units[v];
		if (!unit || !other || v === u) return null;
		// blocks that are there already keep their order: a move only swaps one with a new neighbour
		if ((unit.kept || other.kept) && (Math.abs(u - v) > 1 || (unit.kept && other.kept))) return null;
		return withUnits(scheme, place, units.with(u, other).with(v, unit));
	}
	/** One part in another of the forms that its line has. */
	function otherForm(one: Unit): Scheme | null {
		const p = random.below(one.parts.length);
		const { candidate } = one.parts[p]!;
		const forms = anyAt(place, shelves).filter(
			({ traits }) => traits.kind === candidate.traits.kind && traits.mode === candidate.traits.mode
		);
		const other = pick(forms, random);
		if (!other || other === candidate) return null;
		return withUnits(
			scheme,
			place,
			units.with(u, withPart(one, p, { candidate: other, sets: one.parts[p]!.sets }))
		);
	}
	function otherSets(one: Unit): Scheme | null {
		const { candidate, sets } = one.parts[0]!;
		if (one.parts.length > 1 || !candidate.traits.strong || place.kind === 'wake') return null;
		return withUnits(
			scheme,
			place,
			units.with(u, withPart(one, 0, { candidate, sets: sets > 1 ? 1 : setsOf(candidate) }))
		);
	}
	/** Something from before comes again, a form further on or held where it moved. */
	function comingBack(): Scheme | null {
		if (place.kind === 'wake' || place.kind === 'letGo') return null;
		// in the build it stays with its theme
		const own = place.kind === 'episode' ? scheme.episodes[place.at]!.theme : null;
		const before = [...scheme.wake, ...scheme.episodes.flatMap((e) => e.units)].filter(
			({ theme, parts }) => (own === null || theme === own) && !parts[0]!.candidate.traits.reset
		);
		const again = pick(
			before.flatMap(({ parts, theme }) => parts.map(({ candidate }) => ({ candidate, theme }))),
			random
		);
		if (!again) return null;
		const { kind, demand, rank } = again.candidate.traits;
		const further = anyAt(place, shelves).filter(
			({ traits }) => traits.kind === kind && (traits.demand > demand || traits.rank > rank) && !traits.rest
		);
		const candidate = pick(further, random);
		if (!candidate) return null;
		const one: Unit = { parts: [partOf(candidate, true, random)], theme: again.theme, rank: null };
		return withUnits(scheme, place, units.toSpliced(random.below(units.length + 1), 0, one));
	}
	/** Something that does about the same takes the place of one thing. */
	function related(): Scheme | null {
		if (!unit || unit.parts.length > 1 || unit.kept) return null;
		const { traits } = unit.parts[0]!.candidate;
		const near = anyAt(place, shelves).filter(
			(m) => m.traits.kind !== traits.kind && task.kinds.isRelated(m.traits.kind, traits.kind)
		);
		const candidate = pick(near, random);
		return candidate
			? withUnits(
					scheme,
					place,
					units.with(u, { ...singleItemUnit(candidate), theme: unit.theme, rank: null })
				)
			: null;
	}
	function otherEnds(): Scheme | null {
		const kind = random() < 0.5 ? 'settle' : 'rest';
		if (task.keep.closed.has(kind) || task.keep.units[kind].length) return null;
		const candidate = pick(shelves.any[kind], random);
		return candidate ? { ...scheme, [kind]: [singleItemUnit(candidate)] } : null;
	}
	function episodesSwapped(): Scheme | null {
		const { episodes } = scheme;
		if (episodes.length < 2) return null;
		const a = random.below(episodes.length - 1);
		return { ...scheme, episodes: episodes.with(a, episodes[a + 1]!).with(a + 1, episodes[a]!) };
	}
}

const withPart = (unit: Unit, p: number, part: DraftItem): Unit => ({
	...unit,
	parts: unit.parts.with(p, part)
});

/** A place to change, the longer lists more often; null where nothing may be put anywhere. */
function placeIn(
	{ episodes, peak, wake, letGo }: Scheme,
	closed: ReadonlySet<SectionKind>,
	random: Random
): Place | null {
	const places: { place: Place; weight: number }[] = [];
	if (!closed.has('warm')) places.push({ place: { kind: 'wake' }, weight: wake.length + 1 });
	if (!closed.has('build'))
		for (const [at, { units }] of episodes.entries())
			places.push({ place: { kind: 'episode', at }, weight: units.length + 1 });
	if (!closed.has('peak')) places.push({ place: { kind: 'peak' }, weight: peak.length + 2 });
	if (!closed.has('release')) places.push({ place: { kind: 'letGo' }, weight: letGo.length + 1 });
	let left = random() * places.reduce((sum, { weight }) => sum + weight, 0);
	for (const { place, weight } of places) {
		left -= weight;
		if (left < 0) return place;
	}
	return places.at(-1)?.place ?? null;
}

/** Makes a scheme better by small changes; at first also worse ones are taken. */
export function anneal(
	start: Scheme,
	task: Task,
	shelves: CandidatePools,
	random: Random,
	steps: number
): { scheme: Scheme; value: number } {
	let now = start;
	let value = valueOf(draftOfScheme(now, shelves, task.keep.closed), task);
	let best = { scheme: now, value };
	for (let step = 0; step < steps; step++) {
		const next = changed(now, task, shelves, random);
		if (!next) continue;
		const then = valueOf(draftOfScheme(next, shelves, task.keep.closed), task);
		const warmth = INITIAL_TEMPERATURE * Math.max(0, 1 - step / steps / (1 - GREEDY_TAIL_FRACTION));
		if (then < value - warmth * random()) continue;
		now = next;
		value = then;
		if (value > best.value) best = { scheme: now, value };
	}
	return best;
}
