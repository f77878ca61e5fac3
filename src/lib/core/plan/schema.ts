import { array, boolean, lazy, number, object, string, type Schema } from 'yup';
import { isSymmetrical, LEGS } from '../anatomy';
import { CLASS_KINDS, paceChangesSchema } from '../pace';
import {
	CAUTIONS,
	DOSE_UNITS,
	FORM_IDS,
	formOf,
	KIT_KINDS,
	MODES,
	SLUG,
	usualUnitSeconds,
	type FindMovement
} from '../movement';
import { hereSchema } from '../people';
import { styleSchema } from '../style';
import {
	eachOnce,
	isPropertyOfAll,
	means,
	oneLine,
	schemaFaults,
	textOfLines,
	type Fault,
	timeOfDay
} from '../validation';
import { TEST_IDS } from '../hip-tests';
import {
	FLOW_SIDES,
	KIT_FOR,
	LINKS,
	PINNED_PHASES,
	SECTION_KINDS,
	type Block,
	type ClassPlan,
	type Flow,
	type Item
} from './types';
import { HELD_UNITS, middleOf, rangeOf, setsOf } from './dose';
import { blocksOf, isLinked, itemsOf } from './walk';

/** Limits that keep a plan a plan. Lengths in seconds. */
export const PLAN_LIMITS = {
	minLengthSeconds: 60,
	maxLengthSeconds: 4 * 3600,
	titleCharacters: 200,
	noteCharacters: 1000,
	/** Items of all blocks together; three hours of a class hold a third of this. Common practice, no source. */
	items: 300,
	blocks: 300,
	itemsInChain: 24,
	rounds: 24,
	/** Items times rounds of all flows of a class: what the clock has to write down. */
	flowSteps: 3000,
	testSeconds: 600,
	talkSeconds: 1800,
	noticeSeconds: 120,
	phaseSeconds: 600,
	amount: 3600,
	sets: 10,
	restSeconds: 600,
	holdAmount: 600,
	effortPercent: 100,
	/** Longer than this nobody does one thing on one side. */
	sideSeconds: 3600
} as const;

/** The length of a class given in minutes, whole seconds; null where no class is so long or so short. */
export function lengthOfMinutes(minutes: number): number | null {
	const seconds = Math.round(60 * minutes);
	const { minLengthSeconds, maxLengthSeconds } = PLAN_LIMITS;
	return seconds >= minLengthSeconds && seconds <= maxLengthSeconds ? seconds : null;
}

/** The shortest and the longest class, in minutes. */
export const LENGTH_MINUTES = {
	least: PLAN_LIMITS.minLengthSeconds / 60,
	most: PLAN_LIMITS.maxLengthSeconds / 60
} as const;

/** A length in minutes, as it is typed. */
export const minutesOfLength = (seconds: number): number => seconds / 60;

const ID = /^[A-Za-z0-9_-]{1,40}$/;
const CONTENT_HASH = /^[0-9a-f]{16}$/;
const id = string()
	.matches(ID, '${path} must be a short id of letters, digits, - and _')
	.test('own', '${path}: this word cannot be an id', (value) => !isPropertyOfAll(value ?? ''))
	.required();

const amount = number().integer().min(1).max(PLAN_LIMITS.amount);

const hold = (what: string) =>
	object({
		amount: number().integer().min(1).max(PLAN_LIMITS.holdAmount).required(),
		unit: string().oneOf(HELD_UNITS).required()
	})
		.noUnknown()
		.default(undefined)
		.meta(means(what));

const doseSchema = object({
	amount: amount.required().meta(means('in the unit, per side; by turns: both sides together')),
	most: amount
		.meta(means('a range "as it suits you": the most of it'))
		.test(
			'more',
			'${path} must be more than the amount',
			(most, { parent }) => !most || !(most <= parent.amount)
		),
	unit: string().oneOf(DOSE_UNITS).meta(means('counted another way than the catalogue does')),
	sets: number().integer().min(1).max(PLAN_LIMITS.sets),
	restSeconds: number().integer().min(0).max(PLAN_LIMITS.restSeconds).meta(means('between two sets')),
	hold: hold('each repetition or round is held so long'),
	lastHold: hold('the last repetition of a set is held so long'),
	effortPercent: number().integer().min(1).max(PLAN_LIMITS.effortPercent),
	bothWays: boolean().oneOf([true]).meta(means('the amount is given each way')),
	moreOn: object({ leg: string().oneOf(LEGS).required(), amount: amount.required() })
		.noUnknown()
		.default(undefined)
		.meta(means('added on the side that this leg leads')),
	secondSide: amount.meta(means('the amount on the second side, where it is another one')),
	unevenReason: textOfLines(PLAN_LIMITS.noteCharacters).optional(),
	byBreath: boolean().oneOf([true]).meta(means('in a flow: breaths joined to the movement'))
})
	.noUnknown()
	.default(undefined)
	.required();

const itemSchema = object({
	kind: string().oneOf(['item']).required(),
	id,
	movement: string().matches(SLUG, '${path} must be a slug of the catalogue').required(),
	form: string().oneOf(FORM_IDS).required(),
	mode: string().oneOf(MODES).required(),
	dose: doseSchema,
	lead: string().oneOf(LEGS).required().meta(means('the leg that leads on the first side')),
	link: string().oneOf(LINKS).meta(means('in a chain or flow: why another leg leads than before')),
	confirmed: array()
		.of(
			object({
				caution: string().oneOf(CAUTIONS).required(),
				on: string()
					.matches(/^\d{4}-\d{2}-\d{2}$/, '${path} must be a day such as 2026-11-24')
					.required()
			}).noUnknown()
		)
		.max(CAUTIONS.length)
		.test(
			'once',
			eachOnce(({ caution }) => caution, 'this caution is there already')
		),
	oneSided: object({ reason: textOfLines(PLAN_LIMITS.noteCharacters) })
		.noUnknown()
		.default(undefined),
	phases: object(
		Object.fromEntries(
			PINNED_PHASES.map((phase) => [phase, number().integer().min(0).max(PLAN_LIMITS.phaseSeconds)])
		)
	)
		.noUnknown()
		.default(undefined),
	kit: array()
		.of(
			object({
				kit: string().oneOf(KIT_KINDS).required(),
				for: string().oneOf(KIT_FOR).required()
			}).noUnknown()
		)
		.max(KIT_KINDS.length)
		.test(
			'once',
			eachOnce(({ kit }) => kit, 'this kit is there already')
		)
		.meta(means('kit that is not for everybody on both sides')),
	byTurns: boolean().meta(means('the sides take turns, where it is otherwise than the movement says')),
	slowChange: boolean().oneOf([true]).meta(means('the change of sides is a slow, controlled switch')),
	passed: boolean().oneOf([true]).meta(means('only on the way to something else')),
	pinned: boolean(),
	noticeFirstSeconds: number().integer().min(0).max(PLAN_LIMITS.noticeSeconds),
	noticeSeconds: number().integer().min(0).max(PLAN_LIMITS.noticeSeconds),
	note: textOfLines(PLAN_LIMITS.noteCharacters).optional()
}).noUnknown();

const chainSchema = object({
	kind: string().oneOf(['chain']).required(),
	id,
	items: array().of(itemSchema).min(1).max(PLAN_LIMITS.itemsInChain).required(),
	slowChange: boolean().oneOf([true]),
	noticeFirstSeconds: number().integer().min(0).max(PLAN_LIMITS.noticeSeconds)
}).noUnknown();

const flowSchema = object({
	kind: string().oneOf(['flow']).required(),
	id,
	items: array().of(itemSchema).min(1).max(PLAN_LIMITS.itemsInChain).required(),
	rounds: number().integer().min(1).max(PLAN_LIMITS.rounds).required(),
	sides: string().oneOf(FLOW_SIDES).required()
}).noUnknown();

const testSchema = object({
	kind: string().oneOf(['test']).required(),
	id,
	test: string().oneOf(TEST_IDS).required(),
	seconds: number().integer().min(5).max(PLAN_LIMITS.testSeconds).required()
}).noUnknown();

const talkSchema = object({
	kind: string().oneOf(['talk']).required(),
	id,
	label: oneLine(PLAN_LIMITS.titleCharacters),
	seconds: number().integer().min(1).max(PLAN_LIMITS.talkSeconds).required()
}).noUnknown();

const BLOCK_SCHEMAS: Record<Block['kind'], Schema> = {
	item: itemSchema,
	chain: chainSchema,
	flow: flowSchema,
	talk: talkSchema,
	test: testSchema
};

const block = lazy((value: unknown): Schema => {
	const kind = (value as { kind?: unknown } | null)?.kind;
	return typeof kind === 'string' && Object.hasOwn(BLOCK_SCHEMAS, kind)
		? BLOCK_SCHEMAS[kind as Block['kind']]
		: object({ kind: string().oneOf(Object.keys(BLOCK_SCHEMAS)).required() }).required();
});

export const planSchema = object({
	title: oneLine(PLAN_LIMITS.titleCharacters),
	theme: oneLine(PLAN_LIMITS.titleCharacters).optional(),
	lengthSeconds: number()
		.integer()
		.min(PLAN_LIMITS.minLengthSeconds, 'a class lasts at least a minute (60 seconds)')
		.max(PLAN_LIMITS.maxLengthSeconds, 'a class lasts at most 4 hours (14400 seconds)')
		.required(),
	startsAt: timeOfDay(),
	pinnedPace: paceChangesSchema.optional().default(undefined),
	style: styleSchema.default(undefined),
	firstSide: string().oneOf(LEGS),
	here: hereSchema.optional().default(undefined),
	silenced: array()
		.of(
			object({
				check: string()
					.matches(/^[a-z]+(-[a-z]+)*$/, '${path} must be the id of a check')
					.max(60)
					.required(),
				itemId: string().matches(ID),
				reason: textOfLines(PLAN_LIMITS.noteCharacters)
					.required('a silenced check needs a reason')
					.matches(/\S/, 'a silenced check needs a reason')
			}).noUnknown()
		)
		.max(500)
		.test(
			'once',
			eachOnce(({ check, itemId }) => [check, itemId], 'this is silenced already')
		),
	madeWith: object()
		.default(undefined)
		.meta({ each: string().matches(CONTENT_HASH) })
		.test(
			'content hashes',
			'${path} must give a content hash of 16 digits for each slug',
			(given) =>
				given === undefined ||
				(Object.keys(given).length <= PLAN_LIMITS.blocks &&
					Object.entries(given).every(
						([slug, hash]) => SLUG.test(slug) && typeof hash === 'string' && CONTENT_HASH.test(hash)
					))
		),
	sections: array()
		.of(
			object({
				id,
				kind: string().oneOf(SECTION_KINDS).required(),
				classKind: string()
					.oneOf(CLASS_KINDS)
					.meta(means('how this part is taught, where it is otherwise than the rest')),
				blocks: array()
					.of(block)
					.meta({ oneOf: Object.values(BLOCK_SCHEMAS) })
					.defined()
			}).noUnknown()
		)
		.min(1)
		.max(30)
		.required()
}).noUnknown();

/**
 * Everything wrong with a plan from outside: its shape first, then whether the catalogue knows what it
 * names and no dose is nonsense. A dose that is not usual is no fault: a check speaks of it. Empty: it can be used as a {@link ClassPlan}.
 */
export function planFaults(value: unknown, find: FindMovement): Fault[] {
	if (typeof value !== 'object' || value === null || Array.isArray(value))
		return [{ path: '', message: 'a plan is an object' }];
	const shape = schemaFaults(planSchema, value);
	if (shape.length) return shape;
	const plan = value as ClassPlan;
	const blocks = blocksOf(plan);
	const faults: Fault[] = [];
	if (blocks.length > PLAN_LIMITS.blocks)
		faults.push({
			path: 'sections',
			message: `${blocks.length} blocks; at most ${PLAN_LIMITS.blocks} are allowed`
		});
	const items = itemsOf(plan).length;
	if (items > PLAN_LIMITS.items)
		faults.push({
			path: 'sections',
			message: `${items} items; at most ${PLAN_LIMITS.items} are allowed`
		});
	const steps = blocks.reduce((sum, { block: b }) => sum + (b.kind === 'flow' ? stepsOf(b) : 0), 0);
	if (steps > PLAN_LIMITS.flowSteps)
		faults.push({
			path: 'sections',
			message: `the rounds of all flows make ${steps} steps; at most ${PLAN_LIMITS.flowSteps} are allowed`
		});
	return [
		...faults,
		...idFaults(plan),
		...plan.sections.flatMap((section, s) =>
			section.blocks.flatMap((b, i) => blockFaults(b, `sections[${s}].blocks[${i}]`, find))
		)
	];
}

const stepsOf = ({ items, rounds, sides }: Flow) => items.length * rounds * (sides === 'mirror' ? 2 : 1);

function idFaults(plan: ClassPlan): Fault[] {
	const seen = new Set<string>();
	const faults: Fault[] = [];
	const see = (what: string, path: string) => {
		if (seen.has(what)) faults.push({ path, message: `the id "${what}" is used twice` });
		seen.add(what);
	};
	plan.sections.forEach((section, s) => {
		see(`section ${section.id}`, `sections[${s}].id`);
		section.blocks.forEach((b, i) => {
			see(b.id, `sections[${s}].blocks[${i}].id`);
			if (isLinked(b))
				b.items.forEach((item, n) => see(item.id, `sections[${s}].blocks[${i}].items[${n}].id`));
		});
	});
	return faults;
}

function blockFaults(b: Block, path: string, find: FindMovement): Fault[] {
	if (b.kind === 'item') return itemFaults(b, path, find);
	if (!isLinked(b)) return [];
	const movements = b.items.map((item) => find(item.movement));
	const nothingToMirror = b.kind === 'chain' && movements.every((m) => m && isSymmetrical(m.action));
	return [
		...(nothingToMirror
			? [{ path, message: 'a chain needs at least one movement with sides; all of these are symmetrical' }]
			: []),
		...b.items.flatMap((item, n) => itemFaults(item, `${path}.items[${n}]`, find))
	];
}

function itemFaults(item: Item, path: string, find: FindMovement): Fault[] {
	const movement = find(item.movement);
	if (!movement)
		return [{ path: `${path}.movement`, message: `the catalogue has no movement "${item.movement}"` }];
	const form = formOf(movement, item.form);
	if (!form) return [{ path: `${path}.form`, message: `${item.movement} has no ${item.form} form` }];
	const faults: Fault[] = [];
	const range = rangeOf(item, movement, form);
	const { dose } = item;
	const seconds = setsOf(dose) * middleOf(dose) * usualUnitSeconds(range, item.mode);
	if (seconds > PLAN_LIMITS.sideSeconds)
		faults.push({
			path: `${path}.dose`,
			message: `${middleOf(dose)} ${range.unit} are over an hour on one side`
		});
	if (item.dose.moreOn && isSymmetrical(movement.action))
		faults.push({ path: `${path}.dose.moreOn`, message: `${item.movement} has no sides` });
	return faults;
}
