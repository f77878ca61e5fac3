import { describe, expect, it } from 'vitest';
import { TypedAhead } from '../../src/lib/client/plan/typed-ahead';

const press = (key: string, held: Partial<KeyboardEvent> = {}) => ({
	key,
	ctrlKey: false,
	metaKey: false,
	altKey: false,
	...held
});

describe('keys that are pressed before their field is there', () => {
	it('are kept in order, with Enter, once it was begun', () => {
		const ahead = new TypedAhead();
		expect(ahead.hold(press('b'))).toBe(false);
		ahead.begin();
		for (const key of ['b', 'u', 'x', 'Backspace', 't', 'Enter', 'z'])
			expect(ahead.hold(press(key))).toBe(true);
		expect(ahead.release()).toEqual({ text: 'but', entered: true });
	});

	it('are no longer kept when the field is there', () => {
		const ahead = new TypedAhead();
		ahead.begin();
		ahead.hold(press('b'));
		ahead.release();
		expect(ahead.hold(press('u'))).toBe(false);
		expect(ahead.release()).toEqual({ text: '', entered: false });
	});

	it('leave commands, arrows and Escape alone', () => {
		const ahead = new TypedAhead();
		ahead.begin();
		for (const event of [
			press('z', { ctrlKey: true }),
			press('a', { metaKey: true }),
			press('ArrowDown', { altKey: true })
		])
			expect(ahead.hold(event)).toBe(false);
		for (const key of ['ArrowDown', 'Escape', 'Tab', 'Shift', 'F5'])
			expect(ahead.hold(press(key))).toBe(false);
		expect(ahead.release().text).toBe('');
	});

	it('keep a letter of two parts whole', () => {
		const ahead = new TypedAhead();
		ahead.begin();
		ahead.hold(press('𝒶'));
		ahead.hold(press('Backspace'));
		expect(ahead.release().text).toBe('');
	});
});
