import type { Check } from '../types';

/** Most kinds of kit in a class. Common practice, no source. */
const MOST_KINDS = 4;

export const kitChurn: Check = {
	meta: {
		id: 'kit-churn',
		summary: 'Few kinds of kit are used',
		severity: 'note',
		why: 'People stand up to fetch each kind; five kinds are too many to fetch.',
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
