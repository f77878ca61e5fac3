import { PRACTICE, ROUNDED_FROM_DEG, type Condition, type Provocation } from '../condition';
import {
	handsAreHigh,
	has,
	hingesStraight,
	isArched,
	isGivenQuietly,
	isHeld,
	isLying,
	isRounded,
	isStanding,
	isTurnedClosed,
	passes,
	pullsOn
} from '../given';

/** Folds that load the back: what a back minds that minds bending. */
const BENDING: readonly Provocation[] = [
	{
		words: 'a fold from upright without something high under the hands',
		provokes: (g) =>
			!isLying(g) &&
			g.movement.families.includes('forward fold') &&
			(g.form.intensity >= 2 || isRounded(g, ROUNDED_FROM_DEG)) &&
			!has(g, 'chair', ['hands', 'in front', 'beside']) &&
			!has(g, 'wall space', ['in front'])
	},
	{
		words: 'the spine bent from 30° in sitting',
		provokes: (g) => g.movement.position === 'seated' && (g.pose.bendDeg ?? 0) >= 30 && !handsAreHigh(g)
	},
	{
		words: 'a closed turn of the trunk while bent or seated',
		provokes: (g) => isTurnedClosed(g) && !isLying(g)
	}
];
/** Bends that load the back: what a back minds that minds arching. */
const ARCHING: readonly Provocation[] = [
	{
		words: 'the hip stretched back 20° or more on the knees or the hands',
		provokes: (g) => !isLying(g) && !isStanding(g) && passes(g, ({ extension = 0 }) => extension >= 20)
	},
	{
		words: 'the spine bent back from 30°',
		provokes: (g) => isArched(g, 30)
	}
];

/** Conditions of the back and the seat. */
export const BACK_CONDITIONS: readonly Condition[] = [
	{
		caution: 'low back',
		hint: 'minds bending and arching, or not known which',
		provocations: [...BENDING, ...ARCHING],
		advice: 'Hands on blocks, back long, less far.',
		instead: () => ['supine-knee-out'],
		source: PRACTICE
	},
	{
		caution: 'back that minds bending',
		provocations: BENDING,
		advice: 'Back long, hands high; nothing rounded or turned under load.',
		instead: () => ['bridge-lift', 'supine-knee-out'],
		source: PRACTICE
	},
	{
		caution: 'back that minds arching',
		provocations: ARCHING,
		advice: 'Tail heavy, ribs down; less far back.',
		instead: () => ['supine-knee-out', 'cat-cow'],
		source: PRACTICE
	},
	{
		caution: 'buttock pain without leg symptoms',
		provocations: [
			{
				words: 'a quiet stretch of the seat from intensity 3',
				provokes: (g) => isGivenQuietly(g) && pullsOn(g, ['deep outward rotators', 'gluteus maximus'], 3)
			},
			{
				words: 'a held stretch of the seat from intensity 4',
				provokes: (g) => isHeld(g) && pullsOn(g, ['deep outward rotators', 'gluteus maximus'], 4)
			}
		],
		advice: 'Not long and soft: short and working, or strength for it first.',
		instead: () => ['clam', 'supine-leg-roll'],
		source: PRACTICE
	},
	{
		caution: 'buttock pain with leg symptoms',
		provocations: [
			{
				words: 'a held stretch of the seat or the back of the thigh',
				provokes: (g) => isHeld(g) && pullsOn(g, ['deep outward rotators', 'gluteus maximus', 'hamstrings'])
			},
			{
				words: 'a hinge over a straight knee, even a light one, and legs up a wall',
				provokes: (g) => hingesStraight(g)
			}
		],
		advice: 'No long stretch of the seat or the back of the leg.',
		instead: () => ['sidelying-parallel-lift'],
		source: PRACTICE
	}
];
