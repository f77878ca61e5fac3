import { isLinked, legsThrough, linkEdit, blocksOf, type LinkedSide } from '../../plan';
import type { Check } from '../types';

const changes = ({ item, before }: LinkedSide) => before !== null && before.item.lead !== item.lead;

export const legThroughLinks: Check = {
	meta: {
		id: 'leg-through-links',
		summary: 'Chains and flows say how the leading leg changes',
		severity: 'fix',
		why: 'Stepping through, crossing over or standing up can change the leading leg. If that goes unnoticed, one leg gets everything twice.',
		source: 'common practice',
		canRepair: true
	},
	check({ plan, find, items }) {
		const start = new Map(items.map((taught) => [taught.item.id, taught.startSeconds]));
		return blocksOf(plan).flatMap(({ block }) => {
			if (!isLinked(block)) return [];
			return legsThrough(block, find)
				.filter((led) => led.before && changes(led) !== (led.item.link !== undefined))
				.map(({ item, movement, before }) => ({
					message: item.link
						? `${movement.english} is led by the ${item.lead} leg like ${before!.movement.english} before it, though the leg ${item.link} in between`
						: `${movement.english} is led by the ${item.lead} leg after ${before!.movement.english} by the ${before!.item.lead}, and the plan does not say how the leg changes`,
					where: { itemId: item.id, blockId: block.id, atSeconds: start.get(item.id) ?? 0 },
					data: { movement: movement.slug, leg: item.lead }
				}));
		});
	},
	/** Keeps the same leading leg at every link that does not name a leg. */
	repair(finding, { plan, find, items }) {
		const taught = items.find(({ item }) => item.id === finding.where.itemId);
		const edit = taught && linkEdit(plan, find, taught.item.id, taught.item.link);
		if (!taught || !edit) return null;
		const other = taught.item.lead === 'left' ? 'right' : 'left';
		return { label: `The ${other} leg leads ${taught.movement.english}`, edits: [edit] };
	}
};
