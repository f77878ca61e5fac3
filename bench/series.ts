import { USUAL_PACE } from '../src/lib/core/pace';
import { CATALOGUE, findMovement } from '../src/lib/catalogue';
import type { Group } from '../src/lib/core/group';
import { applyEdit, itemsOf, type ClassPlan } from '../src/lib/core/plan';
import {
	begunSeries,
	ladderTo,
	newSeries,
	proposeSeries,
	analyseSeries,
	seriesFindings,
	withProposed,
	type PlannedSeries
} from '../src/lib/core/series';
import { styleOf } from '../src/lib/core/style';
import { weekCards } from '../src/lib/core/view-models';
import { DEMO_GROUPS } from '../src/lib/demo/groups';
import { DEMO_PLANS } from '../src/lib/demo/plans';

const group: Group = DEMO_GROUPS.chalk;
const context = { group, find: findMovement, catalogue: CATALOGUE, knownBefore: [], pace: USUAL_PACE };

/** A series of the given weeks with three classes a week and two ladders, each class with a plan of its own. */
function seriesOf(weeks: number): PlannedSeries {
	let count = 0;
	const ladders = ['90-90-switch', 'low-lunge-knee-lift'].map((movement) =>
		ladderTo({ movement, form: 'full' }, findMovement, group, styleOf())!
	);
	const meetings = [1, 3, 5].map((weekday) => ({ weekday, startsAt: '18:30' }));
	const planned = begunSeries(
		{ ...newSeries(group, '2026-11-02', 'Europe/London', weeks), ladders, meetings },
		() => `class-${String(++count).padStart(4, '0')}`
	);
	const plans = planned.series.classes.map(({ id }, i) => {
		const { plan } = DEMO_PLANS[i % DEMO_PLANS.length]!;
		return [id, structuredClone(plan)] as const;
	});
	return { ...planned, plans: Object.fromEntries(plans) };
}

/** Everything that the page shows of a series. */
function recompute(planned: PlannedSeries): void {
	const analysis = analyseSeries(planned, context);
	seriesFindings(analysis);
	weekCards(analysis);
}

/** The series with one class changed, as an edit at the desk changes it. */
function edited(planned: PlannedSeries, round: number): PlannedSeries {
	const { id } = planned.series.classes[round % planned.series.classes.length]!;
	const plan: ClassPlan = planned.plans[id]!;
	const item = itemsOf(plan).find(({ dose }) => dose.amount > 3)!;
	const change = { amount: item.dose.amount + (round % 2 ? 1 : -1) };
	return {
		...planned,
		plans: { ...planned.plans, [id]: applyEdit(plan, { do: 'setDose', itemId: item.id, change }) }
	};
}

function medianMs(work: (round: number) => void, rounds: number): number {
	const times = Array.from({ length: rounds }, (_, round) => {
		const from = performance.now();
		work(round);
		return performance.now() - from;
	});
	return times.sort((a, b) => a - b)[rounds >> 1]!;
}

/** 26 weeks of three classes after one edit, against JSON round trips of the series; and growth with weeks. */
export function seriesSpeed(line: (what: string, ratio: number, aim: string) => void): void {
	const long = seriesOf(26);
	const short = seriesOf(13);
	for (const planned of [long, short]) recompute(planned);
	const roundTrip = medianMs(() => void JSON.parse(JSON.stringify(long)), 31);
	const after = medianMs((round) => recompute(edited(long, round)), 31);
	const half = medianMs((round) => recompute(edited(short, round)), 31);
	line('series, 26 weeks x 3, shown after one edit / JSON round trip of it', after / roundTrip, '100');
	line('the same / a series of 13 weeks', after / half, '2, linear in weeks');
}

/** Eight weeks of two classes proposed, against one class proposed alone. */
export function seriesProposal(line: (what: string, ratio: number, aim: string) => void): void {
	let count = 0;
	const newId = () => `class-${String(++count).padStart(4, '0')}`;
	const settings = newSeries(group, '2026-11-02', 'Europe/London', 8);
	const meetings = [2, 5].map((weekday) => ({ weekday, startsAt: '18:30' }));
	let planned = begunSeries({ ...settings, meetings }, newId);
	const times: number[] = [];
	let from = performance.now();
	for (const { classId, plan } of proposeSeries({
		planned,
		context,
		choices: {},
		seed: 1
	})) {
		planned = withProposed(planned, { [classId]: plan });
		times.push(performance.now() - from);
		from = performance.now();
	}
	const sum = times.reduce((a, b) => a + b, 0);
	line('16 classes of a series proposed / the first of them', sum / times[0]!, 'about 16');
}
