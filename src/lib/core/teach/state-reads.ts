import type { SessionState, Steps } from './state';

/** The number that says which repetition of a step it is: "+1" for the first one added. */
const suffixOf = (id: string): string => /\+\d+$/.exec(id)?.[0] ?? '';

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
