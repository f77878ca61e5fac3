import { substitutes, type Substitute } from '$lib/core/substitution';
import { isSymmetrical, otherLeg } from '$lib/core/anatomy';
import { previewRepair, type Finding, type Preview } from '$lib/core/checks';
import { formatDuration } from '$lib/core/clock';
import { percentOf, proposalCard, shiftsBetween } from '$lib/core/view-models';
import type { FitResult } from '$lib/core/fit';
import { ownShares, type Wishes } from '$lib/core/propose';
import {
	doseRange,
	exchanged,
	type Caution,
	type FormId,
	type HoldUnit,
	type Mode,
	type Movement
} from '$lib/core/movement';
import { styledRange, type StyleChoices } from '$lib/core/style';
import {
	blockOfItem,
	doseByOne,
	findItem,
	formChange,
	itemsIn,
	newItem,
	placeAfter,
	renewed,
	applyEdit,
	type Block,
	type Item,
	type ItemChange,
	type PlanEdit,
	type Renewal
} from '$lib/core/plan';
import { proxy } from 'comlink';
import type { Ask, SentProposal } from './core.worker';
import { inWorker } from './worker';
import { PlanBlocks } from './plan-blocks.svelte';
import { type Moved, type ShownAlternative, type ShownProposal } from './plan-desk.svelte';

export type { DeskSetting, Moved, ShownProposal } from './plan-desk.svelte';

/** What can be done at the desk: each act one step of undo. */
export class PlanEditor extends PlanBlocks {
	add(movement: Movement): void {
		const item = newItem(this.plan, movement);
		const at = placeAfter(this.plan, this.selected);
		const edits: PlanEdit[] = [{ do: 'insert', at, block: item }];
		const before = this.selected === null ? undefined : blockOfItem(this.plan, this.selected);
		const chained =
			this.style.runningSides === 'chain' &&
			before &&
			this.hasSides(before) &&
			!isSymmetrical(movement.action);
		if (chained) edits.push({ do: 'chain', blockIds: [before.id, item.id] });
		this.edit(edits, `${movement.english} added${chained ? ' to the chain' : ''}`);
		this.selected = item.id;
	}

	private hasSides(block: Block): boolean {
		return itemsIn(block).some((item) => {
			const movement = this.shelf.find(item.movement);
			return movement && !isSymmetrical(movement.action);
		});
	}

	/** What could stand in for an item in this room, the best first. */
	substitutesFor(item: Item): Substitute[] {
		const movement = this.shelf.find(item.movement);
		return movement ? substitutes(movement, this.shelf.offered, this.setting.group, undefined, 3) : [];
	}

	/** Puts another movement in the place of an item, led by the same leg. */
	swapFor(item: Item, movement: Movement): void {
		const by = { ...newItem(this.plan, movement, item.lead), id: item.id };
		this.edit(
			{ do: 'replace', itemId: item.id, by },
			`${movement.english} instead of ${this.nameOf(item.id)}`
		);
	}

	/** Puts the best substitute in its place, or says that there is none. */
	swapForBest(item: Item): void {
		const [best] = this.substitutesFor(item);
		if (best) this.swapFor(item, best.movement);
		else this.message = 'Nothing is proposed here: with these cautions the treating clinician decides';
	}

	/** The teacher keeps an item although somebody in the room should not do it as it stands. */
	confirm(itemId: string, caution: Caution): void {
		const item = findItem(this.plan, itemId);
		if (!item) return;
		const confirmed = [...(item.confirmed ?? []), { caution, on: this.setting.today }];
		this.change(item, { confirmed }, `Kept by your own confirmation: ${caution}`);
	}

	setStyle(change: StyleChoices): void {
		this.edit({ do: 'setStyle', change }, 'Style of this class changed');
	}

	/** Goes over to what the catalogue has today. */
	remake({ slug, english, now }: Moved): void {
		if (now) this.edit({ do: 'remake', slug, fingerprint: now }, `${english} as the catalogue has it today`);
	}

	change(item: Item, change: ItemChange, said: string, field = ''): void {
		this.edit({ do: 'setItem', itemId: item.id, change }, said, field);
	}

	doseBy(item: Item, step: -1 | 1): void {
		const edit = doseByOne(this.plan, item, this.shelf.find, step);
		if (edit) this.edit(edit, step === 1 ? 'Longer' : 'Shorter');
		else this.message = step === 1 ? 'This form goes no longer' : 'This form goes no shorter';
	}

	setForm(item: Item, movement: Movement, to: { form?: FormId; mode?: Mode }): void {
		const said = to.form ? `${to.form} form` : to.mode;
		this.change(item, formChange(this.plan, item, movement, to), `${movement.english}: ${said}`);
	}

	/** Counts a hold by the breath or by the clock, the amount carried over. */
	setUnit(item: Item, unit: HoldUnit): void {
		const form = this.shelf.find(item.movement)?.forms.find((f) => f.id === item.form);
		if (!form) return;
		const own = doseRange(form, item.mode).unit;
		const range = styledRange(this.style, form, item.mode, unit);
		const dose = Math.min(range.max, Math.max(range.min, exchanged(item.dose, unit)));
		this.change(item, { unit: unit === own ? undefined : unit, dose }, `Counted in ${unit}`);
	}

	swapLead(item: Item): void {
		const lead = otherLeg(item.lead);
		this.change(item, { lead }, `${lead} leads first`);
	}

	async fit(): Promise<void> {
		const plan = this.plan;
		this.fitting = true;
		const { besides } = this;
		const { pace } = this.setting;
		const outcome = await inWorker((core) => core.fit(plan, besides, pace) as Promise<FitResult>).result;
		this.fitting = false;
		if (outcome.how === 'failed') this.message = outcome.sentence;
		if (outcome.how !== 'done' || plan !== this.plan) return; // edited meanwhile: it is out of date
		const result = outcome.value;
		if (!result.ok) {
			this.message = `It does not fit: ${result.message}.`;
			return;
		}
		const count = result.changed.length;
		const length = formatDuration(result.totalSeconds);
		if (count === 0) this.message = `It is ${length} already`;
		else
			this.edit(
				{ do: 'setDoses', doses: result.doses },
				`Fitted to ${length}: ${count} ${count === 1 ? 'dose' : 'doses'} changed`
			);
	}

	/** What would mend a finding, and what that would change; says so when nothing is ready. */
	preview(finding: Finding): Preview | null {
		const preview = previewRepair(finding, this.reading.context);
		if (!preview)
			this.message = 'There is no ready repair for this plan that makes nothing worse; it takes your eye';
		return preview;
	}

	/** It is on purpose: the check says no more of it, at its item or over the class. */
	silence({ checkId, where }: Finding, reason: string): void {
		this.edit(
			{ do: 'silence', check: checkId, ...(where.itemId ? { itemId: where.itemId } : {}), reason },
			'Noted as on purpose'
		);
	}

	unsilence({ checkId, where }: Finding): void {
		const edits: PlanEdit[] = [{ do: 'unsilence', check: checkId }];
		if (where.itemId) edits.push({ do: 'unsilence', check: checkId, itemId: where.itemId });
		this.edit(edits, 'Asked again');
	}

	/** Looks for the calmest order of the same blocks; the result waits to be taken. */
	async calm(): Promise<void> {
		const plan = this.plan;
		const { besides } = this;
		const { pace } = this.setting;
		this.ordering = inWorker((core) => core.calm(plan, besides, pace));
		const outcome = await this.ordering.result;
		this.ordering = null;
		if (outcome.how === 'failed') this.message = outcome.sentence;
		if (outcome.how !== 'done' || plan !== this.plan) return;
		const calmed = outcome.value;
		const saved = calmed.beforeSeconds - calmed.afterSeconds;
		if (saved <= 0)
			this.message = 'The order is as calm as it can be: no other loses less time between blocks';
		else this.calmed = calmed;
	}

	/**
	 * Proposes classes around what is there, or around what is left of it when a part is to be renewed; each better one
	 * is shown as it comes. Another seed gives other classes.
	 */
	async propose(wishes: Wishes, seed: number, renew: Renewal = 'nothing'): Promise<void> {
		const plan = this.plan;
		this.proposing?.stop();
		this.proposed = [];
		this.conflict = null;
		const part = renew === 'nothing' || renew === 'everything' ? {} : { only: [renew] };
		const ask = { ...this.ask({ ...wishes, ...part }, seed), base: renewed(plan, renew) };
		const shown = proxy((number: number, done: boolean, sent: SentProposal) => {
			if (plan !== this.plan || this.proposing !== proposing) return; // edited or asked anew meanwhile
			const card = proposalCard(this.read(sent.plan), sent);
			const others = this.proposed.filter((other) => other.number !== number);
			const all = [...others, { number, done, sent, card, own: '' }].sort((a, b) => a.number - b.number);
			const shares = ownShares(all.map((one) => one.sent.plan));
			this.proposed = all.map((one, i) => ({ ...one, own: percentOf(shares[i]!) }));
		});
		const proposing = inWorker((core) => core.propose(ask, shown));
		this.proposing = proposing;
		const outcome = await proposing.result;
		if (this.proposing !== proposing) return; // taken, or asked anew meanwhile
		this.proposing = null;
		if (outcome.how === 'failed') {
			this.message = outcome.sentence;
			return;
		}
		this.conflict = outcome.how === 'done' ? outcome.value : null;
		const { length } = this.proposed;
		this.message = this.conflict?.message ?? `${length} ${length === 1 ? 'class' : 'classes'} proposed`;
	}

	/** Movements that the catalogue does not have, or not as this plan was made with them. */
	private get besides(): Movement[] {
		return [...this.setting.own, ...this.moved.map(({ kept }) => kept)];
	}

	private ask(wishes: Wishes, seed: number): Ask {
		const { group, known, pace, lastFirstSide, own, leftOut } = this.setting;
		const kept = this.moved.map((moved) => moved.kept);
		return { base: this.plan, wishes, seed, group, known, pace, lastFirstSide, own, leftOut, kept };
	}

	/** Looks for something else in the place of an item: three, each with what it would change. */
	async somethingElse(item: Item): Promise<void> {
		const plan = this.plan;
		this.elsewhere = { itemId: item.id, found: null };
		const ask = this.ask({}, 1);
		const outcome = await inWorker((core) => core.alternatives(ask, item.id)).result;
		if (plan !== this.plan || this.elsewhere?.itemId !== item.id) return;
		if (outcome.how !== 'done') {
			this.elsewhere = null;
			if (outcome.how === 'failed') this.message = outcome.sentence;
			return;
		}
		const shown = outcome.value.map((alternative) => {
			const after = this.read(applyEdit(plan, { do: 'replace', itemId: item.id, by: alternative.item }));
			return {
				alternative,
				name: this.shelf.find(alternative.item.movement)?.english ?? alternative.item.movement,
				...shiftsBetween(this.reading, after, 1)
			};
		});
		this.elsewhere = { itemId: item.id, found: shown };
		if (shown.length === 0) this.message = 'Nothing else suits this place';
	}

	takeElse({ alternative, name }: ShownAlternative): void {
		const { item } = alternative;
		this.edit({ do: 'replace', itemId: item.id, by: item }, `${name} instead`);
	}

	stopProposing(): void {
		this.proposing?.stop();
	}

	takeProposal({ sent }: ShownProposal): void {
		const { plan } = sent;
		const under = this.proposing;
		this.proposing = null; // what it still finds is no longer asked for
		under?.stop();
		this.edit({ do: 'fill', sections: plan.sections }, 'Taken: every block of it can be changed');
		this.proposed = [];
	}

	takeCalm(): void {
		if (!this.calmed) return;
		const saved = formatDuration(this.calmed.beforeSeconds - this.calmed.afterSeconds);
		this.edit({ do: 'reorder', order: this.calmed.order }, `Calmed: ${saved} less between blocks`);
	}
}
