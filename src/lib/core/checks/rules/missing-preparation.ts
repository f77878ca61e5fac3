import { formForRoom } from '../../substitution';
import type { PlanEdit } from '../../plan';
import { isDeep, isPeak } from '../../rules';
import { itemForRoom, leadsUpTo, preparesAsEasier } from '../helpers';
import type { Check } from '../types';

export const missingPreparation: Check = {
	meta: {
		id: 'missing-preparation',
		summary: 'Easier shapes of the same kind prepare deep ones',
		severity: 'fix',
		why: 'A pigeon needs a figure four, a side seat or a 90-90 first: the same joint in an easier shape.',
		source: 'common practice',
		canRepair: true
	},
	check({ items, find }) {
		return items.flatMap((taught, index) => {
			const { item, movement, form, section, blockId, startSeconds } = taught;
			const wants = isDeep(form) || (section.kind === 'peak' && isPeak(form));
			if (!wants || item.passed || movement.preparations.length === 0) return [];
			if (items.slice(0, index).some((before) => leadsUpTo(before, taught))) return [];
			// that it comes too late is said by another check
			if (
				items
					.slice(index + 1)
					.some((later) => later.blockId !== blockId && preparesAsEasier(later.movement, movement))
			)
				return [];
			const names = movement.preparations.map((slug) => find(slug)?.english ?? slug);
			return [
				{
					message: `${movement.english} comes without a preparation; one of these goes before it: ${names.join(', ')}`,
					severity: isDeep(form) ? ('fix' as const) : ('note' as const),
					where: { itemId: item.id, blockId, atSeconds: startSeconds },
					cause: movement.preparations.join(', '),
					data: { movement: movement.slug, preparations: movement.preparations.join(', ') }
				}
			];
		});
	},
	/** Puts the first preparation that suits the room at the end of Warm, or right before it. */
	repair(finding, context) {
		const { items, catalogue, plan, group } = context;
		const taught = items.find(({ item }) => item.id === finding.where.itemId);
		if (!taught) return null;
		const preparation = taught.movement.preparations
			.map((slug) => catalogue.find((m) => m.slug === slug))
			.find((m) => m && formForRoom(m, group));
		if (!preparation) return null;
		const block = itemForRoom(context, preparation);
		if (!block) return null;
		const order = plan.sections.findIndex((s) => s.id === taught.section.id);
		const warm = plan.sections.findIndex((s) => s.kind === 'warm');
		const early = warm >= 0 && warm < order ? plan.sections[warm] : undefined;
		const at = early
			? { sectionId: early.id, index: early.blocks.length }
			: {
					sectionId: taught.section.id,
					index: taught.section.blocks.findIndex((b) => b.id === taught.blockId)
				};
		const edit: PlanEdit = { do: 'insert', at, block };
		return { label: `Add ${preparation.english} before it`, edits: [edit] };
	}
};
