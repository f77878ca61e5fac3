import { number, object } from 'yup';

/** Where a movement of the hip ends, as people feel it: asked before anything is offered from a test. Common practice, no source. */
export const STOPS = [
	'stretch at the back',
	'stretch at the inner thigh',
	'stretch in front',
	'front pinch',
	'bony stop',
	'knee',
	'low back',
	'fear or balance'
] as const;
export type StopReason = (typeof STOPS)[number];

/** How many people name each stop. */
export type StopCounts = Partial<Record<StopReason, number>>;

const STRETCHES: ReadonlySet<StopReason> = new Set([
	'stretch at the back',
	'stretch at the inner thigh',
	'stretch in front'
]);

/** Whether tissue at length ends the movement: only then does more of it help. */
export const isStretchStop = (stop: StopReason): boolean => STRETCHES.has(stop);

/** Schema of the counts of stops. */
export const stopCountsSchema = (most: number) =>
	object(Object.fromEntries(STOPS.map((stop) => [stop, number().integer().min(0).max(most)])))
		.noUnknown()
		.default(undefined);

/** Returns the stop that most people name, the one of least stretch first where two are named alike; null where nothing was asked. */
export function mainStop(stops: StopCounts | undefined): StopReason | null {
	const named = STOPS.filter((stop) => (stops?.[stop] ?? 0) > 0).reverse();
	return named.reduce<StopReason | null>(
		(most, stop) => (most === null || stops![stop]! > stops![most]! ? stop : most),
		null
	);
}

/** Returns the same counts with one more, or one fewer, person at a stop; never under none. */
export const withOneStop = (stops: StopCounts, stop: StopReason, by: 1 | -1): StopCounts => ({
	...stops,
	[stop]: Math.max(0, (stops[stop] ?? 0) + by)
});
