import { otherLeg, type Leg } from '../anatomy';
import { goalMs, isLeftOut, givenMs, nextIndex, presentId } from './state-reads';
import type { SessionState, Steps } from './state';
import type { Count, ScriptStep } from './types';

/** Work of a movement that one leg has had and the other has not. */
export interface OwedSide {
	itemId: string;
	title: string;
	/** The leg that has yet to lead. */
	leg: Leg;
	/** Milliseconds that the other side was given. */
	ms: number;
	/** Its steps, which `bring back` takes; empty where the class has none for it. */
	steps: string[];
	/** It comes by itself; otherwise it was left out or passed by. */
	comes: boolean;
}

/** The content of the teaching screen at a moment. */
export interface Now {
	id: string;
	step: ScriptStep;
	/** Milliseconds planned for the step, and given so far. */
	goalMs: number;
	givenMs: number;
	/** In a second side: what the first really took. */
	firstSideMs: number | null;
	count: (Count & { done: number }) | null;
	/** The next thing to do, and the next shape where that is something else. */
	next: ScriptStep | null;
	nextShape: ScriptStep | null;
	owed: OwedSide[];
	/** Still to come from now on, milliseconds. */
	remainingMs: number;
}

/** Returns the content of the teaching screen for a state. */
export function nowOf(state: SessionState, steps: Steps): Now {
	const id = presentId(state);
	const step = steps.shown(state, id);
	const given = givenMs(state, id);
	const goal = goalMs(state, steps, id);
	const next = nextIndex(state);
	const following = state.order
		.slice(state.at + 1)
		.filter((other) => !isLeftOut(state, other) && !state.done.has(other))
		.map((other) => steps.shown(state, other));
	return {
		id,
		step,
		goalMs: goal,
		givenMs: given,
		firstSideMs: step.equals !== null && state.done.has(step.equals) ? givenMs(state, step.equals) : null,
		count: step.count && countNow(step.count, goal, given),
		next: next < 0 ? null : steps.shown(state, state.order[next]!),
		nextShape:
			following.find((other) => other.blockId !== step.blockId || other.itemId !== step.itemId) ?? null,
		owed: owedSides(state, steps),
		remainingMs: state.mode === 'ended' ? 0 : remainingMs(state, steps)
	};
}

/** How many are done of what is counted; it goes on past the amount where the group stays longer. */
function countNow(count: Count, goal: number, given: number): Count & { done: number } {
	// the second side takes as long as the first did, and so does each breath of it
	const eachMs = goal / count.amount;
	return { ...count, eachSeconds: eachMs / 1000, done: Math.floor(given / eachMs) };
}

/** Returns the milliseconds still to come: the rest of the present step, and all later steps that are not left out. */
export function remainingMs(state: SessionState, steps: Steps): number {
	return state.order.reduce((sum, id, index) => {
		if (index < state.at || isLeftOut(state, id)) return sum;
		if (index > state.at && state.done.has(id)) return sum;
		const goal = goalMs(state, steps, id);
		return sum + (index === state.at ? Math.max(0, goal - givenMs(state, id)) : goal);
	}, 0);
}

/** Less than this is not worth a word. Common practice, no source. */
const ON_TIME_MS = 30_000;

/** Whether a class that is so far behind (or, negative, ahead) counts as on time. */
export const isOnTime = (behindMs: number): boolean => Math.abs(behindMs) < ON_TIME_MS;

/** How far behind its time a class is, milliseconds; negative where it is ahead. Before it begins 0. */
export function behindMs(state: SessionState, steps: Steps): number {
	if (state.mode === 'ready') return 0;
	const ends = state.startedAt + state.elapsedMs + (state.mode === 'ended' ? 0 : remainingMs(state, steps));
	return ends - (state.plannedStartAt + steps.script.lengthSeconds * 1000);
}

/** When it ends as it looks now, milliseconds since 1970. */
export const endsAt = (state: SessionState, steps: Steps): number =>
	state.plannedStartAt + steps.script.lengthSeconds * 1000 + behindMs(state, steps);

/**
 * Sides that were given while the other was not, in the order of the class. A movement that took the place of another on
 * one side is owed to the other leg too; no step of the class is there for that.
 */
export function owedSides(state: SessionState, steps: Steps): OwedSide[] {
	const work = state.order
		.map((id) => ({ id, step: steps.shown(state, id), instead: state.swapped.get(id)?.movement ?? '' }))
		.filter(({ step }) => step.kind === 'work' && step.leg !== null && step.itemId !== null);
	const sidesOf = new Map<string, Set<1 | 2 | null>>();
	const movements = new Map<string, typeof work>();
	for (const one of work) {
		const itemId = one.step.itemId!;
		sidesOf.set(itemId, (sidesOf.get(itemId) ?? new Set()).add(one.step.side));
		const key = `${itemId} ${one.instead}`;
		movements.set(key, [...(movements.get(key) ?? []), one]);
	}
	const place = new Map(state.order.map((id, index) => [id, index]));
	return [...movements.values()].flatMap((own): OwedSide[] => {
		const given = own.filter(({ id }) => givenMs(state, id) > 0);
		const first = given[0]?.step;
		if (!first || sidesOf.get(first.itemId!)!.size < 2) return [];
		if (given.some(({ step }) => step.side !== first.side)) return [];
		const other = own.filter(({ step }) => step.side !== first.side);
		const getIn = other.length
			? state.order.filter((id) => {
					const step = steps.get(id);
					const isOfIt = step.itemId === first.itemId && step.side !== first.side && step.side !== null;
					return isOfIt && !state.done.has(id);
				})
			: [];
		return [
			{
				itemId: first.itemId!,
				title: first.title,
				leg: otherLeg(first.leg!),
				ms: given.reduce((sum, { id }) => sum + givenMs(state, id), 0),
				steps: getIn,
				comes: other.some(({ id }) => place.get(id)! > state.at && !isLeftOut(state, id))
			}
		];
	});
}
