/** The conditions that people come with, the usual ones first: the order of every list of them. */
export const CAUTIONS = [
	'sore knee',
	'low back',
	'front-of-hip pinch',
	'pregnancy',
	'very mobile joints',
	'sore wrist',
	'poor balance',
	'high blood pressure or glaucoma',
	'hamstring injury',
	'adductor injury',
	'recent muscle or tendon injury',
	'fragile bones',
	'hip arthritis',
	'outer hip pain',
	'sore shoulder',
	'sore neck',
	'sore ankle or toe',
	'back that minds bending',
	'back that minds arching',
	'buttock pain without leg symptoms',
	'buttock pain with leg symptoms',
	'early pregnancy',
	'pelvic girdle pain',
	'after birth or hernia',
	'unstable hip',
	'after knee replacement',
	'hip replacement from behind',
	'hip replacement from the front',
	'after hip replacement',
	'recent operation'
] as const;
export type Caution = (typeof CAUTIONS)[number];

/**
 * Cautions where the treating clinician decides: in the first three months after an operation, after a hip replacement of
 * which it is not known how it was done, and with symptoms that run down the leg. For these nothing is ever proposed.
 * Common practice, no source.
 */
export const CLINICIAN_DECIDES: ReadonlySet<Caution> = new Set([
	'recent operation',
	'after hip replacement',
	'buttock pain with leg symptoms'
]);

/**
 * Cautions with which a person takes part in nothing until their clinician has decided, so that the class is not planned
 * round them. Common practice, no source.
 */
export const SITS_OUT: ReadonlySet<Caution> = new Set(['recent operation']);

/** Cautions with which a fall on one leg is likely, or grave. Common practice, no source. */
export const UNSTEADY: ReadonlySet<Caution> = new Set(['poor balance', 'fragile bones']);
