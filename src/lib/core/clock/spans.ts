import { PHASES, type Phase, type Timeline, type TimelineEntry } from './timeline';

/** From when to when a block or item runs, whole seconds from the beginning of the class. */
export interface Span {
	fromSeconds: number;
	toSeconds: number;
}

/** First and last second of each block of a timeline, by block id. */
export function blockSpans(timeline: Timeline): Map<string, Span> {
	return spansBy(timeline, (entry) => entry.blockId);
}

/** First and last second of each item, by item id; an item of a chain spans both passes. */
export function itemSpans(timeline: Timeline): Map<string, Span> {
	return spansBy(timeline, (entry) => entry.itemId);
}

function spansBy(timeline: Timeline, key: (entry: TimelineEntry) => string | null): Map<string, Span> {
	const spans = new Map<string, Span>();
	for (const entry of timeline.entries) {
		const id = key(entry);
		if (id === null) continue;
		const span = spans.get(id);
		if (span) span.toSeconds = entry.toSeconds;
		else spans.set(id, { fromSeconds: entry.fromSeconds, toSeconds: entry.toSeconds });
	}
	return spans;
}

/** Seconds per phase, over all entries or those that `only` lets through: the answer to "why so long?". */
export function phaseSeconds(
	timeline: Timeline,
	only: (entry: TimelineEntry) => boolean = () => true
): Record<Phase, number> {
	const sums = Object.fromEntries(PHASES.map((phase) => [phase, 0])) as Record<Phase, number>;
	for (const entry of timeline.entries)
		if (only(entry)) sums[entry.phase] += entry.toSeconds - entry.fromSeconds;
	return sums;
}

/** How often the body position changes in the course of a class. */
export function positionChanges(timeline: Timeline): number {
	return timeline.entries.filter((entry) => entry.phase === 'move').length;
}
