/** Values that a browser keeps: checked when they are read, and no fault where nothing can be kept. */
import { number, object, string } from 'yup';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { persisted } from '../../src/lib/client/page/persisted';
import { DeviceSettings } from '../../src/lib/client/teach/settings.svelte';

const schema = object({ breaths: number().integer().min(1).required() });
const USUAL = { breaths: 5 };
function shelf(text?: string, key = 'key') {
	const kept = new Map(text === undefined ? [] : [[key, text]]);
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

	it('is read where an older version stored a text without quotes, and one that looks like a number stays a text', () => {
		const word = string().required();
		expect(persisted('key', word, 'on', shelf('off')).read()).toBe('off');
		const storage = shelf();
		persisted('key', word, 'on', storage).write('5');
		expect(persisted('key', word, 'on', storage).read()).toBe('5');
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

describe('the settings of a device that teaches', () => {
	const settingsOf = (stored: unknown) => {
		vi.stubGlobal('localStorage', shelf(JSON.stringify(stored), 'orbit.teach'));
		return new DeviceSettings().now;
	};
	afterEach(() => vi.unstubAllGlobals());

	it('hold what was chosen, and are the usual ones for the rest', () => {
		const usual = settingsOf({});
		expect(settingsOf({ lead: 'clock', waitsForPeople: false })).toEqual({
			...usual,
			lead: 'clock',
			waitsForPeople: false
		});
		expect(settingsOf({ keys: { next: ['n'] } }).keys).toEqual({ next: ['n'] });
	});

	it.each([{ lead: 'nobody' }, { keys: { next: 'n' } }, { keys: { next: [1] } }, { tones: 'yes' }])(
		'are the usual ones where %j is stored',
		(stored) => expect(settingsOf(stored)).toEqual(settingsOf({}))
	);
});
