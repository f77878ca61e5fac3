import { DIRECTIONS, LEGS, type Leg, type Tissue } from '../anatomy';
import { hungSeconds, analysePlan, stillSeconds, type Analysis } from '../checks';
import { setSeconds } from '../clock';
import { KIT_KINDS, modesOf, POSITIONS, type Form, type Mode, type Movement } from '../movement';
import { effortOfWork } from '../training-load';
import { rangeSeconds } from '../orbit';
import { paceOf } from '../pace';
import {
	emptyPlan,
	itemsAsDone,
	itemsIn,
	rangeInStyle,
	stepOfItem,
	type Block,
	type ClassPlan,
	type Dose,
	type Item,
	type SectionKind
} from '../plan';
import { stopOf } from '../ordering';
import { holdUnit, styleOf } from '../style';
import { mayStandIn } from './roles';
import { isDeep, isHeavy, isPassiveStretch, isStrong, isWarming } from '../rules';
import type { ProposeContext, Wishes } from './types';

/** An item as it is proposed: its dose without the amount. */
export type OptionItem = Omit<Item, 'id' | 'dose' | 'lead'> & { dose: Omit<Dose, 'amount'> };

/** One thing that may be put into a class: a movement in a form and mode, or a block that is there already. */
export interface Option {
	index: number;
	/** Null for a kept block. */
	item: OptionItem | null;
	kept: Block | null;
	movements: readonly string[];
	sections: ReadonlySet<SectionKind>;
	/** Doses that may be given, rising, and the seconds of work that each takes (all passes). */
	amounts: readonly number[];
	workSeconds: readonly number[];
	usual: number;
	/** Everything else that it takes, without getting there and without kit. */
	aroundSeconds: number;
	/** Where one comes in and where one goes out: index of the position, bits of the kit; -1 takes people as they are. */
	enter: number;
	leave: number;
	enterKit: number;
	leaveKit: number;
	/** On the side: index of the leg on top; -1 for neither. */
	enterTop: number;
	leaveTop: number;
	/** For each second of work: seconds in each direction, of strengthening and of resting. */
	directions: readonly number[];
	strengthens: number;
	/** For each second of work: seconds in which a tissue is held long on one leg; only those that are. */
	lengthens: ReadonlyMap<Tissue, number>;
	/** The same for muscles that hang without working. */
	hangs: ReadonlyMap<Tissue, number>;
	/** How hard it is, 0-10. */
	effort: number;
	rests: number;
	intensity: number;
	/** Moves, holds, warms, wants warmth before it, hangs heavily, asks for strength. */
	moves: boolean;
	holds: boolean;
	warms: boolean;
	deep: boolean;
	heavy: boolean;
	strong: boolean;
	/** Movements of which one should come before. */
	preparations: readonly string[];
	isNew: boolean;
}

/** A finding of these on a movement alone means that it is not proposed to these people. */
const ABOUT_PEOPLE: ReadonlySet<string> = new Set([
	'caution-conflict',
	'tier-too-hard',
	'kit-shortage',
	'style-conflict',
	'before-sport-static'
]);

/** What is proposed, with an amount: an item of a plan. */
export const withAmount = (item: OptionItem, id: string, amount: number, lead: Leg): Item => ({
	...item,
	id,
	lead,
	dose: { ...item.dose, amount }
});

const kitBits = (kinds: readonly (typeof KIT_KINDS)[number][]) =>
	kinds.reduce((bits, kind) => bits | (1 << KIT_KINDS.indexOf(kind)), 0);

/**
 * All that may be given to these people under these wishes; the desk's own checks decide what suits them. Where the kit
 * suffices for no closing rest at all, people rest with what lacks the fewest kinds: the desk says then what is missing.
 */
export function optionsFor(base: ClassPlan, wishes: Wishes, setting: ProposeContext): Option[] {
	const options = readOptions(base, wishes, setting, ABOUT_PEOPLE);
	const restless = wishes.only !== undefined && !wishes.only.includes('rest');
	if (restless || options.some(({ sections }) => sections.has('rest'))) return options;
	const bare = new Set([...ABOUT_PEOPLE].filter((id) => id !== 'kit-shortage'));
	// only to close with: other parts have enough that needs no kit
	const rests = readOptions(base, { ...wishes, only: ['rest'] }, setting, bare);
	const lacking = rests.map((rest) => kitLacking(rest, base, setting));
	const fewest = Math.min(...lacking);
	const best = rests.filter((_, i) => lacking[i] === fewest);
	return [...options, ...best.map((rest, i) => ({ ...rest, index: options.length + i }))];
}

/** How many kinds of kit do not suffice for an option. */
function kitLacking({ item, amounts, usual }: Option, base: ClassPlan, setting: ProposeContext): number {
	const block = withAmount(item!, 'a', amounts[usual]!, 'left');
	return analysePlan(alone(base, block), setting, new Set(['kit-shortage'])).findings.length;
}

function readOptions(
	base: ClassPlan,
	wishes: Wishes,
	setting: ProposeContext,
	checks: ReadonlySet<string>
): Option[] {
	const never = new Set(wishes.never);
	const without = new Set(wishes.without);
	const style = styleOf(base.style);
	const options: Option[] = [];
	for (const movement of setting.catalogue) {
		if (never.has(movement.slug) || without.has(movement.position)) continue;
		for (const form of movement.forms)
			for (const mode of modesOf(movement, form)) {
				const unit = holdUnit(style, form, mode);
				const item = {
					kind: 'item' as const,
					movement: movement.slug,
					form: form.id,
					mode,
					dose: {
						...(unit ? { unit } : {}),
						...(movement.bothWays ? { bothWays: true as const } : {})
					}
				};
				const sections = asWished(mayStandIn(movement, form, mode), movement.slug, wishes);
				if (sections.size === 0) continue;
				const option = readItem(item, movement, form, mode, base, setting, checks, options.length);
				if (option) options.push({ ...option, sections });
			}
	}
	return options;
}

/** What a teacher asks for by name has a place, also where it would not usually be given. */
function asWished(usual: ReadonlySet<SectionKind>, slug: string, wishes: Wishes): ReadonlySet<SectionKind> {
	const own: ReadonlySet<SectionKind> =
		wishes.toward === slug
			? new Set([...usual, 'peak'])
			: usual.size === 0 && wishes.must?.includes(slug)
				? new Set(['build'])
				: usual;
	const { only } = wishes;
	return only ? new Set([...own].filter((kind) => only.includes(kind))) : own;
}

function alone(base: ClassPlan, block: Block): ClassPlan {
	const { startsAt, lengthSeconds, style, pinnedPace } = base;
	return {
		...emptyPlan('', startsAt, lengthSeconds, style),
		...(pinnedPace ? { pinnedPace } : {}),
		sections: [{ id: 'build', kind: 'build', blocks: [block] }]
	};
}

function readItem(
	words: OptionItem,
	movement: Movement,
	form: Form,
	mode: Mode,
	base: ClassPlan,
	setting: ProposeContext,
	checks: ReadonlySet<string>,
	index: number
): Option | null {
	const range = rangeInStyle(styleOf(base.style), words, movement, form);
	const item = withAmount(words, 'a', range.usual, 'left');
	const plan = alone(base, item);
	const analysis = analysePlan(plan, setting, checks);
	if (analysis.findings.some((f) => f.severity !== 'note')) return null;
	const step = stepOfItem(item, setting.find);
	const amounts: number[] = [];
	for (let dose = range.min; dose <= range.max; dose++)
		if (dose % step === 0 || dose === range.usual) amounts.push(dose);
	const pace = paceOf(setting.pace, base.pinnedPace);
	const goes = analysis.timeline.entries.filter((e) => e.phase === 'work').length;
	return {
		...readAlone(analysis, item, setting, index),
		item: words,
		amounts,
		workSeconds: amounts.map((amount) => goes * setSeconds(item.dose, range, mode, amount, pace)),
		usual: amounts.indexOf(range.usual)
	};
}

/** A block of the plan that stays as it is. */
export function keptOption(base: ClassPlan, block: Block, setting: ProposeContext, index: number): Option {
	const analysis = analysePlan(alone(base, block), setting, ABOUT_PEOPLE);
	return { ...readAlone(analysis, block, setting, index), kept: block };
}

/** What a block is on its own, read by the desk's own clock and orbit. */
function readAlone(analysis: Analysis, block: Block, setting: ProposeContext, index: number): Option {
	const { orbit, context, timeline } = analysis;
	const { entries } = timeline;
	let work = 0;
	let around = 0;
	let effort = 0;
	const taught = new Map(context.items.map((t) => [t.item.id, t]));
	for (const [i, { phase, itemId, fromSeconds, toSeconds }] of entries.entries()) {
		const done = itemId === null ? undefined : taught.get(itemId);
		if (phase === 'work') work += toSeconds - fromSeconds;
		if (phase === 'work' && done)
			effort += effortOfWork(done.item.mode, done.form.intensity) * (toSeconds - fromSeconds);
		// the first fetching depends on what lies at hand already
		if (phase !== 'work' && !(phase === 'fetch' && i === 0)) around += toSeconds - fromSeconds;
	}
	const stop = stopOf(block, setting.find);
	const per = (seconds: number) => (work > 0 ? seconds / work : 0);
	const items = context.items;
	const modes = itemsAsDone(block).map((item) => item.mode);
	const rests = modes.length > 0 && modes.every((mode) => mode === 'rest');
	const intensity = Math.max(0, ...items.map(({ form }) => form.intensity));
	return {
		index,
		item: null,
		kept: null,
		movements: itemsIn(block).map((item) => item.movement),
		sections: new Set(),
		amounts: [1],
		workSeconds: [work],
		usual: 0,
		aroundSeconds: around,
		enter: stop.enter ? POSITIONS.indexOf(stop.enter.position) : -1,
		leave: stop.leave ? POSITIONS.indexOf(stop.leave.position) : -1,
		enterKit: kitBits(stop.enter?.kit ?? []),
		leaveKit: kitBits(stop.leave?.kit ?? []),
		enterTop: stop.enter?.onTop ? LEGS.indexOf(stop.enter.onTop) : -1,
		leaveTop: stop.leave?.onTop ? LEGS.indexOf(stop.leave.onTop) : -1,
		directions: DIRECTIONS.map((d) => per(rangeSeconds(orbit, d))),
		strengthens: per(orbit.strengthWorkSeconds),
		lengthens: new Map([...stillSeconds(items)].map(([tissue, seconds]) => [tissue, per(seconds)])),
		hangs: new Map([...hungSeconds(items)].map(([tissue, seconds]) => [tissue, per(seconds)])),
		effort: per(effort),
		rests: rests ? 1 : 0,
		intensity,
		moves: modes.includes('dynamic'),
		holds: items.some(({ form, item }) => isPassiveStretch(form, item.mode)),
		// a chain with a deep item in it counts as deep as a whole
		warms: items.some(({ form, item }) => isWarming(form, item.mode)) && !isDeep({ intensity }),
		deep: isDeep({ intensity }),
		heavy: items.some(({ form, item }) => isHeavy(form, item.mode)),
		strong: items.some(({ form, item }) => isStrong(form, item.mode)),
		preparations: items.filter(({ form }) => isDeep(form)).flatMap(({ movement }) => movement.preparations),
		isNew: setting.known ? items.some(({ movement }) => !setting.known!.slugs.includes(movement.slug)) : false
	};
}
