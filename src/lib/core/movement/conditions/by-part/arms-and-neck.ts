import { PRACTICE, type Condition } from '../condition';
import {
	has,
	isArched,
	isHeadDown,
	isLying,
	isOnTheBack,
	leansBackOnHands,
	loads,
	reachesUp,
	restsOnArms
} from '../given';

/** Conditions of wrist, shoulder and neck. */
export const ARMS_AND_NECK_CONDITIONS: readonly Condition[] = [
	{
		caution: 'sore wrist',
		provocations: [
			{
				words: 'weight on bent-back wrists',
				provokes: ({ movement, form }) => movement.onHands !== undefined && !form.offHands
			}
		],
		adjustment: {
			words: 'leaning back on the hands',
			applies: leansBackOnHands,
			line: 'Lean on the elbows over a bolster, or on fists.'
		},
		advice: 'Nothing on bent-back wrists: forearms, fists, or the same lying down.',
		instead: (p) =>
			p === 'quadruped' ? ['sidelying-parallel-lift'] : p === 'prone' ? ['sphinx'] : ['bridge-lift'],
		source: PRACTICE
	},
	{
		caution: 'sore shoulder',
		provocations: [
			{ words: 'most of the weight on the arms', provokes: restsOnArms },
			{ words: 'the arms overhead', provokes: reachesUp },
			{ words: 'the arms and shoulders worked hard', provokes: (g) => loads(g, ['arms and shoulders']) }
		],
		adjustment: {
			words: 'leaning back on the hands, or lying on the side',
			applies: (g) => leansBackOnHands(g) || g.movement.position === 'sidelying',
			line: 'Lie on the other side or prop the arm; sit against something.'
		},
		advice: 'Arms low and light; forearms down, or the same lying on the back.',
		instead: (p) =>
			p === 'standing' ? ['chair-sit-to-stand', 'mountain'] : ['bridge-lift', 'supine-heel-pivot'],
		source: PRACTICE
	},
	{
		caution: 'sore neck',
		provocations: [
			{ words: 'the head hanging or below the heart', provokes: isHeadDown },
			{ words: 'the spine bent back from 20°', provokes: (g) => isArched(g, 20) },
			{
				words: 'the trunk worked close to its most, on the back',
				provokes: (g) => isOnTheBack(g) && g.form.effort >= 3 && loads(g, ['trunk'])
			}
		],
		adjustment: {
			words: 'lying on the back or on the side',
			applies: (g) => isLying(g) && g.movement.position !== 'prone' && !has(g, 'cushion', ['head']),
			line: 'A folded blanket under the head.'
		},
		advice: 'Head level with the spine, eyes to the floor or straight ahead; nothing hanging.',
		instead: (p) => (p === 'standing' ? ['wall-half-fold', 'mountain'] : ['bridge-lift', 'supine-knee-rock']),
		source: PRACTICE
	}
];
