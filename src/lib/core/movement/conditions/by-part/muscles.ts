import { PRACTICE, type Condition } from '../condition';
import { bearsWeight, hingesStraight, loads, passes, pullsOn } from '../given';

/** Injured muscles and tendons of hip and thigh. */
export const MUSCLES_CONDITIONS: readonly Condition[] = [
	{
		caution: 'hamstring injury',
		provocations: [
			{ words: 'a stretch of the back of the thigh', provokes: (g) => pullsOn(g, ['hamstrings']) },
			{
				words: 'a hinge over a straight knee, even a light one, and legs up a wall',
				provokes: (g) => (bearsWeight(g) || g.movement.position === 'wall-supine') && hingesStraight(g)
			},
			{ words: 'the knee bent hard against something', provokes: (g) => loads(g, ['knee flexors']) }
		],
		advice: 'Nothing that pulls on the back of the thigh: knees bent, in mid range.',
		instead: (p) => (p === 'standing' ? ['chair-sit-to-stand', 'mountain'] : ['supine-knee-rock']),
		source: PRACTICE
	},
	{
		caution: 'adductor injury',
		provocations: [
			{ words: 'a stretch of the inner thigh', provokes: (g) => pullsOn(g, ['adductors']) },
			{
				words: 'a wide hinge over a straight knee, even a light one',
				provokes: (g) => hingesStraight(g) && passes(g, ({ abduction = 0 }) => abduction >= 30)
			},
			{ words: 'the legs squeezed hard', provokes: (g) => loads(g, ['hip adductors']) }
		],
		advice: 'Nothing that pulls on the inner thigh, nothing squeezed hard.',
		instead: (p) =>
			p === 'standing' ? ['standing-leg-back', 'mountain'] : ['bridge-lift', 'supine-leg-roll'],
		source: PRACTICE
	},
	{
		caution: 'recent muscle or tendon injury',
		provocations: [
			{
				words: 'a stretch of thigh or hip muscles from intensity 3',
				provokes: (g) => pullsOn(g, ['hamstrings', 'adductors', 'rectus femoris', 'hip flexors'], 3)
			},
			{
				words: 'a hinge over a straight knee from intensity 2',
				provokes: (g) => g.form.intensity >= 2 && bearsWeight(g) && hingesStraight(g)
			}
		],
		advice: 'Nothing that pulls on the injured part: unloaded, in mid range.',
		instead: (p) => (p === 'standing' ? ['chair-sit-to-stand', 'mountain'] : ['supine-knee-rock']),
		source: PRACTICE
	}
];
