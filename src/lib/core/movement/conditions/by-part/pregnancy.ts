import { PRACTICE, LONG_EFFORT_SECONDS, type Condition } from '../condition';
import {
	bearsWeight,
	has,
	isHeldHard,
	isLying,
	isOnOneLeg,
	isOnTheBack,
	isTurnedClosed,
	loads,
	passes,
	restsOnArms
} from '../given';

/** Pregnancy, birth and the pelvic girdle. */
export const PREGNANCY_CONDITIONS: readonly Condition[] = [
	{
		caution: 'pregnancy',
		hint: 'later, or not known how far',
		provocations: [
			{ words: 'lying on the front', provokes: (g) => g.movement.position === 'prone' },
			{
				words: 'lying flat on the back, moving or still',
				provokes: (g) => isOnTheBack(g) && !has(g, 'bolster', ['behind', 'chest', 'head'])
			},
			{
				words: 'the legs wide, from 45°',
				provokes: (g) => passes(g, ({ abduction = 0 }) => abduction >= 45)
			},
			{ words: 'a closed turn of the trunk', provokes: isTurnedClosed }
		],
		advice: 'Later on not long on the back, not on the belly, nothing at the end of wide; a cool room.',
		instead: (p) =>
			p === 'prone'
				? ['bird-reach', 'sidelying-parallel-lift', 'sidelying-rest']
				: ['sidelying-parallel-lift', 'sidelying-rest'],
		source: PRACTICE
	},
	{
		caution: 'early pregnancy',
		hint: 'the first four months',
		provocations: [
			{ words: 'a closed turn of the trunk', provokes: isTurnedClosed },
			{
				words: 'the trunk worked close to its most, lying',
				provokes: (g) => isLying(g) && g.form.effort >= 3 && loads(g, ['trunk'])
			}
		],
		advice: 'Breathe on, no closed turns, nothing that bears down; leave the room when it is too warm.',
		instead: () => ['sidelying-parallel-lift', 'supine-knee-rock', 'sidelying-rest'],
		source: PRACTICE
	},
	{
		caution: 'pelvic girdle pain',
		hint: 'in or after pregnancy',
		provocations: [
			{ words: 'all of the weight on one leg', provokes: isOnOneLeg },
			{
				words: 'the legs wide, from 35°',
				provokes: (g) => passes(g, ({ abduction = 0 }) => abduction >= 35)
			},
			{
				words: 'one leg far forward and the other far back',
				provokes: (g) =>
					bearsWeight(g) &&
					passes(g, ({ flexion = 0 }) => flexion >= 70) &&
					passes(g, ({ extension = 0 }) => extension >= 5)
			}
		],
		advice: 'Both legs alike, knees together, small steps.',
		instead: (p) =>
			p === 'standing' ? ['chair-sit-to-stand', 'mountain'] : ['bridge-lift', 'sidelying-rest'],
		source:
			'Load on one leg and wide legs provoke it: European guidelines, Vleeming et al., Eur Spine J 17:794 (2008), from memory; the limits are common practice'
	},
	{
		caution: 'after birth or hernia',
		hint: 'also the pelvic floor',
		provocations: [
			{
				words: 'the trunk worked hard on the back or in a plank',
				provokes: (g) => (isOnTheBack(g) || restsOnArms(g)) && loads(g, ['trunk'])
			},
			{ words: 'a hold close to the most', provokes: (g) => isHeldHard(g, LONG_EFFORT_SECONDS) }
		],
		advice: 'Breathe out with the effort; nothing that makes the belly bulge or bears down.',
		instead: (p) =>
			p === 'standing'
				? ['chair-sit-to-stand', 'mountain']
				: ['sidelying-parallel-lift', 'supine-heel-pivot'],
		source: PRACTICE
	}
];
