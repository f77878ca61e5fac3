import { findMovement } from '../catalogue';
import { fit } from '../core/fit';
import { USUAL_PACE } from '../core/pace';
import { applyEdit, type ClassPlan } from '../core/plan';
import { PlanWriter } from './build';
import type { DemoGroupKey } from './groups';

/** A 45-minute class for runners after their run: front of the hip, outer hip, turning in. */
function stridersPlan(): ClassPlan {
	const w = new PlanWriter();
	w.add('settle', w.talk('Welcome, one word about the path', 40), w.item('constructive-rest', { dose: 8 }));
	w.add(
		'warm',
		w.item('supine-leg-roll', { dose: 8 }),
		w.item('supine-heel-pivot', { dose: 10 }),
		w.item('cat-cow', { dose: 6 }),
		w.item('quadruped-knee-sweep', { dose: 5, keep: ['sore knee'] })
	);
	w.add(
		'build',
		w.chain(
			w.item('low-lunge', { dose: { amount: 5, sets: 2, restSeconds: 10 }, form: 'supported' }),
			w.item('low-lunge-knee-lift', { dose: 3 })
		),
		w.item('standing-hip-circle', { dose: { amount: 4, bothWays: true } }),
		w.talk('Level pelvis: what one leg does at every step', 20),
		w.item('standing-leg-back', { dose: { amount: 8, lastHold: { amount: 5, unit: 'counts' } } }),
		w.item('curtsy-cross', { dose: 5, notice: 10 }),
		w.item('single-leg-squat', { form: 'supported', dose: 4, keep: ['sore knee'] }),
		w.item('seated-knee-wipers', { dose: 8, keep: ['sore knee'] }),
		w.item('90-90-sit', { dose: 30, keep: ['sore knee'] })
	);
	w.add(
		'peak',
		w.chain(
			w.item('pigeon-upright', { form: 'supported', dose: 5, keep: ['sore knee'] }),
			w.item('pigeon-fold', { form: 'supported', dose: 6, keep: ['sore knee'] })
		)
	);
	w.add(
		'release',
		w.item('clam', { dose: 10 }),
		w.item('sidelying-rotation-low', { form: 'supported', dose: 8 }),
		w.item('supine-hamstring-strap', { form: 'supported', dose: 35 }),
		w.item('supported-bridge', { form: 'supported', dose: 100 }),
		w.item('supine-twist', { dose: 6 }),
		w.item('happy-baby', { dose: 45, notice: 15 })
	);
	w.add('rest', w.item('savasana', { dose: 240 }));
	return w.plan(
		'After the headland run',
		'19:15',
		45 * 60,
		'The leg behind the body, the pelvis level above it'
	);
}

/** The same class as it stood before anybody timed it: a sum of holds that overruns. */
function stridersFirstDraft(): ClassPlan {
	const w = new PlanWriter();
	w.add('settle', w.item('constructive-rest', { dose: 5 }));
	w.add('warm', w.item('cat-cow', { dose: 6 }), w.item('downward-dog', { dose: 5 }));
	w.add(
		'build',
		w.item('low-lunge', { dose: 8 }),
		w.item('half-hero-lunge', { dose: 60 }),
		w.item('warrior-2', { dose: 30 }),
		w.item('wide-leg-seated-fold', { dose: 60 }),
		w.item('butterfly', { dose: 8 })
	);
	w.add('peak', w.item('pigeon-fold', { dose: 10 }), w.item('frog', { dose: 90 }));
	w.add(
		'release',
		w.item('supine-hamstring-strap', { dose: 50 }),
		w.item('supine-figure-four', { dose: 45 })
	);
	w.add('rest', w.item('savasana', { dose: 240 }));
	return w.plan('Long holds, first draft', '19:15', 30 * 60);
}

/** Climbers on their rest day: high step, turned-out stance, dropped knee. */
function chalkPlan(): ClassPlan {
	const w = new PlanWriter();
	w.add(
		'settle',
		w.talk('Welcome, how were the fingers', 60),
		w.item('easy-seat', { mode: 'rest', dose: 10, notice: 15 })
	);
	w.add(
		'warm',
		w.item('seated-knee-wipers', { dose: 10 }),
		w.item('straight-leg-wipers', { dose: 10 }),
		w.item('cat-cow', { dose: 8 }),
		w.item('quadruped-knee-sweep', { dose: 6, keep: ['front-of-hip pinch'] }),
		w.item('fire-hydrant', { dose: 8 })
	);
	w.add(
		'build',
		w.chain(w.item('low-lunge', { dose: 5 }), w.item('low-lunge-knee-lift', { form: 'stronger', dose: 6 })),
		w.item('standing-hip-circle', { dose: { amount: 4, bothWays: true } }),
		w.item('side-lunge-shift', { dose: 10 }),
		w.item('goddess-squat', { dose: 40 }),
		w.item('standing-shake-out', { dose: 10, notice: 10 }),
		w.talk('High step: the knee comes before the foot', 20),
		w.item('high-step-lift', { form: 'supported', dose: { amount: 4, sets: 2, restSeconds: 10 } }),
		w.item('wide-stance-knee-turn-in', { form: 'supported', dose: 4 }),
		w.item('90-90-sit', { dose: 40, notice: 10 }),
		w.item('90-90-switch', { dose: 5 })
	);
	w.add(
		'peak',
		w.item('wide-leg-seated-fold', { form: 'stronger', dose: 60 }),
		w.item('pigeon-fold', { mode: 'active', dose: 8 })
	);
	w.add(
		'release',
		w.item('cow-face-fold', { dose: 45 }),
		w.item('supine-inward-knee-drop', { dose: 60 }),
		w.item('supine-twist', { dose: 6 }),
		w.item('happy-baby', { dose: 60, keep: ['front-of-hip pinch'] })
	);
	w.add('rest', w.item('savasana', { form: 'supported', dose: 360 }));
	return w.plan('High step, dropped knee', '17:30', 50 * 60, 'The knee high and out, then in and down');
}

/** Desk workers at lunch: open the front, wake the seat. */
function lampPlan(): ClassPlan {
	const w = new PlanWriter();
	w.add('settle', w.item('mountain', { dose: 5 }));
	w.add(
		'warm',
		w.item('standing-leg-back', { form: 'supported', dose: 6 }),
		w.item('chair-sit-to-stand', { dose: { amount: 6, sets: 2, restSeconds: 15 } }),
		w.item('cat-cow', { dose: 6 }),
		w.item('quadruped-knee-sweep', { dose: 4 })
	);
	w.add(
		'build',
		w.item('low-lunge', { form: 'supported', dose: { amount: 5, sets: 2, restSeconds: 5 }, notice: 10 }),
		w.item('half-kneel-turn-in', { form: 'supported', dose: 6 }),
		w.item('seated-knee-wipers', { dose: 8 }),
		w.item('90-90-sit', { form: 'supported', dose: 30 }),
		w.item('clam', { dose: 10 }),
		w.item('sidelying-rotation-low', { form: 'supported', dose: 8 })
	);
	w.add(
		'release',
		w.item('bridge-lift', { dose: { amount: 8, lastHold: { amount: 3, unit: 'breaths' } } }),
		w.item('supported-bridge', { form: 'supported', dose: 90 }),
		w.item('supine-twist', { dose: 5 })
	);
	w.add('rest', w.item('savasana', { dose: 180 }));
	return w.plan('Out of the chair', '12:20', 30 * 60, 'The front of the hips, and the seat that holds it');
}

/** The same people a week later: a wave that goes with the breath, between the same test taken twice. */
function lampWave(): ClassPlan {
	const w = new PlanWriter();
	w.add('settle', w.item('mountain', { dose: 4 }), w.test('leg-roll'));
	w.add(
		'warm',
		w.item('quadruped-knee-sweep', { dose: 4 }),
		w.flow([
			w.item('cat-cow', { dose: 5 }),
			w.item('low-lunge', { form: 'supported' }),
			w.item('downward-dog')
		])
	);
	const stepped = {
		...w.item('pigeon-fold', { lead: 'right', form: 'supported' }),
		link: 'steps through' as const
	};
	w.add(
		'build',
		w.chain(w.item('low-lunge', { form: 'supported', dose: 4 }), stepped),
		w.item('seated-knee-wipers', { dose: 10 }),
		w.item('90-90-sit', { form: 'supported', dose: 40, notice: 10 }),
		w.item('clam', { dose: { amount: 8, sets: 2, restSeconds: 15 } }),
		w.item('reverse-clam', { dose: { amount: 8, lastHold: { amount: 5, unit: 'counts' } } })
	);
	w.add(
		'release',
		w.item('bridge-lift', { dose: { amount: 8, sets: 2, restSeconds: 15 } }),
		w.item('supported-bridge', { form: 'supported', dose: 60 }),
		w.item('supine-twist', { dose: 5, notice: 15 }),
		w.test('leg-roll')
	);
	w.add('rest', w.item('savasana', { dose: 240 }));
	return w.plan('A wave at noon', '12:20', 30 * 60, 'A wave with the breath, between the same test twice');
}

/** A class brought to its exact length at the usual pace. */
function onTime(plan: ClassPlan): ClassPlan {
	const fitted = fit(plan, findMovement, USUAL_PACE);
	if (!fitted.ok) throw new Error(`the demo’s “${plan.title}” cannot be brought to its length`);
	return applyEdit(plan, { do: 'setDoses', doses: fitted.doses });
}

export interface DemoPlan {
	group: DemoGroupKey;
	/** Weeks from the current one: 0 this week, -1 last week. */
	week: number;
	plan: ClassPlan;
}

/** First Tide and Skiff Crew have no plan yet: there is work on the Week view. */
export const DEMO_PLANS: DemoPlan[] = [
	{ group: 'striders', week: 0, plan: onTime(stridersPlan()) },
	{ group: 'striders', week: 1, plan: stridersFirstDraft() },
	{ group: 'chalk', week: 0, plan: onTime(chalkPlan()) },
	{ group: 'lamp', week: 0, plan: onTime(lampPlan()) },
	{ group: 'lamp', week: 1, plan: onTime(lampWave()) }
];
