// How well the objective knows a class, and what the proposals that follow from it hold: docs/planner.md keeps the table.
import { CATALOGUE, findMovement } from '../../src/lib/catalogue';
import { isSymmetrical } from '../../src/lib/core/anatomy';
import { needsAttention } from '../../src/lib/core/checks';
import type { Group } from '../../src/lib/core/group';
import { emptyPlan } from '../../src/lib/core/plan';
import { proposeClasses, worthOf, type Proposal } from '../../src/lib/core/propose';
import { DEMO_GROUPS } from '../../src/lib/demo/groups';
import { seeded } from '../../tests/reference/seeded';
import { listClasses, taughtClasses, type TaughtClass } from './taught/read';
import { WORSENINGS } from './worsen';

type Line = (what: string, ratio: number, aim: string) => void;
const SEEDS = Array.from({ length: 20 }, (_, i) => 77 * (i + 1) + 1);
const mean = (values: readonly number[]) => values.reduce((a, b) => a + b, 0) / Math.max(1, values.length);

const worthOfClass = ({ plan, group }: TaughtClass) => worthOf(plan, findMovement, group).total;

/** Of pairs of a class and a worsened variant of itself, and of a class and a list: how many are told rightly. */
export function knowsAClass(line: Line): void {
	const classes = taughtClasses();
	for (const [half, what] of [
		[0, 'one half'],
		[1, 'the other half']
	] as const) {
		const own = classes
			.filter((_, i) => i % 2 === half)
			.map((taught) => ({ taught, worth: worthOfClass(taught) }));
		const shares = Object.entries(WORSENINGS).map(([kind, worsen]) => {
			const won = own.flatMap(({ taught: { plan, group }, worth }) =>
				SEEDS.map((seed) => {
					const other = worthOf(worsen(plan, seeded(seed)), findMovement, group).total;
					return worth > other ? 1 : worth === other ? 0.5 : 0;
				})
			);
			return { kind, share: mean(won) };
		});
		line(
			`classes before worsened ones, ${what}: mean of 12 kinds`,
			mean(shares.map(({ share }) => share)),
			'at least 0.85'
		);
		const worst = shares.reduce((a, b) => (b.share < a.share ? b : a));
		line(`classes before worsened ones, ${what}: worst kind (${worst.kind})`, worst.share, 'at least 0.70');
		const lists = listClasses();
		const over = own.flatMap(({ taught, worth }) =>
			lists
				.filter(({ group }) => group.preset === taught.group.preset)
				.map((list) => Number(worth > worthOfClass(list)))
		);
		line(`classes before lists of the same group, ${what}`, mean(over), 'at least 0.95');
	}
}

/** What of the twenty questions a program can answer, asked of proposals for every group and length. */
const QUESTIONS: Record<string, (proposal: Proposal, group: Group) => boolean> = {
	'on time, nothing to mend': ({ analysis, plan }) =>
		analysis.timeline.totalSeconds === plan.lengthSeconds && !analysis.findings.some(needsAttention),
	'arrives and closes without a change of sides': ({ analysis }) =>
		analysis.context.items
			.filter(({ section }) => section.kind === 'settle' || section.kind === 'rest')
			.every(({ movement }) => isSymmetrical(movement.action)),
	'moves in two positions in the first eight minutes': ({ analysis }) => {
		const early = analysis.context.items.filter(
			({ item, startSeconds }) => item.mode === 'dynamic' && startSeconds < 480
		);
		return new Set(early.map(({ movement }) => movement.position)).size >= 2;
	},
	'returns to something': ({ analysis }) => {
		const slugs = analysis.context.items.map(({ movement }) => movement.slug);
		return new Set(slugs).size < slugs.length;
	},
	'links something': ({ plan }) =>
		plan.sections.some(({ blocks }) => blocks.some((b) => b.kind === 'chain' || b.kind === 'flow')),
	'pauses to notice': ({ analysis }) => analysis.context.items.some(({ item }) => item.noticeSeconds),
	'peaks in own strength': ({ analysis }) =>
		analysis.context.items.some(
			({ section, form, item }) => section.kind === 'peak' && form.effort >= 2 && item.mode !== 'passive'
		),
	'is for these people': ({ analysis }, { purposes }) =>
		purposes.length === 0 ||
		analysis.context.items.some(
			({ section, movement }) =>
				(section.kind === 'build' || section.kind === 'peak') &&
				movement.purposes.some((p) => purposes.includes(p))
		),
	'strength in sets': ({ analysis }) => analysis.context.items.some(({ item }) => (item.dose.sets ?? 1) > 1)
};

export function readsLikeAClass(line: Line): void {
	const proposals = Object.values(DEMO_GROUPS).flatMap((group: Group) =>
		[15, 30, 45, 60, 75].flatMap((minutes) => {
			const base = emptyPlan('Bench', group.startsAt, 60 * minutes);
			const setting = { catalogue: CATALOGUE, find: findMovement, targets: group.targets, group };
			return [...proposeClasses({ base, wishes: {}, setting, seed: minutes, count: 1 })]
				.filter(({ done }) => done)
				.map(({ proposal }) => ({ proposal, group }));
		})
	);
	for (const [question, answer] of Object.entries(QUESTIONS))
		line(
			`of ${proposals.length} proposals: ${question}`,
			mean(proposals.map(({ proposal, group }) => Number(answer(proposal, group)))),
			'1.00'
		);
}
