import type { TimedItem } from '../clock';
import type { CautionCount, Group, Tier } from '../group';
import type { Caution, FindMovement, FormId, KitKind } from '../movement';
import type { KitUse } from '../plan';
import { cuesFor, type TeachingStyle } from '../style';
import { kitAtHand, kitSuffices, shortageInWords, type KitNeed } from './kit';
import { givenInstead, suits } from './suits';
import { kitOfWays, waysAt } from './ways';

/** The form that one tier does at an item. */
export interface TierLine {
	tier: Tier;
	people: number;
	form: FormId;
	how: string;
}

/** Alternatives for the people with one caution at an item. */
export interface CautionLine {
	caution: Caution;
	people: number;
	kind: 'in this form' | 'other form' | 'instead' | 'clinician';
	advice: string;
	/** For another form: which; for this and for another movement: how it is done. */
	form: FormId | null;
	how: string | null;
	/** For another movement: its slug and name. */
	instead: string | null;
	insteadName: string | null;
	/** The teacher keeps the item all the same, and said so on this day. */
	confirmedOn: string | null;
}

/** One item on the room sheet: who does what, with which kit. */
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
	/** Kit uses of the item that differ from its form. */
	kitUses: KitUse[];
	/** Cues of the plan's style for this shape. */
	cues: string[];
}

/** A class as a teacher reads it in the room. */
export interface RoomSheet {
	rows: RoomRow[];
	/** Cautions in the room. */
	cautions: readonly CautionCount[];
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
		cautions: group.cautions,
		kit: [...most.values()],
		shortages: rows.flatMap((row) => row.shortages.map((words) => ({ english: row.english, words })))
	};
}

/** "sore knee (2): supported form, a block under each knee": what a person with a caution does, in a line. */
export function cautionInWords({
	caution,
	people,
	kind,
	form,
	insteadName,
	how,
	advice
}: CautionLine): string {
	const who = `${caution} (${people})`;
	if (kind === 'clinician') return `${who}: the treating clinician decides`;
	if (kind === 'in this form') return `${who}: ${advice}`;
	return `${who}: ${[insteadName ?? `${form} form`, how ?? advice].join(', ')}`;
}

function roomRow(
	taught: TimedItem,
	group: Group,
	find: FindMovement,
	style: TeachingStyle,
	atHand: Record<KitKind, number>
): RoomRow {
	const { item, movement, startSeconds } = taught;
	const ways = waysAt(taught, group, find, atHand);
	const kit = kitOfWays(ways, taught, atHand);
	return {
		itemId: item.id,
		movement: movement.slug,
		english: movement.english,
		fromSeconds: startSeconds,
		given: item.form,
		tiers: ways.flatMap(({ who, people, form }) =>
			'tier' in who ? [{ tier: who.tier, people, form: form.id, how: form.how }] : []
		),
		cautions: cautionLines(taught, group, find),
		kit,
		shortages: kit.filter((need) => need.short > 0).map(shortageInWords),
		kitUses: item.kit ?? [],
		cues: cuesFor(movement, style)
	};
}

function cautionLines({ item, movement }: TimedItem, group: Group, find: FindMovement): CautionLine[] {
	return group.cautions.flatMap(({ caution, people }): CautionLine[] => {
		const verdict = suits(movement, item.form, caution);
		if (verdict.kind === 'fine') return [];
		const form = verdict.kind === 'other form' ? verdict.form : null;
		const other = givenInstead(movement, item.form, caution, find, kitSuffices(kitAtHand(group), people));
		return [
			{
				caution,
				people,
				kind: verdict.kind,
				advice: verdict.advice,
				form,
				how: (movement.forms.find((f) => f.id === form) ?? other?.form)?.how ?? null,
				instead: other?.movement.slug ?? null,
				insteadName: other?.movement.english ?? null,
				confirmedOn: item.confirmed?.find((c) => c.caution === caution)?.on ?? null
			}
		];
	});
}
