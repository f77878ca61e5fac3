import { string } from 'yup';
import { browserStorage, persisted, type BrowserStorage, type Persisted } from './persisted';

const ON_OFF = ['on', 'off'] as const;
type OnOff = (typeof ON_OFF)[number];

/**
 * Whether single keys (letters, figures, signs) do something at a desk. Speech input types letters that were not meant as
 * keys, so they can be switched off (WCAG 2.1.4, character key shortcuts); Ctrl, Alt, arrows and Delete always work.
 */
export class LetterKeys {
	on = $state(true);

	private readonly kept: Persisted<OnOff>;

	constructor(
		storage: BrowserStorage | null,
		private readonly root: { dataset: DOMStringMap } | null
	) {
		this.kept = persisted<OnOff>('orbit.letter-keys', string().oneOf(ON_OFF).required(), 'on', storage);
		this.take(this.kept.read() === 'on');
	}

	set(on: boolean): void {
		this.take(on);
		this.kept.write(on ? 'on' : 'off');
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
}

export const letterKeys = new LetterKeys(
	browserStorage(),
	typeof document === 'undefined' ? null : document.documentElement
);
