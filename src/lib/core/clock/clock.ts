import { isSymmetrical, otherLeg, type Leg } from '../anatomy';
import { formOf, type FindMovement, type Form, type KitKind, type Movement } from '../movement';
import {
	KINDS,
	moveSeconds,
	PASSED_THROUGH,
	paceFor,
	paceOf,
	setUpSeconds,
	type ClassKind,
	type Pace,
	type PaceModel,
	type Familiarity,
	type Whereabouts
} from '../pace';
import { HIP_TESTS } from '../hip-tests';
import {
	amountOn,
	goesByTurns,
	rangeOf,
	setsOf,
	type Block,
	type Chain,
	type ClassPlan,
	type Flow,
	type Item,
	type KitFor,
	type PinnedPhase,
	type Section,
	type TestBlock
} from '../plan';
import { passedSeconds, setSeconds } from './dose';
import type { ChangeFigure, LegPart, Phase, Timeline, TimelineEntry } from './timeline';

/** An item with its movement and form from the catalogue. */
export interface ResolvedItem {
	item: Item;
	movement: Movement;
	form: Form;
}

/**
 * Works out a class second by second: one entry per phase of each item, without gap or overlap.
 * People are in the first position when it begins. What is added to a dose for getting into a shape depends on the kind
 * of class and on whether the shape is new, the second side of what was new, known, or only passed through.
 *
 * Example: one symmetrical movement of 10 breaths takes 10 s of explaining, 4 s of set-up and 70 s of work with the
 * usual pace.
 *
 * @param plan a plan whose names the catalogue knows
 * @param find looks a movement up by its slug
 * @param pace the figures of who teaches; those that the plan pins go before them
 * @returns entries in the order of time, from and to in seconds of the class, and its length in seconds
 * @throws Error when the plan names a movement or form that `find` does not know (check it by planFaults first)
 */
export function clock(plan: ClassPlan, find: FindMovement, pace: PaceModel): Timeline {
	const writer = new TimelineWriter(paceOf(pace, plan.pinnedPace), find);
	for (const section of plan.sections) for (const block of section.blocks) writer.block(section, block);
	return { entries: writer.entries, totalSeconds: writer.now };
}

/** Keeps what the next phase depends on: the second, where people are, the kit, what they have met. */
class TimelineWriter {
	readonly entries: TimelineEntry[] = [];
	now = 0;
	private at: Whereabouts | null = null;
	private kitInUse: ReadonlySet<KitKind> = new Set();
	/** Once fetched, kit stays beside the mat. */
	private readonly fetched = new Set<KitKind>();
	private readonly met = new Set<string>();
	private section!: Section;
	private kind!: ClassKind;
	private blockId!: string;

	constructor(
		private readonly pace: Pace,
		private readonly find: FindMovement
	) {}

	block(section: Section, block: Block): void {
		this.section = section;
		this.kind = section.classKind ?? this.pace.classKind;
		this.blockId = block.id;
		if (block.kind === 'talk') this.write('talk', block.seconds, null, null, null);
		else if (block.kind === 'test') this.test(block);
		else if (block.kind === 'item') this.item(this.known(block));
		else if (block.kind === 'chain')
			this.chain(
				block,
				block.items.map((item) => this.known(item))
			);
		else
			this.flow(
				block,
				block.items.map((item) => this.known(item))
			);
	}

	/** People get into place for a test, and what they held is put down. */
	private test(block: TestBlock): void {
		const { position } = HIP_TESTS[block.test];
		this.moveTo({ position, atWall: position === 'wall-supine', onTop: null }, null, null);
		this.kitInUse = new Set();
		this.write('test', block.seconds, null, null, null);
	}

	private known(item: Item): ResolvedItem {
		const movement = this.find(item.movement);
		const form = movement && formOf(movement, item.form);
		if (!movement || !form) throw new Error(`the catalogue has no ${item.movement} in the ${item.form} form`);
		return { item, movement, form };
	}

	/** Sides swapped after the item, unless they take turns. */
	private item(known: ResolvedItem): void {
		const { item } = known;
		const side = firstSide(known);
		const met = this.met.has(item.movement);
		this.arrive(known, side);
		this.setUp(known, side, met ? 'known' : 'new');
		this.work(known, side);
		if (side !== null && !item.oneSided) {
			this.write('notice', item.noticeFirstSeconds ?? 0, known, 1, null);
			this.change(known, item.slowChange);
			this.setUp(known, 2, met ? 'known' : 'second side');
			this.work(known, 2);
		}
		this.depart(known);
	}

	/** All items on the first side, then all of them mirrored; what serves both sides at once comes in the first pass only. */
	private chain(chain: Chain, items: ResolvedItem[]): void {
		const before = new Set(this.met);
		const pass = (known: ResolvedItem, side: 1 | 2) => {
			const { item, movement } = known;
			const own = goesByTurns(item, movement) ? null : side;
			const met = side === 1 ? this.met : before;
			this.arrive(known, own);
			this.setUp(known, own, met.has(item.movement) ? 'known' : side === 1 ? 'new' : 'second side');
			this.work(known, own);
			this.depart(known);
		};
		for (const known of items) pass(known, 1);
		const second = items.filter(({ item, movement }) => !item.oneSided && !goesByTurns(item, movement));
		const [first] = second;
		if (!first) return;
		this.write('notice', chain.noticeFirstSeconds ?? 0, null, 1, null);
		this.change(first, chain.slowChange);
		for (const known of second) pass(known, 2);
	}

	/** Rounds of linked items. In the first round each is fetched for and set up; after it the links ride on the breath. */
	private flow(flow: Flow, items: ResolvedItem[]): void {
		const both = items.filter(({ item }) => !item.oneSided);
		for (const pass of flow.sides === 'mirror' ? ([1, 2] as const) : ([1] as const)) {
			if (pass === 2 && both[0]) this.change(both[0]);
			for (let round = 0; round < flow.rounds; round++) {
				const side = flow.sides === 'mirror' ? pass : round % 2 === 0 ? 1 : 2;
				const fresh = round === 0 && pass === 1;
				for (const known of side === 1 ? items : both) this.step(known, side, fresh);
			}
		}
		const last = items.at(-1);
		if (last) this.depart(last);
	}

	private step(known: ResolvedItem, side: 1 | 2, fresh: boolean): void {
		const own = goesByTurns(known.item, known.movement) ? null : side;
		if (fresh) {
			this.arrive(known, own);
			this.setUp(known, own, 'step');
		} else if (known.item.dose.byBreath || known.item.passed) this.at = this.whereOf(known, own);
		else this.moveTo(this.whereOf(known, own), known, own);
		this.work(known, own, true);
	}

	/** Kit is fetched once and lies beside the mat from then on: then it is only placed. */
	private arrive(known: ResolvedItem, side: 1 | 2 | null): void {
		this.moveTo(this.whereOf(known, side), known, side);
		const kit = kitOn(known, this.leads(known, side));
		let seconds = 0;
		for (const kind of kit) {
			if (this.kitInUse.has(kind) || kind === 'wall space') continue;
			seconds += this.fetched.has(kind) ? this.pace.placeSeconds : this.pace.fetchSeconds[kind];
			this.fetched.add(kind);
		}
		this.kitInUse = kit;
		this.write('fetch', seconds, known, side, this.leads(known, side));
	}

	private moveTo(to: Whereabouts, known: ResolvedItem | null, side: 1 | 2 | null): void {
		const from = this.at ?? to;
		this.at = to;
		this.write('move', moveSeconds(this.pace, from, to), known, side, known && this.leads(known, side));
	}

	/**
	 * Returns the place of the people at an item: at the wall where the form needs one; lying on the side, the
	 * leading leg is on top.
	 */
	private whereOf(known: ResolvedItem, side: 1 | 2 | null): Whereabouts {
		const { movement, form } = known;
		const onTop = movement.position === 'sidelying' ? this.leads(known, side) : null;
		return { position: movement.position, atWall: needsWall(movement, form), onTop };
	}

	/** Adds the set-up. Words said before anybody moves are an entry of their own; the rest is said while people get in. */
	private setUp(known: ResolvedItem, side: 1 | 2 | null, visit: Familiarity): void {
		const { item, movement } = known;
		this.met.add(movement.slug);
		const leads = this.leads(known, side);
		const pace = paceFor(this.pace, movement.slug);
		const usual = setUpSeconds(pace, this.kind, visit);
		// a pinned set-up is that of a new shape; later it is as much shorter as any other
		const pinned = item.phases?.setUp;
		const share = usual / setUpSeconds(pace, this.kind, 'new');
		const all =
			(pinned === undefined ? usual : pinned * share) * (item.passed ? PASSED_THROUGH.setUpShare : 1);
		const explained =
			visit === 'new' && !item.passed ? Math.min(KINDS[this.kind].explainFirstSeconds, all) : 0;
		this.write('explain', explained, known, side, leads);
		this.write('setUp', all - Math.round(explained), known, side, leads);
	}

	private work(known: ResolvedItem, side: 1 | 2 | null, inFlow = false): void {
		const { item, movement, form } = known;
		const { dose, mode } = item;
		const leads = this.leads(known, side);
		const range = rangeOf(item, movement, form);
		const pace = paceFor(this.pace, movement.slug);
		if (item.passed) {
			this.write('work', passedSeconds(range, mode, inFlow, pace, this.kind), known, side, leads);
			return;
		}
		const seconds = setSeconds(dose, range, mode, amountOn(dose, side, leads), pace, this.kind);
		for (let set = 1; set <= setsOf(dose); set++) {
			if (set > 1) this.write('setRest', dose.restSeconds ?? 0, known, side, leads);
			this.write('work', seconds, known, side, leads);
		}
	}

	private change(known: ResolvedItem, slowly?: boolean): void {
		const withProp = [...kitOn(known, this.leads(known, 2))].some((kit) => kit !== 'wall space');
		const plain = withProp ? 'changeSidesWithPropSeconds' : 'changeSidesSeconds';
		const seconds = slowly ? this.pace.repetitionSeconds['slow-switch'] : this.pace[plain];
		this.at = this.whereOf(known, 2);
		this.write('change', seconds, known, 2, this.leads(known, 2), slowly ? 'slow-switch' : plain);
	}

	private depart(known: ResolvedItem): void {
		this.write('leave', known.item.passed ? 0 : known.form.leaveSeconds, known, null, null);
		this.write('notice', known.item.noticeSeconds ?? 0, known, null, null);
	}

	private leads({ item, movement }: ResolvedItem, side: 1 | 2 | null): Leg | null {
		if (side === null || isSymmetrical(movement.action)) return null;
		return side === 1 ? item.lead : otherLeg(item.lead);
	}

	private write(
		phase: Phase,
		seconds: number,
		known: ResolvedItem | null,
		side: 1 | 2 | null,
		leads: Leg | null,
		changeBy?: ChangeFigure
	): void {
		// a pinned time replaces the time of the pace
		const whole = Math.round(pinnedSeconds(known?.item, phase) ?? seconds);
		if (whole <= 0) return;
		const from = this.now;
		this.now += whole;
		this.entries.push({
			phase,
			sectionId: this.section.id,
			blockId: this.blockId,
			itemId: known?.item.id ?? null,
			movement: known?.movement.slug ?? null,
			side,
			leads,
			legs: phase === 'work' && known ? legsOf(known, leads) : null,
			...(phase === 'work' && known?.item.passed ? { passed: true as const } : {}),
			...(changeBy ? { changeBy } : {}),
			position: this.at?.position ?? 'standing',
			fromSeconds: from,
			toSeconds: this.now
		});
	}
}

/** Null where nothing has a side: in a symmetrical movement, and where the sides take turns. */
const firstSide = ({ item, movement }: ResolvedItem): 1 | null =>
	isSymmetrical(movement.action) || goesByTurns(item, movement) ? null : 1;

/** Whether a form of a movement is done at the wall. */
export const needsWall = (
	{ position }: Pick<Movement, 'position'>,
	{ props }: Pick<Form, 'props'>
): boolean => position === 'wall-supine' || props.some(({ kit }) => kit === 'wall space');

/** Kit for which the class waits on a side: that of one person does not hold the class up. */
function kitOn({ item, form }: ResolvedItem, leads: Leg | null): ReadonlySet<KitKind> {
	const uses = item.kit ?? [];
	const kinds = new Set([...form.props.map((p) => p.kit), ...uses.map(({ kit }) => kit)]);
	for (const { kit, for: whom } of uses) {
		const elsewhere = leads !== null && whom === SIDE_OF[otherLeg(leads)];
		if (whom === 'one person' || elsewhere) kinds.delete(kit);
	}
	return kinds;
}
const SIDE_OF = { left: 'the left side', right: 'the right side' } as const satisfies Record<Leg, KitFor>;

/** A pinned set-up is shared out between explaining and getting in. */
function pinnedSeconds(item: Item | undefined, phase: Phase): number | undefined {
	return phase === 'setUp' ? undefined : item?.phases?.[phase as PinnedPhase];
}

function legsOf({ item, movement }: ResolvedItem, leads: Leg | null): Record<Leg, LegPart> {
	if (leads === null) {
		const part = goesByTurns(item, movement) ? 'turns' : 'both';
		return { left: part, right: part };
	}
	return leads === 'left' ? { left: 'lead', right: 'trail' } : { left: 'trail', right: 'lead' };
}
