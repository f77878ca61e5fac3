/** One dose that may change: amounts `min`, `min + 1`, ... with the seconds that each takes. */
export interface AdjustableDose {
	itemId: string;
	/** Amount that `seconds[0]` belongs to. */
	min: number;
	current: number;
	/** Amounts that may be chosen; `current` may lie outside. */
	allowed: readonly [number, number];
	/** Amounts are multiples of this, or the current one: 5 for held seconds, so that the teacher need not count to 43. */
	step: number;
	/** Non-decreasing seconds of each amount, all passes together. */
	seconds: number[];
	secondsPerUnit: number;
	/** How much a change of this dose counts. */
	weight: number;
}

export type Choice =
	| { ok: true; amounts: number[]; cost: number }
	| {
			ok: false;
			kind: 'too-long' | 'too-short' | 'no-exact-sum';
			missingSeconds: number;
			leastSeconds: number;
			mostSeconds: number;
			nearest: number[];
	  };

/** One amount of a dose, seen as a choice: what it takes and what it costs. */
interface AmountChoice {
	amount: number;
	seconds: number;
	cost: number;
}

/**
 * The cost of taking an amount: weight x (change in seconds)^2 / (range in seconds), so that wide doses
 * give way more than narrow ones, in proportion to what they have. Seconds, not breaths, are compared.
 */
function changeCost(dose: AdjustableDose, amount: number): number {
	const change = (amount - dose.current) * dose.secondsPerUnit;
	return (dose.weight * change * change) / rangeOf(dose);
}

function rangeOf(dose: AdjustableDose): number {
	return Math.max(1, (dose.allowed[1] - dose.allowed[0]) * dose.secondsPerUnit);
}

function optionsOf(dose: AdjustableDose): AmountChoice[] {
	const options: AmountChoice[] = [];
	for (let amount = dose.allowed[0]; amount <= dose.allowed[1]; amount++) {
		if (amount % dose.step !== 0 && amount !== dose.current) continue;
		options.push({
			amount,
			seconds: dose.seconds[amount - dose.min] as number,
			cost: changeCost(dose, amount)
		});
	}
	return options.length ? options : optionsOf({ ...dose, step: 1 });
}

/**
 * Continuous least-cost seconds of each dose with the given sum (water-filling): all changes are in the same
 * proportion of range / weight until one meets a limit. Exact, by going through the breakpoints in order.
 * @returns seconds per dose and the multiplier (cost of one more second); null when the sum is out of reach
 */
export function waterFill(
	adjustable: readonly AdjustableDose[],
	totalSeconds: number
): { seconds: number[]; price: number } | null {
	const start = adjustable.map((k) => k.current * k.secondsPerUnit);
	const low = adjustable.map((k) => k.allowed[0] * k.secondsPerUnit);
	const high = adjustable.map((k) => k.allowed[1] * k.secondsPerUnit);
	const give = adjustable.map((k) => rangeOf(k) / (2 * k.weight));
	const at = (price: number) =>
		adjustable.map((_, i) => Math.min(high[i]!, Math.max(low[i]!, start[i]! + price * give[i]!)));
	const sum = (values: number[]) => values.reduce((a, b) => a + b, 0);
	const tolerance = 1e-9 * Math.max(1, Math.abs(totalSeconds));
	if (totalSeconds < sum(low) - tolerance || totalSeconds > sum(high) + tolerance) return null;

	const breakpoints = adjustable
		.flatMap((_, i) => [(low[i]! - start[i]!) / give[i]!, (high[i]! - start[i]!) / give[i]!])
		.sort((a, b) => a - b);
	let lowest = 0;
	let highest = breakpoints.length - 1;
	while (highest - lowest > 1) {
		const middle = (lowest + highest) >> 1;
		if (sum(at(breakpoints[middle]!)) <= totalSeconds) lowest = middle;
		else highest = middle;
	}
	const from = breakpoints[lowest] ?? 0;
	const to = breakpoints[highest] ?? 0;
	const sumFrom = sum(at(from));
	const slope = sum(at(to)) - sumFrom;
	const price = slope <= 0 ? from : from + ((totalSeconds - sumFrom) / slope) * (to - from);
	return { seconds: at(price), price };
}

/**
 * The amounts with the given sum of seconds and the least cost: exact.
 * A dynamic program over a narrow window round the water level gives a first answer; the multiplier then
 * rules out every amount that no better answer can contain, and a second pass over what is left proves it.
 */
export function chooseAmounts(adjustable: readonly AdjustableDose[], totalSeconds: number): Choice {
	const all = adjustable.map(optionsOf);
	const least = all.reduce((sum, options) => sum + options[0]!.seconds, 0);
	const most = all.reduce((sum, options) => sum + options.at(-1)!.seconds, 0);
	const failure = (kind: 'too-long' | 'too-short', missingSeconds: number): Choice => ({
		ok: false,
		kind,
		missingSeconds,
		leastSeconds: least,
		mostSeconds: most,
		nearest: []
	});
	if (totalSeconds < least) return failure('too-long', least - totalSeconds);
	if (totalSeconds > most) return failure('too-short', totalSeconds - most);

	const level = waterFill(adjustable, Math.min(most, Math.max(least, totalSeconds)));
	const price = level?.price ?? 0;
	for (let window = 2; ; window *= 4) {
		const near = all.map((options, i) => {
			const centre = level ? level.seconds[i]! / adjustable[i]!.secondsPerUnit : adjustable[i]!.current;
			return options.filter((o) => Math.abs(o.amount - centre) <= window);
		});
		const whole = near.every((options, i) => options.length === all[i]!.length);
		const first = near.every((options) => options.length > 0) ? bestSum(near, totalSeconds) : null;
		if (first)
			return whole ? { ok: true, ...first } : { ok: true, ...proven(all, first, price, totalSeconds) };
		if (whole) break;
	}
	const nearest = [reachable(all, totalSeconds, -1), reachable(all, totalSeconds, 1)].filter(
		(s) => s !== null
	);
	return {
		ok: false,
		kind: 'no-exact-sum',
		missingSeconds: Math.min(...nearest.map((s) => Math.abs(s - totalSeconds))),
		leastSeconds: least,
		mostSeconds: most,
		nearest
	};
}

/**
 * Reduced-cost fixing: with any price p, sum of min(cost - p x seconds) + p x total is a lower bound, and an
 * amount whose own surplus over its minimum exceeds (best known - bound) is in no better answer.
 */
function proven(
	all: AmountChoice[][],
	known: { amounts: number[]; cost: number },
	price: number,
	totalSeconds: number
): { amounts: number[]; cost: number } {
	const cheapest = all.map((options) => Math.min(...options.map((o) => o.cost - price * o.seconds)));
	const bound = cheapest.reduce((a, b) => a + b, 0) + price * totalSeconds;
	const gap = known.cost - bound + 1e-9;
	const left = all.map((options, i) =>
		options.filter((o) => o.cost - price * o.seconds - cheapest[i]! <= gap)
	);
	const better = left.every((options) => options.length > 0) ? bestSum(left, totalSeconds) : null;
	return better && better.cost < known.cost ? better : known;
}

/** Dynamic program over (dose, seconds so far): least cost with exactly this sum, or null when none has it. */
export function bestSum(
	choices: readonly (readonly AmountChoice[])[],
	totalSeconds: number
): { amounts: number[]; cost: number } | null {
	const offset = choices.reduce((sum, options) => sum + options[0]!.seconds, 0);
	const room = totalSeconds - offset;
	if (room < 0) return null;
	const layers: Int16Array[] = [];
	let costs = new Float64Array(room + 1).fill(Infinity);
	costs[0] = 0;
	let reach = 0;
	for (const options of choices) {
		const base = options[0]!.seconds;
		const next = new Float64Array(room + 1).fill(Infinity);
		const chosen = new Int16Array(room + 1);
		for (const [index, option] of options.entries()) {
			const step = option.seconds - base;
			const last = Math.min(reach, room - step);
			for (let s = 0; s <= last; s++) {
				const cost = costs[s]! + option.cost;
				if (cost < next[s + step]!) {
					next[s + step] = cost;
					chosen[s + step] = index;
				}
			}
		}
		reach = Math.min(room, reach + options.at(-1)!.seconds - base);
		layers.push(chosen);
		costs = next;
	}
	const cost = costs[room]!;
	if (cost === Infinity) return null;
	const amounts: number[] = [];
	let at = room;
	for (let i = choices.length - 1; i >= 0; i--) {
		const options = choices[i]!;
		const option = options[layers[i]![at]!]!;
		amounts[i] = option.amount;
		at -= option.seconds - options[0]!.seconds;
	}
	return { amounts, cost };
}

/** The nearest sum in one direction that the options can reach, or null. */
function reachable(all: AmountChoice[][], totalSeconds: number, step: 1 | -1): number | null {
	const limit = all.reduce((sum, options) => sum + options.at(-1)!.seconds, 0);
	let sums = new Uint8Array(limit + 1);
	sums[0] = 1;
	for (const options of all) {
		const next = new Uint8Array(limit + 1);
		for (const { seconds } of options)
			for (let s = 0; s + seconds <= limit; s++) if (sums[s]) next[s + seconds] = 1;
		sums = next;
	}
	for (let s = totalSeconds; s >= 0 && s <= limit; s += step) if (sums[s]) return s;
	return null;
}
