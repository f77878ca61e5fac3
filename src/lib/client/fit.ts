import type { FitResult } from '$lib/core/fit';
import type { Movement } from '$lib/core/movement';
import type { ClassPlan } from '$lib/core/plan';
import { wrap, type Remote } from 'comlink';
import type { FitApi } from './fit.worker';

let api: Remote<FitApi> | undefined;

/** `besides`: movements that the catalogue does not have, or not so. Fits in a worker that is started at first use and kept. */
export function fitInWorker(plan: ClassPlan, besides: Movement[]): Promise<FitResult> {
	api ??= wrap<FitApi>(new Worker(new URL('./fit.worker.ts', import.meta.url), { type: 'module' }));
	return api.fit(plan, besides);
}
