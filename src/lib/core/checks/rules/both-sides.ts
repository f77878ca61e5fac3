import { isSymmetrical } from '../../anatomy';
import type { Check } from '../types';

export const bothSides: Check = {
	meta: {
		id: 'both-sides',
		summary: 'Both sides get the same',
		severity: 'stop',
		why: 'A second side is easily forgotten. A side left out on purpose needs a reason.',
		source: 'common practice',
		canRepair: true
	},
	check({ items }) {
		return items
			.filter(({ item, movement }) => !isSymmetrical(movement.action) && item.oneSided?.reason.trim() === '')
			.map(({ item, movement, blockId, startSeconds }) => ({
				message: `${movement.english} is given on the ${item.lead} side only, and no reason is given`,
				where: { itemId: item.id, blockId, atSeconds: startSeconds },
				data: { movement: movement.slug, side: item.lead }
			}));
	},
	repair(finding) {
		const { itemId } = finding.where;
		if (!itemId) return null;
		return {
			label: 'Give it on both sides',
			edits: [{ do: 'setItem', itemId, change: { oneSided: undefined } }]
		};
	}
};
