/** Keys typed before their field was loaded. */
export interface Typed {
	text: string;
	/** Whether Enter was pressed after it. */
	entered: boolean;
}

/**
 * Keeps what the teacher types between opening the finder and its field being there: its script may still be on the way,
 * and the letters would be lost, or be taken for keys of the desk.
 */
export class TypedAhead {
	private typed: Typed | null = null;

	/** From now on keys are meant for a field that is not there yet. */
	begin(): void {
		this.typed = { text: '', entered: false };
	}

	/** Keeps a key; false when no field is waited for, or the key is no part of typing. */
	hold(event: Pick<KeyboardEvent, 'key' | 'ctrlKey' | 'metaKey' | 'altKey'>): boolean {
		const { typed } = this;
		if (!typed || event.ctrlKey || event.metaKey || event.altKey) return false;
		if (typed.entered) return true;
		if (event.key === 'Enter') typed.entered = true;
		else if (event.key === 'Backspace') typed.text = [...typed.text].slice(0, -1).join('');
		// a character, or a pair of them that is one; names of keys are longer
		else if ([...event.key].length === 1) typed.text += event.key;
		else return false;
		return true;
	}

	/** The field is there, or is no longer wanted: what was typed, and no more is kept. */
	release(): Typed {
		const { typed } = this;
		this.typed = null;
		return typed ?? { text: '', entered: false };
	}
}
