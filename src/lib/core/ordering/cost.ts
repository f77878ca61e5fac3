import { otherLeg, type Leg } from '../anatomy';
import {
	formOf,
	type FindMovement,
	type Form,
	type KitKind,
	type Movement,
	type Position
} from '../movement';
import { HIP_TESTS } from '../hip-tests';
import { moveSeconds, type Pace, type Whereabouts } from '../pace';
import { goesByTurns, itemsIn, type Block, type Item } from '../plan';

/** Properties of a block that its order depends on: how people enter it and how they leave it. */
export interface Stop {
	blockId: string;
	/** Null for words, which take people as they are. */
	enter: BodyPlacement | null;
	leave: BodyPlacement | null;
}

/** How people are and what lies at hand; on the side, which leg is on top. */
export interface BodyPlacement {
	position: Position;
	onTop: Leg | null;
	kit: readonly KitKind[];
}

const known = (item: Item, find: FindMovement): { movement: Movement; form: Form } => {
	const movement = find(item.movement) as Movement;
	return { movement, form: formOf(movement, item.form) as Form };
};

/** Where a block begins and leaves the body, and with which kit. */
export function stopOf(block: Block, find: FindMovement): Stop {
	const blockId = block.id;
	if (block.kind === 'test') {
		const place = { position: HIP_TESTS[block.test].position, onTop: null, kit: [] };
		return { blockId, enter: place, leave: place };
	}
	const items = itemsIn(block);
	const [first] = items;
	const last = items.at(-1);
	if (!first || !last) return { blockId, enter: null, leave: null };
	const kitOf = (item: Item) => [...new Set(known(item, find).form.props.map((p) => p.kit))];
	const done = lastDone(block, find);
	const bodyIn = (item: Item, side: 1 | 2) => {
		const { movement } = known(item, find);
		const leads = side === 1 || servesOneSide(item, movement) ? item.lead : otherLeg(item.lead);
		return { position: movement.position, onTop: movement.position === 'sidelying' ? leads : null };
	};
	return {
		blockId,
		enter: { ...bodyIn(first, 1), kit: kitOf(first) },
		// in a flow kit is fetched in the first round only, so what lies at hand is that of its last item
		leave: {
			...bodyIn(done, endsOnSecondSide(block) ? 2 : 1),
			kit: kitOf(block.kind === 'flow' ? last : done)
		}
	};
}

const servesOneSide = (item: Item, movement: Movement): boolean =>
	item.oneSided !== undefined || goesByTurns(item, movement);

const endsOnSecondSide = (block: Block): boolean =>
	block.kind !== 'flow' || block.sides === 'mirror' || block.rounds % 2 === 0;

/** The item that is done last: on the second side what serves one side, or both at once, is left out. */
function lastDone(block: Block, find: FindMovement): Item {
	const items = itemsIn(block);
	const onSecond = (item: Item) =>
		!item.oneSided && (block.kind === 'flow' || !goesByTurns(item, known(item, find).movement));
	return (endsOnSecondSide(block) && items.findLast(onSecond)) || items.at(-1)!;
}

/** Where the body is and what lies at hand, after a block or at the beginning. */
export type ComingFrom = Stop['leave'];

/** Where people are, as the pace asks for it. */
export const whereaboutsOf = ({ position, onTop, kit }: BodyPlacement): Whereabouts => ({
	position,
	onTop,
	atWall: position === 'wall-supine' || kit.includes('wall space')
});

/**
 * Seconds lost between two blocks: changing the body position and placing kit that is not at hand. Fetching is left out:
 * each kind of kit is fetched once, in whatever order.
 */
export function betweenSeconds(from: ComingFrom, to: Stop, pace: Pace): number {
	if (!to.enter) return 0;
	const move = from ? Math.round(moveSeconds(pace, whereaboutsOf(from), whereaboutsOf(to.enter))) : 0;
	return move + placingSeconds(to.enter.kit, from?.kit ?? [], pace);
}

/** Seconds of placing kit that is not at hand yet; the wall is not fetched. */
export function placingSeconds(kit: readonly KitKind[], atHand: readonly KitKind[], pace: Pace): number {
	const placed = kit.filter((kind) => kind !== 'wall space' && !atHand.includes(kind));
	return Math.round(placed.length * pace.placeSeconds);
}
