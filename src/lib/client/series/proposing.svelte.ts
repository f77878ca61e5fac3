import { proxy } from 'comlink';
import {
	renewable,
	waiting,
	withProposed,
	type Changed,
	type PlannedSeries,
	type SeriesAnalysis,
	type SeriesDocument
} from '$lib/core/series';
import type { ClassPlan } from '$lib/core/plan';
import { counted } from '$lib/core/text';
import type { SeriesTask } from '../worker/core.worker';
import { inWorker } from '../worker/worker';

/** Context of a series besides the series itself. */
export type SeriesDeskContext = Omit<SeriesTask, 'planned' | 'seed' | 'only'>;

/** The part of the page of a series that proposing works with. */
interface Proposing {
	proposing: { done: number; of: number; stop: () => void } | null;
	readonly planned: PlannedSeries;
	readonly analysis: SeriesAnalysis;
	readonly context: SeriesDeskContext;
	set(document: SeriesDocument, said: string): void;
	show(title: string, changes: [label: string, Changed][]): void;
	say(message: string): void;
}

/** Which classes of a series are proposed: the open ones, all that may be, or one. */
export type Proposed = 'waiting' | 'all' | { classId: string };

/**
 * Proposes the open classes, or all that were neither taught nor changed by hand, or one. What fills gaps is put
 * in at once; what takes the place of earlier proposals is shown before it is taken.
 */
export async function proposeInto(desk: Proposing, which: Proposed, seed: number): Promise<void> {
	if (desk.proposing) return;
	const only =
		which === 'waiting'
			? waiting(desk.analysis)
			: which === 'all'
				? renewable(desk.analysis)
				: [which.classId];
	if (only.length === 0) return;
	const from = desk.planned;
	const replaces = only.some((id) => from.plans[id]);
	const found: Record<string, ClassPlan> = {};
	const { own, leftOut, kept, knownBefore, style, group } = desk.context;
	const ask = $state.snapshot({
		planned: from,
		group,
		own,
		leftOut,
		kept,
		knownBefore,
		style,
		seed,
		only
	});
	const tell = proxy((classId: string, plan: ClassPlan, done: number, of: number) => {
		found[classId] = plan;
		desk.proposing = { done, of, stop: under.stop };
	});
	const under = inWorker((core) => core.proposeSeries(ask, tell));
	desk.proposing = { done: 0, of: only.length, stop: under.stop };
	const outcome = await under.result;
	desk.proposing = null;
	const count = Object.keys(found).length;
	if (outcome.how === 'failed') desk.say(outcome.sentence);
	if (count === 0 || outcome.how === 'failed') return;
	// the series may have been edited meanwhile: what was proposed goes into it as it is now
	const here = Object.fromEntries(
		Object.entries(found).filter(
			([id]) => desk.planned.series.classes.some((c) => c.id === id) && !desk.planned.runs[id]
		)
	);
	const after = withProposed(desk.planned, here);
	const classes = counted(count, 'class', 'classes');
	const said = outcome.how === 'done' ? `${classes} proposed` : `Stopped; ${classes} proposed`;
	if (!replaces) desk.set(after, said);
	else {
		desk.show(said, [['Apply', { ok: true, value: after }]]);
		desk.say(said);
	}
}
