import { number, object, string } from 'yup';
import { isIsoDay } from '../calendar';
import { SERIES_LIMITS } from './types';

/** Schema of the form for a new series. */
export const newSeriesSchema = object({
	group: string().required('Choose a group'),
	startsOn: string().test('day', 'Give a day', (value) => isIsoDay(value ?? '')),
	weeks: number()
		.typeError('Give a number of weeks')
		.integer('Give whole weeks')
		.min(1, 'At least one week')
		.max(SERIES_LIMITS.weeks, `At most ${SERIES_LIMITS.weeks} weeks`)
		.required('Give a number of weeks')
});
