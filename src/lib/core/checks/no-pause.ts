import type { Check } from './types';

/** Classes from this length on want a moment to feel what happened. */
const FROM_SECONDS = 20 * 60;
/** A pause for noticing after a side or a test was observed to take 6 to 25 s. */
const USUAL_SECONDS = 15;

export const noPause: Check = {
	meta: {
		id: 'no-pause',
		summary: 'There is a pause for noticing before the end',
		severity: 'note',
		why: 'A breath after a side is where people notice a difference; without it the work passes them by.',
		source: 'common practice',
		canRepair: true
	},
	check({ items, timeline }) {
		if (timeline.totalSeconds < FROM_SECONDS || items.length < 4) return [];
		const rests = items.slice(1, -1).some(({ item }) => item.mode === 'rest');
		if (rests || timeline.entries.some(({ phase }) => phase === 'notice')) return [];
		return [{ message: 'the class has no pause for noticing between its beginning and its end' }];
	},
	/** After the deepest item. */
	repair(_finding, { items }) {
		const [deepest] = [...items].sort((a, b) => b.form.intensity - a.form.intensity);
		if (!deepest) return null;
		return {
			label: `Pause after ${deepest.movement.english}`,
			edits: [{ do: 'setItem', itemId: deepest.item.id, change: { noticeSeconds: USUAL_SECONDS } }]
		};
	}
};
