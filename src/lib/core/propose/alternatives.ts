import { clock } from '../clock';
import { blocksOf, findItem, type ClassPlan, type Item } from '../plan';
import { alike, demandOf, worthOf } from './model';
import { nearest } from './nearest';
import { optionsFor, withAmount, type Option } from './options';
import type { ProposeContext, Wishes } from './types';

/** Something else in the place of one item, everything else as it is. */
export interface Alternative {
	/** Under the id of the item that it stands in for, with a dose that takes about the same time. */
	item: Item;
	/** Points of the objective by which the class is worth less (or, negative, more) than now. */
	worse: number;
}

/** So many of the movements that are most like it are looked at. */
const LOOKED_AT = 30;

/**
 * The best other movements for the place of an item, the best first: by what the class is worth with each of them, all
 * other blocks kept just as they are. Empty for an item inside a chain or flow, whose place is not its own.
 */
export function alternativesFor(
	plan: ClassPlan,
	itemId: string,
	setting: ProposeContext,
	wishes: Wishes = {},
	most = 3
): Alternative[] {
	const { find, group, pace } = setting;
	const item = findItem(plan, itemId);
	const movement = item && find(item.movement);
	const place = blocksOf(plan).find(({ block }) => block.id === itemId);
	if (!item || !movement || !place) return [];
	const kind = place.section.kind;
	const there = new Set(
		blocksOf(plan).flatMap(({ block }) => (block.kind === 'item' ? [block.movement] : []))
	);
	const asks = demandOf(
		movement.forms.find(({ id }) => id === item.form)!,
		item.mode
	);
	/** Of each movement the form that asks for about as much. */
	const offered = new Map<string, { option: Option; off: number }>();
	for (const option of optionsFor(plan, { ...wishes, only: [kind] }, setting)) {
		const slug = option.movements[0]!;
		if (!option.item || there.has(slug)) continue;
		const form = find(slug)!.forms.find(({ id }) => id === option.item!.form)!;
		const off =
			Math.abs(demandOf(form, option.item.mode) - asks) + (option.item.mode === item.mode ? 0 : 0.5);
		if (off < (offered.get(slug)?.off ?? Infinity)) offered.set(slug, { option, off });
	}
	const near = [...offered]
		.map(([slug, { option }]) => ({ option, likeness: alike(find(slug)!, movement) }))
		.sort((a, b) => b.likeness - a.likeness)
		.slice(0, LOOKED_AT);
	const worthIn = (sections: ClassPlan['sections']) =>
		worthOf({ ...plan, sections }, find, group, pace).total;
	const now = worthIn(plan.sections);
	const seconds = clock(plan, find, pace)
		.entries.filter((entry) => entry.itemId === itemId && entry.phase === 'work')
		.reduce((sum, { fromSeconds, toSeconds }) => sum + toSeconds - fromSeconds, 0);
	return near
		.map(({ option }): Alternative => {
			const other = withAmount(
				option.item!,
				itemId,
				option.amounts[nearest(option.workSeconds, seconds)]!,
				item.lead
			);
			const sections = plan.sections.map((section) => ({
				...section,
				blocks: section.blocks.map((block) => (block.id === itemId ? other : block))
			}));
			return { item: other, worse: now - worthIn(sections) };
		})
		.sort((a, b) => a.worse - b.worse)
		.slice(0, most);
}
