import type { ComingFrom, Stop } from './cost';
import { asItStands, exactOrders, type Cost, type PartialOrder } from './exact';
import { Path, type PathMove } from './path';
import { mayCome, type Rules } from './rules';

/**
 * Steps whose gain is worked out, in all: bounded by work and not by the clock, so that a class gives one order. The
 * steps from one order are as many as the cube of its blocks.
 */
const mostLooks = (blocks: number) => Math.min(60_000_000, 500 * blocks ** 3);
/** Tries to shake an order up in a way that breaks no rule, before another start is made. */
const SHAKES = 12;
/** After this many rounds the search restarts elsewhere: a good order has few better neighbours. */
const FRESH_EVERY = 40;
/** An order a little worse than the one before it is gone on from; the best is kept in any case. */
const WORSE_FACTOR = 1.02;
/** Blocks in a row that are put in their best order exactly, all else as it is. */
const WINDOW = 9;

/**
 * A good order of a section that is too large for the exact program: the cheapest next block again and again, then
 * runs of blocks are moved and turned round as long as that helps, then from shaken copies of it. Words to the group
 * keep their place and take people as they are, so only the order of the others costs anything. Deterministic.
 */
export function improvedOrder(
	sectionId: string,
	stops: readonly Stop[],
	rules: Rules,
	warm: number,
	entries: readonly PartialOrder[],
	cost: Cost,
	stop: () => boolean = () => false
): PartialOrder[] {
	const entry = entries.reduce((a, b) => (b.cost < a.cost ? b : a));
	const valid = (order: readonly number[]) => {
		const done = new Set<number>();
		for (const [count, b] of withFixed(order, rules).entries()) {
			if (!mayCome(b, (i) => done.has(i), count, rules, warm)) return false;
			done.add(b);
		}
		return true;
	};
	const path = new Path(
		stops.map((_, b) => cost(entry.here, b)),
		stops.map((from) => stops.map((_, b) => (from.leave ? cost(from.leave, b) : 0)))
	);
	const random = seeded();
	const start = (at?: (below: number) => number) => greedy(stops, rules, warm, entry.here, cost, at);
	const standing = movableOf(
		stops.map((_, i) => i),
		rules
	);
	const starts = [start(), standing].filter((order): order is number[] => order !== null && valid(order));
	if (starts.length === 0) return asItStands(sectionId, stops, entries, cost);

	let best = starts
		.map((order) => improve(order, path, valid))
		.reduce((a, b) => (path.total(b) < path.total(a) ? b : a));
	let now = best;
	for (let round = 1; path.looked < mostLooks(stops.length) && !stop(); round++) {
		const fresh = round % FRESH_EVERY === 0 ? start(random) : null;
		const from = fresh ?? shaken(now, random, valid);
		path.looked += from.length;
		if (!valid(from)) continue;
		const improved = improve(from, path, valid);
		if (path.total(improved) < path.total(best)) best = improved;
		if (fresh || path.total(improved) <= WORSE_FACTOR * path.total(now)) now = improved;
	}
	const order = exactInWindows(withFixed(best, rules), stops, rules, warm, entry.here, cost, (whole) =>
		path.total(movableOf(whole, rules))
	);
	const last = order.findLast((b) => stops[b]!.leave);
	return [
		{
			here: last === undefined ? entry.here : stops[last]!.leave,
			cost: entry.cost + path.total(movableOf(order, rules)),
			order: { ...entry.order, [sectionId]: order.map((b) => stops[b]!.blockId) }
		}
	];
}

/** Whole numbers below a limit, always the same ones. */
function seeded(): (below: number) => number {
	let state = 1;
	return (below) => {
		state = (Math.imul(state, 1664525) + 1013904223) >>> 0;
		return Math.floor((state / 4294967296) * below);
	};
}

/** The cheapest block that may come next, again and again; with `random` now and then one of the next cheapest. */
function greedy(
	stops: readonly Stop[],
	rules: Rules,
	warm: number,
	from: ComingFrom,
	cost: Cost,
	random?: (below: number) => number
): number[] | null {
	const order: number[] = [];
	const done = new Set<number>();
	let here = from;
	for (let count = 0; count < stops.length; count++) {
		const open = stops
			.map((_, b) => b)
			.filter((b) => !done.has(b) && mayCome(b, (i) => done.has(i), count, rules, warm))
			.sort((a, b) => cost(here, a) - cost(here, b) || a - b);
		const next = open[random ? Math.min(random(3), random(open.length)) : 0];
		if (next === undefined) return null;
		order.push(next);
		done.add(next);
		here = stops[next]!.leave ?? here;
	}
	return movableOf(order, rules);
}

/** The order with the blocks that keep their place put back there: only the others are moved about. */
function withFixed(movable: readonly number[], rules: Rules): number[] {
	const order: number[] = [];
	let next = 0;
	for (let place = 0; place < rules.place.length; place++) {
		const fixed = rules.place.indexOf(place);
		order.push(fixed === -1 ? movable[next++]! : fixed);
	}
	return order;
}

const movableOf = (order: readonly number[], rules: Rules) => order.filter((b) => rules.place[b] === -1);

/** Takes the best step that breaks no rule, as long as one helps. */
function improve(start: number[], path: Path, valid: (order: readonly number[]) => boolean): number[] {
	let order = start;
	for (;;) {
		let best: PathMove | null = null;
		let found: number[] | null = null;
		path.eachStep(order, (step) => {
			if (best && step.gain <= best.gain) return;
			const candidate = path.taken(order, step);
			if (!valid(candidate)) return;
			best = { ...step };
			found = candidate;
		});
		if (!found) return order;
		order = found;
	}
}

/** Three stretches of an order change places (a double bridge); as it was where no try breaks no rule. */
function shaken(
	order: number[],
	random: (below: number) => number,
	valid: (order: readonly number[]) => boolean
): number[] {
	for (let i = 0; i < SHAKES; i++) {
		const cuts = [0, 0, 0].map(() => random(order.length + 1)).sort((a, b) => a - b);
		const [a, b, c] = cuts as [number, number, number];
		const candidate = [...order.slice(0, a), ...order.slice(b, c), ...order.slice(a, b), ...order.slice(c)];
		if (valid(candidate)) return candidate;
	}
	return order;
}

/** Slides a window over the order and puts what is in it into its best order, until no window helps any more. */
function exactInWindows(
	start: number[],
	stops: readonly Stop[],
	rules: Rules,
	warm: number,
	from: ComingFrom,
	cost: Cost,
	total: (order: readonly number[]) => number
): number[] {
	let order = start;
	for (let at = 0; at + 2 <= order.length; at++) {
		const window = order.slice(at, at + WINDOW);
		const before = order.slice(0, at);
		const inWindow = (b: number) => window.indexOf(b);
		const last = before.findLast((b) => stops[b]!.leave);
		const own: Rules = {
			before: window.map((b) => rules.before[b]!.map(inWindow).filter((i) => i !== -1)),
			place: window.map((b) => (rules.place[b] === -1 ? -1 : rules.place[b]! - at)),
			warms: window.map((b) => rules.warms[b]!),
			wantsWarm: window.map((b) => rules.wantsWarm[b]!)
		};
		const warmed = before.reduce((sum, b) => sum + rules.warms[b]!, warm);
		const ways = exactOrders(
			'',
			window.map((b, i) => ({ ...stops[b]!, blockId: String(i) })),
			own,
			warmed,
			[{ here: last === undefined ? from : stops[last]!.leave, cost: 0, order: {} }],
			(here, to) => cost(here, window[to]!)
		);
		for (const { order: found } of ways) {
			const inner = (found[''] ?? []).map((i) => window[Number(i)]!);
			const candidate = [...before, ...inner, ...order.slice(at + WINDOW)];
			if (total(candidate) < total(order)) {
				order = candidate;
				at = -1;
				break;
			}
		}
	}
	return order;
}
