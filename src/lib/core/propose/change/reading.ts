import { isSymmetrical } from '../../anatomy';
import { analysePlan, needsAttention, previewRepair } from '../../checks';
import { clock } from '../../clock';
import { fit } from '../../fit';
import { formOf, type Form, type Movement } from '../../movement';
import {
	applyEdit,
	blocksOf,
	itemsIn,
	itemsOf,
	setsOf,
	withItems,
	type Block,
	type ClassPlan,
	type Item,
	type SectionKind
} from '../../plan';
import { plannedEffort } from '../../training-load';
import { canLink } from '../model';
import type { Option } from '../options';
import type { ProposeContext } from '../types';
import { given, type Offer } from './offer';

const REPAIRS = 6;

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

/** Everything that a change looks at. */
export interface Reading {
	plan: ClassPlan;
	setting: ProposeContext;
	offer: Offer;
	worth: (plan: ClassPlan) => number;
	secondsOf: (itemId: string) => number;
	sectionOf: (itemId: string) => SectionKind;
}

export const isReset = (movement: Movement) => movement.purposes.includes('reset');

/** Items that a change may touch: of the work, not pinned, not passed through. */
export const touchable = ({ plan, sectionOf, setting }: Reading): Item[] =>
	itemsOf(plan).filter(({ id, pinned, passed, movement, dose }) => {
		const kind = sectionOf(id);
		if (pinned || passed || dose.byBreath || isReset(setting.find(movement)!)) return false;
		return kind === 'build' || kind === 'peak' || kind === 'warm';
	});

export function effortOf(plan: ClassPlan, { find, pace }: ProposeContext): number {
	const items = new Map(itemsOf(plan).map((item) => [item.id, item]));
	return plannedEffort(clock(plan, find, pace), (id) => {
		const item = items.get(id);
		const form = item && formOf(find(item.movement)!, item.form);
		return item && form ? { mode: item.mode, intensity: form.intensity } : undefined;
	});
}

/** The likest thing that may stand there in the place of an item; within a chain only what goes on from its neighbours. */
export function replacement(
	reading: Reading,
	now: ClassPlan,
	item: Item,
	may: (movement: Movement, form: Form, option: Option) => boolean
): ClassPlan | null {
	const { offer, setting, secondsOf, worth } = reading;
	const movement = setting.find(item.movement)!;
	const block = blocksOf(now).find((found) => itemsIn(found.block).some(({ id }) => id === item.id))?.block;
	const chain = block && block.kind !== 'item' ? itemsIn(block) : [];
	const at = chain.findIndex(({ id }) => id === item.id);
	const links = (other: Movement) => {
		if (at < 0) return true;
		if (block?.kind === 'chain' && isSymmetrical(other.action)) return false;
		const [before, after] = [chain[at - 1], chain[at + 1]].map((one) => one && setting.find(one.movement)!);
		return (!before || canLink(before, other)) && (!after || canLink(other, after));
	};
	const there = new Set(itemsOf(now).map(({ movement: slug }) => slug));
	const plans = offer
		.like(
			item,
			movement,
			(other, form, option) => !there.has(other.slug) && links(other) && may(other, form, option)
		)
		.map((option) =>
			withChanged(
				now,
				new Map([[item.id, given(option, item, secondsOf(item.id) / setsOf(item.dose), true)]])
			)
		)
		.map((plan) => ({ plan, worth: worth(plan) }))
		.sort((a, b) => b.worth - a.worth);
	return plans[0]?.plan ?? null;
}

export function onLength(plan: ClassPlan, { find, pace }: ProposeContext): ClassPlan {
	const fitted = fit(plan, find, pace);
	return fitted.ok ? applyEdit(plan, { do: 'setDoses', doses: fitted.doses }) : plan;
}

/** The desk’s own repairs of what would have to be mended. */
export function mended(plan: ClassPlan, setting: ProposeContext): ClassPlan {
	let now = plan;
	for (let tries = 0; tries < REPAIRS; tries++) {
		const { findings, context } = analysePlan(now, setting);
		const preview = findings
			.filter((finding) => needsAttention(finding) && finding.repairable)
			.map((finding) => previewRepair(finding, context))
			.find(Boolean);
		if (!preview) return now;
		now = onLength(preview.repair.edits.reduce(applyEdit, now), setting);
	}
	return now;
}
