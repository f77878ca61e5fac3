import { givenMs, isLeftOut, presentId } from './state-reads';
import type { SessionState, Steps } from './state';
import type { ScriptStep } from './types';

/** One line of the whole class: a shape on a side with its way in and all its sets, or words, a test, a round. */
export interface ListLine {
	/** Of its first step, which is where one goes. */
	id: string;
	steps: string[];
	title: string;
	leg: ScriptStep['leg'];
	/** Whole seconds that it was given, or is to be given. */
	seconds: number;
	standing: 'given' | 'now' | 'left out' | 'passed by' | 'to come';
}

/** The class as a list, in the order in which it is given. */
export function listOf(state: SessionState, steps: Steps): ListLine[] {
	const groups: string[][] = [];
	let last: ScriptStep | null = null;
	for (const id of state.order) {
		const step = steps.get(id);
		const goesOn =
			last !== null &&
			step.itemId !== null &&
			step.blockId === last.blockId &&
			step.itemId === last.itemId &&
			step.side === last.side;
		if (goesOn) groups.at(-1)!.push(id);
		else groups.push([id]);
		last = step;
	}
	return groups.map((ids) => {
		const first = steps.get(ids[0]!);
		const standing = standingOf(state, ids);
		const seconds =
			standing === 'given'
				? ids.reduce((sum, id) => sum + givenMs(state, id), 0) / 1000
				: ids.reduce((sum, id) => sum + steps.get(id).seconds, 0);
		return {
			id: ids[0]!,
			steps: ids,
			// the way in may have been to another movement than what was given in its place
			title: steps.shown(state, ids.at(-1)!).title,
			leg: first.leg,
			seconds: Math.round(seconds),
			standing
		};
	});
}

function standingOf(state: SessionState, ids: readonly string[]): ListLine['standing'] {
	const isOn = state.mode === 'running' || state.mode === 'paused';
	if (isOn && ids.includes(presentId(state))) return 'now';
	if (ids.every((id) => isLeftOut(state, id))) return 'left out';
	const open = ids.filter((id) => !state.done.has(id) && !isLeftOut(state, id));
	if (open.length === 0) return 'given';
	return open.some((id) => state.order.indexOf(id) > state.at) ? 'to come' : 'passed by';
}
