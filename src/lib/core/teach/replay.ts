import { groupCheckInOf } from './counts';
import type { EventTime, RunAct, RunEvent } from './events';
import { READY, Steps, type RunState, type Visit } from './state';
import type { Script, Step } from './types';

/** The number that says which repetition of a step it is: "+1" for the first one added. */
const suffixOf = (id: string): string => /\+\d+$/.exec(id)?.[0] ?? '';

/**
 * Where a class is after its events; the same events always give the same. What an event cannot do in the state that it
 * meets (pausing what is paused, moving on after the end) it does not do, and its time passes all the same.
 *
 * @param events in the order in which they happened on one device
 */
export function replay(script: Script, events: readonly RunEvent[]): RunState {
	const steps = new Steps(script);
	let state = notBegun(script);
	let last: RunEvent | null = null;
	for (const event of events) {
		state = happened(state, steps, last, event);
		last = event;
	}
	return state;
}

/** Before the first event. */
export const notBegun = (script: Script): RunState => ({
	...READY,
	order: script.steps.map(({ id }) => id)
});

/** The state after one more event, with the time since the last one. */
export function happened(state: RunState, steps: Steps, last: RunEvent | null, event: RunEvent): RunState {
	return act(passed(state, steps, last, event), steps, event);
}

function passed(state: RunState, steps: Steps, last: RunEvent | null, event: RunEvent): RunState {
	if (!last) return state;
	if (event.do !== 'reopened') return elapse(state, steps, msBetween(last, event));
	const alive = elapse(state, steps, msBetween(last, event.alive));
	return away(alive, msBetween(event.alive, event));
}

/** Milliseconds from one event to the next: by the clock that only runs on, by the wall's where the page was opened anew. */
export function msBetween(before: EventTime, after: EventTime): number {
	const ms = before.boot === after.boot ? after.monoMs - before.monoMs : after.at - before.at;
	return Math.max(0, ms);
}

/** How long a step is to take: as long as the first side took, or as planned, adjusted and added to; milliseconds. */
export function goalMs(state: RunState, steps: Steps, id: string): number {
	const step = steps.get(id);
	const adjusted = state.adjustments.reduce<number | undefined>(
		(found, { seconds }) => seconds[step.id] ?? found,
		undefined
	);
	const more = (state.more[id] ?? 0) * 1000;
	if (step.equals !== null) {
		const first = step.equals + suffixOf(id);
		if (state.done.has(first)) return givenMs(state, first) + more;
	}
	return (adjusted ?? step.seconds) * 1000 + more;
}

/** What a step was given so far, over all its visits. */
export function givenMs(state: RunState, id: string): number {
	return state.visits.reduce((sum, visit) => (visit.step === id ? sum + visit.givenMs : sum), 0);
}

/** Whether a step is left out, by hand or to come out on time. */
export function isLeftOut(state: RunState, id: string): boolean {
	return state.leftOut.has(id) || state.adjustments.some(({ leftOut }) => leftOut.includes(id));
}

/** Index of the step that comes after the present one; -1 where none does. */
export function nextIndex(state: RunState): number {
	return state.order.findIndex(
		(id, index) => index > state.at && !isLeftOut(state, id) && !state.done.has(id)
	);
}

/** The step that is given now. */
export const presentId = (state: RunState): string => state.order[state.at]!;

/** The state so many milliseconds later, with nothing done meanwhile; by the clock it moves on. */
export function elapse(state: RunState, steps: Steps, ms: number): RunState {
	if (ms <= 0 || state.mode === 'ready') return state;
	if (state.mode === 'ended') return { ...state, sinceEndMs: state.sinceEndMs + ms };
	if (state.mode === 'paused')
		return { ...state, elapsedMs: state.elapsedMs + ms, pausedMs: state.pausedMs + ms };
	let now = state;
	let left = ms;
	while (goesOnByItself(now, steps)) {
		const until = Math.max(0, goalMs(now, steps, presentId(now)) - now.visits.at(-1)!.givenMs);
		if (left < until) break;
		now = moveTo(give(now, until), nextIndex(now), true);
		left -= until;
	}
	return give(now, left);
}

function goesOnByItself(state: RunState, steps: Steps): boolean {
	return (
		state.lead === 'clock' &&
		!state.waits &&
		!state.waitsIn.includes(steps.get(presentId(state)).kind) &&
		!state.waitsAt.has(presentId(state)) &&
		nextIndex(state) >= 0
	);
}

/** Time that passes in the present step. */
function give(state: RunState, ms: number): RunState {
	const visit = state.visits.at(-1)!;
	return {
		...state,
		elapsedMs: state.elapsedMs + ms,
		visits: [...state.visits.slice(0, -1), { ...visit, givenMs: visit.givenMs + ms }]
	};
}

const visitOf = ({ elapsedMs, done }: RunState, step: string): Visit => ({
	step,
	fromMs: elapsedMs,
	givenMs: 0,
	again: done.has(step)
});

/** Leaves the present step, which is done then, for another. */
function moveTo(state: RunState, at: number, isDone: boolean): RunState {
	const done = isDone ? new Set(state.done).add(presentId(state)) : state.done;
	return {
		...state,
		done,
		at,
		waits: false,
		visits: [...state.visits, visitOf({ ...state, done }, state.order[at]!)]
	};
}

function act(state: RunState, steps: Steps, event: RunEvent): RunState {
	const does: RunAct = event;
	const isOn = state.mode === 'running' || state.mode === 'paused';
	switch (does.do) {
		case 'here':
			return { ...state, here: does.here };
		case 'start':
			if (state.mode !== 'ready' || state.order.length === 0) return state;
			return {
				...state,
				mode: 'running',
				plannedStartAt: does.plannedStartAt,
				startedAt: event.at,
				visits: [visitOf(state, state.order[0]!)]
			};
		case 'lead':
			return { ...state, lead: does.by, waitsIn: does.waitsIn, waits: false };
		case 'wait': {
			const waitsAt = new Set(state.waitsAt);
			if (does.waits) waitsAt.add(does.step);
			else waitsAt.delete(does.step);
			return { ...state, waitsAt };
		}
		case 'swap': {
			const { [does.item]: _before, ...others } = state.swaps;
			return { ...state, swaps: does.to ? { ...others, [does.item]: does.to } : others };
		}
		case 'next': {
			if (!isOn) return state;
			const next = nextIndex(state);
			return next < 0
				? { ...state, mode: 'ended', done: new Set(state.done).add(presentId(state)) }
				: { ...moveTo(state, next, true), mode: 'running' };
		}
		case 'back':
			return back(state);
		case 'pause':
			return state.mode === 'running' ? { ...state, mode: 'paused' } : state;
		case 'resume':
			return state.mode === 'paused' ? { ...state, mode: 'running' } : state;
		case 'more': {
			if (!isOn) return state;
			const id = presentId(state);
			return { ...state, more: { ...state.more, [id]: (state.more[id] ?? 0) + does.seconds } };
		}
		case 'one more set':
			return isOn ? oneMoreSet(state, steps) : state;
		case 'leave out':
			return leaveOut(state, does.steps);
		case 'bring back':
			return bringBack(state, does.steps);
		case 'jump': {
			const at = state.order.indexOf(does.step);
			return isOn && at >= 0 && at !== state.at ? { ...moveTo(state, at, true), mode: 'running' } : state;
		}
		case 'adjust': {
			const adjustment = { event: event.id, seconds: does.seconds, leftOut: does.leftOut };
			return { ...state, adjustments: [...state.adjustments, adjustment] };
		}
		case 'note': {
			if (state.mode === 'ready') return state;
			const note = { step: presentId(state), atMs: state.elapsedMs, words: does.words };
			return { ...state, notes: [...state.notes, note] };
		}
		case 'count': {
			if (state.mode === 'ready') return state;
			const counted = groupCheckInOf(does);
			const others = state.counts.filter((one) => one.test !== does.test || one.moment !== does.moment);
			return { ...state, counts: [...others, counted] };
		}
		case 'end':
			return isOn ? { ...state, mode: 'ended', done: new Set(state.done).add(presentId(state)) } : state;
		case 'take back': {
			const adjustments = state.adjustments.filter((adjustment) => adjustment.event !== does.event);
			return { ...state, adjustments };
		}
		case 'reopened':
			return state;
	}
}

/** Undoes the last move: what passed since then belongs to the step before. Also takes back the end. */
function back(state: RunState): RunState {
	if (state.mode === 'ended') {
		const done = undone(state, state.visits.at(-1)!);
		return {
			...give({ ...state, mode: 'running', done, waits: true }, state.sinceEndMs),
			sinceEndMs: 0
		};
	}
	const [before, present] = state.visits.slice(-2);
	if (state.mode === 'ready' || !before || !present) return state;
	return {
		...state,
		done: undone(state, before),
		at: state.order.indexOf(before.step),
		waits: true,
		visits: [...state.visits.slice(0, -2), { ...before, givenMs: before.givenMs + present.givenMs }]
	};
}

/** What was given, without the step of a visit that goes on; where that was a return it was given all the same. */
function undone({ done }: RunState, { step, again }: Visit): ReadonlySet<string> {
	const without = new Set(done);
	if (!again) without.delete(step);
	return without;
}

/** Another set of the present work after it, with the rest between; the second side gets it too. */
function oneMoreSet(state: RunState, steps: Steps): RunState {
	const id = presentId(state);
	const step = steps.get(id);
	if (step.kind !== 'work') return state;
	const number = state.order.filter((other) => steps.get(other).id === step.id).length;
	const rest = steps.script.steps.find(
		(other) => other.kind === 'rest' && other.itemId === step.itemId && other.side === step.side
	);
	const added = (work: string, resting: Step | undefined) => [
		...(resting ? [`${resting.id}+${number}`] : []),
		`${work}+${number}`
	];
	const order = [...state.order];
	order.splice(state.at + 1, 0, ...added(step.id, rest));
	const twin = steps.script.steps.find((other) => other.equals === step.id);
	const place = twin ? order.lastIndexOf(twin.id) : -1;
	if (twin && place > state.at) {
		const twinRest = steps.script.steps.find(
			(other) => other.kind === 'rest' && other.itemId === twin.itemId && other.side === twin.side
		);
		order.splice(place + 1, 0, ...added(twin.id, twinRest));
	}
	return { ...state, order };
}

/** What is done already stays done; where the present step is left out the next one begins. */
function leaveOut(state: RunState, ids: readonly string[]): RunState {
	if (state.mode === 'ended') return state;
	const open = ids.filter((id) => state.order.includes(id) && !state.done.has(id));
	const without = { ...state, leftOut: new Set([...state.leftOut, ...open]) };
	if (state.mode === 'ready' || !open.includes(presentId(state))) return without;
	const next = nextIndex(without);
	if (next < 0) return state;
	return { ...moveTo(without, next, false), mode: 'running' };
}

/** What was left out or jumped over is given after all: right after the present step where its place has gone by. */
function bringBack(state: RunState, ids: readonly string[]): RunState {
	const leftOut = new Set(state.leftOut);
	for (const id of ids) leftOut.delete(id);
	const adjustments = state.adjustments.map((adjustment) => ({
		...adjustment,
		leftOut: adjustment.leftOut.filter((id) => !ids.includes(id))
	}));
	const gone = state.order.filter((id, index) => ids.includes(id) && index < state.at && !state.done.has(id));
	const present = state.order[state.at]!;
	const others = state.order.filter((id) => !gone.includes(id));
	const at = others.indexOf(present);
	return {
		...state,
		leftOut,
		adjustments,
		at,
		order: [...others.slice(0, at + 1), ...gone, ...others.slice(at + 1)]
	};
}

/** The page was gone for a while: a pause, and the class is where it was. */
function away(state: RunState, ms: number): RunState {
	if (state.mode === 'ready') return state;
	if (state.mode === 'ended') return { ...state, sinceEndMs: state.sinceEndMs + ms };
	return {
		...state,
		elapsedMs: state.elapsedMs + ms,
		pausedMs: state.pausedMs + ms,
		awayMs: state.awayMs + ms
	};
}
