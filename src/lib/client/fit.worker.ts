import { CATALOGUE } from '$lib/catalogue';
import { fit, type FitResult } from '$lib/core/fit';
import { shelfOf, type Movement } from '$lib/core/movement';
import type { ClassPlan } from '$lib/core/plan';
import { expose } from 'comlink';

/** The fit off the main thread: for a long class it takes longer than a keystroke may. */
const api = {
	fit(plan: ClassPlan, besides: Movement[]): FitResult {
		return fit(plan, shelfOf(CATALOGUE, [], [], besides).find);
	}
};
export type FitApi = typeof api;

expose(api);
