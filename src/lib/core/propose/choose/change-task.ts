import { isSymmetrical } from '../../anatomy';
import { clock, workSecondsOf } from '../../clock';
import { analysePlan, effortOfAnalysis } from '../../analysis';
import { LENGTH_CHECK, needsAttention } from '../../checks';
import type { Movement } from '../../movement';
import {
	blocksOf,
	itemsIn,
	itemsOf,
	setsOf,
	slugsOf,
	withItems,
	type Block,
	type ClassPlan,
	type Item,
	type SectionKind
} from '../../plan';
import { isReset } from '../../rules';
import { onTime } from '../pool/keeping';
import { canLink, worthOf } from '../model';
import { inItsSets, inPlaceOf, FormPool, type Offered } from '../pool/form-pool';
import type { ProposeContext } from '../pool/types';

/** Number of most similar movements that are considered in place of another one. */
const LOOKED_AT = 8;

/** The class with some of its items changed or, by null, left out. A chain of which one is left is that one. */
export function withChanged(plan: ClassPlan, change: ReadonlyMap<string, Item | null>): ClassPlan {
	const changed = (block: Block): Block[] => {
		if (block.kind === 'item') {
			const now = change.get(block.id);
			return now === null ? [] : [now ?? block];
		}
		if (block.kind !== 'chain' && block.kind !== 'flow') return [block];
		const items = block.items.filter(({ id }) => change.get(id) !== null);
		const own = withItems({ ...block, items }, (item) => change.get(item.id) ?? item);
		if (items.length === 0) return [];
		if (items.length === 1) return own.items.map(({ link: _link, ...item }) => item);
		return [own];
	};
	return {
		...plan,
		sections: plan.sections.map((section) => ({ ...section, blocks: section.blocks.flatMap(changed) }))
	};
}

/** The class with one item changed, or left out. */
export const withItem = (plan: ClassPlan, itemId: string, item: Item | null): ClassPlan =>
	withChanged(plan, new Map([[itemId, item]]));

/** A class that is to be changed, and what may be given in it. */
export class ChangeTask {
	readonly offer: FormPool;
	private readonly seconds: ReadonlyMap<string, number>;
	private readonly kinds: ReadonlyMap<string, SectionKind>;

	private readonly wasOnTime: boolean;

	constructor(
		readonly plan: ClassPlan,
		readonly context: ProposeContext
	) {
		this.offer = new FormPool(plan, context);
		this.wasOnTime = clock(plan, context.find, context.pace).totalSeconds === plan.lengthSeconds;
		this.seconds = workSecondsOf(plan, context.find, context.pace);
		this.kinds = new Map(
			blocksOf(plan).flatMap(({ block, section }) =>
				itemsIn(block).map(({ id }) => [id, section.kind] as const)
			)
		);
	}

	movementOf({ movement }: Item): Movement {
		return this.context.find(movement)!;
	}

	sectionOf({ id }: Item): SectionKind {
		return this.kinds.get(id)!;
	}

	/** Seconds of the work of an item, of one of its sets. */
	secondsOfSet({ id, dose }: Item): number {
		return (this.seconds.get(id) ?? 0) / setsOf(dose);
	}

	/** Items that a change may touch: of the work, not pinned, not passed through. */
	touchable(): Item[] {
		return itemsOf(this.plan).filter((item) => {
			if (item.pinned || item.passed || item.dose.byBreath || isReset(this.movementOf(item))) return false;
			return ['warm', 'build', 'peak'].includes(this.sectionOf(item));
		});
	}

	worth(plan: ClassPlan): number {
		const { find, group, pace } = this.context;
		return worthOf(plan, find, group, pace).total;
	}

	/** The number of findings to mend in a class but for its length, which is settled at the end. */
	toMend(plan: ClassPlan): number {
		const { findings } = analysePlan(plan, this.context);
		return findings.filter((f) => needsAttention(f) && f.checkId !== LENGTH_CHECK).length;
	}

	/** Mean effort (0-10) of a class, once it is at its length. */
	effort(plan: ClassPlan): number {
		return effortOfAnalysis(analysePlan(onTime(plan, this.context), this.context, new Set()));
	}

	/** Whether the doses can still bring a changed class to its length; true where the class was not at it before either. */
	keepsTime(plan: ClassPlan): boolean {
		return !this.wasOnTime || this.isOnTime(plan);
	}

	private isOnTime(plan: ClassPlan): boolean {
		const { find, pace } = this.context;
		return clock(onTime(plan, this.context), find, pace).totalSeconds === plan.lengthSeconds;
	}

	/** An offer in the place of an item, in its sets. */
	given(item: Item, offered: Offered): Item {
		return inItsSets(item, inPlaceOf(item, offered, this.secondsOfSet(item)));
	}

	/**
	 * A class with the likest thing that may stand there in the place of an item; within a chain only what goes on from
	 * its neighbours. Null where there is none.
	 */
	replaced(now: ClassPlan, item: Item, may: (offered: Offered) => boolean): ClassPlan | null {
		const there = new Set(slugsOf(now));
		const links = this.linksIn(now, item);
		const fits = (other: Offered) => !there.has(other.movement.slug) && links(other.movement) && may(other);
		const [best] = this.offer
			.like(item, this.movementOf(item), fits, LOOKED_AT)
			.map((other) => withItem(now, item.id, this.given(item, other)))
			.map((plan) => ({ plan, worth: this.worth(plan) }))
			.sort((a, b) => b.worth - a.worth);
		return best?.plan ?? null;
	}

	/** Whether a movement can stand in the place of an item as far as its chain or flow asks. */
	private linksIn(now: ClassPlan, item: Item): (movement: Movement) => boolean {
		const block = blocksOf(now).find((found) => itemsIn(found.block).some(({ id }) => id === item.id))?.block;
		if (!block || block.kind === 'item') return () => true;
		const linked = itemsIn(block);
		const at = linked.findIndex(({ id }) => id === item.id);
		const [before, after] = [linked[at - 1], linked[at + 1]].map((one) => one && this.movementOf(one));
		return (movement) =>
			!(block.kind === 'chain' && isSymmetrical(movement.action)) &&
			(!before || canLink(before, movement)) &&
			(!after || canLink(movement, after));
	}
}
