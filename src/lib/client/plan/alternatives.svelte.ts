import { applyEdit, type Item } from '$lib/core/plan';
import type { Alternative } from '$lib/core/propose';
import { shiftsBetween, type Shift } from '$lib/core/view-models';
import { inWorker } from '../worker/worker';
import type { PlanDocument } from './plan-document.svelte';
import { proposeTask } from './proposals.svelte';

/** Something else in the place of an item, with what it would change. */
export interface ShownAlternative {
	alternative: Alternative;
	name: string;
	totalBefore: string;
	totalAfter: string;
	shifts: Shift[];
}

/** Alternatives to one item. */
export class Alternatives {
	/** `found` null while it is looked for. */
	shown = $state.raw<{ itemId: string; found: readonly ShownAlternative[] | null } | null>(null);

	constructor(private readonly document: PlanDocument) {
		document.session.whenChanged(() => (this.shown = null));
	}

	/** Looks for three, each with what it would change. */
	async look(item: Item): Promise<void> {
		const { plan, analysis, catalogue } = this.document;
		this.shown = { itemId: item.id, found: null };
		const ask = proposeTask(this.document, {}, 1);
		const outcome = await inWorker((core) => core.alternatives(ask, item.id)).result;
		if (plan !== this.document.plan || this.shown?.itemId !== item.id) return;
		if (outcome.how !== 'done') {
			this.shown = null;
			if (outcome.how === 'failed') this.document.say(outcome.sentence);
			return;
		}
		const found = outcome.value.map((alternative) => {
			const by = alternative.item;
			const after = this.document.read(applyEdit(plan, { do: 'replace', itemId: item.id, by }));
			return {
				alternative,
				name: catalogue.find(by.movement)?.english ?? by.movement,
				...shiftsBetween(analysis, after, 1)
			};
		});
		this.shown = { itemId: item.id, found };
		if (found.length === 0) this.document.say('There is no alternative for this place');
	}

	take({ alternative: { item }, name }: ShownAlternative): void {
		this.document.edit({ do: 'replace', itemId: item.id, by: item }, `${name} instead`);
	}
}
