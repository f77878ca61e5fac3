import type { Analysis } from '../checks';
import { lostSeconds } from '../ordering';
import { blocksOf, type ClassPlan } from '../plan';
import { compose, type Composed, type Work } from './compose';
import { alike, demandOf, worthOf } from './model';
import { propose, type ProposeRequest } from './propose';
import { USUAL_WEIGHTS, type Proposal, type ProposeContext, type Wishes } from './types';
import { because } from './why';

/** Wishes that a whole new class is put together with; others are for what is filled in piece by piece. */
const COMPOSED: ReadonlySet<keyof Wishes> = new Set(['toward', 'must', 'never', 'without', 'weights']);

/** Whether a whole class can be put together for what is asked: nothing is there yet that has to stay. */
export function isComposed({ base, wishes }: Pick<ProposeRequest, 'base' | 'wishes'>): boolean {
	const asked = (Object.keys(wishes) as (keyof Wishes)[]).filter((wish) => {
		const value = wishes[wish];
		return value !== undefined && !(Array.isArray(value) && value.length === 0);
	});
	const usual = Object.entries(wishes.weights ?? {}).every(
		([id, weight]) => weight === USUAL_WEIGHTS[id as keyof typeof USUAL_WEIGHTS]
	);
	return blocksOf(base).length === 0 && usual && asked.every((wish) => COMPOSED.has(wish));
}

/**
 * Proposes classes: whole ones, each with a story of its own, where nothing is there yet; else what fills up what is
 * there. Yields the best so far whenever there is a better one (`done` false), and each class when it is finished.
 */
export function* proposeClasses(
	asked: ProposeRequest & { work?: Work }
): Generator<{ number: number; done: boolean; proposal: Proposal }> {
	if (!isComposed(asked)) return yield* propose(asked);
	const { base, wishes, setting, seed, count = 3, work } = asked;
	for (const { number, done, composed } of compose(base, wishes, setting, seed, count, work))
		yield { number, done, proposal: proposalOf(composed, base, wishes, setting) };
}

function proposalOf(composed: Composed, base: ClassPlan, wishes: Wishes, setting: ProposeContext): Proposal {
	const { plan, analysis } = composed;
	const worth = worthOf(plan, setting.find, setting.group, setting.pace);
	return {
		plan,
		analysis,
		parts: null,
		worth,
		cost: -worth.total,
		story: storyLines(composed),
		reasons: analysis.context.items.map((taught, index) => ({
			itemId: taught.item.id,
			because: because(taught, index, analysis, wishes, base).slice(0, 3),
			nearly: null
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
