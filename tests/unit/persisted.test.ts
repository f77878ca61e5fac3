/** Values that a browser keeps: checked when they are read, and no fault where nothing can be kept. */
import { number, object } from 'yup';
import { describe, expect, it } from 'vitest';
import { persisted } from '../../src/lib/client/page/persisted';

const schema = object({ breaths: number().integer().min(1).required() });
const USUAL = { breaths: 5 };
function shelf(text?: string) {
	const kept = new Map(text === undefined ? [] : [['key', text]]);
	return {
		getItem: (key: string) => kept.get(key) ?? null,
		setItem: (key: string, value: string) => void kept.set(key, value)
	};
}

describe('a value that the browser keeps', () => {
	it('is read as it was written', () => {
		const storage = shelf();
		persisted('key', schema, USUAL, storage).write({ breaths: 8 });
		expect(persisted('key', schema, USUAL, storage).read()).toEqual({ breaths: 8 });
	});

	it.each([
		['nothing', undefined],
		['no JSON', '{breaths'],
		['another shape', '{"breaths":"8"}'],
		['null', 'null'],
		['a value out of its limits', '{"breaths":0}']
	])('is the usual one where %s is stored', (_what, text) => {
		expect(persisted('key', schema, USUAL, shelf(text)).read()).toEqual(USUAL);
	});

	it('is the usual one where storage is forbidden or full, without a fault', () => {
		const forbidden = () => {
			throw new Error('forbidden');
		};
		for (const storage of [null, { getItem: forbidden, setItem: forbidden }]) {
			const value = persisted('key', schema, USUAL, storage);
			value.write({ breaths: 8 });
			expect(value.read()).toEqual(USUAL);
		}
	});
});
