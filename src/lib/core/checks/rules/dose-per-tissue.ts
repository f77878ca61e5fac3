import { formatDuration } from '../../clock';
import { MUSCLES_OF_TISSUE, stillSeconds } from '../../orbit';
import { LONG_STRETCH_SECONDS, WHOLE_CLASS_FROM_SECONDS } from '../../rules';
import type { Check } from '../types';

/** Below this a tissue is only touched on the way; the class is not about it. */
const MEANT_SECONDS = 25;

export const dosePerTissue: Check = {
	meta: {
		id: 'dose-per-tissue',
		summary: 'Each stretched muscle gets a minute in all',
		severity: 'note',
		why: 'About 60 seconds in all, in two to four sets, changes range; half that per class has little effect.',
		source:
			'ACSM position stand, Garber et al., Med Sci Sports Exerc 43:1334 (2011): 10-30 s, 2-4 times, about 60 s in all (from memory)',
		canRepair: false
	},
	check({ plan, items }) {
		// a short set loosens what the day needs, and lengthens nothing
		if (plan.lengthSeconds < WHOLE_CLASS_FROM_SECONDS) return [];
		const meant = [...stillSeconds(items)].filter(
			([tissue, seconds]) => tissue in MUSCLES_OF_TISSUE && seconds >= MEANT_SECONDS
		);
		const few = meant.filter(([, seconds]) => seconds < LONG_STRETCH_SECONDS);
		// where something else gets its minute, the short ones are on the way to it
		if (few.length === 0 || few.length < meant.length) return [];
		const list = few.map(([tissue, seconds]) => `${tissue} ${formatDuration(seconds)}`).join(', ');
		return [
			{
				message: `held for less than the usual minute per leg in all: ${list}`,
				data: { tissues: few.length, wantedSeconds: LONG_STRETCH_SECONDS }
			}
		];
	}
};
