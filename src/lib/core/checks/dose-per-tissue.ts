import { formatDuration } from '../clock';
import { lengthened, stillSeconds, STILL_MODES } from './help';
import { LONG_STRETCH_SECONDS } from '../rules';
import type { Check } from './types';

/** Below this a tissue is only touched on the way; the class is not about it. */
const MEANT_SECONDS = 25;

export const dosePerTissue: Check = {
	meta: {
		id: 'dose-per-tissue',
		summary: 'What a class stretches gets a minute in all',
		severity: 'note',
		why: 'About 60 seconds in all, in two to four goes, is the dose that changes range; half of it a class is spent for little.',
		source:
			'ACSM position stand, Garber et al., Med Sci Sports Exerc 43:1334 (2011): 10-30 s, 2-4 times, about 60 s in all (from memory)',
		canRepair: false
	},
	check({ items }) {
		return [...stillSeconds(items)]
			.filter(([, seconds]) => seconds >= MEANT_SECONDS && seconds < LONG_STRETCH_SECONDS)
			.map(([tissue, seconds]) => {
				const taught = items.find((t) => STILL_MODES.has(t.item.mode) && lengthened(t).has(tissue))!;
				return {
					message: `the ${tissue} get ${formatDuration(seconds)} of holding a leg in all; a minute is the usual dose`,
					where: { itemId: taught.item.id, blockId: taught.blockId, atSeconds: taught.startSeconds },
					data: { tissue, seconds: Math.round(seconds), wantedSeconds: LONG_STRETCH_SECONDS }
				};
			});
	}
};
