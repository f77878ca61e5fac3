import { array, number, object, string } from 'yup';
import { LEGS } from '../anatomy';
import { TEST_IDS } from '../hip-tests';
import { DOSE_UNITS, POSITIONS } from '../movement';
import { SECTION_KINDS } from '../plan';
import { schemaFaults, type Fault } from '../validation';
import { line, lines, SCRIPT_LIMITS, sayings } from './parts';
import { KEPT_FOR, STEP_KINDS } from './types';

const id = string().min(1).max(120).required();
const leg = string().oneOf(LEGS).nullable().defined();
const seconds = number().min(0).max(SCRIPT_LIMITS.seconds).required();

const stepSchema = object({
	id,
	kind: string().oneOf(STEP_KINDS).required(),
	sectionId: id,
	section: string().oneOf(SECTION_KINDS).required(),
	blockId: id,
	itemId: string().max(120).nullable().defined(),
	title: line,
	test: string().oneOf(TEST_IDS),
	position: string().oneOf(POSITIONS).required(),
	side: number().oneOf([1, 2]).nullable().defined(),
	leg,
	set: object({ number: number().integer().min(1).required(), of: number().integer().min(1).required() })
		.noUnknown()
		.nullable()
		.default(undefined)
		.defined(),
	seconds,
	count: object({
		unit: string().oneOf(DOSE_UNITS).required(),
		amount: number().min(0).max(SCRIPT_LIMITS.seconds).required(),
		eachSeconds: seconds,
		parts: lines
	})
		.noUnknown()
		.nullable()
		.default(undefined)
		.defined(),
	equals: string().max(120).nullable().defined(),
	say: sayings,
	people: lines,
	kit: lines,
	shapes: array()
		.of(object({ title: line, leg, seconds }).noUnknown())
		.max(200)
		.defined(),
	figure: string().max(200).nullable().defined(),
	adjust: object({
		min: number().required(),
		max: number().required(),
		current: number().required(),
		step: number().required(),
		eachSeconds: number().required(),
		baseSeconds: number().required(),
		weight: number().required()
	})
		.noUnknown()
		.nullable()
		.default(undefined)
		.defined()
}).noUnknown();

const scriptSchema = object({
	title: line,
	startsAt: string()
		.matches(/^\d\d:\d\d$/)
		.required(),
	lengthSeconds: seconds,
	steps: array().of(stepSchema).min(1).max(SCRIPT_LIMITS.steps).required(),
	blocks: array()
		.of(
			object({
				id,
				title: line,
				section: string().oneOf(SECTION_KINDS).required(),
				keptFor: string().oneOf(KEPT_FOR).nullable().defined(),
				loss: number().min(0).max(10_000).required()
			}).noUnknown()
		)
		.max(SCRIPT_LIMITS.steps)
		.required()
}).noUnknown();

/** Of the steps of a script: the longest class has some 30 000. */
const MOST_PARTS = 200_000;

/** Everything wrong with what is given as a script; empty: it can be used as {@link Script}. */
export const scriptFaults = (value: unknown): Fault[] => schemaFaults(scriptSchema, value, MOST_PARTS);
