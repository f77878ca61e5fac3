import { formatDuration, type TimedItem } from '../../clock';
import { findBlock, type PlanEdit } from '../../plan';
import { isDeep, isWarming, WARM_AFTER_SECONDS } from '../../rules';
import type { Check } from '../types';

/** Seconds of warming work that was done before each item; deep holds do not warm. */
function warmedBefore(items: readonly TimedItem[]): number[] {
	let warmed = 0;
	return items.map(({ item, form, workSeconds }) => {
		const before = warmed;
		if (isWarming(form, item.mode)) warmed += workSeconds;
		return before;
	});
}

export const warmBeforeDeep: Check = {
	meta: {
		id: 'warm-before-deep',
		summary: 'Deep shapes come after movement',
		severity: 'fix',
		why: 'Warm muscles stretch best: three minutes of movement come before the first deep shape.',
		source:
			'ACSM position stand, Garber et al., Med Sci Sports Exerc 43:1334 (2011): stretch when muscles are warm (from memory); the three minutes are common practice',
		canRepair: true
	},
	check({ items, group, style }) {
		if (group?.moment === 'after sport') return []; // they come warm
		const warmed = warmedBefore(items);
		return items.flatMap(({ item, movement, form, blockId, startSeconds }, index) => {
			const before = warmed[index] as number;
			// slow movement through the shape warms by itself
			if (!isDeep(form) || item.mode === 'dynamic' || before >= WARM_AFTER_SECONDS) return [];
			return [
				{
					message: `${movement.english} is deep and comes after only ${formatDuration(before)} of moving; ${formatDuration(WARM_AFTER_SECONDS)} are wanted before it`,
					// where long quiet holds are the style, people warm up by staying
					...(style.holding === 'quiet' ? { severity: 'note' as const } : {}),
					where: { itemId: item.id, blockId, atSeconds: startSeconds },
					cause: 'cold',
					data: { movement: movement.slug, warmedSeconds: before, wantedSeconds: WARM_AFTER_SECONDS }
				}
			];
		});
	},
	/** Moves the block to the first place where enough was done before it, if the plan has such a place. */
	repair(finding, { items, plan }) {
		const { blockId } = finding.where;
		const old = blockId && findBlock(plan, blockId);
		if (!old) return null;
		const others = items.filter((taught) => taught.blockId !== blockId);
		const warmed = warmedBefore(others);
		const target = others.findIndex(
			(taught, i) =>
				(warmed[i] as number) >= WARM_AFTER_SECONDS &&
				taught.section.kind !== 'rest' &&
				others[i - 1]?.blockId !== taught.blockId
		);
		const next = others[target];
		const place = next && findBlock(plan, next.blockId);
		if (!place) return null;
		const sameSection = place.sectionId === old.sectionId && place.index > old.index;
		const edit: PlanEdit = {
			do: 'move',
			blockId,
			to: { sectionId: place.sectionId, index: place.index - (sameSection ? 1 : 0) }
		};
		return { label: `Move it before ${next.movement.english}, when people are warm`, edits: [edit] };
	}
};
