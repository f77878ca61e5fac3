import { DIRECTION_NAME, DIRECTIONS, type Direction } from '../anatomy';
import { shortDay } from '../calendar';
import { formatDuration } from '../clock';
import type { FindMovement } from '../movement';
import { rungWords, type Rung, type Series, type SeriesAnalysis, type WeekAnalysis } from '../series';
import { percentOf } from './before-after';

/** Data of the charts of a series, and of the tables behind them. */

const whole = (value: number) => String(Math.round(value));

/** Table behind a chart, for those who read instead of look. */
export interface ChartTable {
	head: string[];
	rows: string[][];
}

/** The ladders of a series as lines over its classes. */
export interface LadderLines {
	/** Names of the classes along the chart. */
	classes: string[];
	lines: {
		name: string;
		/** As short as it can be told from the others: "Deep squat". */
		short: string;
		goal: string;
		rungs: string[];
		at: (number | null)[];
		/** Rungs that are given: the classes (from 0) of the first and the last time, the days, and what it says, "full, 6 repetitions". */
		steps: { rung: number; from: number; to: number; days: string; words: string }[];
	}[];
	table: ChartTable;
}

/** Names of ladders by the movement that they lead to, cut at the first comma where they still differ. */
export function ladderNames({ ladders }: Series, find: FindMovement): string[] {
	const whole = ladders.map(({ rungs }) => {
		const { movement } = rungs.at(-1)!;
		return find(movement)?.english ?? movement;
	});
	const short = whole.map((name) => name.split(',')[0]!);
	return short.map((name, i) => (short.filter((other) => other === name).length > 1 ? whole[i]! : name));
}

/** Ladders climbing through the classes: for each the rung (from 1) of every class. */
export function ladderLines({ classes, planned, context, goals }: SeriesAnalysis): LadderLines {
	const names = ladderNames(planned.series, context.find);
	const lines = planned.series.ladders.map(({ rungs }, ladder) => {
		const goal = rungs.at(-1)!;
		const reached = goals[ladder];
		return {
			name: context.find(goal.movement)?.english ?? goal.movement,
			goal: reached
				? `${reached.within ? 'reached' : 'earliest'} ${shortDay(reached.on)}`
				: 'not reached at this pace',
			rungs: rungs.map((rung) => rungWords(rung, context.find)),
			short: names[ladder]!,
			at: classes.map((c) => {
				const given = c.given.find((g) => g.ladder === ladder);
				return given ? given.rung + 1 : null;
			}),
			steps: stepsOf(classes, ladder).map(({ rung, from, to }) => ({
				rung: rung + 1,
				from,
				to,
				days: [...new Set([from, to])].map((at) => shortDay(classes[at]!.class.on)).join(' to '),
				words: stepWords(rungs, rung, context.find)
			}))
		};
	});
	return {
		classes: classes.map((c) => shortDay(c.class.on)),
		lines,
		table: {
			head: ['Class', ...lines.map(({ name }) => name)],
			rows: classes.map((c, i) => [
				`${c.number}, ${shortDay(c.class.on)}`,
				...lines.map(({ at, rungs }) => (at[i] === null ? '' : `${at[i]}. ${rungs[at[i]! - 1]}`))
			])
		}
	};
}

/** For each rung of a ladder that is given: the first and the last class with it. */
function stepsOf(classes: SeriesAnalysis['classes'], ladder: number) {
	const steps: { rung: number; from: number; to: number }[] = [];
	classes.forEach((c, at) => {
		const given = c.given.find((g) => g.ladder === ladder);
		const known = steps.find(({ rung }) => rung === given?.rung);
		if (known) known.to = at;
		else if (given) steps.push({ rung: given.rung, from: at, to: at });
	});
	return steps;
}

/** Describes a rung beside the name of its goal: form and dose, and the movement where it is another one. */
function stepWords(rungs: readonly Rung[], at: number, find: FindMovement): string {
	const words = rungWords(rungs[at]!, find);
	const name = find(rungs.at(-1)!.movement)?.english;
	return name && rungs[at]!.movement === rungs.at(-1)!.movement ? words.slice(name.length + 2) : words;
}

/** Load, monotony and strain by week. */
export interface WeekLines {
	weeks: string[];
	load: number[];
	easier: boolean[];
	/** Whether some week has enough classes for monotony and strain. */
	hasMonotony: boolean;
	monotony: (number | null)[];
	strain: (number | null)[];
	table: ChartTable;
}

/** Load by week, and monotony and strain where some week has enough classes for them, as the lines of a chart. */
export function loadLines({ weeks }: SeriesAnalysis): WeekLines {
	const finite = (value: number | null) => (value !== null && Number.isFinite(value) ? value : null);
	const hasMonotony = weeks.some(({ monotony }) => monotony !== null);
	return {
		weeks: weeks.map(({ number }) => `Week ${number}`),
		load: weeks.map(({ load }) => Math.round(load)),
		easier: weeks.map(({ easier }) => easier),
		hasMonotony,
		monotony: weeks.map(({ monotony }) => finite(monotony)),
		strain: weeks.map(({ strain }) => finite(strain)),
		table: {
			head: ['Week', 'Minutes', 'Load', 'Change', ...(hasMonotony ? ['Monotony', 'Strain'] : [])],
			rows: weeks.map((week) => [
				`${week.number}${week.easier ? ' (easier)' : ''}`,
				whole(week.classes.reduce((sum, { minutes }) => sum + minutes, 0)),
				whole(week.load),
				week.changePercent === null ? '' : `${Math.round(week.changePercent)} %`,
				...(hasMonotony ? monotonyCells(week) : [])
			])
		}
	};
}

function monotonyCells({ monotony, strain }: WeekAnalysis): string[] {
	const isFinite = (value: number | null): value is number => value !== null && Number.isFinite(value);
	return [
		isFinite(monotony) ? monotony.toFixed(2) : monotony === null ? '' : 'every day the same',
		isFinite(strain) ? whole(strain) : ''
	];
}

/** The balance of each week as bars. */
export interface BalanceBars {
	weeks: string[];
	/** Percent of the direction time, by direction. */
	shares: { direction: Direction; name: string; percent: number[] }[];
	table: ChartTable;
}

/** Balance week by week, and over the whole in the last row of the table. */
export function balanceBars({ weeks, balance }: SeriesAnalysis): BalanceBars {
	const row = (name: string, of: WeekAnalysis['balance']) => [
		name,
		...DIRECTIONS.map((d) => {
			const { share, standing } = of.directions[d];
			return `${percentOf(share)}${standing === 'within' ? '' : `, ${standing}`}`;
		}),
		percentOf(of.strength.share)
	];
	return {
		weeks: weeks.map(({ number }) => `Week ${number}`),
		shares: DIRECTIONS.map((d) => ({
			direction: d,
			name: DIRECTION_NAME[d],
			percent: weeks.map((week) => Math.round(100 * week.balance.directions[d].share))
		})),
		table: {
			head: ['Week', ...DIRECTIONS.map((d) => DIRECTION_NAME[d]), 'Share of strength work'],
			rows: [
				...weeks
					.filter((week) => week.orbit.rangeTotalSeconds > 0)
					.map((week) => row(String(week.number), week.balance)),
				row('All weeks', balance)
			]
		}
	};
}

/** Seconds of long holds, tissue by week. */
export interface TissueCells {
	weeks: string[];
	tissues: string[];
	/** Column, row, minutes held long on one leg. */
	cells: [number, number, number][];
	most: number;
	table: ChartTable;
}

/** Minutes in which each tissue is held long, by week. */
export function tissueCells({ weeks }: SeriesAnalysis): TissueCells {
	const tissues = [...new Set(weeks.flatMap((week) => [...week.tissues.keys()]))].sort();
	const seconds = (week: WeekAnalysis, tissue: (typeof tissues)[number]) => week.tissues.get(tissue) ?? 0;
	const cells = weeks.flatMap((week, x) =>
		tissues.map((tissue, y): [number, number, number] => [x, y, Math.round(seconds(week, tissue) / 6) / 10])
	);
	return {
		weeks: weeks.map(({ number }) => `Week ${number}`),
		tissues,
		cells,
		most: Math.max(5, ...cells.map(([, , minutes]) => minutes)),
		table: {
			head: ['Tissue', ...weeks.map(({ number }) => `Week ${number}`)],
			rows: tissues.map((tissue) => [
				tissue,
				...weeks.map((week) => formatDuration(Math.round(seconds(week, tissue))))
			])
		}
	};
}
