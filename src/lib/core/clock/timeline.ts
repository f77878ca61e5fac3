import type { Leg } from '../anatomy';
import type { Position } from '../movement';

/** Phases of the time of a class. `work` is the movement itself; the others surround it. */
export const PHASES = [
	'move',
	'fetch',
	'setUp',
	'explain',
	'work',
	'setRest',
	'change',
	'notice',
	'leave',
	'talk',
	'test'
] as const;
export type Phase = (typeof PHASES)[number];

export const PHASE_NAME: Record<Phase, string> = {
	move: 'changing position',
	fetch: 'fetching kit',
	setUp: 'getting into the shape',
	explain: 'explaining',
	work: 'the work itself',
	setRest: 'resting between sets',
	change: 'changing sides',
	notice: 'noticing',
	leave: 'coming out',
	talk: 'talking',
	test: 'testing'
};

/** Which part a leg has: `both` in a symmetrical movement, `turns` where each leads half of the time. */
export type LegPart = 'lead' | 'trail' | 'both' | 'turns';

/** Figures of the pace for a change of sides; a slow switch has a length of its own. */
export type ChangeFigure = 'changeSidesSeconds' | 'changeSidesWithPropSeconds' | 'slow-switch';

/** One stretch of a class in which one thing happens: whole seconds from the beginning; `to` is where the next begins. */
export interface TimelineEntry {
	phase: Phase;
	sectionId: string;
	blockId: string;
	/** Null for words and tests. */
	itemId: string | null;
	movement: string | null;
	/** Null where nothing has a side. */
	side: 1 | 2 | null;
	/** The leg that leads; null in a symmetrical movement and where the sides take turns. */
	leads: Leg | null;
	legs: Record<Leg, LegPart> | null;
	/** Only passed through: neither held nor trained. */
	passed?: true;
	/** The figure of the pace that a change of sides takes. */
	changeBy?: ChangeFigure;
	position: Position;
	fromSeconds: number;
	toSeconds: number;
}

/** A class, second by second, without gaps. */
export interface Timeline {
	entries: TimelineEntry[];
	totalSeconds: number;
}
