import type { Movement } from '$lib/core/movement';
import type { ClassPlan } from '$lib/core/plan';
import type { Calmed } from '$lib/core/reorder';
import { wrap } from 'comlink';
import type { ReorderApi } from './reorder.worker';

/** An ordering under way: its result, null when it was stopped. */
export interface Ordering {
	result: Promise<Calmed | null>;
	stop: () => void;
}

/** Orders a class in a worker of its own, which is ended when it is done or stopped. */
export function calmInWorker(plan: ClassPlan, besides: Movement[]): Ordering {
	const worker = new Worker(new URL('./reorder.worker.ts', import.meta.url), { type: 'module' });
	let stop: () => void = () => undefined;
	const stopped = new Promise<null>((done) => (stop = () => done(null)));
	const result = Promise.race([wrap<ReorderApi>(worker).calm(plan, besides), stopped]).finally(() =>
		worker.terminate()
	);
	return { result, stop };
}
