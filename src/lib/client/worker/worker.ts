import { wrap, type Remote } from 'comlink';
import type { CoreApi } from './core.worker';

/** How work in a worker ended: with its result, stopped by the teacher, or not at all, with a sentence that says so. */
export type Outcome<R> = { how: 'done'; value: R } | { how: 'stopped' } | { how: 'failed'; sentence: string };

/** Work under way. */
export interface WorkerTask<R> {
	/** Always comes, and never as an error. */
	result: Promise<Outcome<R>>;
	stop: () => void;
}

const FAILED = 'This could not be computed. Nothing was changed; try again.';

/**
 * A worker with the one handle to it: when a handle is collected as garbage, comlink takes the worker for released, and it
 * answers no more.
 */
interface Held {
	worker: Worker;
	core: Remote<CoreApi>;
}

/** A worker that is done with its last work, for the next one: starting one takes a moment. */
let idle: Held | null = null;

function held(worker: Worker): Held {
	return { worker, core: wrap<CoreApi>(worker) };
}

const newWorker = () => new Worker(new URL('./core.worker.ts', import.meta.url), { type: 'module' });

/**
 * Does work in a worker of its own. It is ended when the work is stopped or fails (also when its program cannot be loaded),
 * and kept for the next work otherwise. `make` is for tests.
 */
export function inWorker<R>(
	run: (core: Remote<CoreApi>) => Promise<R>,
	make: () => Worker = newWorker
): WorkerTask<R> {
	let end: (outcome: Outcome<R>) => void = () => undefined;
	const ended = new Promise<Outcome<R>>((done) => (end = done));
	const failed = () => end({ how: 'failed', sentence: FAILED });
	let mine: Held | null = null;
	try {
		mine = idle ?? held(make());
		idle = null;
		mine.worker.onerror = failed;
		mine.worker.onmessageerror = failed;
		run(mine.core).then((value) => end({ how: 'done', value }), failed);
	} catch {
		failed();
	}
	const result = ended.then((outcome) => {
		if (outcome.how === 'done' && !idle) idle = mine;
		else mine?.worker.terminate();
		return outcome;
	});
	return { result, stop: () => end({ how: 'stopped' }) };
}
