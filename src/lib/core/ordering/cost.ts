import {
	formOf,
	type FindMovement,
	type Form,
	type KitKind,
	type Movement,
	type Position
} from '../movement';
import { HIP_TESTS } from '../measure';
import { moveSeconds, type Pace } from '../pace';
import { itemsIn, type Block, type Item } from '../plan';

/** What the order needs to know of a block: how one comes into it and how one leaves it. */
export interface Stop {
	blockId: string;
	/** Null for words, which take people as they are. */
	enter: { position: Position; kit: readonly KitKind[] } | null;
	leave: { position: Position; kit: readonly KitKind[] } | null;
}

const known = (item: Item, find: FindMovement): { movement: Movement; form: Form } => {
	const movement = find(item.movement) as Movement;
	return { movement, form: formOf(movement, item.form) as Form };
};

/** Where a block begins and leaves the body, and with which kit. */
export function stopOf(block: Block, find: FindMovement): Stop {
	const blockId = block.id;
	if (block.kind === 'test') {
		const place = { position: HIP_TESTS[block.test].position, kit: [] };
		return { blockId, enter: place, leave: place };
	}
	const items = itemsIn(block);
	const [first] = items;
	const last = items.at(-1);
	if (!first || !last) return { blockId, enter: null, leave: null };
	const kitOf = (item: Item) => [...new Set(known(item, find).form.props.map((p) => p.kit))];
	const done = lastDone(block);
	return {
		blockId,
		enter: { position: known(first, find).movement.position, kit: kitOf(first) },
		// in a flow kit is fetched in the first round only, so what lies at hand is that of its last item
		leave: { position: known(done, find).movement.position, kit: kitOf(block.kind === 'flow' ? last : done) }
	};
}

/** The item that is done last: on the second side what is given on one side only is left out. */
function lastDone(block: Block): Item {
	const items = itemsIn(block);
	const secondSide =
		block.kind === 'chain' || (block.kind === 'flow' && (block.sides === 'mirror' || block.rounds % 2 === 0));
	return (secondSide && items.findLast((item) => !item.oneSided)) || items.at(-1)!;
}

/** Where the body is and what lies at hand, after a block or at the beginning. */
export type Here = Stop['leave'];

/** Seconds lost between two blocks: changing the body position and fetching kit that is not at hand. */
export function betweenSeconds(from: Here, to: Stop, pace: Pace): number {
	if (!to.enter) return 0;
	const at = to.enter;
	const move = from ? Math.round(moveSeconds(pace, from.position, at.position)) : 0;
	let fetch = 0;
	for (const kit of at.kit) if (!from?.kit.includes(kit)) fetch += pace.fetchSeconds[kit];
	return move + Math.round(fetch);
}
