import { needsAttention } from '../../checks';
import { analysePlan, effortOfAnalysis, type Analysis } from '../../analysis';
import { FORM_IDS } from '../../movement';
import { paceOf } from '../../pace';
import { itemsOf, setsOf, slugsOf, type ClassPlan } from '../../plan';
import { styleOf } from '../../style';
import { optionsFor } from '../pool/options';
import { seededRandom } from '../pool/random';
import { keepsAll, mended, onTime } from '../pool/keeping';
import { USUAL_WEIGHTS, type ProposeContext, type Wishes } from '../pool/types';
import { mustOf, type Task } from './task';
import { draftFeatures } from './draft';
import { keepOf } from './kept';
import { candidatesOf } from './candidates';
import { draftOfScheme } from './scheme';
import { constructInitial } from './initial';
import { anneal } from './search';
import { possibleThemes, buildPools } from './pools';
import { closingSecondsOf, storyOf, type Story } from './story';
import type { Theme } from './themes';
import { wordSeconds, toPlan } from './write';

/** A class that was put together, with what it is about. */
export interface Composed {
	plan: ClassPlan;
	analysis: Analysis;
	story: Story;
	/** Points in the search, with wishes and findings: for comparing searches of one story. */
	points: number;
}

/** Budget of the search for each class: steps for the rough draft, then restarts and steps of annealing. */
export interface SearchBudget {
	roughSteps: number;
	starts: number;
	steps: number;
	/** Classes that are begun anew while all of them have something to fix. */
	mostStarts: number;
}
export const USUAL_WORK: SearchBudget = { roughSteps: 600, starts: 1, steps: 12_000, mostStarts: 6 };
/** From this share of an earlier class on it is nearly the same class. */
const NEARLY_ALL = 0.9;

/**
 * Puts together whole classes round what stands in the plan already, each about something else: a rough one at once, then
 * better ones, `done` the last of each. The same seed gives the same classes.
 */
export function* compose(
	base: ClassPlan,
	wishes: Wishes,
	context: ProposeContext,
	seed: number,
	count: number,
	work: SearchBudget = USUAL_WORK
): Generator<{ number: number; done: boolean; composed: Composed }> {
	const style = styleOf(base.style);
	const there = slugsOf(base);
	const { candidates, kinds } = candidatesOf(
		// parts that are closed are not put into, but what lets go between is wanted everywhere
		optionsFor(base, { ...wishes, only: undefined }, context),
		wishes,
		context,
		there
	);
	const known = context.known ? new Set(context.known.slugs) : null;
	const possible = possibleThemes(candidates);
	const asked = new Set([...there, ...mustOf(wishes)]);
	/**
	 * Candidates with movements that the group knows or the teacher asked for; all candidates where new movements are
	 * welcome.
	 */
	const met =
		known && wishes.mostNew !== undefined
			? candidates.filter(({ traits: { movement } }) => known.has(movement.slug) || asked.has(movement.slug))
			: candidates;
	const withinReach = new Set(possibleThemes(met));
	const others: ReadonlySet<string>[] = [];
	const taken = new Set<Theme>();
	for (let number = 0; number < count; number++) {
		const random = seededRandom(seed + 7919 * number);
		const { group } = context;
		const request = {
			group,
			number: seed + number,
			themes: possible,
			withinReach,
			style,
			flowing: paceOf(context.pace, base.pinnedPace).classKind === 'flow',
			lengthSeconds: base.lengthSeconds,
			taken,
			more: wishes.more ?? [],
			...(wishes.purpose ? { purpose: wishes.purpose } : {}),
			about: new Set([
				...asked,
				// nearly the same class again is about the same
				...(wishes.like && wishes.like.share >= NEARLY_ALL ? wishes.like.movements : [])
			])
		};
		const story = storyOf(request, random);
		if (story.themes[0]) taken.add(story.themes[0]);
		const pools = buildPools(story.themes, candidates, {
			known: wishes.mostNew === undefined ? null : known,
			closingSeconds: closingSecondsOf(group, style, base.lengthSeconds)
		});
		const keep = keepOf(base, wishes.only, context, kinds, story);
		const strong = pools.peak.flatMap(({ parts }) => parts.flat()).filter(({ traits }) => traits.strong);
		const task: Task = {
			group,
			style,
			story,
			keep,
			targets: context.targets,
			purposes: new Set(group.purposes),
			kinds,
			mostDemand: Math.max(0, ...strong.map(({ traits }) => traits.demand)),
			classSeconds: base.lengthSeconds,
			lengthSeconds: base.lengthSeconds - keep.fixedSeconds - wordSeconds(base, keep, story.themes.length),
			wishes: { ...wishes, weights: { ...USUAL_WEIGHTS, ...wishes.weights } },
			known,
			before: highestOf(wishes.before),
			others
		};
		const lead = base.firstSide ?? (context.lastFirstSide === 'left' ? 'right' : 'left');
		/** Effort of a plan over the estimate for its draft (a ratio), learned from each class that is begun. */
		let bias = 1;
		const attempt = (steps: number): Composed => {
			const own: Task = wishes.effort
				? { ...task, wishes: { ...task.wishes, effort: scaled(wishes.effort, 1 / bias) } }
				: task;
			const { scheme, value } = anneal(constructInitial(own, pools, random), own, pools, random, steps);
			const draft = draftOfScheme(scheme, pools, keep.closed);
			const raw = toPlan(base, draft, story, { lead, keep, wishes });
			const timed = onTime(raw, context, base);
			const most = unmet(timed, wishes, context);
			const may = (after: ClassPlan) =>
				keepsAll(base, after) && inTheirParts(timed, after) && unmet(after, wishes, context) <= most;
			const plan = mended(timed, context, may, base);
			const analysis = analysePlan(plan, context);
			if (wishes.effort) bias = effortOfAnalysis(analysis) / draftFeatures(draft, kinds, own.purposes).effort;
			return {
				plan,
				analysis,
				story,
				points:
					value -
					GRAVE * (grave(analysis) + unmet(plan, wishes, context)) -
					EFFORT * offRange(effortOfAnalysis(analysis), wishes.effort)
			};
		};
		let best = attempt(work.roughSteps);
		yield { number, done: false, composed: best };
		for (let start = 0; start < work.mostStarts; start++) {
			const isOff = offRange(effortOfAnalysis(best.analysis), wishes.effort) > 0;
			if (start >= work.starts && grave(best.analysis) === 0 && !isOff) break;
			const found = attempt(work.steps);
			if (found.points <= best.points) continue;
			best = found;
			yield { number, done: false, composed: best };
		}
		others.push(new Set(best.analysis.context.items.map(({ movement }) => movement.slug)));
		yield { number, done: true, composed: best };
	}
}

/** Whether every item that is there after a repair is in the part where it was: what the peak comes to is not let go with. */
function inTheirParts(before: ClassPlan, after: ClassPlan): boolean {
	const parts = new Map(before.sections.flatMap(({ id, blocks }) => blocks.map((block) => [block.id, id])));
	return after.sections.every(({ id, blocks }) =>
		blocks.every((block) => (parts.get(block.id) ?? id) === id)
	);
}

/** Points for each finding that a class waits for: more than any other part of it. */
const GRAVE = 20;
/** Points for each whole point of effort (of ten) outside what is asked for. */
const EFFORT = 40;
const scaled = ({ least, most }: NonNullable<Wishes['effort']>, by: number) => ({
	least: by * least,
	most: by * most
});
const offRange = (effort: number, range: Wishes['effort']): number =>
	range ? Math.max(0, range.least - effort, effort - range.most) : 0;

const grave = ({ findings }: Analysis) => findings.filter(needsAttention).length;

/** How far a class went with each movement: the rank of its hardest form, and the most sets. */
function highestOf(plan: ClassPlan | undefined): Task['before'] {
	const highest = new Map<string, { form: number; sets: number }>();
	for (const { movement, form, dose } of plan ? itemsOf(plan) : []) {
		const known = highest.get(movement);
		highest.set(movement, {
			form: Math.max(known?.form ?? 0, FORM_IDS.indexOf(form)),
			sets: Math.max(known?.sets ?? 1, setsOf(dose))
		});
	}
	return highest;
}

/** How many wishes a class does not meet. */
function unmet(plan: ClassPlan, wishes: Wishes, { find, known }: ProposeContext): number {
	const items = itemsOf(plan);
	const { must = [], never = [], without = [], mostNew = Infinity } = wishes;
	const missing = mustOf(wishes).filter((slug) => !items.some(({ movement }) => movement === slug));
	const unwanted = items.filter(
		({ movement }) => never.includes(movement) || without.includes(find(movement)!.position)
	);
	const fresh = known
		? slugsOf(plan).filter((slug) => !known.slugs.includes(slug) && !must.includes(slug))
		: [];
	return missing.length + unwanted.length + Math.max(0, fresh.length - mostNew);
}
