import { isPeak } from '../rules';
import type { TimedItem } from './items';
import type { Timeline } from './timeline';

/** Where a class is most intense. */
export interface Peak {
	/** Middle of the time spent at that intensity, wherever its stretches lie; seconds from the beginning. */
	atSeconds: number;
	intensity: number;
}

/**
 * The peak of a class: the most intense (1-5) of the part that the teacher calls its peak, however deep something short
 * before it is; of the whole class where that part has nothing far enough. Null where nothing is done.
 */
export function peakOf(timeline: Timeline, items: readonly TimedItem[]): Peak | null {
	const called = items.filter(({ section, form }) => section.kind === 'peak' && isPeak(form));
	const known = new Map(
		(called.length > 0 ? called : items).map(({ item, form }) => [item.id, form.intensity])
	);
	let highest = 0;
	let seconds = 0;
	let moment = 0;
	for (const { phase, itemId, fromSeconds, toSeconds } of timeline.entries) {
		const intensity = phase === 'work' && itemId !== null ? (known.get(itemId) ?? 0) : 0;
		if (intensity === 0 || intensity < highest) continue;
		if (intensity > highest) seconds = moment = 0;
		highest = intensity;
		seconds += toSeconds - fromSeconds;
		moment += ((fromSeconds + toSeconds) / 2) * (toSeconds - fromSeconds);
	}
	return seconds > 0 ? { atSeconds: moment / seconds, intensity: highest } : null;
}
