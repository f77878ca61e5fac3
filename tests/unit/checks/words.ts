import type { Tables } from './case';

/** Checks of what is said. */
export const WORDS: Tables = {
	'promise-kept': {
		passing: [
			[
				'two shapes, and a rest',
				(w) =>
					w.add('build', w.item('clam'), w.item('cat-cow'), w.item('clam')).add('rest', w.item('savasana')),
				{ change: (plan) => ({ ...plan, title: 'Two shapes, slowly' }) }
			],
			[
				'half an hour, of which ten minutes are quiet',
				(w) =>
					w.add('settle', w.talk('Thirty minutes, the last ten minutes of them quiet', 20), w.item('clam')),
				{ length: 1800 }
			],
			[
				'a number that counts something else',
				(w) => w.add('build', w.talk('Five breaths', 5), w.item('clam'))
			]
		],
		failing: [
			[
				'five shapes that are two, in the title and in the welcome',
				(w) => w.add('settle', w.talk('Welcome to five movements', 20), w.item('clam'), w.item('cat-cow')),
				'“Five shapes” is promised; the class has 2',
				{ change: (plan) => ({ ...plan, title: 'Five shapes' }) }
			],
			[
				'all six directions',
				(w) => w.add('build', w.item('cobra')),
				'“six directions” is promised; the class has 1',
				{ change: (plan) => ({ ...plan, theme: 'All six directions' }) }
			],
			[
				'an hour that is half of one',
				(w) => w.add('build', w.item('clam')),
				'“20-minute” is promised; the class has 30',
				{ length: 1800, change: (plan) => ({ ...plan, title: 'A 20-minute class' }) }
			]
		],
		unmendable: [
			'five shapes that are two, in the title and in the welcome',
			'all six directions',
			'an hour that is half of one'
		]
	}
};
