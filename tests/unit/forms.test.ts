import { describe, expect, it } from 'vitest';
import { newGroupSchema } from '../../src/lib/core/group';
import { accountSchema } from '../../src/lib/core/people';
import { newSeriesSchema } from '../../src/lib/core/series';
import { fieldError, formErrors, wholeNumber } from '../../src/lib/core/validation';

describe('a form, checked by the same schema in the browser and on the server', () => {
	const account = {
		name: 'Imke Oyelaran',
		email: 'imke@saltmarsh-loft.example',
		password: 'headland-at-dusk'
	};

	it('has nothing wrong with it, or says of each field what is', () => {
		expect(formErrors(accountSchema, account)).toBeNull();
		expect(formErrors(accountSchema, { ...account, email: 'imke', password: 'short' })).toEqual({
			email: 'This is not an e-mail address',
			password: 'At least 10 characters'
		});
	});

	it('says of one field what is wrong, whatever is wrong with the others', () => {
		const typed = { name: '', email: 'imke', password: '' };
		expect(fieldError(accountSchema, typed, 'email')).toBe('This is not an e-mail address');
		expect(fieldError(accountSchema, { ...typed, email: account.email }, 'email')).toBe('');
	});

	it.each([
		[{ name: '  ', preset: 'climbers' }, { name: 'Give the group a name' }],
		[{ name: 'x'.repeat(81), preset: 'climbers' }, { name: 'At most 80 characters' }]
	])('of a new group: %j', (typed, errors) => expect(formErrors(newGroupSchema, typed)).toEqual(errors));

	it.each([
		[{ group: '', startsOn: '2026-12-01', weeks: '8' }, { group: 'Choose a group' }],
		[{ group: 'g', startsOn: '2026-02-30', weeks: '8' }, { startsOn: 'Give a day' }],
		[{ group: 'g', startsOn: '2026-12-01', weeks: '99' }, { weeks: 'At most 26 weeks' }],
		[{ group: 'g', startsOn: '2026-12-01', weeks: '8' }, null]
	])('of a new series: %j', (typed, errors) => expect(formErrors(newSeriesSchema, typed)).toEqual(errors));

	it.each([
		[10, true],
		[20, true],
		[9, false],
		[21, false],
		[12.5, false],
		[null, false]
	])('a whole number from 10 to 20: %s is %s', (number, isRight) =>
		expect(wholeNumber(10, 20).isValidSync(number, { strict: true })).toBe(isRight)
	);

	it('a number that may be left out may be nothing, and is within its limits where it is given', () => {
		expect(wholeNumber(10, 20, true).isValidSync(null, { strict: true })).toBe(true);
		expect(wholeNumber(10, 20, true).isValidSync(5, { strict: true })).toBe(false);
	});
});
