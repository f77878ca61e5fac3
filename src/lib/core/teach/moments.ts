import type { EventTime } from './events';
import type { Now } from './now';
import type { TeachPack } from './pack';
import { presentId } from './state-reads';
import type { SessionState, Steps } from './state';

/** A class that begins further from its time than this is another lesson: it is measured from its own beginning. */
const OTHER_LESSON_MS = 2 * 3600_000;

/** When a class should have begun that begins now: at its time where that is near, else now; milliseconds since 1970. */
export function beginsAt({ plannedStartAt }: TeachPack, now: number): number {
	const isNear = plannedStartAt !== null && Math.abs(now - plannedStartAt) <= OTHER_LESSON_MS;
	return isNear ? plannedStartAt : now;
}

/** A class that began so long ago and was never ended is not gone on with. Common practice, no source. */
const LEFT_FOR_GOOD_MS = 6 * 3600_000;

/** Whether a class that began then, and was never ended, was left open. */
export const isAbandoned = (startedAt: number, now: number): boolean => now - startedAt >= LEFT_FOR_GOOD_MS;

/** The clock that only runs on stands still while a device sleeps; less than this is the browser's own delay. Judged. */
const SLEPT_MS = 10_000;

/** How long a device slept between two moments of one opening of its page, milliseconds; 0 where it did not. */
export function sleptMs(before: EventTime, after: EventTime): number {
	if (before.boot !== after.boot) return 0;
	const ms = after.at - before.at - (after.monoMs - before.monoMs);
	return ms >= SLEPT_MS ? ms : 0;
}

/** Two presses within so short a time are one: the second is a finger that trembles. Judged. */
export const ONE_PRESS_MS = 400;

/** A step that was to take longer and is left after so short a time was skipped, by mistake it may be. Judged. */
const SKIPPED_MS = 2000;
/** Getting in and coming out may really take no time. */
const SKIPPABLE_FROM_MS = 8000;

/** Whether moving on now skips the present step. */
export const isSkipped = ({ step, givenMs, goalMs }: Now): boolean =>
	step.kind !== 'in' && step.kind !== 'out' && goalMs >= SKIPPABLE_FROM_MS && givenMs < SKIPPED_MS;

/** How much "more" is: two breaths or repetitions of what is counted, else half a minute; whole seconds. */
export function moreSeconds({ step, count }: Now): number {
	if (step.kind !== 'work' || !count || count.unit === 'seconds') return 30;
	return Math.max(1, Math.round(2 * count.eachSeconds));
}

/** Returns the steps that leaving out skips: the rest of the present movement on this side, with its way in. */
export function restOfItem(state: SessionState, steps: Steps): string[] {
	const present = steps.get(presentId(state));
	return state.order.filter((id, index) => {
		const step = steps.get(id);
		const isSame =
			step.blockId === present.blockId && step.itemId === present.itemId && step.side === present.side;
		return index >= state.at && isSame && !state.done.has(id);
	});
}
