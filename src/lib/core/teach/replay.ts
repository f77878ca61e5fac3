import { groupCheckInOf } from './counts';
import type { EventTime, SessionAction, SessionEvent } from './events';
import { addAdjustment, back, bringBack, leaveOutSteps, oneMoreSet, sumUp, swap } from './changes';
import { away, moveTo, pass, visit } from './passing';
import { READY, Steps, type Adjustment, type SessionState } from './state';
import { draftOf, type StateDraft } from './state-draft';
import { nextIndex, presentId } from './state-reads';
import type { Script } from './types';

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
