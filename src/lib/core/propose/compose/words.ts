import type { Purpose } from '../../movement';
import { sentence } from '../../text';
import type { Random } from '../pool/random';

/** Words of a teacher about a purpose: before it, what to notice, and one thing about the body. */
interface Words {
	/** Lines before it is taken up; one of them is said. */
	cues: readonly string[];
	/** Something to notice today: follows "Notice". */
	notice: string;
	/** One thing about the body. */
	body: string;
}

/** Common practice, no source. */
const WORDS: Record<Purpose, Words> = {
	'turned-out squat': {
		cues: ['Turn out from the hip, not from the foot', 'The knees follow the toes'],
		notice: 'whether knees and toes point the same way',
		body: 'The thigh bone turns in its socket before the foot moves'
	},
	'high step': {
		cues: ['The knee rises before the foot', 'Lift the leg without leaning back'],
		notice: 'whether the back rounds as the knee comes up',
		body: 'The last part of a high step is lifted by the front of the hip alone'
	},
	'dropped knee': {
		cues: ['In and down: the foot turns, the knee follows', 'Let the hip turn, not only the knee'],
		notice: 'which hip turns in more readily',
		body: 'A knee that drops in is a hip that turns in'
	},
	'wide straddle': {
		cues: ['Wide, and still carried', 'Tilt the pelvis before you go wider'],
		notice: 'where wide stops: at the inner thigh or at the hip',
		body: 'Turning the thighs out makes room for the legs to go wide'
	},
	'heel perch': {
		cues: ['Sit over the heel and stay light', 'The weight goes over the foot'],
		notice: 'how much of you the heel really carries',
		body: 'Ankle, knee and hip fold together here, and the stiffest decides'
	},
	'end-range lift': {
		cues: ['Lift a little, by your own strength', 'Small and slow at the end of the range'],
		notice: 'how far the leg goes without the hands',
		body: 'Range that you can lift into is range that you can use'
	},
	'knee pull': {
		cues: ['The knee comes up, the pelvis stays', 'Pull the knee toward the ribs'],
		notice: 'whether the standing side sinks',
		body: 'The deep hip flexor pulls the knee higher than the waist'
	},
	'hip extension under the trunk': {
		cues: ['The leg goes back, the pelvis stays upright', 'Tail heavy, then the leg back'],
		notice: 'whether the low back arches before the hip opens',
		body: 'The front of the hip opens only when the pelvis stays level'
	},
	'single-leg strength': {
		cues: ['One leg carries all of you', 'Stand tall on one leg first'],
		notice: 'which leg stands more quietly',
		body: 'On one leg the outer hip holds up the whole trunk'
	},
	'level pelvis': {
		cues: ['Both hip bones at one height', 'Keep the pelvis level while the leg works'],
		notice: 'which side of the pelvis drops first',
		body: 'The standing hip keeps the other side of the pelvis up'
	},
	'push-off': {
		cues: ['Push the ground away', 'Straighten the hip behind you'],
		notice: 'whether the push comes from the hip or from the calf',
		body: 'A long stride comes from the hip that straightens behind you'
	},
	'step-up': {
		cues: ['Step up without a swing', 'Stand up through the whole foot'],
		notice: 'whether the lower foot helps',
		body: 'The seat muscles lift you if the shin stays upright'
	},
	'deep flexion': {
		cues: ['Deep in the hip, long in the back', 'Fold at the hip first'],
		notice: 'where the fold stops and the back takes over',
		body: 'The hip bends further when the knee bends too'
	},
	'hinge with a long back': {
		cues: ['The hip folds, the back stays long', 'Send the seat back'],
		notice: 'the back of the thighs as the seat goes back',
		body: 'A hinge loads the seat and spares the back'
	},
	'sit on the heels': {
		cues: ['Down onto the heels, as far as is kind', 'Sit back slowly'],
		notice: 'knees and ankles on the way down',
		body: 'A blanket behind the knee gives the joint more room'
	},
	'adductors at length': {
		cues: ['The inner thighs, long and awake', 'Long inner thighs that still hold you'],
		notice: 'how the inner thighs feel near the knee and near the pelvis',
		body: 'The inner thighs also help to turn and to bend the hip'
	},
	'turning both ways': {
		cues: ['In and out, as far as it goes by itself', 'Turn the whole thigh'],
		notice: 'which way is shorter: in or out, left or right',
		body: 'A hip turns about as far in as out; sitting uses only one of them'
	},
	'standing up from a seat': {
		cues: ['Up and down without a hurry', 'Lean forward, then stand'],
		notice: 'whether both feet press alike',
		body: 'Leaning forward is half of standing up'
	},
	'getting down and up': {
		cues: ['Down to the floor and up again, step by step', 'Find your own way up'],
		notice: 'which leg you would rather use',
		body: 'Getting up from the floor is strength, range and balance at once'
	},
	'floor sitting': {
		cues: ['Sit higher to sit better', 'Sit on something until the back is easy'],
		notice: 'whether the pelvis rolls back',
		body: 'A raised seat lets the pelvis tip forward'
	},
	'balance with support': {
		cues: ['A hand nearby, the weight over one foot', 'Look at one point'],
		notice: 'the foot working under you',
		body: 'Balance is many small corrections at foot and hip'
	},
	'mid-range control': {
		cues: ['Less far, more control', 'Slow in the middle of the range'],
		notice: 'where the movement jerks',
		body: 'Joints are moved most in the middle of their range'
	},
	reset: { cues: ['Let it go'], notice: 'what has let go', body: 'Muscles answer better after a pause' },
	rest: { cues: ['Nothing to do'], notice: 'the breath', body: 'Rest is when the body takes in what it did' }
};

/** Said at the end of a class. */
const LAST = [
	'Compare left and right: what is different now',
	'Notice how the legs lie now',
	'One thing to take home from today',
	'What was easier at the end than at the beginning'
] as const;

const oneOf = <T>(list: readonly T[], random: Random): T => list[random.below(list.length)]!;

/** A line before a theme is taken up. */
export const cueFor = (purpose: Purpose, random: Random): string => oneOf(WORDS[purpose].cues, random);

/** Returns the first words: what the class is about and what to notice. */
export const welcomeTo = (about: string, purpose: Purpose): string =>
	`${sentence(about)}. Notice ${WORDS[purpose].notice}`;

/** Returns the words before the peak: one thing about the body, or what all of it was for. */
export const beforePeak = (about: string, purpose: Purpose, random: Random): string =>
	random() < 0.5 ? WORDS[purpose].body : `All of it together: ${about}`;

/** Returns the last words, with what comes next where that is known. */
export const lastWords = (nextTime: string | undefined, random: Random): string => {
	const words = oneOf(LAST, random);
	return nextTime ? `${words}; next time: ${nextTime}` : words;
};
