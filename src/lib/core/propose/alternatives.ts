import { blocksOf, findItem, SECTION_KINDS, type ClassPlan, type Item } from '../plan';
import { Objective } from './cost';
import type { Piece } from './candidate';
import { factsFor } from './facts';
import { nearest } from './nearest';
import { keptOption, optionsFor, withAmount } from './options';
import type { ProposeContext, Wishes } from './types';

/** Something else in the place of one item, everything else as it is. */
export interface Alternative {
	/** Under the id of the item that it stands in for, with a dose that takes about the same time. */
	item: Item;
	/** Points of the objective more (or, negative, fewer) than the class costs now. */
	worse: number;
}

/**
 * The best other movements for the place of an item, the best first: by the same objective as a whole class, with all
 * other blocks kept just as they are. Empty for an item inside a chain or flow, whose place is not its own.
 */
export function alternativesFor(
	plan: ClassPlan,
	itemId: string,
	setting: ProposeContext,
	wishes: Wishes = {},
	most = 3
): Alternative[] {
	const item = findItem(plan, itemId);
	const blocks = blocksOf(plan);
	const at = blocks.findIndex(({ block }) => block.id === itemId);
	if (!item || at === -1) return [];
	const kind = blocks[at]!.section.kind;
	// only what may stand there is looked at: everything else costs the same with each of them
	const offered = optionsFor(plan, { ...wishes, only: [kind] }, setting);
	const kept = blocks.map(({ block }, i) => keptOption(plan, block, setting, offered.length + i));
	const pieces = blocks.map(({ section }, i): Piece => ({
		option: kept[i]!,
		amount: 0,
		section: SECTION_KINDS.indexOf(section.kind)
	}));
	const facts = factsFor([...offered, ...kept], wishes, setting);
	const objective = new Objective(plan, facts, wishes, setting);
	const now = objective.cost(pieces);
	const seconds = kept[at]!.workSeconds[0]!;
	const there = new Set(kept.flatMap((option) => option.movements));
	const best = new Map<string, Alternative>();
	for (const option of offered) {
		const [slug] = option.movements;
		if (!slug || there.has(slug) || !option.sections.has(kind)) continue;
		const amount = nearest(option.workSeconds, seconds);
		const worse = objective.cost(pieces.with(at, { ...pieces[at]!, option, amount })) - now;
		if (worse >= (best.get(slug)?.worse ?? Infinity)) continue;
		best.set(slug, { worse, item: withAmount(option.item!, itemId, option.amounts[amount]!, item.lead) });
	}
	return [...best.values()].sort((a, b) => a.worse - b.worse).slice(0, most);
}
