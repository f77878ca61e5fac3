import { DIRECTION_NAME, DIRECTIONS } from '../anatomy';
import type { TimedItem } from '../clock';
import { stillSeconds, type Analysis } from '../checks';
import { formatDuration } from '../clock';
import { orbit, rangeSeconds } from '../orbit';
import { findItem, type ClassPlan } from '../plan';
import type { Objective } from './cost';
import type { Piece } from './candidate';
import type { Pool } from './pool';
import { isCalm, isDeep } from '../rules';
import type { Reason, Wishes } from './types';

/** From this part of a direction's time on an item is what gives it. */
const GIVES_PERCENT = 15;
/** Reasons that are told of one item. */
const MOST_REASONS = 3;

/** Why each item of a proposed class is there, and what was nearly chosen. */
export function reasonsFor(
	plan: ClassPlan,
	analysis: Analysis,
	pieces: readonly Piece[],
	objective: Objective,
	pool: Pool,
	wishes: Wishes,
	base: ClassPlan
): Reason[] {
	const { items } = analysis.context;
	return items.map((taught, index) => ({
		itemId: taught.item.id,
		because: because(taught, index, analysis, wishes, base).slice(0, MOST_REASONS),
		nearly: findItem(base, taught.item.id) ? null : nearly(taught, pieces, objective, pool)
	}));
}

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
	if (findItem(base, item.id)) reasons.push('it was there already');
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
	if (undone) reasons.push(`it undoes ${undone.movement.english}`);
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
	if (section.kind === 'release' && isCalm(form)) reasons.push('it lets go after the peak');
	return reasons.length ? reasons : ['it costs no change of position here'];
}

/** The best other movement for its place, everything else as it is. */
function nearly(
	{ item }: TimedItem,
	pieces: readonly Piece[],
	objective: Objective,
	pool: Pool
): Reason['nearly'] {
	const at = pieces.findIndex((piece) => piece.option.item?.movement === item.movement);
	const piece = pieces[at];
	if (!piece) return null;
	const cost = objective.cost(pieces);
	const inClass = new Set(pieces.flatMap((other) => other.option.movements));
	let best: Reason['nearly'] = null;
	for (const index of pool.bySection[piece.section] ?? []) {
		const option = pool.facts.options[index]!;
		if (inClass.has(option.movements[0]!)) continue;
		const worse = objective.cost(pieces.with(at, { ...piece, option, amount: option.usual })) - cost;
		if (!best || worse < best.worse) best = { movement: option.movements[0]!, worse };
	}
	return best;
}
