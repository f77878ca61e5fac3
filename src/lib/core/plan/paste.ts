import type { PlanEdit } from './edit';
import type { Block, ClassPlan, Item, BlockPosition } from './types';
import { nextId, withItems } from './walk';

/** Without what was confirmed or silenced for another place: that is decided anew. */
function bare(item: Item, id: string): Item {
	const { confirmed: _confirmed, ...rest } = item;
	return { ...rest, id };
}

/** The edits that put copies of blocks into a plan one after another, under ids of their own. */
export function pasteEdits(plan: ClassPlan, at: BlockPosition, blocks: readonly Block[]): PlanEdit[] {
	let used = 0;
	const id = () => nextId(plan, used++);
	return blocks.map((block, i): PlanEdit => {
		const copy: Block =
			block.kind === 'item'
				? bare(block, id())
				: withItems({ ...block, id: id() }, (item) => bare(item, id()));
		return { do: 'insert', at: { sectionId: at.sectionId, index: at.index + i }, block: copy };
	});
}
