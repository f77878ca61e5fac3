import { FELT_DEMAND, HEAVY_DEMAND, INTENSE, SIMILARITY, WIND_DOWN_FROM, type TermId } from './amounts';
import type { ClassFeatures, ScoredItem } from './features';
import { PARTS, type Kinds } from './traits';

const mean = (values: readonly number[]) => {
	let sum = 0;
	for (const value of values) sum += value;
	return values.length ? sum / values.length : 0;
};

/** The terms, each as the number that is weighted; what each means stands beside its points. */
export function termsOf({
	steps,
	kinds,
	wordsBefore,
	transitionShare,
	purposes
}: ClassFeatures): Record<TermId, number> {
	const n = steps.length;
	const joints = Math.max(1, n - 1);
	const { overall, near } = similarities(steps, kinds);
	return {
		prepared: prepared(steps),
		twoBefore: twoBefore(steps, kinds),
		linked: mean(steps.filter((s) => s.traits.sided).map((s) => Number(s.linked))),
		theme: near - overall,
		returns: -new Set(steps.map((s) => s.traits.kind)).size / n,
		further: further(steps, kinds),
		movedFirst: movedFirst(steps, kinds),
		levelChanges: -joined(steps, (a, b) => Math.abs(a.traits.level - b.traits.level) >= 2) / joints,
		carriedOver: carriedOver(steps, kinds, overall),
		noCopy: -joined(steps, (a, b) => isCopy(a, b, kinds)) / joints,
		opensSymmetrical: Number(!steps[0]!.traits.sided),
		tissueFocus: tissueFocus(steps),
		transitionShare: -transitionShare,
		peak: peakOf(steps, purposes),
		sets: mean(steps.filter((s) => s.traits.strong && s.section !== 'warm').map((s) => Number(s.sets > 1))),
		released: released(steps),
		cueCoverage: cuedShare(steps, wordsBefore)
	};
}

/** Mean likeness of all pairs, and of those that are one to three apart. */
function similarities(steps: readonly ScoredItem[], kinds: Kinds): { overall: number; near: number } {
	let [all, near, pairs, nearPairs] = [0, 0, 0, 0];
	for (let i = 0; i < steps.length; i++)
		for (let j = i + 1; j < steps.length; j++) {
			const s = kinds.alike(steps[i]!.traits.kind, steps[j]!.traits.kind);
			all += s;
			pairs += 1;
			if (j - i > 3) continue;
			near += s;
			nearPairs += 1;
		}
	return { overall: pairs ? all / pairs : 0, near: nearPairs ? near / nearPairs : 0 };
}

/** Returns how many pairs of neighbours are such. */
export function joined(steps: readonly ScoredItem[], is: (a: ScoredItem, b: ScoredItem) => boolean): number {
	let count = 0;
	for (let i = 1; i < steps.length; i++) if (is(steps[i - 1]!, steps[i]!)) count += 1;
	return count;
}

/** Intense steps; where a class has none, its most intense. */
function intenseOf(steps: readonly ScoredItem[]): number[] {
	const most = Math.max(...steps.map((s) => s.traits.form.intensity));
	const from = Math.min(INTENSE, most);
	return steps.flatMap((s, i) => (s.traits.form.intensity >= from && !s.traits.rest ? [i] : []));
}

function prepared(steps: readonly ScoredItem[]): number {
	let [wanting, met] = [0, 0];
	for (const i of intenseOf(steps)) {
		const { asks } = steps[i]!.traits;
		if (asks.size === 0) continue;
		wanting += 1;
		for (let j = 0; j < i; j++)
			if (asks.has(steps[j]!.traits.movement.slug)) {
				met += 1;
				break;
			}
	}
	return (met + 0.5) / (wanting + 1);
}

function twoBefore(steps: readonly ScoredItem[], kinds: Kinds): number {
	return mean(
		intenseOf(steps).map((i) => {
			const deep = steps[i]!.traits;
			const before = new Set<number>();
			for (let j = 0; j < i && before.size < 2; j++) {
				const s = steps[j]!.traits;
				const easier = s.demand < deep.demand || (s.demand === deep.demand && s.rank <= deep.rank);
				if (s.kind !== deep.kind && easier && kinds.isRelated(s.kind, deep.kind)) before.add(s.kind);
			}
			return before.size / 2;
		})
	);
}

function further(steps: readonly ScoredItem[], kinds: Kinds): number {
	let [pairs, rises, falls] = [0, 0, 0];
	for (let i = 0; i < steps.length; i++) {
		const a = steps[i]!.traits;
		if (a.rest) continue;
		for (let j = i + 1; j < steps.length; j++) {
			const b = steps[j]!.traits;
			if (b.rest || kinds.alike(a.kind, b.kind) < SIMILARITY.alike) continue;
			pairs += 1;
			if (steps[j]!.at >= WIND_DOWN_FROM) continue;
			if (b.demand - a.demand > FELT_DEMAND) rises += 1;
			else if (a.demand - b.demand > FELT_DEMAND) falls += 1;
		}
	}
	return (rises - falls) / (pairs + 2);
}

function movedFirst(steps: readonly ScoredItem[], kinds: Kinds): number {
	let [held, moved] = [0, 0];
	for (let i = 0; i < steps.length; i++) {
		const { rank, kind } = steps[i]!.traits;
		if (rank !== 1 && rank !== 2) continue;
		held += 1;
		for (let j = 0; j < i; j++) {
			const before = steps[j]!.traits;
			if (before.rank === 0 && kinds.isRelated(before.kind, kind)) {
				moved += 1;
				break;
			}
		}
	}
	return held ? moved / held : 0;
}

function carriedOver(steps: readonly ScoredItem[], kinds: Kinds, overall: number): number {
	let [sum, changes] = [0, 0];
	for (let i = 1; i < steps.length; i++) {
		const [a, b] = [steps[i - 1]!.traits, steps[i]!.traits];
		if (a.movement.position === b.movement.position) continue;
		sum += kinds.alike(a.kind, b.kind);
		changes += 1;
	}
	return changes ? sum / changes - overall : 0;
}

function isCopy(a: ScoredItem, b: ScoredItem, kinds: Kinds): boolean {
	return (
		a.unit !== b.unit &&
		kinds.alike(a.traits.kind, b.traits.kind) >= SIMILARITY.copy &&
		a.traits.movement.position === b.traits.movement.position &&
		a.traits.mode === b.traits.mode &&
		b.traits.demand - a.traits.demand <= FELT_DEMAND
	);
}

function tissueFocus(steps: readonly ScoredItem[]): number {
	const seconds = new Array<number>(PARTS).fill(0);
	let all = 0;
	for (const { traits, seconds: own } of steps)
		for (const part of traits.parts) {
			seconds[part]! += own;
			all += own;
		}
	const most = seconds.sort((a, b) => b - a);
	return all ? (most[0]! + most[1]! + most[2]!) / all : 0;
}

/** 1 where the most demanding step is own work for the group’s purposes in the peak, less for what is missing of that. */
function peakOf(steps: readonly ScoredItem[], purposes: ReadonlySet<string>): number {
	const most = Math.max(...steps.map((s) => s.traits.demand));
	const top = steps.filter((s) => s.section === 'peak' && s.traits.demand >= most - FELT_DEMAND);
	if (!top.length) return 0;
	const own = top.some((s) => s.traits.strong);
	const serves =
		purposes.size === 0 || top.some((s) => s.traits.movement.purposes.some((p) => purposes.has(p)));
	return (1 + Number(own) + Number(serves)) / 3;
}

/** The share of heavy ends of blocks after which something easier or a pause comes at once. */
function released(steps: readonly ScoredItem[]): number {
	let [ends, eased] = [0, 0];
	for (let i = 0; i + 1 < steps.length; i++) {
		const s = steps[i]!;
		const next = steps[i + 1]!;
		if (s.traits.demand < HEAVY_DEMAND || next.unit === s.unit) continue;
		ends += 1;
		if (next.traits.demand <= 2 || next.traits.reset || s.noticed > 0) eased += 1;
	}
	return ends ? eased / ends : 1;
}

/** Words at the beginning, on the way and at the end, and two pauses: the share of these five that is there. */
function cuedShare(steps: readonly ScoredItem[], wordsBefore: readonly number[]): number {
	const n = steps.length;
	const begins = wordsBefore.some((before) => before <= 1);
	const ends = wordsBefore.some((before) => before >= n - 1 && before > 1);
	const on = wordsBefore.some((before) => before > 1 && before < n - 1);
	const pauses = Math.min(2, steps.filter((s) => s.noticed > 0).length);
	return (Number(begins) + Number(ends) + Number(on) + pauses) / 5;
}
