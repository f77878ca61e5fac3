/** Actions that a key, a presenter's clicker or a pedal can trigger. */
export const TEACH_ACTS = [
	'next',
	'back',
	'pause',
	'more',
	'leave out',
	'change',
	'list',
	'late',
	'facing',
	'look',
	'whole screen',
	'keys'
] as const;
export type TeachAct = (typeof TEACH_ACTS)[number];

/** Keys as they are until the teacher chooses others. */
export const TEACH_KEYS: Record<TeachAct, { keys: readonly string[]; words: string }> = {
	next: { keys: [' ', 'PageDown', 'ArrowRight', 'ArrowDown', 'Enter'], words: 'On to what comes next' },
	back: { keys: ['PageUp', 'ArrowLeft', 'ArrowUp', 'Backspace'], words: 'Back: undo the last move' },
	pause: { keys: ['b', 'B', '.'], words: 'Pause, and go on' },
	more: { keys: ['m'], words: 'More of this' },
	'leave out': { keys: ['x'], words: 'Leave this out' },
	change: { keys: ['c'], words: 'A set more, another movement, a note' },
	list: { keys: ['l'], words: 'The whole class as a list' },
	late: { keys: ['t'], words: 'What to do about the time' },
	facing: { keys: ['f'], words: 'Facing the group, or not' },
	'whole screen': { keys: ['w'], words: 'Whole screen, and back' },
	look: { keys: ['d'], words: 'Light, dark, high contrast' },
	keys: { keys: ['?'], words: 'This list' }
};

/** Keys that the teacher chose, by what they do; the rest is as usual. */
export type ChosenKeys = Partial<Record<TeachAct, readonly string[]>>;

/** The keys that do something. */
export const keysOf = (act: TeachAct, chosen: ChosenKeys): readonly string[] =>
	chosen[act] ?? TEACH_KEYS[act].keys;

/** The same with a key that does this from now on, and nothing else. */
export function withKey(chosen: ChosenKeys, act: TeachAct, key: string): ChosenKeys {
	const others = TEACH_ACTS.filter((other) => keysOf(other, chosen).includes(key));
	const without = Object.fromEntries(
		others.map((other) => [other, keysOf(other, chosen).filter((known) => known !== key)])
	);
	return { ...chosen, ...without, [act]: [...keysOf(act, { ...chosen, ...without }), key] };
}

/** How keys are called where they are listed. */
export const keyName = (key: string): string =>
	({ ' ': 'Space', ArrowRight: '→', ArrowLeft: '←', ArrowUp: '↑', ArrowDown: '↓' })[key] ?? key;

/** Returns the action of a key press; null where the press is for the focused control, or has no action. */
export function teachAct(event: KeyboardEvent, chosen: ChosenKeys = {}): TeachAct | null {
	if (event.ctrlKey || event.metaKey || event.altKey) return null;
	const target = event.target instanceof HTMLElement ? event.target : null;
	if (target?.closest('input, textarea, select, [role="dialog"]')) return null;
	// a button that has the focus is pressed by these itself
	if ((event.key === ' ' || event.key === 'Enter') && target?.closest('button, a')) return null;
	return TEACH_ACTS.find((act) => keysOf(act, chosen).includes(event.key)) ?? null;
}
