import { type PaceModel } from '../pace';
import { formOf, type FindMovement, type Form, type Mode, type Movement } from '../movement';
import { itemsIn, type Block, type ClassPlan } from '../plan';
import { clock } from '../clock';
import { isDeep, isHeavy, isStrong, isWarming, WARM_AFTER_SECONDS } from '../rules';

/** The hard rules of order for the blocks of one section. */
export interface Rules {
	/** `before[b]`: indices of the blocks that must come before block b. */
	before: number[][];
	/** A block that keeps its place (words to the group): index of the place, else -1. */
	place: number[];
	/** Seconds of warming work that a block does, and that it wants done before it. */
	warms: number[];
	wantsWarm: number[];
}

interface OrderingUnit {
	slug: string;
	movement: Movement;
	form: Form;
	mode: Mode;
}

const orderingUnits = (block: Block, find: FindMovement): OrderingUnit[] =>
	itemsIn(block).map((item) => {
		const movement = find(item.movement) as Movement;
		return {
			slug: item.movement,
			movement,
			form: formOf(movement, item.form) as Form,
			mode: item.mode
		};
	});

const heavy = (p: OrderingUnit) => isHeavy(p.form, p.mode);
const strong = (p: OrderingUnit) => isStrong(p.form, p.mode);

/** Whether block b may come as the `count`-th, when the blocks that `isDone` says have come before it. */
export function mayCome(
	b: number,
	isDone: (block: number) => boolean,
	count: number,
	rules: Rules,
	warm: number
): boolean {
	const fixedHere = rules.place.indexOf(count);
	if (fixedHere !== -1 ? fixedHere !== b : rules.place[b] !== -1) return false;
	if (!rules.before[b]!.every(isDone)) return false;
	if (rules.wantsWarm[b]! <= warm) return true;
	const warmed = rules.warms.reduce((sum, seconds, i) => (isDone(i) ? sum + seconds : sum), warm);
	return warmed >= rules.wantsWarm[b]!;
}

/**
 * The rules for a section's blocks: preparations before what they prepare, first visits before later ones, strength
 * before what hangs heavily, warm before deep; words stay where they are. Pairs that stand in the wrong order today
 * are only bound where the rule is broken by it.
 */
export function rulesOf(
	plan: ClassPlan,
	section: ClassPlan['sections'][number],
	earlier: readonly Block[],
	find: FindMovement,
	pace: PaceModel
): Rules {
	const blocks = section.blocks;
	const parts = blocks.map((block) => orderingUnits(block, find));
	const seen = new Set(earlier.flatMap((block) => orderingUnits(block, find).map((p) => p.slug)));
	const before: number[][] = blocks.map(() => []);
	for (let a = 0; a < blocks.length; a++)
		for (let b = 0; b < blocks.length; b++)
			if (a !== b && mustPrecede(parts[a]!, parts[b]!, a, b, seen)) before[b]!.push(a);
	const work = workSeconds(plan, find, pace);
	return {
		before,
		place: blocks.map((block, i) => (block.kind === 'talk' ? i : -1)),
		warms: parts.map((list, i) =>
			list.reduce(
				(sum, p, n) => (isWarming(p.form, p.mode) ? sum + (work.get(itemsIn(blocks[i]!)[n]!.id) ?? 0) : sum),
				0
			)
		),
		wantsWarm: parts.map((list) => (list.some((p) => isDeep(p.form)) ? WARM_AFTER_SECONDS : 0))
	};
}

function mustPrecede(
	a: OrderingUnit[],
	b: OrderingUnit[],
	indexA: number,
	indexB: number,
	seen: ReadonlySet<string>
): boolean {
	const visit = a.some((p) => b.some((q) => q.slug === p.slug)) && indexA < indexB;
	const strength = a.some(strong) && b.some(heavy) && !a.some(heavy);
	const prepares = b.some(
		(q) =>
			isDeep(q.form) &&
			!q.movement.preparations.some((slug) => seen.has(slug)) &&
			a.some((p) => q.movement.preparations.includes(p.slug)) &&
			!a.some((p) => isDeep(p.form) && p.movement.preparations.some((s) => b.some((r) => r.slug === s)))
	);
	return visit || strength || prepares;
}

/** Seconds of work of each item of a plan, all sides and rounds together. */
export function workSeconds(plan: ClassPlan, find: FindMovement, pace: PaceModel): Map<string, number> {
	const sums = new Map<string, number>();
	for (const { phase, itemId, fromSeconds, toSeconds } of clock(plan, find, pace).entries)
		if (phase === 'work' && itemId !== null)
			sums.set(itemId, (sums.get(itemId) ?? 0) + toSeconds - fromSeconds);
	return sums;
}
