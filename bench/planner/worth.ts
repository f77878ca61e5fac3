// How well the objective knows a class, and what the proposals that follow from it hold: docs/planner.md keeps the table.
import { contextOfGroup } from './context';
import { USUAL_PACE } from '../../src/lib/core/pace';
import { findMovement } from '../../src/lib/catalogue';
import { newGroup, type Group } from '../../src/lib/core/group';
import { emptyPlan } from '../../src/lib/core/plan';
import { compose, proposeClasses, USUAL_WORK, worthOf, type SearchBudget } from '../../src/lib/core/propose';
import { DEMO_GROUPS } from '../../src/lib/demo/groups';
import { seeded } from '../../tests/reference/seeded';
import { QUESTIONS } from './questions';
import { listClasses, ROOM, taughtClasses, type TaughtClass } from './taught/read';
import { WORSENINGS } from './worsen';

type Line = (what: string, ratio: number, aim: string) => void;
const SEEDS = Array.from({ length: 20 }, (_, i) => 77 * (i + 1) + 1);
const mean = (values: readonly number[]) => values.reduce((a, b) => a + b, 0) / Math.max(1, values.length);

const worthOfClass = ({ plan, group }: TaughtClass) => worthOf(plan, findMovement, group, USUAL_PACE).total;

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
					const other = worthOf(worsen(plan, seeded(seed)), findMovement, group, USUAL_PACE).total;
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

/** Answers the twenty questions, as far as a program can, for 200 proposals: seven groups, five lengths, some seeds. */
export function readsLikeAClass(line: Line): void {
	const reads = Object.values(READERS).flatMap((group: Group) =>
		[15, 30, 45, 60, 75].flatMap((minutes) =>
			Array.from({ length: 6 }, (_, i) => {
				const base = emptyPlan('Bench', group.startsAt, 60 * minutes);
				const context = contextOfGroup(group);
				const all = [...proposeClasses({ base, wishes: {}, context, seed: minutes + i, count: 1 })];
				return { ...all.at(-1)!.proposal, group };
			})
		)
	);
	for (const [question, answer] of Object.entries(QUESTIONS))
		line(
			`of ${reads.length} proposals: ${question}`,
			mean(reads.map((read) => Number(answer(read)))),
			'1.00'
		);
}

/** The groups of the demo, very mobile people, and beginners with sore knees in a room without kit. */
const READERS: Record<string, Group> = {
	...DEMO_GROUPS,
	mobile: { ...newGroup('very mobile', 'Very mobile'), kit: ROOM },
	knees: {
		...newGroup('beginners', 'Sore knees'),
		size: 8,
		kit: {},
		cautions: [{ caution: 'sore knee', people: 3 }]
	}
};

/**
 * Compares a proposal, in points, with the best of ten searches of four times the work, and the initial draft with
 * the proposal.
 */
export function searchesEnough(line: Line): void {
	const gaps: number[] = [];
	const rough: number[] = [];
	for (const group of Object.values(DEMO_GROUPS)) {
		const base = emptyPlan('Bench', group.startsAt, 2700);
		const context = contextOfGroup(group);
		const points = (seed: number, work: SearchBudget) => {
			const all = [...compose(base, {}, context, seed, 1, work)].map(({ composed }) => composed.points);
			return { first: all[0]!, last: all.at(-1)! };
		};
		// one story: the themes follow from the seed of the class, the search from the number of the attempt
		const usual = points(1, USUAL_WORK);
		const best = points(1, { ...USUAL_WORK, starts: 10, steps: 4 * USUAL_WORK.steps }).last;
		gaps.push(Math.max(0, best - usual.last));
		rough.push(Math.max(0, best - usual.first));
	}
	const sorted = gaps.sort((a, b) => a - b);
	line('points that a proposal lacks of the best known, median of five groups', sorted[2]!, '0.5');
	line('the same, most of five groups', sorted[4]!, '1.5');
	line('points that the rough first class lacks, mean', mean(rough), '');
}
