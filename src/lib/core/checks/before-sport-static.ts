import { formatDuration } from '../clock';
import type { Tissue } from '../anatomy';
import { hungSeconds, lengthened } from './help';
import { COSTS_SPORT_FROM_SECONDS } from '../rules';
import type { TimedItem } from '../clock';
import type { Check } from './types';

const passive = ({ item }: TimedItem) => item.mode === 'passive';

export const beforeSportStatic: Check = {
	meta: {
		id: 'before-sport-static',
		summary: 'Before sport no muscle is held long for a minute or more',
		severity: 'mend',
		why: 'A minute or more of static stretch per muscle costs about 4.6 % of performance right after; under a minute about 1.1 %, and moving gains about 1.3 %.',
		source: 'Behm et al., Appl Physiol Nutr Metab 41:1 (2016) (from memory)',
		canRepair: true
	},
	check({ items, group }) {
		if (group?.moment !== 'before sport') return [];
		return [...hungSeconds(items)]
			.filter(([, seconds]) => seconds >= COSTS_SPORT_FROM_SECONDS)
			.map(([tissue, seconds]) => {
				const longest = items
					.filter((t) => passive(t) && lengthened(t).has(tissue))
					.sort((a, b) => b.workSeconds - a.workSeconds)[0]!;
				return {
					message: `the ${tissue} are held long for ${formatDuration(seconds)} a leg right before sport; under 1:00 costs little`,
					where: { itemId: longest.item.id, blockId: longest.blockId, atSeconds: longest.startSeconds },
					data: { tissue, seconds: Math.round(seconds) }
				};
			});
	},
	/** Takes the longest of them out of passive, or out of the class. */
	repair(finding, { items }) {
		const taught = items.find(({ item }) => item.id === finding.where.itemId);
		if (!taught || !lengthened(taught).has(finding.data.tissue as Tissue)) return null;
		return {
			label: `Leave ${taught.movement.english} for after the sport`,
			edits: [{ do: 'removeItem', itemId: taught.item.id }]
		};
	}
};
