import { describe, expect, it } from 'vitest';
import { CATALOGUE, findMovement } from '../../src/lib/catalogue';
import {
	arm,
	bestView,
	drawnForms,
	figure,
	joints,
	posture,
	VIEWS,
	type Skeleton
} from '../../src/lib/core/figure';
import { usualForm, type Movement } from '../../src/lib/core/movement';

type Vec = Skeleton['pelvis'];
const movement = (slug: string) => findMovement(slug) as Movement;
const body = (slug: string) => joints(movement(slug), usualForm(movement(slug)));
const between = (a: Vec, b: Vec) => Math.hypot(a[0] - b[0], a[1] - b[1], a[2] - b[2]);
/** Degrees between a limb and the upright. */
const lean = (from: Vec, to: Vec) =>
	(Math.acos(Math.abs(to[1] - from[1]) / between(from, to)) * 180) / Math.PI;

describe('every figure', () => {
	it('has limbs of one length, stands or lies on the floor and sinks nowhere into it', () => {
		for (const m of CATALOGUE) {
			const s = joints(m, usualForm(m));
			for (const leg of [s.lead, s.trail]) {
				expect(between(leg.hip, leg.knee), m.slug).toBeCloseTo(0.245, 6);
				expect(between(leg.knee, leg.ankle), m.slug).toBeCloseTo(0.235, 6);
			}
			const points = [s.pelvis, s.chest, s.head, s.lead.knee, s.lead.ankle, s.trail.knee, s.trail.ankle];
			const lowest = Math.min(...points.map((p) => p[1]));
			expect(lowest, m.slug).toBeGreaterThan(-0.02);
			expect(lowest, m.slug).toBeLessThan(0.3);
			for (const p of points) for (const value of p) expect(Number.isFinite(value), m.slug).toBe(true);
		}
	});

	it('touches the floor or its blocks in every form with what its words put there', () => {
		/** How far above its place a joint may be drawn, in body heights, and how high a hand is that has a block. */
		const near = 0.03;
		const hand = { onFloor: 0.09, onBlock: 0.16 };
		let touches = 0;
		for (const m of CATALOGUE)
			for (const form of m.forms) {
				const { skeleton: s, contacts, arms } = posture(m, form);
				const name = `${m.slug} ${form.id}`;
				for (const part of ['lead', 'trail'] as const) {
					if (contacts[part].foot) expect(s[part].ankle[1], `${name} foot`).toBeLessThan(0.032 + near);
					if (contacts[part].knee) expect(s[part].knee[1], `${name} knee`).toBeLessThan(0.036 + near);
					if (arms === 'floor') {
						const most = form.props.some((p) => p.site === 'hands') ? hand.onBlock : hand.onFloor;
						expect(arm(s, arms, part).hand[1], `${name} hand`).toBeLessThan(most);
					}
					touches += Number(contacts[part].foot) + Number(contacts[part].knee) + Number(arms === 'floor');
				}
				if (contacts.seat) expect(s.pelvis[1], `${name} seat`).toBeLessThan(0.058 + near);
			}
		expect(touches).toBeGreaterThan(1400);
	});

	it('is drawn in every form and view, the same each time, with both legs told apart', () => {
		for (const m of CATALOGUE)
			for (const form of m.forms)
				for (const view of VIEWS) {
					const drawn = figure(m, view, form);
					expect(drawn).toEqual(figure(m, view, form));
					expect(new Set(drawn.strokes.map((s) => s.part))).toEqual(
						new Set([
							'trunk',
							'head',
							'arm',
							'left leg',
							'right leg',
							...(drawn.strokes.some((s) => s.part === 'kit') ? ['kit'] : [])
						])
					);
					expect(drawn.viewBox.every(Number.isFinite)).toBe(true);
				}
	});

	it('shows kit where a form has some', () => {
		const kit = (slug: string, id: string) =>
			figure(
				movement(slug),
				'side',
				movement(slug).forms.find((f) => f.id === id)
			).strokes.filter((s) => s.part === 'kit').length;
		expect(kit('supine-butterfly', 'supported')).toBeGreaterThan(0);
		expect(kit('supine-butterfly', 'full')).toBe(0);
		expect(kit('chair-figure-four', 'full')).toBeGreaterThan(0);
	});

	it('is drawn once for forms that look alike, and again for one with other kit or angles', () => {
		const like = (slug: string) => drawnForms(movement(slug)).map((one) => one.like?.id ?? null);
		expect(like('90-90-sit')).toEqual([null, null, 'full']);
		expect(like('chair-knee-lift')).toEqual([null, 'supported', 'supported']);
		// the heels on a blanket, then on the floor
		expect(like('garland-squat')).toEqual([null, null, 'full']);
		for (const one of CATALOGUE) expect(drawnForms(one)[0]!.like).toBeNull();
	});

	it('led by the other leg is the mirror image', () => {
		const right = figure(movement('pigeon-fold'), 'front', undefined, 'right');
		const left = figure(movement('pigeon-fold'), 'front', undefined, 'left');
		const xs = (f: typeof right) => f.strokes.map((s) => s.points[0]![0]);
		for (const [i, x] of xs(right).entries()) expect(xs(left)[i]).toBeCloseTo(-x, 6);
		const lead = (f: typeof right) => f.feet[0]!.leg;
		expect([lead(right), lead(left)]).toEqual(['right', 'left']);
	});
});

// Features of a shape that a teacher recognises without its name: common practice, no source.
describe('a teacher recognises', () => {
	it('pigeon: front shin across on the floor, back leg long behind', () => {
		const s = body('pigeon-fold');
		expect(s.lead.knee[0]).toBeGreaterThan(s.pelvis[0] + 0.1);
		expect(s.lead.ankle[2]).toBeLessThan(s.lead.knee[2]);
		expect(s.lead.ankle[1]).toBeLessThan(0.06);
		expect(s.lead.knee[1]).toBeLessThan(0.08);
		expect(s.trail.ankle[0]).toBeLessThan(s.pelvis[0] - 0.35);
		expect(s.chest[1]).toBeLessThan(0.25);
	});

	it('90-90: both knees bent at about a right angle on the floor, one thigh forward, one to the side', () => {
		const s = body('90-90-sit');
		for (const leg of [s.lead, s.trail]) {
			expect(leg.knee[1]).toBeLessThan(0.08);
			expect(leg.ankle[1]).toBeLessThan(0.08);
			const hypotenuse = Math.hypot(0.245, 0.235);
			expect(between(leg.hip, leg.ankle)).toBeGreaterThan(0.8 * hypotenuse);
			expect(between(leg.hip, leg.ankle)).toBeLessThan(1.2 * hypotenuse);
		}
		expect(s.lead.ankle[0]).toBeGreaterThan(s.pelvis[0]);
		expect(s.trail.ankle[2]).toBeLessThan(s.trail.knee[2] + 0.05);
		expect(lean(s.pelvis, s.chest)).toBeLessThan(25);
	});

	it('frog: on the knees, thighs wide to both sides, trunk level and low', () => {
		const s = body('frog');
		expect(s.lead.knee[2] - s.trail.knee[2]).toBeGreaterThan(0.35);
		expect(lean(s.pelvis, s.chest)).toBeGreaterThan(70);
		expect(s.pelvis[1]).toBeLessThan(0.3);
		for (const leg of [s.lead, s.trail]) expect(leg.knee[1]).toBeLessThan(0.08);
	});

	it('low lunge: front shin upright, back knee down behind, trunk tall', () => {
		const s = body('low-lunge');
		expect(lean(s.lead.knee, s.lead.ankle)).toBeLessThan(20);
		expect(s.trail.knee[1]).toBeLessThan(0.06);
		expect(s.trail.knee[0]).toBeLessThan(s.pelvis[0]);
		expect(lean(s.pelvis, s.chest)).toBeLessThan(15);
	});

	it('happy baby: on the back, knees beside the ribs, soles up', () => {
		const s = body('happy-baby');
		expect(s.chest[1]).toBeLessThan(0.1);
		for (const leg of [s.lead, s.trail]) {
			expect(leg.ankle[1]).toBeGreaterThan(0.25);
			expect(leg.knee[0]).toBeLessThan(leg.hip[0]);
			expect(Math.abs(leg.knee[2])).toBeGreaterThan(0.12);
		}
	});

	it('warrior II: a long stance to both sides, front shin upright, back leg straight', () => {
		const s = body('warrior-2');
		expect(s.lead.ankle[2] - s.trail.ankle[2]).toBeGreaterThan(0.5);
		expect(lean(s.lead.knee, s.lead.ankle)).toBeLessThan(35);
		expect(between(s.trail.hip, s.trail.ankle)).toBeGreaterThan(0.46);
		for (const leg of [s.lead, s.trail]) expect(leg.ankle[1]).toBeLessThan(0.06);
		expect(bestView(movement('warrior-2'))).toBe('front');
	});
});
