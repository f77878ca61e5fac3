import { isObject, type DocumentKind } from '../validation';
import { planSchema } from './schema';

/** A class plan as it is kept. 2: only the figures that were set for this class by hand; the rest is the teacher's pace. */
export const PLAN: DocumentKind = {
	name: 'class',
	schema: planSchema,
	steps: [({ pace, ...plan }) => (pace === undefined || isEmpty(pace) ? plan : { ...plan, pinnedPace: pace })]
};

const isEmpty = (value: unknown) => isObject(value) && Object.keys(value).length === 0;
