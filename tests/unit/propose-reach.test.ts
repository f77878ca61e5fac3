/** Nearly the whole catalogue is proposed to somebody: up to 300 classes for every kind of group, at every moment. */
import { contextOfGroup } from '../../bench/planner/context';
import { expect, it } from 'vitest';
import { CATALOGUE, findMovement } from '../../src/lib/catalogue';
import { MOMENTS, newGroup, PRESETS, type Group } from '../../src/lib/core/group';
import { emptyPlan, itemsOf } from '../../src/lib/core/plan';
import { proposeClasses } from '../../src/lib/core/propose';
import { ROOM } from '../../bench/planner/taught/read';

/** The fewest movements, of 207, that come in 300 proposals; some come only when they are asked for. */
const LEAST_OF_THEM = 190;

const SEEDS = 300;

it('190 movements and more are proposed to somebody', () => {
	const left = new Set(CATALOGUE.map(({ slug }) => slug));
	for (let seed = 0; seed < SEEDS && CATALOGUE.length - left.size < LEAST_OF_THEM; seed++) {
		const preset = PRESETS[seed % PRESETS.length]!;
		const turn = Math.floor(seed / PRESETS.length);
		const group: Group = {
			...newGroup(preset, preset),
			// two of three come for what something serves that did not come yet
			...(turn % 3 ? { purposes: findMovement([...left][seed % left.size]!)!.purposes } : {}),
			kit: { ...ROOM, weight: 10 },
			tiers: turn % 2 ? { tight: 0, middling: 0, open: 10 } : { tight: 2, middling: 6, open: 2 },
			moment: MOMENTS[turn % MOMENTS.length]!
		};
		const empty = emptyPlan('', group.startsAt, 60 * [45, 60, 75][seed % 3]!);
		const base = seed % 5 === 0 ? { ...empty, style: { holding: 'quiet' as const } } : empty;
		const context = contextOfGroup(group);
		const work = { roughSteps: 1, starts: 1, steps: 350, mostStarts: 1 };
		for (const { done, proposal } of proposeClasses({ base, wishes: {}, context, seed, count: 1, work }))
			if (done) for (const { movement } of itemsOf(proposal.plan)) left.delete(movement);
	}
	expect(CATALOGUE.length - left.size, [...left].join(', ')).toBeGreaterThanOrEqual(LEAST_OF_THEM);
}, 1_200_000);
