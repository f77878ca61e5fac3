import { formatDuration, type TimedItem } from '../../clock';
import type { Tissue } from '../../anatomy';
import { findingLocation } from '../helpers';
import { hungSeconds, lengthened, MUSCLES_OF_TISSUE, stillSeconds } from '../../orbit';
import { COSTS_SPORT_FROM_SECONDS } from '../../rules';
import type { Check } from '../types';

const passive = ({ item }: TimedItem) => item.mode === 'passive';

/** Of some items the one that holds a tissue long for the most seconds. */
const longestOf = (items: readonly TimedItem[], tissue: Tissue): TimedItem =>
	items.filter((t) => lengthened(t).has(tissue)).sort((a, b) => b.workSeconds - a.workSeconds)[0]!;

export const beforeSportStatic: Check = {
	meta: {
		id: 'before-sport-static',
		summary: 'No static stretch of a minute or more before sport',
		severity: 'fix',
		why: 'A minute or more of static stretch per muscle costs about 4.6 % of performance right after; under a minute about 1.1 %, and moving gains about 1.3 %.',
		source: 'Behm et al., Appl Physiol Nutr Metab 41:1 (2016) (from memory)',
		canRepair: true
	},
	check({ items, group }) {
		if (group?.moment !== 'before sport') return [];
		const active = items.filter(({ item }) => item.mode === 'active' || item.mode === 'isometric');
		const held = [...stillSeconds(active)]
			.filter(([tissue, seconds]) => seconds >= COSTS_SPORT_FROM_SECONDS && tissue in MUSCLES_OF_TISSUE)
			.map(([tissue, seconds]) => {
				const longest = longestOf(active, tissue);
				return {
					message: `the ${tissue} are held long by own strength for ${formatDuration(seconds)} a leg right before sport`,
					severity: 'note' as const,
					where: findingLocation(longest),
					cause: 'active holds',
					data: { tissue, seconds: Math.round(seconds), movement: longest.movement.slug },
					repairable: false
				};
			});
		const hung = [...hungSeconds(items)]
			.filter(([, seconds]) => seconds >= COSTS_SPORT_FROM_SECONDS)
			.map(([tissue, seconds]) => {
				const longest = longestOf(items.filter(passive), tissue);
				return {
					message: `the ${tissue} are held long for ${formatDuration(seconds)} a leg right before sport; under 1:00 costs little`,
					where: findingLocation(longest),
					cause: tissue,
					data: { tissue, seconds: Math.round(seconds) }
				};
			});
		return [...hung, ...held];
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
