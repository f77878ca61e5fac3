import { USUAL_PACE } from '../core/pace';
import { CATALOGUE, findMovement } from '../catalogue';
import { notesAsPlanned, type ClassNotes } from '../core/record';
import { writeSeriesFile } from '../core/formats';
import type { Group } from '../core/group';
import type { FormId } from '../core/movement';
import { fit } from '../core/fit';
import { applyEdit, firstSideOf, itemsOf, newItem, type ClassPlan } from '../core/plan';
import {
	analyseSeries,
	begunSeries,
	rungOf,
	type Rung,
	ladderTo,
	newSeries,
	proposeSeries,
	sameRung,
	settingsFor,
	withProposed,
	withClassNotes,
	withSettings,
	type Ladder,
	type PlannedSeries,
	type SeriesSettings
} from '../core/series';
import { styleOf } from '../core/style';
import { DEMO_GROUPS, type DemoGroupKey } from './groups';
import { DEMO_PLANS } from './plans';

interface Written {
	group: DemoGroupKey;
	file: string;
	/** Seed of its proposals: one with which nothing is to be mended. */
	seed: number;
	/** First letters of the ids of its classes. */
	letters: string;
	settings: Partial<SeriesSettings> & { startsOn: string };
	goals: { movement: string; form: FormId }[];
	/** Records of the classes that are over. */
	runs: (Partial<ClassNotes> & { effort: number; minutes: number })[];
	/** Classes (from 0) that the teacher put together by hand: the group's plan of that week of the demo. */
	byHand: { at: number; title: string }[];
}

/** Dates as if this week were that of DEMO_MONDAY. */
const DEMO_SERIES: Written[] = [
	{
		group: 'chalk',
		file: 'dropped-knee-in-eight-weeks',
		letters: 'chalk-class-',
		seed: 11,
		settings: {
			title: 'Dropped knee in eight weeks',
			goal: 'Turn the knees in and down from a deep squat, and change sides in 90-90 without leaning on the hands',
			startsOn: '2026-11-02',
			retest: { test: 'seat-switch', weeks: [1, 5, 8] }
		},
		goals: [
			{ movement: 'deep-squat-knee-turn', form: 'full' },
			{ movement: '90-90-switch', form: 'full' }
		],
		runs: [
			{ effort: 3, minutes: 51, leftOut: [], note: 'Fingers sore, hips curious.' },
			{ effort: 3.5, minutes: 50, leftOut: [], note: '' },
			{ effort: 3, minutes: 50, leftOut: [], note: 'The floor was cold; start with blankets.' }
		],
		byHand: [{ at: 3, title: 'High step, dropped knee' }]
	},
	{
		group: 'lamp',
		file: 'out-of-the-chair-for-eight-weeks',
		letters: 'lamp-class-',
		seed: 11,
		settings: {
			title: 'Out of the chair for eight weeks',
			goal: 'Upright in a low lunge, and a seat on the floor that turns both ways',
			startsOn: '2026-11-09',
			meetings: [
				{ weekday: 3, startsAt: '12:20' },
				{ weekday: 5, startsAt: '12:20' }
			],
			skipped: ['2026-12-25', '2027-01-01'],
			retest: { test: 'leg-roll', weeks: [1, 4, 8] }
		},
		goals: [
			{ movement: 'low-lunge-knee-lift', form: 'full' },
			{ movement: '90-90-switch', form: 'full' }
		],
		runs: [
			{ effort: 3, minutes: 30, leftOut: [], note: '' },
			{ effort: 3, minutes: 31, leftOut: [], note: 'Two came late from a meeting.' },
			{ effort: 2.5, minutes: 29, leftOut: [], note: '' }
		],
		byHand: [
			{ at: 4, title: 'Out of the chair' },
			{ at: 6, title: 'A wave at noon' }
		]
	}
];

/** The seed of each series of the demo, by its group. */
export const DEMO_SEEDS: Partial<Record<DemoGroupKey, number>> = Object.fromEntries(
	DEMO_SERIES.map(({ group, seed }) => [group, seed])
);

/** One of the demo's series with all of its classes proposed: long work, done by `npm run files` and not at each start. */
function made({ group: key, seed, letters, settings, goals, runs, byHand }: Written): PlannedSeries {
	const group: Group = DEMO_GROUPS[key];
	let count = 0;
	const newId = () => `${letters}${String(++count).padStart(2, '0')}`;
	const ladders = goals.map((goal) => withoutMore(ladderTo(goal, findMovement, group, styleOf())!));
	const begun = newSeries(group, settings.startsOn, 'Europe/London');
	const whole = { ...begun, ...settingsFor(ladders, begun, findMovement), ...settings, ladders };
	let planned = withSettings(begunSeries(whole, newId), {}, newId);
	const context = { group, find: findMovement, catalogue: CATALOGUE, knownBefore: [], pace: USUAL_PACE };
	const hand = new Map(byHand.map(({ at, title }) => [planned.series.classes[at]!.id, planOf(title)]));
	for (const c of planned.series.classes) {
		if (hand.has(c.id)) {
			const { given } = analyseSeries(planned, context).classes.find((own) => own.class.id === c.id)!;
			const plan = withRungs(
				hand.get(c.id)!,
				given.map((one) => rungOf(planned.series, one))
			);
			planned = { ...planned, plans: { ...planned.plans, [c.id]: plan } };
			continue;
		}
		for (const { classId, plan } of proposeSeries({ planned, context, choices: {}, seed, only: [c.id] }))
			planned = withProposed(planned, { [classId]: plan });
	}
	const notes = runs.map((run, i) => [
		planned.series.classes[i]!.id,
		{ ...notesAsPlanned(run.effort, run.minutes), ...run }
	]);
	return withClassNotes(planned, Object.fromEntries(notes));
}

/** The shorter way that the demo's teacher chose: each form once, without more of it before the next. */
function withoutMore({ rungs }: Ladder): Ladder {
	return { rungs: rungs.filter((rung, i) => i === 0 || !sameRung(rungs[i - 1]!, rung)) };
}

/** A class put together by hand, with the rungs of its week in it, at its length. */
function withRungs(plan: ClassPlan, rungs: readonly Rung[]): ClassPlan {
	let now = plan;
	for (const rung of rungs) {
		const item = itemsOf(now).find(({ movement }) => movement === rung.movement);
		if (item) {
			now = applyEdit(now, { do: 'setItem', itemId: item.id, change: { form: rung.form } });
			continue;
		}
		const build = now.sections.find(({ kind }) => kind === 'build')!;
		const fresh = newItem(now, findMovement(rung.movement)!, firstSideOf(now), rung.form);
		const block = { ...fresh, mode: rung.mode, dose: { ...fresh.dose, amount: rung.dose } };
		now = applyEdit(now, { do: 'insert', at: { sectionId: build.id, index: build.blocks.length }, block });
	}
	const fitted = fit(now, findMovement, USUAL_PACE);
	if (!fitted.ok) throw new Error(`the demo’s “${plan.title}” cannot be brought to its length`);
	return applyEdit(now, { do: 'setDoses', doses: fitted.doses });
}

function planOf(title: string): ClassPlan {
	const found = DEMO_PLANS.find(({ plan }) => plan.title === title);
	if (!found) throw new Error(`the demo has no class called ${title}`);
	return found.plan;
}

/** The files of the demo's series, by their path from the project's root. */
export function seriesFiles(): Record<string, string> {
	return Object.fromEntries(
		DEMO_SERIES.map((written) => [
			`examples/${written.file}.series.json`,
			writeSeriesFile({ planned: made(written), group: DEMO_GROUPS[written.group], movements: [] })
		])
	);
}
