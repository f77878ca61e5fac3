import { percent } from '../helpers';
import type { Check } from '../types';

/** The most passive work that a class bears, percent of the work. Common practice, no source. */
const MOST_PERCENT = 60;
const MOST_FOR_VERY_MOBILE_PERCENT = 20;

export const passiveShare: Check = {
	meta: {
		id: 'passive-share',
		summary: 'Not too much passive stretching',
		severity: 'note',
		why: 'Passive work calms; active work carries over to sport and daily life. A class needs both; very mobile people need little passive work.',
		source: 'common practice',
		canRepair: false
	},
	check({ orbit, items, group, style }) {
		if (items.length < 3 || orbit.workSeconds === 0) return [];
		const mobile =
			group?.preset === 'very mobile' || group?.cautions.some((c) => c.caution === 'very mobile joints');
		// the quiet school holds on purpose
		if (style.holding === 'quiet' && !mobile) return [];
		const most = group?.preset === 'very mobile' ? MOST_FOR_VERY_MOBILE_PERCENT : MOST_PERCENT;
		const share = percent(orbit.passiveSeconds, orbit.workSeconds);
		if (share <= most) return [];
		return [
			{
				message: `${Math.round(share)} % of the work is passive; at most ${most} % is usual`,
				data: { percent: Math.round(share), mostPercent: most }
			}
		];
	}
};
