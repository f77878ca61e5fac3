import { firstSideOf } from '../../plan';
import type { Check } from '../types';

export const firstSideHabit: Check = {
	meta: {
		id: 'first-side-habit',
		summary: 'The first side alternates from class to class, in a style that alternates',
		severity: 'note',
		why: 'The first side gets the explanation and the fresh attention; alternating shares both.',
		source: 'common practice',
		canRepair: true
	},
	check({ plan, items, style, lastFirstSide }) {
		if (style.firstSide !== 'alternate' || !lastFirstSide) return [];
		if (!items.some(({ item, movement }) => 'lead' in movement.action && !item.oneSided)) return [];
		const now = firstSideOf(plan);
		if (now !== lastFirstSide) return [];
		return [{ message: `the ${now} side goes first, as it did last time`, data: { side: now } }];
	},
	repair(finding) {
		const leg = finding.data.side === 'left' ? 'right' : 'left';
		return { label: `The ${leg} side first`, edits: [{ do: 'swapSides' }] };
	}
};
