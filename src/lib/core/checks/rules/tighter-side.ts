import type { Leg } from '../../anatomy';
import type { Item } from '../../plan';
import { regionOf } from '../../measure';
import { REGION_NAMES, type Region } from '../../hip-tests';
import { findingLocation } from '../helpers';
import { isSided } from '../../orbit';
import type { Check } from '../types';

/** How much more of its dose the side that is behind gets. Judged. */
const MORE_TIME_SHARE = 1 / 3;

/** Kit that supports the tighter side in any shape. Judged. */
const PROP = 'blanket' as const;
const SIDE = { left: 'the left side', right: 'the right side' } as const;

/** Whether an item gives a side more already, or a prop of its own. */
const getsMore = ({ dose, oneSided, kit }: Item, leg: Leg): boolean =>
	dose.moreOn?.leg === leg || oneSided !== undefined || (kit ?? []).some((use) => use.for === SIDE[leg]);

export const tighterSide: Check = {
	meta: {
		id: 'tighter-side',
		summary: 'A side that was measured as tighter gets more',
		severity: 'note',
		why: 'A check-in found one side behind by more than the error of measuring, and the group is set to give it more.',
		source: 'common practice',
		canRepair: true
	},
	check({ items, group }) {
		return (group?.moreOn ?? []).flatMap(({ leg, region }) => {
			const there = items.filter((taught) => isSided(taught) && regionOf(taught.movement) === region);
			const [first] = there;
			if (!first || there.some(({ item }) => getsMore(item, leg))) return [];
			// where it is longest it is meant most
			const main = there.reduce((a, b) => (b.workSeconds > a.workSeconds ? b : a));
			return [
				{
					message: `${REGION_NAMES[region]}: the ${leg} side is behind, and nothing in this class gives it more`,
					where: findingLocation(main),
					cause: region,
					data: { leg, region, amount: main.item.dose.amount }
				}
			];
		});
	},
	/** As the teacher's style has it: another prop, as much again, or a third more. */
	repair({ where: { itemId }, data }, { style, items }) {
		const taught = items.find(({ item }) => item.id === itemId);
		if (!itemId || !taught) return null;
		const leg = data.leg === 'left' ? 'left' : 'right';
		if (style.sides === 'more props') {
			const kit = [...(taught.item.kit ?? []), { kit: PROP, for: SIDE[leg] }];
			return { label: `A ${PROP} on the ${leg}`, edits: [{ do: 'setItem', itemId, change: { kit } }] };
		}
		const again = style.sides === 'more sets';
		const amount = Math.max(1, Math.round(Number(data.amount) * (again ? 1 : MORE_TIME_SHARE)));
		return {
			label: again ? `As much again on the ${leg}` : `A third more on the ${leg}`,
			edits: [
				{
					do: 'setDose',
					itemId,
					change: {
						moreOn: { leg, amount },
						unevenReason: `the ${leg} side was measured behind (${REGION_NAMES[data.region as Region]})`
					}
				}
			]
		};
	}
};
