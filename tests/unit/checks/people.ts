import { newGroup } from '../../../src/lib/core/group';
import { groupOf, warm, type Tables } from './case';

const knee = groupOf({}, ['sore knee']);
const known = ['cat-cow', 'clam', 'supine-figure-four'];

const leftBehind = { ...groupOf(), moreOn: [{ leg: 'left' as const, region: 'outer' as const }] };

export const PEOPLE: Tables = {
	'tighter-side': {
		passing: [
			['nobody was measured', (w) => w.add('release', w.item('supine-figure-four'))],
			['nothing works there', (w) => w.add('build', w.item('cat-cow')), { group: leftBehind }]
		],
		failing: [
			[
				'both sides get the same',
				(w) => w.add('release', w.item('supine-figure-four')),
				'outer hips: the left side is behind, and nothing in this class gives it more',
				{ group: leftBehind }
			],
			[
				'by a teacher who gives another set',
				(w) => w.add('release', w.item('supine-figure-four')),
				'outer hips: the left side is behind, and nothing in this class gives it more',
				{ group: leftBehind, style: { sides: 'more sets' } }
			],
			[
				'by a teacher who gives another prop',
				(w) => w.add('release', w.item('supine-figure-four')),
				'outer hips: the left side is behind, and nothing in this class gives it more',
				{ group: leftBehind, style: { sides: 'more props' } }
			]
		]
	},
	'back-time': {
		passing: [
			['nobody is pregnant', (w) => w.add('rest', w.item('savasana', { dose: 600 }))],
			[
				'they lie on the side instead',
				(w) => w.add('rest', w.item('savasana', { dose: 600 })),
				{ group: groupOf({}, ['pregnancy']) }
			]
		],
		failing: [
			[
				'kept on the back by confirmation',
				(w) => w.add('rest', w.item('savasana', { dose: 600, keep: ['pregnancy'] })),
				'pregnancy (2): 10:00 on the back without a break. Offer a turn to the left side after 3:00.',
				{ group: groupOf({}, ['pregnancy']) }
			]
		],
		unmendable: ['kept on the back by confirmation']
	},
	'end-range-sum': {
		passing: [
			[
				'they get strength in place of stretches',
				(w) => w.add('release', w.item('pigeon-fold', { dose: 120 }), w.item('frog', { dose: 120 })),
				{ group: groupOf({}, ['very mobile joints']) }
			]
		],
		failing: [
			[
				'many light pulls on an injured hamstring',
				(w) =>
					w.add(
						'build',
						w.item('hamstring-slide', { dose: 8 }),
						w.item('single-leg-hinge', { dose: 8, keep: ['hamstring injury'] }),
						w.item('standing-hinge', { dose: 8, keep: ['hamstring injury'] }),
						w.item('forward-fold', { dose: 10, keep: ['hamstring injury'] })
					),
				'hamstring injury (2): 5:22 of pull or load on the back of the thigh; 2:30 is enough. Spread it over several classes.',
				{ group: groupOf({}, ['hamstring injury']) }
			],
			[
				'long stretches that a very mobile person is kept in',
				(w) =>
					w.add(
						'release',
						w.item('pigeon-fold', { dose: 40, keep: ['very mobile joints'] }),
						w.item('frog', { dose: 30, keep: ['very mobile joints'] })
					),
				'very mobile joints (2): 9:50 held in a stretch; 8:00 is enough. Let them work in the middle of the range instead.',
				{ group: groupOf({}, ['very mobile joints']) }
			],
			[
				'turned in again and again with a pinch',
				(w) => w.add('release', w.item('90-90-fold', { dose: 15, keep: ['front-of-hip pinch'] })),
				'front-of-hip pinch (2): 4:00 with the hip bent and turned in; 2:00 is enough. Give them one of these lying, with the leg long.',
				{ group: groupOf({}, ['front-of-hip pinch']) }
			],
			[
				'much of the inner thigh after an injury',
				(w) => w.add('release', w.item('frog', { dose: 200, keep: ['adductor injury'] })),
				'adductor injury (2): 3:20 of pull or load on the inner thigh; 2:30 is enough. Spread it over several classes.',
				{ group: groupOf({}, ['adductor injury']) }
			],
			[
				'long stretches of an unstable hip',
				(w) => w.add('release', w.item('pigeon-fold', { dose: 30, keep: ['unstable hip'] })),
				'unstable hip (2): 7:00 held in a stretch; 5:00 is enough. Let them work in the middle of the range instead.',
				{ group: groupOf({}, ['unstable hip']) }
			]
		],
		unmendable: [
			'many light pulls on an injured hamstring',
			'long stretches that a very mobile person is kept in',
			'turned in again and again with a pinch',
			'much of the inner thigh after an injury',
			'long stretches of an unstable hip'
		]
	},
	'one-leg-late': {
		passing: [
			[
				'early, a hand on the wall',
				(w) => {
					w.add('warm', w.item('standing-side-lift', { form: 'supported' }));
					w.add('rest', w.item('savasana', { dose: 600 }));
				},
				{ group: groupOf({}, ['poor balance']) }
			]
		],
		failing: [
			[
				'at the end',
				(w) => {
					w.add('warm', w.item('cat-cow', { dose: 10 }), w.item('clam', { dose: 12 }));
					w.add('peak', w.item('standing-side-lift', { form: 'supported' }));
				},
				'poor balance (2): Standing leg lift to the side stands on one leg late in the class. Both hands on the wall, or earlier.',
				{ group: groupOf({}, ['poor balance']) }
			]
		],
		unmendable: ['at the end']
	},
	'rising-quickly': {
		passing: [
			[
				'a seat comes between',
				(w) =>
					w.add(
						'build',
						w.item('constructive-rest', { dose: 50 }),
						w.item('seated-quiet'),
						w.item('standing-hinge')
					),
				{ group: groupOf({}, ['high blood pressure or glaucoma']) }
			]
		],
		failing: [
			[
				'from five minutes on the back to standing',
				(w) => w.add('build', w.item('constructive-rest', { dose: 50 }), w.item('standing-hinge')),
				'high blood pressure or glaucoma (2): Standing hinge stands up after 5:50 of lying. Let them sit for half a minute first.',
				{ group: groupOf({}, ['high blood pressure or glaucoma']) }
			]
		]
	},
	'breath-in-effort': {
		passing: [
			[
				'its note says so',
				(w) => w.add('peak', { ...w.item('wall-sit', { dose: 40 }), note: 'Breathe on' }),
				{ group: groupOf({}, ['after birth or hernia']) }
			],
			[
				'nobody for whom it matters',
				(w) => w.add('peak', w.item('wall-sit', { dose: 40 })),
				{ group: groupOf() }
			]
		],
		failing: [
			[
				'a wall sit without a word',
				(w) => w.add('peak', w.item('wall-sit', { dose: 40 })),
				'after birth or hernia (2): Wall sit is held hard for 0:40. Say that the breath goes on.',
				{ group: groupOf({}, ['after birth or hernia']) }
			]
		]
	},
	'first-load': {
		passing: [
			['it is not known what they have met', (w) => w.add('peak', w.item('clam', { form: 'loaded' }))],
			[
				'they know it',
				(w) => w.add('peak', w.item('clam', { form: 'loaded' })),
				{ group: groupOf(), taughtBefore: ['clam'] }
			]
		],
		failing: [
			[
				'two sets with a weight at once',
				(w) => w.add('peak', w.item('clam', { form: 'loaded' })),
				'Clam is new to them and heavy. Give one set of 6 the first time.',
				{ group: groupOf(), taughtBefore: ['cat-cow'] }
			]
		]
	},
	'caution-conflict': {
		passing: [
			['nobody known', (w) => w.add('peak', w.item('fire-log'))],
			['a movement that the caution does not touch', (w) => w.add('build', w.item('clam')), { group: knee }],
			[
				'a form that does what the caution asks',
				(w) => w.add('release', w.item('supine-butterfly', { form: 'supported' })),
				{ group: knee }
			]
		],
		failing: [
			[
				'against a sore knee',
				(w) => w.add('peak', w.item('fire-log')),
				'Fire log, sore knee (2): they do Lying figure four instead. Lying down.',
				{ group: knee }
			],
			[
				'against sore knees in most of the room',
				(w) => w.add('peak', w.item('fire-log')),
				'Fire log, sore knee (6): most of the room cannot do it; give all Lying figure four. Lying down.',
				{ group: { ...groupOf(), cautions: [{ caution: 'sore knee', people: 6 }] } }
			],
			[
				'another form would do',
				(w) => w.add('release', w.item('supine-butterfly')),
				'Lying butterfly, sore knee (2): they do the supported form instead. A block under each knee.',
				{ group: knee }
			],
			[
				'kept by the teacher’s own confirmation',
				(w) => w.add('peak', w.item('fire-log', { keep: ['sore knee'] })),
				'Fire log, sore knee (2): kept by your own confirmation',
				{ group: knee }
			],
			[
				'after surgery nothing is proposed',
				(w) => w.add('peak', w.item('cow-face-fold')),
				'Stacked knees, folded, after hip replacement (2): the treating clinician decides. Leave it out.',
				{ group: groupOf({}, ['after hip replacement']) }
			]
		],
		unmendable: [
			'against a sore knee',
			'another form would do',
			'kept by the teacher’s own confirmation',
			'after surgery nothing is proposed'
		]
	},
	'kit-shortage': {
		passing: [
			['nobody known', (w) => w.add('release', w.item('supine-butterfly', { form: 'supported' }))],
			[
				'enough',
				(w) => w.add('release', w.item('supine-butterfly', { form: 'supported' })),
				{ group: groupOf() }
			]
		],
		failing: [
			[
				'blankets stand in',
				(w) => w.add('release', w.item('supine-butterfly', { form: 'supported' })),
				'Lying butterfly needs 20 blocks, 18 are at hand: use folded blankets for 2',
				{ group: groupOf({ kit: { block: 18, blanket: 5 } }) }
			],
			[
				'nothing stands in',
				(w) => w.add('build', w.item('chair-sit-to-stand')),
				'Sitting down and standing up needs 10 chairs, 4 are at hand: 6 pieces have no stand-in; without: Half way down and up without a chair, arms forward',
				{ group: groupOf({ kit: { chair: 4 } }) }
			]
		],
		unmendable: ['blankets stand in', 'nothing stands in']
	},
	'purposes-missing': {
		passing: [
			['nobody known', (w) => w.add('build', w.item('clam')), { length: 2700 }],
			[
				'three of what climbers come for',
				(w) => w.add('build', w.item('garland-squat'), w.item('high-step-lift'), w.item('rock-over')),
				{ length: 2700, group: newGroup('climbers', 'Chalk Tuesdays') }
			],
			[
				'one is enough for twenty minutes',
				(w) => w.add('build', w.item('garland-squat')),
				{ length: 1200, group: { ...newGroup('climbers', 'Chalk Tuesdays'), purposes: ['turned-out squat'] } }
			],
			[
				'a set for one thing',
				(w) => w.add('build', w.item('clam')),
				{ length: 900, group: newGroup('climbers', 'Chalk Tuesdays') }
			],
			[
				'a group that names none',
				(w) => w.add('build', w.item('clam')),
				{ length: 2700, group: newGroup('general', 'Lamp Room') }
			]
		],
		failing: [
			[
				'climbers that lie down',
				(w) =>
					w.add('build', w.item('reverse-clam'), w.item('supine-leg-roll')).add('rest', w.item('savasana')),
				'Build and peak serve 0 of what Chalk Tuesdays come for; 1 would be good: turned-out squat, high step, dropped knee, wide straddle, heel perch, end-range lift',
				{ length: 1200, group: newGroup('climbers', 'Chalk Tuesdays') }
			]
		]
	},
	'tier-too-hard': {
		passing: [
			[
				'the tight tier does the supported form',
				(w) => w.add('peak', w.item('pigeon-fold', { form: 'full' })),
				{ group: groupOf({ tiers: { tight: 5, middling: 5, open: 0 } }) }
			],
			['nobody known', (w) => w.add('peak', w.item('frog'))]
		],
		failing: [
			[
				'beginners stay at three of five',
				(w) => w.add('peak', w.item('pigeon-fold', { form: 'full' })),
				'Pigeon, folded forward in the full form is too much for the middling (10) people',
				{ group: groupOf({ preset: 'beginners' }) }
			],
			[
				'no form is easy enough',
				(w) => w.add('peak', w.item('king-pigeon-prep', { form: 'supported' })),
				'Pigeon with the back foot caught in the supported form is too much for the tight (4) people',
				{ group: groupOf({ tiers: { tight: 4, middling: 6, open: 0 } }) }
			]
		],
		unmendable: ['no form is easy enough']
	},
	'missing-preparation': {
		passing: [
			[
				'a figure four before the pigeon',
				(w) =>
					w.add('warm', w.item('supine-figure-four')).add('peak', w.item('pigeon-fold', { form: 'full' }))
			],
			['a supported form needs none', (w) => w.add('build', w.item('pigeon-fold', { form: 'supported' }))],
			[
				'the same shape under another name just before',
				(w) => w.add('build', w.item('90-90-forearm-rotation')).add('peak', w.item('90-90-press'))
			],
			[
				'a preparation that comes too late is another matter',
				(w) => w.add('peak', w.item('frog')).add('release', w.item('butterfly'))
			],
			[
				'the second visit is prepared by the first',
				(w) => w.add('build', w.item('90-90-sit'), w.item('90-90-sit', { form: 'stronger' }))
			]
		],
		failing: [
			[
				'a pigeon out of nothing',
				(w) => (warm(w), w.add('peak', w.item('pigeon-fold', { form: 'full' }))),
				'Pigeon, folded forward comes without a preparation; one of these goes before it: Lying figure four, 90-90 seat, Seated knee wipers'
			],
			[
				'a peak that is not deep',
				(w) => (warm(w), w.add('peak', w.item('pigeon-fold', { form: 'supported' }))),
				'Pigeon, folded forward comes without a preparation; one of these goes before it: Lying figure four, 90-90 seat, Seated knee wipers'
			]
		]
	},
	'too-many-new': {
		passing: [
			['one new movement', (w) => w.add('build', w.item('cat-cow'), w.item('frog')), { taughtBefore: known }],
			[
				'a group that was never taught',
				(w) => w.add('build', w.item('cat-cow'), w.item('frog')),
				{ taughtBefore: [] }
			]
		],
		failing: [
			[
				'two at once',
				(w) => w.add('build', w.item('cat-cow'), w.item('frog'), w.item('plank')),
				'2 movements are new to this group: Frog, Plank',
				{ taughtBefore: known }
			]
		],
		unmendable: ['two at once']
	},
	'not-yet-known': {
		passing: [
			[
				'what it builds on was met before',
				(w) => w.add('peak', w.item('pigeon-fold')),
				{ taughtBefore: known }
			],
			[
				'or comes earlier in the same class',
				(w) => w.add('warm', w.item('butterfly')).add('peak', w.item('frog')),
				{ taughtBefore: known }
			],
			['a movement that is known itself', (w) => w.add('peak', w.item('frog')), { taughtBefore: ['frog'] }]
		],
		failing: [
			[
				'it builds on what nobody has met',
				(w) => w.add('peak', w.item('frog')),
				'Frog builds on what this group has not met: Butterfly',
				{ taughtBefore: known }
			]
		],
		unmendable: ['it builds on what nobody has met']
	},
	'style-conflict': {
		passing: [
			[
				'a quiet hold in a quiet style',
				(w) => w.add('release', w.item('supported-bridge', { form: 'full', dose: 300 })),
				{ style: { holding: 'quiet' } }
			],
			[
				'movement before sport',
				(w) => w.add('warm', w.item('cat-cow')),
				{ group: groupOf({ moment: 'before sport' }) }
			],
			[
				'more on the tighter side, in a style that gives it',
				(w) => w.add('build', w.item('clam', { dose: { amount: 10, moreOn: { leg: 'left', amount: 4 } } })),
				{ style: { sides: 'more time' } }
			],
			[
				'a rounded fold where no back is sore',
				(w) => w.add('build', w.item('forward-fold')),
				{ style: { foldBack: 'round' }, group: groupOf() }
			]
		],
		failing: [
			[
				'three minutes in an active style',
				(w) => w.add('release', w.item('supported-bridge', { form: 'full', dose: 180 })),
				'Bridge resting on a block is held for 180 seconds; this style holds at most 120',
				{ style: { holding: 'active' } }
			],
			[
				'a hold before sport',
				(w) => w.add('release', w.item('supine-outward-knee-open')),
				'Lying figure four, opening outward is held (1:40); before sport this style only moves',
				{ group: groupOf({ moment: 'before sport' }) }
			],
			[
				'more on one side, in a style of equal sides',
				(w) => w.add('build', w.item('clam', { dose: { amount: 10, moreOn: { leg: 'left', amount: 4 } } })),
				'Clam gives the left side more; this style keeps the time equal'
			],
			[
				'a rounded fold with a sore back in the room',
				(w) => w.add('build', w.item('forward-fold')),
				'Standing fold is folded with a round back, and a caution in the room asks for a long one',
				{ style: { foldBack: 'round' }, group: groupOf({}, ['low back']) }
			]
		],
		unmendable: ['a hold before sport', 'a rounded fold with a sore back in the room']
	}
};
