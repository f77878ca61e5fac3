import { CATALOGUE } from '$lib/catalogue';
import type { Leg } from '$lib/core/anatomy';
import { type SilencedCheck } from '$lib/core/checks';
import { analysePlan, planContext, type Analysis } from '$lib/core/analysis';
import { spread } from '$lib/core/clock';
import { groupToday, type Group } from '$lib/core/group';
import { HIP_TESTS } from '$lib/core/hip-tests';
import { catalogueView, type Movement, type OutdatedMovement } from '$lib/core/movement';
import { classLogSd, type PaceModel } from '$lib/core/pace';
import {
	applyEdit,
	blockOfItem,
	findBlock,
	itemFinder,
	tidied,
	type ClassPlan,
	type PlanEdit
} from '$lib/core/plan';
import type { FamiliarMovements } from '$lib/core/record';
import { styleOf, type StyleChoices } from '$lib/core/style';
import type { Lately } from '$lib/core/orbit';
import { roomSheet, type RoomRow } from '$lib/core/substitution';
import { classRing, runningOrder, score, recentBalanceText } from '$lib/core/view-models';
import type { DocumentSession } from '../saving/document-session.svelte';

/** Context of the desk besides the plan. */
export interface DeskContext {
	group: Group;
	own: Movement[];
	leftOut: string[];
	moved: OutdatedMovement[];
	known: FamiliarMovements;
	usedLately: FamiliarMovements;
	/** The pace of who teaches. */
	pace: PaceModel;
	silencedChecks: SilencedCheck[];
	lastFirstSide: Leg | null;
	/** Slugs of that class. */
	lastMovements: string[];
	/** The last classes of the group before this one. */
	lately: Lately;
	/** Today, for what is confirmed with a date. */
	today: string;
}

/** The plan at the desk, and all that is worked out from it: nothing of that is stored. */
export class PlanDocument {
	readonly plan = $derived.by(() => this.session.document);
	/** Movements that are still as the plan was made with them, though the catalogue has moved on. */
	readonly moved = $derived.by(() =>
		this.context.moved.filter(({ slug, now }) => this.plan.madeWith?.[slug] !== now || now === null)
	);
	readonly catalogue = $derived.by(() =>
		catalogueView(
			CATALOGUE,
			this.context.own,
			this.context.leftOut,
			this.moved.map(({ kept }) => kept)
		)
	);
	readonly style = $derived(styleOf(this.plan.style));
	readonly analysis = $derived.by(() => this.read(this.plan));
	/** Who is here: the group as it is today. */
	readonly group = $derived.by(() => groupToday(this.context.group, this.plan.here));
	/** Consequences of each item for the people in the room. */
	readonly room = $derived.by(() =>
		roomSheet(this.analysis.context.items, this.group, this.catalogue.find, this.style)
	);
	readonly order = $derived(runningOrder(this.analysis));
	readonly score = $derived(score(this.analysis));
	readonly ring = $derived(classRing(this.analysis.orbit, this.analysis.balance));
	/** The same on top of the group's last classes. */
	readonly together = $derived.by(() =>
		recentBalanceText(this.analysis.orbit, this.context.lately, this.context.group.targets)
	);
	/** When the class is likely to end. */
	readonly spread = $derived.by(() =>
		spread(
			this.analysis.timeline.totalSeconds,
			this.plan.lengthSeconds,
			classLogSd(this.context.pace, this.plan.pinnedPace)
		)
	);
	/** Items of the plan by their ids. */
	readonly itemOf = $derived(itemFinder(this.plan));

	/** Checks that the teacher does not want to hear of in any class. */
	silencedChecks = $state.raw<readonly SilencedCheck[]>([]);

	constructor(
		readonly session: DocumentSession<ClassPlan>,
		readonly context: DeskContext
	) {
		this.silencedChecks = context.silencedChecks;
	}

	/** Any plan read as this desk reads its own. */
	read(plan: ClassPlan): Analysis {
		const { group, known, pace, lastFirstSide } = this.context;
		const silencedChecks = this.silencedChecks;
		const more = { known, lastFirstSide, silencedChecks };
		return analysePlan(plan, planContext(this.catalogue, group, pace, more));
	}

	/** Takes edits as one step; `field` names what is typed in. */
	edit(edits: PlanEdit | PlanEdit[], said = '', field = ''): void {
		const after = tidied([edits].flat().reduce(applyEdit, this.plan), this.catalogue.find);
		this.session.change(after, said, field);
	}

	say(message: string): void {
		this.session.message = message;
	}

	setStyle(change: StyleChoices): void {
		this.edit({ do: 'setStyle', change }, 'Style of this class changed');
	}

	/** Goes over to what the catalogue has today. */
	remake({ slug, english, now }: OutdatedMovement): void {
		if (now)
			this.edit({ do: 'updateMovement', slug, contentHash: now }, `${english} as the catalogue has it today`);
	}

	roomRow(itemId: string): RoomRow | undefined {
		return this.room.rows.find((row) => row.itemId === itemId);
	}

	nameOf(id: string): string {
		const item = this.itemOf(id);
		if (item) return this.catalogue.find(item.movement)?.english ?? item.movement;
		const block = findBlock(this.plan, id)?.block;
		if (block?.kind === 'talk') return block.label;
		if (block?.kind === 'test') return HIP_TESTS[block.test].name;
		return block?.kind === 'flow' ? 'Flow' : 'Chain';
	}

	blockIdOf(id: string): string {
		return blockOfItem(this.plan, id)?.id ?? id;
	}

	/** Movements that the catalogue does not have, or not as this plan was made with them. */
	get besides(): Movement[] {
		return [...this.context.own, ...this.moved.map(({ kept }) => kept)];
	}
}
