import type { ClassPlan } from '$lib/core/plan';
import { proxy, wrap } from 'comlink';
import type { AskSeries, SeriesApi } from './series.worker';

export type { AskSeries } from './series.worker';

/** A proposing under way. */
export interface ProposingSeries {
	/** True when all were proposed, false when it was stopped. */
	result: Promise<boolean>;
	stop: () => void;
}

/** Proposes the classes of a series in a worker of its own, which tells each as it comes. */
export function proposeSeriesInWorker(
	ask: AskSeries,
	tell: (classId: string, plan: ClassPlan, done: number, of: number) => void
): ProposingSeries {
	const worker = new Worker(new URL('./series.worker.ts', import.meta.url), { type: 'module' });
	let stop: () => void = () => undefined;
	const stopped = new Promise<boolean>((done) => (stop = () => done(false)));
	const result = Promise.race([
		wrap<SeriesApi>(worker)
			.propose(ask, proxy(tell))
			.then(() => true),
		stopped
	]).finally(() => worker.terminate());
	return { result, stop };
}
