import { describe, expect, it } from 'vitest';
import { findMovement } from '../../src/lib/catalogue';
import { DIRECTIONS } from '../../src/lib/core/anatomy';
import {
	balanceBars,
	ladderLines,
	ladderNames,
	loadLines,
	MINI_SCORE_BOX,
	miniScore,
	score,
	seriesInShort,
	seriesShifts,
	tissueCells,
	weekCards
} from '../../src/lib/core/view-models';
import {
	compareSeries,
	draftOfRecord,
	cancelClass,
	analyseSeries,
	withProposed,
	type PlannedSeries
} from '../../src/lib/core/series';
import { DEMO_GROUPS } from '../../src/lib/demo/groups';
import { demoSeries, DEMO_MONDAY } from '../../src/lib/demo/series';
import { classWith, filled, ladder, logged, run, seriesOf, contextFor } from './series-built';

const [chalk, lamp] = demoSeries(DEMO_MONDAY) as [
	ReturnType<typeof demoSeries>[number],
	ReturnType<typeof demoSeries>[number]
];
const read = ({ group, planned }: typeof chalk, change: (p: PlannedSeries) => PlannedSeries = (p) => p) =>
	analyseSeries(change(planned), contextFor(DEMO_GROUPS[group]));

describe('the weeks as they are shown', () => {
	const weeks = weekCards(read(lamp));

	it('have seven days from a Monday, their classes on theirs, and days without a class marked', () => {
		expect(weeks).toHaveLength(8);
		for (const week of weeks) {
			expect(week.days.map(({ letter }) => letter).join('')).toBe('MTWTFSS');
			for (const c of week.classes)
				expect(week.days.find(({ iso }) => iso === c.on)!.classIds).toEqual([c.id]);
		}
		expect(weeks[6]!.days.filter(({ skipped }) => skipped).map(({ name }) => name)).toEqual([
			'Friday 25 Dec'
		]);
	});

	it('say their theme, their load and how it changed, and which of them are easier or have the test', () => {
		expect(weeks[0]).toMatchObject({
			number: 1,
			from: '9 Nov',
			theme: 'Hip extension under the trunk',
			retest: true
		});
		expect(weeks[0]!.figures).toBe('load 183 effort-min');
		expect(weeks[1]!.figures).toMatch(/^load \d+ effort-min, (\d+ % (up|down)|as before)$/);
		expect(weeks.map(({ easier }) => easier)).toEqual([false, false, false, true, false, false, false, true]);
	});

	it('name the state of each class and each of its rungs, with what every tier does', () => {
		const [first, second] = weeks[0]!.classes;
		expect(first).toMatchObject({ number: 1, day: 'Wed 11 Nov', stateWords: 'taught' });
		expect(first!.figures).toBe('effort 3.0, load 90 effort-min');
		expect(first!.rungs[0]).toEqual({
			words: 'Low lunge, supported, 5 breaths',
			again: '',
			isNew: true,
			tiers: 'tight: supported, middling: supported, open: full'
		});
		expect(second!.rungs[0]).toMatchObject({ again: '2nd time', isNew: false });
		const times = weeks.flatMap(({ classes }) => classes.map((c) => c.rungs[1]!.again));
		expect(times).toContain('3rd time');
		expect(times).toContain('4th time');
	});

	it('show a date that fell out', () => {
		const out = (p: PlannedSeries) => {
			const open = p.series.classes.find(({ id }) => !p.runs[id])!;
			const changed = cancelClass(p, open.id, 'storm', 'one more date');
			return changed.ok ? changed.value : p;
		};
		const after = weekCards(read(chalk, out));
		expect(after.flatMap(({ days }) => days.filter(({ missed }) => missed))).toHaveLength(1);
		expect(after).toHaveLength(9);
	});
});

describe('a score made small', () => {
	it('stays in its box, ends with the class and has a bar for each stretch of work', () => {
		for (const c of read(chalk).classes) {
			const whole = score(c.analysis!);
			const small = miniScore(whole);
			const numbers = small.body.match(/-?[\d.]+/g)!.map(Number);
			expect(Math.max(...numbers)).toBeLessThanOrEqual(MINI_SCORE_BOX.width);
			expect(Math.min(...numbers)).toBeGreaterThanOrEqual(0);
			expect(small.bars).toHaveLength(whole.intensity.length);
			for (const bar of small.bars) {
				expect(bar.x + bar.width).toBeLessThanOrEqual(MINI_SCORE_BOX.width + 0.6);
				expect(bar.height).toBeLessThanOrEqual(MINI_SCORE_BOX.height / 2);
			}
		}
	});

	it('of an empty class is nothing', () => {
		const empty = filled(seriesOf({ weeks: 1 }), () => classWith([]));
		const { analysis } = analyseSeries(empty, contextFor()).classes[0]!;
		expect(miniScore(score(analysis!))).toEqual({ body: '', bars: [] });
	});
});

describe('the charts and the tables behind them', () => {
	it('let ladders climb by one rung at a time, and say in the table which rung it is', () => {
		const { lines, table, classes } = ladderLines(read(chalk));
		expect(classes).toHaveLength(8);
		expect(lines.map(({ name }) => name)).toEqual([
			'Deep squat, knees turning in by turns',
			'90-90, slow change of sides'
		]);
		for (const { at, rungs } of lines) {
			const known = at.filter((rung) => rung !== null);
			for (const [i, rung] of known.entries())
				expect([0, 1]).toContain(i === 0 ? rung - 1 : rung - known[i - 1]!);
			expect(Math.max(...known)).toBeLessThanOrEqual(rungs.length);
		}
		expect(lines.map(({ short }) => short)).toEqual(['Deep squat', '90-90']);
		// each step stands from the first class of its rung to the last, and says what is new in it
		for (const { steps, at } of lines)
			for (const { rung, from, to } of steps) {
				expect([at.indexOf(rung), at.lastIndexOf(rung)]).toEqual([from, to]);
			}
		expect(lines[0]!.steps.map(({ rung, words }) => [rung, words])).toEqual([
			[1, 'Garland squat, supported, 4 breaths'],
			[2, 'supported, 5 repetitions'],
			[3, 'full, 6 repetitions']
		]);
		expect(lines[0]!.steps[0]!.days).toBe('Tue 3 Nov to Tue 10 Nov');
		expect(table.head).toHaveLength(3);
		expect(table.rows[0]).toEqual([
			'1, Tue 3 Nov',
			'1. Garland squat, supported, 4 breaths',
			'1. Seated knee wipers, supported, 6 repetitions'
		]);
	});

	it('keep the whole names of ladders whose short ones are alike', () => {
		const { planned, context } = read(chalk);
		const rung = planned.series.ladders[0]!.rungs[0]!;
		const ladders = ['90-90-fold', '90-90-press', 'clam'].map((movement) => ({
			rungs: [{ ...rung, movement }]
		}));
		expect(ladderNames({ ...planned.series, ladders }, context.find)).toEqual([
			'90-90, hinged forward',
			'90-90, front leg pressing',
			'Clam'
		]);
	});

	it('give load, and monotony and strain only where a week has three classes or more', () => {
		const analysis = read(lamp);
		const { load, table, hasMonotony } = loadLines(analysis);
		expect([hasMonotony, table.head.length]).toEqual([false, 4]);
		for (const [i, row] of table.rows.entries()) expect(row[2]).toBe(String(load[i]));
		expect(table.rows[3]![0]).toBe('4 (easier)');
		const minutes = analysis.weeks[0]!.classes.reduce((sum, c) => sum + c.minutes, 0);
		expect(table.rows[0]![1]).toBe(String(Math.round(minutes)));
		const meetings = [1, 3, 5].map((weekday) => ({ weekday, startsAt: '07:00' }));
		const thrice = filled(seriesOf({ weeks: 1, startsOn: '2026-11-02', meetings }), () =>
			classWith(['clam'])
		);
		const lines = loadLines(analyseSeries(thrice, contextFor()));
		expect(lines.table.rows[0]!.slice(4)).toEqual([
			lines.monotony[0]!.toFixed(2),
			String(Math.round(lines.strain[0]!))
		]);
	});

	it('say so where every day is alike, and have no figure to draw there', () => {
		const meetings = [1, 2, 3, 4, 5, 6, 7].map((weekday) => ({ weekday, startsAt: '07:00' }));
		const daily = filled(seriesOf({ weeks: 1, startsOn: '2026-11-02', meetings }), () => classWith(['clam']));
		const { monotony, strain, table } = loadLines(analyseSeries(daily, contextFor()));
		expect([monotony, strain]).toEqual([[null], [null]]);
		expect(table.rows[0]![4]).toBe('every day the same');
	});

	it('share the directions of each week among a hundred, and of all weeks in the last row', () => {
		const { shares, weeks, table } = balanceBars(read(chalk));
		expect(shares.map(({ direction }) => direction)).toEqual(DIRECTIONS);
		for (const [i] of weeks.entries()) {
			const sum = shares.reduce((all, { percent }) => all + percent[i]!, 0);
			expect(Math.abs(sum - 100)).toBeLessThanOrEqual(3);
		}
		expect(table.rows.at(-1)![0]).toBe('All weeks');
		expect(table.rows).toHaveLength(9);
	});

	it('count the minutes of each tissue, in tenths in the chart and to the second in the table', () => {
		const { cells, tissues, table, most } = tissueCells(read(chalk));
		expect(cells).toHaveLength(8 * tissues.length);
		expect(most).toBeGreaterThanOrEqual(5);
		const [x, y, minutes] = cells.find(([, , value]) => value > 3)!;
		const [m = 0, s = 0] = table.rows[y]![x + 1]!.split(':').map(Number);
		expect(minutes).toBeCloseTo(m + s / 60, 1);
	});
});

describe('before and after', () => {
	const planned = filled(seriesOf({ weeks: 3, ladders: [ladder('clam', 'supported')] }), () =>
		classWith(['clam:supported'])
	);
	const before = analyseSeries(planned, contextFor());

	it('is nothing where nothing changed', () => {
		expect(seriesShifts(before, analyseSeries({ ...planned }, contextFor()))).toEqual([]);
	});

	it('names the classes that move, come, go, or have other contents', () => {
		const [a, b] = planned.series.classes;
		const other = withProposed(planned, { [b!.id]: classWith(['clam:supported', 'goddess-squat']) });
		const shifts = seriesShifts(before, analyseSeries(other, contextFor()));
		expect(shifts.map(({ name }) => name)).toEqual(['Class 2']);
		expect(shifts[0]!.after).toMatch(
			/^Tue 10 Nov 17:30, load \d+ effort-min; Clam, supported, 8 repetitions$/
		);
		const out = cancelClass(planned, a!.id, '', 'let the last go');
		const gone = seriesShifts(before, analyseSeries(out.ok ? out.value : planned, contextFor()));
		expect(gone.map(({ after }) => after.split(',')[0])).toEqual([
			'Tue 10 Nov 17:30',
			'Tue 17 Nov 17:30',
			'missing'
		]);
	});
});

describe('a series in short', () => {
	it('says its days, its goals, and how far it is', () => {
		expect(
			seriesInShort(lamp.planned.series, new Set(Object.keys(lamp.planned.runs)), findMovement)
		).toMatchObject({
			days: 'Wednesday 12:20, Friday 12:20',
			from: 'Mon 9 Nov',
			taught: 3,
			classes: 14,
			goals: ['Low lunge, back knee hovering', '90-90, slow change of sides']
		});
	});
});

describe('how a class went', () => {
	it('begins with what was planned, in whole figures, and then with what was written down', () => {
		const { classes } = read(chalk);
		const open = classes.find((c) => !c.run)!;
		expect(draftOfRecord(open)).toEqual({
			// nobody said it yet
			effort: null,
			minutes: Math.round(open.minutes),
			attendance: null,
			leftOut: [],
			note: ''
		});
		expect(draftOfRecord(classes[0]!)).toEqual({
			effort: 3,
			minutes: 51,
			attendance: null,
			leftOut: [],
			note: 'Fingers sore, hips curious.'
		});
	});
});

describe('two series side by side', () => {
	it('are told in the same figures', () => {
		const lines = compareSeries(read(chalk), read(lamp));
		const of = (name: string) => lines.find((line) => line.name === name)!;
		expect(of('Weeks')).toEqual({ name: 'Weeks', a: '8', b: '8' });
		expect(of('Classes, of them planned')).toMatchObject({ a: '8, 8', b: '14, 14' });
		expect(of('Minutes in all').a).toBe(
			String(Math.round(read(chalk).classes.reduce((sum, c) => sum + c.minutes, 0)))
		);
	});

	it('of which one is empty are told too', () => {
		const empty = analyseSeries(seriesOf({ weeks: 2 }), contextFor());
		const lines = compareSeries(empty, empty);
		expect(lines.find(({ name }) => name === 'Load a week, mean')).toMatchObject({ a: '0.0', b: '0.0' });
		expect(lines.find(({ name }) => name === 'Steepest rise')).toMatchObject({ a: '' });
	});

	it('count what was taught as it was', () => {
		const louder = (p: PlannedSeries) => logged(p, p.series.classes[0]!.id, { ...run, effort: 9 });
		const [a, b] = [read(chalk), read(chalk, louder)].map((r) => r.weeks[0]!.load);
		expect(b).toBe(450);
		expect(a).toBeLessThan(b!);
	});
});
