import { neighbourId, selectableBetween, selectableIds, type Item } from '$lib/core/plan';
import type { PlanDocument } from './plan-document.svelte';

/** The selection and the marks at the desk, and the item with open details. */
export class Selection {
	/** Item or talk that is selected. */
	selected = $state<string | null>(null);
	/** Items and talks marked together with the selection, for keys that act on several. */
	marked = $state.raw<readonly string[]>([]);
	/** Item whose details are open. */
	detail = $state<string | null>(null);

	readonly item = $derived.by<Item | undefined>(() =>
		this.selected === null ? undefined : this.document.itemOf(this.selected)
	);

	constructor(private readonly document: PlanDocument) {
		document.session.whenChanged(() => {
			if (this.selected !== null && !selectableIds(document.plan).includes(this.selected))
				this.selected = null;
		});
	}

	select(id: string | null): void {
		this.selected = id;
		if (id === null || !this.marked.includes(id)) this.marked = [];
	}

	/** Marks everything from the selection to another row, or adds one row to what is marked. */
	mark(id: string, how: 'to here' | 'this too'): void {
		const before = this.marked.length ? this.marked : this.selected === null ? [] : [this.selected];
		if (how === 'to here' && this.selected !== null)
			this.marked = selectableBetween(this.document.plan, before[0] ?? this.selected, id);
		else this.marked = before.includes(id) ? before.filter((other) => other !== id) : [...before, id];
		this.selected = id;
	}

	markNeighbour(step: -1 | 1): void {
		const next = neighbourId(this.document.plan, this.selected, step);
		if (next !== null) this.mark(next, 'to here');
	}

	markAll(): void {
		this.marked = selectableIds(this.document.plan);
		this.document.say(`${this.marked.length} marked`);
	}

	/** Returns the ids that the next key acts on: all marked ones, or the selection. */
	get acted(): string[] {
		if (this.marked.length) return [...this.marked];
		return this.selected === null ? [] : [this.selected];
	}

	selectNeighbour(step: -1 | 1): void {
		this.selected = neighbourId(this.document.plan, this.selected, step);
	}

	toggleDetail(id: string): void {
		this.detail = this.detail === id ? null : id;
	}
}
