import { mainDirection, type Direction } from '../anatomy';
import type { Severity } from '../checks';
import type { Analysis } from '../analysis';
import { peakOf, type Peak, type TimelineEntry } from '../clock';
import { POSITIONS, type Position } from '../movement';
import { HIP_TESTS } from '../hip-tests';
import { findBlock, SECTION_NAME, type SectionKind } from '../plan';

/** The lines of the score from the top: standing first, lying last. */
export const LEVELS: readonly Position[] = [...POSITIONS].reverse();

/** A stretch of work on the score. x in seconds; `half` says which half of the line it fills. */
export interface ScoreWork {
	x: number;
	width: number;
	/** Left leg leading above, right leg leading below, neither: the whole line. */
	half: 'upper' | 'lower' | 'whole';
	direction: Direction | null;
}

/** One block as the score shows it. */
export interface ScoreBlock {
	/** Item and how often it has come before: the same however the times shift. */
	key: string;
	blockId: string;
	itemId: string;
	name: string;
	level: number;
	x: number;
	width: number;
	work: ScoreWork[];
	/** Where kit is fetched for it. */
	fetch: { x: number; width: number; kit: string } | null;
	chained: boolean;
}

/** The plan along time, in seconds and line numbers; the component only scales it. */
export interface Score {
	/** Seconds that the drawing spans: the plan or its wanted length, whichever is longer. */
	spanSeconds: number;
	lengthSeconds: number;
	totalSeconds: number;
	blocks: ScoreBlock[];
	sections: { id: string; kind: SectionKind; name: string; x: number; width: number }[];
	/** Points of the body's way up and down: (second, line). */
	body: [number, number][];
	/** Intensity 0-5 as steps: from this second on. */
	intensity: { x: number; width: number; value: number }[];
	/** The peak that there is, wherever it was meant to be. */
	peak: Peak | null;
	/** Tests, which are no items but take their time. */
	tests: { blockId: string; name: string; level: number; x: number; width: number }[];
	marks: { x: number; severity: Severity; message: string; itemId: string | null }[];
}

/** Works the score out of a reading. One pass over the timeline. */
export function score({ timeline, context, findings }: Analysis): Score {
	const { plan } = context;
	const known = new Map(context.items.map((taught) => [taught.item.id, taught]));
	const blocks: ScoreBlock[] = [];
	const sections: Score['sections'] = [];
	const body: [number, number][] = [];
	const intensity: Score['intensity'] = [];
	const tests: Score['tests'] = [];
	const met = new Map<string, number>();
	let open = null as ScoreBlock | null;
	for (const entry of timeline.entries) {
		addSection(sections, entry, plan.sections);
		const level = LEVELS.indexOf(entry.position);
		if (body.at(-1)?.[1] !== level) body.push([entry.fromSeconds, level]);
		const taught = entry.itemId === null ? undefined : known.get(entry.itemId);
		if (!taught) {
			open = null;
			const test = entry.phase === 'test' ? findBlock(plan, entry.blockId)?.block : undefined;
			if (test?.kind === 'test')
				tests.push({
					blockId: test.id,
					name: HIP_TESTS[test.test].name,
					level,
					x: entry.fromSeconds,
					width: entry.toSeconds - entry.fromSeconds
				});
			continue;
		}
		if (open?.itemId !== taught.item.id) {
			const times = (met.get(taught.item.id) ?? 0) + 1;
			met.set(taught.item.id, times);
			open = {
				key: `${taught.item.id}.${times}`,
				blockId: entry.blockId,
				itemId: taught.item.id,
				name: taught.movement.english,
				level,
				x: entry.fromSeconds,
				width: 0,
				work: [],
				fetch: null,
				chained: taught.blockId !== taught.item.id
			};
			blocks.push(open);
		}
		open.width = entry.toSeconds - open.x;
		const width = entry.toSeconds - entry.fromSeconds;
		if (entry.phase === 'fetch')
			open.fetch = { x: entry.fromSeconds, width, kit: taught.form.props.map((p) => p.kit).join(', ') };
		if (entry.phase !== 'work') continue;
		const half = entry.leads === null ? 'whole' : entry.leads === 'left' ? 'upper' : 'lower';
		open.work.push({ x: entry.fromSeconds, width, half, direction: mainDirection(taught.movement.action) });
		intensity.push({ x: entry.fromSeconds, width, value: taught.form.intensity });
	}
	body.push([timeline.totalSeconds, body.at(-1)?.[1] ?? 0]);
	const spanSeconds = Math.max(timeline.totalSeconds, plan.lengthSeconds);
	return {
		spanSeconds,
		lengthSeconds: plan.lengthSeconds,
		totalSeconds: timeline.totalSeconds,
		blocks,
		sections,
		body,
		intensity,
		peak: peakOf(timeline, context.items),
		tests,
		marks: marksOf(findings)
	};
}

/** Returns a mark for each place of a finding that has a time. */
const marksOf = (findings: Analysis['findings']): Score['marks'] =>
	findings.flatMap(({ severity, message, places }) =>
		places.flatMap(({ atSeconds, itemId }) =>
			atSeconds === undefined ? [] : [{ x: atSeconds, severity, message, itemId: itemId ?? null }]
		)
	);

function addSection(
	sections: Score['sections'],
	entry: TimelineEntry,
	all: readonly { id: string; kind: SectionKind }[]
): void {
	const last = sections.at(-1);
	if (last?.id === entry.sectionId) {
		last.width = entry.toSeconds - last.x;
		return;
	}
	const kind = all.find((s) => s.id === entry.sectionId)?.kind ?? 'build';
	sections.push({
		id: entry.sectionId,
		kind,
		name: SECTION_NAME[kind],
		x: entry.fromSeconds,
		width: entry.toSeconds - entry.fromSeconds
	});
}

/** Where times stand: as many as there is room for, every minute, five, ten, fifteen or thirty. */
export function ticksOf(spanSeconds: number, most = 15): number[] {
	const step = [60, 300, 600, 900, 1800].find((s) => spanSeconds / s <= most) ?? 3600;
	return Array.from({ length: Math.floor(spanSeconds / step) + 1 }, (_, i) => i * step);
}
