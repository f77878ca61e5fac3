import type { ClassPlan } from '../core/plan';
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
		w.chain(w.item('low-lunge', { dose: 5, form: 'supported' }), w.item('low-lunge-knee-lift', { dose: 3 })),
		w.item('standing-hip-circle', { dose: 5 }),
		w.item('curtsy-cross', { dose: 5 }),
		w.item('eagle-legs', { dose: 4 }),
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
		w.item('supported-bridge', { form: 'supported', mode: 'passive', dose: 100 }),
		w.item('supine-twist', { dose: 6 }),
		w.item('happy-baby', { dose: 45, notice: 15 })
	);
	w.add('rest', w.item('savasana', { dose: 240 }));
	return w.plan('After the headland run', '19:15', 45 * 60);
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
		w.chain(w.item('low-lunge', { dose: 5 }), w.item('low-lunge-knee-lift', { form: 'stronger', dose: 4 })),
		w.item('standing-hip-circle', { dose: 6 }),
		w.item('goddess-squat', { dose: 40 }),
		w.item('eagle-legs', { dose: 5 }),
		w.item('wide-stance-knee-turn-in', { form: 'supported', dose: 4 }),
		w.item('single-leg-squat', { form: 'supported', dose: 5 }),
		w.item('90-90-sit', { dose: 40 }),
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
	return w.plan('High step, dropped knee', '17:30', 50 * 60);
}

/** Desk workers at lunch: open the front, wake the seat. */
function lampPlan(): ClassPlan {
	const w = new PlanWriter();
	w.add('settle', w.item('mountain', { dose: 5 }));
	w.add(
		'warm',
		w.item('standing-hip-circle', { form: 'supported', dose: 5 }),
		w.item('cat-cow', { dose: 6 }),
		w.item('quadruped-knee-sweep', { dose: 4 })
	);
	w.add(
		'build',
		w.item('low-lunge', { form: 'supported', dose: 5 }),
		w.item('seated-knee-wipers', { dose: 8 }),
		w.item('90-90-sit', { form: 'supported', dose: 30 }),
		w.item('clam', { dose: 10 }),
		w.item('sidelying-rotation-low', { form: 'supported', dose: 8 })
	);
	w.add(
		'release',
		w.item('supported-bridge', { form: 'supported', dose: 90 }),
		w.item('supine-twist', { dose: 5 })
	);
	w.add('rest', w.item('savasana', { form: 'supported', dose: 180 }));
	return w.plan('Out of the chair', '12:20', 30 * 60);
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
		w.item('90-90-sit', { form: 'supported', dose: 40 }),
		w.item('clam', { dose: 11 })
	);
	w.add(
		'release',
		w.item('supported-bridge', { form: 'supported', dose: 60 }),
		w.item('supine-twist', { dose: 5, notice: 15 }),
		w.test('leg-roll')
	);
	w.add('rest', w.item('savasana', { dose: 240 }));
	return w.plan('A wave at noon', '12:20', 30 * 60);
}

export interface DemoPlan {
	group: DemoGroupKey;
	/** Weeks from the current one: 0 this week, -1 last week. */
	week: number;
	plan: ClassPlan;
}

/** First Tide and Skiff Crew have no plan yet: there is work on the Week view. */
export const DEMO_PLANS: DemoPlan[] = [
	{ group: 'striders', week: 0, plan: stridersPlan() },
	{ group: 'striders', week: 1, plan: stridersFirstDraft() },
	{ group: 'chalk', week: 0, plan: chalkPlan() },
	{ group: 'lamp', week: 0, plan: lampPlan() },
	{ group: 'lamp', week: 1, plan: lampWave() }
];
