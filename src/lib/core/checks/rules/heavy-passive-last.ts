import { findBlock, type PlanEdit } from '../../plan';
import { findingLocation } from '../helpers';
import { isHeavy, isStrong } from '../../rules';
import type { TimedItem } from '../../clock';
import type { Check } from '../types';

const works = ({ item, form }: TimedItem) => isStrong(form, item.mode);

export const heavyPassiveLast: Check = {
	meta: {
		id: 'heavy-passive-last',
		summary: 'The heaviest passive shape comes last, then rest',
		severity: 'note',
		why: 'After a long passive hang the muscles respond slowly: put strength before it, not after.',
		source: 'common practice',
		canRepair: true
	},
	check({ items }) {
		return items.flatMap((taught, index) => {
			if (taught.item.passed || !isHeavy(taught.form, taught.item.mode)) return [];
			const after = items
				.slice(index + 1)
				.filter((other) => works(other) && other.blockId !== taught.blockId);
			const [first] = after;
			if (!first) return [];
			return [
				{
					message: `${taught.movement.english} is a heavy passive hold before ${first.movement.english} asks for strength`,
					where: findingLocation(taught),
					cause: first.movement.slug,
					data: { movement: taught.movement.slug, before: first.movement.slug, after: after.length }
				}
			];
		});
	},
	/** Moves its block behind the last strong item. */
	repair(finding, { items, plan }) {
		const last = items.findLast((taught) => works(taught) && taught.blockId !== finding.where.blockId);
		const from = finding.where.blockId && findBlock(plan, finding.where.blockId);
		const to = last && findBlock(plan, last.blockId);
		if (!last || !from || !to || !finding.where.blockId) return null;
		const shifted = from.sectionId === to.sectionId && from.index < to.index ? to.index : to.index + 1;
		const edit: PlanEdit = {
			do: 'move',
			blockId: finding.where.blockId,
			to: { sectionId: to.sectionId, index: shifted }
		};
		return { label: `Move it behind ${last.movement.english}`, edits: [edit] };
	}
};
