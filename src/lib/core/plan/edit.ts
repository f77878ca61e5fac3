import { isSymmetrical, otherLeg, type Leg } from '../anatomy';
import {
	doseRange,
	formOf,
	modesOf,
	type FindMovement,
	type Form,
	type FormId,
	type Mode,
	type Movement
} from '../movement';
import type { ClassKind, PaceSaid } from '../pace';
import type { Attendance } from '../people';
import { firstForm, holdUnit, styleOf, type StyleChoices } from '../style';
import { changedByNoHand, contentText } from './content';
import { changedDose, goesByTurns, rangeInStyle, type DoseChange } from './dose';
import type { Block, Chain, ClassPlan, Flow, Item, Link, BlockPosition, TestBlock } from './types';
import { insertBlock, mapAllItems, mapBlock, mapItems, moveBlock, removeBlock } from './blocks';
import { asStep, join, linkItem, NEW_FLOW, removeItem, unchain } from './linking';
import { blockOfItem, itemsIn, nextId } from './walk';

/** One change of a plan, as data: it can be kept, undone, sent and shown before it is taken. */
export type PlanEdit =
	| { do: 'insert'; at: BlockPosition; block: Block }
	| { do: 'remove'; blockId: string }
	| { do: 'removeItem'; itemId: string }
	| { do: 'move'; blockId: string; to: BlockPosition }
	| { do: 'setItem'; itemId: string; change: ItemChange }
	| { do: 'setTalk'; blockId: string; label?: string; seconds?: number }
	| { do: 'setDose'; itemId: string; change: DoseChange }
	/** Of several items at once, by their ids. */
	| { do: 'setDoses'; doses: Record<string, DoseChange>; toLength?: true }
	| { do: 'chain'; blockIds: string[] }
	| { do: 'flow'; blockIds: string[] }
	| { do: 'setFlow'; blockId: string; change: FlowChange }
	| { do: 'setChain'; blockId: string; change: ChainChange }
	/** How a part of the class is taught; undefined: like the rest. */
	| { do: 'setSection'; sectionId: string; classKind: ClassKind | undefined }
	| { do: 'unchain'; blockId: string }
	| { do: 'link'; itemId: string; link: Link | undefined; lead: Leg }
	| { do: 'setTest'; blockId: string; change: Partial<Pick<TestBlock, 'test' | 'seconds'>> }
	| { do: 'swapSides' }
	| { do: 'setPlan'; change: Partial<Pick<ClassPlan, 'title' | 'theme' | 'lengthSeconds' | 'startsAt'>> }
	/** Who is here; undefined: who usually is. */
	| { do: 'setHere'; here: Attendance | undefined }
	| { do: 'setStyle'; change: StyleChoices }
	| { do: 'replace'; itemId: string; by: Item }
	| { do: 'silence'; check: string; itemId?: string; reason: string }
	| { do: 'unsilence'; check: string; itemId?: string }
	| { do: 'reorder'; order: Record<string, string[]> }
	| { do: 'replaceSections'; sections: ClassPlan['sections'] }
	| { do: 'updateMovement'; slug: string; contentHash: string }
	/** Figures for this class; undefined takes one back. */
	| { do: 'setPace'; change: PaceSaid };

export type FlowChange = Partial<Pick<Flow, 'rounds' | 'sides'>>;

/** Changes of the way a chain comes to its second side; undefined removes a field. */
export interface ChainChange {
	slowChange?: true | undefined;
	noticeFirstSeconds?: number | undefined;
}

type Changeable = Pick<
	Item,
	| 'form'
	| 'mode'
	| 'dose'
	| 'lead'
	| 'oneSided'
	| 'byTurns'
	| 'kit'
	| 'slowChange'
	| 'passed'
	| 'phases'
	| 'confirmed'
	| 'pinned'
	| 'noticeFirstSeconds'
	| 'noticeSeconds'
	| 'note'
>;

/** Changes of an item; undefined removes a field. */
export type ItemChange = { [K in keyof Changeable]?: Changeable[K] | undefined };

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
			return edit.toLength ? changedByNoHand(plan, withDoses(plan, edit.doses)) : withDoses(plan, edit.doses);
		case 'setDose':
			return mapItems(plan, edit.itemId, (item) => withDose(item, edit.change));
		case 'chain':
			return join(plan, edit.blockIds, (id, items) => ({ kind: 'chain', id, items }));
		case 'flow':
			return join(plan, edit.blockIds, (id, items) => ({
				kind: 'flow',
				id,
				items: items.map((item) => (blockOfItem(plan, item.id)?.kind === 'flow' ? item : asStep(item))),
				...NEW_FLOW
			}));
		case 'setFlow':
			return mapBlock(plan, edit.blockId, (block) =>
				block.kind === 'flow' ? { ...block, ...edit.change } : block
			);
		case 'setChain':
			return mapBlock(plan, edit.blockId, (block) =>
				block.kind === 'chain' ? withoutEmpty({ ...block, ...edit.change }, CHAIN_EXTRAS) : block
			);
		case 'setSection':
			return {
				...plan,
				sections: plan.sections.map((section) =>
					section.id === edit.sectionId
						? withoutEmpty({ ...section, classKind: edit.classKind }, ['classKind'])
						: section
				)
			};
		case 'setTest':
			return mapBlock(plan, edit.blockId, (block) =>
				block.kind === 'test' ? { ...block, ...edit.change } : block
			);
		case 'link':
			return linkItem(plan, edit.itemId, edit.link, edit.lead);
		case 'unchain':
			return unchain(plan, edit.blockId);
		case 'swapSides':
			return mirror(plan);
		case 'setPlan':
			return withoutEmpty({ ...plan, ...edit.change }, ['theme']);
		case 'setPace':
			return withPinnedPace(plan, edit.change);
		case 'setHere':
			return withoutEmpty({ ...plan, here: edit.here }, ['here']);
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
		case 'replaceSections':
			return { ...plan, sections: edit.sections };
		case 'updateMovement':
			return { ...plan, madeWith: { ...plan.madeWith, [edit.slug]: edit.contentHash } };
	}
}

const withDoses = (plan: ClassPlan, doses: Record<string, DoseChange>): ClassPlan =>
	mapAllItems(plan, (item) => {
		const change = doses[item.id];
		return change ? withDose(item, change) : item;
	});

function withPinnedPace({ pinnedPace: before, ...plan }: ClassPlan, change: PaceSaid): ClassPlan {
	const pinnedPace = Object.fromEntries(
		Object.entries({ ...before, ...change }).filter(([, figure]) => figure !== undefined)
	);
	return Object.keys(pinnedPace).length ? { ...plan, pinnedPace } : plan;
}

/** Blocks of a section in another order; what the order does not name stays behind it. */
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

/** A new item of a movement: form, mode and dose as the style of the plan has them. */
export function newItem(
	plan: ClassPlan,
	movement: Movement,
	lead: Leg = plan.firstSide ?? 'left',
	form?: FormId
): Item {
	const style = styleOf(plan.style);
	const chosen = (form && formOf(movement, form)) || firstForm(style, movement);
	const mode = modesOf(movement, chosen)[0] as Mode;
	const unit = holdUnit(style, chosen, mode);
	const counted = { mode, dose: unit ? { unit } : {} };
	return {
		kind: 'item',
		id: nextId(plan),
		movement: movement.slug,
		form: chosen.id,
		mode,
		dose: {
			amount: rangeInStyle(style, counted, movement, chosen).usual,
			...counted.dose,
			...(movement.bothWays ? { bothWays: true as const } : {})
		},
		lead
	};
}

/**
 * The change that puts another form or mode on an item. The dose stays as it is where it is counted in the same; within
 * what is usual there if it was usual before.
 */
export function formChange(
	plan: ClassPlan,
	item: Item,
	movement: Movement,
	to: { form?: FormId; mode?: Mode }
): ItemChange {
	const form = to.form ?? item.form;
	const before = formOf(movement, item.form);
	const after = formOf(movement, form);
	if (!after) throw new Error(`${movement.slug} has no form ${form}`);
	const mode = to.mode ?? modeIn(movement, after, item.mode);
	if (item.dose.byBreath) return { form, mode };
	const style = styleOf(plan.style);
	const was = before && rangeInStyle(style, item, movement, before);
	const own = doseRange(after, mode).unit;
	const unit = item.dose.unit === own ? undefined : item.dose.unit;
	const range = rangeInStyle(style, { ...item, mode, dose: unit ? { unit } : {} }, movement, after);
	if (was?.unit !== range.unit) return { form, mode, dose: { amount: range.usual } };
	const { amount } = item.dose;
	const wasUsual = amount >= was.min && amount <= was.max;
	const kept = wasUsual ? Math.min(range.max, Math.max(range.min, amount)) : amount;
	return { form, mode, dose: changedDose(item.dose, { amount: kept, unit }) };
}

/** The mode that an item keeps in another form, or the first one of that form. */
export function modeIn(movement: Movement, form: Form, mode: Mode): Mode {
	const modes = modesOf(movement, form);
	return modes.includes(mode) ? mode : (modes[0] as Mode);
}

/** The change that lets the sides take turns, or not: as much for each side as before. */
export function turnsChange(item: Item, movement: Movement, byTurns: boolean): ItemChange {
	const { amount, most } = item.dose;
	const shared = (value: number) => (byTurns ? 2 * value : Math.max(1, Math.round(value / 2)));
	const turned = { ...item, byTurns };
	if (goesByTurns(item, movement) === goesByTurns(turned, movement)) return {};
	const dose = changedDose(item.dose, {
		amount: shared(amount),
		...(most === undefined ? {} : { most: shared(most) }),
		...(byTurns ? { moreOn: undefined, secondSide: undefined } : {})
	});
	return { byTurns: byTurns === (movement.byTurns ?? false) ? undefined : byTurns, dose };
}

/** Every asymmetrical item led by the other leg. Twice gives the plan back. */
export function mirror(plan: ClassPlan): ClassPlan {
	const mirrored = mapAllItems(plan, (item) => ({ ...item, lead: otherLeg(item.lead) }));
	return plan.firstSide ? { ...mirrored, firstSide: otherLeg(plan.firstSide) } : mirrored;
}

function changedItem(item: Item, change: ItemChange): Item {
	const changed = { ...item, ...change };
	if (changed.phases && Object.keys(changed.phases).length === 0) delete changed.phases;
	if (changed.confirmed?.length === 0) delete changed.confirmed;
	if (changed.kit?.length === 0) delete changed.kit;
	if (changed.byTurns === undefined) delete changed.byTurns;
	return withoutEmpty(changed, ITEM_EXTRAS) as Item;
}

/** Fields of an item that go where they say nothing. */
const ITEM_EXTRAS = [
	'oneSided',
	'kit',
	'slowChange',
	'passed',
	'phases',
	'confirmed',
	'pinned',
	'noticeFirstSeconds',
	'noticeSeconds',
	'note'
] as const satisfies (keyof Item)[];
const CHAIN_EXTRAS = ['slowChange', 'noticeFirstSeconds'] as const satisfies (keyof Chain)[];

/** Without those of some fields that are empty: undefined, false, 0 or no text. */
function withoutEmpty<T extends object, K extends keyof T>(
	value: { [P in keyof T]: T[P] | (P extends K ? undefined : never) },
	fields: readonly K[]
): T {
	const full = { ...value };
	for (const field of fields) if (!full[field]) delete full[field];
	return full as T;
}

function withDose(item: Item, change: DoseChange): Item {
	const dose = changedDose(item.dose, change);
	return contentText(dose) === contentText(item.dose) ? item : { ...item, dose };
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
