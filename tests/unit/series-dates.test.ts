import { DateTime } from 'luxon';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { CATALOGUE, findMovement } from '../../src/lib/catalogue';
import { addDays, isIsoDay, weekOfDay, withOneMoreDay } from '../../src/lib/core/calendar';
import {
	carriedOver,
	cancelClass,
	goalDates,
	ladderTo,
	metBeforeEach,
	momentOf,
	type PlannedSeries,
	rungWords,
	schedule,
	seriesFaults,
	tierForms,
	timesEach,
	withSettings
} from '../../src/lib/core/series';
import { styleOf } from '../../src/lib/core/style';
import { classWith, CLIMBERS, daysOf, filled, ids, ladder, logged, run, seriesOf } from './series-built';

describe('dates of a series', () => {
	it('lie on its days, week by week, without those that are left out', () => {
		const planned = seriesOf({
			weeks: 3,
			meetings: [
				{ weekday: 5, startsAt: '12:20' },
				{ weekday: 2, startsAt: '17:30' }
			],
			skipped: ['2026-11-13']
		});
		expect(daysOf(planned)).toEqual(['2026-11-03', '2026-11-06', '2026-11-10', '2026-11-17', '2026-11-20']);
		expect(planned.series.classes.map(({ week }) => week)).toEqual([1, 1, 2, 3, 3]);
	});

	it('begin no sooner than the first day, and go over the end of a year', () => {
		const planned = seriesOf({
			startsOn: '2026-12-24',
			weeks: 3,
			meetings: [{ weekday: 2, startsAt: '09:00' }]
		});
		expect(daysOf(planned)).toEqual(['2026-12-29', '2027-01-05']);
		expect(planned.series.classes.map(({ week }) => week)).toEqual([2, 3]);
	});

	it('are right for any start, number of weeks and days (each is one of the days, in order, none twice)', () => {
		fc.assert(
			fc.property(
				fc.integer({ min: 0, max: 3000 }),
				fc.integer({ min: 1, max: 26 }),
				fc.uniqueArray(fc.integer({ min: 1, max: 7 }), { minLength: 1, maxLength: 7 }),
				(start, weeks, weekdays) => {
					const startsOn = addDays('2024-01-01', start);
					const meetings = weekdays.map((weekday) => ({ weekday, startsAt: '18:30' }));
					const planned = seriesOf({ startsOn, weeks, meetings });
					const days = daysOf(planned);
					expect(new Set(days).size).toBe(days.length);
					expect([...days].sort()).toEqual(days);
					for (const day of days) {
						expect(isIsoDay(day) && day >= startsOn).toBe(true);
						// the weekday by another calendar than the one that dealt it
						expect(weekdays).toContain(((new Date(`${day}T12:00Z`).getUTCDay() + 6) % 7) + 1);
					}
					const whole = weekOfDay(startsOn).days[0] === startsOn;
					if (whole) expect(days).toHaveLength(weeks * weekdays.length);
				}
			),
			{ numRuns: 60 }
		);
	});

	/** Independent of luxon: date-fns with its time zones. Zones on both hemispheres and one without clock changes. */
	it.each(['Europe/London', 'America/New_York', 'Australia/Sydney', 'America/Santiago', 'Asia/Tokyo'])(
		'are the moments that another date library gives in %s, a year of days long',
		(zone) => {
			for (let day = 0; day < 400; day++) {
				const on = addDays('2026-03-01', day);
				for (const startsAt of ['06:40', '12:20', '18:30', '23:15']) {
					const other = DateTime.fromISO(`${on}T${startsAt}`, { zone });
					expect(momentOf({ on, startsAt }, zone).getTime()).toBe(other.toMillis());
				}
			}
		}
	);

	it('get one more day where the group does not meet yet, after the last of them', () => {
		const on = (...days: number[]) => days.map((weekday) => ({ weekday, startsAt: '18:30' }));
		expect(withOneMoreDay(on(2, 7))).toEqual(on(2, 7, 1));
		expect(withOneMoreDay(on(1, 2))).toEqual(on(1, 2, 3));
		expect(withOneMoreDay(on(2, 1))).toEqual(on(2, 1, 3));
		expect(withOneMoreDay(on(1, 2, 3, 4, 5, 6, 7))).toHaveLength(7);
	});

	it('keep the time on the clock of the studio when the clocks change', () => {
		const before = momentOf({ on: '2026-10-20', startsAt: '17:30' }, 'Europe/London');
		const after = momentOf({ on: '2026-10-27', startsAt: '17:30' }, 'Europe/London');
		expect(before.toISOString()).toBe('2026-10-20T16:30:00.000Z');
		expect(after.toISOString()).toBe('2026-10-27T17:30:00.000Z');
	});
});

describe('a ladder', () => {
	it('begins where the group stands: mostly open people are beyond supported forms', () => {
		const open = { ...CLIMBERS, tiers: { tight: 0, middling: 2, open: CLIMBERS.size - 2 } };
		const forms = (group: typeof CLIMBERS) =>
			ladder('split-squat', 'stronger', group)
				.rungs.filter(({ movement }) => movement === 'split-squat')
				.map(({ form }) => form);
		expect(forms(CLIMBERS)[0]).toBe('supported');
		expect(forms(open)[0]).toBe('full');
		expect(forms(open).at(-1)).toBe('stronger');
	});

	it('goes from a preparation through the forms, with more of each before the next', () => {
		expect(ladder('90-90-switch', 'stronger').rungs.map((rung) => rungWords(rung, findMovement))).toEqual([
			'Seated knee wipers, supported, 6 repetitions',
			'90-90, slow change of sides, supported, 4 repetitions',
			'90-90, slow change of sides, supported, 5 repetitions',
			'90-90, slow change of sides, full, 4 repetitions',
			'90-90, slow change of sides, full, 5 repetitions',
			'90-90, slow change of sides, stronger, 4 repetitions'
		]);
	});

	it('is refused where a caution of most of the room speaks against the goal', () => {
		const knees = { ...CLIMBERS, cautions: [{ caution: 'sore knee' as const, people: 6 }] };
		expect(ladderTo({ movement: '90-90-switch', form: 'full' }, findMovement, knees, styleOf())).toBeNull();
		expect(
			ladderTo({ movement: 'low-lunge', form: 'supported' }, findMovement, knees, styleOf())
		).not.toBeNull();
	});

	it('ends at its goal, within the limits of each dose, and never turns back, for every movement and form', () => {
		for (const movement of CATALOGUE)
			for (const form of movement.forms) {
				const found = ladder(movement.slug, form.id, null);
				const last = found.rungs.at(-1)!;
				expect([last.movement, last.form]).toEqual([movement.slug, form.id]);
				const planned = seriesOf({ ladders: [found] });
				expect(seriesFaults(planned, () => findMovement)).toEqual([]);
				const own = found.rungs.filter((rung) => rung.movement === movement.slug);
				const order = own.map((rung) => movement.forms.findIndex(({ id }) => id === rung.form));
				expect([...order].sort((a, b) => a - b)).toEqual(order);
			}
	});

	it('leaves a tier in an easier form until the next is safe for it', () => {
		const goal = ladder('90-90-switch', 'stronger').rungs.at(-1)!;
		const tiers = tierForms(goal, CLIMBERS, findMovement);
		// intensity 4 is too much for the tight people, who stay at 3
		expect(tiers).toEqual([
			{ tier: 'tight', form: 'full' },
			{ tier: 'middling', form: 'stronger' },
			{ tier: 'open', form: 'stronger' }
		]);
	});
});

describe('the schedule of rungs', () => {
	const two = [ladder('90-90-switch', 'full'), ladder('low-lunge-knee-lift', 'full')];
	const rungsOf = (planned: PlannedSeries, which: number, known: string[] = []) =>
		[...schedule(planned, known).values()].map(
			(given) => given.find(({ ladder: l }) => l === which)?.rung ?? null
		);

	it('gives each rung at least twice, climbs in no easier week, and reaches the goal', () => {
		const planned = seriesOf({ weeks: 12, ladders: [two[0]!], easierEvery: 4 });
		const rungs = rungsOf(planned, 0);
		// the easier week (the fourth, the eighth) gives its rung too
		expect(rungs).toEqual([0, 0, 1, 1, 2, 2, 3, 3, 3, 3, 3, 3]);
		expect(goalDates(planned, [])).toEqual([{ on: planned.series.classes[6]!.on, within: true }]);
	});

	it('begins no second new movement in a class', () => {
		const planned = seriesOf({ ladders: two, weeks: 8 });
		// the group knows the preparations; both want their own movement in the third class
		const known = ['seated-knee-wipers', 'low-lunge'];
		for (const given of schedule(planned, known).values())
			expect(given.filter(({ isNew }) => isNew).length).toBeLessThanOrEqual(1);
		expect(rungsOf(planned, 0, known)[2]).toBe(1);
		expect(rungsOf(planned, 1, known).slice(2, 4)).toEqual([0, 0]);
	});

	it('does not count what a taught class left out, and brings it back', () => {
		const base = seriesOf({ ladders: [two[0]!], weeks: 6, easierEvery: 0 });
		const first = base.series.classes[0]!.id;
		const plan = classWith(['seated-knee-wipers:supported', 'clam']);
		const out = logged({ ...base, plans: { [first]: plan } }, first, {
			...run,
			leftOut: ['seated-knee-wipers', 'clam']
		});
		expect(rungsOf(out, 0)).toEqual([0, 0, 0, 1, 1, 2]);
		expect(rungsOf(logged(out, first, run), 0)).toEqual([0, 0, 1, 1, 2, 2]);
		expect([...carriedOver(out)]).toEqual([[base.series.classes[1]!.id, ['seated-knee-wipers', 'clam']]]);
	});

	it('owes what was left out until a class really gives it', () => {
		const base = filled(seriesOf({ weeks: 4 }), (i) => classWith(i === 2 ? ['clam', 'frog'] : ['frog']));
		const [a, b, c, d] = base.series.classes.map(({ id }) => id);
		const out = logged(base, a!, { ...run, leftOut: ['clam'] });
		expect([...carriedOver(out)]).toEqual([[b, ['clam']]]);
		// the second class had no clam either: it is owed still
		const twice = logged(out, b!, run);
		expect([...carriedOver(twice)]).toEqual([[c, ['clam']]]);
		// the third gave it; left out there once more, it goes on
		expect([...carriedOver(logged(twice, c!, run))]).toEqual([]);
		expect([...carriedOver(logged(twice, c!, { ...run, leftOut: ['clam'] }))]).toEqual([[d, ['clam']]]);
	});

	it('may be told of runs in any order: a class passed by was only planned, and gives nothing', () => {
		const base = filled(seriesOf({ ladders: [two[0]!], weeks: 6, easierEvery: 0 }), () =>
			classWith(['seated-knee-wipers:supported', 'clam'])
		);
		const [a, b, c, d] = base.series.classes.map(({ id }) => id);
		expect(rungsOf(base, 0)).toEqual([0, 0, 1, 1, 2, 2]);
		const third = logged(base, c!, run);
		// neither the first nor the second counts, so the third is the first time
		expect(rungsOf(third, 0)).toEqual([0, 0, 0, 0, 1, 1]);
		expect([...metBeforeEach(third, ['frog'])[2]!]).toEqual(['frog']);
		expect([...metBeforeEach(third, [])[3]!].sort()).toEqual(['clam', 'seated-knee-wipers']);
		// the earlier ones are written down afterwards, the later one first; the third did not give the second rung
		expect(rungsOf(logged(logged(third, b!, run), a!, run), 0)).toEqual([0, 0, 1, 1, 1, 2]);
		expect([...carriedOver(logged(third, a!, { ...run, leftOut: ['clam'] }))]).toEqual([]);
		expect([...carriedOver(logged(third, c!, { ...run, leftOut: ['clam'] }))]).toEqual([[d, ['clam']]]);
	});

	it('goes on after the last class that was taught, whatever lies open before it', () => {
		const base = filled(seriesOf({ weeks: 4 }), (i) => ({ ...classWith(['clam']), title: `class ${i}` }));
		const [first, second, third, fourth] = base.series.classes;
		const taught = logged(base, third!.id, run);
		const later = withSettings(taught, { meetings: [{ weekday: 4, startsAt: '18:00' }] }, ids());
		expect(later.series.classes.slice(0, 3)).toEqual([first, second, third]);
		expect(later.series.classes[3]).toMatchObject({ id: fourth!.id, startsAt: '18:00' });
		// the second did not take place: what it was to give comes after what was taught
		const out = cancelClass(taught, second!.id, 'storm', 'one more date');
		if (!out.ok) throw new Error(out.message);
		expect(out.value.series.classes.map(({ id }) => id)).toEqual(
			[first, third, second, fourth].map((c) => c!.id)
		);
		expect(out.value.series.classes.map(({ on }) => on)).toEqual([...daysOf(out.value)].sort());
		// letting the last go never lets go what was taught
		const end = logged(base, fourth!.id, run);
		const short = cancelClass(end, first!.id, 'storm', 'let the last go');
		expect(short.ok && short.value.series.classes.map(({ id }) => id)).toEqual(
			[first, second, fourth].map((c) => c!.id)
		);
	});

	it('names the earliest date for a goal that is out of reach', () => {
		const planned = seriesOf({ ladders: [ladder('90-90-switch', 'stronger')], weeks: 4, easierEvery: 0 });
		// six rungs twice each: the sixth begins in the eleventh class
		expect(goalDates(planned, [])).toEqual([{ on: addDays('2026-11-03', 70), within: false }]);
	});

	it('keeps its rules for any series: in order, often enough, never two steps at once', () => {
		fc.assert(
			fc.property(
				fc.integer({ min: 2, max: 26 }),
				fc.integer({ min: 1, max: 3 }),
				fc.integer({ min: 1, max: 4 }),
				fc.integer({ min: 0, max: 5 }),
				(weeks, perWeek, repeats, easierEvery) => {
					const meetings = [1, 3, 5].slice(0, perWeek).map((weekday) => ({ weekday, startsAt: '18:30' }));
					const planned = seriesOf({ weeks, meetings, repeats, easierEvery, ladders: two });
					const scheduled = schedule(planned, ['clam']);
					for (const [l] of two.entries()) {
						const climbing = planned.series.classes.flatMap((c) => {
							const given = scheduled.get(c.id)!.find(({ ladder: own }) => own === l);
							return given ? [{ ...given, easier: easierEvery > 0 && c.week % easierEvery === 0 }] : [];
						});
						const count = new Map<number, number>();
						for (const [i, { rung, easier }] of climbing.entries()) {
							const before = climbing[i - 1];
							if (before) {
								expect(rung - before.rung === 0 || rung - before.rung === 1).toBe(true);
								if (rung > before.rung) {
									expect(easier).toBe(false);
									expect(count.get(before.rung)!).toBeGreaterThanOrEqual(repeats);
								}
							}
							count.set(rung, (count.get(rung) ?? 0) + 1);
						}
						expect(timesEach(planned.series, l)).toBeGreaterThanOrEqual(repeats);
					}
				}
			),
			{ numRuns: 60 }
		);
	});
});
