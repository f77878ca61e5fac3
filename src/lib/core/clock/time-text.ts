import { PHASES, type Phase, type Timeline, type TimelineEntry } from './clock';

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

/** m:ss, or h:mm:ss from an hour on; a minus sign for negative seconds. Never decimals. */
export function formatDuration(seconds: number): string {
	const whole = Math.round(Math.abs(seconds));
	const s = String(whole % 60).padStart(2, '0');
	const minutes = Math.floor(whole / 60);
	const text =
		minutes < 60
			? `${minutes}:${s}`
			: `${Math.floor(minutes / 60)}:${String(minutes % 60).padStart(2, '0')}:${s}`;
	return seconds < 0 && whole > 0 ? `−${text}` : text;
}

/** Time on the studio's clock: "HH:MM", `seconds` after a start given as "HH:MM". */
export function clockTime(startsAt: string, seconds: number): string {
	const [h = '0', m = '0'] = startsAt.split(':');
	const minutes = (Number(h) * 60 + Number(m) + Math.floor(seconds / 60)) % 1440;
	return `${String(Math.floor(minutes / 60)).padStart(2, '0')}:${String(minutes % 60).padStart(2, '0')}`;
}

/** A time as people type it ("18:30", "6.40", "0640", "7") as "HH:MM"; null when it is none. */
export function readTime(text: string): string | null {
	const match = /^\s*(\d{1,2})(?:[:.h ]?(\d{2}))?\s*$/.exec(text);
	if (!match) return null;
	const [hours, minutes] = [Number(match[1]), Number(match[2] ?? 0)];
	if (hours > 23 || minutes > 59) return null;
	return `${String(hours).padStart(2, '0')}:${String(minutes).padStart(2, '0')}`;
}
