/** Tasks for moments in which the browser has nothing else to do: one in each, so that a key press never waits for several. */
const waiting = new Set<() => void>();
let asked = false;

const whenIdle: (run: () => void) => void =
	typeof requestIdleCallback === 'function'
		? // the longest that anything waits, also on a page that is never at rest
			(run) => requestIdleCallback(run, { timeout: 500 })
		: (run) => setTimeout(run, 16);

function next(): void {
	asked = false;
	const [first] = waiting;
	if (!first) return;
	waiting.delete(first);
	if (waiting.size) ask();
	first();
}

function ask(): void {
	if (asked) return;
	asked = true;
	whenIdle(next);
}

/** Does something soon, in an idle moment of its own. Returns what cancels it. */
export function atIdle(task: () => void): () => void {
	waiting.add(task);
	ask();
	return () => void waiting.delete(task);
}
