import { DIRECTIONS } from '../../anatomy';
import {
	FELT_DEMAND,
	INTENSE,
	LEAST_ENTROPY,
	LONGEST_CHAIN,
	MOST_KIT_KINDS,
	MOST_VISITS,
	type GuardId
} from './amounts';
import type { ClassFeatures, ScoredItem } from './features';
import { joined } from './terms';

/** How often each guard is passed. */
export function guardsOf({ steps, kinds }: ClassFeatures): Record<GuardId, number> {
	const n = steps.length;
	const inUnit = new Map<number, number>();
	const visits = new Map<number, number>();
	const kit = new Set<string>();
	let [restsBefore, pointlessResets, backAndForth] = [0, 0, 0];
	for (let i = 0; i < n; i++) {
		const { unit, traits, noticed } = steps[i]!;
		inUnit.set(unit, (inUnit.get(unit) ?? 0) + 1);
		if (!traits.rest) visits.set(traits.kind, (visits.get(traits.kind) ?? 0) + 1);
		else if (i < n - 1) restsBefore += 1;
		for (const kind of traits.kit) kit.add(kind);
		// a reset after nothing heavy, or after a reset; with a pause it is the pause
		if (
			!noticed &&
			traits.reset &&
			traits.demand <= 2 &&
			i > 0 &&
			i < n - 1 &&
			steps[i]!.section !== 'warm'
		) {
			const before = steps[i - 1]!.traits;
			if (before.reset || before.demand < INTENSE) pointlessResets += 1;
		}
		const [a, b] = [traits.movement.position, steps[i + 1]?.traits.movement.position];
		if (b && a !== b && i + 2 < n)
			if (steps[i + 2]!.traits.movement.position === a || steps[i + 3]?.traits.movement.position === a)
				backAndForth += 1;
	}
	let [tooLong, tooOften] = [0, 0];
	for (const count of inUnit.values()) tooLong += Math.max(0, count - LONGEST_CHAIN);
	for (const count of visits.values()) tooOften += Math.max(0, count - MOST_VISITS);
	const changes = joined(steps, (a, b) => a.traits.movement.position !== b.traits.movement.position);
	return {
		longChain: tooLong,
		badLink: joined(steps, (a, b) => a.unit === b.unit && !kinds.canLink(a.traits.kind, b.traits.kind)),
		copyInARow: joined(
			steps,
			(a, b) =>
				a.traits.kind === b.traits.kind &&
				b.traits.demand - a.traits.demand <= FELT_DEMAND &&
				b.traits.rank <= a.traits.rank
		),
		tooOften,
		rests:
			joined(steps, (a, b) => a.traits.rest && b.traits.rest) + Math.max(0, restsBefore - Math.max(2, n / 5)),
		pointlessResets: pointlessResets - n / 10,
		backAndForth: backAndForth - n / 10,
		travel: changes - (n - 1) / 2,
		oneSided: 10 * (LEAST_ENTROPY - directionEntropy(steps)),
		kit: kit.size - MOST_KIT_KINDS
	};
}

/** Entropy (nats) of the direction time. */
function directionEntropy(steps: readonly ScoredItem[]): number {
	const seconds = DIRECTIONS.map(() => 0);
	let all = 0;
	for (const { traits, seconds: own } of steps)
		for (let d = 0; d < seconds.length; d++) {
			seconds[d]! += traits.directions[d]! * own;
			all += traits.directions[d]! * own;
		}
	if (!all) return LEAST_ENTROPY;
	return -seconds.reduce((sum, s) => (s > 0 ? sum + (s / all) * Math.log(s / all) : sum), 0);
}
