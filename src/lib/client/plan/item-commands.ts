import { isSymmetrical, otherLeg } from '$lib/core/anatomy';
import { secondsOfEach } from '$lib/core/clock';
import {
	formOf,
	type Caution,
	type DoseUnit,
	type FormId,
	type Mode,
	type Movement
} from '$lib/core/movement';
import { paceFor, paceOf } from '$lib/core/pace';
import {
	blockOfItem,
	countedIn,
	doseByOne,
	doseDragged,
	findItem,
	formChange,
	itemsIn,
	newItem,
	placeAfter,
	rangeOf,
	turnsChange,
	type Block,
	type DoseChange,
	type Item,
	type ItemChange,
	type PlanEdit
} from '$lib/core/plan';
import { substitutes, type Substitute } from '$lib/core/substitution';
import type { PlanDocument } from './plan-document.svelte';
import type { Selection } from './selection.svelte';

/** Commands on single items: adding, swapping, dose, form, unit, lead leg, confirmation. */
export class ItemCommands {
	constructor(
		private readonly document: PlanDocument,
		private readonly selection: Selection
	) {}

	add(movement: Movement): void {
		const item = newItem(this.document.plan, movement);
		const at = placeAfter(this.document.plan, this.selection.selected);
		const edits: PlanEdit[] = [{ do: 'insert', at, block: item }];
		const before =
			this.selection.selected === null ? undefined : blockOfItem(this.document.plan, this.selection.selected);
		const chained =
			this.document.style.runningSides === 'chain' &&
			before &&
			this.hasSides(before) &&
			!isSymmetrical(movement.action);
		if (chained) edits.push({ do: 'chain', blockIds: [before.id, item.id] });
		this.document.edit(edits, `${movement.english} added${chained ? ' to the chain' : ''}`);
		this.selection.selected = item.id;
	}

	private hasSides(block: Block): boolean {
		return itemsIn(block).some((item) => {
			const movement = this.document.catalogue.find(item.movement);
			return movement && !isSymmetrical(movement.action);
		});
	}

	/** The same movement again after the selected row, a rung further where there is one. */
	visitAgain(item: Item): void {
		const movement = this.document.catalogue.find(item.movement);
		if (!movement) return;
		const further = movement.forms[movement.forms.findIndex((form) => form.id === item.form) + 1];
		const again = newItem(this.document.plan, movement, item.lead, further?.id ?? item.form);
		this.document.edit(
			{ do: 'insert', at: placeAfter(this.document.plan, item.id), block: again },
			`${movement.english} again`
		);
		this.selection.selected = again.id;
	}

	/** Returns the substitutes for an item in this room, best first. */
	substitutesFor(item: Item): Substitute[] {
		const movement = this.document.catalogue.find(item.movement);
		return movement
			? substitutes(movement, this.document.catalogue.offered, this.document.context.group, undefined, 3)
			: [];
	}

	/** Puts another movement in the place of an item, led by the same leg. */
	swapFor(item: Item, movement: Movement): void {
		const by = { ...newItem(this.document.plan, movement, item.lead), id: item.id };
		this.document.edit(
			{ do: 'replace', itemId: item.id, by },
			`${movement.english} instead of ${this.document.nameOf(item.id)}`
		);
	}

	/** Puts the best substitute in its place, or says that there is none. */
	swapForBest(item: Item): void {
		const [best] = this.substitutesFor(item);
		if (best) this.swapFor(item, best.movement);
		else this.document.say('No suggestion here: with these cautions the treating clinician decides');
	}

	/** The teacher keeps an item although a person in the room should not do it as it stands. */
	confirm(itemId: string, caution: Caution): void {
		const item = findItem(this.document.plan, itemId);
		if (!item) return;
		const confirmed = [...(item.confirmed ?? []), { caution, on: this.document.context.today }];
		this.change(item, { confirmed }, `Kept on your responsibility: ${caution}`);
	}

	change(item: Item, change: ItemChange, said: string, field = ''): void {
		this.document.edit({ do: 'setItem', itemId: item.id, change }, said, field);
	}

	doseBy(item: Item, step: -1 | 1): void {
		const edit = doseByOne(item, this.document.catalogue.find, step);
		if (edit) this.document.edit(edit, step === 1 ? 'Longer' : 'Shorter');
		else this.document.say(step === 1 ? 'This is the longest allowed' : 'This is the shortest allowed');
	}

	/** A drag of the right edge of an item on the score, seconds. */
	dragDose(itemId: string, seconds: number): void {
		const item = findItem(this.document.plan, itemId);
		const movement = item && this.document.catalogue.find(item.movement);
		const form = movement && formOf(movement, item.form);
		if (!item || !form) return;
		const goes = this.document.analysis.timeline.entries.filter(
			(e) => e.itemId === itemId && e.phase === 'work'
		).length;
		const each = secondsOfEach(
			item.dose,
			rangeOf(item, movement, form),
			item.mode,
			paceFor(paceOf(this.document.context.pace, this.document.plan.pinnedPace), movement.slug)
		);
		const edit = doseDragged(item, this.document.catalogue.find, seconds / Math.max(1, goes), each);
		if (edit) this.document.edit(edit, 'Dose changed');
		else this.document.say('This is the limit');
	}

	setForm(item: Item, movement: Movement, to: { form?: FormId; mode?: Mode }): void {
		const said = to.form ? `${to.form} form` : to.mode;
		this.change(item, formChange(this.document.plan, item, movement, to), `${movement.english}: ${said}`);
	}

	/** Part of a dose; `field` names what is typed in. */
	setDose(item: Item, change: DoseChange, said = 'Dose changed', field = ''): void {
		this.document.edit({ do: 'setDose', itemId: item.id, change }, said, field);
	}

	/** Counts an item in another unit, the amount carried over. */
	setUnit(item: Item, unit: DoseUnit): void {
		const movement = this.document.catalogue.find(item.movement);
		const form = movement && formOf(movement, item.form);
		if (form) this.setDose(item, countedIn(item, movement, form, unit), `Counted in ${unit}`);
	}

	/** Lets the sides take turns, or one follow the other. */
	setTurns(item: Item, movement: Movement, byTurns: boolean): void {
		const said = byTurns ? 'The sides take turns' : 'One side, then the other';
		this.change(item, turnsChange(item, movement, byTurns), said);
	}

	swapLead(item: Item): void {
		const lead = otherLeg(item.lead);
		this.change(item, { lead }, `${lead} leads first`);
	}
}
