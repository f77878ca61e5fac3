import { execFileSync } from 'node:child_process';
import { fileURLToPath } from 'node:url';
import { CATALOGUE } from '../../src/lib/catalogue';
import { analysePlan } from '../../src/lib/core/checks';
import { clock } from '../../src/lib/core/clock';
import { itemsOf } from '../../src/lib/core/plan';
import {
	alternativesFor,
	conflictOf,
	type Effort,
	proposals,
	propose,
	type ProposeContext,
	type ProposeRequest,
	standardEffort
} from '../../src/lib/core/propose';
import { instances, smallInstances, type Instance } from './instances';
import { hashOf, readKnown, readProven } from './kept';
import { foundBySearch, judge, planOf } from './plans';

type Line = (what: string, ratio: number, aim: string) => void;

const SEEDS = [1, 2, 3, 4, 5, 6, 7, 8, 9, 10];
/** Steps of the searches whose growth is measured. */
const GROWTH_STEPS = 30_000;

/** What a search of each seed comes to, by the evaluator that shares nothing with it. */
function costs(instance: Instance, seeds: readonly number[], times = 1): number[] {
	const cost = judge(instance);
	const effort = standardEffort(times);
	return seeds.map((seed) =>
		Math.min(
			...[...foundBySearch(instance, seed, effort)].map(({ pieces }) => cost(planOf(instance.base, pieces)))
		)
	);
}

/** The least that anybody knows of: long searches and HiGHS. */
function bestKnown(instance: Instance): number {
	const [known, proven] = [readKnown()[instance.name], readProven()[instance.name]];
	const hash = hashOf(instance);
	if (known?.hash !== hash || proven?.hash !== hash)
		throw new Error(
			`${instance.name} has changed: npm run prove -- 150 ${instance.name}, npm run best-known`
		);
	return Math.min(known.best, proven.best);
}

const sorted = (values: number[]) => values.toSorted((a, b) => a - b);
const median = (values: number[]) => sorted(values)[values.length >> 1]!;
const percent = (part: number, whole: number) => (100 * part) / whole;

/** What a teacher's wishes do: the weight of few changes, and a tissue that is to be held long. */
export function wishesFelt(line: Line): void {
	const [instance] = instances();
	const { base, setting } = instance!;
	const lost = (flow: number) =>
		[1, 2, 3].reduce((sum, seed) => {
			const asked = {
				base,
				setting,
				seed,
				count: 1,
				effort: standardEffort(),
				wishes: { weights: { flow } }
			};
			return sum + proposals(asked)[0]!.lostSeconds;
		}, 0);
	line('time lost between blocks, few changes wanted over plenty', lost(3) / lost(0.3), 'under 0.8');
}

/** Searches of every instance against the best that is known and against what HiGHS proved. */
export function planQuality(line: Line): void {
	const all = instances();
	const offPoints: number[] = [];
	const offShare: number[] = [];
	const longOff: { points: number; share: number }[] = [];
	let under = 0;
	let better = 0;
	for (const instance of all) {
		const proven = readProven()[instance.name]!;
		const known = bestKnown(instance);
		const found = costs(instance, SEEDS);
		under += found.filter((points) => points < proven.bound - 1e-6).length;
		better += found.filter((points) => points <= proven.best + 1e-6).length;
		offPoints.push(...found.map((points) => Math.max(0, points - known)));
		offShare.push(...found.map((points) => Math.max(0, percent(points - known, known))));
		if (instance.base.lengthSeconds >= 4500)
			for (const found of costs(instance, SEEDS.slice(0, 3), 5)) {
				const points = Math.max(0, found - known);
				longOff.push({ points, share: percent(points, known) });
			}
	}
	const runs = offPoints.length;
	line(
		`proposals (${all.length} instances, 10 seeds): points over the best known, median`,
		median(offPoints),
		'1'
	);
	line('  nine of ten are within (points)', sorted(offPoints)[Math.floor(0.9 * runs)]!, '2');
	line('  the worst (points)', Math.max(...offPoints), '3');
	line('  % over the best known, median', median(offShare), '2');
	line(
		'  % of runs within 5 % of the best known',
		percent(offShare.filter((p) => p <= 5).length, runs),
		'99'
	);
	line(
		'  75 minutes with five times the steps: points over, median',
		median(longOff.map(({ points }) => points)),
		'1'
	);
	line('    in %, median', median(longOff.map(({ share }) => share)), '3');
	line('  % of runs no worse than the best class of HiGHS', percent(better, runs), '90');
	line('  classes under the bound that HiGHS proved', under, '0');

	const small = smallInstances().map((instance) => ({
		known: bestKnown(instance),
		bound: readProven()[instance.name]!.bound,
		found: Math.min(...costs(instance, SEEDS.slice(0, 4)))
	}));
	line(
		'small instances (18 movements): the best of 4 seeds is the best known, of 10',
		small.filter(({ found, known }) => found <= known + 1e-3).length,
		'9'
	);
	line(
		'  of these, under the bound that HiGHS proved',
		small.filter((s) => s.found < s.bound - 1e-6).length,
		'0'
	);
}

const asking = ({ base, setting }: Instance, more: Partial<ProposeRequest> = {}): ProposeRequest => ({
	base,
	wishes: {},
	setting,
	seed: 1,
	count: 1,
	...more
});

function timed<T>(work: () => T): { ms: number; result: T } {
	const from = performance.now();
	const result = work();
	return { ms: performance.now() - from, result };
}

/** Finished proposals: whether they can be taught, how soon the first one is there, and what smaller questions cost. */
export function planBehaviour(line: Line): void {
	const all = instances();
	let wrong = 0;
	let runs = 0;
	const first: number[] = [];
	const other: number[] = [];
	const conflict: number[] = [];
	const againstHighs: number[] = [];
	for (const instance of all) {
		for (const seed of SEEDS) {
			// the first finished class of a short search is held to the same: it is on the screen too
			const effort = { ...standardEffort(), steps: 2000, refineSteps: 1000, settleSteps: 500 };
			for (const { proposal } of propose(asking(instance, { seed, effort }))) {
				runs += 1;
				const exact =
					clock(proposal.plan, instance.setting.find).totalSeconds === instance.base.lengthSeconds;
				const stops = analysePlan(proposal.plan, instance.setting).findings.some(
					(f) => f.severity === 'stop'
				);
				if (!exact || stops) wrong += 1;
			}
		}
		const { ms, result } = timed(() => {
			const from = performance.now();
			let soon = 0;
			let plan = instance.base;
			for (const { proposal } of propose(asking(instance))) {
				soon ||= performance.now() - from;
				plan = proposal.plan;
			}
			return { soon, plan };
		});
		first.push(result.soon / ms);
		againstHighs.push(result.soon / 1000 / readProven()[instance.name]!.firstSeconds);
		const [item] = itemsOf(result.plan).slice(2);
		other.push(timed(() => alternativesFor(result.plan, item!.id, instance.setting)).ms / ms);
		const wishes = { must: ['low-lunge'], never: ['low-lunge'] };
		conflict.push(timed(() => conflictOf(asking(instance, { wishes }))).ms / ms);
	}
	line(`finished classes that are not exact or that something stops (of ${runs})`, wrong, '0');
	line('first class on the screen / whole search, median', median(first), '0.2');
	line('  first class / first class of HiGHS, median', median(againstHighs), '0.01');
	line('something else here / whole search, median', median(other), '0.05');
	line('a conflict named / whole search, median', median(conflict), '0.1');
}

/** The same search over four times the movements, and one that comes as near. */
export function planGrowth(line: Line): void {
	const [instance] = instances().filter(({ name }) => name === 'striders-45');
	const { setting } = instance!;
	const sized = (count: number): Instance => {
		const catalogue = Array.from({ length: count }, (_, i) => {
			const movement = CATALOGUE[i % CATALOGUE.length]!;
			return i < CATALOGUE.length ? movement : { ...movement, slug: `${movement.slug}-${i}` };
		});
		const bySlug = new Map(catalogue.map((movement) => [movement.slug, movement]));
		const own: ProposeContext = { ...setting, catalogue, find: (slug) => bySlug.get(slug) };
		return { ...instance!, setting: own };
	};
	/** Two beginnings and two crossings, each refined in so many steps. */
	const growing = (refineSteps: number): Effort => ({
		roughSteps: 0,
		starts: 2,
		steps: refineSteps / 4,
		crossings: 2,
		refineSteps,
		settleSteps: refineSteps / 2
	});
	const once = (count: number) =>
		timed(() => [...propose(asking(sized(count), { effort: growing(20_000) }))]).ms;
	const ratios = Array.from({ length: 3 }, () => once(400) / once(100));
	line('search over 400 movements / over 100, the same steps', median(ratios), '4 (linear)');

	/** What searches of so many steps come to in the median, and how long they take with all that they need. */
	const reached = (count: number, steps: number) => {
		const own = sized(count);
		const runs = SEEDS.map((seed) =>
			timed(() => Math.min(...[...foundBySearch(own, seed, growing(steps))].map((f) => f.cost)))
		);
		return { points: median(runs.map(({ result }) => result)), ms: median(runs.map(({ ms }) => ms)) };
	};
	const few = reached(100, GROWTH_STEPS);
	// those of a hundred are among the four hundred: sooner or later they get as far
	let many = reached(400, GROWTH_STEPS);
	for (let times = 2; many.points > few.points && times <= 16; times *= 2)
		many = reached(400, times * GROWTH_STEPS);
	const growth = many.points > few.points ? Infinity : many.ms / few.ms;
	line('  time until the class is as good (points, median)', growth, '4 (linear)');
}

/** The memory of a program of its own that proposes three classes, as the worker does. */
export function planMemory(line: Line): void {
	const path = fileURLToPath(new URL('./memory.ts', import.meta.url));
	const bytes = Number(execFileSync(process.execPath, ['--import', 'tsx', path], { encoding: 'utf8' }));
	line('memory of proposing three classes (MB)', bytes / 1e6, 'under 200');
}
