import { lessOf, shortfall } from '../helpers';
import { modesOf } from '../../movement';
import { shareText } from '../../orbit';
import { formChange, type PlanEdit } from '../../plan';
import { countsAsStrength } from '../../rules';
import type { Check, CheckContext, Repair } from '../types';

/** Above the band by this share of the work, in percent, a class is strength training. */
const WELL_OVER_PERCENT = 40;

export const strengthShareCheck: Check = {
	meta: {
		id: 'strength-share',
		summary: 'Strength has its share of the work',
		severity: 'fix',
		why: 'Range without strength does not last; the target says how much strength work this group needs.',
		source: 'common practice (the band is the group’s own, editable target)',
		canRepair: true
	},
	check({ balance, items, plan, style }) {
		const { standing, sharePercent, band, offBySeconds } = balance.strength;
		if (items.length < 3 || standing === 'within') return [];
		if (standing === 'over' && sharePercent < band.maxPercent + WELL_OVER_PERCENT) return [];
		const quiet = style.holding === 'quiet';
		const wanted = `${band.minPercent}-${band.maxPercent} %`;
		return [
			{
				message: `${shareText(balance.strength)} % of the work strengthens; ${wanted} is wanted`,
				severity: standing === 'over' || quiet ? ('note' as const) : shortfall(plan),
				data: { sharePercent: Math.round(sharePercent * 10) / 10, standing, offSeconds: offBySeconds }
			}
		];
	},
	repair: (finding, context) => (finding.data.standing === 'short' ? more(context) : less(context))
};

const strengthens = ({ item, form }: CheckContext['items'][number]) =>
	countsAsStrength(form.effort, item.mode);

/** The longest item that can strengthen and does not yet, in a form and mode in which it does. */
function more({ items, plan, group }: CheckContext): Repair | null {
	const tooDeep = group?.preset === 'beginners' ? 3 : 5;
	const weak = items.filter((taught) => !strengthens(taught));
	for (const { item, movement } of weak.sort((a, b) => b.workSeconds - a.workSeconds)) {
		if (item.mode === 'rest') continue;
		const strong = movement.forms
			.filter((form) => form.intensity <= tooDeep)
			.flatMap((form) => modesOf(movement, form).map((mode) => ({ form, mode })))
			.find(({ form, mode }) => countsAsStrength(form.effort, mode));
		if (!strong) continue;
		const { form, mode } = strong;
		const edit: PlanEdit = {
			do: 'setItem',
			itemId: item.id,
			change: formChange(plan, item, movement, { form: form.id, mode })
		};
		return { label: `${movement.english}: ${form.id}, ${mode}`, edits: [edit] };
	}
	return null;
}

/** One step less of the item that strengthens longest. */
function less({ items, style }: CheckContext): Repair | null {
	const strong = items.filter((taught) => strengthens(taught) && !taught.item.pinned);
	for (const taught of strong.sort((a, b) => b.workSeconds - a.workSeconds)) {
		const edit = lessOf(taught, style);
		if (edit) return { label: `Less of ${taught.movement.english}`, edits: [edit] };
	}
	return null;
}
