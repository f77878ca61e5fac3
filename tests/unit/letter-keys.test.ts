import { describe, expect, it } from 'vitest';
import { LetterKeys } from '../../src/lib/client/page/letter-keys.svelte';

const key = (name: string, held = {}) => ({
	key: name,
	ctrlKey: false,
	metaKey: false,
	altKey: false,
	...held
});
function shelf(): { getItem(key: string): string | null; setItem(key: string, value: string): void } {
	const kept = new Map<string, string>();
	return { getItem: (name) => kept.get(name) ?? null, setItem: (name, value) => void kept.set(name, value) };
}

describe('keys without Ctrl or Alt', () => {
	it('do something until they are switched off, and then only those do nothing', () => {
		const keys = new LetterKeys(shelf(), null);
		expect(keys.ignores(key('a'))).toBe(false);
		keys.set(false);
		for (const name of ['a', 'G', '?', '+', '1']) expect(keys.ignores(key(name)), name).toBe(true);
		for (const name of ['ArrowDown', 'Delete', 'Escape', 'F1'])
			expect(keys.ignores(key(name)), name).toBe(false);
		expect(keys.ignores(key('z', { ctrlKey: true }))).toBe(false);
		expect(keys.ignores(key('p', { altKey: true }))).toBe(false);
	});

	it('are as they were left when the page is opened again, and buttons are told', () => {
		const kept = shelf();
		const root = { dataset: {} as DOMStringMap };
		new LetterKeys(kept, root).set(false);
		expect(root.dataset.letterKeys).toBe('off');
		expect(new LetterKeys(kept, null).on).toBe(false);
	});

	it('can be switched where a browser keeps nothing', () => {
		const closed = {
			getItem: () => {
				throw new Error('forbidden');
			},
			setItem: () => {
				throw new Error('forbidden');
			}
		};
		const keys = new LetterKeys(closed, null);
		keys.set(false);
		expect(keys.on).toBe(false);
	});
});
