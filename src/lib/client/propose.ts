import type { Alternative, Conflict } from '$lib/core/propose';
import { proxy, wrap } from 'comlink';
import type { Ask, ProposeApi, SentProposal } from './propose.worker';

export type { Ask, SentProposal } from './propose.worker';

/** A proposing under way. */
export interface Proposing {
	/** Null when classes were proposed or it was stopped; else why there can be none. */
	result: Promise<Conflict | null>;
	stop: () => void;
}

/** What else could stand in the place of one item, worked out in a worker that is ended afterwards. */
export async function alternativesInWorker(ask: Ask, itemId: string): Promise<Alternative[]> {
	const worker = new Worker(new URL('./propose.worker.ts', import.meta.url), { type: 'module' });
	return wrap<ProposeApi>(worker)
		.alternatives(ask, itemId)
		.finally(() => worker.terminate());
}

/** Proposes in a worker of its own, which tells each better class as it comes and is ended when done or stopped. */
export function proposeInWorker(
	ask: Ask,
	tell: (number: number, done: boolean, proposal: SentProposal) => void
): Proposing {
	const worker = new Worker(new URL('./propose.worker.ts', import.meta.url), { type: 'module' });
	let stop: () => void = () => undefined;
	const stopped = new Promise<null>((done) => (stop = () => done(null)));
	const result = Promise.race([wrap<ProposeApi>(worker).propose(ask, proxy(tell)), stopped]).finally(() =>
		worker.terminate()
	);
	return { result, stop };
}
