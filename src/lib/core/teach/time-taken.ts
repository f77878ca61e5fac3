import { clock, timedItems, type TimedItem, type TimelineEntry } from '../clock';
import { isMoving, type FindMovement } from '../movement';
import {
	paceOf,
	paceEvidence,
	taughtTimeOfMinutes,
	type ClassKind,
	type PaceFigure,
	type PaceModel,
	type StepTime,
	type PaceEvidence,
	type TimedBy
} from '../pace';
import { findItem, rangeOf, type ClassPlan, type PinnedPhase } from '../plan';
import type { SessionEvent } from './events';
import { entriesOfSteps } from './script';
import { replay } from './replay';
import { givenMs, isLeftOut } from './state-reads';
import { Steps } from './state';
import type { Script } from './types';

/** A class that was changed after it was taught tells nothing when less of it than this is as it was. */
const LEAST_KNOWN = 0.5;

/** The plan as the usual pace of its kind would give it: what teachers are compared with. */
function asUsual(plan: ClassPlan, kind: ClassKind): { plan: ClassPlan; pace: PaceModel } {
	const { pinnedPace: _pinned, ...unpinned } = plan;
	return { plan: unpinned, pace: { classKind: kind, figures: {} } };
}

/** The kind of class that a plan is, with the teacher who teaches it. */
export const kindOfPlan = (plan: ClassPlan, pace: PaceModel): ClassKind =>
	paceOf(pace, plan.pinnedPace).classKind;

/**
 * Returns the evidence of a led class on the pace of its teacher.
 * @param session the script and the events of the class
 * @param plan as it was led: steps that it does not have any more tell nothing
 * @param kind the kind of class that it was
 * @returns null where too little of it is known
 */
export function evidenceOfSession(
	session: { script: Script; events: readonly SessionEvent[] },
	plan: ClassPlan,
	find: FindMovement,
	kind: ClassKind
): PaceEvidence | null {
	const { script, events } = session;
	const steps = new Steps(script);
	const state = replay(script, events);
	const partsOf = usualParts(plan, find, kind);
	let [known, all] = [0, 0];
	const times = state.order.flatMap((id): StepTime[] => {
		const step = steps.get(id);
		const realSeconds = givenMs(state, id) / 1000;
		if (isLeftOut(state, id) || realSeconds <= 0 || !state.done.has(id)) return [];
		all += step.seconds;
		const parts = partsOf.get(step.id);
		if (!parts || state.swapped.has(id)) return [];
		known += step.seconds;
		const adjusted = state.adjusted.seconds.get(step.id);
		const share = adjusted !== undefined && step.seconds > 0 ? adjusted / step.seconds : 1;
		const more = state.more.get(id) ?? 0;
		return [
			{
				parts: [
					...parts.map(({ by: what, usualSeconds }) => ({ by: what, usualSeconds: usualSeconds * share })),
					...(more > 0 ? [{ by: 'nothing' as const, usualSeconds: more }] : [])
				],
				realSeconds,
				movement:
					step.itemId !== null && (step.kind === 'in' || step.kind === 'work')
						? (findItem(plan, step.itemId)?.movement ?? null)
						: null
			}
		];
	});
	return all > 0 && known / all >= LEAST_KNOWN ? paceEvidence(kind, times) : null;
}

/** Returns the evidence of a class of which only the minutes are known. */
export function evidenceOfMinutes(
	plan: ClassPlan,
	find: FindMovement,
	kind: ClassKind,
	minutes: number,
	leftOut: readonly string[]
): PaceEvidence | null {
	const usual = asUsual(plan, kind);
	const { entries } = clock(usual.plan, find, usual.pace);
	const items = itemsById(usual.plan, find, usual.pace);
	const given = entries.filter(({ movement }) => movement === null || !leftOut.includes(movement));
	return taughtTimeOfMinutes(
		kind,
		given.map((entry) => partOf(entry, items)),
		minutes
	);
}

function itemsById(plan: ClassPlan, find: FindMovement, pace: PaceModel): ReadonlyMap<string, TimedItem> {
	return new Map(timedItems(plan, find, clock(plan, find, pace)).map((timed) => [timed.item.id, timed]));
}

/** Returns the time of each step at the usual pace of a kind of class, in parts, by step id. */
export function usualParts(
	plan: ClassPlan,
	find: FindMovement,
	kind: ClassKind
): ReadonlyMap<string, { by: TimedBy; usualSeconds: number; itemId: string | null; side: 1 | 2 | null }[]> {
	const usual = asUsual(plan, kind);
	const entries = entriesOfSteps(usual.plan, find, usual.pace);
	const items = itemsById(usual.plan, find, usual.pace);
	return new Map(
		[...entries].map(([step, of]) => [
			step,
			of.map((entry) => ({ ...partOf(entry, items), itemId: entry.itemId, side: entry.side }))
		])
	);
}

function partOf(
	entry: TimelineEntry,
	items: ReadonlyMap<string, TimedItem>
): { by: TimedBy; usualSeconds: number } {
	const usualSeconds = entry.toSeconds - entry.fromSeconds;
	const timed = entry.itemId === null ? undefined : items.get(entry.itemId);
	return { by: timedBy(entry, timed), usualSeconds };
}

/** Returns the figure that a stretch of the class depends on; pinned time depends on none. */
function timedBy({ phase, changeBy }: TimelineEntry, timed: TimedItem | undefined): TimedBy {
	if (timed?.item.phases?.[phase as PinnedPhase] !== undefined) return 'nothing';
	switch (phase) {
		case 'move':
			return 'moveSeconds';
		case 'setUp':
		case 'explain':
			return timed?.item.phases?.setUp === undefined ? 'setUpSeconds' : 'nothing';
		case 'change':
			return changeBy === undefined || changeBy === 'slow-switch' ? 'whole pace' : changeBy;
		case 'fetch':
			return 'whole pace';
		case 'work':
			return timed ? unitOf(timed) : 'whole pace';
		default:
			return 'nothing';
	}
}

/** Repetitions and held seconds have no figure of their own. */
function unitOf({ item, movement, form }: TimedItem): PaceFigure | 'whole pace' {
	if (item.passed || item.dose.hold || item.dose.lastHold) return 'whole pace';
	switch (rangeOf(item, movement, form).unit) {
		case 'breaths':
			return item.dose.byBreath || isMoving(item.mode) ? 'movingBreathSeconds' : 'heldBreathSeconds';
		case 'rounds':
			return 'roundBreathSeconds';
		case 'counts':
			return 'countSeconds';
		default:
			return 'whole pace';
	}
}
