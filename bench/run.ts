// `npm run bench`: speeds as ratios measured in one run. How and why: docs/benchmarks.md.
import { NOTHING_KNOWN } from '../src/lib/core/record';
import loadHighs from 'highs';
import { CATALOGUE, findMovement } from '../src/lib/catalogue';
import { analysePlan } from '../src/lib/core/analysis';
import { findInCatalogue } from '../src/lib/core/substitution';
import { clock } from '../src/lib/core/clock';
import { chooseAmounts, adjustableDoses, type AdjustableDose } from '../src/lib/core/fit';
import { groupToday, preset } from '../src/lib/core/group';
import { scriptOf, tally, type SessionEvent } from '../src/lib/core/teach';
import { DEMO_GROUPS } from '../src/lib/demo/groups';
import { applyEdit, itemsOf, type ClassPlan } from '../src/lib/core/plan';
import { paceOf, USUAL_PACE } from '../src/lib/core/pace';
import {
	betweenSeconds,
	exactOrders,
	improvedOrder,
	stopOf,
	type ComingFrom,
	type Rules
} from '../src/lib/core/ordering';
import { freePathByHighs, pathByHighs } from '../tests/reference/order-by-highs';
import { wholeByHighs } from '../tests/reference/fit-by-highs';
import { seeded } from '../tests/reference/seeded';
import { craftFigures } from './planner/craft';
import { knowsAClass, readsLikeAClass, searchesEnough } from './planner/worth';
import { paceCurve } from './pace';
import { pageWeights } from './weights';
import { planOfBlocks } from './plans';
import { seriesProposal, seriesSpeed } from './series';
import { clockDrift, framesDrawn, tapToPaint } from './teaching';
import { keyToPaint, median } from './typing';

/** Median milliseconds of one call, over rounds of enough calls to be seen by the timer. */
function medianMs(work: () => unknown, rounds = 31, calls = 20): number {
	for (let i = 0; i < 3 * calls; i++) work();
	const times = Array.from({ length: rounds }, () => {
		const from = performance.now();
		for (let i = 0; i < calls; i++) work();
		return (performance.now() - from) / calls;
	});
	return times.sort((a, b) => a - b)[rounds >> 1] as number;
}

const { targets } = preset('runners');
/** A group with cautions and kit, so that every check has something to look at. */
const group = DEMO_GROUPS.tide;
const recompute = (plan: ClassPlan) =>
	analysePlan(plan, {
		pace: USUAL_PACE,
		catalogue: CATALOGUE,
		find: findMovement,
		targets,
		group,
		known: { slugs: ['cat-cow'], from: 'taught' }
	});

let edits = 0;
/** A plan with one dose changed, another one each time: what is worked out again at each key press. */
function edited(plan: ClassPlan): ClassPlan {
	const items = itemsOf(plan);
	const { id, dose } = items[edits++ % items.length]!;
	return applyEdit(plan, { do: 'setDose', itemId: id, change: { amount: dose.amount + 1 } });
}

function line(what: string, ratio: number, aim: string): void {
	console.log(`${what.padEnd(72)} ${ratio.toFixed(2).padStart(8)}   aim: ${aim}`);
}

function recomputing(): void {
	const sixty = planOfBlocks(60, seeded(1));
	const sixHundred = planOfBlocks(600, seeded(1));
	// The three are measured alternately, so that a busy moment of the machine hits all of them.
	const rounds = Array.from({ length: 5 }, () => ({
		roundTrip: medianMs(() => JSON.parse(JSON.stringify(sixty))),
		small: medianMs(() => recompute(edited(sixty))),
		large: medianMs(() => recompute(edited(sixHundred)), 11, 3)
	}));
	line(
		'recompute of 60 blocks after an edit / JSON round trip of the plan',
		median(rounds.map((r) => r.small / r.roundTrip)),
		'15, with all checks'
	);
	line('recompute of 600 blocks / of 60 blocks', median(rounds.map((r) => r.large / r.small)), '12');
}

async function fitting(): Promise<void> {
	const highs = await loadHighs();
	let ours = 0;
	let theirs = 0;
	let worse = 0;
	const cases = 10;
	for (let seed = 1; seed <= cases; seed++) {
		const { adjustable, total } = problem(planOfBlocks(60, seeded(seed)), seeded(100 + seed)());
		let from = performance.now();
		const choice = chooseAmounts(adjustable, total);
		ours += performance.now() - from;
		from = performance.now();
		const best = wholeByHighs(highs, adjustable, total);
		theirs += performance.now() - from;
		if (!choice.ok !== (best === null))
			throw new Error(`seed ${seed}: one found an exact sum, the other did not`);
		if (choice.ok && best !== null && choice.cost > best + 1e-3 + 1e-4 * best) worse += 1;
	}
	line(`fit of 60 blocks: HiGHS time / ours (${cases} seeded plans)`, theirs / ours, 'at least 10');
	line('  of these, results worse than HiGHS', worse, '0');
}

/** The same problem for both: every knob in steps of one, a sum inside its reach. */
function problem(plan: ClassPlan, share: number): { adjustable: AdjustableDose[]; total: number } {
	const adjustable = adjustableDoses(plan, findMovement, clock(plan, findMovement, USUAL_PACE)).map((k) => ({
		...k,
		step: 1
	}));
	const reach = (end: 0 | 1) =>
		adjustable.reduce((sum, k) => sum + (k.seconds[k.allowed[end] - k.min] as number), 0);
	return { adjustable, total: Math.round(reach(0) + (0.2 + 0.6 * share) * (reach(1) - reach(0))) };
}

/** The catalogue search against one frame of a 60 Hz screen, as a ratio: a keystroke may cost at most one. */
function finding(): void {
	const context = { group, usedLately: NOTHING_KNOWN };
	const frameMs = 1000 / 60;
	const once = medianMs(
		() => findInCatalogue(CATALOGUE, { search: 'l', cautionSafe: true, kitAtHand: true }, context),
		21,
		5
	);
	line('search and counts of the whole catalogue / one frame at 60 Hz', once / frameMs, '1');
}

/** A led class with many events: reading twice as many may take twice as long. */
function replaying(): void {
	const plan = planOfBlocks(60, seeded(1));
	const script = scriptOf(plan, groupToday(group, plan.here), findMovement, USUAL_PACE);
	const events = (count: number) =>
		Array.from({ length: count }, (_, i) => ({
			id: `event-${i}`,
			at: 1000 * i,
			monoMs: 1000 * i,
			boot: 'bench',
			...(i === 0 ? { do: 'start', plannedStartAt: 0 } : { do: i % 2 ? 'end' : 'back' })
		})) as SessionEvent[];
	const [half, whole] = [events(5000), events(10_000)];
	const rounds = Array.from({ length: 5 }, () => ({
		half: medianMs(() => tally(script, half), 5, 1),
		whole: medianMs(() => tally(script, whole), 5, 1)
	}));
	line('10,000 events of a led class read / 5,000', median(rounds.map((r) => r.whole / r.half)), 'about 2');
}

const freeRules = (count: number): Rules => ({
	before: Array.from({ length: count }, () => []),
	place: Array.from({ length: count }, () => -1),
	warms: Array.from({ length: count }, () => 0),
	wantsWarm: Array.from({ length: count }, () => 0)
});

/** Exact order of one section of nine blocks, ours against the same problem as a mixed-integer program. */
async function ordering(): Promise<void> {
	const highs = await loadHighs();
	let ours = 0;
	let theirs = 0;
	let worse = 0;
	const cases = 5;
	for (let seed = 1; seed <= cases; seed++) {
		const plan = planOfBlocks(9, seeded(seed));
		const blocks = plan.sections.flatMap((s) => s.blocks);
		const stops = blocks.map((block) => stopOf(block, findMovement));
		const pace = paceOf(USUAL_PACE, plan.pinnedPace);
		const cost = (from: ComingFrom, to: number) => betweenSeconds(from, stops[to]!, pace);
		const free = freeRules(stops.length);
		let from = performance.now();
		const best = Math.min(
			...exactOrders('x', stops, free, 0, [{ here: null, cost: 0, order: {} }], cost).map((e) => e.cost)
		);
		ours += performance.now() - from;
		from = performance.now();
		const proven = pathByHighs(
			highs,
			stops.map((_, b) => cost(null, b)),
			stops.map((a) => stops.map((_, b) => cost(a.leave, b))),
			free.before
		);
		theirs += performance.now() - from;
		if (proven !== null && best > proven + 1e-6) worse += 1;
	}
	line(`order of 9 blocks: HiGHS time / ours (${cases} seeded sections)`, theirs / ours, 'at least 10');
	line('  of these, results worse than HiGHS', worse, '0');
}

/** One section of forty blocks, ours against the proven least cost of any order at all. */
async function orderingForty(): Promise<void> {
	const highs = await loadHighs();
	let ours = 0;
	let theirs = 0;
	let worst = 1;
	const seeds = [1, 2, 4];
	for (const seed of seeds) {
		const plan = planOfBlocks(40, seeded(seed));
		const stops = plan.sections.flatMap((s) => s.blocks).map((block) => stopOf(block, findMovement));
		const pace = paceOf(USUAL_PACE, plan.pinnedPace);
		const cost = (from: ComingFrom, to: number) => betweenSeconds(from, stops[to]!, pace);
		let from = performance.now();
		const [found] = improvedOrder(
			'x',
			stops,
			freeRules(stops.length),
			0,
			[{ here: null, cost: 0, order: {} }],
			cost
		);
		ours += performance.now() - from;
		from = performance.now();
		const proven = freePathByHighs(
			highs,
			stops.map((_, b) => cost(null, b)),
			stops.map((a) => stops.map((_, b) => cost(a.leave, b)))
		);
		theirs += performance.now() - from;
		if (proven !== null) worst = Math.max(worst, found!.cost / proven);
	}
	line(
		`order of 40 blocks in one section: HiGHS time / ours (${seeds.length} seeded)`,
		theirs / ours,
		'at least 1'
	);
	line('  the worst of them / the proven least', worst, 'at most 1.02');
}

/** The browser: from a key to the picture that it changes, in a field of the desk and in an empty field beside it. */
async function typing(): Promise<void> {
	const { desk, empty } = await keyToPaint(planOfBlocks(60, seeded(1)));
	line('key press to painted change, 60 blocks / in an empty field', desk / empty, 'at most 4');
	line(
		'key press to painted change, 60 blocks / one frame at 60 Hz',
		desk / (1000 / 60),
		'at most 6 (0.1 s)'
	);
}

/** Pages of one process of the server under load, beside an empty page of it; with `pages`, only these. */
async function pages(): Promise<void> {
	const aims: Record<string, string> = { class: 'at most 6', catalogue: 'at most 4' };
	for (const { page, perSecond, emptyOverIt } of await (await import('./pages')).pageLoad())
		line(
			`an empty page a second / ${page}, which has ${perSecond.toFixed(0)} a second`,
			emptyOverIt,
			aims[page] ?? '-'
		);
}

/** Measures the compressed weight of each page, and the time to its first byte. */
async function weights(): Promise<void> {
	for (const { page, htmlKb, cssKb, scriptKb, firstByteOverStyle } of await pageWeights()) {
		line(`${page}: page, kB compressed`, htmlKb, '-');
		line(`${page}: styles, kB compressed`, cssKb, 'at most 25');
		line(`${page}: scripts loaded at once, kB compressed`, scriptKb, 'at most 150');
		line(`${page}: time to the first byte / that of the style page`, firstByteOverStyle, 'at most 2');
	}
}

/** The screen in the room: how soon it answers on a slow device, and how much it draws. */
async function teaching(): Promise<void> {
	const { next, empty } = await tapToPaint();
	line('tap on "next" to painted change, slowed six times / on an empty button', next / empty, 'at most 2');
	const { breath, seconds, paused } = await framesDrawn();
	line('frames a second while a breath is counted', breath, '-');
	line('frames a second while seconds are counted', seconds, 'about 1');
	line('frames a second while the class is paused', paused, '0');
}

/** How true the clock of the teaching screen is; an hour where nothing else is said. */
async function drift(minutes: number): Promise<void> {
	const { firstMs, lastMs, afterBackgroundMs } = await clockDrift(minutes);
	line(`clock after ${minutes} minutes / the limit of 200 ms`, Math.abs(lastMs - firstMs) / 200, 'at most 1');
	console.log(
		`  a second is shown ${firstMs} ms after it begins at first, ${lastMs} ms at last; the first one after the background ${afterBackgroundMs} ms`
	);
}

async function audits(): Promise<void> {
	for (const { page, profile, ...points } of await (await import('./audit')).auditPages()) {
		const { performance: speed, accessibility, bestPractices, layoutShift, blockedMs, failed } = points;
		console.log(
			`${page.padEnd(10)} ${profile.padEnd(8)} performance ${speed}, accessibility ${accessibility}, best practices ${bestPractices}; layout shift ${layoutShift.toFixed(3)}, blocked ${blockedMs} ms${failed.length ? `; fails ${failed.join(', ')}` : ''}`
		);
	}
}

const [asked, minutes] = process.argv.slice(2);
/** Measurements that can run alone. Without a name all of those below run, weights and pages included. */
const ALONE: Record<string, () => Promise<void> | void> = {
	teaching,
	pace: paceCurve,
	drift: () => drift(Number(minutes ?? 60)),
	audits,
	replay: replaying,
	weights,
	pages
};
if (asked !== undefined && asked !== 'quick') {
	const measure = Object.hasOwn(ALONE, asked) ? ALONE[asked] : undefined;
	if (!measure) {
		console.error(`There is no ${asked} to measure. Say one of: quick, ${Object.keys(ALONE).join(', ')}.`);
		process.exit(2);
	}
	await measure();
	process.exit(0);
}
recomputing();
replaying();
finding();
await fitting();
await ordering();
seriesSpeed(line);
await typing();
await weights();
await pages();
// measures only pages and keys with `quick`: the searches take half an hour
if (asked === 'quick') process.exit(0);
knowsAClass(line);
readsLikeAClass(line);
const craft = craftFigures([9301, 9302, 9303]);
for (const [number, share] of craft.noShares)
	line(
		`proposals with a no of the strict reader, question ${number}`,
		share,
		'at most 0.20 for 9, 10, 14 and 19'
	);
line(
	'likely grade of proposals, mean',
	craft.meanGrade,
	'readers: 7.5; the line through 30 graded texts ends at 7.4'
);
line('likely grade of proposals, lowest', craft.lowestGrade, 'readers: 6');
searchesEnough(line);
await orderingForty();
seriesProposal(line);
