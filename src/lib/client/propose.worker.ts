import { CATALOGUE } from '$lib/catalogue';
import type { Leg } from '$lib/core/anatomy';
import type { Group } from '$lib/core/group';
import { shelfOf, type Movement } from '$lib/core/movement';
import type { ClassPlan } from '$lib/core/plan';
import {
	alternativesFor,
	conflictOf,
	propose,
	type Alternative,
	type Conflict,
	type Proposal,
	type ProposeSetting,
	type Wishes
} from '$lib/core/propose';
import { expose } from 'comlink';

/** What a proposal is asked for with, as it can be sent to a worker. */
export interface Ask {
	base: ClassPlan;
	wishes: Wishes;
	seed: number;
	group: Group;
	taughtBefore: string[];
	lastFirstSide: Leg | null;
	/** Movements that the catalogue does not have, or not so, and those left out of planning. */
	own: Movement[];
	leftOut: string[];
	kept: Movement[];
}

/** A proposal without what the desk works out again from its plan. */
export type SentProposal = Omit<Proposal, 'reading'>;

function settingOf({ group, taughtBefore, lastFirstSide, own, leftOut, kept }: Ask): ProposeSetting {
	const { offered, find } = shelfOf(CATALOGUE, own, leftOut, kept);
	return { catalogue: offered, find, targets: group.targets, group, taughtBefore, lastFirstSide };
}

/** Proposing off the main thread; it is stopped by ending the worker. */
const api = {
	alternatives(ask: Ask, itemId: string): Alternative[] {
		return alternativesFor(ask.base, itemId, settingOf(ask), ask.wishes);
	},

	async propose(
		ask: Ask,
		tell: (number: number, done: boolean, proposal: SentProposal) => unknown
	): Promise<Conflict | null> {
		const { base, wishes, seed } = ask;
		const setting = settingOf(ask);
		const conflict = conflictOf({ base, wishes, setting });
		if (conflict) return conflict;
		for (const { number, done, proposal } of propose({ base, wishes, setting, seed })) {
			const { reading: _reading, ...sent } = proposal;
			await tell(number, done, sent);
		}
		return null;
	}
};
export type ProposeApi = typeof api;

expose(api);
