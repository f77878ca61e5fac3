import { findBlock, type PlanEdit } from '../../plan';
import { findingLocation } from '../helpers';
import { isCalm, OPENING_ITEMS } from '../../rules';
import type { TimedItem } from '../../clock';
import type { Mode } from '../../movement';
import type { Check } from '../types';

const ARRIVING_IN: ReadonlySet<Mode> = new Set(['rest', 'passive']);
/** After this time of moving people have arrived. Common practice, no source. */
const ARRIVED_AFTER_SECONDS = 120;

/** Seconds of moving and working before an item. */
const movedBefore = (items: readonly TimedItem[], index: number): number =>
	items
		.slice(0, index)
		.reduce((sum, { item, workSeconds }) => (ARRIVING_IN.has(item.mode) ? sum : sum + workSeconds), 0);

export const calmOpen: Check = {
	meta: {
		id: 'calm-open',
		summary: 'The class opens calmly',
		severity: 'fix',
		why: 'People arrive stressed or stiff; easy shapes let them settle first.',
		source: 'common practice',
		canRepair: true
	},
	check({ items }) {
		return items
			.slice(0, OPENING_ITEMS)
			.filter(({ form }, index) => !isCalm(form) && movedBefore(items, index) < ARRIVED_AFTER_SECONDS)
			.slice(0, 1)
			.map((taught) => ({
				message: `the class opens with ${taught.movement.english} at intensity ${taught.form.intensity} of 5`,
				where: findingLocation(taught),
				data: { movement: taught.movement.slug, intensity: taught.form.intensity },
				repairable: items.some(({ form }) => isCalm(form))
			}));
	},
	/** Brings calm blocks from later to the front of it, as many as the opening wants. */
	repair(finding, { items, plan }) {
		const from = items.findIndex(({ item }) => item.id === finding.where.itemId);
		const place = finding.where.blockId && findBlock(plan, finding.where.blockId);
		const calm = items
			.slice(from + 1)
			.filter(({ form, blockId }) => isCalm(form) && blockId !== finding.where.blockId);
		const blocks = [...new Set(calm.map(({ blockId }) => blockId))].slice(0, OPENING_ITEMS - from);
		const [first] = calm;
		if (!first || !place || blocks.length < OPENING_ITEMS - from) return null;
		const edits = blocks.map((blockId, i): PlanEdit => ({
			do: 'move',
			blockId,
			to: { sectionId: place.sectionId, index: place.index + i }
		}));
		return { label: `Open with ${first.movement.english}`, edits };
	}
};
