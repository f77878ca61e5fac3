import type { Check } from '../types';

/** A class needs a pause for noticing in each stretch of this many seconds. Common practice, no source. */
const EACH_SECONDS = 20 * 60;
/** A pause for noticing after a side or a test was observed to take 6 to 25 s. */
const USUAL_SECONDS = 15;

export const noPause: Check = {
	meta: {
		id: 'no-pause',
		summary: 'There are pauses for noticing during the class',
		severity: 'note',
		why: 'A breath after a side lets people notice the difference.',
		source: 'common practice',
		canRepair: true
	},
	check({ items, timeline }) {
		const wanted = Math.floor(timeline.totalSeconds / EACH_SECONDS);
		if (wanted === 0 || items.length < 4) return [];
		const rests = items.slice(1, -1).filter(({ item }) => item.mode === 'rest').length;
		const pauses = rests + timeline.entries.filter(({ phase }) => phase === 'notice').length;
		if (pauses >= wanted) return [];
		const has = pauses === 0 ? 'no pause' : pauses === 1 ? 'one pause' : `${pauses} pauses`;
		return [
			{
				message: `the class has ${has} for noticing between its beginning and its end; ${wanted} would be usual`,
				data: { pauses, wanted }
			}
		];
	},
	/** After the deepest item that has none. */
	repair(_finding, { items }) {
		const [deepest] = items
			.filter(({ item }) => !item.noticeSeconds && item.mode !== 'rest')
			.sort((a, b) => b.form.intensity - a.form.intensity);
		if (!deepest) return null;
		return {
			label: `Pause after ${deepest.movement.english}`,
			edits: [{ do: 'setItem', itemId: deepest.item.id, change: { noticeSeconds: USUAL_SECONDS } }]
		};
	}
};
