import type { Check } from '../types';

/** New movements that a class can carry. Common practice, no source. */
const MOST_NEW = 1;

export const tooManyNew: Check = {
	meta: {
		id: 'too-many-new',
		summary: 'One new movement per class',
		severity: 'note',
		why: 'A group learns by repeating: one new thing at a time, the easier one first.',
		source: 'common practice',
		canRepair: false
	},
	check({ items, known: before }) {
		// a group that was never taught knows nothing yet: then everything is new, and nothing is said
		if (!before?.slugs.length) return [];
		const known = new Set(before.slugs);
		const words =
			before.from === 'taught' ? 'are new to this group' : 'were not planned for this group before';
		const fresh = [
			...new Map(
				items.filter(({ movement }) => !known.has(movement.slug)).map((t) => [t.movement.slug, t])
			).values()
		];
		if (fresh.length <= MOST_NEW) return [];
		const second = fresh[MOST_NEW]!;
		return [
			{
				message: `${fresh.length} movements ${words}: ${fresh.map((t) => t.movement.english).join(', ')}`,
				where: { itemId: second.item.id, blockId: second.blockId, atSeconds: second.startSeconds },
				data: { count: fresh.length, movements: fresh.map((t) => t.movement.slug).join(', ') }
			}
		];
	}
};
