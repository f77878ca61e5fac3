import type { Check } from './types';

/** New movements that a class can carry. Common practice, no source. */
const MOST_NEW = 1;

export const tooManyNew: Check = {
	meta: {
		id: 'too-many-new',
		summary: 'One new movement a class',
		severity: 'note',
		why: 'A group learns by repeating; one new thing at a time, and the easier one first.',
		source: 'common practice',
		canRepair: false
	},
	check({ items, taughtBefore }) {
		// a group that was never taught knows nothing yet: then everything is new, and nothing is said
		if (!taughtBefore?.length) return [];
		const known = new Set(taughtBefore);
		const fresh = [
			...new Map(
				items.filter(({ movement }) => !known.has(movement.slug)).map((t) => [t.movement.slug, t])
			).values()
		];
		if (fresh.length <= MOST_NEW) return [];
		const second = fresh[MOST_NEW]!;
		return [
			{
				message: `${fresh.length} movements are new to this group: ${fresh.map((t) => t.movement.english).join(', ')}`,
				where: { itemId: second.item.id, blockId: second.blockId, atSeconds: second.startSeconds },
				data: { count: fresh.length, movements: fresh.map((t) => t.movement.slug).join(', ') }
			}
		];
	}
};
