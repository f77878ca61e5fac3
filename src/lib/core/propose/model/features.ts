import type { TimedItem } from '../../clock';
import type { Purpose } from '../../movement';
import { blocksOf, setsOf, type ClassPlan, type SectionKind } from '../../plan';
import { traitsOf, type Kinds, type Traits } from './traits';

/** One item of the running order as the objective looks at it; a chain’s items once, not per side. */
export interface ScoredItem {
	traits: Traits;
	section: SectionKind;
	/** The block it belongs to, counted from the first. */
	unit: number;
	/** Whether its block is a chain or a flow of several items. */
	linked: boolean;
	/** All of its work, seconds. */
	seconds: number;
	/** Where its work begins, as a part of the class. */
	at: number;
	sets: number;
	/** Seconds of noticing after it. */
	noticed: number;
}

/** A class as the objective looks at it. */
export interface ClassFeatures {
	kinds: Kinds;
	steps: readonly ScoredItem[];
	/** Blocks of words, by the number of steps before each. */
	wordsBefore: readonly number[];
	/** Seconds of changing position and fetching, as a share of the class. */
	transitionShare: number;
	purposes: ReadonlySet<Purpose>;
}

/** The steps of a plan, from its items with their times. */
export function scoredItems(
	plan: ClassPlan,
	items: readonly TimedItem[],
	totalSeconds: number,
	kinds: Kinds
): ScoredItem[] {
	const units = new Map(blocksOf(plan).map(({ block }, i) => [block.id, { i, block }]));
	return items.map(({ item, movement, form, section, blockId, startSeconds, workSeconds }): ScoredItem => {
		const unit = units.get(blockId)!;
		return {
			traits: traitsOf(movement, form, item.mode, kinds),
			section: section.kind,
			unit: unit.i,
			linked: (unit.block.kind === 'chain' || unit.block.kind === 'flow') && unit.block.items.length > 1,
			seconds: workSeconds,
			at: totalSeconds ? startSeconds / totalSeconds : 0,
			sets: setsOf(item.dose),
			noticed: item.noticeSeconds ?? 0
		};
	});
}
