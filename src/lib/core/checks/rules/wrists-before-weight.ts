import type { TimedItem } from '../../clock';
import { findingLocation, itemForRoom } from '../helpers';
import type { Check } from '../types';

const onHands = ({ movement, form }: TimedItem) => (form.offHands ? undefined : movement.onHands);

export const wristsBeforeWeight: Check = {
	meta: {
		id: 'wrists-before-weight',
		summary: 'The wrists carry a little weight before most of it',
		severity: 'note',
		why: 'A plank or dog as the first load on the hands strains the wrists; a few rounds on all fours prepare them.',
		source: 'common practice',
		canRepair: true
	},
	check({ items }) {
		const first = items.find((taught) => onHands(taught) !== undefined);
		if (!first || onHands(first) !== 'most' || first.item.passed) return [];
		return [
			{
				message: `${first.movement.english} is the first load on the hands; start on all fours`,
				where: findingLocation(first),
				data: { movement: first.movement.slug }
			}
		];
	},
	/** Adds a movement that puts part of the weight on the hands, or cat and cow, just before the item. */
	repair(finding, context) {
		const taught = context.items.find(({ item }) => item.id === finding.where.itemId);
		if (!taught) return null;
		const easy = [...taught.movement.preparations, 'cat-cow']
			.map((slug) => context.find(slug))
			.find((movement) => movement?.onHands === 'some');
		const block = easy && itemForRoom(context, easy);
		const index = taught.section.blocks.findIndex(({ id }) => id === taught.blockId);
		if (!easy || !block || index < 0) return null;
		return {
			label: `Add ${easy.english} before it`,
			edits: [{ do: 'insert', at: { sectionId: taught.section.id, index }, block }]
		};
	}
};
