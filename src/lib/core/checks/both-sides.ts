import { isSymmetrical } from '../anatomy';
import type { Check } from './types';

export const bothSides: Check = {
	meta: {
		id: 'both-sides',
		summary: 'What one side gets, the other gets too',
		severity: 'stop',
		why: 'Second sides vanish without anybody noticing; a side left out on purpose has a reason that can be written down.',
		source: 'common practice',
		canRepair: true
	},
	check({ items }) {
		return items
			.filter(({ item, movement }) => !isSymmetrical(movement.action) && item.oneSided?.reason.trim() === '')
			.map(({ item, movement, blockId, startSeconds }) => ({
				message: `${movement.english} is given on the ${item.lead} side only, and no reason is written down`,
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
