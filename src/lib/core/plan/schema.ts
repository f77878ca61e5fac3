import { array, boolean, lazy, number, object, string, type Schema } from 'yup';
import { LEGS } from '../anatomy';
import { CLASS_KINDS, paceChangesSchema } from '../pace';
import { CAUTIONS, DOSE_UNITS, FORM_IDS, KIT_KINDS, MODES, SLUG } from '../movement';
import { hereSchema } from '../people';
import { styleSchema } from '../style';
import { eachOnce, isPropertyOfAll, means, oneLine, textOfLines, timeOfDay } from '../validation';
import { TEST_IDS } from '../hip-tests';
import { FLOW_SIDES, KIT_FOR, LINKS, PINNED_PHASES, SECTION_KINDS, type Block } from './types';
import { HELD_UNITS } from './dose';
import { PLAN_LIMITS } from './limits';

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

/** A mark as the content of a plan has one. */
const contentMark = string().matches(/^[0-9a-f]{8}$/);

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
	carried: object({ from: contentMark.required(), to: contentMark.required() })
		.noUnknown()
		.default(undefined),
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
