import type { PlanWriter } from '../../../src/lib/demo/build';
import type { Tables } from './case';

/** A low lunge, then a pigeon with the leg given, linked as given. */
const lungeToPigeon = (w: PlanWriter, lead: 'left' | 'right', link?: 'steps through') =>
	w.add(
		'build',
		w.chain(w.item('low-lunge'), { ...w.item('pigeon-fold', { lead }), ...(link ? { link } : {}) })
	);

export const LINKS: Tables = {
	'leg-through-links': {
		passing: [
			['the same leg leads on', (w) => lungeToPigeon(w, 'left')],
			['stepping through gives the lead to the other leg', (w) => lungeToPigeon(w, 'right', 'steps through')],
			[
				'items on their own hang on nothing',
				(w) => w.add('build', w.item('low-lunge'), w.item('pigeon-fold', { lead: 'right' }))
			],
			[
				'what has no sides in between does not count',
				(w) =>
					w.add('build', w.flow([w.item('low-lunge'), w.item('cat-cow', { lead: 'right' }), w.item('clam')]))
			]
		],
		failing: [
			[
				'a change that nobody speaks of',
				(w) => lungeToPigeon(w, 'right'),
				'Pigeon, folded forward is led by the right leg after Low lunge by the left, and the plan does not say how the leg changes'
			],
			[
				'a step through after which the same leg leads',
				(w) => lungeToPigeon(w, 'left', 'steps through'),
				'Pigeon, folded forward is led by the left leg like Low lunge before it, though the leg steps through in between'
			],
			[
				'in a flow too',
				(w) => w.add('build', w.flow([w.item('low-lunge'), w.item('clam', { lead: 'right' })])),
				'Clam is led by the right leg after Low lunge by the left, and the plan does not say how the leg changes'
			]
		]
	},
	'test-at-both-ends': {
		passing: [
			['no test', (w) => w.add('build', w.item('clam'))],
			[
				'before and after',
				(w) =>
					w.add('settle', w.test('leg-roll')).add('build', w.item('clam')).add('release', w.test('leg-roll'))
			]
		],
		failing: [
			[
				'only before',
				(w) => w.add('settle', w.test('leg-roll')).add('build', w.item('clam'), w.item('cat-cow')),
				'Rolling straight legs in is tested once; a second time, near the end, would show the effect of the class'
			],
			[
				'only after',
				(w) => w.add('build', w.item('clam'), w.item('cat-cow')).add('release', w.test('seat-switch')),
				'Switching the seat without hands is tested once; a second time, at the beginning, would show the effect of the class'
			],
			[
				'another test at the end is another question',
				(w) =>
					w
						.add('settle', w.test('leg-roll'))
						.add('build', w.item('clam'), w.item('cat-cow'))
						.add('release', w.test('seat-switch')),
				[
					'Rolling straight legs in is tested once; a second time, near the end, would show the effect of the class',
					'Switching the seat without hands is tested once; a second time, at the beginning, would show the effect of the class'
				]
			]
		]
	},
	'revisit-deeper': {
		passing: [
			[
				'longer the second time',
				(w) => w.add('build', w.item('low-lunge', { dose: 3 }), w.item('low-lunge', { dose: 5 }))
			],
			[
				'a stronger form the second time',
				(w) =>
					w.add(
						'build',
						w.item('butterfly', { form: 'supported' }),
						w.item('butterfly', { form: 'full', dose: 3 })
					)
			],
			['a base to come back to', (w) => w.add('warm', w.item('mountain')).add('release', w.item('mountain'))],
			[
				'moving through it again',
				(w) => w.add('warm', w.item('cat-cow')).add('release', w.item('cat-cow', { dose: 4 }))
			],
			[
				'a flow comes back by itself',
				(w) => w.add('build', w.flow([w.item('low-lunge'), w.item('low-lunge')]))
			]
		],
		failing: [
			[
				'the very same again',
				(w) =>
					w.add('build', w.item('low-lunge', { dose: 4 }), w.item('clam'), w.item('low-lunge', { dose: 4 })),
				'Low lunge comes a second time with no change'
			]
		]
	},
	'crossing-swaps': {
		passing: [
			['one visit', (w) => w.add('settle', w.item('easy-seat'))],
			[
				'the other shin at the end',
				(w) => w.add('settle', w.item('easy-seat')).add('rest', w.item('easy-seat', { lead: 'right' }))
			]
		],
		failing: [
			[
				'the same shin at the end',
				(w) => w.add('settle', w.item('easy-seat')).add('rest', w.item('easy-seat')),
				'Cross-legged seat comes again with the left shin in front as before'
			]
		]
	}
};
