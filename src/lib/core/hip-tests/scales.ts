import type { TestId } from './tests';

/** Where a test looks. */
export const REGIONS = ['front', 'outer', 'inner', 'back', 'turning in', 'turning out', 'control'] as const;
export type Region = (typeof REGIONS)[number];

export const REGION_NAMES: Record<Region, string> = {
	front: 'front of the hips',
	outer: 'outer hips',
	inner: 'inner thighs',
	back: 'back of the hips and thighs',
	'turning in': 'turning in',
	'turning out': 'turning out',
	control: 'control'
};

/** Grades by eye run from 0 to 3; one is told from the next, and no less. */
export const GRADES = [0, 1, 2, 3] as const;
export type Grade = (typeof GRADES)[number];

/** A scale that is read in numbers: by hand, with a tape or an inclinometer. */
export interface Scale {
	unit: 'degrees' | 'centimetres' | 'seconds';
	/** How to take the reading, in one sentence. */
	how: string;
	/** Whether more of it means freer (or steadier). */
	moreIsFreer: boolean;
	least: number;
	most: number;
	/** How far one reading is from another of a person in whom nothing changed: standard error of measurement. */
	sem: number;
	/** Intraclass correlation of two readings by the same person; null where we know of none that is published. */
	icc: number | null;
	source: string;
	/** A phone or inclinometer laid along this reads it, from where it is zeroed; null where none does. */
	laidOn: string | null;
}

/** The grades 0 to 3 of a test in words, and what it speaks for. */
export interface Grading {
	region: Region;
	/** Description of each grade. */
	grades: readonly [string, string, string, string];
	scale: Scale | null;
	/** For whom it is not, or what to mind. */
	caution: string;
}

/*
 * Standard errors of 2 to 4 degrees and intraclass correlations of 0.85 to 0.97 for passive hip range, measured by the same
 * person: Pua et al., Arch Phys Med Rehabil 89:1146 (2008); Nussbaumer et al., BMC Musculoskelet Disord 11:194 (2010). Both
 * from memory; the value for each test is chosen inside that range by how hard the ends of it are to see. All else is
 * common practice without a source.
 */
const INCLINOMETER =
	'Pua et al. 2008 and Nussbaumer et al. 2010 report 2 to 4 degrees (ICC 0.85 to 0.97) for one person measuring; from memory';
const PRACTICE = 'common practice, no source';

const degrees = (how: string, laidOn: string, most: number, sem: number, icc: number): Scale => ({
	unit: 'degrees',
	how,
	moreIsFreer: true,
	least: 0,
	most,
	sem,
	icc,
	source: INCLINOMETER,
	laidOn
});

/** One shin, lying on the front. Turning in ends at 30 to 45 degrees, turning out later: each has its own grades. */
const SHIN_ON_THE_FRONT: Omit<Grading, 'region' | 'grades'> = {
	scale: degrees('the shin from upright', 'the shin', 80, 3, 0.9),
	caution: 'Not with a sore knee; a folded blanket under the belly.'
};

export const GRADINGS: Record<TestId, Grading> = {
	'low-lunge-upright': {
		region: 'front',
		grades: [
			'trunk stays forward',
			'upright with the low back giving way',
			'upright and quiet',
			'upright, and the pelvis sinks further'
		],
		scale: degrees('the back thigh from upright', 'the back thigh', 60, 3, 0.9),
		caution: 'A blanket under the knee; not on a sore knee.'
	},
	'knee-to-chest': {
		region: 'back',
		grades: [
			'thigh not upright',
			'thigh upright',
			'thigh well past upright',
			'knee at the chest, other leg down'
		],
		scale: degrees('the thigh from flat on the floor', 'the thigh', 150, 3, 0.9),
		caution: 'After a hip replacement not past a right angle, and only as their doctor allows.'
	},
	'butterfly-knees': {
		region: 'inner',
		grades: ['more than two hands under the knee', 'two hands', 'one hand', 'knees at the floor'],
		scale: {
			unit: 'centimetres',
			how: 'from the floor to the outer side of the knee',
			moreIsFreer: false,
			least: 0,
			most: 60,
			sem: 1.5,
			icc: null,
			source: PRACTICE,
			laidOn: null
		},
		caution: 'Hands stay off the knees.'
	},
	'figure-four-knee': {
		region: 'outer',
		grades: ['knee points up', 'knee half open', 'shin nearly level', 'shin level, foot below down'],
		scale: degrees('the shin from upright', 'the shin of the crossed leg', 90, 3.5, 0.87),
		caution: 'Not with a sore knee; the ankle is flexed.'
	},
	'leg-roll': {
		region: 'turning in',
		grades: [
			'toes stay up or out',
			'toes a little in',
			'big toes lean toward each other',
			'big toes meet, 40 degrees or more'
		],
		scale: null,
		caution: 'No caution that is usual.'
	},
	'leg-roll-out': {
		region: 'turning out',
		grades: [
			'feet point up',
			'feet a third of the way out',
			'feet half way to the floor',
			'little toes near the floor'
		],
		scale: null,
		caution: 'No caution that is usual.'
	},
	'ninety-ninety-seat': {
		region: 'turning in',
		grades: [
			'sits only with a high cushion',
			'leans on a hand',
			'tall with one sit bone lifted',
			'tall, both sit bones near the floor'
		],
		scale: null,
		caution: 'People with sore knees sit higher or skip this test.'
	},
	'wide-stance-fold': {
		region: 'inner',
		grades: [
			'back rounds at once',
			'trunk half way to level',
			'trunk level',
			'trunk past level with a long back'
		],
		scale: degrees('the back of the pelvis from upright', 'the pelvis', 150, 4, 0.85),
		caution: 'With high blood pressure or dizziness the head stays above the hips.'
	},
	'one-leg-balance': {
		region: 'control',
		grades: ['under 5 seconds', '5 to 15 seconds', '15 to 45 seconds', '45 seconds, pelvis level'],
		scale: {
			unit: 'seconds',
			how: 'until the foot comes down, 45 at most',
			moreIsFreer: true,
			least: 0,
			most: 45,
			sem: 9,
			icc: null,
			source:
				'older people vary by about 9 seconds (a change counts from about 24); from memory, no source at hand',
			laidOn: null
		},
		caution: 'A wall within reach.'
	},
	'seat-switch': {
		region: 'control',
		grades: ['needs both hands', 'needs one hand', 'without hands one way', 'without hands both ways'],
		scale: null,
		caution: 'People with sore knees skip this test.'
	},
	'turning-in-prone': {
		...SHIN_ON_THE_FRONT,
		region: 'turning in',
		grades: [
			'shin hardly leaves upright',
			'under a quarter of the way down',
			'about a third of the way down',
			'35 degrees or more'
		]
	},
	'turning-out-prone': {
		...SHIN_ON_THE_FRONT,
		region: 'turning out',
		grades: [
			'shin hardly leaves upright',
			'under a third of the way down',
			'about half way down',
			'more than half way down'
		]
	},
	'straight-leg-raise': {
		region: 'back',
		grades: ['under half way', 'about 60 degrees', 'nearly upright', 'upright or past it'],
		scale: degrees('the straight leg from flat on the floor', 'the shin', 120, 2.5, 0.93),
		caution: 'Tingling or pain down the leg: stop, and skip this test.'
	},
	'squat-heels-down': {
		region: 'control',
		grades: [
			'thighs above level',
			'thighs level, heels lift',
			'below level, heels down',
			'deep and quiet, heels down'
		],
		scale: null,
		caution: 'Sore knees go only as deep as is easy.'
	}
};
