import { object, string } from 'yup';
import { PRESETS } from './types';

/** Schema of the form for a new group. */
export const newGroupSchema = object({
	name: string()
		.required('Give the group a name')
		.matches(/\S/, 'Give the group a name')
		.max(80, 'At most 80 characters'),
	preset: string().oneOf(PRESETS).required()
});
