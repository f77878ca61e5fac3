import { isSymmetrical, otherLeg, type Leg } from '../anatomy';
import {
	doseRange,
	formOf,
	type FindMovement,
	type Form,
	type KitKind,
	type Movement,
	type Position
} from '../movement';
import { moveSeconds, type Pace, type PaceModel, paceOf, USUAL_PACE } from '../pace';
import { HIP_TESTS } from '../measure';
import type { Block, ClassPlan, Flow, Item, PinnedPhase, Section, TestBlock } from '../plan';
import { doseSeconds } from './dose';

/** What a stretch of the class is spent on. `work` is the movement itself; all else surrounds it. */
export const PHASES = [
	'move',
	'fetch',
	'setUp',
	'explain',
	'work',
	'change',
	'notice',
	'leave',
	'talk',
	'test'
] as const;
export type Phase = (typeof PHASES)[number];

export const PHASE_NAME: Record<Phase, string> = {
	move: 'changing position',
	fetch: 'fetching kit',
	setUp: 'getting into the shape',
	explain: 'explaining',
	work: 'the work itself',
	change: 'changing sides',
	notice: 'noticing',
	leave: 'coming out',
	talk: 'talking',
	test: 'testing'
};

/** Which part a leg has: `both` in a symmetrical movement. */
export type LegPart = 'lead' | 'trail' | 'both';

/** One stretch of the class. Times are whole seconds from the beginning; `to` is where the next begins. */
export interface TimelineEntry {
	phase: Phase;
	sectionId: string;
	blockId: string;
	/** Null for words and tests. */
	itemId: string | null;
	movement: string | null;
	/** Null where nothing has a side. */
	side: 1 | 2 | null;
	/** The leg that leads; null in a symmetrical movement. */
	leads: Leg | null;
	legs: Record<Leg, LegPart> | null;
	/** Work joined to the breath, as in a flow: it lasts as long as the breath does. */
	byBreath?: true;
	position: Position;
	fromSeconds: number;
	toSeconds: number;
}

export interface Timeline {
	entries: TimelineEntry[];
	totalSeconds: number;
}

/** An item with what the catalogue says of it. */
interface ResolvedItem {
	item: Item;
	movement: Movement;
	form: Form;
}

/**
 * Works out a class second by second: one entry per phase of each item, without gap or overlap.
 * People are in the first position when it begins. A movement that came before in the class is explained more shortly.
 *
 * Example: one symmetrical movement of 10 breaths takes set-up 3 s, explaining 13 s and work 70 s with the usual pace.
 *
 * @param plan a plan whose names the catalogue knows
 * @param find looks a movement up by its slug
 * @param pace the figures of who teaches; those that the plan pins go before them
 * @returns entries in the order of time, from and to in seconds of the class, and its length in seconds
 * @throws Error when the plan names a movement or form that `find` does not know (check it by planFaults first)
 */
export function clock(plan: ClassPlan, find: FindMovement, pace: PaceModel = USUAL_PACE): Timeline {
	const writer = new TimelineWriter(paceOf(pace, plan.pinnedPace), find);
	for (const section of plan.sections) for (const block of section.blocks) writer.block(section, block);
	return { entries: writer.entries, totalSeconds: writer.now };
}

/** Keeps what the next phase depends on: the second, the position, the kit at hand, what was explained. */
class TimelineWriter {
	readonly entries: TimelineEntry[] = [];
	now = 0;
	private position: Position | null = null;
	private kitInUse: ReadonlySet<KitKind> = new Set();
	private readonly explained = new Set<string>();
	private section!: Section;
	private blockRef!: Block;

	constructor(
		private readonly pace: Pace,
		private readonly find: FindMovement
	) {}

	block(section: Section, block: Block): void {
		this.section = section;
		this.blockRef = block;
		if (block.kind === 'talk') this.write('talk', block.seconds, null, null, null);
		else if (block.kind === 'test') this.test(block);
		else if (block.kind === 'item') this.item(this.known(block));
		else if (block.kind === 'chain') this.chain(block.items.map((item) => this.known(item)));
		else
			this.flow(
				block,
				block.items.map((item) => this.known(item))
			);
	}

	/** People get into place for a test, and what they held is put down. */
	private test(block: TestBlock): void {
		this.moveTo(HIP_TESTS[block.test].position, null, null);
		this.kitInUse = new Set();
		this.write('test', block.seconds, null, null, null);
	}

	private known(item: Item): ResolvedItem {
		const movement = this.find(item.movement);
		const form = movement && formOf(movement, item.form);
		if (!movement || !form) throw new Error(`the catalogue has no ${item.movement} in the ${item.form} form`);
		return { item, movement, form };
	}

	/** Sides swapped after the item. */
	private item(known: ResolvedItem): void {
		const sided = !isSymmetrical(known.movement.action);
		this.arrive(known, sided ? 1 : null);
		this.work(known, sided ? 1 : null);
		if (sided && !known.item.oneSided) {
			this.change(known, 2);
			this.explain(known, 2);
			this.work(known, 2);
		}
		this.depart(known);
	}

	/** All items on the first side, then all of them mirrored; one-sided items are left out of the second pass. */
	private chain(items: ResolvedItem[]): void {
		const second = items.filter(({ item }) => !item.oneSided);
		for (const known of items) this.pass(known, 1);
		const [first] = second;
		if (!first) return;
		this.change(first, 2);
		for (const known of second) this.pass(known, 2);
	}

	/**
	 * Rounds of linked items. In the first round each is arrived at and explained in passing; after it the links ride on the breath,
	 * or, where items keep their own dose, only changes of position take time.
	 */
	private flow(flow: Flow, items: ResolvedItem[]): void {
		const both = items.filter(({ item }) => !item.oneSided);
		for (const pass of flow.sides === 'mirror' ? ([1, 2] as const) : ([1] as const)) {
			if (pass === 2 && both[0]) this.change(both[0], 2);
			for (let round = 0; round < flow.rounds; round++) {
				const side = flow.sides === 'mirror' ? pass : round % 2 === 0 ? 1 : 2;
				const fresh = round === 0 && pass === 1;
				for (const known of side === 1 ? items : both) this.step(flow, known, side, fresh);
			}
		}
		const last = items.at(-1);
		if (last) this.depart(last);
	}

	private step(flow: Flow, known: ResolvedItem, side: 1 | 2, fresh: boolean): void {
		const { position } = known.movement;
		if (fresh) this.arrive(known, side, true);
		else if (flow.breathsEach === undefined) this.moveTo(position, known, side);
		else this.position = position;
		if (flow.breathsEach === undefined) this.work(known, side);
		else this.writeByBreath(flow.breathsEach * this.pace.movingBreathSeconds, known, side);
	}

	private writeByBreath(seconds: number, known: ResolvedItem, side: 1 | 2): void {
		const before = this.entries.length;
		this.write('work', seconds, known, side, this.leads(known, side));
		const written = this.entries[before];
		if (written) written.byBreath = true;
	}

	private moveTo(position: Position, known: ResolvedItem | null, side: 1 | 2 | null): void {
		const from = this.position ?? position;
		this.position = position;
		this.write('move', moveSeconds(this.pace, from, position), known, side, known && this.leads(known, side));
	}

	private pass(known: ResolvedItem, side: 1 | 2): void {
		this.arrive(known, side);
		this.work(known, side);
		this.depart(known);
	}

	private arrive(known: ResolvedItem, side: 1 | 2 | null, inFlow = false): void {
		const { movement, form } = known;
		this.moveTo(movement.position, known, side);
		const kit = new Set(form.props.map((p) => p.kit));
		let fetching = 0;
		for (const kind of kit) if (!this.kitInUse.has(kind)) fetching += this.pace.fetchSeconds[kind];
		this.kitInUse = kit;
		this.write('fetch', fetching, known, side, this.leads(known, side));
		// in a flow the first breath sets up
		this.write('setUp', inFlow ? 0 : this.pace.setUpSeconds, known, side, this.leads(known, side));
		this.explain(known, side, inFlow ? this.pace.explainInFlowFactor : 1);
	}

	private explain(known: ResolvedItem, side: 1 | 2 | null, factor = 1): void {
		const again = side === 2 || this.explained.has(known.movement.slug);
		this.explained.add(known.movement.slug);
		// a pinned explanation is that of the first time; again it is as much shorter as any other
		const once = known.item.phases?.explain ?? this.pace.explainSeconds[this.pace.talk];
		const seconds = once * factor * (again ? this.pace.explainAgainFactor : 1);
		this.write('explain', seconds, known, side, this.leads(known, side));
	}

	private work(known: ResolvedItem, side: 1 | 2 | null): void {
		const { item, form } = known;
		const leads = this.leads(known, side);
		const amount = item.dose + (item.moreOn && item.moreOn.leg === leads ? item.moreOn.dose : 0);
		const range = doseRange(form, item.mode, item.unit);
		this.write('work', doseSeconds(range, item.mode, amount, this.pace), known, side, leads);
	}

	private change(known: ResolvedItem, side: 1 | 2): void {
		const withProp = known.form.props.some((p) => p.kit !== 'wall space');
		const seconds = withProp ? this.pace.changeSidesWithPropSeconds : this.pace.changeSidesSeconds;
		this.write('change', seconds, known, side, this.leads(known, side));
	}

	private depart(known: ResolvedItem): void {
		this.write('leave', known.form.leaveSeconds, known, null, null);
		this.write('notice', known.item.noticeSeconds ?? 0, known, null, null);
	}

	private leads(known: ResolvedItem, side: 1 | 2 | null): Leg | null {
		if (side === null || isSymmetrical(known.movement.action)) return null;
		return side === 1 ? known.item.lead : otherLeg(known.item.lead);
	}

	private write(
		phase: Phase,
		seconds: number,
		known: ResolvedItem | null,
		side: 1 | 2 | null,
		leads: Leg | null
	): void {
		// what the teacher pinned goes before what the pace says
		const whole = Math.round(pinnedSeconds(known?.item, phase) ?? seconds);
		if (whole <= 0) return;
		const from = this.now;
		this.now += whole;
		this.entries.push({
			phase,
			sectionId: this.section.id,
			blockId: this.blockRef.id,
			itemId: known?.item.id ?? null,
			movement: known?.movement.slug ?? null,
			side,
			leads,
			legs: phase === 'work' && known ? legsOf(leads) : null,
			position: this.position ?? 'standing',
			fromSeconds: from,
			toSeconds: this.now
		});
	}
}

function pinnedSeconds(item: Item | undefined, phase: Phase): number | undefined {
	return phase === 'explain' ? undefined : item?.phases?.[phase as PinnedPhase];
}

function legsOf(leads: Leg | null): Record<Leg, LegPart> {
	if (leads === null) return { left: 'both', right: 'both' };
	return leads === 'left' ? { left: 'lead', right: 'trail' } : { left: 'trail', right: 'lead' };
}
