import { needsAttention, type Analysis } from '../checks';
import { formatDuration, positionChanges } from '../clock';
import type { CostParts, Reason } from '../propose';
import { SECTION_NAME } from '../plan';
import { percentOf } from './before-after';
import { classRing, type RingSector } from './ring';

/** A proposed class as it is shown beside others. */
export interface ProposalCard {
	ring: RingSector[];
	total: string;
	/** Figures that are compared, in the teacher's words. */
	figures: { label: string; value: string }[];
	sections: {
		name: string;
		items: { id: string; name: string; because: string; nearly: string }[];
	}[];
	/** What it costs by the parts of the objective, the weightiest first; nothing that costs nothing. */
	costs: { label: string; points: string }[];
}

const PART_WORDS: Record<keyof CostParts, string> = {
	balance: 'outside the group’s bands',
	flow: 'time between blocks',
	variety: 'movements that do the same',
	shape: 'parts longer or shorter than usual',
	arc: 'intensity that jumps or peaks elsewhere',
	dose: 'doses away from the usual ones',
	rules: 'rules of order and wishes'
};
/** Fewer points than this are not worth a line. */
const LEAST_POINTS = 0.05;

/** A proposed class as its card shows it. */
export function proposalCard(
	analysis: Analysis,
	proposed: { reasons: readonly Reason[]; parts: CostParts; lostSeconds: number }
): ProposalCard {
	const { timeline, context, orbit, balance, findings } = analysis;
	const why = new Map(proposed.reasons.map((reason) => [reason.itemId, reason]));
	const name = (slug: string) => context.find(slug)?.english ?? slug;
	return {
		ring: classRing(orbit, balance),
		total: formatDuration(timeline.totalSeconds),
		figures: [
			{ label: 'items', value: String(context.items.length) },
			{ label: 'between blocks', value: formatDuration(proposed.lostSeconds) },
			{ label: 'changes of position', value: String(positionChanges(timeline)) },
			{ label: 'strength, of the work', value: percentOf(balance.strength.share) },
			{ label: 'to look at', value: String(findings.filter(needsAttention).length) }
		],
		sections: context.plan.sections
			.filter((section) => section.blocks.length > 0)
			.map((section) => ({
				name: SECTION_NAME[section.kind],
				items: context.items
					.filter((taught) => taught.section === section)
					.map(({ item, movement }) => {
						const reason = why.get(item.id);
						return {
							id: item.id,
							name: movement.english,
							because: reason?.because.join('; ') ?? '',
							nearly: reason?.nearly ? name(reason.nearly.movement) : ''
						};
					})
			})),
		costs: (Object.keys(PART_WORDS) as (keyof CostParts)[])
			.map((part) => ({ label: PART_WORDS[part], points: proposed.parts[part] }))
			.filter(({ points }) => points >= LEAST_POINTS)
			.sort((a, b) => b.points - a.points)
			.map(({ label, points }) => ({ label, points: points.toFixed(1) }))
	};
}
