import { isSymmetrical, otherLeg, type Leg } from '../anatomy';
import {
	formOf,
	type FindMovement,
	type Form,
	type FormId,
	type HoldUnit,
	type Mode,
	type Movement
} from '../movement';
import type { PaceSaid } from '../pace';
import { firstForm, holdUnit, styledRange, styleOf, type StyleChoices } from '../style';
import type { Block, ClassPlan, Flow, Item, Link, Place, TestBlock } from './types';
import { insertBlock, mapAllItems, mapBlock, mapItems, moveBlock, removeBlock } from './blocks';
import { changedFlow, join, linkItem, NEW_FLOW, removeItem, unchain } from './linking';
import { itemsIn, nextId } from './walk';

/** One change of a plan, as data: it can be kept, undone, sent and shown before it is taken. */
export type PlanEdit =
	| { do: 'insert'; at: Place; block: Block }
	| { do: 'remove'; blockId: string }
	| { do: 'removeItem'; itemId: string }
	| { do: 'move'; blockId: string; to: Place }
	| { do: 'setItem'; itemId: string; change: ItemChange }
	| { do: 'setTalk'; blockId: string; label?: string; seconds?: number }
	| { do: 'setDoses'; doses: Record<string, number> }
	| { do: 'chain'; blockIds: string[] }
	| { do: 'flow'; blockIds: string[] }
	| { do: 'setFlow'; blockId: string; change: FlowChange }
	| { do: 'unchain'; blockId: string }
	| { do: 'link'; itemId: string; link: Link | undefined; lead: Leg }
	| { do: 'setTest'; blockId: string; change: Partial<Pick<TestBlock, 'test' | 'seconds'>> }
	| { do: 'mirror' }
	| { do: 'setPlan'; change: Partial<Pick<ClassPlan, 'title' | 'lengthSeconds' | 'startsAt'>> }
	| { do: 'setStyle'; change: StyleChoices }
	| { do: 'replace'; itemId: string; by: Item }
	| { do: 'silence'; check: string; itemId?: string; reason: string }
	| { do: 'unsilence'; check: string; itemId?: string }
	| { do: 'reorder'; order: Record<string, string[]> }
	| { do: 'fill'; sections: ClassPlan['sections'] }
	| { do: 'remake'; slug: string; contentHash: string }
	/** Figures for this class; undefined takes one back. */
	| { do: 'setPace'; change: PaceSaid };

/** What may change of a flow: `breathsEach` undefined lets each item keep its own dose. */
export type FlowChange = Partial<Pick<Flow, 'rounds' | 'sides' | 'breathsEach'>>;

export type ItemChange = Partial<
	Pick<
		Item,
		| 'form'
		| 'mode'
		| 'dose'
		| 'unit'
		| 'lead'
		| 'oneSided'
		| 'phases'
		| 'moreOn'
		| 'confirmed'
		| 'pinned'
		| 'noticeSeconds'
		| 'note'
	>
>;

/**
 * The plan after one edit; the plan given stays as it was, and parts that do not change are shared.
 * @throws Error when the edit names a block, item or section that the plan does not have (a bug of the caller)
 */
export function applyEdit(plan: ClassPlan, edit: PlanEdit): ClassPlan {
	switch (edit.do) {
		case 'insert':
			return insertBlock(plan, edit.at, edit.block);
		case 'remove':
			return removeBlock(plan, edit.blockId);
		case 'removeItem':
			return removeItem(plan, edit.itemId);
		case 'move':
			return moveBlock(plan, edit.blockId, edit.to);
		case 'setItem':
			return mapItems(plan, edit.itemId, (item) => changedItem(item, edit.change));
		case 'setTalk':
			return mapBlock(plan, edit.blockId, (block) =>
				block.kind === 'talk'
					? { ...block, label: edit.label ?? block.label, seconds: edit.seconds ?? block.seconds }
					: block
			);
		case 'setDoses':
			return mapAllItems(plan, (item) => {
				const dose = edit.doses[item.id];
				return dose === undefined || dose === item.dose ? item : { ...item, dose };
			});
		case 'chain':
			return join(plan, edit.blockIds, (id, items) => ({ kind: 'chain', id, items }));
		case 'flow':
			return join(plan, edit.blockIds, (id, items) => ({ kind: 'flow', id, items, ...NEW_FLOW }));
		case 'setFlow':
			return mapBlock(plan, edit.blockId, (block) =>
				block.kind === 'flow' ? changedFlow({ ...block, ...edit.change }) : block
			);
		case 'setTest':
			return mapBlock(plan, edit.blockId, (block) =>
				block.kind === 'test' ? { ...block, ...edit.change } : block
			);
		case 'link':
			return linkItem(plan, edit.itemId, edit.link, edit.lead);
		case 'unchain':
			return unchain(plan, edit.blockId);
		case 'mirror':
			return mirror(plan);
		case 'setPlan':
			return { ...plan, ...edit.change };
		case 'setPace':
			return withPinnedPace(plan, edit.change);
		case 'setStyle':
			return { ...plan, style: { ...plan.style, ...edit.change } };
		case 'replace':
			return mapItems(plan, edit.itemId, () => edit.by);
		case 'silence': {
			const others = unsilenced(plan, edit).silenced ?? [];
			const { check, itemId, reason } = edit;
			return { ...plan, silenced: [...others, { check, ...(itemId ? { itemId } : {}), reason }] };
		}
		case 'unsilence':
			return unsilenced(plan, edit);
		case 'reorder':
			return reorder(plan, edit.order);
		case 'fill':
			return { ...plan, sections: edit.sections };
		case 'remake':
			return { ...plan, madeWith: { ...plan.madeWith, [edit.slug]: edit.contentHash } };
	}
}

/** Blocks of a section in another order; what the order does not name stays behind it. */
function withPinnedPace({ pinnedPace: before, ...plan }: ClassPlan, change: PaceSaid): ClassPlan {
	const pinnedPace = Object.fromEntries(
		Object.entries({ ...before, ...change }).filter(([, figure]) => figure !== undefined)
	);
	return Object.keys(pinnedPace).length ? { ...plan, pinnedPace } : plan;
}

function reorder(plan: ClassPlan, order: Record<string, string[]>): ClassPlan {
	return {
		...plan,
		sections: plan.sections.map((section) => {
			const ids = order[section.id];
			if (!ids) return section;
			const rank = (id: string) => (ids.includes(id) ? ids.indexOf(id) : ids.length);
			return { ...section, blocks: [...section.blocks].sort((a, b) => rank(a.id) - rank(b.id)) };
		})
	};
}

function unsilenced(plan: ClassPlan, { check, itemId }: { check: string; itemId?: string }): ClassPlan {
	const silenced = (plan.silenced ?? []).filter((s) => s.check !== check || s.itemId !== itemId);
	const { silenced: _before, ...rest } = plan;
	return silenced.length ? { ...rest, silenced } : rest;
}

/** A new item of a movement: form, mode, unit and dose as the style of the plan has them. */
export function newItem(
	plan: ClassPlan,
	movement: Movement,
	lead: Leg = plan.firstSide ?? 'left',
	form?: FormId
): Item {
	const style = styleOf(plan.style);
	const chosen = (form && formOf(movement, form)) || firstForm(style, movement);
	const mode = movement.modes[0] as Mode;
	const unit = holdUnit(style, chosen, mode);
	return {
		kind: 'item',
		id: nextId(plan),
		movement: movement.slug,
		form: chosen.id,
		mode,
		dose: styledRange(style, chosen, mode, unit).usual,
		...(unit ? { unit } : {}),
		lead
	};
}

/** The change that puts another form or mode on an item: the dose stays where new limits and unit allow it. */
export function formChange(
	plan: ClassPlan,
	item: Item,
	movement: Movement,
	to: { form?: FormId; mode?: Mode }
): ItemChange {
	const form = to.form ?? item.form;
	const mode = to.mode ?? item.mode;
	const before = formOf(movement, item.form);
	const after = formOf(movement, form);
	if (!after) throw new Error(`${movement.slug} has no form ${form}`);
	const unit = item.unit && holdUnitIn(after, mode, item.unit);
	const range = styledRange(styleOf(plan.style), after, mode, unit);
	const was = before && styledRange(styleOf(plan.style), before, item.mode, item.unit);
	const dose = was?.unit === range.unit ? Math.min(range.max, Math.max(range.min, item.dose)) : range.usual;
	return { form, mode, dose, unit };
}

/** A chosen unit stays only where there is a hold to count. */
function holdUnitIn(form: Form, mode: Mode, unit: HoldUnit): HoldUnit | undefined {
	const own = form.doseIn?.[mode] ?? form.dose;
	return own.unit === 'breaths' || own.unit === 'seconds' ? unit : undefined;
}

/** Every asymmetrical item led by the other leg. Twice gives the plan back. */
export function mirror(plan: ClassPlan): ClassPlan {
	const mirrored = mapAllItems(plan, (item) => ({ ...item, lead: otherLeg(item.lead) }));
	return plan.firstSide ? { ...mirrored, firstSide: otherLeg(plan.firstSide) } : mirrored;
}

function changedItem(item: Item, change: ItemChange): Item {
	const changed = { ...item, ...change };
	if (!changed.oneSided) delete changed.oneSided;
	if (!changed.unit) delete changed.unit;
	if (!changed.phases || Object.keys(changed.phases).length === 0) delete changed.phases;
	if (!changed.moreOn?.dose) delete changed.moreOn;
	if (!changed.confirmed?.length) delete changed.confirmed;
	if (!changed.pinned) delete changed.pinned;
	if (!changed.noticeSeconds) delete changed.noticeSeconds;
	if (!changed.note) delete changed.note;
	return changed;
}

/** Takes chains apart in which nothing has sides any more (a swap or a removal can leave one): there is nothing to mirror. */
export function tidied(plan: ClassPlan, find: FindMovement): ClassPlan {
	const hasSides = (item: Item) => {
		const movement = find(item.movement);
		return !movement || !isSymmetrical(movement.action);
	};
	const idle = (block: Block) => block.kind === 'chain' && !block.items.some(hasSides);
	if (!plan.sections.some((section) => section.blocks.some(idle))) return plan;
	return {
		...plan,
		sections: plan.sections.map((section) => ({
			...section,
			blocks: section.blocks.flatMap((block) => (idle(block) ? itemsIn(block) : [block]))
		}))
	};
}
