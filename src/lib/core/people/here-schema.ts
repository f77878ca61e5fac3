import { array, number, object, string } from 'yup';
import { CAUTIONS } from '../movement';
import { eachOnce } from '../validation';
import { MOST_PEOPLE, TIERS } from './here';

const people = number().integer().min(0).max(MOST_PEOPLE).required();

export const hereSchema = object({
	tiers: object(Object.fromEntries(TIERS.map((tier) => [tier, people])))
		.noUnknown()
		.required(),
	cautions: array()
		.of(object({ caution: string().oneOf(CAUTIONS).required(), people: people.min(1) }).noUnknown())
		.max(CAUTIONS.length)
		.defined()
		.test(
			'once',
			eachOnce(({ caution }) => caution, 'this caution is there already')
		)
}).noUnknown();
