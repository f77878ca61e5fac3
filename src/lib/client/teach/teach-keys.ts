/** What can be done by a key, a presenter's clicker or a pedal that sends keys. */
export const TEACH_ACTS = [
	'next',
	'back',
	'pause',
	'more',
	'list',
	'late',
	'facing',
	'look',
	'keys'
] as const;
export type TeachAct = (typeof TEACH_ACTS)[number];

export const TEACH_KEYS: Record<TeachAct, { keys: string[]; words: string }> = {
	next: { keys: [' ', 'PageDown', 'ArrowRight', 'ArrowDown', 'Enter'], words: 'On to what comes next' },
	back: { keys: ['PageUp', 'ArrowLeft', 'ArrowUp', 'Backspace'], words: 'Back: undo the last move' },
	pause: { keys: ['b', 'B', '.'], words: 'Pause, and go on' },
	more: { keys: ['m'], words: 'More of this' },
	list: { keys: ['l'], words: 'The whole class as a list' },
	late: { keys: ['t'], words: 'What to do about the time' },
	facing: { keys: ['f'], words: 'Facing the group, or not' },
	look: { keys: ['d'], words: 'Light, dark, high contrast' },
	keys: { keys: ['?'], words: 'This list' }
};

/** How keys are called where they are listed. */
export const keyName = (key: string): string =>
	({ ' ': 'Space', ArrowRight: '→', ArrowLeft: '←', ArrowUp: '↑', ArrowDown: '↓' })[key] ?? key;

/** What a key press asks for; null where it is meant for the control that has the focus, or for nothing. */
export function teachAct(event: KeyboardEvent): TeachAct | null {
	if (event.ctrlKey || event.metaKey || event.altKey) return null;
	const target = event.target instanceof HTMLElement ? event.target : null;
	if (target?.closest('input, textarea, select, [role="dialog"]')) return null;
	// a button that has the focus is pressed by these itself
	if ((event.key === ' ' || event.key === 'Enter') && target?.closest('button, a')) return null;
	return TEACH_ACTS.find((act) => TEACH_KEYS[act].keys.includes(event.key)) ?? null;
}
