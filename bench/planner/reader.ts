// Reads a class strictly, from its running order alone, and by other code than the search: what of a reader's twenty
// questions gets a no, and the grade that follows. Calibrated on thirty texts that two readers graded (read/grades.json).
import { DIRECTIONS, legPair, type Direction } from '../../src/lib/core/anatomy';
import {
	CAUTIONS,
	actionOf,
	formOf,
	SITS_OUT,
	type Caution,
	type Purpose
} from '../../src/lib/core/movement';
import { PRESETS, preset, type PresetId } from '../../src/lib/core/group';
import { suits } from '../../src/lib/core/substitution';
import type { Row, Sheet } from './rows';

const formOfRow = ({ movement, form }: Row) => formOf(movement, form)!;
const intensity = (row: Row) => formOfRow(row).intensity;
const effort = (row: Row) => (row.mode === 'passive' || row.mode === 'rest' ? 0 : formOfRow(row).effort);
const demand = (row: Row) => (row.mode === 'rest' ? 0.5 : intensity(row) + effort(row) / 2);
const isStrong = (row: Row) => effort(row) >= 2;
const isReset = ({ movement, form }: Row) =>
	movement.purposes.includes('reset') && formOf(movement, form)!.intensity === 1;
const isMain = ({ section }: Row) => section === 'build' || section === 'peak';
const sum = (rows: readonly Row[], of: (row: Row) => number = ({ seconds }) => seconds) =>
	rows.reduce((all, row) => all + of(row), 0);
const isLow = ({ place }: Row) => place !== 'feet' && place !== 'chair';

/** Seconds of work of a row as its dose says, both sides and all sets. */
function work(row: Row): number {
	const each = { seconds: 1, breaths: 6, counts: 1.5, rounds: 10, repetitions: 4.5 }[row.unit] ?? 4.5;
	return row.amount * each * (row.sided ? 2 : 1) * row.sets;
}

const presetOf = ({ who }: Sheet): PresetId => {
	const words: Partial<Record<PresetId, RegExp>> = {
		runners: /runner/,
		climbers: /climber/,
		beginners: /beginner/,
		'desk workers': /desk/,
		rowers: /rower/,
		lifters: /lifter/,
		'very mobile': /mobile|dancer/
	};
	return PRESETS.find((one) => words[one]?.test(who)) ?? 'general';
};
const purposesOf = (sheet: Sheet): readonly Purpose[] => preset(presetOf(sheet)).purposes;
const serves = (row: Row, purposes: readonly Purpose[]) =>
	row.movement.purposes.some((purpose) => purposes.includes(purpose));
const isRelated = (a: Row, b: Row) =>
	a.movement.families.some((family) => b.movement.families.includes(family)) ||
	a.movement.purposes.filter((purpose) => purpose !== 'reset' && b.movement.purposes.includes(purpose))
		.length >= 1;

const cautionsOf = ({ cautions }: Sheet) =>
	cautions.filter((one): one is { caution: Caution; people: number } =>
		CAUTIONS.includes(one.caution as Caution)
	);

function hardestOf(rows: readonly Row[]): Row | undefined {
	return rows.reduce<Row | undefined>(
		(top, row) => (!top || demand(row) > demand(top) ? row : top),
		undefined
	);
}

/** Seconds in which a leg is turned in or out by at least 15 degrees, moving and held. */
function turning(rows: readonly Row[]): number[] {
	const turned = (row: Row, direction: Direction) =>
		legPair(actionOf(row.movement, formOfRow(row), row.mode)).some((leg) =>
			leg.positions.some((angles) => (angles[direction] ?? 0) >= 15)
		);
	const both = DIRECTIONS.filter((d) => d === 'internalRotation' || d === 'externalRotation');
	return both.flatMap((direction) =>
		[true, false].map((moving) =>
			sum(
				rows.filter(
					(row) => (row.mode === 'dynamic') === moving && row.mode !== 'rest' && turned(row, direction)
				),
				work
			)
		)
	);
}

/** How often people go between the floor and their feet or a chair before the release. */
function trips(rows: readonly Row[]): number {
	const before = rows.filter(({ section }) => section !== 'release' && section !== 'rest');
	return before.filter((row, i) => i > 0 && isLow(row) !== isLow(before[i - 1]!)).length;
}

/** How often an item is left for another place that comes back two or three items on. */
function thereAndBack(rows: readonly Row[]): number {
	return rows.filter(
		({ place }, i) =>
			rows[i + 1] !== undefined &&
			rows[i + 1]!.place !== place &&
			(rows[i + 2]?.place === place || rows[i + 3]?.place === place)
	).length;
}

/** The part of the items at which somebody with a caution does something else. */
function besideShare(sheet: Sheet): number {
	const own = cautionsOf(sheet).filter(({ caution }) => !SITS_OUT.has(caution));
	const kept = sheet.rows.filter(({ movement, form }) =>
		own.some(({ caution }) => {
			const { kind } = suits(movement, form, caution);
			return kind !== 'fine' && kind !== 'in this form';
		})
	);
	return sheet.rows.length ? kept.length / sheet.rows.length : 0;
}

/** The part of the group that a caution keeps from the hardest thing. */
function sitOutPeak(sheet: Sheet): number {
	const top = hardestOf(sheet.rows.filter(({ section }) => section === 'peak'));
	if (!top) return 0;
	const people = cautionsOf(sheet).filter(({ caution }) => {
		const { kind } = suits(top.movement, top.form, caution);
		return kind === 'instead' || kind === 'clinician';
	});
	return people.reduce((all, one) => all + one.people, 0) / sheet.people;
}

const lacksKit = ({ rows, kit, people }: Sheet) =>
	rows.filter((row) =>
		[...row.kit].some(([kind, pieces]) => {
			const pooled = ['cushion', 'bolster', 'blanket'].includes(kind)
				? ['cushion', 'bolster', 'blanket'].reduce((all, one) => all + (kit.get(one) ?? 0), 0)
				: (kit.get(kind) ?? 0);
			return pieces * people > pooled;
		})
	).length;

/** Pieces in which a class is kept in the head: a chain, a flow, or two neighbours in one place. */
export function piecesOf({ rows }: Sheet): number {
	let [pieces, open, link] = [0, null as Row | null, null as number | null];
	for (const row of rows) {
		if (row.section === 'settle' || row.section === 'rest' || (isReset(row) && row.section !== 'warm'))
			continue;
		if (row.linked !== null) {
			if (row.linked !== link) pieces += 1;
			[link, open] = [row.linked, null];
			continue;
		}
		if (open && open.place === row.place && open.section === row.section) open = null;
		else {
			pieces += 1;
			open = row;
		}
	}
	return pieces;
}

/** Returns the place of the peak: where its hardest item begins, as a part of the class. */
export function peakAt(sheet: Sheet): number {
	const top = hardestOf(sheet.rows.filter(({ section }) => section === 'peak'));
	return top ? top.at / sheet.seconds : 1;
}

/** How much of the build and the peak serves a purpose of the group. */
function ownShare(sheet: Sheet): number {
	const main = sheet.rows.filter((row) => isMain(row) && !isReset(row));
	const purposes = purposesOf(sheet);
	if (purposes.length === 0 || main.length === 0) return 1;
	return sum(main.filter((row) => serves(row, purposes))) / sum(main);
}

/** Least and most of the time on the feet, by the people. Common practice, no source. */
const STANDING: Partial<Record<PresetId, readonly [number, number]>> = {
	runners: [0.25, 0.65],
	climbers: [0.2, 0.65],
	beginners: [0.15, 0.5],
	'desk workers': [0.25, 0.75],
	rowers: [0.2, 0.7]
};

const isUpright = ({ moment }: Sheet) => moment === 'lunch hour' || moment === 'before sport';

/** The questions that can be answered from the running order; true is a no. Numbers are those of the twenty questions. */
export const STRICT: Record<number, (sheet: Sheet) => boolean> = {
	1: ({ rows, words }) => rows.some(({ at, sided }) => at < 120 && sided) || !words.some(({ at }) => at < 60),
	2: ({ rows, seconds }) => {
		const early = rows.filter(({ at, mode }) => at < Math.min(480, seconds / 5) && mode === 'dynamic');
		const later = rows.filter(isMain);
		return (
			early.length < 2 ||
			new Set(early.map(({ place }) => place)).size < 2 ||
			!early.some((row) => later.some((main) => isRelated(row, main)))
		);
	},
	4: ({ rows }) => {
		const first = new Map<string, Row>();
		let back = 0;
		for (const row of rows.filter((one) => !isReset(one))) {
			const before = first.get(row.movement.slug);
			if (!before) first.set(row.movement.slug, row);
			else if (
				demand(row) > demand(before) ||
				row.mode !== before.mode ||
				row.sets > before.sets ||
				row.linked !== before.linked
			)
				back += 1;
		}
		return back === 0;
	},
	5: ({ rows }) => {
		const top = hardestOf(rows.filter(({ section }) => section === 'peak'));
		const elsewhere = hardestOf(rows.filter(({ section }) => section !== 'peak'));
		return !top || !isStrong(top) || (elsewhere !== undefined && demand(elsewhere) > demand(top));
	},
	6: ({ rows }) => {
		const top = hardestOf(rows.filter(({ section }) => section === 'peak'));
		if (!top) return true;
		const before = rows.filter(
			(row) => row.at < top.at && isRelated(row, top) && row.movement !== top.movement
		);
		const last = before.findLast(({ place }) => place === top.place);
		return new Set(before.map(({ movement }) => movement)).size < 2 || !last || top.at - last.at > 300;
	},
	7: (sheet) => ownShare(sheet) < 0.4,
	8: (sheet) => {
		const standing = sum(sheet.rows.filter(({ place }) => place === 'feet')) / sheet.seconds;
		const [least, most] = STANDING[presetOf(sheet)] ?? [0, 0.75];
		const low = sum(sheet.rows.filter(isLow)) / sheet.seconds;
		const upright = isUpright(sheet)
			? low > 0.45 || sheet.rows.some(({ place }) => place === 'front')
			: false;
		return upright || (!isUpright(sheet) && (standing < least || standing > most));
	},
	9: ({ rows, moment }) =>
		thereAndBack(rows) > 0 || trips(rows) >= 6 || (moment === 'lunch hour' && trips(rows) >= 3),
	10: ({ rows }) => {
		const all = sum(rows.filter(({ mode }) => mode !== 'rest'));
		return sum(rows.filter(({ linked }) => linked !== null)) / all < 0.075;
	},
	13: ({ rows }) =>
		rows.some((row, i) => {
			const before = rows[i - 1];
			return (
				before !== undefined &&
				before.movement === row.movement &&
				demand(row) <= demand(before) &&
				row.mode === before.mode &&
				row.linked === before.linked &&
				row.sets <= before.sets
			);
		}),
	14: ({ rows }) =>
		rows.some(
			(row) => row.mode === 'dynamic' && intensity(row) <= 2 && effort(row) <= 1 && row.seconds >= 125
		) ||
		rows.some(
			(row, i) => i > 1 && rows[i - 1]!.movement === row.movement && rows[i - 2]!.movement === row.movement
		) ||
		!rows.some(
			(row) =>
				row.section === 'peak' &&
				isStrong(row) &&
				(row.sets > 1 || row.linked !== null || work(row) / (row.sided ? 2 : 1) >= 40)
		),
	15: ({ rows }) => sum(rows.filter(isStrong)) < 0.1 * sum(rows),
	16: ({ rows, seconds }) => Math.min(...turning(rows)) < Math.min(50, seconds / 45),
	17: ({ words, pauses, seconds }) => words.length < (seconds >= 1500 ? 3 : 2) || pauses < 2,
	18: (sheet) => {
		const release = sheet.rows.filter(({ section }) => section === 'release');
		const last = sheet.rows.at(-1)!;
		const resting = sum(sheet.rows.filter(({ section }) => section === 'rest'));
		const ends = isUpright(sheet)
			? last.place === 'feet' || last.place === 'chair'
			: resting >= Math.min(150, sheet.seconds / 20);
		return !ends || release.some((row) => effort(row) >= 2);
	},
	19: (sheet) => lacksKit(sheet) > 0 || besideShare(sheet) > 0.12 || sitOutPeak(sheet) > 1 / 8
};

const read = new WeakMap<Sheet, number[]>();

/** Returns the numbers of the questions that get a no; a class is read once. */
export function strictNoes(sheet: Sheet): number[] {
	const known =
		read.get(sheet) ??
		Object.entries(STRICT).flatMap(([number, isNo]) => (isNo(sheet) ? [Number(number)] : []));
	read.set(sheet, known);
	return known;
}

/** Questions whose noes cost most: the measure, these people, warming, leading up, the peak and the end. */
const HEAVY: ReadonlySet<number> = new Set([1, 2, 4, 5, 6, 7, 8, 13, 15, 18]);

/** Amounts that cost a class its grade. */
export interface Costs {
	/** For each other no; one that is heavy costs 1. */
	light: number;
	/** For the whole class by which the peak begins after {@link PEAK_BY}. */
	latePeak: number;
	/** For a build and a peak of which nothing serves the group. */
	foreign: number;
}
/** Chosen on the thirty graded texts; in each fold of a cross-validation much the same is chosen. */
export const COSTS: Costs = { light: 0.5, latePeak: 5, foreign: 1 };
const PEAK_BY = 0.6;

/** Returns what a class has against it, in heavy noes. */
export function penalty(sheet: Sheet, { light, latePeak, foreign }: Costs = COSTS): number {
	const noes = strictNoes(sheet).reduce((all, number) => all + (HEAVY.has(number) ? 1 : light), 0);
	return noes + latePeak * Math.max(0, peakAt(sheet) - PEAK_BY) + foreign * (1 - ownShare(sheet));
}

/** The line through the thirty graded texts: the grade without a penalty, and what each heavy no takes. */
const LINE = { best: 7.5, perNo: 0.69 };

/** Returns the grade that readers are likely to give, 0 to 10: an estimate, right within about a point and a half. */
export const likelyGrade = (sheet: Sheet): number => Math.max(0, LINE.best - LINE.perNo * penalty(sheet));
