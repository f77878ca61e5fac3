import { CATALOGUE } from '$lib/catalogue';
import { shelfOf, type Movement } from '$lib/core/movement';
import type { ClassPlan } from '$lib/core/plan';
import { calmOrder, type Calmed } from '$lib/core/reorder';
import { expose } from 'comlink';

/** Ordering off the main thread; it is stopped by ending the worker. */
const api = {
	calm(plan: ClassPlan, besides: Movement[]): Calmed {
		return calmOrder(plan, shelfOf(CATALOGUE, [], [], besides).find);
	}
};
export type ReorderApi = typeof api;

expose(api);
