import { formForRoom } from '../../substitution';
import { findBlock, type PlanEdit } from '../../plan';
import { findingLocation, itemForRoom } from '../helpers';
import { DEEPEST_INTENSITY } from '../../rules';
import type { TimedItem } from '../../clock';
import type { Check } from '../types';

/** Something easy enough to undo anything: rest, or moving lightly. */
const resets = ({ item, form }: TimedItem) =>
	item.mode === 'rest' || (item.mode === 'dynamic' && form.intensity <= 1);

/** A counter shape this many items later is too late. */
const WITHIN = 2;

export const counterShapeAfter: Check = {
	meta: {
		id: 'counter-shape-after',
		summary: 'A counter shape follows the heaviest shapes',
		severity: 'note',
		why: 'Half a minute of rocking the knees, sitting back or shaking out after the deepest form helps for the rest of the class.',
		source: 'common practice',
		canRepair: true
	},
	check({ items }) {
		return items.flatMap((taught, index) => {
			const { movement, form } = taught;
			if (form.intensity < DEEPEST_INTENSITY || movement.counters.length === 0) return [];
			const next = items
				.slice(index + 1)
				.filter(({ blockId }) => blockId !== taught.blockId)
				.slice(0, WITHIN);
			if (next.some((other) => movement.counters.includes(other.movement.slug) || resets(other))) return [];
			return [
				{
					message: `no counter shape follows ${movement.english}`,
					where: findingLocation(taught),
					data: { movement: movement.slug, counters: movement.counters.join(', ') }
				}
			];
		});
	},
	repair(finding, context) {
		const { catalogue, plan, group } = context;
		const counter = String(finding.data.counters)
			.split(', ')
			.map((slug) => catalogue.find((m) => m.slug === slug))
			.find((m) => m && formForRoom(m, group));
		const place = finding.where.blockId && findBlock(plan, finding.where.blockId);
		if (!counter || !place) return null;
		const block = itemForRoom(context, counter);
		if (!block) return null;
		const edit: PlanEdit = {
			do: 'insert',
			at: { sectionId: place.sectionId, index: place.index + 1 },
			block
		};
		return { label: `Add ${counter.english} after it`, edits: [edit] };
	}
};
