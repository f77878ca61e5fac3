import type { SessionState, Steps } from './state';
import type { StateDraft } from './state-draft';
import { goalMs, nextIndex, presentId } from './state-reads';

/** Lets `ms` milliseconds pass; where the clock leads, the class moves on. */
export function pass(state: StateDraft, steps: Steps, ms: number): void {
	if (ms <= 0 || state.mode === 'ready') return;
	if (state.mode === 'ended') {
		state.sinceEndMs += ms;
		return;
	}
	if (state.mode === 'paused') {
		state.elapsedMs += ms;
		state.pausedMs += ms;
		return;
	}
	let left = ms;
	while (goesOnByItself(state, steps)) {
		const until = Math.max(0, goalMs(state, steps, presentId(state)) - state.visits.at(-1)!.givenMs);
		if (left < until) break;
		give(state, until);
		moveTo(state, nextIndex(state), true);
		left -= until;
	}
	give(state, left);
}

function goesOnByItself(state: SessionState, steps: Steps): boolean {
	return (
		state.lead === 'clock' &&
		!state.waits &&
		!state.waitsIn.includes(steps.get(presentId(state)).kind) &&
		!state.waitsAt.has(presentId(state)) &&
		nextIndex(state) >= 0
	);
}

/** Time that passes in the present step. */
export function give(state: StateDraft, ms: number): void {
	const visit = state.visits.at(-1)!;
	state.elapsedMs += ms;
	state.visits[state.visits.length - 1] = { ...visit, givenMs: visit.givenMs + ms };
	addGiven(state, visit.step, ms);
}

/** Adds milliseconds to what a step was given; takes them away where `ms` is negative. */
export function addGiven({ given }: StateDraft, step: string, ms: number): void {
	const now = (given.get(step) ?? 0) + ms;
	if (now > 0) given.set(step, now);
	else given.delete(step);
}

/** Begins a stay in a step. */
export function visit(state: StateDraft, at: number): void {
	const step = state.order[at]!;
	state.at = at;
	state.waits = false;
	state.visits.push({ step, fromMs: state.elapsedMs, givenMs: 0, again: state.done.has(step) });
}

/** Leaves the present step for another; it is done then, unless it was left out or passed by. */
export function moveTo(state: StateDraft, at: number, isDone: boolean): void {
	if (isDone) state.done.add(presentId(state));
	visit(state, at);
}

/** The page was gone for a while: a pause, and the class is where it was. */
export function away(state: StateDraft, ms: number): void {
	if (state.mode === 'ready') return;
	if (state.mode === 'ended') {
		state.sinceEndMs += ms;
		return;
	}
	state.elapsedMs += ms;
	state.pausedMs += ms;
	state.awayMs += ms;
}
