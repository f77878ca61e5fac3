import { object, string } from 'yup';
import { QUESTION_IDS, questionOf } from './questions';

export const styleSchema = object(
	Object.fromEntries(
		QUESTION_IDS.map((id) => [id, string().oneOf(questionOf(id).schools.map((school) => school.id))])
	)
).noUnknown();
