import { analysePlan, needsAttention, previewRepair, type Analysis } from '../../checks';
import { fit } from '../../fit';
import { paceOf } from '../../pace';
import { applyEdit, itemsOf, type ClassPlan } from '../../plan';
import { styleOf } from '../../style';
import { optionsFor } from '../options';
import { seededRandom } from '../random';
import type { ProposeContext, Wishes } from '../types';
import { materialOf } from './material';
import type { Task } from './asked';
import { draftOf } from './scheme';
import { begin, improved } from './search';
import { isPossible, shelvesOf } from './shelves';
import { storyOf, type Story } from './story';
import { THEMES, type Theme } from './themes';
import { written } from './write';

/** A class that was put together, with what it is about. */
export interface Composed {
	plan: ClassPlan;
	analysis: Analysis;
	story: Story;
}

/** How much is tried for each class: a rough one, then so many that are made better by so many small changes. */
export interface Work {
	roughSteps: number;
	starts: number;
	steps: number;
}
export const USUAL_WORK: Work = { roughSteps: 600, starts: 1, steps: 14_000 };
/** Classes that are begun anew while all of them have something to mend. */
const MOST_STARTS = 6;
const REPAIRS = 8;

/**
 * Puts together whole classes, each about something else: a rough one at once, then better ones, `done` the last of
 * each. The same seed gives the same classes.
 */
export function* compose(
	base: ClassPlan,
	wishes: Wishes,
	setting: ProposeContext,
	seed: number,
	count: number,
	work: Work = USUAL_WORK
): Generator<{ number: number; done: boolean; composed: Composed }> {
	const style = styleOf(base.style);
	const { matters, kinds } = materialOf(optionsFor(base, wishes, setting), wishes, setting, style);
	const flowing = paceOf(setting.pace, base.pinnedPace).classKind === 'flow';
	const possible = THEMES.filter((theme) => isPossible(theme, matters));
	const others: ReadonlySet<string>[] = [];
	const told = new Set<Theme>();
	for (let number = 0; number < count; number++) {
		const random = seededRandom(seed + 7919 * number);
		const { group } = setting;
		const telling = {
			group,
			number: seed + number,
			themes: possible,
			style,
			flowing,
			lengthSeconds: base.lengthSeconds,
			told
		};
		const story = storyOf(telling, random);
		if (story.themes[0]) told.add(story.themes[0]);
		const shelves = shelvesOf(story.themes, matters);
		const strong = shelves.peak.flatMap(({ parts }) => parts.flat()).filter(({ traits }) => traits.strong);
		const task: Task = {
			group,
			style,
			story,
			purposes: new Set(setting.group.purposes),
			kinds,
			mostDemand: Math.max(0, ...strong.map(({ traits }) => traits.demand)),
			lengthSeconds: base.lengthSeconds * (1 - saidShare(base)),
			must: wishes.must ?? [],
			toward: wishes.toward ?? null,
			others
		};
		const attempt = (steps: number): Composed & { points: number } => {
			const { scheme, value } = improved(begin(task, shelves, random), task, shelves, random, steps);
			const lead = setting.lastFirstSide === 'left' ? 'right' : 'left';
			const draft = draftOf(scheme, shelves);
			const plan = mended(onTime(written(base, draft, story, lead), setting), wishes, setting);
			const analysis = analysePlan(plan, setting);
			return {
				plan,
				analysis,
				story,
				points: value - GRAVE * (grave(analysis) + unmet(plan, wishes, setting))
			};
		};
		let best = attempt(work.roughSteps);
		yield { number, done: false, composed: best };
		for (let start = 0; start < MOST_STARTS; start++) {
			if (start >= work.starts && grave(best.analysis) === 0) break;
			const found = attempt(work.steps);
			if (found.points <= best.points) continue;
			best = found;
			yield { number, done: false, composed: best };
		}
		others.push(new Set(best.analysis.context.items.map(({ movement }) => movement.slug)));
		yield { number, done: true, composed: best };
	}
}

/** Points for each finding that a class waits for: more than any other part of it. */
const GRAVE = 20;
const grave = ({ findings }: Analysis) => findings.filter(needsAttention).length;

/** How many wishes a class does not meet. */
function unmet(
	plan: ClassPlan,
	{ must = [], toward, never = [], without = [] }: Wishes,
	{ find }: ProposeContext
): number {
	const items = itemsOf(plan);
	const missing = [...must, ...(toward ? [toward] : [])].filter(
		(slug) => !items.some(({ movement }) => movement === slug)
	);
	const unwanted = items.filter(
		({ movement }) => never.includes(movement) || without.includes(find(movement)!.position)
	);
	return missing.length + unwanted.length;
}

/** Words and pauses take about so much of a class. */
const saidShare = ({ lengthSeconds }: ClassPlan) =>
	Math.min(0.1, (lengthSeconds >= 1200 ? 130 : 80) / lengthSeconds);

function onTime(plan: ClassPlan, setting: ProposeContext): ClassPlan {
	const fitted = fit(plan, setting.find, setting.pace);
	return fitted.ok ? applyEdit(plan, { do: 'setDoses', doses: fitted.doses }) : plan;
}

/** The desk’s own repairs of what would have to be mended, one by one. */
function mended(plan: ClassPlan, wishes: Wishes, setting: ProposeContext): ClassPlan {
	let now = plan;
	const most = unmet(plan, wishes, setting);
	for (let tries = 0; tries < REPAIRS; tries++) {
		const analysis = analysePlan(now, setting);
		const repairable = analysis.findings.filter((finding) => needsAttention(finding) && finding.repairable);
		const preview = repairable.map((finding) => previewRepair(finding, analysis.context)).find(Boolean);
		if (!preview) return now;
		const after = onTime(preview.repair.edits.reduce(applyEdit, now), setting);
		if (unmet(after, wishes, setting) > most) return now;
		now = after;
	}
	return now;
}
