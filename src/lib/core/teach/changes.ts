import { addGiven, give, moveTo } from './passing';
import type { Adjustment, StepVisit, Steps } from './state';
import type { StateDraft } from './state-draft';
import { nextIndex, presentId } from './state-reads';
import type { Replacement, ScriptStep } from './types';

/** Undoes the last move: what passed since then belongs to the step before. Also takes back the end. */
export function back(state: StateDraft): void {
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
export function swap(state: StateDraft, steps: Steps, item: string, to: Replacement | null): void {
	state.order.forEach((id, index) => {
		if (steps.get(id).itemId !== item || index < state.at || state.done.has(id)) return;
		if (to) state.swapped.set(id, to);
		else state.swapped.delete(id);
	});
}

/** More sets than this are not added: the class would be another one. */
const MOST_ADDED_STEPS = 400;

/** Another set of the present work after it, with the rest between; the second side gets it too. */
export function oneMoreSet(state: StateDraft, steps: Steps): void {
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
export function leaveOutSteps(state: StateDraft, ids: readonly string[]): void {
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
export function bringBack(state: StateDraft, ids: readonly string[]): void {
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

/** Adds an adjustment, unless all of them together would name too many steps. */
export function addAdjustment(state: StateDraft, adjustment: Adjustment): void {
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
export function sumUp({ adjusted, adjustments }: StateDraft): void {
	adjusted.seconds.clear();
	adjusted.leftOut.clear();
	for (const { seconds, leftOut } of adjustments) {
		for (const [id, s] of Object.entries(seconds)) adjusted.seconds.set(id, s);
		for (const id of leftOut) adjusted.leftOut.add(id);
	}
}
