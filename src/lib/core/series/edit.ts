import { addDays } from '../calendar';
import { meetingsOf, type Group } from '../group';
import type { FindMovement } from '../movement';
import { sectionsHash, slugsOf, type ClassPlan } from '../plan';
import { styleOf } from '../style';
import { allSlots, slotAfter, slotKey, sortedSlots, weekNumber, type Slot } from './dates';
import { ladderTo } from './ladder';
import { SERIES_LIMITS, type PlannedSeries, type Series, type SeriesClass, type WeekTheme } from './types';

/** Makes the id of a new class; random, so handed in. */
export type NewId = () => string;

/** A change, or why it cannot be. */
export type Changed = { ok: true; value: PlannedSeries } | { ok: false; message: string };

const cannot = (message: string): Changed => ({ ok: false, message });

/** Settings that say on which dates classes are. */
const SCHEDULING = ['startsOn', 'weeks', 'meetings', 'skipped'] as const;

/** The parts of a series that a teacher sets. */
export type SeriesSettings = Omit<Series, 'classes' | 'missed'>;

/** A new series with its dates and without plans. */
export function begunSeries(settings: SeriesSettings, newId: NewId): PlannedSeries {
	const series: Series = { ...settings, classes: [], missed: [] };
	return rescheduled({ series, plans: {}, runs: {} }, newId);
}

/** Other settings; where they move dates, classes that are not taught yet are dealt out anew in their order. */
export function withSettings(
	planned: PlannedSeries,
	change: Partial<SeriesSettings>,
	newId: NewId
): PlannedSeries {
	const after = { ...planned, series: { ...planned.series, ...change } };
	const moves = SCHEDULING.some((field) => change[field] !== undefined);
	return moves ? rescheduled(after, newId) : timed(after);
}

/** Everything up to the last class that was taught is over, also classes between that have no record; the rest is ahead. */
function overAndAhead({
	series: { classes },
	runs
}: PlannedSeries): [over: SeriesClass[], ahead: SeriesClass[]] {
	const last = classes.findLastIndex(({ id }) => runs[id]);
	return [classes.slice(0, last + 1), classes.slice(last + 1)];
}

function rescheduled(planned: PlannedSeries, newId: NewId): PlannedSeries {
	const { series } = planned;
	const [over, ahead] = overAndAhead(planned);
	const last = over.at(-1);
	const gone = new Set(series.missed.map(({ on }) => on));
	const slots = allSlots(series).filter(
		(slot) => !gone.has(slot.on) && (!last || slotKey(slot) > slotKey(last))
	);
	const dealt = slots.map((slot, i): SeriesClass => ({
		...(ahead[i] ?? { id: newId() }),
		...slot,
		week: weekNumber(series, slot.on)
	}));
	return timed({ ...planned, series: { ...series, classes: [...over, ...dealt] } });
}

/** Plans begin when their class does, and those without a class are let go. */
function timed({ series, plans, runs }: PlannedSeries): PlannedSeries {
	const kept: Record<string, ClassPlan> = {};
	for (const { id, startsAt } of series.classes) {
		const plan = plans[id];
		if (plan) kept[id] = plan.startsAt === startsAt ? plan : { ...plan, startsAt };
	}
	return { series, plans: kept, runs };
}

/** The series with the times that its plans were given at the desk. */
export function withTimesOfPlans({ series, plans, runs }: PlannedSeries): PlannedSeries {
	const classes = series.classes.map((c) => {
		const startsAt = plans[c.id]?.startsAt ?? c.startsAt;
		return startsAt === c.startsAt ? c : { ...c, startsAt };
	});
	const sorted = [...classes].sort((a, b) => slotKey(a).localeCompare(slotKey(b)));
	const distinct = new Set(sorted.map(slotKey)).size === sorted.length;
	// two classes at one time would be no series: then the times of the series hold
	return distinct ? { series: { ...series, classes: sorted }, plans, runs } : timed({ series, plans, runs });
}

/** Classes that are not taught yet get these dates in their order. */
function onDates(planned: PlannedSeries, slots: readonly Slot[]): PlannedSeries {
	const sorted = sortedSlots(slots);
	let next = 0;
	const dated = planned.series.classes.map((c) => (planned.runs[c.id] ? c : { ...c, ...sorted[next++] }));
	// a class that was not taught on its date may follow classes that were
	const classes = dated.sort((a, b) => slotKey(a).localeCompare(slotKey(b)));
	return timed({ ...planned, series: { ...planned.series, classes } });
}

const waitingSlots = ({ series, runs }: PlannedSeries): Slot[] =>
	series.classes.filter(({ id }) => !runs[id]).map(({ on, startsAt }) => ({ on, startsAt }));

/**
 * Cancels a date: its rungs move on to the next one, and so on. At the end either one more date comes by
 * the rule of the series, or the last class is let go.
 */
export function cancelClass(
	planned: PlannedSeries,
	classId: string,
	why: string,
	atEnd: 'one more date' | 'let the last go'
): Changed {
	const { series } = planned;
	const c = series.classes.find(({ id }) => id === classId);
	if (!c) return cannot('there is no such class in this series');
	if (planned.runs[c.id]) return cannot('this class was taught; its date cannot be cancelled');
	const missed = [...series.missed, { on: c.on, why }];
	const slots = waitingSlots(planned).filter((slot) => slotKey(slot) !== slotKey(c));
	if (atEnd === 'one more date') {
		const last = series.classes.at(-1)!;
		const gone = new Set(missed.map(({ on }) => on));
		let more = slotAfter(series, last);
		while (more && gone.has(more.on)) more = slotAfter(series, more);
		if (!more) return cannot('there is no further date');
		const value = { ...planned, series: { ...series, missed } };
		return { ok: true, value: onDates(value, [...slots, more]) };
	}
	const letGo = series.classes.findLast(({ id }) => !planned.runs[id]);
	const classes = series.classes.filter((other) => other !== letGo);
	return { ok: true, value: onDates({ ...planned, series: { ...series, classes, missed } }, slots) };
}

/**
 * A class goes to another date. The classes keep their order: if it passes others, what they give moves up, so that no
 * ladder is climbed the wrong way.
 */
export function rescheduleClass(planned: PlannedSeries, classId: string, to: Slot): Changed {
	const { series } = planned;
	const c = series.classes.find(({ id }) => id === classId);
	if (!c) return cannot('there is no such class in this series');
	if (planned.runs[c.id]) return cannot('this class was taught; it cannot be moved');
	const last = series.classes.findLast(({ id }) => planned.runs[id]);
	if (last && slotKey(to) <= slotKey(last))
		return cannot(`that is before the class of ${last.on}, which was taught already`);
	if (to.on < series.startsOn) return cannot('that is before the series begins');
	if (series.classes.some((other) => other.id !== classId && slotKey(other) === slotKey(to)))
		return cannot('there is a class at that time already');
	const slots = waitingSlots(planned).map((slot) => (slotKey(slot) === slotKey(c) ? to : slot));
	return { ok: true, value: onDates(planned, slots) };
}

/**
 * One more week before a given one: new open classes for their plans come in there, and everything after them moves
 * on to the next dates of the series, over days without a class.
 */
export function weekInserted(planned: PlannedSeries, before: number, newId: NewId): Changed {
	const { series } = planned;
	if (series.weeks >= SERIES_LIMITS.weeks) return cannot(`a series has at most ${SERIES_LIMITS.weeks} weeks`);
	const from = series.classes.findIndex((c) => weekNumber(series, c.on) >= before);
	const at = from === -1 ? series.classes.length : from;
	if (series.classes.slice(at).some(({ id }) => planned.runs[id]))
		return cannot(`week ${before} was taught already; insert a week only after the last taught class`);
	const slots = waitingSlots(planned);
	const fresh: SeriesClass[] = [];
	let last: Slot | null = series.classes.at(-1) ?? { on: addDays(series.startsOn, -1), startsAt: '00:00' };
	for (let i = 0; i < series.meetings.length && last; i++) {
		last = slotAfter(series, last);
		if (!last) return cannot('there is no further date');
		slots.push(last);
		fresh.push({ id: newId(), ...last, week: before });
	}
	const later = (c: SeriesClass) => (c.week >= before ? { ...c, week: c.week + 1 } : c);
	const themes: WeekTheme[] = Array.from(
		{ length: series.weeks },
		(_, i) => series.themes[i] ?? { words: '' }
	);
	const value: PlannedSeries = {
		...planned,
		series: {
			...series,
			weeks: series.weeks + 1,
			themes: themes.toSpliced(before - 1, 0, { words: '' }),
			retest: {
				...series.retest,
				weeks: series.retest.weeks.map((week) => (week >= before ? week + 1 : week))
			},
			classes: series.classes.map(later).toSpliced(at, 0, ...fresh)
		}
	};
	return { ok: true, value: onDates(value, slots) };
}

/** Puts proposed plans in; each class remembers what was proposed. */
export function withProposed(
	planned: PlannedSeries,
	plans: Readonly<Record<string, ClassPlan>>
): PlannedSeries {
	const classes = planned.series.classes.map((c) =>
		plans[c.id] ? { ...c, proposedAs: sectionsHash(plans[c.id]!) } : c
	);
	return timed({
		...planned,
		series: { ...planned.series, classes },
		plans: { ...planned.plans, ...plans }
	});
}

/** The same series for another group: its days, times and length, its tiers and cautions in the ladders, no plans yet. */
export function copiedTo(
	{ series }: PlannedSeries,
	group: Group,
	startsOn: string,
	find: FindMovement,
	newId: NewId
): PlannedSeries {
	const { classes: _classes, missed: _missed, ...settings } = series;
	const goals = series.ladders.flatMap(({ rungs }) => {
		const { movement, form } = rungs.at(-1)!;
		const easier = find(movement)?.forms.map((f) => f.id) ?? [];
		// the goal itself, or the furthest form below it that suits these people
		for (const id of easier.slice(0, easier.indexOf(form) + 1).reverse()) {
			const ladder = ladderTo({ movement, form: id }, find, group, styleOf());
			if (ladder) return [ladder];
		}
		return [];
	});
	return begunSeries(
		{
			...settings,
			startsOn,
			skipped: [],
			ladders: goals,
			meetings: meetingsOf(group),
			lengthSeconds: group.lengthSeconds
		},
		newId
	);
}

/** The same series under new ids, so that it can stand beside itself. */
export function withNewIds({ series, plans, runs }: PlannedSeries, newId: NewId): PlannedSeries {
	const ids = new Map(series.classes.map(({ id }) => [id, newId()]));
	const renamed = <T>(byId: Readonly<Record<string, T>>, change: (value: T, id: string) => T) =>
		Object.fromEntries(
			Object.entries(byId).flatMap(([old, value]) => {
				const id = ids.get(old);
				return id === undefined ? [] : [[id, change(value, id)]];
			})
		);
	return {
		series: { ...series, classes: series.classes.map((c) => ({ ...c, id: ids.get(c.id)! })) },
		plans: renamed(plans, (plan) => plan),
		runs: renamed(runs, (run, planId) => ({ ...run, planId }))
	};
}

/** Every movement that a series names: in its plans and on its ladders. */
export function slugsOfSeries({ series, plans }: PlannedSeries): string[] {
	return [
		...new Set([
			...Object.values(plans).flatMap(slugsOf),
			...series.ladders.flatMap(({ rungs }) => rungs.map(({ movement }) => movement))
		])
	];
}

/** Returns the series moved by a number of days (negative: earlier). */
export function shiftedBy({ series, plans, runs }: PlannedSeries, days: number): PlannedSeries {
	const later = <T extends { on: string }>(dated: T): T => ({ ...dated, on: addDays(dated.on, days) });
	return {
		series: {
			...series,
			startsOn: addDays(series.startsOn, days),
			skipped: series.skipped.map((day) => addDays(day, days)),
			classes: series.classes.map(later),
			missed: series.missed.map(later)
		},
		plans,
		runs: Object.fromEntries(Object.entries(runs).map(([id, run]) => [id, later(run)]))
	};
}
