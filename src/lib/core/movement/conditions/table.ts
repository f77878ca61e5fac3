import type { Caution, Position } from '../types';
import {
	bearsWeight,
	handsAreHigh,
	has,
	hingesStraight,
	isGivenQuietly,
	isHeadDown,
	isHeld,
	isLoaded,
	isLying,
	isOnOneLeg,
	isOnTheBack,
	isRounded,
	isStanding,
	isSteadied,
	loads,
	passes,
	pullsOn,
	stepsUp,
	type GivenForm
} from './given';

/** One thing that provokes a condition: in words, and as a test of a form. */
export interface Provocation {
	words: string;
	provokes: (given: GivenForm) => boolean;
}

/** A condition that people come with: what a class must not hand them, and what they get instead. */
export interface Condition {
	caution: Caution;
	provocations: readonly Provocation[];
	/** The line that a teacher reads. */
	advice: string;
	/** Slugs of what is given instead, by position: the first that is no harder than what the room does. */
	instead: (position: Position) => readonly string[];
	/** The published source by name, or "common practice, no source". */
	source: string;
}

const PRACTICE = 'common practice, no source';

/** Spine bent this much forward counts as rounded, degrees. */
const ROUNDED_FROM_DEG = 20;

/**
 * The table of conditions. It holds for every movement by its angles, load, modes, position and kit, whoever wrote the
 * movement down; an entry of the catalogue may add a caution, and loosens none. Licensed practice decides.
 */
export const CONDITIONS: readonly Condition[] = [
	{
		caution: 'sore knee',
		provocations: [
			{
				words: 'the knee bent 130° or more',
				provokes: (g) =>
					!isLying(g) && !has(g, 'chair', ['hips', 'behind']) && passes(g, (_, knee) => knee >= 130)
			},
			{
				words:
					'a leg turned in 30° or out 45° over a knee bent from 85° that the floor holds fast, without padding',
				provokes: (g) =>
					!isLying(g) &&
					!isStanding(g) &&
					g.movement.position !== 'quadruped' &&
					!has(g, 'chair', ['hips', 'behind']) &&
					!g.form.props.some(({ site }) => site.includes('knee')) &&
					passes(
						g,
						({ internalRotation = 0, externalRotation = 0 }, knee) =>
							knee >= 85 && (internalRotation >= 30 || externalRotation >= 45)
					)
			}
		],
		advice: 'Less bend and no turn in the knee; heel nearer, padding behind the knee.',
		instead: (p) => (p === 'seated' ? ['straight-leg-wipers', 'seated-quiet'] : ['bridge-lift']),
		source: PRACTICE
	},
	{
		caution: 'low back',
		provocations: [
			{
				words: 'a fold from upright without something high under the hands',
				provokes: (g) =>
					!isLying(g) &&
					g.movement.families.includes('forward fold') &&
					g.form.intensity >= 2 &&
					!handsAreHigh(g)
			},
			{
				words: 'the spine bent from 30° in sitting',
				provokes: (g) => g.movement.position === 'seated' && (g.pose.bendDeg ?? 0) >= 30 && !handsAreHigh(g)
			},
			{
				words: 'the hip stretched back 20° or more on the knees or the hands',
				provokes: (g) => !isLying(g) && !isStanding(g) && passes(g, ({ extension = 0 }) => extension >= 20)
			}
		],
		advice: 'Hands on blocks, back long, less far.',
		instead: () => ['supine-knee-out'],
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
				provokes: (g) => isHeld(g) && hingesStraight(g)
			}
		],
		advice: 'No long stretch of the seat or the back of the leg.',
		instead: () => ['sidelying-parallel-lift'],
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
		caution: 'after hip replacement',
		provocations: [
			{
				words: 'done from behind: the hip bent past 90°, crossed from 10° or turned in from 15°',
				provokes: (g) =>
					passes(
						g,
						({ flexion = 0, adduction = 0, internalRotation = 0 }) =>
							flexion > 90 || adduction >= 10 || internalRotation >= 15
					)
			},
			{
				words:
					'done from the front: the hip stretched back from 10°, or from 5° turned out or with the knee bent, or turned out from 20° with the leg long',
				provokes: (g) =>
					passes(
						g,
						({ extension = 0, externalRotation = 0, flexion = 0 }, knee) =>
							extension >= 10 ||
							(extension >= 5 && (externalRotation >= 20 || knee >= 100)) ||
							(externalRotation >= 20 && flexion <= 20 && knee <= 30)
					)
			}
		],
		advice:
			'Which way the leg may bend, turn or stretch back depends on the operation: only as the treating clinician allows.',
		instead: () => ['constructive-rest'],
		source: PRACTICE
	},
	{
		caution: 'pregnancy',
		provocations: [
			{ words: 'lying on the front', provokes: (g) => g.movement.position === 'prone' },
			{
				words: 'lying flat on the back, moving or still',
				provokes: (g) => isOnTheBack(g) && !has(g, 'bolster', ['behind', 'chest', 'head'])
			},
			{
				words: 'the legs wide, from 45°',
				provokes: (g) => passes(g, ({ abduction = 0 }) => abduction >= 45)
			}
		],
		advice: 'Later on not long on the back, not on the belly, nothing at the end of wide.',
		instead: (p) =>
			p === 'prone'
				? ['bird-reach', 'sidelying-parallel-lift', 'sidelying-rest']
				: ['sidelying-parallel-lift', 'sidelying-rest'],
		source: PRACTICE
	},
	{
		caution: 'very mobile joints',
		provocations: [
			{
				words: 'a passive stretch from intensity 3',
				provokes: ({ form, modes }) => modes.includes('passive') && form.intensity >= 3
			}
		],
		advice: 'Short of the end and shorter; better strength in mid range.',
		instead: (p) => (p === 'standing' ? ['standing-hinge', 'bridge-lift'] : ['bridge-lift']),
		source: PRACTICE
	},
	{
		caution: 'fragile bones',
		provocations: [
			{
				words: 'the spine bent from 20° while upright or hanging',
				provokes: (g) => isRounded(g, ROUNDED_FROM_DEG)
			},
			{
				words: 'one leg in the air without something to hold',
				provokes: (g) => isOnOneLeg(g) && !isSteadied(g)
			}
		],
		advice: 'No rounding and no fall: upright, hands high, a hand on the wall.',
		instead: (p) => (p === 'standing' ? ['chair-sit-to-stand', 'mountain'] : ['easy-seat', 'bridge-lift']),
		source: PRACTICE
	},
	{
		caution: 'poor balance',
		provocations: [
			{
				words: 'one leg in the air without something to hold',
				provokes: (g) => isOnOneLeg(g) && !isSteadied(g)
			},
			{
				words: 'a step up that is high, or away from a wall',
				provokes: (g) => stepsUp(g) && (!has(g, 'wall space') || g.form.intensity >= 3)
			}
		],
		advice: 'A hand on the wall or on a chair.',
		instead: () => ['chair-sit-to-stand', 'mountain'],
		source: PRACTICE
	},
	{
		caution: 'high blood pressure or glaucoma',
		provocations: [{ words: 'the head below the heart', provokes: isHeadDown }],
		advice: 'Head level: hands on a chair or a wall.',
		instead: () => ['wall-half-fold', 'mountain'],
		source: PRACTICE
	},
	{
		caution: 'recent muscle or tendon injury',
		provocations: [
			{
				words: 'a stretch of thigh or hip muscles from intensity 3',
				provokes: (g) => pullsOn(g, ['hamstrings', 'adductors', 'rectus femoris', 'hip flexors'], 3)
			}
		],
		advice: 'Nothing that pulls on the injured part: unloaded, in mid range.',
		instead: (p) => (p === 'standing' ? ['chair-sit-to-stand', 'mountain'] : ['supine-knee-rock']),
		source: PRACTICE
	},
	{
		caution: 'adductor injury',
		provocations: [
			{ words: 'a stretch of the inner thigh', provokes: (g) => pullsOn(g, ['adductors']) },
			{ words: 'the legs squeezed hard', provokes: (g) => loads(g, ['hip adductors']) }
		],
		advice: 'Nothing that pulls on the inner thigh, nothing squeezed hard.',
		instead: (p) =>
			p === 'standing' ? ['standing-leg-back', 'mountain'] : ['bridge-lift', 'supine-leg-roll'],
		source: PRACTICE
	},
	{
		caution: 'hamstring injury',
		provocations: [
			{ words: 'a stretch of the back of the thigh', provokes: (g) => pullsOn(g, ['hamstrings']) },
			{
				words: 'a hinge over a straight knee, even a light one',
				provokes: (g) => bearsWeight(g) && hingesStraight(g)
			},
			{ words: 'the knee bent hard against something', provokes: (g) => loads(g, ['knee flexors']) }
		],
		advice: 'Nothing that pulls on the back of the thigh: knees bent, in mid range.',
		instead: (p) => (p === 'standing' ? ['chair-sit-to-stand', 'mountain'] : ['supine-knee-rock']),
		source: PRACTICE
	},
	{
		caution: 'sore wrist',
		provocations: [
			{
				words: 'weight on bent-back wrists',
				provokes: ({ movement, form }) => movement.onHands !== undefined && !form.offHands
			}
		],
		advice: 'Nothing on bent-back wrists: forearms, fists, or the same lying down.',
		instead: (p) =>
			p === 'quadruped' ? ['sidelying-parallel-lift'] : p === 'prone' ? ['sphinx'] : ['bridge-lift'],
		source: PRACTICE
	}
];

/** Rests for where nothing else is easy enough: on the side, on the back with bent knees, seated. */
export const RESTS: readonly string[] = ['sidelying-rest', 'constructive-rest', 'seated-quiet'];

/** Returns the condition that a caution names; every caution has one. */
export const conditionOf = (caution: Caution): Condition =>
	CONDITIONS.find((condition) => condition.caution === caution)!;
