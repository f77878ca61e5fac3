import type { Leg, Tissue } from '../../anatomy';
import { stillSeconds } from '../../orbit';
import { analysePlan, type Analysis } from '../../analysis';
import { setSeconds } from '../../clock';
import { modesOf, type Form, type KitKind, type Mode, type Movement } from '../../movement';
import { paceFor, paceOf } from '../../pace';
import {
	emptyPlan,
	rangeInStyle,
	stepOfItem,
	type Block,
	type ClassPlan,
	type Dose,
	type Item,
	type SectionKind
} from '../../plan';
import { holdUnit, styleOf } from '../../style';
import { itemKit } from '../../substitution';
import { effortOfWork } from '../../training-load';
import { endsUpright, mayStandIn } from './roles';
import { mustOf, type ProposeContext, type Wishes } from './types';

/** An item as it is proposed: its dose without the amount. */
export type OptionItem = Omit<Item, 'id' | 'dose' | 'lead'> & { dose: Omit<Dose, 'amount'> };

/** One thing that may be put into a class: a movement in a form and mode. */
export interface BlockOption {
	item: OptionItem;
	/** Parts of a class in which it may stand. */
	sections: ReadonlySet<SectionKind>;
	/** Doses that may be given, rising, and the seconds of work that each takes (all passes). */
	amounts: readonly number[];
	workSeconds: readonly number[];
	usual: number;
	load: BlockLoad;
	isNew: boolean;
}

/** Time and demand of one block at its reference dose. */
export interface BlockLoad {
	/** Seconds of its work, and of everything else but getting there and the first kit. */
	workSeconds: number;
	aroundSeconds: number;
	/** How hard the work is, 0-10, mean over its seconds. */
	effort: number;
	/** For each second of work: seconds in which a tissue is held long on one leg; only those that are. */
	lengthens: ReadonlyMap<Tissue, number>;
}

/** A finding of these on a movement alone means that it is not proposed to these people. */
const ABOUT_PEOPLE: ReadonlySet<string> = new Set([
	'caution-conflict',
	'tier-too-hard',
	'kit-shortage',
	'style-conflict',
	'before-sport-static'
]);

/** Returns an item of a plan: an option with an amount. */
export const withAmount = (item: OptionItem, id: string, amount: number, lead: Leg): Item => ({
	...item,
	id,
	lead,
	dose: { ...item.dose, amount }
});

/**
 * All that may be given to these people under these wishes; the desk's own checks decide what suits them. Where the kit
 * suffices for no closing rest at all, people rest with what lacks the fewest kinds: the desk says then what is missing.
 */
export function optionsFor(base: ClassPlan, wishes: Wishes, context: ProposeContext): BlockOption[] {
	const options = readOptions(base, wishes, context, ABOUT_PEOPLE);
	const restless = endsUpright(context.group) || (wishes.only !== undefined && !wishes.only.includes('rest'));
	if (restless || options.some(({ sections }) => sections.has('rest'))) return options;
	const bare = new Set([...ABOUT_PEOPLE].filter((id) => id !== 'kit-shortage'));
	// only to close with: other parts have enough that needs no kit
	const rests = readOptions(base, { ...wishes, only: ['rest'] }, context, bare);
	const lacking = rests.map((rest) => kitLacking(rest, base, context));
	const fewest = Math.min(...lacking);
	return [...options, ...rests.filter((_, i) => lacking[i] === fewest)];
}

/** Kinds that are as good as each other under a seat or a knee. */
const SOFT: ReadonlySet<KitKind> = new Set(['cushion', 'blanket', 'bolster']);

/**
 * Whether there are too few pieces for everybody: what is asked for may have something stand in, what is proposed has
 * its own kit or something as soft.
 */
const lacksKit = (
	movement: Movement,
	item: Item,
	{ group, find }: ProposeContext,
	isAsked: boolean
): boolean =>
	itemKit({ movement, item }, group, find).some(
		({ kit, short, missing }) => missing > 0 || (short > 0 && !isAsked && !SOFT.has(kit))
	);

/** How many kinds of kit do not suffice for an option. */
function kitLacking({ item, amounts, usual }: BlockOption, base: ClassPlan, context: ProposeContext): number {
	const block = withAmount(item, 'a', amounts[usual]!, 'left');
	return analysePlan(alone(base, block), context, new Set(['kit-shortage'])).findings.length;
}

function readOptions(
	base: ClassPlan,
	wishes: Wishes,
	context: ProposeContext,
	checks: ReadonlySet<string>
): BlockOption[] {
	const never = new Set(wishes.never);
	const without = new Set(wishes.without);
	const style = styleOf(base.style);
	const options: BlockOption[] = [];
	for (const movement of context.catalogue) {
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
				const belongs = mayStandIn({ movement, form, mode }, context.group, style);
				const sections = asWished(belongs, movement.slug, wishes);
				if (wishes.only && sections.size === 0) continue;
				const isAsked = mustOf(wishes).includes(movement.slug);
				if (
					checks.has('kit-shortage') &&
					lacksKit(movement, withAmount(item, 'a', 1, 'left'), context, isAsked)
				)
					continue;
				const option = readItem(item, movement, form, mode, base, context, checks);
				if (option) options.push({ ...option, sections });
			}
	}
	return options;
}

/** Allows the sections in which a movement is usual; one that the teacher names also has a place where it is not usual. */
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
	context: ProposeContext,
	checks: ReadonlySet<string>
): Omit<BlockOption, 'sections'> | null {
	const range = rangeInStyle(styleOf(base.style), words, movement, form);
	const item = withAmount(words, 'a', range.usual, 'left');
	const analysis = analysePlan(alone(base, item), context, checks);
	if (analysis.findings.some((f) => f.severity !== 'note')) return null;
	const step = stepOfItem(item, context.find);
	const amounts: number[] = [];
	for (let dose = range.min; dose <= range.max; dose++)
		if (dose % step === 0 || dose === range.usual) amounts.push(dose);
	const pace = paceFor(paceOf(context.pace, base.pinnedPace), movement.slug);
	const goes = analysis.timeline.entries.filter((e) => e.phase === 'work').length;
	return {
		item: words,
		amounts,
		workSeconds: amounts.map((amount) => goes * setSeconds(item.dose, range, mode, amount, pace)),
		usual: amounts.indexOf(range.usual),
		load: loadOf(analysis),
		isNew: context.known ? !context.known.slugs.includes(movement.slug) : false
	};
}

/** Returns the time and demand of a block of the plan. */
export function loadOfBlock(base: ClassPlan, block: Block, context: ProposeContext): BlockLoad {
	return loadOf(analysePlan(alone(base, block), context, ABOUT_PEOPLE));
}

/** Read by the desk's own clock and checks. */
function loadOf({ timeline, context: { items } }: Analysis): BlockLoad {
	let [work, around, effort] = [0, 0, 0];
	const taught = new Map(items.map((t) => [t.item.id, t]));
	for (const [i, { phase, itemId, fromSeconds, toSeconds }] of timeline.entries.entries()) {
		const seconds = toSeconds - fromSeconds;
		const done = itemId === null ? undefined : taught.get(itemId);
		if (phase === 'work') {
			work += seconds;
			if (done) effort += effortOfWork(done.item.mode, done.form.effort, seconds) * seconds;
		}
		// the first fetching depends on what lies at hand already
		else if (!(phase === 'fetch' && i === 0)) around += seconds;
	}
	const per = (seconds: number) => (work > 0 ? seconds / work : 0);
	return {
		workSeconds: work,
		aroundSeconds: around,
		effort: per(effort),
		lengthens: new Map([...stillSeconds(items)].map(([tissue, seconds]) => [tissue, per(seconds)]))
	};
}
