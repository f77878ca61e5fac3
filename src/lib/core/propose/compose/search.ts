import { SECTION_KINDS, type SectionKind } from '../../plan';
import type { Kinds } from '../model';
import type { Random } from '../random';
import { valueOf, type Task } from './asked';
import type { Draft, Part, Unit } from './draft';
import type { Matter } from './material';
import { USUAL_SHARES } from './story';

const LONGEST_CHAIN = 4;
/** The last part of the steps in which nothing worse is taken. */
const STEPS_BEFORE_COOLING = 0.15;
/** Steps that are worse by so many points are taken at the beginning. */
const WARMTH = 0.8;

/** The material of each part. */
type Shelves = Record<SectionKind, readonly Matter[]>;

const pick = <T>(list: readonly T[], random: Random): T | undefined =>
	list[Math.floor(random() * list.length)];

function partOf(matter: Matter, section: SectionKind, random: Random): Part {
	const inSets = matter.traits.strong && matter.sets > 1 && (section === 'peak' || section === 'build');
	return { matter, sets: inSets && random() < 0.4 ? Math.min(2, matter.sets) : 1 };
}

/** A rough class: a few things of each part, near to one another and to the story. */
export function begin(task: Task, shelves: Shelves, random: Random): Draft {
	return SECTION_KINDS.map((kind) => {
		const units: Unit[] = [];
		const wanted = USUAL_SHARES[kind] * task.lengthSeconds;
		let seconds = 0;
		for (let tries = 0; seconds < wanted * 0.85 && tries < 60 && shelves[kind].length; tries++) {
			const about = shelves[kind].filter(({ traits: { movement } }) =>
				movement.purposes.some((p) => task.story.themes.includes(p))
			);
			const shelf = about.length && random() < 0.6 ? about : shelves[kind];
			const matter = pick(shelf, random)!;
			units.push([partOf(matter, kind, random)]);
			seconds += matter.seconds;
			if (kind === 'rest' || kind === 'settle') break;
		}
		return units;
	});
}

/** The material sorted by the part where it may stand. */
export const shelvesOf = (matters: readonly Matter[]): Shelves =>
	Object.fromEntries(
		SECTION_KINDS.map((kind) => [kind, matters.filter(({ sections }) => sections.has(kind))])
	) as unknown as Shelves;

/** One small change of a draft; null where it comes to nothing. */
function changed(draft: Draft, task: Task, shelves: Shelves, random: Random): Draft | null {
	const s = Math.floor(random() * draft.length);
	const kind = SECTION_KINDS[s]!;
	const units = draft[s]!;
	const u = Math.floor(random() * Math.max(1, units.length));
	const unit = units[u];
	const withUnits = (next: readonly Unit[], at = s): Draft => draft.map((own, i) => (i === at ? next : own));
	const roll = random();
	if (roll < 0.24) {
		// another thing in its place, often one that does about the same
		if (!unit) return insert();
		const p = Math.floor(random() * unit.length);
		const old = unit[p]!;
		const near =
			random() < 0.5
				? shelves[kind].filter((m) => task.kinds.isRelated(m.traits.kind, old.matter.traits.kind))
				: shelves[kind];
		const matter = pick(near, random);
		if (!matter) return null;
		const next = unit.map((part, i) => (i === p ? partOf(matter, kind, random) : part));
		return isChain(next, task.kinds) ? withUnits(units.with(u, next)) : null;
	}
	if (roll < 0.38) return insert();
	if (roll < 0.5) return unit ? withUnits(units.filter((_, i) => i !== u)) : null;
	if (roll < 0.62) {
		// two blocks change places, mostly in one part
		if (!unit) return null;
		const v = Math.floor(random() * units.length);
		if (v === u) return null;
		return withUnits(units.with(u, units[v]!).with(v, unit));
	}
	if (roll < 0.72) {
		// neighbours with sides are joined
		const next = units[u + 1];
		if (!unit || !next) return null;
		const chain = [...unit, ...next].map((part) => ({ ...part, sets: 1 }));
		if (chain.length > LONGEST_CHAIN || !isChain(chain, task.kinds)) return null;
		return withUnits([...units.slice(0, u), chain, ...units.slice(u + 2)]);
	}
	if (roll < 0.77) {
		if (!unit || unit.length < 2) return null;
		return withUnits([...units.slice(0, u), ...unit.map((part) => [part]), ...units.slice(u + 1)]);
	}
	if (roll < 0.87) {
		// something comes back, a form further on or held where it moved
		const before = draft.slice(0, s + 1).flat(2);
		const again = pick(before, random);
		if (!again) return null;
		const forms = shelves[kind].filter(
			(m) =>
				m.traits.kind === again.matter.traits.kind &&
				(m.traits.demand > again.matter.traits.demand || m.traits.rank > again.matter.traits.rank)
		);
		const matter = pick(forms, random);
		if (!matter) return null;
		const at = Math.floor(random() * (units.length + 1));
		return withUnits([...units.slice(0, at), [partOf(matter, kind, random)], ...units.slice(at)]);
	}
	if (roll < 0.94) {
		if (!unit) return null;
		const p = Math.floor(random() * unit.length);
		const { matter, sets } = unit[p]!;
		if (unit.length > 1 || !matter.traits.strong) return null;
		return withUnits(units.with(u, [{ matter, sets: sets > 1 ? 1 : Math.min(3, Math.max(2, matter.sets)) }]));
	}
	// a block goes to another part where it may stand, without its sets
	if (!unit) return null;
	const t = Math.floor(random() * draft.length);
	if (t === s || !unit.every(({ matter }) => matter.sections.has(SECTION_KINDS[t]!))) return null;
	const moved = unit.map((part) => ({ ...part, sets: 1 }));
	const target = draft[t]!;
	const at = Math.floor(random() * (target.length + 1));
	return draft.map((own, i) =>
		i === s ? own.filter((_, k) => k !== u) : i === t ? [...own.slice(0, at), moved, ...own.slice(at)] : own
	);

	function insert(): Draft | null {
		const shelf =
			random() < 0.35
				? shelves[kind].filter(
						({ traits: { movement } }) =>
							task.must.includes(movement.slug) ||
							movement.purposes.some((p) => task.story.themes.includes(p))
					)
				: shelves[kind];
		const matter = pick(shelf, random);
		if (!matter) return null;
		const at = Math.floor(random() * (units.length + 1));
		return withUnits([...units.slice(0, at), [partOf(matter, kind, random)], ...units.slice(at)]);
	}
}

/** Whether parts can run as one block. */
function isChain(parts: readonly Part[], kinds: Kinds): boolean {
	if (parts.length === 1) return true;
	if (!parts.every(({ matter }) => matter.traits.sided)) return false;
	if (new Set(parts.map(({ matter }) => matter.traits.kind)).size < parts.length) return false;
	return parts.every(
		({ matter }, i) =>
			!matter.traits.reset && (i === 0 || kinds.canLink(parts[i - 1]!.matter.traits.kind, matter.traits.kind))
	);
}

/** Makes a draft better by small changes; at first also worse ones are taken. */
export function improved(
	start: Draft,
	task: Task,
	shelves: Shelves,
	random: Random,
	steps: number
): { draft: Draft; value: number } {
	let now = start;
	let value = valueOf(now, task);
	let best = { draft: now, value };
	for (let step = 0; step < steps; step++) {
		const next = changed(now, task, shelves, random);
		if (!next) continue;
		const then = valueOf(next, task);
		const warmth = WARMTH * Math.max(0, 1 - step / steps / (1 - STEPS_BEFORE_COOLING));
		if (then < value - warmth * random()) continue;
		now = next;
		value = then;
		if (value > best.value) best = { draft: now, value };
	}
	return best;
}
