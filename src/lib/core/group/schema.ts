import { array, boolean, number, object, string } from 'yup';
import { DIRECTIONS, LEGS } from '../anatomy';
import { MOST_CHANGEOVER_MINUTES } from '../calendar';
import { REGIONS } from '../hip-tests';
import { CAUTIONS, KIT_KINDS, purposesSchema, rising } from '../movement';
import { PLAN_LIMITS } from '../plan';
import { schemaFaults, type Fault, eachOnce, oneLine, textOfLines, timeOfDay } from '../validation';
import { MOST_PIECES, MOST_PIECES_EACH } from './kit';
import { MOMENTS, PRESETS, TIERS, type Group } from './types';

const percent = number().min(0).max(100).required();
const band = object({ minPercent: percent, maxPercent: percent })
	.noUnknown()
	.required()
	.test('rising', '${path}: the lower end is above the upper end', (value) =>
		rising(value.minPercent, value.maxPercent)
	);

const minutes = number()
	.integer('${path} must be whole minutes')
	.min(0)
	.max(MOST_CHANGEOVER_MINUTES)
	.required();

const count = number().integer('${path} must be a whole number').min(0).max(500).required();

const tiers = object(Object.fromEntries(TIERS.map((tier) => [tier, count]))).noUnknown();

const weekday = number().integer().min(1).max(7).required();
const time = timeOfDay();

/** Schema of pieces of kit by kind, at most `most` of each. */
const piecesOfKinds = (most: number) =>
	object(Object.fromEntries(KIT_KINDS.map((kit) => [kit, number().integer().min(0).max(most)]))).noUnknown();

/** Schema of the kit in a room. */
const kitSchema = piecesOfKinds(MOST_PIECES);

export const groupSchema = object({
	name: oneLine(80).required('a group needs a name'),
	discipline: oneLine(120),
	preset: string().oneOf(PRESETS).required(),
	size: number().integer('${path} must be a whole number').min(1).max(200).required(),
	tiers: tiers.required(),
	moment: string().oneOf(MOMENTS).required(),
	weekday,
	startsAt: time,
	alsoMeets: array()
		.of(object({ weekday, startsAt: time }).noUnknown())
		.max(6)
		.default(undefined)
		.test(
			'once',
			eachOnce(({ weekday }) => weekday, 'this day is there already')
		),
	lengthSeconds: number()
		.integer()
		.min(PLAN_LIMITS.minLengthSeconds, 'a class lasts at least a minute')
		.max(PLAN_LIMITS.maxLengthSeconds, 'a class lasts at most 4 hours')
		.required(),
	room: oneLine(80),
	changeover: object({ beforeMinutes: minutes, afterMinutes: minutes }).noUnknown().default(undefined),
	cautions: array()
		.of(
			object({
				caution: string().oneOf(CAUTIONS).required(),
				people: number().integer().min(1).max(200).required()
			}).noUnknown()
		)
		.max(CAUTIONS.length)
		.defined()
		.test(
			'once',
			eachOnce(({ caution }) => caution, 'this caution is there already')
		),
	sharesKit: boolean(),
	kit: kitSchema.required(),
	kitEach: piecesOfKinds(MOST_PIECES_EACH).default(undefined),
	targets: object({
		directions: object(Object.fromEntries(DIRECTIONS.map((d) => [d, band])))
			.noUnknown()
			.required(),
		strength: band
	})
		.noUnknown()
		.required(),
	regionTiers: object(Object.fromEntries(REGIONS.map((region) => [region, tiers.default(undefined)])))
		.noUnknown()
		.default(undefined),
	moreOn: array()
		.of(
			object({
				leg: string().oneOf(LEGS).required(),
				region: string().oneOf(REGIONS).required()
			}).noUnknown()
		)
		.max(REGIONS.length)
		.default(undefined)
		.test(
			'once',
			eachOnce(({ region }) => region, 'this region is there already')
		),
	purposes: purposesSchema,
	note: textOfLines(PLAN_LIMITS.noteCharacters)
}).noUnknown();

/** Everything wrong with a group from outside; empty: it can be used as a {@link Group}. */
export function groupFaults(value: unknown): Fault[] {
	if (typeof value !== 'object' || value === null || Array.isArray(value))
		return [{ path: '', message: 'a group is an object' }];
	const faults = schemaFaults(groupSchema, value);
	if (faults.length) return faults;
	const group = value as Group;
	const least = DIRECTIONS.reduce((sum, d) => sum + group.targets.directions[d].minPercent, 0);
	const most = DIRECTIONS.reduce((sum, d) => sum + group.targets.directions[d].maxPercent, 0);
	if (least > 100)
		faults.push({
			path: 'targets.directions',
			message: `the lower ends add up to ${least} %, more than 100 %`
		});
	if (most < 100)
		faults.push({
			path: 'targets.directions',
			message: `the upper ends add up to ${most} %, less than 100 %`
		});
	if (group.alsoMeets?.some(({ weekday }) => weekday === group.weekday))
		faults.push({ path: 'alsoMeets', message: 'the group meets on this day already' });
	return faults;
}

/** Everything wrong with the kit of a studio from outside; empty: it can be used. */
export function kitFaults(value: unknown): Fault[] {
	if (typeof value !== 'object' || value === null || Array.isArray(value))
		return [{ path: '', message: 'kit is an object of counts' }];
	return schemaFaults(kitSchema, value);
}
