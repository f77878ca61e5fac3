import type { TimedItem } from '../../clock';
import { lostSeconds } from '../../ordering';
import { setsOf, type ClassPlan, type SectionKind } from '../../plan';
import { isReset } from '../../rules';
import { compose, type Composed, type SearchBudget } from '../compose';
import { movementSimilarity, demandOf, MODE_RANK, worthOf } from '../model';
import { listed, sentence } from '../../text';
import type { Proposal, ProposeContext, Wishes } from '../pool/types';
import { because } from './why';

/** A request to the planner. */
export interface ClassRequest {
	/** The class so far: it stays as it is, and the planner fills in the rest. */
	base: ClassPlan;
	wishes: Wishes;
	context: ProposeContext;
	seed: number;
	count?: number;
	work?: SearchBudget;
}

/**
 * Proposes classes, each with a story of its own. Yields the best so far whenever there is a better one (`done` false), and
 * each class when it is finished.
 */
export function* proposeClasses({
	base,
	wishes,
	context,
	seed,
	count = 3,
	work
}: ClassRequest): Generator<{ number: number; done: boolean; proposal: Proposal }> {
	for (const { number, done, composed } of compose(base, wishes, context, seed, count, work))
		yield { number, done, proposal: proposalOf(composed, base, wishes, context) };
}

function proposalOf(composed: Composed, base: ClassPlan, wishes: Wishes, context: ProposeContext): Proposal {
	const { plan, analysis } = composed;
	return {
		plan,
		analysis,
		worth: worthOf(plan, context.find, context.group, context.pace),
		about: sentence(composed.story.words),
		story: storyLines(composed),
		reasons: analysis.context.items.map((taught, index) => ({
			itemId: taught.item.id,
			because: because(taught, index, analysis, wishes, base).slice(0, 3)
		})),
		lostSeconds: lostSeconds(plan, context.find, context.pace)
	};
}

/** From this likeness on something leads up to something else. */
const LEADS_FROM = 0.5;
/** Most movements named in one line. */
const NAMED = 3;

const demand = ({ form, item }: TimedItem) => demandOf(form, item.mode);

/** Whether a movement goes further than where it was before: harder, held where it moved, or in more sets. */
const isFurther = (before: TimedItem, now: TimedItem): boolean =>
	demand(now) > demand(before) ||
	MODE_RANK[now.item.mode] > MODE_RANK[before.item.mode] ||
	setsOf(now.item.dose) > setsOf(before.item.dose);

/** Returns the story of a class, in five lines. */
function storyLines({ analysis, story }: Composed): string[] {
	const { items } = analysis.context;
	const inPart = (kind: SectionKind) => items.filter(({ section }) => section.kind === kind);
	const names = (list: readonly TimedItem[]) => [...new Set(list.map(({ movement }) => movement.english))];
	const moving = names(inPart('warm').filter(({ item }) => item.mode === 'dynamic')).slice(0, NAMED);
	const peak = inPart('peak');
	const hardest = peak.find((taught) => peak.every((other) => demand(other) <= demand(taught)));
	const before = hardest ? items.slice(0, items.indexOf(hardest)) : [];
	const leading = names(
		before.filter(
			({ movement }) =>
				movement !== hardest!.movement && movementSimilarity(movement, hardest!.movement) >= LEADS_FROM
		)
	).slice(-NAMED);
	const back = names(
		items.filter(
			(taught, i) =>
				taught.item.mode !== 'rest' &&
				!isReset(taught.movement) &&
				items.slice(0, i).some((one) => one.movement === taught.movement && isFurther(one, taught))
		)
	).slice(0, NAMED);
	const release = names(inPart('release')).slice(0, NAMED);
	const last = items.at(-1);
	const lines = [`About ${story.words}.`];
	if (moving.length) lines.push(`Opens with movement: ${listed(moving)}.`);
	if (hardest)
		lines.push(`Leads up to ${hardest.movement.english}${leading.length ? ` by ${listed(leading)}` : ''}.`);
	if (back.length) lines.push(`Returns, deeper: ${listed(back)}.`);
	if (last)
		lines.push(
			`Releases${release.length ? ` with ${listed(release)}` : ''}; ends with ${last.movement.english}.`
		);
	return lines;
}
