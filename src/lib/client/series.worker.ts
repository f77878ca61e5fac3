import { CATALOGUE } from '$lib/catalogue';
import type { Group } from '$lib/core/group';
import { shelfOf, type Movement } from '$lib/core/movement';
import type { PaceChanges } from '$lib/core/pace';
import type { ClassPlan } from '$lib/core/plan';
import { proposeSeries, type PlannedSeries } from '$lib/core/series';
import type { StyleChoices } from '$lib/core/style';
import { expose } from 'comlink';

/** What the classes of a series are proposed with, as it can be sent to a worker. */
export interface AskSeries {
	planned: PlannedSeries;
	group: Group;
	own: Movement[];
	leftOut: string[];
	kept: Movement[];
	knownBefore: string[];
	taught: { choices: StyleChoices; pace: PaceChanges };
	seed: number;
	/** Which classes; left out: those that wait for one. */
	only?: string[];
}

/** Proposing a series off the main thread; it is stopped by ending the worker. */
const api = {
	async propose(
		{ planned, group, own, leftOut, kept, knownBefore, taught, seed, only }: AskSeries,
		tell: (classId: string, plan: ClassPlan, done: number, of: number) => unknown
	): Promise<void> {
		const { offered, find } = shelfOf(CATALOGUE, own, leftOut, kept);
		const setting = { group, find, catalogue: offered, knownBefore };
		const steps = proposeSeries({ planned, setting, taught, seed, ...(only ? { only } : {}) });
		for (const { classId, plan, done, of } of steps) await tell(classId, plan, done, of);
	}
};
export type SeriesApi = typeof api;

expose(api);
