import { groupCheckInOf } from './counts';
import type { EventTime, SessionAction, SessionEvent } from './events';
import { READY, Steps, type Adjustment, type SessionState, type StepVisit } from './state';
import type { Replacement, Script, ScriptStep } from './types';

/** The number that says which repetition of a step it is: "+1" for the first one added. */
const suffixOf = (id: string): string => /\+\d+$/.exec(id)?.[0] ?? '';

/**
 * Where a class is after its events; the same events always give the same. What an event cannot do in the state that it
 * meets (pausing what is paused, moving on after the end) it does not do, and its time passes all the same. Each event
 * costs time in proportion to the length of the script, however many came before it.
 *
 * @param events in the order in which they happened on one device
 */
export function replay(script: Script, events: readonly SessionEvent[]): SessionState {
	const steps = new Steps(script);
	const state = draftOf(notBegun(script));
	let last: SessionEvent | null = null;
	for (const event of events) {
		happen(state, steps, last, event);
		last = event;
	}
	return state;
}

/** Before the first event. */
export const notBegun = (script: Script): SessionState => ({
	...READY,
	order: script.steps.map(({ id }) => id)
});

/** The state after one more event, with the time since the last one. */
export function happened(
	state: SessionState,
	steps: Steps,
	last: SessionEvent | null,
	event: SessionEvent
): SessionState {
	const draft = draftOf(state);
	happen(draft, steps, last, event);
	return draft;
}

/** Returns the state `ms` milliseconds later without any action; where the clock leads, it moves on. */
export function elapse(state: SessionState, steps: Steps, ms: number): SessionState {
	if (ms <= 0 || state.mode === 'ready') return state;
	const draft = draftOf(state);
	pass(draft, steps, ms);
	return draft;
}

/** The state with one more adjustment. */
export function adjust(state: SessionState, adjustment: Adjustment): SessionState {
	const draft = draftOf(state);
	addAdjustment(draft, adjustment);
	return draft;
}

/** A state that is being worked out, and that nobody else holds. */
interface StateDraft extends Omit<
	SessionState,
	| 'waitsAt'
	| 'order'
	| 'visits'
	| 'given'
	| 'done'
	| 'leftOut'
	| 'swapped'
	| 'adjustments'
	| 'adjusted'
	| 'more'
	| 'notes'
	| 'counts'
> {
	waitsAt: Set<string>;
	order: string[];
	visits: StepVisit[];
	given: Map<string, number>;
	done: Set<string>;
	leftOut: Set<string>;
	swapped: Map<string, Replacement>;
	adjustments: Adjustment[];
	adjusted: { seconds: Map<string, number>; leftOut: Set<string> };
	more: Map<string, number>;
	notes: SessionState['notes'][number][];
	counts: SessionState['counts'][number][];
}

const draftOf = (state: SessionState): StateDraft => ({
	...state,
	waitsAt: new Set(state.waitsAt),
	order: [...state.order],
	visits: [...state.visits],
	given: new Map(state.given),
	done: new Set(state.done),
	leftOut: new Set(state.leftOut),
	swapped: new Map(state.swapped),
	adjustments: [...state.adjustments],
	adjusted: { seconds: new Map(state.adjusted.seconds), leftOut: new Set(state.adjusted.leftOut) },
	more: new Map(state.more),
	notes: [...state.notes],
	counts: [...state.counts]
});

function happen(state: StateDraft, steps: Steps, last: SessionEvent | null, event: SessionEvent): void {
	if (last && event.do === 'reopened') {
		pass(state, steps, msBetween(last, event.alive));
		away(state, msBetween(event.alive, event));
	} else if (last) pass(state, steps, msBetween(last, event));
	act(state, steps, event);
}

/** Milliseconds from one event to the next: by the clock that only runs on, by the wall's where the page was opened anew. */
export function msBetween(before: EventTime, after: EventTime): number {
	const ms = before.boot === after.boot ? after.monoMs - before.monoMs : after.at - before.at;
	return Math.max(0, ms);
}

/** How long a step is to take: as long as the first side took, or as planned, adjusted and added to; milliseconds. */
export function goalMs(state: SessionState, steps: Steps, id: string): number {
	const step = steps.get(id);
	const more = (state.more.get(id) ?? 0) * 1000;
	if (step.equals !== null) {
		const first = step.equals + suffixOf(id);
		if (state.done.has(first)) return givenMs(state, first) + more;
	}
	return (state.adjusted.seconds.get(step.id) ?? step.seconds) * 1000 + more;
}

/** Returns the milliseconds that a step was given so far, over all its visits. */
export const givenMs = (state: Pick<SessionState, 'given'>, id: string): number => state.given.get(id) ?? 0;

/** Whether a step is left out, by hand or to come out on time. */
export const isLeftOut = (state: SessionState, id: string): boolean =>
	state.leftOut.has(id) || state.adjusted.leftOut.has(id);

/** Index of the step that comes after the present one; -1 where none does. */
export function nextIndex(state: SessionState): number {
	for (let index = state.at + 1; index < state.order.length; index++) {
		const id = state.order[index]!;
		if (!isLeftOut(state, id) && !state.done.has(id)) return index;
	}
	return -1;
}

/** The step that is given now. */
export const presentId = (state: Pick<SessionState, 'order' | 'at'>): string => state.order[state.at]!;

function pass(state: StateDraft, steps: Steps, ms: number): void {
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
function give(state: StateDraft, ms: number): void {
	const visit = state.visits.at(-1)!;
	state.elapsedMs += ms;
	state.visits[state.visits.length - 1] = { ...visit, givenMs: visit.givenMs + ms };
	addGiven(state, visit.step, ms);
}

function addGiven({ given }: StateDraft, step: string, ms: number): void {
	const now = (given.get(step) ?? 0) + ms;
	if (now > 0) given.set(step, now);
	else given.delete(step);
}

/** Begins a stay in a step. */
function visit(state: StateDraft, at: number): void {
	const step = state.order[at]!;
	state.at = at;
	state.waits = false;
	state.visits.push({ step, fromMs: state.elapsedMs, givenMs: 0, again: state.done.has(step) });
}

/** Leaves the present step for another; it is done then, unless it was left out or passed by. */
function moveTo(state: StateDraft, at: number, isDone: boolean): void {
	if (isDone) state.done.add(presentId(state));
	visit(state, at);
}

function act(state: StateDraft, steps: Steps, event: SessionEvent): void {
	const does: SessionAction = event;
	const isOn = state.mode === 'running' || state.mode === 'paused';
	switch (does.do) {
		case 'here':
			state.here = does.here;
			return;
		case 'start':
			if (state.mode !== 'ready' || state.order.length === 0) return;
			state.mode = 'running';
			state.plannedStartAt = does.plannedStartAt;
			state.startedAt = event.at;
			visit(state, 0);
			return;
		case 'lead':
			state.lead = does.by;
			state.waitsIn = does.waitsIn;
			state.waits = false;
			return;
		case 'wait':
			if (!does.waits) state.waitsAt.delete(does.step);
			else if (state.order.includes(does.step)) state.waitsAt.add(does.step);
			return;
		case 'swap':
			return swap(state, steps, does.item, does.to);
		case 'next':
			return isOn ? next(state) : undefined;
		case 'back':
			return back(state);
		case 'pause':
			if (state.mode === 'running') state.mode = 'paused';
			return;
		case 'resume':
			if (state.mode === 'paused') state.mode = 'running';
			return;
		case 'more': {
			const id = presentId(state);
			if (isOn) state.more.set(id, (state.more.get(id) ?? 0) + does.seconds);
			return;
		}
		case 'one more set':
			return isOn ? oneMoreSet(state, steps) : undefined;
		case 'leave out':
			return leaveOutSteps(state, does.steps);
		case 'bring back':
			return bringBack(state, does.steps);
		case 'jump': {
			const at = state.order.indexOf(does.step);
			if (!isOn || at < 0 || at === state.at) return;
			moveTo(state, at, true);
			state.mode = 'running';
			return;
		}
		case 'adjust':
			return addAdjustment(state, { event: event.id, seconds: does.seconds, leftOut: does.leftOut });
		case 'note':
			if (state.mode !== 'ready')
				state.notes.push({ step: presentId(state), atMs: state.elapsedMs, words: does.words });
			return;
		case 'count':
			if (state.mode === 'ready') return;
			state.counts = state.counts.filter((one) => one.test !== does.test || one.moment !== does.moment);
			state.counts.push(groupCheckInOf(does));
			return;
		case 'end':
		case 'hand over':
			if (!isOn) return;
			state.wasHandedOver = does.do === 'hand over';
			state.mode = 'ended';
			state.done.add(presentId(state));
			return;
		case 'take back':
			state.adjustments = state.adjustments.filter((adjustment) => adjustment.event !== does.event);
			sumUp(state);
			return;
		case 'slept':
			if (does.taught) pass(state, steps, does.ms);
			else away(state, does.ms);
			return;
		case 'reopened':
			return;
	}
}

function next(state: StateDraft): void {
	const at = nextIndex(state);
	if (at >= 0) moveTo(state, at, true);
	else state.done.add(presentId(state));
	state.mode = at < 0 ? 'ended' : 'running';
}

/** Undoes the last move: what passed since then belongs to the step before. Also takes back the end. */
function back(state: StateDraft): void {
	if (state.mode === 'ended') {
		state.mode = 'running';
		state.wasHandedOver = false;
		undoAction(state, state.visits.at(-1)!);
		state.waits = true;
		give(state, state.sinceEndMs);
		state.sinceEndMs = 0;
		return;
	}
	const [before, present] = state.visits.slice(-2);
	if (state.mode === 'ready' || !before || !present) return;
	undoAction(state, before);
	state.at = state.order.indexOf(before.step);
	state.waits = true;
	state.visits.pop();
	state.visits[state.visits.length - 1] = { ...before, givenMs: before.givenMs + present.givenMs };
	addGiven(state, present.step, -present.givenMs);
	addGiven(state, before.step, present.givenMs);
}

/** The step of a visit goes on: it is not done any more. Where the visit was a return it was given all the same. */
function undoAction(state: StateDraft, { step, again }: StepVisit): void {
	if (!again) state.done.delete(step);
}

/** Another movement in place of an item, in what of it is still to come; what was given stays as it was. */
function swap(state: StateDraft, steps: Steps, item: string, to: Replacement | null): void {
	state.order.forEach((id, index) => {
		if (steps.get(id).itemId !== item || index < state.at || state.done.has(id)) return;
		if (to) state.swapped.set(id, to);
		else state.swapped.delete(id);
	});
}

/** More sets than this are not added: the class would be another one. */
const MOST_ADDED_STEPS = 400;

/** Another set of the present work after it, with the rest between; the second side gets it too. */
function oneMoreSet(state: StateDraft, steps: Steps): void {
	const id = presentId(state);
	const step = steps.get(id);
	const isFull = state.order.length >= steps.script.steps.length + MOST_ADDED_STEPS;
	if (step.kind !== 'work' || isFull) return;
	const number = state.order.filter((other) => steps.get(other).id === step.id).length;
	const restOf = ({ itemId, side }: ScriptStep) =>
		steps.script.steps.find(
			(other) => other.kind === 'rest' && other.itemId === itemId && other.side === side
		);
	const add = (after: string, work: ScriptStep) => {
		const resting = restOf(work);
		const added = [...(resting ? [`${resting.id}+${number}`] : []), `${work.id}+${number}`];
		state.order.splice(state.order.lastIndexOf(after) + 1, 0, ...added);
		const instead = state.swapped.get(after);
		if (instead) for (const one of added) state.swapped.set(one, instead);
	};
	add(id, step);
	const twin = steps.script.steps.find((other) => other.equals === step.id);
	if (twin && state.order.lastIndexOf(twin.id) > state.at) add(twin.id, twin);
}

/** Leaves steps out. Steps already given stay given; where the present step is left out, the next one begins. */
function leaveOutSteps(state: StateDraft, ids: readonly string[]): void {
	if (state.mode === 'ended') return;
	const known = new Set(state.order);
	const open = new Set(ids.filter((id) => known.has(id) && !state.done.has(id)));
	const before = [...open].filter((id) => !state.leftOut.has(id));
	for (const id of before) state.leftOut.add(id);
	if (state.mode === 'ready' || !open.has(presentId(state))) return;
	const at = nextIndex(state);
	if (at < 0) for (const id of before) state.leftOut.delete(id);
	else {
		moveTo(state, at, false);
		state.mode = 'running';
	}
}

/** Brings skipped steps back: right after the present step where their place has passed. */
function bringBack(state: StateDraft, ids: readonly string[]): void {
	const wanted = new Set(ids);
	for (const id of wanted) state.leftOut.delete(id);
	if (ids.some((id) => state.adjusted.leftOut.has(id))) {
		state.adjustments = state.adjustments.map((adjustment) => ({
			...adjustment,
			leftOut: adjustment.leftOut.filter((id) => !wanted.has(id))
		}));
		sumUp(state);
	}
	const isGone = (id: string, index: number) => wanted.has(id) && index < state.at && !state.done.has(id);
	const gone = state.order.filter(isGone);
	if (gone.length === 0) return;
	const present = presentId(state);
	const others = state.order.filter((id, index) => !isGone(id, index));
	state.at = others.indexOf(present);
	state.order = [...others.slice(0, state.at + 1), ...gone, ...others.slice(state.at + 1)];
}

/** Steps that all adjustments of a class may name together; what goes beyond is not done. */
const MOST_ADJUSTED_STEPS = 4000;

function addAdjustment(state: StateDraft, adjustment: Adjustment): void {
	const all = [...state.adjustments, adjustment];
	const named = all.reduce(
		(sum, { seconds, leftOut }) => sum + 1 + Object.keys(seconds).length + leftOut.length,
		0
	);
	if (named > MOST_ADJUSTED_STEPS) return;
	state.adjustments = all;
	sumUp(state);
}

/** Works out what the adjustments come to: of two that name one step the later counts. */
function sumUp({ adjusted, adjustments }: StateDraft): void {
	adjusted.seconds.clear();
	adjusted.leftOut.clear();
	for (const { seconds, leftOut } of adjustments) {
		for (const [id, s] of Object.entries(seconds)) adjusted.seconds.set(id, s);
		for (const id of leftOut) adjusted.leftOut.add(id);
	}
}

/** The page was gone for a while: a pause, and the class is where it was. */
function away(state: StateDraft, ms: number): void {
	if (state.mode === 'ready') return;
	if (state.mode === 'ended') {
		state.sinceEndMs += ms;
		return;
	}
	state.elapsedMs += ms;
	state.pausedMs += ms;
	state.awayMs += ms;
}
