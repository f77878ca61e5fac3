import type { Direction } from '../anatomy';
import type { Severity } from '../checks';
import { POSITION_SHORT } from '../movement';
import { LEVELS, ticksOf, type Score, type ScoreBlock } from './score';

/** A rectangle of a drawing, in pixels from its top left corner. */
export interface Box {
	x: number;
	y: number;
	width: number;
	height: number;
}

/** A bar of work in the score. */
export interface DrawnWork extends Box {
	direction: Direction | null;
	/** Where the sign of the direction is written; null where there is no room for it. */
	sign: { x: number; y: number; small: boolean } | null;
}

/** A block in the score. */
export interface DrawnBlock {
	block: ScoreBlock;
	frame: Box;
	fetch: (Box & { kit: string }) | null;
	work: DrawnWork[];
	/** Handle for dragging the dose. */
	edge: Box;
}

/** The score as it is drawn: everything in pixels, nothing left to be worked out. */
export interface ScoreDrawing {
	width: number;
	height: number;
	/** `name` null where there is no room for it. */
	sections: (Box & { id: string; name: string | null })[];
	levels: { name: string; x: number; y: number; rule: { from: number; to: number; y: number } }[];
	/** The body's way up and down, as the path of an SVG. */
	body: string;
	blocks: DrawnBlock[];
	tests: (Box & {
		blockId: string;
		name: string;
		atSeconds: number;
		label: { x: number; y: number } | null;
	})[];
	intensityLabel: { x: number; y: number };
	intensity: Box[];
	peak: { x: number; y: number } | null;
	ticks: { seconds: number; x: number; from: number; to: number; labelY: number }[];
	/** Where the class should end. */
	end: { x: number; to: number };
	marks: { x: number; y: number; severity: Severity; message: string }[];
	/** Returns the seconds of the class that a number of pixels covers. */
	secondsOf: (pixels: number) => number;
}

/** Pixels. The left column holds the names of the lines; the right one half of the widest label of a tick. */
const LEFT = 104;
const RIGHT = 22;
const TOP = 22;
const LINE = 19;
const INTENSITY = 40;
const BELOW = 22;
const INTENSITY_STEP = 6;
const EDGE = 7;
/** Least pixels between ticks. */
const TICK = 44;
/** Least pixels for a section's name, a direction's sign, the word "test". */
const ROOM = { name: 34, sign: 15, test: 22 };

/** Returns the scale of a drawn score in pixels per second, for a width in pixels and a zoom factor. */
function scaleOf(score: Score, widthPixels: number, zoom: number): { pixels: number; perSecond: number } {
	// a page that is not laid out yet, or hidden, has no width: nothing may be drawn with less than none
	const pixels = Math.max(0, widthPixels - LEFT - RIGHT) * zoom;
	return { pixels, perSecond: pixels / Math.max(1, score.spanSeconds) };
}

/** Draws a score into a width in pixels, at a zoom factor. */
export function drawScore(score: Score, widthPixels: number, zoom: number): ScoreDrawing {
	const { pixels, perSecond } = scaleOf(score, widthPixels, zoom);
	const x = (seconds: number) => LEFT + seconds * perSecond;
	const long = (seconds: number) => seconds * perSecond;
	const y = (level: number) => TOP + level * LINE;
	const bottom = y(LEVELS.length);
	const foot = bottom + INTENSITY;
	const boxOn = (level: number, at: { x: number; width: number }): Box => ({
		x: x(at.x),
		y: y(level) + 1,
		width: Math.max(2, long(at.width) - 1),
		height: LINE - 2
	});
	return {
		width: LEFT + pixels + RIGHT,
		height: foot + BELOW,
		sections: score.sections.map(({ id, name, ...section }) => ({
			id,
			name: long(section.width) > ROOM.name ? name : null,
			x: x(section.x),
			y: 0,
			width: long(section.width),
			height: foot
		})),
		levels: LEVELS.map((level, index) => ({
			name: POSITION_SHORT[level],
			x: LEFT - 8,
			y: y(index) + LINE / 2,
			rule: { from: LEFT, to: LEFT + pixels, y: y(index) + LINE }
		})),
		body: score.body
			.map(([seconds, level], i) => `${i ? `H${x(seconds)}V` : `M${x(seconds)} `}${y(level) + LINE / 2}`)
			.join(''),
		blocks: score.blocks.map((block) => ({
			block,
			frame: boxOn(block.level, block),
			fetch: block.fetch && {
				x: x(block.fetch.x),
				y: y(block.level) + LINE / 2 - 2,
				width: Math.max(2, long(block.fetch.width)),
				height: 4,
				kit: block.fetch.kit
			},
			work: block.work.map((work) => drawnWork(work, x(work.x), long(work.width), y(block.level))),
			edge: { ...boxOn(block.level, block), x: x(block.x + block.width) - EDGE, width: EDGE }
		})),
		tests: score.tests.map((test) => ({
			...boxOn(test.level, test),
			blockId: test.blockId,
			name: test.name,
			atSeconds: test.x,
			label:
				long(test.width) > ROOM.test
					? { x: x(test.x) + long(test.width) / 2, y: y(test.level) + LINE / 2 }
					: null
		})),
		intensityLabel: { x: LEFT - 8, y: bottom + INTENSITY / 2 + 4 },
		intensity: score.intensity.map((step) => ({
			x: x(step.x),
			y: foot - step.value * INTENSITY_STEP,
			width: Math.max(1, long(step.width)),
			height: step.value * INTENSITY_STEP
		})),
		peak: score.peak && {
			x: x(score.peak.atSeconds),
			y: foot - score.peak.intensity * INTENSITY_STEP - 2
		},
		ticks: ticksOf(score.spanSeconds, pixels / TICK).map((seconds) => ({
			seconds,
			x: x(seconds),
			from: foot,
			to: foot + 4,
			labelY: foot + 15
		})),
		end: { x: x(score.lengthSeconds), to: foot + 4 },
		marks: score.marks.map(({ severity, message, ...mark }) => ({
			x: x(mark.x) - 6,
			y: bottom + 1,
			severity,
			message
		})),
		secondsOf: (by) => (perSecond > 0 ? by / perSecond : 0)
	};
}

/** One leg's work fills half of the line, that of both the whole. */
const HALVES = {
	upper: { y: 2, height: LINE / 2 - 2 },
	lower: { y: LINE / 2, height: LINE / 2 - 2 },
	whole: { y: 2, height: LINE - 4 }
};

function drawnWork(
	{ half, direction }: ScoreBlock['work'][number],
	x: number,
	width: number,
	lineY: number
): DrawnWork {
	const { y, height } = HALVES[half];
	return {
		x,
		y: lineY + y,
		width: Math.max(1, width - 1),
		height,
		direction,
		sign:
			direction && half !== 'lower' && width > ROOM.sign
				? { x: x + width / 2, y: lineY + y + height / 2 + 0.5, small: half !== 'whole' }
				: null
	};
}

/** Returns whether a press this many pixels before the right edge of a block grips the edge. */
export const takesEdge = (pixelsBefore: number): boolean => pixelsBefore <= EDGE;
