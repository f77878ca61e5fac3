import { CATALOGUE } from '$lib/catalogue';
import { roomSheet, type RoomRow } from '$lib/core/substitution';
import { type Leg } from '$lib/core/anatomy';
import { readPlan, type Reading } from '$lib/core/checks';
import { spread, stretches } from '$lib/core/clock';
import {
	classRing,
	phaseParts,
	runningOrder,
	score,
	type ProposalCard,
	type Shift
} from '$lib/core/view-models';
import { HIP_TESTS } from '$lib/core/measure';
import type { Group } from '$lib/core/group';
import type { Calmed } from '$lib/core/ordering';
import type { Alternative, Conflict } from '$lib/core/propose';
import { shelfOf, type Difference, type Movement } from '$lib/core/movement';
import type { PaceModel } from '$lib/core/pace';
import type { Known } from '$lib/core/run';
import { styleOf } from '$lib/core/style';
import {
	advance,
	amend,
	applyEdit,
	blockOfItem,
	findBlock,
	itemFinder,
	neighbourId,
	redo,
	selectableBetween,
	selectableIds,
	startHistory,
	tidied,
	undo,
	type ClassPlan,
	type History,
	type Item,
	type PlanEdit
} from '$lib/core/plan';
import type { Autosave } from './autosave.svelte';
import type { SentProposal } from './core.worker';
import type { Work } from './worker';

/** A movement that is not what it was when the plan was made. */
export interface Moved {
	slug: string;
	english: string;
	/** Today's fingerprint; null when there is no such movement any more. */
	now: string | null;
	kept: Movement;
	differences: Difference[];
}

/** A proposed class as the desk shows it; `done` false while a better one is looked for. */
export interface ShownProposal {
	number: number;
	done: boolean;
	sent: SentProposal;
	card: ProposalCard;
	/** Share of its movements that no other one has. */
	own: string;
}

/** Something else in the place of an item, with what it would change. */
export interface ShownAlternative {
	alternative: Alternative;
	name: string;
	totalBefore: string;
	totalAfter: string;
	shifts: Shift[];
}

/** What the desk is given besides the plan. */
export interface DeskSetting {
	group: Group;
	own: Movement[];
	leftOut: string[];
	moved: Moved[];
	known: Known;
	usedLately: Known;
	/** The pace of who teaches. */
	pace: PaceModel;
	lastFirstSide: Leg | null;
	/** Slugs of that class. */
	lastMovements: string[];
	/** Today, for what is confirmed with a date. */
	today: string;
}

/** The desk's state: one plan, its history, what is selected and marked, and all that is worked out from it. */
export class PlanDesk {
	/** Item or talk that is selected. */
	selected = $state<string | null>(null);
	/** What is marked together with it: items and talks, for keys that act on several. */
	marked = $state.raw<readonly string[]>([]);
	/** What the last action said, for the eye and for the screen reader. */
	message = $state('');
	/** Item whose details are open. */
	detail = $state<string | null>(null);
	fitting = $state(false);
	/** An ordering under way, and one that waits to be taken. */
	ordering = $state.raw<Work<Calmed> | null>(null);
	calmed = $state.raw<Calmed | null>(null);

	/** Classes proposed for this one, and what stands in their way. */
	proposing = $state.raw<Work<Conflict | null> | null>(null);
	proposed = $state.raw<readonly ShownProposal[]>([]);
	conflict = $state.raw<Conflict | null>(null);
	/** What else could stand in the place of one item; `found` null while it is looked for. */
	elsewhere = $state.raw<{ itemId: string; found: readonly ShownAlternative[] | null } | null>(null);

	private history = $state.raw<History<ClassPlan>>({ past: [], present: null as never, future: [] });
	/** Typing on in the same field is one step of undo. */
	private lastField = '';

	readonly plan = $derived(this.history.present);
	readonly canUndo = $derived(this.history.past.length > 0);
	readonly canRedo = $derived(this.history.future.length > 0);
	/** Movements that are still as the plan was made with them, though the catalogue has moved on. */
	readonly moved = $derived.by(() =>
		this.setting.moved.filter(({ slug, now }) => this.plan.madeWith?.[slug] !== now || now === null)
	);
	readonly shelf = $derived.by(() =>
		shelfOf(
			CATALOGUE,
			this.setting.own,
			this.setting.leftOut,
			this.moved.map(({ kept }) => kept)
		)
	);
	readonly style = $derived(styleOf(this.plan.style));
	readonly reading = $derived.by(() => this.read(this.plan));
	/** What each item means for the people in the room. */
	readonly room = $derived.by(() =>
		roomSheet(this.reading.context.items, this.setting.group, this.shelf.find, this.style)
	);
	readonly order = $derived(runningOrder(this.reading));
	readonly score = $derived(score(this.reading));
	readonly ring = $derived(classRing(this.reading.orbit, this.reading.balance));
	/** When the class is likely to end. */
	readonly spread = $derived.by(() =>
		spread(
			stretches(this.reading.timeline, this.shelf.find, this.itemOf, this.setting.pace),
			this.plan.lengthSeconds
		)
	);
	readonly totalParts = $derived(phaseParts(this.reading.timeline));
	/** Items of the plan by their ids. */
	private readonly itemOf = $derived(itemFinder(this.plan));
	readonly item = $derived.by<Item | undefined>(() =>
		this.selected === null ? undefined : this.itemOf(this.selected)
	);

	constructor(
		plan: ClassPlan,
		readonly setting: DeskSetting,
		private readonly autosave: Autosave<ClassPlan>
	) {
		this.history = startHistory(plan);
	}

	/** Any plan read as this desk reads its own. */
	protected read(plan: ClassPlan): Reading {
		return readPlan(plan, {
			catalogue: this.shelf.offered,
			find: this.shelf.find,
			targets: this.setting.group.targets,
			group: this.setting.group,
			known: this.setting.known,
			pace: this.setting.pace,
			lastFirstSide: this.setting.lastFirstSide
		});
	}

	/** Takes edits as one step; `field` names what is typed in, so that typing on amends the step before. */
	edit(edits: PlanEdit | PlanEdit[], said = '', field = ''): void {
		const after = tidied([edits].flat().reduce(applyEdit, this.plan), this.shelf.find);
		const goesOn = field !== '' && field === this.lastField;
		this.set(goesOn ? amend(this.history, after) : advance(this.history, after), said);
		this.lastField = field;
	}

	undo(): void {
		if (this.canUndo) this.set(undo(this.history), 'Undone');
	}

	redo(): void {
		if (this.canRedo) this.set(redo(this.history), 'Done again');
	}

	/** Another document in the place of this one (a newer one from the server); undo leads back. */
	replace(plan: ClassPlan): void {
		this.history = advance(this.history, plan);
		this.lastField = '';
	}

	select(id: string | null): void {
		this.selected = id;
		if (id === null || !this.marked.includes(id)) this.marked = [];
	}

	/** Marks everything from the selection to another row, or adds one row to what is marked. */
	mark(id: string, how: 'to here' | 'this too'): void {
		const before = this.marked.length ? this.marked : this.selected === null ? [] : [this.selected];
		if (how === 'to here' && this.selected !== null)
			this.marked = selectableBetween(this.plan, before[0] ?? this.selected, id);
		else this.marked = before.includes(id) ? before.filter((other) => other !== id) : [...before, id];
		this.selected = id;
	}

	markNeighbour(step: -1 | 1): void {
		const next = neighbourId(this.plan, this.selected, step);
		if (next !== null) this.mark(next, 'to here');
	}

	markAll(): void {
		this.marked = selectableIds(this.plan);
		this.message = `${this.marked.length} marked`;
	}

	/** What the next key acts on: everything marked, or what is selected. */
	protected get acted(): string[] {
		if (this.marked.length) return [...this.marked];
		return this.selected === null ? [] : [this.selected];
	}

	toggleDetail(id: string): void {
		this.detail = this.detail === id ? null : id;
	}

	selectNeighbour(step: -1 | 1): void {
		this.selected = neighbourId(this.plan, this.selected, step);
	}

	roomRow(itemId: string): RoomRow | undefined {
		return this.room.rows.find((row) => row.itemId === itemId);
	}

	nameOf(id: string): string {
		const item = this.itemOf(id);
		if (item) return this.shelf.find(item.movement)?.english ?? item.movement;
		const block = findBlock(this.plan, id)?.block;
		if (block?.kind === 'talk') return block.label;
		if (block?.kind === 'test') return HIP_TESTS[block.test].name;
		return block?.kind === 'flow' ? 'Flow' : 'Chain';
	}

	protected blockIdOf(id: string): string {
		return blockOfItem(this.plan, id)?.id ?? id;
	}

	private set(history: History<ClassPlan>, said: string): void {
		const changed = history.present !== this.plan;
		if (changed) {
			this.calmed = null;
			this.proposed = [];
			this.elsewhere = null;
		}
		this.history = history;
		this.lastField = '';
		if (said) this.message = said;
		if (this.selected !== null && !selectableIds(this.plan).includes(this.selected)) this.selected = null;
		if (changed) this.autosave.changed(this.plan);
	}
}
