import type { Check } from '../types';

export const notYetKnown: Check = {
	meta: {
		id: 'not-yet-known',
		summary: 'The group knows what a movement builds on',
		severity: 'note',
		why: 'Some movements assume an easier one; a group that has not met it learns two things at once.',
		source: 'common practice',
		canRepair: false
	},
	check({ items, known, find }) {
		if (!known?.slugs.length) return [];
		const met = new Set(known.slugs);
		const how =
			known.from === 'taught' ? 'what this group has not met' : 'what was not planned for this group yet';
		return items.flatMap(({ item, movement, blockId, startSeconds }) => {
			const missing = met.has(movement.slug) ? [] : movement.prerequisites.filter((slug) => !met.has(slug));
			met.add(movement.slug);
			if (!missing.length) return [];
			const names = missing.map((slug) => find(slug)?.english ?? slug).join(', ');
			return [
				{
					message: `${movement.english} builds on ${how}: ${names}`,
					where: { itemId: item.id, blockId, atSeconds: startSeconds },
					data: { movement: movement.slug, missing: missing.join(', ') }
				}
			];
		});
	}
};
