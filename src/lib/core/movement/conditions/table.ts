import type { Caution, Position } from '../types';
import type { HipAngles } from '../../anatomy';
import {
	bearsWeight,
	handsAreHigh,
	has,
	hingesStraight,
	isArched,
	isGivenQuietly,
	isHeadDown,
	isHeld,
	isHeldHard,
	isLoaded,
	isLying,
	isOnOneLeg,
	isOnTheBack,
	isPadded,
	isPulledIn,
	isRounded,
	isStanding,
	isSteadied,
	isTurned,
	isTurnedClosed,
	kneels,
	leansBackOnHands,
	loads,
	passes,
	pullsOn,
	reachesUp,
	restsOnArms,
	stepsUp,
	type GivenForm
} from './given';

/** One thing that provokes a condition: in words, and as a test of a form. */
export interface Provocation {
	words: string;
	provokes: (given: GivenForm) => boolean;
}

/** Something that makes a form fine for a person: when it is needed, and the line that says it. */
export interface CautionAdjustment {
	words: string;
	applies: (given: GivenForm) => boolean;
	line: string;
}

/** A condition that people come with: what a class must not hand them, and what they get instead. */
export interface Condition {
	caution: Caution;
	/** Asked beside the name in lists, where the name alone does not say it. */
	hint?: string;
	provocations: readonly Provocation[];
	/** Needed in forms that provoke nothing. */
	adjustment?: CautionAdjustment;
	/** The line that a teacher reads. */
	advice: string;
	/** Slugs of what is given instead, by position: the first that is no harder than what the room does. */
	instead: (position: Position) => readonly string[];
	/** The published source by name, or "common practice, no source". */
	source: string;
}

const PRACTICE = 'common practice, no source';

/** Spine bent this much forward counts as rounded, this much back as arched, degrees. */
const ROUNDED_FROM_DEG = 20;
const ARCHED_FROM_DEG = 20;
/** Shorter efforts than this do not raise the blood pressure for long, seconds. */
const LONG_EFFORT_SECONDS = 20;

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
		hint: 'not known how it was done',
		provocations: [FROM_BEHIND, FROM_THE_FRONT, WIDE_AND_TURNED_OUT],
		advice:
			'Which way the leg may bend, turn or stretch back depends on the operation: only as the treating clinician allows.',
		instead: () => ['constructive-rest'],
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
		advice: 'Later on not long on the back, not on the belly, nothing at the end of wide.',
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
				provokes: (g) =>
					(isOnTheBack(g) || restsOnArms(g)) && loads(g, ['trunk']) && !has(g, 'chair', ['calves'])
			},
			{ words: 'a hold close to the most', provokes: (g) => isHeldHard(g, LONG_EFFORT_SECONDS) }
		],
		advice: 'Breathe out with the effort; nothing that makes the belly bulge or bears down.',
		instead: (p) =>
			p === 'standing'
				? ['chair-sit-to-stand', 'mountain']
				: ['sidelying-parallel-lift', 'supine-heel-pivot'],
		source: PRACTICE
	},
	{
		caution: 'very mobile joints',
		provocations: [
			{
				words: 'a passive stretch from intensity 3',
				provokes: ({ form, modes }) => modes.includes('passive') && form.intensity >= 3
			},
			{
				words: 'a stretch that the hands pull further, from intensity 3',
				provokes: (g) =>
					isPulledIn(g) &&
					isHeld(g) &&
					g.form.intensity >= 3 &&
					g.legs.some((leg) => leg.lengthens.length > 0)
			},
			{
				words: 'a stretch held from intensity 4',
				provokes: (g) => isHeld(g) && g.form.intensity >= 4 && g.legs.some((leg) => leg.lengthens.length > 0)
			}
		],
		advice: 'Short of the end and shorter; better strength in mid range.',
		instead: (p) => (p === 'standing' ? ['standing-hinge', 'bridge-lift'] : ['bridge-lift']),
		source: PRACTICE
	},
	{
		caution: 'unstable hip',
		hint: 'shallow, or it slips',
		provocations: [
			{
				words: 'a passive stretch from intensity 3',
				provokes: ({ form, modes }) => modes.includes('passive') && form.intensity >= 3
			},
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
			{
				words: 'a stretch of the hip held from intensity 4',
				provokes: (g) => isHeld(g) && g.form.intensity >= 4 && g.legs.some((leg) => leg.lengthens.length > 0)
			}
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
		caution: 'fragile bones',
		provocations: [
			{
				words: 'the spine bent from 20° while upright, kneeling or hanging',
				provokes: (g) => isRounded(g, ROUNDED_FROM_DEG) && !has(g, 'bolster', ['chest'])
			},
			{
				words: 'the spine bent back from 30° off the floor',
				provokes: (g) => !isLying(g) && isArched(g, 30)
			},
			{ words: 'a turn of the trunk', provokes: isTurned },
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
		provocations: [
			{ words: 'the head below the heart', provokes: isHeadDown },
			{
				words: 'a hold close to the most from 20 seconds',
				provokes: (g) => isHeldHard(g, LONG_EFFORT_SECONDS)
			}
		],
		advice: 'Head level, short efforts, breathe on; get up slowly.',
		instead: () => ['wall-half-fold', 'mountain'],
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
			{ words: 'the spine bent back from 20°', provokes: (g) => isArched(g, ARCHED_FROM_DEG) },
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
		caution: 'recent operation',
		hint: 'in the last three months',
		provocations: [
			{
				words: 'everything but lying or sitting quietly',
				provokes: ({ modes }) => modes.some((mode) => mode !== 'rest')
			}
		],
		advice: 'Nothing is proposed for three months: the treating clinician says what may be done.',
		instead: () => ['constructive-rest'],
		source: PRACTICE
	}
];

/** Rests for where nothing else is easy enough: on the side, on the back with bent knees, seated. */
export const RESTS: readonly string[] = ['sidelying-rest', 'constructive-rest', 'seated-quiet'];

/** Returns the condition that a caution names; every caution has one. */
export const conditionOf = (caution: Caution): Condition =>
	CONDITIONS.find((condition) => condition.caution === caution)!;
