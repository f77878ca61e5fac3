import { formatDuration } from '../../clock';
import { formFacts, type Caution } from '../../movement';
import { findBlock, newItem } from '../../plan';
import { findingLocation } from '../helpers';
import { factsOf, livedWith } from '../lived';
import type { Check } from '../types';

/** Whoever may get dizzy. */
const DIZZY: readonly Caution[] = ['high blood pressure or glaucoma', 'poor balance', 'pregnancy'];

/** Lying for so long counts as long. Common practice, no source. */
const LONG_LYING_SECONDS = 240;
const PAUSE = 'seated-quiet';

export const risingQuickly: Check = {
	meta: {
		id: 'rising-quickly',
		summary: 'After long lying there is a seat before standing',
		severity: 'note',
		why: 'Blood pressure falls when people stand up quickly after lying or hanging; half a minute on a seat prevents dizziness.',
		source: 'common practice',
		canRepair: true
	},
	check(context) {
		const caution = DIZZY.find((one) => context.group?.cautions.some((counted) => counted.caution === one));
		const lived = caution && livedWith(context, caution);
		if (!lived) return [];
		let lying = 0;
		return lived.items.flatMap((taught) => {
			const it = factsOf(taught);
			const before = lying;
			lying = formFacts.isLying(it) || formFacts.isHeadDown(it) ? lying + taught.workSeconds : 0;
			if (!formFacts.isStanding(it) || before < LONG_LYING_SECONDS) return [];
			return [
				{
					message: `${caution} (${lived.people}): ${taught.movement.english} stands up after ${formatDuration(before)} of lying. Let them sit for half a minute first.`,
					where: findingLocation(taught),
					cause: 'up',
					data: { caution, movement: taught.movement.slug, seconds: Math.round(before) }
				}
			];
		});
	},
	/** Puts a quiet seat before the item. */
	repair(finding, { plan, find }) {
		const { blockId } = finding.where;
		const place = blockId && findBlock(plan, blockId);
		const seat = find(PAUSE);
		if (!place || !seat) return null;
		return {
			label: 'Sit quietly before it',
			edits: [
				{ do: 'insert', at: { sectionId: place.sectionId, index: place.index }, block: newItem(plan, seat) }
			]
		};
	}
};
