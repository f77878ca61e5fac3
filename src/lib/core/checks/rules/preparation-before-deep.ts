import { findBlock, type PlanEdit } from '../../plan';
import { findingLocation, leadsUpTo, preparesAsEasier } from '../helpers';
import { isDeep } from '../../rules';
import type { Check } from '../types';

export const preparationBeforeDeep: Check = {
	meta: {
		id: 'preparation-before-deep',
		summary: 'A preparation comes before the shape that it prepares',
		severity: 'fix',
		why: 'The easier shape of the same kind comes only after the deep one.',
		source: 'common practice',
		canRepair: true
	},
	check({ items }) {
		return items.flatMap((taught, index) => {
			const { movement, form, item } = taught;
			if (!isDeep(form) || item.passed || movement.preparations.length === 0) return [];
			if (items.slice(0, index).some((before) => leadsUpTo(before, taught))) return [];
			const later = items
				.slice(index + 1)
				.find((other) => preparesAsEasier(other.movement, movement) && other.blockId !== taught.blockId);
			if (!later) return [];
			return [
				{
					message: `${later.movement.english} prepares ${movement.english} and comes only after it`,
					where: findingLocation(taught),
					cause: later.movement.slug,
					data: { movement: movement.slug, preparation: later.movement.slug, moved: later.blockId }
				}
			];
		});
	},
	repair(finding, { plan, items }) {
		const deep = finding.where.blockId && findBlock(plan, finding.where.blockId);
		const moved = String(finding.data.moved);
		const taught = items.find(({ blockId }) => blockId === moved);
		if (!deep || !taught) return null;
		const edit: PlanEdit = {
			do: 'move',
			blockId: moved,
			to: { sectionId: deep.sectionId, index: deep.index }
		};
		return { label: `Move ${taught.movement.english} before it`, edits: [edit] };
	}
};
