/** Whatever is worked out of a class is worked out at the pace of who teaches it, and at no other. */
import { describe, expect, it } from 'vitest';
import { CATALOGUE, findMovement } from '../../src/lib/catalogue';
import { analysePlan, planContext } from '../../src/lib/core/analysis';
import { clock, workSecondsOf } from '../../src/lib/core/clock';
import { fit } from '../../src/lib/core/fit';
import { calmOrder, lostSeconds } from '../../src/lib/core/ordering';
import { provenances, USUAL_PACE, type PaceModel } from '../../src/lib/core/pace';
import { applyEdit } from '../../src/lib/core/plan';
import { worthOf } from '../../src/lib/core/propose';
import { analyseSeries } from '../../src/lib/core/series';
import { DEMO_GROUPS } from '../../src/lib/demo/groups';
import { DEMO_PLANS } from '../../src/lib/demo/plans';
import { DEMO_MONDAY, demoSeries } from '../../src/lib/demo/series';

/** Somebody who takes half as long again for everything. */
const SLOW: PaceModel = {
	...USUAL_PACE,
	figures: Object.fromEntries(
		Object.entries(provenances(USUAL_PACE)).map(([figure, { usualSeconds }]) => [
			figure,
			{ meanSeconds: 1.5 * usualSeconds, varies: 0.1, observations: 0 }
		])
	)
};
const VIEW = { offered: CATALOGUE, find: findMovement };

describe.each(DEMO_PLANS.map(({ plan, group }) => [plan.title, plan, DEMO_GROUPS[group]] as const))(
	'%s',
	(_title, plan, group) => {
		it('is calmed by the seconds that are lost at this pace', () => {
			for (const pace of [USUAL_PACE, SLOW]) {
				const calmed = calmOrder(plan, findMovement, pace);
				expect(calmed.beforeSeconds).toBe(lostSeconds(plan, findMovement, pace));
				const after = applyEdit(plan, { do: 'reorder', order: calmed.order });
				expect(lostSeconds(after, findMovement, pace)).toBe(calmed.afterSeconds);
			}
			expect(lostSeconds(plan, findMovement, SLOW)).toBeGreaterThan(
				lostSeconds(plan, findMovement, USUAL_PACE)
			);
		});

		it('takes longer, and is fitted to what it takes', () => {
			const [usual, slow] = [USUAL_PACE, SLOW].map((pace) => clock(plan, findMovement, pace).totalSeconds);
			expect(slow!).toBeGreaterThan(usual!);
			const read = analysePlan(plan, planContext(VIEW, group, SLOW));
			expect(read.timeline.totalSeconds).toBe(slow);
			const fitted = fit(plan, findMovement, SLOW, slow! + 60);
			if (!fitted.ok) return;
			const longer = applyEdit(plan, { do: 'setDoses', doses: fitted.doses });
			expect(clock(longer, findMovement, SLOW).totalSeconds).toBe(slow! + 60);
		});

		it('is worth what it is worth at this pace, and its work is as long as its clock says', () => {
			expect(worthOf(plan, findMovement, group, SLOW).total).not.toBe(
				worthOf(plan, findMovement, group, USUAL_PACE).total
			);
			const seconds = (pace: PaceModel) =>
				[...workSecondsOf(plan, findMovement, pace).values()].reduce((sum, s) => sum + s, 0);
			expect(seconds(SLOW)).toBeGreaterThan(seconds(USUAL_PACE));
		});
	}
);

it('a series is read at the pace of who teaches it', () => {
	const [{ planned, group }] = demoSeries(DEMO_MONDAY) as [ReturnType<typeof demoSeries>[number]];
	const lengths = (pace: PaceModel) =>
		analyseSeries(planned, {
			group: DEMO_GROUPS[group],
			find: findMovement,
			catalogue: CATALOGUE,
			knownBefore: [],
			pace
		}).classes.map(({ analysis }) => analysis?.timeline.totalSeconds ?? 0);
	const usual = lengths(USUAL_PACE);
	for (const [i, seconds] of lengths(SLOW).entries()) if (usual[i]) expect(seconds).toBeGreaterThan(usual[i]);
});
