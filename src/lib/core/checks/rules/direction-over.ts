import { lessOf } from '../helpers';
import { DIRECTION_NAME, DIRECTIONS, type Direction } from '../../anatomy';
import { profileOf } from '../../substitution';
import { formatDuration } from '../../clock';
import { shareText } from '../../orbit';
import type { Check } from '../types';

/** From this share of the direction time on the others hardly come. */
const CROWDING_PERCENT = 50;

export const directionOver: Check = {
	meta: {
		id: 'direction-over',
		summary: 'No direction crowds out the others',
		severity: 'note',
		why: 'Too much of one direction leaves too little of another. In timed classes outward rotation took three times as long as inward rotation.',
		source: 'common practice (the bands are the group’s own, editable targets)',
		canRepair: true
	},
	check({ balance, items }) {
		if (items.length < 3) return [];
		const [most] = DIRECTIONS.filter((d) => balance.directions[d].standing === 'over').sort(
			(a, b) => balance.directions[a].offBySeconds - balance.directions[b].offBySeconds
		);
		if (!most) return [];
		const verdict = balance.directions[most];
		// a class has its themes: only what crowds out the rest is worth a word
		if (verdict.sharePercent < CROWDING_PERCENT) return [];
		return [
			{
				message: `${DIRECTION_NAME[most]} takes ${shareText(verdict)} % of the direction time; the band ends at ${verdict.band.maxPercent} % (about ${formatDuration(-verdict.offBySeconds)} less)`,
				data: {
					direction: most,
					sharePercent: Math.round(verdict.sharePercent * 10) / 10,
					maxPercent: verdict.band.maxPercent,
					offSeconds: verdict.offBySeconds
				}
			}
		];
	},
	/** One step less of the item that gives it most. */
	repair(finding, { items, style }) {
		const direction = finding.data.direction as Direction;
		const longest = [...items]
			.filter(({ item, movement }) => !item.pinned && profileOf(movement).range[direction] > 0)
			.sort(
				(a, b) =>
					b.workSeconds * profileOf(b.movement).range[direction] -
					a.workSeconds * profileOf(a.movement).range[direction]
			);
		for (const taught of longest) {
			const edit = lessOf(taught, style);
			if (edit) return { label: `Less of ${taught.movement.english}`, edits: [edit] };
		}
		return null;
	}
};
