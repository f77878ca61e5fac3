import { isSymmetrical, type Direction } from '../anatomy';
import {
	type TimedItem,
	blockSpans,
	itemSpans,
	PHASE_NAME,
	PHASES,
	phaseSeconds,
	type Timeline
} from '../clock';
import type { Analysis } from '../analysis';
import type { DoseRange, Form, Movement } from '../movement';
import type { ClassKind } from '../pace';
import { styleOf } from '../style';
import { orbit, rangeSeconds } from '../orbit';
import {
	doseInWords,
	doseParts,
	goesByTurns,
	isLinked,
	itemsIn,
	legsThrough,
	rangeInStyle,
	SECTION_NAME,
	sideWords,
	unitWord,
	visitsBefore,
	type Linked,
	type Block,
	type Item,
	type SectionKind
} from '../plan';

/** One named part of a number: what "why?" opens to. */
export interface RowSegment {
	label: string;
	seconds: number;
}

/** One row of the running order. */
export interface OrderRow {
	item: Item;
	movement: Movement;
	form: Form;
	/** Usual range of the dose in the style of the plan. */
	range: DoseRange;
	sided: boolean;
	/** The sides take turns in one pass. */
	byTurns: boolean;
	/** "each side", "by turns", or nothing. */
	sides: string;
	/** The whole dose, as on a card. */
	words: string;
	/** Parts of the dose besides its amount. */
	extras: string[];
	fromSeconds: number;
	/** All that the item takes, both sides and everything around the work. */
	seconds: number;
	parts: RowSegment[];
	unit: string;
	/** How many visits of the same movement come before it. */
	visitsBefore: number;
	/** In a chain or flow: something with sides comes before it, so that a leg may change in between. */
	linkable: boolean;
}

/** A block of the running order with its rows. */
export interface OrderBlock {
	id: string;
	block: Block;
	fromSeconds: number;
	seconds: number;
	/** One for an item, several for a chain, none for a talk. */
	rows: OrderRow[];
}

/** A section of the running order with its blocks. */
export interface OrderSection {
	id: string;
	kind: SectionKind;
	/** How it is taught, where it is otherwise than the rest. */
	classKind: ClassKind | undefined;
	name: string;
	seconds: number;
	blocks: OrderBlock[];
}

/** Describes a chain or flow as it stands on the class card. */
export function linkedInWords(block: Linked): string {
	const count = block.items.length;
	if (block.kind === 'chain') return `Chain: the next ${count} on one side, then all on the other`;
	const rounds = `${block.rounds} ${unitWord('rounds', block.rounds)}`;
	const sides = block.sides === 'alternate' ? 'the other side each round' : 'on one side, then the other';
	return `Flow: the next ${count}, ${rounds}, ${sides}`;
}

/** The parts of some seconds by phase, the largest first. */
export function phaseParts(timeline: Timeline, only?: Parameters<typeof phaseSeconds>[1]): RowSegment[] {
	return partsOf(phaseSeconds(timeline, only));
}

function partsOf(sums: ReturnType<typeof phaseSeconds>): RowSegment[] {
	return PHASES.filter((phase) => sums[phase] > 0)
		.map((phase) => ({ label: PHASE_NAME[phase], seconds: sums[phase] }))
		.sort((a, b) => b.seconds - a.seconds);
}

/** The class as a list, section by section, with the times that the clock gives. */
export function runningOrder({ context, timeline }: Analysis): OrderSection[] {
	const spans = itemSpans(timeline);
	const ofBlock = blockSpans(timeline);
	const taught = new Map(context.items.map((t) => [t.item.id, t]));
	const sums = sumsByItem(timeline);
	const style = styleOf(context.plan.style);
	const visits = visitsBefore(context.plan);
	return context.plan.sections.map((section) => {
		const blocks = section.blocks.map((block) => {
			const led = isLinked(block) ? legsThrough(block, context.find) : [];
			const linkable = new Set(led.filter(({ before }) => before).map(({ item }) => item.id));
			const span = ofBlock.get(block.id);
			return {
				id: block.id,
				block,
				fromSeconds: span?.fromSeconds ?? 0,
				seconds: span ? span.toSeconds - span.fromSeconds : 0,
				rows: itemsIn(block).map((item) => {
					const known = taught.get(item.id) as TimedItem;
					const range = rangeInStyle(style, item, known.movement, known.form);
					const sided = !isSymmetrical(known.movement.action);
					const byTurns = goesByTurns(item, known.movement);
					const parts = partsOf(sums.get(item.id) ?? phaseSeconds({ entries: [], totalSeconds: 0 }));
					return {
						item,
						movement: known.movement,
						form: known.form,
						range,
						sided,
						byTurns,
						sides: sideWords(item, sided, byTurns),
						words: doseInWords(item, context.find),
						extras: doseParts(item.dose, range.unit),
						fromSeconds: spans.get(item.id)?.fromSeconds ?? 0,
						seconds: parts.reduce((sum, part) => sum + part.seconds, 0),
						parts,
						unit: unitWord(range.unit, item.dose.most ?? item.dose.amount),
						visitsBefore: visits.get(item.id) ?? 0,
						linkable: linkable.has(item.id)
					};
				})
			};
		});
		return {
			id: section.id,
			kind: section.kind,
			classKind: section.classKind,
			name: SECTION_NAME[section.kind],
			seconds: blocks.reduce((sum, block) => sum + block.seconds, 0),
			blocks
		};
	});
}

function sumsByItem(timeline: Timeline): Map<string, ReturnType<typeof phaseSeconds>> {
	const empty = phaseSeconds({ entries: [], totalSeconds: 0 });
	const sums = new Map<string, ReturnType<typeof phaseSeconds>>();
	for (const entry of timeline.entries) {
		if (entry.itemId === null) continue;
		let sum = sums.get(entry.itemId);
		if (!sum) sums.set(entry.itemId, (sum = { ...empty }));
		sum[entry.phase] += entry.toSeconds - entry.fromSeconds;
	}
	return sums;
}

/** Which items give a class its time in a direction (both legs), the largest first: the answer to "why this share?". */
export function directionParts({ context, timeline }: Analysis, direction: Direction): RowSegment[] {
	return itemParts(context.items, (taught) => {
		const alone = { entries: timeline.entries.filter((e) => e.itemId === taught.item.id), totalSeconds: 0 };
		return rangeSeconds(
			orbit(alone, context.find, () => taught.item),
			direction
		);
	});
}

/** Which items make up the strengthening work. */
export function strengthParts({ context, timeline }: Analysis): RowSegment[] {
	return itemParts(context.items, (taught) => {
		const alone = { entries: timeline.entries.filter((e) => e.itemId === taught.item.id), totalSeconds: 0 };
		return orbit(alone, context.find, () => taught.item).strengthWorkSeconds;
	});
}

function itemParts(items: readonly TimedItem[], secondsOf: (taught: TimedItem) => number): RowSegment[] {
	const sums = new Map<string, number>();
	for (const taught of items) {
		const seconds = secondsOf(taught);
		if (seconds > 0) sums.set(taught.movement.english, (sums.get(taught.movement.english) ?? 0) + seconds);
	}
	return [...sums].map(([label, seconds]) => ({ label, seconds })).sort((a, b) => b.seconds - a.seconds);
}
