import { describe, expect, it } from 'vitest';
import type { Group } from '../../src/lib/core/group';
import { analyseSeries, ladderOffers, withSettings, type PlannedSeries } from '../../src/lib/core/series';
import { styleOf } from '../../src/lib/core/style';
import { classWith, CLIMBERS, filled, ids, ladder, logged, run, seriesOf, contextFor } from './series-built';

/** 90-90 hinged forward works on the outer hips, butterfly on the inner thighs. */
const counted = (tight: number, middling: number, open: number): Group => ({
	...CLIMBERS,
	size: tight + middling + open,
	regionTiers: { outer: { tight, middling, open } }
});
const OPEN = counted(1, 2, 9);
const EVEN = counted(2, 8, 2);
const TIGHT = counted(6, 4, 2);

const withLadder = (group: Group | null, goal = '90-90-fold') =>
	seriesOf({ weeks: 6, ladders: [ladder(goal, 'full', group)] });
const offers = (planned: PlannedSeries, group: Group) =>
	ladderOffers(analyseSeries(planned, contextFor(group)), styleOf());
const forms = (rungs: readonly { movement: string; form: string }[]) =>
	rungs.map(({ movement, form }) => `${movement} ${form}`);

describe('where a ladder begins', () => {
	it('follows what was counted where its goal works, not one word for all of a person', () => {
		expect(forms(ladder('90-90-fold', 'full', OPEN).rungs)).toEqual([
			'90-90-sit supported',
			'90-90-fold full'
		]);
		expect(forms(ladder('90-90-fold', 'full', TIGHT).rungs)).toContain('90-90-fold supported');
		expect(forms(ladder('low-lunge-knee-lift', 'full', OPEN).rungs)).toContain(
			'low-lunge-knee-lift supported'
		);
		expect(
			forms(
				ladder('low-lunge-knee-lift', 'full', {
					...OPEN,
					regionTiers: { front: { tight: 0, middling: 3, open: 9 } }
				}).rungs
			)
		).not.toContain('low-lunge-knee-lift supported');
		// counted at the outer hips, which says nothing of inner thighs
		expect(ladder('butterfly', 'full', OPEN)).toEqual(ladder('butterfly', 'full', CLIMBERS));
	});
});

describe('what a check-in speaks for on a ladder', () => {
	it('nothing, where the group was not counted there, or the ladder is right for it', () => {
		expect(offers(withLadder(CLIMBERS), CLIMBERS)).toEqual([]);
		expect(offers(withLadder(CLIMBERS, 'butterfly'), OPEN)).toEqual([]);
		for (const group of [OPEN, EVEN, TIGHT]) expect(offers(withLadder(group), group)).toEqual([]);
	});

	it('most are open: the easier rungs are passed by', () => {
		const planned = withLadder(CLIMBERS);
		const [offer, ...others] = offers(planned, OPEN);
		expect(others).toEqual([]);
		expect(offer!.ladder).toBe(0);
		expect(forms(offer!.rungs)).toEqual(['90-90-sit supported', '90-90-fold full']);
		expect(offer!.words).toMatch(
			/^Outer hips, as counted: 1 tight, 2 middling, 9 open\. Go past 90-90, hinged forward, supported, .* on to 90-90 seat, supported, /
		);
	});

	it('many are tight: the easier rungs come first, and not where few are', () => {
		const planned = withLadder(OPEN);
		const [offer] = offers(planned, TIGHT);
		expect(offer!.rungs).toEqual(ladder('90-90-fold', 'full', TIGHT).rungs);
		expect(offer!.words).toMatch(/6 tight, 4 middling, 2 open\. Give 90-90, hinged forward, supported, /);
		expect(offers(planned, EVEN)).toEqual([]);
	});

	it('once it is taken, is not offered again', () => {
		for (const [from, to] of [
			[CLIMBERS, OPEN],
			[OPEN, TIGHT]
		] as const) {
			const planned = withLadder(from);
			const { rungs } = offers(planned, to)[0]!;
			const after = withSettings(planned, { ladders: [{ rungs }] }, ids());
			expect(offers(after, to)).toEqual([]);
		}
	});

	it('leaves alone what a taught class has come to', () => {
		const planned = filled(withLadder(CLIMBERS), () =>
			classWith(['90-90-sit:supported', '90-90-fold:supported'])
		);
		const taught = planned.series.classes.slice(0, 5).reduce((so, { id }) => logged(so, id, run), planned);
		const given = analyseSeries(taught, contextFor(OPEN)).classes[4]!.given[0]!;
		expect(given.rung).toBeGreaterThan(0);
		const kept = forms(taught.series.ladders[0]!.rungs.slice(0, given.rung + 1));
		for (const { rungs } of offers(taught, OPEN)) expect(forms(rungs).slice(0, kept.length)).toEqual(kept);

		// a group that is on the full form already is not sent back
		const open = filled(withLadder(OPEN), () => classWith(['90-90-sit:supported', '90-90-fold:full']));
		const far = open.series.classes.slice(0, 6).reduce((so, { id }) => logged(so, id, run), open);
		expect(analyseSeries(far, contextFor(TIGHT)).classes[5]!.given[0]!.rung).toBe(1);
		expect(offers(far, TIGHT)).toEqual([]);
	});
});
