import { CATALOGUE } from '$lib/catalogue';
import { analysePlan, planContext } from '$lib/core/analysis';
import { startOn, type Group } from '$lib/core/group';
import { catalogueView, type Movement } from '$lib/core/movement';
import type { PaceModel } from '$lib/core/pace';
import { emptyPlan, PLAN, PLAN_LIMITS } from '$lib/core/plan';
import { NOTHING_KNOWN } from '$lib/core/record';
import type { StyleChoices } from '$lib/core/style';
import { withVersion } from '$lib/core/validation';
import { proposalCard } from '$lib/core/view-models';
import { proxy } from 'comlink';
import type { ProposeTask, SentProposal } from '../worker/core.worker';
import type { ShownProposal } from '../plan/proposals.svelte';
import { groupForm } from '../saving/documents';
import { inWorker, type WorkerTask } from '../worker/worker';

/** Context of the first proposal, besides its group. */
export interface Teaching {
	pace: PaceModel;
	choices: StyleChoices;
	own: Movement[];
	leftOut: string[];
}

/**
 * Proposes the first class of a group, for one day; each better one is told as it comes. Another seed gives another
 * class. The work ends with a sentence where there can be none, and with null where there is one.
 */
export function proposeFirst(
	group: Group,
	day: string,
	{ pace, choices, own, leftOut }: Teaching,
	seed: number,
	tell: (proposal: ShownProposal) => void
): WorkerTask<string | null> {
	const base = emptyPlan(group.name, startOn(group, day), group.lengthSeconds, choices);
	const context = { known: NOTHING_KNOWN, lastFirstSide: null };
	const ask: ProposeTask = { base, wishes: {}, seed, ...context, group, pace, own, leftOut, kept: [] };
	const catalogue = catalogueView(CATALOGUE, own, leftOut, []);
	const shown = proxy((number: number, done: boolean, sent: SentProposal) => {
		const read = analysePlan(sent.plan, planContext(catalogue, group, pace, context));
		tell({ number, done, sent, card: proposalCard(read, sent, done), own: '' });
	});
	return inWorker(async (core) => (await core.propose(ask, shown, 1))?.message ?? null);
}

/** Returns the request that saves a group, with the class that was proposed for it. */
export const asSent = (group: Group, proposal: ShownProposal | null): { group: unknown; plan?: unknown } => ({
	group: groupForm.asSent(group),
	...(proposal
		? {
				plan: withVersion(PLAN, {
					...proposal.sent.plan,
					title: proposal.card.about.slice(0, PLAN_LIMITS.titleCharacters)
				})
			}
		: {})
});
