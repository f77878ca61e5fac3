import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { findMovement } from '../../src/lib/catalogue';
import { addDays, weekOfDay } from '../../src/lib/core/calendar';
import { itemsOf, sectionsHash } from '../../src/lib/core/plan';
import {
	analyseSeries,
	copiedTo,
	dueIn,
	cancelClass,
	rescheduleClass,
	type PlannedSeries,
	seriesFaults,
	slotKey,
	weekInserted,
	withNewIds,
	withProposed,
	withSettings
} from '../../src/lib/core/series';
import { DEMO_GROUPS } from '../../src/lib/demo/groups';
import { classWith, daysOf, filled, ids, ladder, logged, run, seriesOf, contextFor } from './series-built';

/** A change that must be possible. */
function done(changed: ReturnType<typeof cancelClass>): PlannedSeries {
	if (!changed.ok) throw new Error(changed.message);
	return changed.value;
}

describe('changing a series', () => {
	const planned = filled(seriesOf({ weeks: 6, retest: { test: 'leg-roll', weeks: [1, 3, 6] } }), (i) =>
		classWith([`clam`, i % 2 ? 'cat-cow' : 'low-lunge'])
	);
	const third = planned.series.classes[2]!;

	it('shifts what follows when a date falls out, and adds one at the end or lets the last class go', () => {
		const more = done(cancelClass(planned, third.id, 'storm', 'one more date'));
		expect(daysOf(more)).toEqual([
			'2026-11-03',
			'2026-11-10',
			'2026-11-24',
			'2026-12-01',
			'2026-12-08',
			'2026-12-15'
		]);
		expect(more.series.classes.map(({ id }) => id)).toEqual(planned.series.classes.map(({ id }) => id));
		expect(more.series.classes[2]!.week).toBe(3);
		expect(more.plans).toEqual(planned.plans);
		expect(more.series.missed).toEqual([{ on: '2026-11-17', why: 'storm' }]);
		const less = done(cancelClass(planned, third.id, 'storm', 'let the last go'));
		expect(less.series.classes).toHaveLength(5);
		expect(daysOf(less).at(-1)).toBe('2026-12-08');
		expect(Object.keys(less.plans)).toHaveLength(5);
	});

	it('does not let a date fall out, or move, that was taught', () => {
		const taught = logged(planned, planned.series.classes[0]!.id, run);
		const first = taught.series.classes[0]!;
		expect(cancelClass(taught, first.id, '', 'one more date').ok).toBe(false);
		expect(rescheduleClass(taught, first.id, { on: '2026-11-05', startsAt: '17:30' }).ok).toBe(false);
		expect(rescheduleClass(taught, third.id, { on: '2026-11-02', startsAt: '17:30' })).toMatchObject({
			ok: false,
			message: expect.stringContaining('2026-11-03')
		});
	});

	it('moves one class without touching the others, and keeps the order where it passes some', () => {
		const near = done(rescheduleClass(planned, third.id, { on: '2026-11-19', startsAt: '18:00' }));
		expect(daysOf(near)[2]).toBe('2026-11-19');
		expect(near.plans[third.id]!.startsAt).toBe('18:00');
		const far = done(rescheduleClass(planned, third.id, { on: '2026-12-05', startsAt: '17:30' }));
		// its rungs move to the next date: the ladder is climbed in order
		expect(far.series.classes.map(({ id }) => id)).toEqual(planned.series.classes.map(({ id }) => id));
		expect(daysOf(far).slice(2, 5)).toEqual(['2026-11-24', '2026-12-01', '2026-12-05']);
		expect(rescheduleClass(planned, third.id, { on: '2026-11-24', startsAt: '17:30' }).ok).toBe(false);
	});

	it('puts a week in: later classes come a week later, with their themes and tests', () => {
		const inserted = done(weekInserted(planned, 3, () => 'fresh-001'));
		expect(inserted.series.weeks).toBe(7);
		expect(daysOf(inserted)).toHaveLength(7);
		expect(inserted.series.classes[2]).toEqual({
			id: 'fresh-001',
			on: '2026-11-17',
			startsAt: '17:30',
			week: 3
		});
		expect(inserted.series.classes[3]).toMatchObject({ id: third.id, on: '2026-11-24', week: 4 });
		expect(inserted.series.themes[3]).toEqual(planned.series.themes[2]);
		expect(inserted.series.retest.weeks).toEqual([1, 4, 7]);
		// days without a class are passed over
		const holidays = withSettings(planned, { skipped: ['2026-12-15'] }, ids());
		expect(daysOf(done(weekInserted(holidays, 3, () => 'fresh-001'))).at(-1)).toBe('2026-12-22');
		const taught = logged(planned, planned.series.classes[0]!.id, run);
		expect(weekInserted(taught, 1, () => 'x').ok).toBe(false);
	});

	it('deals the classes that are not taught anew when its days change, in their order', () => {
		const taught = logged(planned, planned.series.classes[0]!.id, run);
		const after = withSettings(taught, { meetings: [{ weekday: 4, startsAt: '07:00' }] }, ids());
		expect(after.series.classes[0]).toEqual(taught.series.classes[0]);
		expect(daysOf(after).slice(1, 4)).toEqual(['2026-11-05', '2026-11-12', '2026-11-19']);
		expect(after.plans[after.series.classes[1]!.id]!.startsAt).toBe('07:00');
		expect(withSettings(taught, { title: 'Another' }, ids()).series.classes).toEqual(taught.series.classes);
	});

	it('is sound after any changes in any order', () => {
		const change = fc.oneof(
			fc.record({ do: fc.constant('out' as const), at: fc.nat(9), more: fc.boolean() }),
			fc.record({ do: fc.constant('move' as const), at: fc.nat(9), days: fc.integer({ min: -20, max: 20 }) }),
			fc.record({ do: fc.constant('week' as const), at: fc.integer({ min: 1, max: 9 }) }),
			fc.record({ do: fc.constant('log' as const) }),
			fc.record({ do: fc.constant('weeks' as const), at: fc.integer({ min: 1, max: 12 }) })
		);
		fc.assert(
			fc.property(fc.array(change, { maxLength: 8 }), (changes) => {
				const next = ids();
				let now = planned;
				const newId = () => `new-${next()}`;
				for (const step of changes) {
					const { classes } = now.series;
					const c = 'at' in step ? classes[step.at % Math.max(1, classes.length)] : undefined;
					if (step.do === 'out' && c) {
						const out = cancelClass(now, c.id, '', step.more ? 'one more date' : 'let the last go');
						if (out.ok) now = out.value;
					} else if (step.do === 'move' && c) {
						const moved = rescheduleClass(now, c.id, { on: addDays(c.on, step.days), startsAt: c.startsAt });
						if (moved.ok) now = moved.value;
					} else if (step.do === 'week') {
						const inserted = weekInserted(now, step.at, newId);
						if (inserted.ok) now = inserted.value;
					} else if (step.do === 'log') {
						const open = classes.find((other) => !now.runs[other.id]);
						if (open) now = logged(now, open.id, run);
					} else if (step.do === 'weeks') now = withSettings(now, { weeks: step.at }, newId);
					expect(seriesFaults(now, () => findMovement)).toEqual([]);
					const keys = now.series.classes.map(slotKey);
					expect([...keys].sort()).toEqual(keys);
				}
			}),
			{ numRuns: 60 }
		);
	});

	it('goes to another group with its days, its length and the goals that suit it', () => {
		const climbers = seriesOf({ ladders: [ladder('90-90-switch', 'stronger'), ladder('clam', 'full')] });
		const knees = { ...DEMO_GROUPS.tide, cautions: [{ caution: 'sore knee' as const, people: 9 }] };
		const copy = copiedTo(climbers, knees, '2027-01-04', findMovement, ids());
		expect(copy.series.meetings).toEqual([{ weekday: 6, startsAt: '09:30' }]);
		expect(copy.series.lengthSeconds).toBe(3600);
		// sore knees in most of the room: no 90-90 in any form
		expect(copy.series.ladders.map(({ rungs }) => rungs.at(-1)!.movement)).toEqual(['clam']);
		expect(copy.plans).toEqual({});
		expect(copy.series.classes[0]!.on).toBe('2027-01-09');
	});

	it('stands beside itself under new ids', () => {
		const next = ids();
		const twin = withNewIds(planned, () => `twin-${next()}`);
		expect(twin.series.classes.map(({ id }) => id)).not.toContain(third.id);
		expect(Object.values(twin.plans)).toEqual(Object.values(planned.plans));
	});
});

describe('a class of the series', () => {
	it('is known as proposed until something in it changes; title and time do not count', () => {
		const base = seriesOf({ weeks: 2, retest: { test: 'leg-roll', weeks: [] } });
		const id = base.series.classes[0]!.id;
		const plan = classWith(['clam', 'low-lunge']);
		const proposed = withProposed(base, { [id]: plan });
		const stateOf = (p: PlannedSeries) => analyseSeries(p, contextFor()).classes[0]!.state;
		expect(stateOf(base)).toBe('unplanned');
		expect(stateOf(proposed)).toBe('proposed');
		const titled = {
			...proposed,
			plans: { [id]: { ...proposed.plans[id]!, title: 'Mine', startsAt: '18:00' } }
		};
		expect(stateOf(titled)).toBe('proposed');
		const [item] = itemsOf(plan);
		const other = classWith(['clam', 'low-lunge']);
		other.sections[2]!.blocks[0] = { ...item!, dose: { amount: item!.dose.amount + 1 } };
		expect(stateOf({ ...proposed, plans: { [id]: other } })).toBe('edited');
		expect(stateOf(logged(proposed, id, run))).toBe('taught');
		const longer = { ...proposed, series: { ...proposed.series, lengthSeconds: 3600 } };
		expect(stateOf(longer)).toBe('outdated');
		const climbing = { ...proposed, series: { ...proposed.series, ladders: [ladder('frog', 'supported')] } };
		expect(stateOf(climbing)).toBe('outdated');
	});

	it('has a mark that does not depend on the order of keys', () => {
		const plan = classWith(['clam']);
		const turned = JSON.parse(JSON.stringify(plan), (_, value: unknown) =>
			typeof value === 'object' && value !== null && !Array.isArray(value)
				? Object.fromEntries(Object.entries(value).reverse())
				: value
		);
		expect(JSON.stringify(turned)).not.toBe(JSON.stringify(plan));
		expect(sectionsHash(turned)).toBe(sectionsHash(plan));
	});
});

describe('the load of a week', () => {
	it('is compared with the last ordinary week that had all of its classes, never with an easier one', () => {
		const base = filled(seriesOf({ weeks: 5, easierEvery: 2 }), () => classWith(['clam']));
		const efforts = [4, 2, 4.4, 2, 4.84];
		const planned = base.series.classes.reduce(
			(p, { id }, i) => logged(p, id, { ...run, effort: efforts[i]!, minutes: 50 }),
			base
		);
		const { weeks } = analyseSeries(planned, contextFor());
		expect(weeks.map(({ easier }) => easier)).toEqual([false, true, false, true, false]);
		expect(weeks.map(({ changePercent }) => changePercent && Math.round(changePercent))).toEqual([
			null,
			-50,
			10,
			-55,
			10
		]);
	});
});

describe('a week in which one class was changed by hand and another was not', () => {
	it('is no week that later ones are compared with', () => {
		const meetings = [2, 5].map((weekday) => ({ weekday, startsAt: '18:30' }));
		const empty = seriesOf({ weeks: 3, meetings });
		const plans = empty.series.classes.map(({ id }) => [id, classWith(['clam'])] as const);
		const whole = withProposed(empty, Object.fromEntries(plans));
		const edited = whole.series.classes.find(({ week }) => week === 2)!.id;
		const longer = classWith(['clam', 'cat-cow', 'frog', 'happy-baby', 'low-lunge']);
		const mixed = { ...whole, plans: { ...whole.plans, [edited]: longer } };
		const compared = (planned: typeof whole) => analyseSeries(planned, contextFor()).weeks[2]!.changePercent;
		const { weeks } = analyseSeries(mixed, contextFor());
		expect(weeks.map((week) => week.mixed)).toEqual([false, true, false]);
		// the third is compared with the first, which it equals, and not with the second
		expect(weeks[1]!.load).not.toBe(weeks[0]!.load);
		expect(compared(mixed)).toBe(compared(whole));
	});
});

describe('what a series waits for', () => {
	const planned = filled(seriesOf({ weeks: 4, retest: { test: 'leg-roll', weeks: [3] } }), () =>
		classWith(['clam'])
	);
	const week = weekOfDay('2026-11-17').days;
	const due = (p: PlannedSeries, days: string[], today: string) =>
		dueIn(p.series, new Set(Object.keys(p.plans)), new Set(Object.keys(p.runs)), days, today).map(
			({ kind, number }) => `${number} ${kind}`
		);

	it('are classes that are over and not written down, tests of the week, and classes without a plan', () => {
		expect(due(planned, week, '2026-11-16')).toEqual(['1 write down', '2 write down', '3 test']);
		const logged1 = logged(planned, planned.series.classes[0]!.id, run);
		expect(due(logged1, week, '2026-11-16')).toEqual(['2 write down', '3 test']);
		const { [planned.series.classes[2]!.id]: _gone, ...plans } = planned.plans;
		expect(due({ ...planned, plans }, week, '2026-11-17')).toEqual([
			'1 write down',
			'2 write down',
			'3 plan'
		]);
	});

	it('are nothing of weeks to come, and nothing new of a week that lies back', () => {
		expect(due(planned, weekOfDay('2026-12-08').days, '2026-11-01')).toEqual([]);
		expect(due(planned, weekOfDay('2026-11-03').days, '2026-11-25')).toEqual(['1 write down']);
	});
});

describe('a series from outside', () => {
	const sound = filled(seriesOf({ weeks: 3 }), () => classWith(['clam']));
	const faultsOf = (change: (series: PlannedSeries) => void) => {
		const copy = structuredClone(sound);
		change(copy);
		return seriesFaults(copy, () => findMovement).map(({ path, message }) => `${path}: ${message}`);
	};

	it.each<[string, (p: PlannedSeries) => void, RegExp]>([
		[
			'a day that is none',
			(p) => (p.series.startsOn = '2026-02-30'),
			/series\.startsOn.*day of the calendar/
		],
		['a zone that is none', (p) => (p.series.timeZone = 'Wick/Hollow'), /series\.timeZone.*time zone/],
		['too many weeks', (p) => (p.series.weeks = 27), /series\.weeks/],
		['no day of the week', (p) => (p.series.meetings = []), /series\.meetings.*at least one day/],
		[
			'an unknown movement',
			(p) =>
				(p.series.ladders = [{ rungs: [{ ...ladder('clam', 'full').rungs[0]!, movement: 'moon-walk' }] }]),
			/rungs\[0\]\.movement.*moon-walk/
		],
		[
			'a dose without limits',
			(p) => (p.series.ladders = [{ rungs: [{ ...ladder('clam', 'full').rungs[0]!, dose: 900 }] }]),
			/rungs\[0\]\.dose.*over an hour/
		],
		['classes out of order', (p) => p.series.classes.reverse(), /in the order of their dates/],
		['one id twice', (p) => (p.series.classes[1]!.id = p.series.classes[0]!.id), /used twice/],
		['a plan of no class', (p) => (p.plans['class-999'] = classWith(['clam'])), /plans\.class-999.*no class/],
		[
			'a wrong plan',
			(p) => (p.plans[p.series.classes[0]!.id]!.lengthSeconds = 5),
			/plans\.class-001\.lengthSeconds/
		],
		['a field too many', (p) => Object.assign(p.series, { price: 9 }), /price/]
	])('names %s and where it is', (_, change, expected) => {
		expect(faultsOf(change).join('\n')).toMatch(expected);
	});

	it('is sound as it is', () => expect(faultsOf(() => undefined)).toEqual([]));
});
