/** The whole catalogue is proposed to somebody: 300 classes for every kind of group, at every moment. */
import { expect, it } from 'vitest';
import { CATALOGUE, findMovement } from '../../src/lib/catalogue';
import { MOMENTS, newGroup, PRESETS, type Group } from '../../src/lib/core/group';
import { emptyPlan, itemsOf } from '../../src/lib/core/plan';
import { proposeClasses } from '../../src/lib/core/propose';
import { ROOM } from '../../bench/planner/taught/read';

/** What is proposed to nobody, and why. */
const WHY_NOT: Record<string, string> = {
	'sidelying-rest':
		'has sides, and nobody turns over in a rest; whoever should not lie on the back gets it beside the class'
};

it('every movement is proposed to somebody, or says why not', () => {
	const seen = new Set<string>();
	for (let round = 0; round < 100; round++) {
		const preset = PRESETS[round % PRESETS.length]!;
		const group: Group = {
			...newGroup(preset, preset),
			kit: { ...ROOM, weight: 10 },
			tiers: round % 2 ? { tight: 0, middling: 0, open: 10 } : { tight: 2, middling: 6, open: 2 },
			moment: MOMENTS[Math.floor(round / PRESETS.length) % MOMENTS.length]!
		};
		const empty = emptyPlan('', group.startsAt, 60 * [45, 60, 75][round % 3]!);
		const base = round % 5 === 0 ? { ...empty, style: { holding: 'quiet' as const } } : empty;
		const setting = { catalogue: CATALOGUE, find: findMovement, targets: group.targets, group };
		const work = { roughSteps: 1, starts: 1, steps: 350, mostStarts: 1 };
		for (const { done, proposal } of proposeClasses({ base, wishes: {}, setting, seed: 31 * round, work }))
			if (done) for (const { movement } of itemsOf(proposal.plan)) seen.add(movement);
	}
	const never = CATALOGUE.map(({ slug }) => slug).filter((slug) => !seen.has(slug));
	expect(never.sort()).toEqual(Object.keys(WHY_NOT).sort());
}, 300_000);
