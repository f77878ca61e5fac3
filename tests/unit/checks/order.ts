import { mirror } from '../../../src/lib/core/plan';
import { type Tables, warm, type Write } from './case';

/** A class in good order: everything that the checks of order look at, in its place. */
const inOrder: Write = (w) => {
	w.add('settle', w.item('constructive-rest', { dose: 8 }));
	warm(w);
	w.add('build', w.item('butterfly'), w.item('goddess-squat'), w.item('low-lunge', { form: 'full' }));
	w.add('peak', w.item('frog', { dose: 90 }));
	w.add('release', w.item('childs-pose'), w.item('knees-to-chest'));
	w.add('rest', w.item('savasana', { dose: 120 }));
};

/** Warrior 2 first, and nothing after it that goes beyond intensity 2. */
const early =
	(form: 'supported' | 'full'): Write =>
	(w) => {
		w.add('settle', w.item('warrior-2', { form, dose: 45 }));
		warm(w);
		w.add('build', w.item('butterfly'), w.item('clam'));
		w.add('rest', w.item('savasana', { dose: 600 }));
	};

export const ORDER: Tables = {
	'wrists-before-weight': {
		passing: [
			['all fours first', (w) => w.add('warm', w.item('cat-cow'), w.item('plank'))],
			['on the forearms', (w) => w.add('warm', w.item('forearm-dog'))],
			['passed through', (w) => w.add('warm', { ...w.item('plank', { dose: 1 }), passed: true })],
			['nothing on the hands', (w) => w.add('build', w.item('clam'))]
		],
		failing: [
			[
				'a dog to begin with',
				(w) => w.add('warm', w.item('downward-dog'), w.item('cat-cow')),
				'Downward dog is the first load on the hands; start on all fours'
			]
		]
	},
	'move-before-hold': {
		passing: [
			['moving, then holding', inOrder],
			['a rest at the beginning is no hold', (w) => w.add('settle', w.item('constructive-rest'))],
			[
				'a gentle hold to arrive in',
				(w) => w.add('settle', w.item('supine-butterfly')).add('warm', w.item('cat-cow'))
			]
		],
		failing: [
			[
				'hanging first',
				(w) => w.add('warm', w.item('supine-butterfly'), w.item('cat-cow')),
				'Lying butterfly is held before anything has moved'
			],
			[
				'nothing moves at all',
				(w) => w.add('warm', w.item('supine-butterfly')),
				'Lying butterfly is held before anything has moved'
			]
		],
		unmendable: ['nothing moves at all']
	},
	'heavy-passive-last': {
		passing: [
			['frog after the strength', inOrder],
			[
				'a light passive shape may come first',
				(w) => w.add('warm', w.item('supine-butterfly')).add('build', w.item('goddess-squat'))
			]
		],
		failing: [
			[
				'frog first',
				(w) => w.add('warm', w.item('frog')).add('build', w.item('goddess-squat'), w.item('warrior-2')),
				'Frog is a heavy passive hold before Wide squat asks for strength'
			],
			[
				'frog in the middle',
				(w) => {
					warm(w);
					w.add('build', w.item('butterfly'), w.item('frog'));
					w.add('peak', w.item('goddess-squat'));
				},
				'Frog is a heavy passive hold before Wide squat asks for strength'
			]
		],
		unmendable: ['frog first']
	},
	'preparation-before-deep': {
		passing: [
			['butterfly, then frog', inOrder],
			[
				'the same shape under another name prepares nothing after it',
				(w) => w.add('peak', w.item('90-90-press', { form: 'stronger' }), w.item('90-90-forearm-rotation'))
			],
			[
				'something as deep of the same kind came before',
				(w) =>
					w
						.add('warm', w.item('90-90-sit', { form: 'full' }))
						.add('peak', w.item('pigeon-upright', { form: 'full' }), w.item('pigeon-fold', { form: 'full' }))
						.add('release', w.item('seated-figure-four'))
			],
			['no preparation in the class is the business of another check', (w) => w.add('peak', w.item('frog'))]
		],
		failing: [
			[
				'frog, then butterfly',
				(w) => w.add('peak', w.item('frog')).add('release', w.item('butterfly')),
				'Butterfly prepares Frog and comes only after it'
			]
		]
	},
	'strengthen-then-release': {
		passing: [
			[
				'one-leg squats, then a figure four',
				(w) =>
					w
						.add('build', w.item('single-leg-squat', { form: 'full' }))
						.add(
							'release',
							w.item('supine-figure-four'),
							w.item('supine-twist'),
							w.item('supine-cross-quad-catch')
						)
			],
			['light work wants no release', (w) => w.add('build', w.item('clam'))]
		],
		failing: [
			[
				'the hardest clams and nothing after',
				(w) => (w.add('build', w.item('clam', { form: 'stronger' })), w.add('rest', w.item('savasana'))),
				'nothing releases the hip external rotators and the hip abductors after Clam'
			]
		]
	},
	'counter-shape-after': {
		passing: [
			['child’s pose after the frog', inOrder],
			['a rest will do', (w) => w.add('peak', w.item('frog')).add('rest', w.item('savasana'))],
			['a moderate shape needs none', (w) => w.add('peak', w.item('pigeon-fold', { form: 'supported' }))]
		],
		failing: [
			[
				'two stretches after the frog',
				(w) => w.add('peak', w.item('frog'), w.item('butterfly'), w.item('wide-leg-seated')),
				'no counter shape follows Frog'
			]
		]
	},
	'peak-place': {
		passing: [
			['a peak at two thirds', inOrder],
			['a short class has no arc', (w) => (w.add('settle', w.item('frog')), warm(w))],
			['a class in which nothing goes beyond intensity 2 has no peak', early('supported')],
			[
				'a short deep hold before what is called the peak',
				(w) => {
					w.add('warm', w.item('cat-cow'), w.item('goddess-squat', { form: 'stronger', dose: 2 }));
					w.add('build', w.item('butterfly', { dose: 60 }));
					w.add('peak', w.item('low-lunge', { form: 'full', dose: 20 }));
					w.add('rest', w.item('savasana', { dose: 300 }));
				}
			]
		],
		failing: [
			[
				'the deepest shape at the very beginning',
				(w) => {
					w.add('settle', w.item('frog', { dose: 60 }));
					warm(w);
					w.add('build', w.item('butterfly'), w.item('low-lunge', { form: 'full' }));
					w.add('rest', w.item('savasana', { dose: 600 }));
				},
				'the peak lies at 0:55, 4 % of the class; about 55 to 80 % is usual'
			],
			[
				'intensity 3 at the very beginning',
				early('full'),
				'the peak lies at 1:08, 5 % of the class; about 55 to 80 % is usual'
			]
		],
		unmendable: ['the deepest shape at the very beginning', 'intensity 3 at the very beginning']
	},
	'calm-open': {
		passing: [
			['lying down', inOrder],
			[
				'people have moved for two minutes',
				(w) => w.add('settle', w.item('cat-cow', { dose: 30 }), w.item('low-lunge', { form: 'full' }))
			]
		],
		failing: [
			[
				'a lunge at once',
				(w) => (w.add('settle', w.item('low-lunge', { form: 'full' })), warm(w)),
				'the class opens with Low lunge at intensity 3 of 5'
			],
			[
				'nothing calm in the class',
				(w) => w.add('settle', w.item('frog'), w.item('frog'), w.item('frog')),
				'the class opens with Frog at intensity 5 of 5'
			]
		],
		unmendable: ['nothing calm in the class']
	},
	'calm-close': {
		passing: [
			['knees hugged in before the rest', inOrder],
			['two items are no class', (w) => w.add('peak', w.item('frog')).add('rest', w.item('savasana'))],
			[
				'the heaviest passive shape last, as it is wanted',
				(w) =>
					w
						.add('warm', w.item('cat-cow'), w.item('clam'))
						.add('peak', w.item('frog'))
						.add('rest', w.item('savasana'))
			]
		],
		failing: [
			[
				'a strong form right before the rest',
				(w) =>
					w
						.add('warm', w.item('cat-cow'))
						.add('peak', w.item('warrior-2', { form: 'stronger' }))
						.add('rest', w.item('savasana')),
				'right before the end comes Warrior II at intensity 4 of 5'
			],
			[
				'a deep squat has no easier form',
				(w) =>
					w
						.add('warm', w.item('cat-cow'), w.item('clam'))
						.add('peak', w.item('bridge-lift', { form: 'loaded' }))
						.add('rest', w.item('savasana')),
				'right before the end comes Bridge, lifting and lowering at intensity 4 of 5'
			]
		]
	},
	'first-side-habit': {
		passing: [
			['a style with one habit', (w) => w.add('build', w.item('clam')), { lastFirstSide: 'left' }],
			[
				'the other side this time',
				(w) => w.add('build', w.item('clam', { lead: 'right' })),
				{ style: { firstSide: 'alternate' }, lastFirstSide: 'left' }
			],
			[
				'nothing with sides',
				(w) => w.add('build', w.item('cat-cow')),
				{ style: { firstSide: 'alternate' }, lastFirstSide: 'left' }
			],
			[
				'mirrored',
				(w) => w.add('build', w.item('clam')),
				{ style: { firstSide: 'alternate' }, lastFirstSide: 'left', change: mirror }
			]
		],
		failing: [
			[
				'the same side again',
				(w) => w.add('build', w.item('clam')),
				'the left side goes first, as it did last time',
				{ style: { firstSide: 'alternate' }, lastFirstSide: 'left' }
			]
		]
	},
	'side-drift': {
		passing: [
			['both sides alike', (w) => w.add('build', w.item('clam'))],
			[
				'more time on purpose',
				(w) => w.add('build', w.item('clam', { dose: { amount: 10, moreOn: { leg: 'left', amount: 5 } } })),
				{ style: { sides: 'more time' } }
			],
			[
				'one side only is another matter',
				(w) => w.add('build', { ...w.item('clam'), oneSided: { reason: 'sore' } })
			]
		],
		failing: [
			[
				'half as much again on one side',
				(w) => w.add('build', w.item('clam', { dose: { amount: 10, moreOn: { leg: 'left', amount: 5 } } })),
				// 15 and 10 repetitions of 4.6 s
				'Clam gets 1:09 on the first side and 0:46 on the second'
			]
		]
	},
	'owed-at-end': {
		passing: [
			['both sides', (w) => w.add('build', w.item('clam'))],
			[
				'one side, with a reason',
				(w) => w.add('build', { ...w.item('clam', { dose: 10 }), oneSided: { reason: 'the tighter side' } })
			],
			[
				'one side now, the other later',
				(w) =>
					w.add(
						'build',
						{ ...w.item('clam'), oneSided: { reason: 'first' } },
						{ ...w.item('clam', { lead: 'right' }), oneSided: { reason: 'now the other' } }
					)
			]
		],
		failing: [
			[
				'a flow of three rounds',
				(w) => w.add('build', { ...w.flow([w.item('low-lunge')]), rounds: 3 }),
				'Low lunge: the right leg is still owed 0:05 at the end, because its flow has an odd number of rounds'
			]
		]
	},
	'position-churn': {
		passing: [['grouped by position', inOrder]],
		failing: [
			[
				// the class of 18 minutes that changed thirty times (common practice, no source)
				'thirty changes in one class',
				(w) => {
					for (let i = 0; i < 15; i++)
						w.add('build', w.item('cat-cow', { dose: 3 }), w.item('mountain', { dose: 2 }));
				},
				'the body position changes 29 times; 9 are plenty for a class of this length'
			]
		],
		unmendable: ['thirty changes in one class']
	},
	'kit-churn': {
		passing: [
			['one kind', (w) => w.add('release', w.item('supine-butterfly', { form: 'supported' }))],
			[
				'two kinds that lie beside the mat, however often',
				(w) => {
					for (let i = 0; i < 4; i++)
						w.add(
							'build',
							w.item('supine-block-squeeze', { dose: 5 }),
							w.item('supine-hamstring-strap', { form: 'supported', dose: 25 })
						);
				}
			]
		],
		failing: [
			[
				'a shop beside every mat',
				(w) =>
					w.add(
						'build',
						w.item('supine-block-squeeze'),
						w.item('supine-hamstring-strap'),
						w.item('chair-turn'),
						w.item('frog', { form: 'supported' })
					),
				'5 kinds of kit are fetched: block, strap, chair, bolster, blanket; 4 are plenty'
			]
		],
		unmendable: ['a shop beside every mat']
	},
	'loaded-in-a-row': {
		passing: [
			['five on all fours', (w) => w.add('warm', ...Array.from({ length: 5 }, () => w.item('cat-cow')))],
			[
				'something else between',
				(w) => {
					for (let i = 0; i < 4; i++)
						w.add('warm', w.item('cat-cow'), w.item('fire-hydrant'), w.item('clam'));
				}
			]
		],
		failing: [
			[
				'six on the hands and on bare knees',
				(w) => w.add('warm', ...Array.from({ length: 6 }, () => w.item('cat-cow'))),
				[
					'6 items in a row load the wrists, from Cat and cow on',
					'6 items in a row load the knees, from Cat and cow on'
				]
			]
		],
		unmendable: ['six on the hands and on bare knees']
	},
	'heavy-sides-reset': {
		passing: [
			['two', (w) => w.add('peak', w.item('lizard'), w.item('pigeon-fold', { form: 'full' }))],
			[
				'knees rocked between',
				(w) =>
					w.add(
						'peak',
						w.item('lizard'),
						w.item('pigeon-fold', { form: 'full' }),
						w.item('supine-knee-rock'),
						w.item('fire-log')
					)
			]
		],
		failing: [
			[
				'three in a row',
				(w) => w.add('peak', w.item('lizard'), w.item('pigeon-fold', { form: 'full' }), w.item('fire-log')),
				'3 deep two-sided shapes follow without a reset, from Lizard on'
			]
		],
		unmendable: ['three in a row']
	},
	'crossing-before-front': {
		passing: [
			[
				'the front first',
				(w) => w.add('build', w.item('low-lunge', { mode: 'passive', dose: 40 }), w.item('eagle-legs'))
			],
			['nothing from front to back', (w) => w.add('build', w.item('eagle-legs'), w.item('butterfly'))]
		],
		failing: [
			[
				'crossed before the lunge',
				(w) => w.add('build', w.item('eagle-legs'), w.item('low-lunge', { mode: 'passive', dose: 40 })),
				'Eagle legs crosses the body before any front-to-back work; Low lunge comes only later'
			]
		],
		unmendable: ['crossed before the lunge']
	},
	'heavy-before-light': {
		passing: [
			[
				'the light one leads there',
				(w) => w.add('release', w.item('supine-butterfly', { form: 'full', mode: 'passive' }), w.item('frog'))
			],
			['of another muscle', (w) => w.add('release', w.item('frog'), w.item('supine-figure-four'))]
		],
		failing: [
			[
				'the frog first',
				(w) =>
					w.add('release', w.item('frog'), w.item('supine-butterfly', { form: 'full', mode: 'passive' })),
				'Lying butterfly is light and comes after Frog, which is heavy on the same muscles'
			]
		],
		unmendable: ['the frog first']
	},
	'facing-changes': {
		passing: [
			[
				'warriors together, lunges together',
				(w) => w.add('build', w.item('warrior-2'), w.item('reverse-warrior'), w.item('low-lunge'))
			]
		],
		failing: [
			[
				'to and fro',
				(w) => {
					for (let i = 0; i < 4; i++) w.add('build', w.item('warrior-2'), w.item('runner-lunge'));
				},
				'the group turns on the mat 7 times between wide shapes and lunges'
			]
		],
		unmendable: ['to and fro']
	},
	'level-jump': {
		passing: [
			[
				'by way of all fours',
				(w) => w.add('warm', w.item('supine-leg-roll'), w.item('cat-cow'), w.item('mountain'))
			],
			['down into the final rest', (w) => w.add('build', w.item('mountain')).add('rest', w.item('savasana'))]
		],
		failing: [
			[
				'from the back to the feet',
				(w) => w.add('warm', w.item('supine-leg-roll'), w.item('mountain')),
				'Mountain goes from “on the back” to “standing” at once'
			]
		],
		unmendable: ['from the back to the feet']
	},
	'talk-share': {
		passing: [
			['ordinary talk', inOrder],
			['three items are no class', (w) => w.add('build', w.talk('A long story', 300), w.item('clam'))]
		],
		failing: [
			[
				'a lecture',
				(w) => {
					w.add('settle', w.talk('A long story', 600));
					w.add('build', w.item('clam'), w.item('cat-cow'), w.item('mountain'), w.item('cobra'));
				},
				'explaining and talking take 69 % of the class; at most 25 % is usual'
			]
		]
	},
	'no-pause': {
		passing: [
			['a short class', inOrder],
			[
				'a pause after the pigeon',
				(w) => {
					inOrder(w);
					w.add('peak', w.item('pigeon-fold', { notice: 15 }));
					w.add('rest', w.item('savasana', { dose: 600 }));
				}
			]
		],
		failing: [
			[
				'a long class without one',
				(w) => {
					warm(w);
					w.add(
						'build',
						w.item('low-lunge'),
						w.item('goddess-squat'),
						w.item('butterfly'),
						w.item('happy-baby')
					);
					w.add('rest', w.item('savasana', { dose: 600 }));
				},
				'the class has no pause for noticing between its beginning and its end; 1 would be usual'
			]
		]
	}
};
