import {
	PRACTICE,
	ROUNDED_FROM_DEG,
	LONG_EFFORT_SECONDS,
	PASSIVE_STRETCH,
	DEEP_HELD_STRETCH,
	type Condition
} from '../condition';
import {
	has,
	isArched,
	isHeadDown,
	isHeld,
	isHeldHard,
	isLying,
	isOnOneLeg,
	isPulledIn,
	isRounded,
	isStanding,
	isSteadied,
	isTurned,
	reachesUp,
	stepsUp
} from '../given';

/** Conditions of the whole body: mobility, balance, pressure, bones, an operation. */
export const WHOLE_BODY_CONDITIONS: readonly Condition[] = [
	{
		caution: 'very mobile joints',
		provocations: [
			PASSIVE_STRETCH,
			{
				words: 'a stretch that the hands pull further, from intensity 3',
				provokes: (g) =>
					isPulledIn(g) &&
					isHeld(g) &&
					g.form.intensity >= 3 &&
					g.legs.some((leg) => leg.lengthens.length > 0)
			},
			DEEP_HELD_STRETCH
		],
		advice: 'Short of the end and shorter; better strength in mid range.',
		instead: (p) => (p === 'standing' ? ['standing-hinge', 'bridge-lift'] : ['bridge-lift']),
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
		adjustment: {
			words: 'standing with the arms up',
			applies: (g) => isStanding(g) && reachesUp(g),
			line: 'Eyes straight ahead, not up to the hands.'
		},
		advice: 'A hand on the wall or on a chair; eyes straight ahead.',
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
