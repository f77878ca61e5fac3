import { DIRECTION_NAME, DIRECTIONS } from '../../anatomy';
import { type TimedItem, formatDuration } from '../../clock';
import { stillSeconds, orbit, rangeSeconds } from '../../orbit';
import { type Analysis } from '../../analysis';
import { findItem, type ClassPlan } from '../../plan';
import { isCalm, isDeep } from '../../rules';
import type { Wishes } from '../pool/types';

/** From this part of a direction's time on an item is what gives it. */
const GIVES_PERCENT = 15;

/** Why an item is where it is, the weightiest first. */
export function because(
	taught: TimedItem,
	index: number,
	{ timeline, context, orbit: whole }: Analysis,
	wishes: Wishes,
	base: ClassPlan
): string[] {
	const { item, movement, form, section } = taught;
	const reasons: string[] = [];
	if (findItem(base, item.id)) reasons.push('it was in the class already');
	if (wishes.toward === movement.slug) reasons.push('the class leads up to it');
	if (wishes.must?.includes(movement.slug)) reasons.push('you asked for it');
	for (const tissue of wishes.lengthen ?? [])
		if (stillSeconds([taught]).has(tissue)) reasons.push(`it holds the ${tissue} long, as you asked`);
	const later = context.items.slice(index + 1);
	const prepared = later.find((other) => other.movement.preparations.includes(movement.slug));
	if (prepared) reasons.push(`it prepares ${prepared.movement.english}`);
	const undone = context.items
		.slice(Math.max(0, index - 2), index)
		.find((other) => isDeep(other.form) && other.movement.counters.includes(movement.slug));
	if (undone) reasons.push(`it counters ${undone.movement.english}`);
	const own = { entries: timeline.entries.filter((e) => e.itemId === item.id), totalSeconds: 0 };
	const alone = orbit(own, context.find, () => item);
	for (const d of [...DIRECTIONS].sort((a, b) => rangeSeconds(alone, b) - rangeSeconds(alone, a))) {
		const seconds = rangeSeconds(alone, d);
		const all = rangeSeconds(whole, d);
		if (all > 0 && (100 * seconds) / all >= GIVES_PERCENT)
			reasons.push(
				`it gives ${formatDuration(seconds)} of ${DIRECTION_NAME[d]}, ${Math.round((100 * seconds) / all)} % of it`
			);
	}
	if (alone.strengthWorkSeconds > 0) reasons.push(`${formatDuration(alone.strengthWorkSeconds)} of strength`);
	if (section.kind === 'warm' && item.mode !== 'rest') reasons.push('it warms');
	if (item.mode === 'rest') reasons.push(section.kind === 'rest' ? 'the closing rest' : 'to arrive');
	if (section.kind === 'release' && isCalm(form)) reasons.push('it releases after the peak');
	return reasons.length ? reasons : ['it needs no change of position here'];
}
