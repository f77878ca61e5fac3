import { substitutes, suits } from '../substitution';
import { newItem } from '../plan';
import type { Caution } from '../movement';
import { formEdit } from './help';
import type { TimedItem } from '../clock';
import type { Check, Report } from './types';

const confirmed = ({ item }: TimedItem, caution: Caution) =>
	item.confirmed?.some((c) => c.caution === caution) ?? false;

export const cautionConflict: Check = {
	meta: {
		id: 'caution-conflict',
		summary: 'Nothing is given against a caution in the room',
		severity: 'stop',
		why: 'Somebody in the room should not do this as it stands. Another form or movement is offered; to keep it takes your own confirmation, which stays with the plan.',
		source: 'common practice; licensed practice decides',
		canRepair: true,
		neverSilent: true
	},
	check({ items, group, find }) {
		if (!group) return [];
		return items.flatMap((taught) =>
			group.cautions.flatMap(({ caution, people }): Report[] => {
				const { item, movement, blockId, startSeconds } = taught;
				const verdict = suits(movement, item.form, caution);
				if (verdict.kind === 'fine' || verdict.kind === 'in this form') return [];
				const where = { itemId: item.id, blockId, atSeconds: startSeconds };
				const data = { movement: movement.slug, caution, people, kind: verdict.kind };
				const who = `${movement.english}, ${caution} (${people})`;
				if (confirmed(taught, caution))
					return [
						{
							message: `${who}: kept by your own confirmation`,
							severity: 'note' as const,
							where,
							data,
							repairable: false
						}
					];
				if (verdict.kind === 'clinician')
					return [
						{
							message: `${who}: the treating clinician decides. ${verdict.advice}`,
							where,
							data,
							repairable: false
						}
					];
				const offer =
					verdict.kind === 'other form'
						? `give them the ${verdict.form} form`
						: `give them ${find(verdict.instead)?.english ?? verdict.instead}`;
				// another form of the same movement is what the room sheet gives them anyway
				const severity = verdict.kind === 'other form' ? ('note' as const) : ('stop' as const);
				return [{ message: `${who}: ${offer}. ${verdict.advice}`, severity, where, data }];
			})
		);
	},
	repair(finding, { items, catalogue, group, plan, find }) {
		const taught = items.find(({ item }) => item.id === finding.where.itemId);
		if (!taught || !group) return null;
		const { item, movement } = taught;
		const verdict = suits(movement, item.form, finding.data.caution as Caution);
		if (verdict.kind === 'other form') {
			const form = movement.forms.find((f) => f.id === verdict.form)!;
			return {
				label: `The ${form.id} form for all`,
				edits: [formEdit(plan, taught, form.id)]
			};
		}
		if (verdict.kind !== 'instead') return null;
		const best = substitutes(movement, catalogue, group)[0]?.movement ?? find(verdict.instead);
		if (!best) return null;
		const by = { ...newItem(plan, best, item.lead), id: item.id };
		return { label: `Give ${best.english} instead`, edits: [{ do: 'replace', itemId: item.id, by }] };
	}
};
