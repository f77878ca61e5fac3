import { CLINICIAN_DECIDES, type Caution, type Position } from '../movement';

/**
 * The tests that teachers use with a group, none of which needs an instrument: always left against right, and before
 * against after under the same conditions. Common practice, no source.
 */
export const TEST_IDS = [
	'low-lunge-upright',
	'knee-to-chest',
	'butterfly-knees',
	'figure-four-knee',
	'leg-roll',
	'leg-roll-out',
	'ninety-ninety-seat',
	'wide-stance-fold',
	'one-leg-balance',
	'seat-switch',
	'turning-in-prone',
	'turning-out-prone',
	'straight-leg-raise',
	'squat-heels-down'
] as const;
export type TestId = (typeof TEST_IDS)[number];

/** A test of the hip that a teacher can give to a group or a person. */
export interface HipTest {
	name: string;
	/** Instructions for the people; one leg after the other where the test has sides. */
	how: string;
	/** The observation to make, left against right. */
	look: string;
	sided: boolean;
	position: Position;
	/** Both legs together, with 6 to 25 s of noticing. */
	usualSeconds: number;
}

export const HIP_TESTS: Record<TestId, HipTest> = {
	'low-lunge-upright': {
		name: 'Upright low lunge',
		how: 'Back knee under its hip; bring the trunk upright over it.',
		look: 'Does the trunk come upright without the low back giving way?',
		sided: true,
		position: 'kneeling',
		usualSeconds: 75
	},
	'knee-to-chest': {
		name: 'Knee to the chest',
		how: 'On the back, one knee drawn in by its own strength, the other leg long.',
		look: 'How near does the knee come, and does the long leg stay down?',
		sided: true,
		position: 'supine',
		usualSeconds: 50
	},
	'butterfly-knees': {
		name: 'Butterfly, how low the knees are',
		how: 'Seated, soles together, hands off the knees.',
		look: 'How many hands fit under each knee?',
		sided: false,
		position: 'seated',
		usualSeconds: 35
	},
	'figure-four-knee': {
		name: 'Figure four, how low the knee is',
		how: 'On the back, ankle on the other thigh, the foot below stays down.',
		look: 'How far does the knee open without a hand?',
		sided: true,
		position: 'supine',
		usualSeconds: 50
	},
	'leg-roll': {
		name: 'Rolling straight legs in',
		how: 'On the back, legs long and a little apart; roll both legs in and stay.',
		look: 'How far do the toes turn in?',
		sided: false,
		position: 'supine',
		usualSeconds: 40
	},
	'leg-roll-out': {
		name: 'Rolling straight legs out',
		how: 'On the back, legs long and a little apart; let both legs roll out.',
		look: 'How far do the feet go toward the floor?',
		sided: false,
		position: 'supine',
		usualSeconds: 40
	},
	'ninety-ninety-seat': {
		name: 'Sitting in 90-90',
		how: 'Both knees at a right angle, hands off the floor if that is possible.',
		look: 'Are both sit bones near the floor, and does the trunk stay tall?',
		sided: true,
		position: 'seated',
		usualSeconds: 60
	},
	'wide-stance-fold': {
		name: 'Wide standing fold',
		how: 'Feet wide and parallel; hinge with a long back.',
		look: 'How far does the trunk go before the back rounds?',
		sided: false,
		position: 'standing',
		usualSeconds: 40
	},
	'one-leg-balance': {
		name: 'Standing on one leg',
		how: 'One knee lifted to the height of the hip, a wall within reach.',
		look: 'Does the pelvis stay level for three breaths?',
		sided: true,
		position: 'standing',
		usualSeconds: 60
	},
	'seat-switch': {
		name: 'Switching the seat without hands',
		how: 'From 90-90 to 90-90 on the other side, hands off the floor.',
		look: 'Does it go without a hand, and the same both ways?',
		sided: false,
		position: 'seated',
		usualSeconds: 45
	},
	'turning-in-prone': {
		name: 'Shins falling outwards, on the front',
		how: 'On the front, knees together and bent to a right angle; one shin falls outwards, the pelvis stays down.',
		look: 'How far does the shin go from upright before the pelvis lifts?',
		sided: true,
		position: 'prone',
		usualSeconds: 60
	},
	'turning-out-prone': {
		name: 'Shin falling inwards, on the front',
		how: 'On the front, one knee bent to a right angle; the shin falls inwards over the other leg, the pelvis stays down.',
		look: 'How far does the shin go from upright before the pelvis rolls?',
		sided: true,
		position: 'prone',
		usualSeconds: 60
	},
	'straight-leg-raise': {
		name: 'Raising a straight leg',
		how: 'On the back, one leg raised with a straight knee, the other stays long on the floor.',
		look: 'How high does the heel come before the knee bends or the other leg lifts?',
		sided: true,
		position: 'supine',
		usualSeconds: 50
	},
	'squat-heels-down': {
		name: 'Deep squat, heels down',
		how: 'Feet as wide as the hips; sink as deep as the heels stay down, arms in front.',
		look: 'How deep does it go, and do heels and trunk stay where they are?',
		sided: false,
		position: 'standing',
		usualSeconds: 40
	}
};

/**
 * Tests that a person with a caution does not take, each with another test of the same thing; null where they leave it out,
 * since no person is asked for the end of a range that their caution forbids. Common practice, no source.
 */
const NOT_FOR: Partial<Record<TestId, Partial<Record<Caution, TestId | null>>>> = {
	'low-lunge-upright': {
		'sore knee': null,
		'poor balance': null,
		'after knee replacement': null,
		'pelvic girdle pain': null,
		'hip replacement from the front': null,
		'unstable hip': null,
		'back that minds arching': null,
		'sore ankle or toe': null
	},
	'knee-to-chest': {
		'front-of-hip pinch': null,
		pregnancy: null,
		'hip arthritis': null,
		'hip replacement from behind': null
	},
	'butterfly-knees': {
		'adductor injury': null,
		'sore knee': 'leg-roll',
		pregnancy: null,
		'pelvic girdle pain': null,
		'unstable hip': null,
		'after knee replacement': 'leg-roll',
		'hip replacement from the front': null
	},
	'figure-four-knee': { 'sore knee': 'leg-roll', pregnancy: null, 'after knee replacement': 'leg-roll' },
	'ninety-ninety-seat': {
		'front-of-hip pinch': 'leg-roll',
		'sore knee': 'leg-roll',
		'hip arthritis': 'leg-roll',
		'after knee replacement': 'leg-roll',
		'hip replacement from behind': null,
		'pelvic girdle pain': null,
		pregnancy: null
	},
	'wide-stance-fold': {
		'low back': 'straight-leg-raise',
		'back that minds bending': 'straight-leg-raise',
		'fragile bones': 'straight-leg-raise',
		'high blood pressure or glaucoma': 'straight-leg-raise',
		'sore neck': 'straight-leg-raise',
		'adductor injury': null,
		'hamstring injury': null,
		'recent muscle or tendon injury': null,
		'pelvic girdle pain': null,
		'hip replacement from behind': null,
		pregnancy: null
	},
	'one-leg-balance': { 'poor balance': null, 'fragile bones': null, 'pelvic girdle pain': null },
	'seat-switch': {
		'front-of-hip pinch': 'leg-roll',
		'sore knee': 'leg-roll',
		'sore wrist': 'leg-roll',
		'sore shoulder': 'leg-roll',
		'hip arthritis': 'leg-roll',
		'after knee replacement': 'leg-roll',
		'hip replacement from behind': null,
		'pelvic girdle pain': null,
		pregnancy: null
	},
	'turning-in-prone': {
		pregnancy: null,
		'hip replacement from behind': null,
		'after birth or hernia': 'leg-roll'
	},
	'turning-out-prone': { pregnancy: null, 'hip replacement from the front': null },
	'leg-roll': { pregnancy: null, 'hip replacement from behind': null },
	'leg-roll-out': { pregnancy: null, 'hip replacement from the front': null },
	'straight-leg-raise': {
		'hamstring injury': null,
		'recent muscle or tendon injury': null,
		'after birth or hernia': null,
		pregnancy: null
	},
	'squat-heels-down': {
		'front-of-hip pinch': null,
		'sore knee': null,
		'poor balance': null,
		'hip arthritis': null,
		'after knee replacement': null,
		'sore ankle or toe': null,
		'hip replacement from behind': null
	}
};

/** The part of a person with a caution while the others take a test. */
export type TestForCaution =
	| { kind: 'takes it' }
	| { kind: 'another'; test: TestId }
	| { kind: 'leaves it out' }
	| { kind: 'clinician' };

/** Tells what a person with a caution does while the others take a test. */
export function testWithCaution(test: TestId, caution: Caution): TestForCaution {
	if (CLINICIAN_DECIDES.has(caution)) return { kind: 'clinician' };
	const other = NOT_FOR[test]?.[caution];
	if (other === undefined) return { kind: 'takes it' };
	return other === null ? { kind: 'leaves it out' } : { kind: 'another', test: other };
}

/** Returns a line for each caution in the room with which a test is not taken: "sore knee (2): they skip it". */
export const cautionLinesAtTest = (
	test: TestId,
	cautions: readonly { caution: Caution; people: number }[]
): { caution: Caution; people: number; kind: TestForCaution['kind']; words: string }[] =>
	cautions.flatMap(({ caution, people }) => {
		const verdict = testWithCaution(test, caution);
		if (verdict.kind === 'takes it') return [];
		const part =
			verdict.kind === 'another'
				? `they take “${HIP_TESTS[verdict.test].name}” instead`
				: verdict.kind === 'clinician'
					? 'they skip it unless their clinician allows it'
					: 'they skip it';
		return [{ caution, people, kind: verdict.kind, words: `${caution} (${people}): ${part}` }];
	});
