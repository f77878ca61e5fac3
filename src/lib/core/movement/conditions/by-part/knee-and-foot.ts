import { PRACTICE, type Condition } from '../condition';
import { has, isLying, isPadded, isPulledIn, isStanding, kneels, loads, passes, pullsOn } from '../given';

/** Conditions of the knee and the foot. */
export const KNEE_AND_FOOT_CONDITIONS: readonly Condition[] = [
	{
		caution: 'sore knee',
		provocations: [
			{
				words: 'the knee bent 130° or more',
				provokes: (g) =>
					!isLying(g) && !has(g, 'chair', ['hips', 'behind']) && passes(g, (_, knee) => knee >= 130)
			},
			{
				words: 'the knee bent from 95° under load, standing',
				provokes: (g) => isStanding(g) && g.form.effort >= 2 && passes(g, (_, knee) => knee >= 95)
			},
			{
				words:
					'a leg turned in 30° or out 40° over a knee bent from 85° that the floor holds fast, without padding',
				provokes: (g) =>
					!isLying(g) &&
					!isStanding(g) &&
					g.movement.position !== 'quadruped' &&
					!has(g, 'chair', ['hips', 'behind']) &&
					!isPadded(g) &&
					passes(
						g,
						({ internalRotation = 0, externalRotation = 0 }, knee) =>
							knee >= 85 && (internalRotation >= 30 || externalRotation >= 40)
					)
			},
			{
				words: 'a figure four, lying, that the hands pull in',
				provokes: (g) =>
					isLying(g) &&
					isPulledIn(g) &&
					g.form.intensity >= 2 &&
					passes(g, ({ externalRotation = 0 }, knee) => knee >= 80 && externalRotation >= 45)
			}
		],
		adjustment: {
			words: 'kneeling without padding',
			applies: (g) => kneels(g) && !isPadded(g),
			line: 'Kneel on a folded blanket.'
		},
		advice: 'Less bend and no turn in the knee; heel nearer, padding behind the knee.',
		instead: (p) =>
			p === 'seated'
				? ['straight-leg-wipers', 'sidelying-parallel-lift', 'seated-quiet']
				: p === 'standing'
					? ['standing-leg-back', 'bridge-lift', 'supine-heel-pivot']
					: ['bridge-lift', 'supine-heel-pivot'],
		source: PRACTICE
	},
	{
		caution: 'after knee replacement',
		hint: 'over three months ago',
		provocations: [
			{
				words: 'the knee bent 115° or more',
				provokes: (g) => passes(g, (_, knee) => knee >= 115)
			},
			{ words: 'weight on the knee without padding', provokes: (g) => kneels(g) && !isPadded(g) },
			{
				words: 'a turn over a knee bent from 85° that the floor holds fast',
				provokes: (g) =>
					!isLying(g) &&
					passes(
						g,
						({ internalRotation = 0, externalRotation = 0 }, knee) =>
							knee >= 85 && (internalRotation >= 30 || externalRotation >= 40)
					)
			}
		],
		advice: 'Little bend under load, no turn in the knee, kneeling only on something soft.',
		instead: (p) =>
			p === 'standing'
				? ['standing-leg-back', 'mountain']
				: p === 'seated'
					? ['straight-leg-wipers', 'seated-quiet']
					: ['bridge-lift', 'sidelying-parallel-lift'],
		source: PRACTICE
	},
	{
		caution: 'sore ankle or toe',
		provocations: [
			{
				words: 'a deep squat, the knee bent from 110° over the foot',
				provokes: (g) =>
					isStanding(g) && !has(g, 'chair', ['hips', 'behind']) && passes(g, (_, knee) => knee >= 110)
			},
			{
				words: 'sitting on the heels or on tucked toes',
				provokes: (g) => pullsOn(g, ['front of shins and ankles'], 1)
			},
			{
				words: 'rising onto the toes, or a stretch of the calf',
				provokes: (g) => loads(g, ['calves']) || pullsOn(g, ['calves'], 2)
			}
		],
		advice: 'Foot flat or free, heel on a folded blanket; no weight on bent toes.',
		instead: (p) =>
			p === 'standing' ? ['chair-sit-to-stand', 'mountain'] : ['bridge-lift', 'supine-heel-pivot'],
		source: PRACTICE
	}
];
