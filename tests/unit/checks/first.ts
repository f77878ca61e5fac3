import type { Targets } from '../../../src/lib/core/orbit';
import { type PlanWriter } from '../../../src/lib/demo/build';
import { ANY, groupOf, warm, type Tables } from './case';

const turningIn: Targets = {
	...ANY,
	directions: { ...ANY.directions, internalRotation: { minPercent: 20, maxPercent: 40 } }
};

/** More than a minute of moving in a deep form. */
const lifted = (w: PlanWriter) => w.item('bridge-lift', { form: 'loaded', mode: 'dynamic', dose: 10 });

export const FIRST: Tables = {
	'both-sides': {
		passing: [
			['a movement given on both sides', (w) => w.add('build', w.item('clam'))],
			[
				'one side, with a reason',
				(w) => w.add('build', { ...w.item('clam'), oneSided: { reason: 'the tighter side' } })
			],
			['a symmetrical movement', (w) => w.add('build', { ...w.item('cat-cow'), oneSided: { reason: '' } })]
		],
		failing: [
			[
				'one side, without a reason',
				(w) => w.add('build', { ...w.item('clam'), oneSided: { reason: '  ' } }),
				'Clam is given on the left side only, and no reason is given'
			],
			[
				'one item of a chain dropped on the second side',
				(w) =>
					w.add(
						'build',
						w.chain(w.item('low-lunge'), { ...w.item('clam', { lead: 'right' }), oneSided: { reason: '' } })
					),
				'Clam is given on the right side only, and no reason is given'
			]
		]
	},
	'warm-before-deep': {
		passing: [
			['a deep shape after three minutes of moving', (w) => (warm(w), w.add('peak', w.item('frog')))],
			['a supported shape at once', (w) => w.add('build', w.item('pigeon-fold', { form: 'supported' }))],
			['slow repetitions of a deep form', (w) => w.add('warm', lifted(w), lifted(w))],
			[
				'slow repetitions of a deep form warm for what comes after them',
				(w) => w.add('warm', lifted(w), lifted(w), lifted(w), lifted(w)).add('peak', w.item('frog'))
			],
			[
				'after sport people come warm',
				(w) => w.add('settle', w.item('frog')),
				{ group: groupOf({ moment: 'after sport' }) }
			]
		],
		failing: [
			[
				'the frog first',
				(w) => (w.add('settle', w.item('frog')), warm(w)),
				'Frog is deep and comes after only 0:00 of moving; 3:00 are wanted before it'
			],
			[
				'rest does not warm',
				(w) => w.add('settle', w.item('constructive-rest', { dose: 15 })).add('peak', w.item('pigeon-fold')),
				'Pigeon, folded forward is deep and comes after only 0:00 of moving; 3:00 are wanted before it'
			],
			[
				'holding something deep does not warm',
				(w) => w.add('warm', w.item('90-90-sit', { form: 'stronger', dose: 60 })).add('peak', w.item('frog')),
				'90-90 seat is deep and comes after only 0:00 of moving; 3:00 are wanted before it (also Frog)'
			]
		],
		unmendable: ['rest does not warm', 'holding something deep does not warm']
	},
	'close-with-rest': {
		passing: [
			['a final rest', (w) => w.add('rest', w.item('savasana'))],
			['quiet sitting', (w) => w.add('rest', w.item('easy-seat', { mode: 'rest', dose: 10 }))],
			['eight minutes for one thing', (w) => w.add('build', w.item('clam')), { length: 480 }]
		],
		failing: [
			[
				'a stretch at the end',
				(w) => w.add('release', w.item('happy-baby')),
				'the class ends with Happy baby, not with rest',
				{ length: 1800 }
			],
			[
				'a rest of half a minute',
				(w) => w.add('rest', w.item('easy-seat', { mode: 'rest', dose: 4 })),
				'the closing rest is 0:28; at least 1:00 is usual',
				{ length: 1800 }
			]
		],
		unmendable: ['a rest of half a minute']
	},
	'direction-short': {
		passing: [
			['half of the time turned in', (w) => w.add('warm', w.item('supine-leg-roll')), { targets: turningIn }],
			['an empty class', () => undefined, { targets: turningIn }]
		],
		failing: [
			[
				'no turning in at all',
				(w) => w.add('peak', w.item('pigeon-fold')),
				// 3 x 84 s of other directions: x = 0.2 x 252 / 0.8
				'internal rotation gets 0 % of the direction time; the band begins at 20 % (about 1:03 more)',
				{ targets: turningIn }
			]
		]
	},
	'time-over-or-under': {
		passing: [
			['a class of just its length', (w) => w.add('build', w.item('clam'))],
			['an empty class', () => undefined, { length: 1800 }]
		],
		failing: [
			// 3 + 13 + 45 + 12 + 8 + 45 s
			['too short', (w) => w.add('build', w.item('clam')), 'the class ends 2:57 early', { length: 300 }],
			[
				'too long',
				(w) => w.add('rest', w.item('savasana', { dose: 600 })),
				'the class runs 5:34 over',
				{ length: 300 }
			]
		],
		unmendable: ['too short']
	}
};
