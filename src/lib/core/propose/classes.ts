import type { Analysis } from '../checks';
import { lostSeconds } from '../ordering';
import type { ClassPlan } from '../plan';
import { compose, type Composed, type Work } from './compose';
import { alike, demandOf, worthOf } from './model';
import type { Proposal, ProposeContext, Wishes } from './types';
import { because } from './why';

/** What is asked of the planner. */
export interface ClassRequest {
	/** What stands there already stays as it is, and the rest is put together round it. */
	base: ClassPlan;
	wishes: Wishes;
	setting: ProposeContext;
	seed: number;
	count?: number;
	work?: Work;
}

/**
 * Proposes classes, each with a story of its own. Yields the best so far whenever there is a better one (`done` false), and
 * each class when it is finished.
 */
export function* proposeClasses({
	base,
	wishes,
	setting,
	seed,
	count = 3,
	work
}: ClassRequest): Generator<{ number: number; done: boolean; proposal: Proposal }> {
	for (const { number, done, composed } of compose(base, wishes, setting, seed, count, work))
		yield { number, done, proposal: proposalOf(composed, base, wishes, setting) };
}

function proposalOf(composed: Composed, base: ClassPlan, wishes: Wishes, setting: ProposeContext): Proposal {
	const { plan, analysis } = composed;
	return {
		plan,
		analysis,
		worth: worthOf(plan, setting.find, setting.group, setting.pace),
		story: storyLines(composed),
		reasons: analysis.context.items.map((taught, index) => ({
			itemId: taught.item.id,
			because: because(taught, index, analysis, wishes, base).slice(0, 3)
		})),
		lostSeconds: lostSeconds(plan, setting.find, setting.pace)
	};
}

/** What a class tells, in five lines. */
function storyLines({ analysis, story }: Composed): string[] {
	const { items } = analysis.context;
	const named = (list: Analysis['context']['items']) => [
		...new Set(list.map(({ movement }) => movement.english))
	];
	const listed = (names: readonly string[]) =>
		names.length > 1 ? `${names.slice(0, -1).join(', ')} and ${names.at(-1)}` : (names[0] ?? '');
	const moving = named(
		items.filter(({ section, item }) => section.kind === 'warm' && item.mode === 'dynamic')
	);
	const hardest = items
		.filter(({ section }) => section.kind === 'peak')
		.reduce<(typeof items)[number] | null>(
			(best, taught) =>
				!best || demandOf(taught.form, taught.item.mode) > demandOf(best.form, best.item.mode)
					? taught
					: best,
			null
		);
	const before = hardest ? items.slice(0, items.indexOf(hardest)) : [];
	const leading = named(
		before.filter(
			({ movement }) => movement !== hardest!.movement && alike(movement, hardest!.movement) >= 0.5
		)
	).slice(-3);
	const visits = new Map<string, number>();
	for (const { movement, item } of items)
		if (item.mode !== 'rest' && !movement.purposes.includes('reset'))
			visits.set(movement.english, (visits.get(movement.english) ?? 0) + 1);
	const back = [...visits]
		.filter(([, count]) => count > 1)
		.map(([english]) => english)
		.slice(0, 3);
	const release = named(items.filter(({ section }) => section.kind === 'release'));
	const last = items.at(-1);
	return [
		`About ${story.words}.`,
		...(moving.length ? [`Opens moving: ${listed(moving.slice(0, 3))}.`] : []),
		...(hardest
			? [`Leads up to ${hardest.movement.english}${leading.length ? ` by ${listed(leading)}` : ''}.`]
			: []),
		...(back.length ? [`Comes back, further: ${listed(back)}.`] : []),
		...(last
			? [
					`Lets go${release.length ? ` with ${listed(release.slice(0, 3))}` : ''}; ends with ${last.movement.english}.`
				]
			: [])
	];
}
