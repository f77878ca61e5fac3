import { formatDuration } from '../../clock';
import { CLOSING_REST_SECONDS, WHOLE_CLASS_FROM_SECONDS } from '../../rules';
import type { Moment } from '../../group';
import { newItem } from '../../plan';
import type { Check } from '../types';

const CLOSING = 'savasana';
const ENDS_UPRIGHT: ReadonlySet<Moment> = new Set(['before sport', 'lunch hour']);

export const closeWithRest: Check = {
	meta: {
		id: 'close-with-rest',
		summary: 'The class ends in rest',
		severity: 'note',
		why: 'A few quiet minutes let the work settle; without them people leave tense.',
		source: 'common practice',
		canRepair: true
	},
	check({ plan, items, group }) {
		// who goes on to sport or to work ends upright
		if (group && ENDS_UPRIGHT.has(group.moment)) return [];
		// a short set for one thing ends with it
		if (plan.lengthSeconds < WHOLE_CLASS_FROM_SECONDS) return [];
		const last = items.at(-1);
		if (!last) return [];
		const resting = last.item.mode === 'rest';
		if (resting && last.workSeconds >= CLOSING_REST_SECONDS) return [];
		const where = { itemId: last.item.id, blockId: last.blockId, atSeconds: last.startSeconds };
		const data = { movement: last.movement.slug, restSeconds: resting ? last.workSeconds : 0 };
		return [
			resting
				? {
						message: `the closing rest is ${formatDuration(last.workSeconds)}; at least ${formatDuration(CLOSING_REST_SECONDS)} is usual`,
						where,
						data
					}
				: { message: `the class ends with ${last.movement.english}, not with rest`, where, data }
		];
	},
	repair(finding, { plan, items, find }) {
		const last = items.at(-1);
		if (last && last.item.mode === 'rest') {
			const { dose } = last.form;
			if (dose.unit !== 'seconds' || dose.max < CLOSING_REST_SECONDS) return null;
			return {
				label: 'Rest for a minute',
				edits: [
					{
						do: 'setDose',
						itemId: last.item.id,
						change: { amount: Math.max(dose.min, CLOSING_REST_SECONDS) }
					}
				]
			};
		}
		const rest = find(CLOSING);
		const section = plan.sections.at(-1);
		if (!rest || !section) return null;
		return {
			label: `End with ${rest.english}`,
			edits: [
				{
					do: 'insert',
					at: { sectionId: section.id, index: section.blocks.length },
					block: newItem(plan, rest)
				}
			]
		};
	}
};
