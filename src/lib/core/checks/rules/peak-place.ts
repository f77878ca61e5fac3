import { formatDuration, peakOf } from '../../clock';
import { findingLocation, percent } from '../helpers';
import { isPeak } from '../../rules';
import type { Check } from '../types';

/** Where the middle of the most intense stretch lies, percent of the class. Common practice, no source. */
const FROM_PERCENT = 45;
const TO_PERCENT = 85;
/** Shorter classes have no arc to speak of. */
const LEAST_SECONDS = 15 * 60;

export const peakPlace: Check = {
	meta: {
		id: 'peak-place',
		summary: 'Intensity rises to one peak in the second half, then falls',
		severity: 'note',
		why: 'The deepest part comes at about 55 to 80 percent of the class: people are warm, and there is time to settle after it.',
		source: 'common practice',
		canRepair: false
	},
	check({ items, timeline }) {
		if (timeline.totalSeconds < LEAST_SECONDS || items.length < 4) return [];
		const peak = peakOf(timeline, items);
		if (!peak || !isPeak(peak)) return [];
		const { atSeconds: centre } = peak;
		const where = percent(centre, timeline.totalSeconds);
		if (where >= FROM_PERCENT && where <= TO_PERCENT) return [];
		const there = items.findLast(
			({ form, startSeconds }) => form.intensity === peak.intensity && startSeconds <= centre
		)!;
		return [
			{
				message: `the peak lies at ${formatDuration(centre)}, ${Math.round(where)} % of the class; about 55 to 80 % is usual`,
				where: findingLocation(there),
				data: { atSeconds: Math.round(centre), percent: Math.round(where) }
			}
		];
	}
};
