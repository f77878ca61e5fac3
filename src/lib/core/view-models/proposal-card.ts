import { needsAttention, type Analysis } from '../checks';
import { formatDuration, positionChanges } from '../clock';
import type { CostParts, Proposal, Worth } from '../propose';
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
	/** What the class tells, in some lines. */
	story: string[];
	/** What it is worth or costs by the parts of the objective, the weightiest first; nothing that counts for nothing. */
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
const WORTH_WORDS: Partial<Record<keyof Worth['parts'], string>> = {
	prepared: 'what is intense is prepared',
	twoBefore: 'easier likenesses come first',
	linked: 'sides run in chains',
	theme: 'it keeps to its themes',
	returns: 'movements that come once',
	further: 'what comes back goes further',
	movedFirst: 'moved before held',
	noFarTravel: 'from the floor to the feet at once',
	carriedOver: 'themes go on in another position',
	noCopy: 'neighbours that do the same',
	opensEven: 'it opens on both sides',
	fewTissues: 'few tissues, enough of each',
	way: 'time on the way',
	peak: 'the peak is own strength for a purpose',
	sets: 'strength in sets',
	letsGo: 'something lets go after what is heavy',
	spoken: 'words and pauses',
	longChain: 'long chains',
	badLink: 'links that do not link',
	copyInARow: 'the same again at once',
	tooOften: 'too often the same',
	rests: 'rests in a row',
	aimless: 'resets after nothing heavy',
	hops: 'there and back again',
	travel: 'many changes of position',
	oneSided: 'few directions',
	kit: 'many kinds of kit'
};
/** Fewer points than this are not worth a line. */
const LEAST_POINTS = 0.05;

/** A proposed class as its card shows it. */
export function proposalCard(
	analysis: Analysis,
	proposed: Pick<Proposal, 'reasons' | 'parts' | 'worth' | 'story' | 'lostSeconds'>
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
		story: proposed.story,
		costs: pointsOf(proposed)
			.filter(({ points }) => Math.abs(points) >= LEAST_POINTS)
			.sort((a, b) => Math.abs(b.points) - Math.abs(a.points))
			.map(({ label, points }) => ({ label, points: points.toFixed(1) }))
	};
}

/** What each part counts: what a whole class is worth by it, or what a filled one costs. */
function pointsOf({ parts, worth }: Pick<Proposal, 'parts' | 'worth'>): { label: string; points: number }[] {
	if (worth)
		return (Object.keys(WORTH_WORDS) as (keyof Worth['parts'])[]).map((part) => ({
			label: WORTH_WORDS[part]!,
			points: worth.parts[part]
		}));
	if (!parts) return [];
	return (Object.keys(PART_WORDS) as (keyof CostParts)[]).map((part) => ({
		label: PART_WORDS[part],
		points: parts[part]
	}));
}
