import { phaseSeconds } from '../../clock';
import { paceOf } from '../../pace';
import { percent } from '../helpers';
import type { Check } from '../types';

/** Talk without anything else going on was about 11 % of the classes that were timed; twice that is a lecture. */
const MOST_PERCENT = 25;

export const talkShare: Check = {
	meta: {
		id: 'talk-share',
		summary: 'Talking leaves enough time for moving',
		severity: 'note',
		why: 'In timed classes talk took about a tenth; above a quarter people cool down.',
		source: 'common practice',
		canRepair: true
	},
	check({ timeline, items }) {
		if (items.length < 4) return [];
		const sums = phaseSeconds(timeline);
		const share = percent(sums.explain + sums.talk, timeline.totalSeconds);
		if (share <= MOST_PERCENT) return [];
		return [
			{
				message: `explaining and talking take ${Math.round(share)} % of the class; at most ${MOST_PERCENT} % is usual`,
				data: { percent: Math.round(share), explainSeconds: sums.explain, talkSeconds: sums.talk }
			}
		];
	},
	repair(_finding, { plan, pace }) {
		const now = paceOf(pace, plan.pinnedPace).classKind;
		if (now === 'flow') return null;
		const classKind = now === 'ordinary' ? ('flow' as const) : ('ordinary' as const);
		return {
			label: `Explain as in ${classKind === 'flow' ? 'a flowing' : 'an ordinary'} class`,
			edits: [{ do: 'setPace', change: { classKind } }]
		};
	}
};
