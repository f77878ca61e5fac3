import type { Check } from './types';

/** So many kinds of kit are the most that a class bears beside the mats. Common practice, no source. */
const MOST_KINDS = 4;

export const kitChurn: Check = {
	meta: {
		id: 'kit-churn',
		summary: 'Few kinds of kit are used for a while',
		severity: 'note',
		why: 'Each kind is fetched once and then lies beside the mat; five kinds are a shop, and everybody stands up for each.',
		source: 'common practice',
		canRepair: false
	},
	check({ items }) {
		const kinds = new Set(items.flatMap(({ form }) => form.props.map(({ kit }) => kit)));
		kinds.delete('wall space');
		if (kinds.size <= MOST_KINDS) return [];
		return [
			{
				message: `${kinds.size} kinds of kit are fetched: ${[...kinds].join(', ')}; ${MOST_KINDS} are plenty`,
				data: { kinds: kinds.size, most: MOST_KINDS }
			}
		];
	}
};
