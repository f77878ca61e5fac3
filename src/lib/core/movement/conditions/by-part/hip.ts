import type { HipAngles } from '../../../anatomy';
import { PRACTICE, PASSIVE_STRETCH, DEEP_HELD_STRETCH, type Condition, type Provocation } from '../condition';
import { bearsWeight, isGivenQuietly, isHeld, isLoaded, isOnOneLeg, passes, pullsOn } from '../given';

/** The hip bends, crosses or turns in further than the precautions after an operation from behind allow. */
const isPosteriorRisk = ({ flexion = 0, adduction = 0, internalRotation = 0 }: HipAngles): boolean =>
	flexion > 90 || adduction >= 10 || internalRotation >= 15;
/** The hip stretches back or turns out further than the precautions after an operation from the front allow. */
const isAnteriorRisk = (
	{ extension = 0, externalRotation = 0, flexion = 0 }: HipAngles,
	kneeDeg: number
): boolean =>
	extension >= 10 ||
	(extension >= 5 && (externalRotation >= 20 || kneeDeg >= 100)) ||
	(externalRotation >= 20 && flexion <= 20 && kneeDeg <= 30);

const FROM_BEHIND: Provocation = {
	words: 'the hip bent past 90°, crossed from 10° or turned in from 15°',
	provokes: (g) => passes(g, isPosteriorRisk)
};
const FROM_THE_FRONT: Provocation = {
	words:
		'the hip stretched back from 10°, or from 5° turned out or with the knee bent, or turned out from 20° with the leg long',
	provokes: (g) => passes(g, isAnteriorRisk)
};
const WIDE_AND_TURNED_OUT: Provocation = {
	words: 'the legs wide from 45° and turned out from 40°',
	provokes: (g) =>
		passes(g, ({ abduction = 0, externalRotation = 0 }) => abduction >= 45 && externalRotation >= 40)
};

/** Conditions of the hip joint. */
export const HIP_CONDITIONS: readonly Condition[] = [
	{
		caution: 'front-of-hip pinch',
		provocations: [
			{
				words: 'the hip bent 118° or more',
				provokes: (g) => passes(g, ({ flexion = 0 }) => flexion >= 118)
			},
			{
				words: 'the hip bent from 75° and turned in from 15° or crossed from 10°',
				provokes: (g) =>
					passes(
						g,
						({ flexion = 0, internalRotation = 0, adduction = 0 }) =>
							flexion >= 75 && (internalRotation >= 15 || adduction >= 10)
					)
			},
			{
				words: 'a lunge with the hip bent from 105°, even a wide one',
				provokes: (g) =>
					g.movement.families.some((family) => family === 'low lunge' || family === 'lunge') &&
					passes(g, ({ flexion = 0 }) => flexion >= 105)
			},
			{
				words: 'the hip bent from 100° with the thigh straight ahead, under load',
				provokes: (g) =>
					(isLoaded(g) || bearsWeight(g)) &&
					passes(g, ({ flexion = 0, abduction = 0 }) => flexion >= 100 && abduction < 25)
			}
		],
		advice: 'Less flexion, the leg wider, no turn in while it is bent.',
		instead: () => ['supine-heel-pivot', 'supine-leg-roll'],
		source:
			'Flexion with adduction and inward rotation provokes the pinch: Ganz et al., Clin Orthop Relat Res 417:112 (2003), from memory; the limits are common practice'
	},
	{
		caution: 'hip arthritis',
		provocations: [
			{
				words: 'the hip bent from 105° under load, or 118° anyhow',
				provokes: (g) => passes(g, ({ flexion = 0 }) => flexion >= 118 || (isLoaded(g) && flexion >= 105))
			},
			{
				words: 'turned in from 30°',
				provokes: (g) => isHeld(g) && passes(g, ({ internalRotation = 0 }) => internalRotation >= 30)
			},
			DEEP_HELD_STRETCH
		],
		advice: 'Often, light and in the middle of the range; nothing forced at the end.',
		instead: (p) =>
			p === 'standing' ? ['standing-hinge', 'mountain'] : ['supine-heel-pivot', 'supine-knee-rock'],
		source:
			'Exercise is offered to all with arthritis of the hip: NICE guideline NG226 (2022), from memory; the limits are common practice'
	},
	{
		caution: 'outer hip pain',
		provocations: [
			{ words: 'lying on the side', provokes: (g) => g.movement.position === 'sidelying' },
			{
				words: 'the leg crossed from 10°, or a stretch of the outer hip',
				provokes: (g) =>
					passes(g, ({ adduction = 0 }) => adduction >= 10) || pullsOn(g, ['gluteus medius'], 2)
			},
			{
				words: 'the pelvis dropping on one leg',
				provokes: (g) => isOnOneLeg(g) && passes(g, ({ adduction = 0 }) => adduction >= 5)
			}
		],
		advice: 'Not on that side, legs not crossed, pelvis level; strength at short range.',
		instead: (p) =>
			p === 'standing' ? ['chair-sit-to-stand', 'mountain'] : ['bridge-lift', 'supine-heel-pivot'],
		source:
			'Compression with the leg crossed provokes it: Grimaldi and Fearon, J Orthop Sports Phys Ther 45:910 (2015), from memory; the limits are common practice'
	},
	{
		caution: 'unstable hip',
		hint: 'shallow, or it slips',
		provocations: [
			PASSIVE_STRETCH,
			{
				words: 'the hip stretched back from 10° and turned out, or from 20°',
				provokes: (g) =>
					passes(
						g,
						({ extension = 0, externalRotation = 0 }) =>
							extension >= 20 || (extension >= 10 && externalRotation >= 15)
					)
			},
			{
				words: 'the legs wide from 45° without muscles at work',
				provokes: (g) => isGivenQuietly(g) && passes(g, ({ abduction = 0 }) => abduction >= 45)
			}
		],
		advice: 'Short of the end, muscles at work; strength in mid range.',
		instead: (p) => (p === 'standing' ? ['standing-hinge', 'mountain'] : ['bridge-lift', 'clam']),
		source: PRACTICE
	},
	{
		caution: 'hip replacement from behind',
		hint: 'over three months ago',
		provocations: [FROM_BEHIND],
		advice: 'Not bent past a right angle, not crossed, not turned in; what the clinician said comes first.',
		instead: (p) =>
			p === 'standing'
				? ['standing-leg-back', 'standing-side-lift', 'mountain']
				: ['bridge-lift', 'sidelying-parallel-lift'],
		source: PRACTICE
	},
	{
		caution: 'hip replacement from the front',
		hint: 'over three months ago',
		provocations: [FROM_THE_FRONT, WIDE_AND_TURNED_OUT],
		advice: 'Not stretched back, not turned out with the leg long; what the clinician said comes first.',
		instead: (p) =>
			p === 'standing' ? ['chair-sit-to-stand', 'mountain'] : ['supine-knee-rock', 'supine-heel-pivot'],
		source: PRACTICE
	},
	{
		caution: 'after hip replacement',
		hint: 'not known how it was done',
		provocations: [FROM_BEHIND, FROM_THE_FRONT, WIDE_AND_TURNED_OUT],
		advice:
			'Which way the leg may bend, turn or stretch back depends on the operation: only as the treating clinician allows.',
		instead: () => ['constructive-rest'],
		source: PRACTICE
	}
];
