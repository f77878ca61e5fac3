import { flushSync } from 'svelte';

/** Tasks for moments in which the browser has nothing else to do. */
const waiting = new Set<() => void>();
let asked = false;

/** The longest that a task waits, also on a page that is never at rest. */
const MOST_MS = 100;

/** Calls back in an idle moment with what tells how long it still lasts; where a browser cannot say, it is over at once. */
const whenIdle: (run: (deadline: Pick<IdleDeadline, 'timeRemaining'>) => void) => void =
	typeof requestIdleCallback === 'function'
		? (run) => requestIdleCallback(run, { timeout: MOST_MS })
		: (run) => setTimeout(run, 0, { timeRemaining: () => 0 });

/** At least one task, and more while the moment lasts, so that a key press never waits for several. */
function work(deadline: Pick<IdleDeadline, 'timeRemaining'>): void {
	asked = false;
	for (const task of waiting) {
		waiting.delete(task);
		if (waiting.size) ask();
		task();
		// draws the change in the same moment, so that its time counts
		flushSync();
		if (deadline.timeRemaining() <= 0) return;
	}
}

function ask(): void {
	if (asked) return;
	asked = true;
	whenIdle(work);
}

/** Does something soon, in an idle moment. Returns what cancels it. */
export function onIdle(task: () => void): () => void {
	waiting.add(task);
	ask();
	return () => void waiting.delete(task);
}
