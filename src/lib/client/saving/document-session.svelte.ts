import { advance, amend, redo, startHistory, undo, type History } from '$lib/core/plan';

/** Whoever keeps a document saved. */
export interface Saving<T> {
	changed(document: T): void;
}

/**
 * One document that is being worked on: its history, its saving, and what the last act said. Everything that can be done
 * with a kind of document is composed with one of these.
 */
export class DocumentSession<T> {
	/** Message of the last action, for the eye and for the screen reader. */
	message = $state('');

	private history = $state.raw<History<T>>({ past: [], present: null as never, future: [] });
	/** Typing on in the same field is one step of undo. */
	private lastField = '';
	private readonly listeners: (() => void)[] = [];

	readonly document = $derived(this.history.present);
	readonly canUndo = $derived(this.history.past.length > 0);
	readonly canRedo = $derived(this.history.future.length > 0);

	constructor(
		document: T,
		private readonly saving: Saving<T>
	) {
		this.history = startHistory(document);
	}

	/** Is called after each change, also by undo or by a newer document: what was worked out for the old one is stale. */
	whenChanged(act: () => void): void {
		this.listeners.push(act);
	}

	/** Another state as one step; `field` names what is typed in, so that typing on amends the step before. */
	change(after: T, said = '', field = ''): void {
		const goesOn = field !== '' && field === this.lastField;
		if (after !== this.document) this.set(goesOn ? amend(this.history, after) : advance(this.history, after));
		this.lastField = field;
		if (said) this.message = said;
	}

	undo(): void {
		if (!this.canUndo) return;
		this.set(undo(this.history));
		this.message = 'Undone';
	}

	redo(): void {
		if (!this.canRedo) return;
		this.set(redo(this.history));
		this.message = 'Redone';
	}

	/** A newer document from the server in the place of this one; undo leads back. */
	replace(document: T): void {
		this.history = advance(this.history, document);
		this.lastField = '';
		this.tell();
	}

	private set(history: History<T>): void {
		this.history = history;
		this.lastField = '';
		this.tell();
		this.saving.changed(this.document);
	}

	private tell(): void {
		for (const act of this.listeners) act();
	}
}
