import { formFacts } from '../../movement';
import { STILL_MODES } from '../../orbit';
import { STRETCH_FROM_INTENSITY } from '../../rules';
import type { TimedItem } from '../../clock';
import { factsOf, sumReports, type SumRule } from '../lived';
import type { Check } from '../types';

/** Held still in a stretch that is more than a way of lying. */
const isStretched = (taught: TimedItem): boolean =>
	STILL_MODES.has(taught.item.mode) &&
	taught.form.intensity > STRETCH_FROM_INTENSITY &&
	factsOf(taught).legs.some(({ lengthens }) => lengthens.length > 0);

const secondsIf =
	(is: (taught: TimedItem) => boolean) =>
	(taught: TimedItem): number =>
		is(taught) ? taught.workSeconds : 0;

/** Limits of what comes together in one class. Common practice, no source. */
const RULES: readonly SumRule[] = [
	{
		caution: 'very mobile joints',
		what: 'held in a stretch',
		mostSeconds: 480,
		seconds: secondsIf(isStretched),
		advice: 'Let them work in the middle of the range instead.'
	},
	{
		caution: 'unstable hip',
		what: 'held in a stretch',
		mostSeconds: 300,
		seconds: secondsIf(isStretched),
		advice: 'Let them work in the middle of the range instead.'
	},
	{
		caution: 'front-of-hip pinch',
		what: 'with the hip bent and turned in',
		mostSeconds: 120,
		seconds: secondsIf((taught) =>
			formFacts.passes(
				factsOf(taught),
				({ flexion = 0, internalRotation = 0 }) => flexion >= 60 && internalRotation >= 10
			)
		),
		advice: 'Give them one of these lying, with the leg long.'
	},
	{
		caution: 'hamstring injury',
		what: 'of pull or load on the back of the thigh',
		mostSeconds: 150,
		seconds: secondsIf((taught) => {
			const it = factsOf(taught);
			return formFacts.pullsOn(it, ['hamstrings'], 1) || formFacts.loads(it, ['knee flexors']);
		}),
		advice: 'Spread it over several classes.'
	},
	{
		caution: 'adductor injury',
		what: 'of pull or load on the inner thigh',
		mostSeconds: 150,
		seconds: secondsIf((taught) => {
			const it = factsOf(taught);
			return formFacts.pullsOn(it, ['adductors'], 1) || formFacts.loads(it, ['hip adductors']);
		}),
		advice: 'Spread it over several classes.'
	}
];

export const endRangeSum: Check = {
	meta: {
		id: 'end-range-sum',
		summary: 'What people with a caution do does not add up to too much',
		severity: 'note',
		why: 'Each item is fine for them, and all together are not: what irritates a joint or a tendon adds up over a class.',
		source: 'common practice',
		canRepair: false
	},
	check: (context) => sumReports(context, RULES)
};
