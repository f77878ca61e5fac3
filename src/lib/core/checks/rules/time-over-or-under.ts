import { formatDuration, spread } from '../../clock';
import { classLogSd } from '../../pace';
import { fit } from '../../fit';
import { UNFELT_SECONDS } from '../../rules';
import type { Check } from '../types';

export const timeOverOrUnder: Check = {
	meta: {
		id: 'time-over-or-under',
		summary: 'The class ends on time',
		severity: 'stop',
		why: 'A plan that counts only the holds runs over by half; the closing rest is then cut short.',
		source: 'common practice',
		canRepair: true
	},
	check({ plan, timeline, items, pace }) {
		const off = timeline.totalSeconds - plan.lengthSeconds;
		if (off === 0 || items.length === 0) return [];
		const amount = formatDuration(Math.abs(off));
		const { likelyFromSeconds, likelyToSeconds } = spread(
			timeline.totalSeconds,
			plan.lengthSeconds,
			classLogSd(pace, plan.pinnedPace)
		);
		const mayEndOnTime = plan.lengthSeconds >= likelyFromSeconds && plan.lengthSeconds <= likelyToSeconds;
		return [
			{
				message: off > 0 ? `the class runs ${amount} over` : `the class ends ${amount} early`,
				severity:
					Math.abs(off) <= UNFELT_SECONDS
						? ('note' as const)
						: mayEndOnTime
							? ('fix' as const)
							: ('stop' as const),
				where: { atSeconds: Math.min(plan.lengthSeconds, timeline.totalSeconds) },
				data: { offSeconds: off, totalSeconds: timeline.totalSeconds, lengthSeconds: plan.lengthSeconds }
			}
		];
	},
	repair(_finding, { plan, find, pace }) {
		const result = fit(plan, find, pace);
		if (!result.ok) return null;
		return {
			label: `Fit to ${formatDuration(plan.lengthSeconds)}`,
			edits: [{ do: 'setDoses', doses: result.doses, toLength: true }]
		};
	}
};
