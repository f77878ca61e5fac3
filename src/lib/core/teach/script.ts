import { isSymmetrical, otherLeg } from '../anatomy';
import {
	clock,
	secondsOfEach,
	timedItems,
	type TimedItem,
	type Timeline,
	type TimelineEntry
} from '../clock';
import { CLOSING_WEIGHT, PEAK_WEIGHT } from '../fit';
import type { Group } from '../group';
import { cautionLinesAtTest, HIP_TESTS } from '../hip-tests';
import type { FindMovement } from '../movement';
import { paceFor, paceOf, type Pace, type PaceModel } from '../pace';
import {
	amountOn,
	blocksOf,
	doseParts,
	goesByTurns,
	rangeInStyle,
	rangeOf,
	setsOf,
	stepOfItem,
	type Block,
	type ClassPlan
} from '../plan';
import { styleOf } from '../style';
import { cautionInWords, roomSheet, type RoomRow, type RoomSheet } from '../substitution';
import { omissionCosts } from './keep';
import { kitLines, sayAtWork, sayToGetIn } from './say';
import { figureKey } from './state';
import type { Adjustable, Count, Saying, Script, ScriptStep, StepKind } from './types';

/** Phases before the work of a shape: one step in which people get there. */
const BEFORE_WORK = new Set(['move', 'fetch', 'explain', 'setUp', 'change', 'leave']);

/**
 * Makes a class ready to teach: what its clock says is cut into steps that a teacher leads through, without gap or
 * overlap, so that their seconds add up to the class. Getting out of one shape and into the next is one step; each set
 * of work on each side is one; a flow goes round by round.
 *
 * @param plan a plan whose names the catalogue knows
 * @param group who is here today
 * @throws Error when the plan names a movement or form that `find` does not know
 */
export const scriptOf = (plan: ClassPlan, group: Group, find: FindMovement, paceModel: PaceModel): Script =>
	scriptAndRoom(plan, group, find, paceModel).script;

/** The same with the room sheet that says who does what in it. */
export function scriptAndRoom(
	plan: ClassPlan,
	group: Group,
	find: FindMovement,
	paceModel: PaceModel
): { script: Script; room: RoomSheet } {
	const timeline = clock(plan, find, paceModel);
	const items = timedItems(plan, find, timeline);
	const room = roomSheet(items, group, find, styleOf(plan.style));
	const writer = cut(plan, find, paceModel, timeline, items, room);
	const script = {
		title: plan.title,
		startsAt: plan.startsAt,
		lengthSeconds: timeline.totalSeconds,
		steps: writer.steps,
		blocks: omissionCosts(plan, find)
	};
	return { script, room };
}

/** Returns the timeline entries of each step of a script, by step id. */
export function entriesOfSteps(
	plan: ClassPlan,
	find: FindMovement,
	paceModel: PaceModel
): ReadonlyMap<string, readonly TimelineEntry[]> {
	const timeline = clock(plan, find, paceModel);
	const items = timedItems(plan, find, timeline);
	return cut(plan, find, paceModel, timeline, items, { rows: [], cautions: [] }).entries;
}

/** Cuts a timeline into steps. */
function cut(
	plan: ClassPlan,
	find: FindMovement,
	paceModel: PaceModel,
	timeline: Timeline,
	items: readonly TimedItem[],
	room: Pick<RoomSheet, 'rows' | 'cautions'>
): ScriptWriter {
	const writer = new ScriptWriter(plan, find, paceOf(paceModel, plan.pinnedPace), items, room);
	for (const entry of timeline.entries) writer.add(entry);
	writer.end();
	return writer;
}

class ScriptWriter {
	readonly steps: ScriptStep[] = [];
	readonly entries = new Map<string, TimelineEntry[]>();
	/** Those that no step has yet. */
	private waiting: TimelineEntry[] = [];
	/** Seconds of getting out and in that belong to what comes next. */
	private before = 0;
	private readonly items: Map<string, TimedItem>;
	private readonly blocks: Map<string, Block>;
	private readonly rows: Map<string, RoomRow>;
	private readonly met = new Set<string>();
	private readonly style;
	private readonly closing: string | undefined;
	private last: TimelineEntry | null = null;

	constructor(
		private readonly plan: ClassPlan,
		private readonly find: FindMovement,
		private readonly pace: Pace,
		items: readonly TimedItem[],
		private readonly room: Pick<RoomSheet, 'rows' | 'cautions'>
	) {
		this.style = styleOf(plan.style);
		this.items = new Map(items.map((timed) => [timed.item.id, timed]));
		this.closing = items.at(-1)?.item.id;
		this.blocks = new Map(blocksOf(plan).map(({ block }) => [block.id, block]));
		this.rows = new Map(room.rows.map((row) => [row.itemId, row]));
	}

	add(entry: TimelineEntry): void {
		const seconds = entry.toSeconds - entry.fromSeconds;
		const block = this.blocks.get(entry.blockId)!;
		this.last = entry;
		this.waiting.push(entry);
		if (entry.phase === 'talk' || entry.phase === 'test') this.plain(entry, block, seconds);
		else if (block.kind === 'flow' && entry.phase !== 'leave') this.round(entry, block, seconds);
		else if (BEFORE_WORK.has(entry.phase)) this.before += seconds;
		else if (entry.phase === 'work') this.work(entry, seconds);
		else if (entry.phase === 'setRest') this.push('rest', entry, seconds, { say: [] });
		else this.push('notice', entry, seconds + this.takeBefore(), { say: [] });
	}

	/** Adds the time after the last work as a step of its own. */
	end(): void {
		if (this.before > 0 && this.last) this.push('out', this.last, this.takeBefore(), {});
	}

	private takeBefore(): number {
		const seconds = this.before;
		this.before = 0;
		return seconds;
	}

	private plain(entry: TimelineEntry, block: Block, seconds: number): void {
		if (block.kind === 'talk')
			this.push('talk', entry, seconds + this.takeBefore(), { title: block.label || 'Words' });
		else if (block.kind === 'test') {
			const { name, how, look } = HIP_TESTS[block.test];
			this.push('test', entry, seconds + this.takeBefore(), {
				title: `Test: ${name}`,
				test: block.test,
				people: cautionLinesAtTest(block.test, this.room.cautions).map(({ words }) => words),
				say: [
					{ about: 'set-up', words: how },
					{ about: 'watch', words: look }
				]
			});
		}
	}

	private work(entry: TimelineEntry, seconds: number): void {
		const timed = this.items.get(entry.itemId!)!;
		if (this.before > 0)
			this.push('in', entry, this.takeBefore(), {
				say: this.sayIn(timed, entry),
				kit: kitOf(timed, entry)
			});
		this.met.add(timed.movement.slug);
		const count = this.countOf(timed, entry, seconds);
		this.push('work', entry, seconds, {
			say: sayAtWork(timed.movement, timed.item.note),
			count,
			adjust: this.adjustOf(timed, entry, seconds)
		});
	}

	/** All of a round of a flow is one step; a new one begins where the items begin anew. */
	private round(entry: TimelineEntry, block: Block & { kind: 'flow' }, seconds: number): void {
		if (entry.phase !== 'work') {
			this.before += seconds;
			return;
		}
		const place = (id: string | null | undefined) => block.items.findIndex((item) => item.id === id);
		const open = this.steps.at(-1);
		const goesOn =
			open?.kind === 'round' && open.blockId === block.id && place(entry.itemId) > place(this.lastInRound);
		const timed = this.items.get(entry.itemId!)!;
		const shape = { title: timed.movement.english, leg: entry.leads, seconds: seconds + this.takeBefore() };
		this.lastInRound = entry.itemId;
		const { say, people, kit } = this.firstTime(timed, entry);
		if (goesOn) {
			open.seconds += shape.seconds;
			this.belongTo(open.id);
			open.shapes.push(shape);
			open.say.push(...say);
			open.people.push(...people);
			open.kit.push(...kit);
			return;
		}
		const number = 1 + this.steps.filter((step) => step.blockId === block.id).length;
		const of = block.rounds * (block.sides === 'mirror' ? 2 : 1);
		this.push('round', entry, shape.seconds, {
			itemId: null,
			title: `Flow: ${block.items.map((item) => this.items.get(item.id)!.movement.english).join(', ')}`,
			set: { number, of },
			shapes: [shape],
			say,
			people,
			kit
		});
	}
	private lastInRound: string | null = null;

	/** In a flow a shape is explained, fetched for, and said to whom it is another, only when it first comes. */
	private firstTime(timed: TimedItem, entry: TimelineEntry): Pick<ScriptStep, 'say' | 'people' | 'kit'> {
		const { slug, english, setUp } = timed.movement;
		if (this.met.has(slug)) return { say: [], people: [], kit: [] };
		this.met.add(slug);
		return {
			say: [{ about: 'set-up', words: `${english}: ${setUp}` }],
			people: peopleLines(this.rows.get(timed.item.id)).map((line) => `${english}: ${line}`),
			kit: kitOf(timed, entry)
		};
	}

	private push(kind: StepKind, entry: TimelineEntry, seconds: number, more: Partial<ScriptStep>): void {
		const timed = entry.itemId === null ? undefined : this.items.get(entry.itemId);
		const several = timed ? setsOf(timed.item.dose) : 1;
		const prefix = [
			entry.blockId,
			more.itemId === null ? '' : (entry.itemId ?? ''),
			entry.side ?? 0,
			kind
		].join('/');
		const number = 1 + this.steps.filter(({ id }) => id.startsWith(`${prefix}/`)).length;
		const id = `${prefix}/${number}`;
		const twin = (step: ScriptStep) =>
			step.kind === 'work' &&
			step.itemId === entry.itemId &&
			step.side === 1 &&
			(step.set?.number ?? 1) === number;
		const section = this.plan.sections.find((s) => s.id === entry.sectionId)!;
		// the work that people get in for is a step of its own
		this.belongTo(id, kind === 'in' ? 1 : 0);
		this.steps.push({
			id,
			kind,
			sectionId: entry.sectionId,
			section: section.kind,
			blockId: entry.blockId,
			itemId: entry.itemId,
			title: timed?.movement.english ?? '',
			position: entry.position,
			side: entry.side,
			leg: entry.leads,
			set: kind === 'work' && several > 1 ? { number, of: several } : null,
			seconds,
			count: null,
			equals:
				kind === 'work' && entry.side === 2 && timed && !isUnevenOn(timed)
					? (this.steps.find(twin)?.id ?? null)
					: null,
			say: [],
			people: timed && (kind === 'in' || kind === 'work') ? peopleLines(this.rows.get(entry.itemId!)) : [],
			kit: [],
			shapes: [],
			figure: timed ? figureKey(timed.movement.slug, timed.form.id, entry.leads) : null,
			adjust: null,
			...more
		});
	}

	private belongTo(step: string, butLast = 0): void {
		const taken = this.waiting.splice(0, this.waiting.length - butLast);
		this.entries.set(step, [...(this.entries.get(step) ?? []), ...taken]);
	}

	/** All of it the first time, in short when people know it, and what the second side is told. */
	private sayIn({ movement, form, item }: TimedItem, { side }: TimelineEntry): Saying[] {
		if (side === 2)
			return [{ about: 'second side', words: movement.secondSide ?? 'And the other side, the same.' }];
		const cues = (this.rows.get(item.id)?.cues ?? []).map((words): Saying => ({ about: 'cue', words }));
		const how: Saying = { about: 'form', words: form.how };
		if (this.met.has(movement.slug)) return [how];
		return [...sayToGetIn(movement, form), ...cues];
	}

	private countOf(timed: TimedItem, entry: TimelineEntry, seconds: number): Count | null {
		const { item, movement, form } = timed;
		if (item.passed) return null;
		const { unit } = rangeOf(item, movement, form);
		const amount = amountOn(item.dose, entry.side, entry.leads);
		const parts = doseParts({ ...item.dose, sets: undefined } as typeof item.dose, unit);
		return { unit, amount, eachSeconds: seconds / amount, parts };
	}

	private adjustOf({ item, movement, form, section }: TimedItem, entry: TimelineEntry, seconds: number) {
		if (item.pinned || item.passed || item.dose.byBreath) return null;
		const range = rangeInStyle(this.style, item, movement, form);
		const kind = section.classKind ?? this.pace.classKind;
		const each = secondsOfEach(item.dose, range, item.mode, paceFor(this.pace, movement.slug), kind);
		const isClosing = item.id === this.closing;
		const isPeak = this.plan.sections.find((s) => s.id === entry.sectionId)?.kind === 'peak';
		const adjust: Adjustable = {
			// a dose that is not usual was meant so: it may stay where it is
			min: Math.min(range.min, item.dose.amount),
			max: Math.max(range.max, item.dose.amount),
			current: item.dose.amount,
			step: isClosing && range.unit === 'seconds' ? 1 : stepOfItem(item, this.find),
			eachSeconds: each,
			baseSeconds: seconds - item.dose.amount * each,
			weight: isClosing ? CLOSING_WEIGHT : isPeak ? PEAK_WEIGHT : 1
		};
		return adjust;
	}
}

/** The second side was planned to be another than the first. */
function isUnevenOn({ item, movement }: TimedItem): boolean {
	if (isSymmetrical(movement.action) || goesByTurns(item, movement)) return true;
	return amountOn(item.dose, 1, item.lead) !== amountOn(item.dose, 2, otherLeg(item.lead));
}

/** "3 tight: supported form, a block under each knee": who does something else than the rest. */
function peopleLines(row: RoomRow | undefined): string[] {
	if (!row) return [];
	const tiers = row.tiers
		.filter(({ form, people }) => form !== row.given && people > 0)
		.map(({ tier, people, form, how }) => `${people} ${tier}: ${form} form, ${how}`);
	return [...row.cautions.map(cautionInWords), ...tiers];
}

const kitOf = ({ form, item }: TimedItem, { side }: TimelineEntry): string[] =>
	side === 2 ? [] : kitLines(form, item.kit);
