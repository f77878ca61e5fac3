import type { Replacement } from './types';
import type { Adjustment, SessionState, StepVisit } from './state';

/** A state that is being worked out, and that only its maker holds. */
export interface StateDraft extends Omit<
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

/** Returns a copy of a state that may be changed. */
export const draftOf = (state: SessionState): StateDraft => ({
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
