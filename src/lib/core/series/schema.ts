import { array, number, object, string } from 'yup';
import { DIRECTIONS } from '../anatomy';
import { isIsoDay } from '../calendar';
import { TEST_IDS } from '../hip-tests';
import {
	doseRange,
	FORM_IDS,
	formOf,
	MODES,
	AIMS,
	SLUG,
	usualUnitSeconds,
	type FindMovement
} from '../movement';
import { PLAN_LIMITS, planFaults } from '../plan';
import {
	hasMoreParts,
	inside,
	schemaFaults,
	type Fault,
	eachOnce,
	isPropertyOfAll,
	oneLine,
	textOfLines,
	timeOfDay
} from '../validation';
import { slotKey } from './dates';
import { SERIES_LIMITS, type Ladder, type PlannedSeries, type Series } from './types';

const day = string()
	.required()
	.test('day', '${path} must be a day of the calendar such as 2026-11-24', (value) => isIsoDay(value ?? ''));
const time = timeOfDay();
const slug = string().matches(SLUG, '${path} must be a slug of the catalogue');
const id = string()
	.matches(/^[A-Za-z0-9_-]{6,24}$/, '${path} must be an id of 6 to 24 letters, digits, - and _')
	.test('own', '${path}: this word cannot be an id', (value) => !isPropertyOfAll(value ?? ''))
	.required();
const whole = (min: number, max: number) =>
	number().integer('${path} must be a whole number').min(min).max(max).required();
const week = whole(1, SERIES_LIMITS.weeks);

const zone = string()
	.required()
	.max(64)
	.test('zone', '${path} must be a time zone such as Europe/London', (value) => {
		try {
			new Intl.DateTimeFormat('en', { timeZone: value });
			return true;
		} catch {
			return false;
		}
	});

/** Whether two ladders lead to the same goal: the same movement in the same form at their tops. */
export const sameGoal = (a: Ladder, b: Ladder): boolean =>
	goalOf(a).every((part, i) => part === goalOf(b)[i]);

/** Returns the movement and form at the top of a ladder, unchecked. */
function goalOf({ rungs }: Ladder): [movement: unknown, form: unknown] {
	const top = Array.isArray(rungs) ? rungs.at(-1) : undefined;
	return [top?.movement, top?.form];
}

export const seriesSchema = object({
	title: oneLine(120).required('a series needs a title'),
	goal: textOfLines(PLAN_LIMITS.noteCharacters),
	timeZone: zone,
	startsOn: day,
	weeks: week,
	meetings: array()
		.of(object({ weekday: whole(1, 7), startsAt: time }).noUnknown())
		.min(1, 'a series needs at least one day of the week')
		.max(SERIES_LIMITS.meetings)
		.required()
		.test(
			'once',
			eachOnce(({ weekday, startsAt }) => [weekday, startsAt], 'this day and time is there already')
		),
	lengthSeconds: whole(PLAN_LIMITS.minLengthSeconds, PLAN_LIMITS.maxLengthSeconds),
	skipped: array()
		.of(day)
		.max(SERIES_LIMITS.skipped)
		.defined()
		.test(
			'once',
			eachOnce((iso) => iso, 'this day is there already')
		),
	ladders: array()
		.of(
			object({
				rungs: array()
					.of(
						object({
							movement: slug.required(),
							form: string().oneOf(FORM_IDS).required(),
							mode: string().oneOf(MODES).required(),
							dose: whole(1, 10_000)
						}).noUnknown()
					)
					.min(1)
					.max(SERIES_LIMITS.rungs)
					.required()
			}).noUnknown()
		)
		.max(SERIES_LIMITS.ladders)
		.defined()
		.test(
			'once',
			eachOnce((ladder) => goalOf(ladder as Ladder), 'this goal is there already')
		),
	themes: array()
		.of(
			object({
				words: oneLine(120),
				more: string().oneOf(DIRECTIONS),
				purpose: string().oneOf(AIMS),
				toward: slug
			}).noUnknown()
		)
		.max(SERIES_LIMITS.weeks)
		.defined(),
	easierEvery: whole(0, SERIES_LIMITS.weeks),
	retest: object({
		test: string().oneOf(TEST_IDS).required(),
		weeks: array()
			.of(week)
			.max(SERIES_LIMITS.weeks)
			.defined()
			.test(
				'once',
				eachOnce((week) => week, 'this week is there already')
			)
	})
		.noUnknown()
		.required(),
	repeats: whole(1, 12),
	mostNew: whole(0, 12),
	mostUpPercent: whole(0, 100),
	keepPercent: whole(0, 100),
	classes: array()
		.of(
			object({
				id,
				on: day,
				startsAt: time,
				week: whole(1, SERIES_LIMITS.weeks + 1),
				proposedAs: string().matches(/^[0-9a-f]{8}$/)
			}).noUnknown()
		)
		.max(SERIES_LIMITS.weeks * SERIES_LIMITS.meetings + SERIES_LIMITS.missed)
		.defined(),
	missed: array()
		.of(object({ on: day, why: oneLine(200) }).noUnknown())
		.max(SERIES_LIMITS.missed)
		.defined()
}).noUnknown();

/** Of a series with its plans: 26 weeks of three full classes have some 50 000. */
const MOST_PARTS = 100_000;

/**
 * Everything wrong with a series and its plans from outside; empty: it can be used as a {@link PlannedSeries}.
 * `find`: what the plans and ladders may name.
 */
export function seriesFaults(value: unknown, find: (classId: string) => FindMovement): Fault[] {
	if (typeof value !== 'object' || value === null || Array.isArray(value))
		return [{ path: '', message: 'a series with its plans is an object' }];
	if (hasMoreParts(value, MOST_PARTS))
		return [{ path: '', message: `this is too large: it has more than ${MOST_PARTS} parts` }];
	const { series, plans } = value as Partial<PlannedSeries>;
	const shape = inside('series', schemaFaults(seriesSchema, series));
	if (typeof series !== 'object' || series === null) return [{ path: 'series', message: 'is missing' }];
	if (typeof plans !== 'object' || plans === null || Array.isArray(plans))
		return [...shape, { path: 'plans', message: 'must hold the plans by the id of their class' }];
	if (shape.length) return shape;
	return [
		...classFaults(series),
		...ladderFaults(series, find('')),
		...Object.entries(plans).flatMap(([classId, plan]) =>
			series.classes.some((c) => c.id === classId)
				? inside(`plans.${classId}`, planFaults(plan, find(classId)))
				: [{ path: `plans.${classId}`, message: 'belongs to no class of the series' }]
		)
	];
}

function classFaults({ classes }: Series): Fault[] {
	const faults: Fault[] = [];
	const ids = new Set<string>();
	for (const [i, c] of classes.entries()) {
		const path = `series.classes[${i}]`;
		if (ids.has(c.id)) faults.push({ path: `${path}.id`, message: `the id "${c.id}" is used twice` });
		ids.add(c.id);
		const before = classes[i - 1];
		if (before && slotKey(before) >= slotKey(c))
			faults.push({ path: `${path}.on`, message: 'the classes must stand in the order of their dates' });
	}
	return faults;
}

function ladderFaults({ ladders }: Series, find: FindMovement): Fault[] {
	return ladders.flatMap(({ rungs }, l) =>
		rungs.flatMap(({ movement, form, mode, dose }, r): Fault[] => {
			const path = `series.ladders[${l}].rungs[${r}]`;
			const known = find(movement);
			const found = known && formOf(known, form);
			if (!known)
				return [{ path: `${path}.movement`, message: `the catalogue has no movement "${movement}"` }];
			if (!found) return [{ path: `${path}.form`, message: `${movement} has no ${form} form` }];
			const range = doseRange(found, mode);
			return dose * usualUnitSeconds(range, mode) > PLAN_LIMITS.sideSeconds
				? [{ path: `${path}.dose`, message: `${dose} ${range.unit} are over an hour on one side` }]
				: [];
		})
	);
}
