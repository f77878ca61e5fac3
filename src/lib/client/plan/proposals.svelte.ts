import { counted } from '$lib/core/text';
import { shortDirections } from '$lib/core/orbit';
import { renewed, type ClassPlan, type PlanEdit } from '$lib/core/plan';
import { ownShares, type Conflict, type Wishes } from '$lib/core/propose';
import { percentOf, proposalCard, type ProposalCard } from '$lib/core/view-models';
import { proxy } from 'comlink';
import type { ProposeTask, SentProposal } from '../worker/core.worker';
import { inWorker, type WorkerTask } from '../worker/worker';
import type { PlanDocument } from './plan-document.svelte';
import { noWishes, wishesOf, type WishFields } from './wishes';

/** A proposed class as the desk shows it; `done` false while a better one is looked for. */
export interface ShownProposal {
	number: number;
	done: boolean;
	sent: SentProposal;
	card: ProposalCard;
	/** Share of its movements that no other one has. */
	own: string;
}

/** Returns the task for a worker that proposes for the plan at the desk. */
export function proposeTask(
	{ plan, moved, context }: PlanDocument,
	wishes: Wishes,
	seed: number,
	base: ClassPlan = plan
): ProposeTask {
	const { group, known, pace, lastFirstSide, own, leftOut, lately, lastMovements } = context;
	// the directions that the last classes gave too little of come now
	const more = lately.classes ? shortDirections([lately.orbit], group.targets) : [];
	const kept = moved.map((movement) => movement.kept);
	return {
		base,
		wishes: { more, lastTime: lastMovements, ...wishes },
		seed,
		group,
		known,
		pace,
		lastFirstSide,
		own,
		leftOut,
		kept
	};
}

/** Classes proposed for this one, and what stands in their way. */
export class Proposals {
	work = $state.raw<WorkerTask<Conflict | null> | null>(null);
	found = $state.raw<readonly ShownProposal[]>([]);
	conflict = $state.raw<Conflict | null>(null);
	/** Wishes of the last request: kept when the panel is closed. */
	wishes = $state<WishFields>(noWishes());

	constructor(private readonly document: PlanDocument) {
		document.session.whenChanged(() => (this.found = []));
	}

	/**
	 * Proposes classes around what is there, or around what is left of it when a part is to be renewed; each better one
	 * is shown as it comes. Another seed gives other classes.
	 */
	async propose(seed: number): Promise<void> {
		const { plan, context } = this.document;
		const { renew } = this.wishes;
		const wishes = wishesOf(this.wishes, context.lastMovements);
		this.work?.stop();
		this.found = [];
		this.conflict = null;
		const part = renew === 'nothing' || renew === 'everything' ? {} : { only: [renew] };
		const ask = proposeTask(this.document, { ...wishes, ...part }, seed, renewed(plan, renew));
		const shown = proxy((number: number, done: boolean, sent: SentProposal) => {
			if (plan !== this.document.plan || this.work !== work) return; // edited or asked anew meanwhile
			const card = proposalCard(this.document.read(sent.plan), sent, done);
			const others = this.found.filter((other) => other.number !== number);
			const all = [...others, { number, done, sent, card, own: '' }].sort((a, b) => a.number - b.number);
			const shares = ownShares(all.map((one) => one.sent.plan));
			this.found = all.map((one, i) => ({ ...one, own: percentOf(shares[i]!) }));
		});
		const work = inWorker((core) => core.propose(ask, shown));
		this.work = work;
		const outcome = await work.result;
		if (this.work !== work) return; // taken, or asked anew meanwhile
		this.work = null;
		if (outcome.how === 'failed') {
			this.document.say(outcome.sentence);
			return;
		}
		this.conflict = outcome.how === 'done' ? outcome.value : null;
		const { length } = this.found;
		this.document.say(this.conflict?.message ?? `${counted(length, 'class', 'classes')} proposed`);
	}

	stop(): void {
		this.work?.stop();
	}

	take({ sent }: ShownProposal): void {
		const { work } = this;
		this.work = null; // later results are not wanted any more
		work?.stop();
		const { sections, theme } = sent.plan;
		const about: PlanEdit[] =
			theme && !this.document.plan.theme ? [{ do: 'setPlan', change: { theme } }] : [];
		this.document.edit(
			[{ do: 'replaceSections', sections }, ...about],
			`Taken: ${sent.about}; every block of it can be changed, and undo takes it back`
		);
		this.found = [];
		this.wishes.renew = 'nothing';
	}
}
