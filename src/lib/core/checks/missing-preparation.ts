import { suitsSomehow } from '../substitution';
import { newItem, type PlanEdit } from '../plan';
import { isDeep } from '../rules';
import type { Check } from './types';

export const missingPreparation: Check = {
	meta: {
		id: 'missing-preparation',
		summary: 'Deep shapes are prepared by easier ones of their kind',
		severity: 'mend',
		why: 'A pigeon wants a figure four, a side seat or a 90-90 first: the same joint, the easier way.',
		source: 'common practice',
		canRepair: true
	},
	check({ items, find }) {
		const seen = new Set<string>();
		return items.flatMap(({ item, movement, form, blockId, startSeconds }) => {
			const prepared = movement.preparations.some((slug) => seen.has(slug)) || seen.has(movement.slug);
			seen.add(movement.slug);
			if (prepared || !isDeep(form) || movement.preparations.length === 0) return [];
			const names = movement.preparations.map((slug) => find(slug)?.english ?? slug);
			return [
				{
					message: `${movement.english} comes without a preparation; one of these goes before it: ${names.join(', ')}`,
					where: { itemId: item.id, blockId, atSeconds: startSeconds },
					data: { movement: movement.slug, preparations: movement.preparations.join(', ') }
				}
			];
		});
	},
	/** Puts the first preparation that suits the room at the end of Warm, or right before it. */
	repair(finding, { items, catalogue, plan, group }) {
		const taught = items.find(({ item }) => item.id === finding.where.itemId);
		if (!taught) return null;
		const cautions = group?.cautions.map((c) => c.caution) ?? [];
		const preparation = taught.movement.preparations
			.map((slug) => catalogue.find((m) => m.slug === slug))
			.find((m) => m && suitsSomehow(m, cautions));
		if (!preparation) return null;
		const order = plan.sections.findIndex((s) => s.id === taught.section.id);
		const warm = plan.sections.findIndex((s) => s.kind === 'warm');
		const early = warm >= 0 && warm < order ? plan.sections[warm] : undefined;
		const at = early
			? { sectionId: early.id, index: early.blocks.length }
			: {
					sectionId: taught.section.id,
					index: taught.section.blocks.findIndex((b) => b.id === taught.blockId)
				};
		const edit: PlanEdit = { do: 'insert', at, block: newItem(plan, preparation) };
		return { label: `Add ${preparation.english} before it`, edits: [edit] };
	}
};
