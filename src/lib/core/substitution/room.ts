import type { TimedItem } from '../clock';
import { TIERS, type Group, type Tier } from '../group';
import type { Caution, FindMovement, FormId, KitKind } from '../movement';
import { cuesFor, type TeachingStyle } from '../style';
import { kitAtHand, kitNeeds, shortageInWords, type KitNeed } from './kit';
import { formForTier, suits } from './suits';

export interface TierLine {
	tier: Tier;
	people: number;
	form: FormId;
	how: string;
}

/** What the people with a caution get at an item. */
export interface CautionLine {
	caution: Caution;
	people: number;
	kind: 'in this form' | 'other form' | 'instead' | 'clinician';
	advice: string;
	/** For another form: which, and how it is done. */
	form: FormId | null;
	how: string | null;
	/** For another movement: its slug and name. */
	instead: string | null;
	insteadName: string | null;
	/** The teacher keeps the item all the same, and said so on this day. */
	confirmedOn: string | null;
}

export interface RoomRow {
	itemId: string;
	movement: string;
	english: string;
	fromSeconds: number;
	given: FormId;
	tiers: TierLine[];
	cautions: CautionLine[];
	kit: KitNeed[];
	/** Shortages as they are said before class. */
	shortages: string[];
	/** What the style of the plan says in this shape. */
	cues: string[];
}

export interface RoomSheet {
	rows: RoomRow[];
	/** The most of each kind that any item needs. */
	kit: { kit: KitKind; needed: number; available: number }[];
	shortages: { english: string; words: string }[];
}

/** The plan as this room does it: tiers, cautions and kit, item by item. */
export function roomSheet(
	items: readonly TimedItem[],
	group: Group,
	find: FindMovement,
	style: TeachingStyle
): RoomSheet {
	const atHand = kitAtHand(group);
	const rows = items.map((taught) => roomRow(taught, group, find, style, atHand));
	const most = new Map<KitKind, { kit: KitKind; needed: number; available: number }>();
	for (const { kit } of rows)
		for (const need of kit)
			if (need.needed > (most.get(need.kit)?.needed ?? 0))
				most.set(need.kit, { kit: need.kit, needed: need.needed, available: need.available });
	return {
		rows,
		kit: [...most.values()],
		shortages: rows.flatMap((row) => row.shortages.map((words) => ({ english: row.english, words })))
	};
}

/** How many people of each tier; people without a tier do what the room is given. */
export function peopleByTier(group: Group): Record<Tier, number> {
	const { tight, open } = group.tiers;
	return { tight, open, middling: Math.max(group.tiers.middling, group.size - tight - open) };
}

/** What an item needs when every tier does its own form. */
export function itemKit(
	taught: Pick<TimedItem, 'movement' | 'item'>,
	group: Group,
	atHand = kitAtHand(group),
	people = peopleByTier(group)
): KitNeed[] {
	return kitNeeds(
		TIERS.map((tier) => ({
			form: formForTier(taught.movement, taught.item.form, tier),
			people: people[tier]
		})),
		atHand
	);
}

function roomRow(
	taught: TimedItem,
	group: Group,
	find: FindMovement,
	style: TeachingStyle,
	atHand: Record<KitKind, number>
): RoomRow {
	const { item, movement, startSeconds } = taught;
	const people = peopleByTier(group);
	const kit = itemKit(taught, group, atHand);
	return {
		itemId: item.id,
		movement: movement.slug,
		english: movement.english,
		fromSeconds: startSeconds,
		given: item.form,
		tiers: TIERS.filter((tier) => people[tier] > 0).map((tier) => {
			const form = formForTier(movement, item.form, tier);
			return { tier, people: people[tier], form: form.id, how: form.how };
		}),
		cautions: cautionLines(taught, group, find),
		kit,
		shortages: kit.filter((need) => need.short > 0).map(shortageInWords),
		cues: cuesFor(movement, style)
	};
}

function cautionLines({ item, movement }: TimedItem, group: Group, find: FindMovement): CautionLine[] {
	return group.cautions.flatMap(({ caution, people }): CautionLine[] => {
		const verdict = suits(movement, item.form, caution);
		if (verdict.kind === 'fine') return [];
		const form = verdict.kind === 'other form' ? verdict.form : null;
		const instead = verdict.kind === 'instead' ? verdict.instead : null;
		return [
			{
				caution,
				people,
				kind: verdict.kind,
				advice: verdict.advice,
				form,
				how: movement.forms.find((f) => f.id === form)?.how ?? null,
				instead,
				insteadName: instead ? (find(instead)?.english ?? instead) : null,
				confirmedOn: item.confirmed?.find((c) => c.caution === caution)?.on ?? null
			}
		];
	});
}
