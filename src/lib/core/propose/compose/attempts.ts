import { needsAttention } from '../../checks';
import { analysePlan, effortOfAnalysis, type Analysis } from '../../analysis';
import { itemsOf, slugsOf, type ClassPlan } from '../../plan';
import { keepsAll, mended, onTime } from '../pool/keeping';
import type { Random } from '../pool/random';
import { mustOf, type ProposeContext, type Wishes } from '../pool/types';
import { draftFeatures } from './draft';
import { constructInitial } from './initial';
import type { CandidatePools } from './pools';
import { draftOfScheme } from './scheme';
import { anneal } from './search';
import type { Story } from './story';
import type { Task } from './task';
import { toPlan, type WordSeconds } from './write';

/** A class that was put together, with what it is about. */
export interface Composed {
	plan: ClassPlan;
	analysis: Analysis;
	story: Story;
	/** Points in the search, with wishes and findings: for comparing searches of one story. */
	points: number;
}

/** Attempts at one class, each from the beginning. */
export class Attempts {
	/** Effort of a plan over the estimate for its draft (a ratio), learned from each class that is begun. */
	private bias = 1;

	constructor(
		private readonly base: ClassPlan,
		private readonly wishes: Wishes,
		private readonly context: ProposeContext,
		private readonly task: Task,
		private readonly pools: CandidatePools,
		private readonly words: WordSeconds,
		private readonly random: Random
	) {}

	attempt(steps: number): Composed {
		const { base, wishes, context, task, pools, random } = this;
		const own: Task = wishes.effort
			? { ...task, wishes: { ...task.wishes, effort: scaled(wishes.effort, 1 / this.bias) } }
			: task;
		const { scheme, value } = anneal(constructInitial(own, pools, random), own, pools, random, steps);
		const draft = draftOfScheme(scheme, pools, own);
		const raw = toPlan(draft, {
			base,
			story: task.story,
			lead: base.firstSide ?? this.otherSide(),
			keep: task.keep,
			wishes,
			words: this.words,
			random
		});
		const plan = this.finished(raw);
		const analysis = analysePlan(plan, context);
		if (wishes.effort)
			this.bias = effortOfAnalysis(analysis) / draftFeatures(draft, task.kinds, own.purposes).effort;
		return {
			plan,
			analysis,
			story: task.story,
			points:
				value -
				GRAVE * (grave(analysis) + unmet(plan, wishes, context)) -
				EFFORT * offRange(effortOfAnalysis(analysis), wishes.effort)
		};
	}

	/** The class at its exact length, with the desk's own repairs. */
	private finished(raw: ClassPlan): ClassPlan {
		const { base, wishes, context } = this;
		const timed = onTime(raw, context, base);
		const most = unmet(timed, wishes, context);
		const may = (after: ClassPlan) =>
			keepsAll(base, after) && inTheirParts(timed, after) && unmet(after, wishes, context) <= most;
		return mended(timed, context, may, base);
	}

	/** The leg that did not lead last time; either where that is unknown. */
	private otherSide() {
		const { lastFirstSide } = this.context;
		if (lastFirstSide) return lastFirstSide === 'left' ? 'right' : 'left';
		return this.random() < 0.5 ? 'left' : 'right';
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
const EFFORT = 120;
const scaled = ({ least, most }: NonNullable<Wishes['effort']>, by: number) => ({
	least: by * least,
	most: by * most
});
const offRange = (effort: number, range: Wishes['effort']): number =>
	range ? Math.max(0, range.least - effort, effort - range.most) : 0;
/** Whether the effort of a class lies outside what is asked for. */
export const isOffRange = (analysis: Analysis, range: Wishes['effort']): boolean =>
	offRange(effortOfAnalysis(analysis), range) > 0;

/** Returns the number of findings that a class waits for. */
export const grave = ({ findings }: Analysis) => findings.filter(needsAttention).length;

/** How many wishes a class does not meet. */
function unmet(plan: ClassPlan, wishes: Wishes, { find, known }: ProposeContext): number {
	const items = itemsOf(plan);
	const { must = [], never = [], without = [], mostNew = Infinity, mostMovements = Infinity } = wishes;
	const missing = mustOf(wishes).filter((slug) => !items.some(({ movement }) => movement === slug));
	const unwanted = items.filter(
		({ movement }) => never.includes(movement) || without.includes(find(movement)!.position)
	);
	const slugs = slugsOf(plan);
	const fresh = known ? slugs.filter((slug) => !known.slugs.includes(slug) && !must.includes(slug)) : [];
	const done = new Set(items.filter(({ mode }) => mode !== 'rest').map(({ movement }) => movement));
	const over = Math.max(0, fresh.length - mostNew) + Math.max(0, done.size - mostMovements);
	return missing.length + unwanted.length + over;
}
