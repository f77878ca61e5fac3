import type { Model } from './model';
import type { Program } from './program';

/** Less than this is not worth a cut. */
const WORTH = 0.02;

/**
 * Adds a row for every group of places of one part that a solution visits more than it enters: what goes into a group
 * from outside is at least what any of its places is visited (generalised subtour elimination, after Dantzig, Fulkerson
 * and Johnson 1954; the groups by maximum flow, Ford and Fulkerson 1956; both from memory).
 * @returns how many rows were added
 */
export function cutOff(solution: Float64Array, { places, arcs }: Model, program: Program): number {
	let added = 0;
	const seen = new Set<string>();
	for (const section of new Set(places.map((place) => place.section))) {
		const own = places.flatMap((place, at) => (place.section === section ? [at] : []));
		const number = new Map(own.map((at, i) => [at, i + 1]));
		for (const at of own) {
			const visited = solution[places[at]!.visited]!;
			if (visited < WORTH) continue;
			// node 0 is everything outside the part
			const capacity = Array.from({ length: own.length + 1 }, () => new Float64Array(own.length + 1));
			for (const { from, to, taken } of arcs)
				if (number.has(to)) capacity[number.get(from) ?? 0]![number.get(to)!]! += solution[taken]!;
			const { flow, reached } = maximumFlow(capacity, 0, number.get(at)!);
			if (flow > visited - WORTH) continue;
			const group = new Set(own.filter((place) => !reached.has(number.get(place)!)));
			const key = [at, ...group].join();
			if (seen.has(key)) continue;
			seen.add(key);
			program.row(0, Infinity, [
				...arcs.filter((a) => group.has(a.to) && !group.has(a.from)).map((a) => [a.taken, 1] as const),
				[places[at]!.visited, -1]
			]);
			added += 1;
		}
	}
	return added;
}

/** Shortest augmenting paths: a part has a few dozen places. */
function maximumFlow(
	capacity: Float64Array[],
	from: number,
	to: number
): { flow: number; reached: Set<number> } {
	const left = capacity.map((row) => row.slice());
	let flow = 0;
	for (;;) {
		const before = new Map<number, number>([[from, -1]]);
		const queue = [from];
		while (queue.length && !before.has(to)) {
			const at = queue.shift()!;
			for (let next = 0; next < left.length; next++)
				if (left[at]![next]! > 1e-7 && !before.has(next)) {
					before.set(next, at);
					queue.push(next);
				}
		}
		if (!before.has(to)) return { flow, reached: new Set(before.keys()) };
		const path: [number, number][] = [];
		for (let at = to; at !== from; at = before.get(at)!) path.push([before.get(at)!, at]);
		const most = Math.min(...path.map(([a, b]) => left[a]![b]!));
		for (const [a, b] of path) {
			left[a]![b]! -= most;
			left[b]![a]! += most;
		}
		flow += most;
	}
}
