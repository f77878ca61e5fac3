import type { ComingFrom, Stop } from './cost';
import { mayCome, type Rules } from './rules';

/** A way through the sections so far: where it leaves the group, what it lost, and the order it took. */
export interface PartialOrder {
	here: ComingFrom;
	cost: number;
	order: Record<string, string[]>;
}

export type Cost = (from: ComingFrom, to: number) => number;

/**
 * All best ways through one section, one for each block it may end with: a dynamic program over the sets of blocks
 * that have come (Held and Karp). Words change nothing of where people are, so the place before them is carried on.
 */
export function exactOrders(
	sectionId: string,
	stops: readonly Stop[],
	rules: Rules,
	warm: number,
	entries: readonly PartialOrder[],
	cost: Cost
): PartialOrder[] {
	const n = stops.length;
	const sets = 1 << n;
	// the last block with a body position; n stands for none yet: then the entry decides
	const states = n + 1;
	const best = new Float64Array(sets * states).fill(Infinity);
	const from = new Int32Array(sets * states).fill(-1);
	const entryOf = new Int32Array(sets * states).fill(-1);
	const placed = new Int8Array(sets * states).fill(-1);
	for (const [e, entry] of entries.entries())
		if (entry.cost < best[n]!) {
			best[n] = entry.cost;
			entryOf[n] = e;
		}
	for (let set = 0; set < sets - 1; set++) {
		const count = bits(set);
		for (let b = 0; b < n; b++) {
			if (set & (1 << b) || !mayCome(b, (i) => (set & (1 << i)) !== 0, count, rules, warm)) continue;
			const next = set | (1 << b);
			for (let last = 0; last < states; last++) {
				const at = set * states + last;
				if (best[at] === Infinity) continue;
				const to = stops[b]!.leave ? b : last;
				const goal = next * states + to;
				if (last === n) {
					// nothing has come that moves anybody: every way in is tried
					for (const [e, entry] of entries.entries()) {
						const sum = entry.cost + cost(entry.here, b);
						if (to === n ? e === entryOf[at] && best[at]! < best[goal]! : sum < best[goal]!) {
							best[goal] = to === n ? best[at]! : sum;
							from[goal] = at;
							entryOf[goal] = e;
							placed[goal] = b;
						}
					}
					continue;
				}
				const sum = best[at]! + cost(stops[last]!.leave, b);
				if (sum < best[goal]!) {
					best[goal] = sum;
					from[goal] = at;
					entryOf[goal] = entryOf[at]!;
					placed[goal] = b;
				}
			}
		}
	}
	const found: PartialOrder[] = [];
	for (let last = 0; last < states; last++) {
		const at = (sets - 1) * states + last;
		if (best[at] === Infinity) continue;
		const entry = entries[entryOf[at]!]!;
		found.push({
			here: last === n ? entry.here : stops[last]!.leave,
			cost: best[at]!,
			order: { ...entry.order, [sectionId]: wayTo(at, from, placed, stops) }
		});
	}
	return found.length ? found : asItStands(sectionId, stops, entries, cost);
}

/** Returns the ids of the blocks in the order that leads to a state, by going back over how each state came about. */
function wayTo(state: number, from: Int32Array, placed: Int8Array, stops: readonly Stop[]): string[] {
	const ids: string[] = [];
	for (let at = state; placed[at]! !== -1; at = from[at]!) ids.unshift(stops[placed[at]!]!.blockId);
	return ids;
}

/** Where the rules contradict each other nothing is moved. */
export function asItStands(
	sectionId: string,
	stops: readonly Stop[],
	entries: readonly PartialOrder[],
	cost: Cost
): PartialOrder[] {
	return entries.map((entry) => {
		let { here, cost: sum } = entry;
		for (const [i, stop] of stops.entries()) {
			sum += cost(here, i);
			here = stop.leave ?? here;
		}
		return { here, cost: sum, order: { ...entry.order, [sectionId]: stops.map((s) => s.blockId) } };
	});
}

function bits(set: number): number {
	let count = 0;
	for (let s = set; s; s &= s - 1) count += 1;
	return count;
}
