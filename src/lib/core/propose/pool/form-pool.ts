import { FORM_IDS, formOf, type Form, type Mode, type Movement } from '../../movement';
import { type ClassPlan, type Item } from '../../plan';
import { movementSimilarity, demandOf } from '../model';
import { nearest } from './nearest';
import { optionsFor, withAmount, type BlockOption } from './options';
import type { ProposeContext, Wishes } from './types';

/** Another mode counts as this difference of demand. */
const OTHER_MODE = 0.5;
/** Similarity lost per unit of difference in demand. */
const DEMAND_WEIGHT = 0.1;

/** An option with the movement and the form that it is of. */
export interface Offered {
	option: BlockOption;
	movement: Movement;
	form: Form;
}

/** The forms and modes that these people may be given, by movement. */
export class FormPool {
	private readonly bySlug = new Map<string, Offered[]>();

	constructor(plan: ClassPlan, context: ProposeContext, wishes: Wishes = {}) {
		for (const option of optionsFor(plan, wishes, context)) {
			const { movement: slug, form } = option.item;
			const movement = context.find(slug)!;
			const offered = { option, movement, form: formOf(movement, form)! };
			const known = this.bySlug.get(slug);
			if (known) known.push(offered);
			else this.bySlug.set(slug, [offered]);
		}
	}

	/** A movement in the forms that it may be given in one of these modes, the easier ones first. */
	of(slug: string, ...modes: readonly Mode[]): Offered[] {
		return (this.bySlug.get(slug) ?? [])
			.filter(({ option }) => modes.includes(option.item.mode))
			.sort((a, b) => FORM_IDS.indexOf(a.form.id) - FORM_IDS.indexOf(b.form.id));
	}

	/** Returns the options most similar to an item, most similar first: of each movement the form with the closest demand. */
	like(item: Item, own: Movement, may: (offered: Offered) => boolean, most: number): Offered[] {
		const found: { best: Offered; likeness: number }[] = [];
		for (const [slug, all] of this.bySlug) {
			if (slug === own.slug) continue;
			const [best] = byDemand(all.filter(may), item, own);
			if (best)
				found.push({
					best,
					likeness: movementSimilarity(best.movement, own) - DEMAND_WEIGHT * apart(best, item, own)
				});
		}
		return found
			.sort((a, b) => b.likeness - a.likeness)
			.slice(0, most)
			.map(({ best }) => best);
	}
}

/** How far an offer is from what an item asks for. */
function apart({ option, form }: Offered, item: Item, own: Movement): number {
	const { mode } = option.item;
	const asks = demandOf(formOf(own, item.form)!, item.mode);
	return Math.abs(demandOf(form, mode) - asks) + (mode === item.mode ? 0 : OTHER_MODE);
}

/** Offers by how near they are to what an item asks for. */
export const byDemand = (offers: readonly Offered[], item: Item, own: Movement): Offered[] =>
	[...offers].sort((a, b) => apart(a, item, own) - apart(b, item, own));

/** Returns an option in place of an item, with a dose that takes about the given seconds of work. */
export function inPlaceOf(item: Item, { option }: Offered, workSeconds: number): Item {
	const amount = option.amounts[nearest(option.workSeconds, workSeconds)]!;
	const other = withAmount(option.item, item.id, amount, item.lead);
	return item.noticeSeconds ? { ...other, noticeSeconds: item.noticeSeconds } : other;
}

/** The sets of an item, and the rest between them, on another one. */
export function inItsSets(item: Item, other: Item): Item {
	const { sets, restSeconds } = item.dose;
	if (!sets) return other;
	return { ...other, dose: { ...other.dose, sets, ...(restSeconds ? { restSeconds } : {}) } };
}
