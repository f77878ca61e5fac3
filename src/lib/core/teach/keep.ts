import type { ResolvedItem } from '../clock';
import { formOf, type FindMovement } from '../movement';
import { blocksOf, itemsIn, type Block, type BlockInPlace, type ClassPlan, type SectionKind } from '../plan';
import { isDeep, isReset } from '../rules';
import { HIP_TESTS } from '../hip-tests';
import type { KeptFor, ScriptBlock } from './types';

/**
 * How much a class loses with a block, by its part: the peak is what it is about, of what releases there is usually more
 * than one. Only the order counts. Common practice, no source.
 */
const OMISSION_COST: Record<SectionKind, number> = {
	settle: 4,
	warm: 4,
	build: 5,
	peak: 8,
	release: 3,
	rest: 9
};
/** Words can be said during the work. */
const OMISSION_COST_OF_WORDS = 1;
/** A movement that comes in another block too loses only a part of its value. */
const COMES_AGAIN = 2;

/** The blocks of a plan as far as leaving them out goes: how much is lost, and which ones stay and why. */
export function omissionCosts(plan: ClassPlan, find: FindMovement): ScriptBlock[] {
	const all = blocksOf(plan);
	const known = new Map(all.map(({ block }) => [block.id, knownIn(block, find)]));
	const last = all.findLast(({ block }) => itemsIn(block).length > 0)?.block.id;
	return all.map((placed, index) => ({
		id: placed.block.id,
		title: titleOf(placed.block, known.get(placed.block.id)!),
		section: placed.section.kind,
		keptFor: keptFor(placed, index, all, known, last),
		loss: lossOf(placed, all, known)
	}));
}

function knownIn(block: Block, find: FindMovement): ResolvedItem[] {
	return itemsIn(block).map((item) => {
		const movement = find(item.movement)!;
		return { item, movement, form: formOf(movement, item.form)! };
	});
}

function titleOf(block: Block, items: readonly ResolvedItem[]): string {
	if (block.kind === 'talk') return block.label || 'Words';
	if (block.kind === 'test') return `Test: ${HIP_TESTS[block.test].name}`;
	return items.map(({ movement }) => movement.english).join(', ');
}

function keptFor(
	{ block, section }: BlockInPlace,
	index: number,
	all: readonly BlockInPlace[],
	known: ReadonlyMap<string, ResolvedItem[]>,
	last: string | undefined
): KeptFor | null {
	if (block.kind === 'test') return 'test';
	if (block.id === last || section.kind === 'rest') return block.kind === 'talk' ? null : 'closing';
	const own = known.get(block.id)!;
	const before = all.slice(0, index).findLast((placed) => known.get(placed.block.id)!.length > 0);
	const deepBefore = (before ? known.get(before.block.id)! : []).filter(({ form }) => isDeep(form));
	const undoes = own.some(
		({ movement }) =>
			deepBefore.length > 0 &&
			(isReset(movement) || deepBefore.some((deep) => deep.movement.counters.includes(movement.slug)))
	);
	if (undoes) return 'undoes';
	return own.length > 0 && onlyPreparation(own, index, all, known) ? 'prepares' : null;
}

/** Whether something deep that comes later has no other preparation before it. */
function onlyPreparation(
	own: readonly ResolvedItem[],
	index: number,
	all: readonly BlockInPlace[],
	known: ReadonlyMap<string, ResolvedItem[]>
): boolean {
	const inBlock = (at: number) => known.get(all[at]!.block.id)!;
	for (let later = index + 1; later < all.length; later++)
		for (const { movement, form } of inBlock(later)) {
			const prepares = (items: readonly ResolvedItem[]) =>
				items.some((other) => movement.preparations.includes(other.movement.slug));
			if (!isDeep(form) || !prepares(own)) continue;
			const another = all.slice(0, later).some((_, at) => at !== index && prepares(inBlock(at)));
			if (!another) return true;
		}
	return false;
}

function lossOf(
	{ block, section }: BlockInPlace,
	all: readonly BlockInPlace[],
	known: ReadonlyMap<string, ResolvedItem[]>
): number {
	const own = known.get(block.id)!;
	if (own.length === 0) return OMISSION_COST_OF_WORDS;
	const elsewhere = new Set(
		all
			.filter((other) => other.block.id !== block.id)
			.flatMap((other) => known.get(other.block.id)!.map(({ movement }) => movement.slug))
	);
	const comesAgain = own.every(({ movement }) => elsewhere.has(movement.slug));
	return OMISSION_COST[section.kind] * own.length - (comesAgain ? COMES_AGAIN : 0);
}
