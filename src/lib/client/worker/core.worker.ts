import { CATALOGUE } from '$lib/catalogue';
import type { Leg } from '$lib/core/anatomy';
import { fit, type FitResult } from '$lib/core/fit';
import type { Group } from '$lib/core/group';
import { catalogueView, type Movement } from '$lib/core/movement';
import type { PaceModel } from '$lib/core/pace';
import type { FamiliarMovements } from '$lib/core/record';
import type { ClassPlan } from '$lib/core/plan';
import {
	alternativesFor,
	conflictOf,
	changedClass,
	proposeClasses,
	type ChangedClass,
	type ChangeId,
	type Alternative,
	type Conflict,
	type Proposal,
	type ProposeContext,
	type Wishes
} from '$lib/core/propose';
import { calmOrder, type Calmed } from '$lib/core/ordering';
import { proposeSeries, type PlannedSeries } from '$lib/core/series';
import type { TeacherStyle } from '$lib/core/style';
import { expose } from 'comlink';

/**
 * Runs tasks that are too long for a keystroke off the main thread: one worker for all, so that the browser loads
 * the core once. Call it through `inWorker` (worker.ts).
 */

/** A request for proposals that can be sent to a worker. */
export interface ProposeTask {
	base: ClassPlan;
	wishes: Wishes;
	seed: number;
	group: Group;
	known: FamiliarMovements;
	pace: PaceModel;
	lastFirstSide: Leg | null;
	/** Movements that the catalogue does not have, or not so, and those left out of planning. */
	own: Movement[];
	leftOut: string[];
	kept: Movement[];
}

/** A proposal without what the desk works out again from its plan. */
export type SentProposal = Omit<Proposal, 'analysis'>;

/** A request for the classes of a series that can be sent to a worker. */
export interface SeriesTask {
	planned: PlannedSeries;
	group: Group;
	own: Movement[];
	leftOut: string[];
	kept: Movement[];
	knownBefore: readonly string[];
	style: TeacherStyle;
	seed: number;
	/** Which classes; left out: those that wait for one. */
	only?: string[];
}

function contextOf({ group, known, pace, lastFirstSide, own, leftOut, kept }: ProposeTask): ProposeContext {
	const { offered, find } = catalogueView(CATALOGUE, own, leftOut, kept);
	return { catalogue: offered, find, targets: group.targets, group, known, pace, lastFirstSide };
}

const api = {
	/** `besides`: movements that the catalogue does not have, or not so. */
	fit(plan: ClassPlan, besides: Movement[], pace: PaceModel): FitResult {
		return fit(plan, catalogueView(CATALOGUE, [], [], besides).find, pace);
	},

	calm(plan: ClassPlan, besides: Movement[], pace: PaceModel): Calmed {
		return calmOrder(plan, catalogueView(CATALOGUE, [], [], besides).find, pace);
	},

	alternatives(ask: ProposeTask, itemId: string): Alternative[] {
		return alternativesFor(ask.base, itemId, contextOf(ask), ask.wishes);
	},

	change(ask: ProposeTask, change: ChangeId): ChangedClass | null {
		return changedClass(ask.base, change, contextOf(ask));
	},

	/** Tells each better class as it comes; why there can be none, or null. */
	async propose(
		ask: ProposeTask,
		tell: (number: number, done: boolean, proposal: SentProposal) => unknown,
		count = 3
	): Promise<Conflict | null> {
		const { base, wishes, seed } = ask;
		const context = contextOf(ask);
		const conflict = conflictOf({ base, wishes, context });
		if (conflict) return conflict;
		for (const { number, done, proposal } of proposeClasses({ base, wishes, context, seed, count })) {
			const { analysis: _own, ...sent } = proposal;
			await tell(number, done, sent);
		}
		return null;
	},

	/** Tells each class of a series as it comes. */
	async proposeSeries(
		{ planned, group, own, leftOut, kept, knownBefore, style, seed, only }: SeriesTask,
		tell: (classId: string, plan: ClassPlan, done: number, of: number) => unknown
	): Promise<void> {
		const { offered, find } = catalogueView(CATALOGUE, own, leftOut, kept);
		const { choices, pace } = style;
		const context = { group, find, catalogue: offered, knownBefore, pace };
		const steps = proposeSeries({ planned, context, choices, seed, ...(only ? { only } : {}) });
		for (const { classId, plan, done, of } of steps) await tell(classId, plan, done, of);
	}
};
export type CoreApi = typeof api;

expose(api);
