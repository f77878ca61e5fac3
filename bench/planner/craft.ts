// Proposals for groups of every kind, as a strict reader sees them: which questions get a no, and the likely grade.
import { contextOfGroup } from './context';
import { emptyPlan, type ClassPlan } from '../../src/lib/core/plan';
import { proposeClasses, USUAL_WORK, type Proposal } from '../../src/lib/core/propose';
import type { Group } from '../../src/lib/core/group';
import { JUDGED_GROUPS, type JudgedGroupKey } from './groups';
import { likelyGrade, strictNoes } from './reader';
import { render } from './render';
import { readSheet, type Sheet } from './rows';

/** Lengths in minutes for which each group is judged. */
const MINUTES: Record<JudgedGroupKey, readonly number[]> = {
	striders: [45, 60, 20],
	chalk: [50, 30, 75],
	tide: [60, 45, 30],
	skiff: [20, 15, 30],
	lamp: [30, 45, 15],
	ledge: [75, 60, 45],
	dancers: [60, 45, 30],
	elders: [30, 45, 20],
	counter: [20, 30, 15],
	mixed: [45, 60, 20]
};

/** A proposal with what it is for and how a reader sees it. */
export interface Judged {
	key: JudgedGroupKey;
	group: Group;
	minutes: number;
	seed: number;
	proposal: Proposal;
	plan: ClassPlan;
	sheet: Sheet;
}

/** Proposes one class for each group and seed, each at one of its lengths by turns. */
export function* judged(seeds: readonly number[], work = USUAL_WORK): Generator<Judged> {
	for (const seed of seeds)
		for (const key of Object.keys(JUDGED_GROUPS) as JudgedGroupKey[]) {
			const group: Group = JUDGED_GROUPS[key];
			const minutes = MINUTES[key][seed % MINUTES[key].length]!;
			const context = contextOfGroup(group);
			const base = emptyPlan('Judged', group.startsAt, 60 * minutes);
			const all = [...proposeClasses({ base, wishes: {}, context, seed, count: 1, work })];
			const { proposal } = all.at(-1)!;
			const { plan, analysis } = proposal;
			yield {
				key,
				group,
				minutes,
				seed,
				proposal,
				plan,
				sheet: readSheet(render('x', plan, analysis, group))
			};
		}
}

/** Returns the share of noes for each question, and the mean and lowest likely grade. */
export function craftFigures(seeds: readonly number[]) {
	const noes = new Map<number, number>();
	const grades: number[] = [];
	const movements = new Set<string>();
	for (const { sheet } of judged(seeds)) {
		for (const number of strictNoes(sheet)) noes.set(number, (noes.get(number) ?? 0) + 1);
		grades.push(likelyGrade(sheet));
		for (const { movement } of sheet.rows) movements.add(movement.slug);
	}
	return {
		proposals: grades.length,
		noShares: new Map([...noes].sort(([a], [b]) => a - b).map(([q, n]) => [q, n / grades.length])),
		meanGrade: grades.reduce((all, one) => all + one, 0) / grades.length,
		lowestGrade: Math.min(...grades),
		movements: movements.size
	};
}
