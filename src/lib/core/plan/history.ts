/** Past, present and undone states. Only values are kept, so undo is exact. */
export interface History<T> {
	past: readonly T[];
	present: T;
	future: readonly T[];
}

/** More steps than anybody takes back in one sitting; older ones are let go. */
const MAX_STEPS = 500;

/** A history that begins with a state. */
export function startHistory<T>(present: T): History<T> {
	return { past: [], present, future: [] };
}

/** A new present. What had been undone is gone, as everybody expects. */
export function advance<T>(history: History<T>, present: T): History<T> {
	if (present === history.present) return history;
	return { past: [...history.past, history.present].slice(-MAX_STEPS), present, future: [] };
}

/**
 * A new present that belongs to the step before (typing on in the same field): undo takes both back.
 * Only after at least one step.
 */
export function amend<T>(history: History<T>, present: T): History<T> {
	return history.past.length ? { ...history, present, future: [] } : advance(history, present);
}

/** One step back; the same history where there is none. */
export function undo<T>(history: History<T>): History<T> {
	const before = history.past.at(-1);
	if (before === undefined) return history;
	return { past: history.past.slice(0, -1), present: before, future: [history.present, ...history.future] };
}

/** One step forward again; the same history where there is none. */
export function redo<T>(history: History<T>): History<T> {
	const [next, ...future] = history.future;
	if (next === undefined) return history;
	return { past: [...history.past, history.present], present: next, future };
}
