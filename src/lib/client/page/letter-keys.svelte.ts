/** Where this browser keeps whether keys without Ctrl or Alt do something. */
const KEPT_AS = 'orbit.letter-keys';

/** The part of the browser's storage that is used; storage may be forbidden, and then nothing is remembered. */
interface KeyStorage {
	getItem(key: string): string | null;
	setItem(key: string, value: string): void;
}

/**
 * Whether single keys (letters, figures, signs) do something at a desk. Speech input types letters that nobody meant as
 * keys, so they can be switched off (WCAG 2.1.4, character key shortcuts); Ctrl, Alt, arrows and Delete always work.
 */
export class LetterKeys {
	on = $state(true);

	constructor(
		private readonly kept: KeyStorage | null,
		private readonly root: { dataset: DOMStringMap } | null
	) {
		this.take(this.read() !== 'off');
	}

	set(on: boolean): void {
		this.take(on);
		try {
			this.kept?.setItem(KEPT_AS, on ? 'on' : 'off');
		} catch {
			// no room or not allowed: it holds until the page is left
		}
	}

	/** Whether this key is one that is switched off. */
	ignores(event: Pick<KeyboardEvent, 'key' | 'ctrlKey' | 'metaKey' | 'altKey'>): boolean {
		const alone = !event.ctrlKey && !event.metaKey && !event.altKey;
		return !this.on && alone && event.key.length === 1;
	}

	private take(on: boolean): void {
		this.on = on;
		// buttons then no longer name their keys (app.css)
		if (this.root) this.root.dataset.letterKeys = on ? 'on' : 'off';
	}

	private read(): string | null {
		try {
			return this.kept?.getItem(KEPT_AS) ?? null;
		} catch {
			return null;
		}
	}
}

function storage(): KeyStorage | null {
	try {
		return typeof localStorage === 'undefined' ? null : localStorage;
	} catch {
		return null;
	}
}

export const letterKeys = new LetterKeys(
	storage(),
	typeof document === 'undefined' ? null : document.documentElement
);
