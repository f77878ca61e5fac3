import { formOf, type Form, type Movement } from '../../movement';
import type { ClassPlan, Item } from '../../plan';
import { alike, demandOf } from '../model';
import { nearest } from '../nearest';
import { optionsFor, withAmount, type Option } from '../options';
import type { ProposeContext } from '../types';

/** So many of the movements that are most like another one are looked at in its place. */
const LOOKED_AT = 8;

/** What may be given to these people, by movement. */
export class Offer {
	private readonly bySlug = new Map<string, Option[]>();

	constructor(
		plan: ClassPlan,
		private readonly setting: ProposeContext
	) {
		for (const option of optionsFor(
			{ ...plan, sections: plan.sections.map((s) => ({ ...s, blocks: [] })) },
			{},
			setting
		)) {
			const slug = option.movements[0]!;
			this.bySlug.set(slug, [...(this.bySlug.get(slug) ?? []), option]);
		}
	}

	/** The same movement in other forms and modes. */
	of(slug: string): readonly Option[] {
		return this.bySlug.get(slug) ?? [];
	}

	/** What is most like a movement and may stand there, the likest first: of each in the form that asks for about as much. */
	like(
		item: Item,
		movement: Movement,
		may: (other: Movement, form: Form, option: Option) => boolean
	): Option[] {
		const asks = demandOf(formOf(movement, item.form)!, item.mode);
		const found: { option: Option; likeness: number }[] = [];
		for (const [slug, options] of this.bySlug) {
			const other = this.setting.find(slug)!;
			if (other.slug === movement.slug) continue;
			const fitting = options.filter((option) => may(other, formOf(other, option.item!.form)!, option));
			const [best] = fitting.sort((a, b) => this.off(a, other, asks, item) - this.off(b, other, asks, item));
			if (best)
				found.push({
					option: best,
					likeness: alike(other, movement) - 0.1 * this.off(best, other, asks, item)
				});
		}
		return found
			.sort((a, b) => b.likeness - a.likeness)
			.slice(0, LOOKED_AT)
			.map(({ option }) => option);
	}

	private off(option: Option, movement: Movement, asks: number, item: Item): number {
		const { form, mode } = option.item!;
		return Math.abs(demandOf(formOf(movement, form)!, mode) - asks) + (mode === item.mode ? 0 : 0.5);
	}
}

/** An option in the place of an item, with a dose that takes about as long. */
export function given(option: Option, item: Item, seconds: number, keepSets: boolean): Item {
	const other = withAmount(
		option.item!,
		item.id,
		option.amounts[nearest(option.workSeconds, seconds)]!,
		item.lead
	);
	const { sets, restSeconds } = item.dose;
	return {
		...other,
		...(item.noticeSeconds ? { noticeSeconds: item.noticeSeconds } : {}),
		...(keepSets && sets ? { dose: { ...other.dose, sets, ...(restSeconds ? { restSeconds } : {}) } } : {})
	};
}
