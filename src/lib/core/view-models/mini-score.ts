import { LEVELS, type Score } from './score';

/** A score so small that only its shape is seen, in a box of 100 by 30. */
export interface MiniScore {
	/** The body's way up and down, as an SVG path. */
	body: string;
	/** Intensity as bars that stand on the floor of the box. */
	bars: { x: number; width: number; height: number }[];
}

const WIDTH = 100;
const HEIGHT = 30;
/** Where the body's line runs: the upper part; intensity has the lower. */
const LINE_TO = 14;
const BAR_MOST = 13;

const n = (value: number) => Number(value.toFixed(1));

/** The score of a class in small, for its card. */
export function miniScore({ spanSeconds, body, intensity, totalSeconds }: Score): MiniScore {
	const x = (seconds: number) => n((WIDTH * seconds) / Math.max(1, spanSeconds));
	const y = (level: number) => n(1 + (LINE_TO * level) / (LEVELS.length - 1));
	let path = '';
	for (const [i, [second, level]] of body.entries())
		path += i === 0 ? `M${x(second)} ${y(level)}` : `H${x(second)}V${y(level)}`;
	return {
		body: totalSeconds > 0 ? path : '',
		bars: intensity.map(({ x: from, width, value }) => ({
			x: x(from),
			width: Math.max(0.6, x(width)),
			height: n((BAR_MOST * value) / 5)
		}))
	};
}

export const MINI_SCORE_BOX = { width: WIDTH, height: HEIGHT } as const;
