import { array, boolean, number, object, string, ValidationError } from 'yup';
import {
	DIRECTIONS,
	implausibleAngles,
	isSymmetrical,
	MUSCLE_GROUPS,
	TISSUES,
	type LegAction
} from '../anatomy';
import { eachOnce, isPropertyOfAll, oneLine, textOfLines } from '../validation';
import { CAUTIONS } from './cautions';
import {
	ARMS,
	PROP_SITES,
	CROSSINGS,
	DOSE_UNITS,
	FAMILIES,
	FORM_IDS,
	HAND_LOADS,
	KIT_KINDS,
	TRUNK_TURNS,
	MODES,
	POSITIONS,
	PURPOSES,
	TEMPOS,
	TOUCHES,
	type DoseRange,
	type Movement
} from './types';

export const SLUG = /^[a-z0-9]+(-[a-z0-9]+)*$/;

const angles = object(Object.fromEntries(DIRECTIONS.map((d) => [d, number()])))
	.noUnknown()
	.required();

/** Whether a leg's angles are numbers that can be looked at: tests of an object run before those of its fields. */
function hasAngles(value: unknown): value is LegAction {
	const { positions, kneeDeg } = (value ?? {}) as Partial<LegAction>;
	const numbers = (list: unknown[]) => list.every((angle) => typeof angle === 'number');
	return (
		Array.isArray(positions) &&
		positions.every((p) => typeof p === 'object' && p !== null && numbers(Object.values(p))) &&
		Array.isArray(kneeDeg) &&
		numbers(kneeDeg)
	);
}

const legAction = object({
	positions: array().of(angles).min(1).max(6).required(),
	kneeDeg: array().of(number().required()).required(),
	lengthens: array().of(string().oneOf(TISSUES).required()).defined(),
	works: array().of(string().oneOf(MUSCLE_GROUPS).required()).defined()
})
	.default(undefined)
	.test('plausible', '', (value, context) => {
		if (!hasAngles(value)) return true;
		const faults = implausibleAngles(value);
		return faults.length ? context.createError({ message: `${context.path}: ${faults.join(', ')}` }) : true;
	});

/** Whether numbers rise; what is no number is for the test of its own field to say. */
export function rising(...values: unknown[]): boolean {
	const numbers = values.filter((value) => typeof value === 'number');
	return numbers.every((value, i) => i === 0 || (numbers[i - 1] as number) <= value);
}

export const doseRangeSchema = object({
	unit: string().oneOf(DOSE_UNITS).required(),
	min: number().integer().min(1).required(),
	usual: number().integer().required(),
	max: number().integer().required(),
	tempo: string().oneOf(TEMPOS),
	breathsPerRound: number().min(1)
}).test('ordered', '', (value, context) => {
	const dose = value as DoseRange | undefined;
	if (!dose) return true;
	if (!rising(dose.min, dose.usual, dose.max))
		return context.createError({ message: `${context.path}: min, usual and max must rise` });
	if (dose.unit === 'repetitions' && !dose.tempo)
		return context.createError({ message: `${context.path}.tempo is needed for repetitions` });
	if (dose.unit === 'rounds' && !dose.breathsPerRound)
		return context.createError({ message: `${context.path}.breathsPerRound is needed for rounds` });
	return true;
});

const propUse = object({
	kit: string().oneOf(KIT_KINDS).required(),
	count: number().integer().min(1).max(6).required(),
	site: string().oneOf(PROP_SITES).required(),
	place: oneLine(200).required()
});

const actionProfile = object({ both: legAction, lead: legAction, trail: legAction }).test(
	'legs',
	'${path} must give "both", or "lead" and "trail"',
	(value) => {
		if (!value) return true;
		const { both, lead, trail } = value as Record<string, unknown>;
		return both ? !lead && !trail : Boolean(lead && trail);
	}
);

const touches = array().of(string().oneOf(TOUCHES).required()).max(2);

const pose = object({
	pitchDeg: number().min(-120).max(180),
	bendDeg: number().min(-90).max(120),
	sideDeg: number().min(-75).max(75),
	rollDeg: number().min(-90).max(90),
	arms: string().oneOf(ARMS),
	lead: touches,
	trail: touches,
	at: number().integer().min(0).max(5),
	seat: string().oneOf(['floor', 'free']),
	view: string().oneOf(['side', 'front'])
}).noUnknown();

const form = object({
	id: string().oneOf(FORM_IDS).required(),
	how: oneLine(200).required(),
	props: array().of(propUse).max(8).defined(),
	modes: array().of(string().oneOf(MODES).required()).min(1).default(undefined),
	intensity: number().integer().min(1).max(5).required(),
	effort: number().integer().min(0).max(3).required(),
	dose: doseRangeSchema.required(),
	doseIn: object(Object.fromEntries(MODES.map((mode) => [mode, doseRangeSchema.default(undefined)])))
		.noUnknown()
		.default(undefined),
	action: actionProfile.default(undefined),
	pose: pose.default(undefined),
	offHands: boolean().oneOf([true]),
	leaveSeconds: number().integer().min(0).max(60).required()
}).noUnknown();

/** Purposes, each once. */
export const purposesSchema = array()
	.of(string().oneOf(PURPOSES).required())
	.defined()
	.test(
		'once',
		eachOnce((purpose: string) => purpose, 'this purpose is there already')
	);

const words = textOfLines;
const slugs = array().of(string().matches(SLUG, '${path} must be a slug').required()).max(12).defined();
export const movementSchema = object({
	slug: string()
		.matches(SLUG, '${path} must be a slug such as low-lunge')
		.max(60)
		.test('own', '${path}: this word cannot be a slug', (value) => !isPropertyOfAll(value ?? ''))
		.required(),
	english: oneLine(80).required(),
	sanskrit: oneLine(80),
	aliases: array().of(oneLine(80).required()).max(12).defined(),
	position: string().oneOf(POSITIONS).required(),
	families: array().of(string().oneOf(FAMILIES).required()).defined(),
	modes: array().of(string().oneOf(MODES).required()).min(1).required(),
	action: actionProfile.required(),
	purposes: purposesSchema,
	felt: oneLine(120).optional(),
	breath: object({ in: oneLine(120).required(), out: oneLine(120).required() })
		.noUnknown()
		.default(undefined),
	sets: object({
		usual: number().integer().min(2).max(10).required(),
		restSeconds: number().integer().min(0).max(600).required()
	})
		.noUnknown()
		.default(undefined),
	closingHold: boolean().oneOf([true]),
	forms: array().of(form).min(1).max(FORM_IDS.length).required(),
	setUp: words(500).required(),
	watch: words(500),
	mistakes: words(500),
	leave: words(500),
	mirrored: words(300),
	secondSide: words(300).optional(),
	partner: words(300).optional(),
	onHands: string().oneOf(HAND_LOADS),
	trunkTurn: string().oneOf(TRUNK_TURNS),
	heldAtEachEnd: boolean().oneOf([true]),
	byTurns: boolean().oneOf([true]),
	bothWays: boolean().oneOf([true]),
	withoutKit: object({
		how: oneLine(200).optional(),
		instead: string().matches(SLUG, '${path} must be a slug')
	})
		.noUnknown()
		.default(undefined)
		.test(
			'one of them',
			'${path} says how, or what instead',
			(value) => !value || Boolean(value.how) !== Boolean(value.instead)
		),
	crosses: string().oneOf(CROSSINGS),
	prerequisites: slugs,
	preparations: slugs,
	counters: slugs,
	kin: slugs,
	cautions: array()
		.of(
			object({
				caution: string().oneOf(CAUTIONS).required(),
				advice: words(300).required(),
				instead: string().matches(SLUG, '${path} must be a slug').required(),
				okIn: array().of(string().oneOf(FORM_IDS).required()).defined()
			}).noUnknown()
		)
		.defined()
		.test(
			'once',
			eachOnce(({ caution }) => caution, 'this caution is there already')
		),
	pose: pose.required()
}).noUnknown();

/**
 * Everything wrong with a list of movements: each line names the movement and the field.
 * Also across entries: no slug twice, and every slug that is named exists, here or among the `known` ones.
 */
export function movementFaults(movements: readonly Movement[], known: Iterable<string> = []): string[] {
	const faults: string[] = [];
	const slugs = new Set<string>();
	const there = new Set(known);
	const sound: Movement[] = [];
	for (const movement of movements) {
		const name = movement.slug || '(no slug)';
		if (slugs.has(name)) faults.push(`${name}: slug given twice`);
		slugs.add(name);
		there.add(name);
		try {
			movementSchema.validateSync(movement, { abortEarly: false, strict: true });
		} catch (error) {
			if (!(error instanceof ValidationError)) throw error;
			faults.push(...error.errors.map((message) => `${name}: ${message}`));
			continue; // the checks below need every field
		}
		sound.push(movement);
		const ladder = movement.forms.map((f) => FORM_IDS.indexOf(f.id));
		if (ladder.some((rung, i) => i > 0 && rung <= (ladder[i - 1] ?? -1)))
			faults.push(`${name}: forms must climb from supported to loaded, each once`);
		for (const f of movement.forms) {
			if (f.action && isSymmetrical(f.action) !== isSymmetrical(movement.action))
				faults.push(`${name}: forms.${f.id}.action has other sides than the movement`);
			for (const mode of f.modes ?? [])
				if (!movement.modes.includes(mode))
					faults.push(`${name}: forms.${f.id}.modes names ${mode}, which is not one of the modes`);
			for (const mode of Object.keys(f.doseIn ?? {}))
				if (!movement.modes.includes(mode as Movement['modes'][number]))
					faults.push(`${name}: forms.${f.id}.doseIn names ${mode}, which is not one of the modes`);
		}
	}
	for (const movement of sound) {
		const named = [
			...(['prerequisites', 'preparations', 'counters', 'kin'] as const).flatMap((field) =>
				movement[field].map((slug) => [field, slug] as const)
			),
			...movement.cautions.map((c) => ['cautions.instead', c.instead] as const),
			...(movement.withoutKit && 'instead' in movement.withoutKit
				? [['withoutKit.instead', movement.withoutKit.instead] as const]
				: [])
		];
		for (const [field, slug] of named)
			if (!there.has(slug)) faults.push(`${movement.slug}: ${field} names "${slug}", which is not there`);
	}
	return faults;
}
