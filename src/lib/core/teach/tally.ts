import type { Leg } from '../anatomy';
import { countsWords } from '../hip-tests';
import { sizeOf, type Attendance } from '../people';
import { itemsOf, PLAN_LIMITS, type ClassPlan } from '../plan';
import { RECORD_LIMITS, type ClassNotes } from '../record';
import type { SessionEvent } from './events';
import { listOf, type ListLine } from './list';
import { behindMs } from './now';
import { replay } from './replay';
import { givenMs, isLeftOut } from './state-reads';
import { Steps, type SessionState } from './state';
import { STEP_KINDS, type Script, type StepKind } from './types';

/** One line of the class as it was planned and as it was given; whole seconds. */
export interface TallyLine {
	id: string;
	title: string;
	leg: Leg | null;
	planned: number;
	real: number;
	standing: ListLine['standing'];
}

/** Work of one item on both sides, whole seconds: what the first was given, and the second. */
export interface SidesTally {
	title: string;
	first: number;
	second: number;
}

/** A class that was led, planned and real side by side. */
export interface Tally {
	/** Milliseconds since 1970. */
	startedAt: number;
	/** False while it goes on, or where it was left open. */
	isOver: boolean;
	/** Another device went on with it. */
	wasHandedOver: boolean;
	planned: number;
	/** With its pauses. */
	real: number;
	paused: number;
	/** How far behind its time it ended, whole seconds; negative: before it. */
	behind: number;
	lines: TallyLine[];
	/** Where the time went: getting in, work, rests and so on. */
	kinds: { kind: StepKind; planned: number; real: number }[];
	sides: SidesTally[];
	/** Ids of items of which nothing was given. */
	leftOut: string[];
	here: Attendance | null;
	notes: { title: string; words: string }[];
	/** Counts of the tests, one sentence each. */
	counted: string[];
}

const whole = (ms: number): number => Math.round(ms / 1000);

/** Computes the record of a class from its events: every second is in exactly one line or pause. */
export function tally(script: Script, events: readonly SessionEvent[]): Tally {
	const steps = new Steps(script);
	const state = replay(script, events);
	const planned = (ids: readonly string[]) => ids.reduce((sum, id) => sum + plannedOf(steps, id), 0);
	const real = (ids: readonly string[]) => whole(ids.reduce((sum, id) => sum + givenMs(state, id), 0));
	return {
		startedAt: state.startedAt,
		isOver: state.mode === 'ended',
		wasHandedOver: state.wasHandedOver,
		planned: script.lengthSeconds,
		real: whole(state.elapsedMs),
		paused: whole(state.pausedMs),
		behind: whole(behindMs(state, steps)),
		lines: listOf(state, steps).map(({ id, title, leg, standing, steps: ids }) => ({
			id,
			title,
			leg,
			planned: planned(ids),
			real: real(ids),
			standing
		})),
		kinds: STEP_KINDS.map((kind) => {
			const ids = state.order.filter((id) => steps.get(id).kind === kind);
			return { kind, planned: planned(ids), real: real(ids) };
		}).filter(({ planned: p, real: r }) => p > 0 || r > 0),
		sides: sidesOf(state, steps),
		leftOut: leftOutItems(state, steps),
		here: state.here,
		notes: state.notes.map(({ step, words }) => ({ title: steps.shown(state, step).title, words })),
		counted: state.counts.map(countsWords)
	};
}

/** A set that was added was not planned. */
const plannedOf = (steps: Steps, id: string): number => {
	const step = steps.get(id);
	return step.id === id ? step.seconds : 0;
};

function itemIds(state: SessionState, steps: Steps): string[] {
	return [...new Set(state.order.flatMap((id) => steps.get(id).itemId ?? []))];
}

/** Items that were planned alike on both sides, and given on both. */
function sidesOf(state: SessionState, steps: Steps): SidesTally[] {
	return itemIds(state, steps).flatMap((item): SidesTally[] => {
		const work = state.order.filter((id) => {
			const step = steps.get(id);
			return step.itemId === item && step.kind === 'work';
		});
		if (!work.some((id) => steps.get(id).equals !== null)) return [];
		const given = (side: 1 | 2) =>
			whole(work.reduce((sum, id) => (steps.get(id).side === side ? sum + givenMs(state, id) : sum), 0));
		const [first, second] = [given(1), given(2)];
		return first > 0 && second > 0 ? [{ title: steps.shown(state, work[0]!).title, first, second }] : [];
	});
}

/** How far behind (or, under 0, ahead) a class was after each of its lines, without its pauses. */
export interface Drift {
	title: string;
	/** Seconds of the class as planned, at the end of the line. */
	plannedTo: number;
	behind: number;
}

/** Where a class fell behind and where it caught up, line after line. */
export function driftOf({ lines }: Pick<Tally, 'lines'>): Drift[] {
	let [plannedTo, realTo] = [0, 0];
	return lines.map(({ title, planned, real }) => {
		plannedTo += planned;
		realTo += real;
		return { title, plannedTo, behind: realTo - plannedTo };
	});
}

/** Work of all items that were planned alike on both sides; null where none was given on both. */
export function sidesTogether({ sides }: Tally): { first: number; second: number } | null {
	if (sides.length === 0) return null;
	return sides.reduce(
		(sum, { first, second }) => ({ first: sum.first + first, second: sum.second + second }),
		{ first: 0, second: 0 }
	);
}

function leftOutItems(state: SessionState, steps: Steps): string[] {
	return itemIds(state, steps).filter((item) => {
		const own = state.order.filter((id) => steps.get(id).itemId === item);
		return (
			own.some((id) => isLeftOut(state, id)) &&
			own.every((id) => steps.get(id).kind !== 'work' || givenMs(state, id) === 0)
		);
	});
}

/** A shorter session was a try or a false start, not a class. Common practice, no source. */
const LEAST_CLASS_SECONDS = 300;

/** Whether a class was led to its end, so that it can be written down as taught. */
export const isTaught = ({ isOver, wasHandedOver, real }: Tally): boolean =>
	isOver && !wasHandedOver && real >= LEAST_CLASS_SECONDS;

/**
 * Returns the notes on a class that was led; the effort is asked for later. A movement counts as left out where no
 * item gave it.
 * @param plan null where it is not known any more: what was left out has no names then
 */
export function notesOfTally({ real, leftOut, here, notes }: Tally, plan: ClassPlan | null): ClassNotes {
	const items = plan ? itemsOf(plan) : [];
	const given = new Set(items.filter(({ id }) => !leftOut.includes(id)).map(({ movement }) => movement));
	const gone = items.map(({ movement }) => movement).filter((slug) => !given.has(slug));
	return {
		effort: null,
		minutes: Math.min(RECORD_LIMITS.minutes, Math.round(real / 60)),
		attendance: here ? Math.min(RECORD_LIMITS.attendance, sizeOf(here)) : null,
		leftOut: [...new Set(gone)].slice(0, RECORD_LIMITS.leftOut),
		note: notes
			.map(({ title, words }) => (title ? `${title}: ${words}` : words))
			.join('\n')
			.slice(0, PLAN_LIMITS.noteCharacters)
	};
}
