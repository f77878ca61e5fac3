import { needsAttention } from '../checks';
import { type Analysis } from '../analysis';
import { formatDuration, positionChanges } from '../clock';
import type { Proposal, Worth } from '../propose';
import { SECTION_NAME } from '../plan';
import { percentOf } from './before-after';
import { miniScore, type MiniScore } from './mini-score';
import { livedLines } from './lived-view';
import { classRing, type RingSector } from './ring';
import { score } from './score';

/** A proposed class as it is shown beside others. */
export interface ProposalCard {
	/** Subject of the class: "Standing strength, then long fronts of the hip". */
	about: string;
	/** Its way up and down, in small. */
	mini: MiniScore;
	ring: RingSector[];
	total: string;
	/** Figures that are compared, in the teacher's words. */
	figures: { label: string; value: string }[];
	sections: {
		name: string;
		items: { id: string; name: string; because: string }[];
	}[];
	/** Story of the class after that, a few lines. */
	story: string[];
	/** The class as each kind of people lives it, one line each. */
	lived: string[];
	/** Score by the parts of the objective, largest first; parts without effect are missing. */
	costs: { label: string; points: string }[];
}

const PART_WORDS: Record<keyof Worth['parts'], string> = {
	prepared: 'intense shapes are prepared',
	twoBefore: 'easier similar shapes come first',
	linked: 'sides in chains',
	theme: 'it keeps to its themes',
	returns: 'movements that come once',
	further: 'second visits go deeper',
	movedFirst: 'moved before held',
	levelChanges: 'from the floor to the feet at once',
	carriedOver: 'themes go on in another position',
	noCopy: 'neighbours with the same effect',
	opensSymmetrical: 'it opens on both sides',
	tissueFocus: 'enough time for each tissue',
	transitionShare: 'time in transitions',
	peak: 'the peak is strength for a purpose',
	sets: 'strength in sets',
	released: 'a release follows heavy work',
	cueCoverage: 'words and pauses',
	longChain: 'long chains',
	badLink: 'links without a connection',
	copyInARow: 'the same twice in a row',
	tooOften: 'too many repeats',
	rests: 'rests in a row',
	pointlessResets: 'resets after nothing heavy',
	backAndForth: 'back and forth',
	travel: 'many changes of position',
	oneSided: 'few directions',
	kit: 'many kinds of kit'
};
/** Fewer points than this are not worth a line. */
const LEAST_POINTS = 0.05;

/** A proposed class as its card shows it; `done` once it is no longer improved. */
export function proposalCard(
	analysis: Analysis,
	proposed: Pick<Proposal, 'about' | 'reasons' | 'worth' | 'story' | 'lostSeconds'>,
	done: boolean
): ProposalCard {
	const { timeline, context, orbit, balance, findings } = analysis;
	const why = new Map(proposed.reasons.map((reason) => [reason.itemId, reason]));
	return {
		about: proposed.about,
		mini: miniScore(score(analysis)),
		ring: classRing(orbit, balance),
		total: formatDuration(timeline.totalSeconds),
		figures: [
			{ label: 'items', value: String(context.items.length) },
			{ label: 'between blocks', value: formatDuration(proposed.lostSeconds) },
			{ label: 'changes of position', value: String(positionChanges(timeline)) },
			{ label: 'share of strength work', value: percentOf(balance.strength.share) },
			{ label: 'to fix', value: String(findings.filter(needsAttention).length) }
		],
		sections: context.plan.sections
			.filter((section) => section.blocks.length > 0)
			.map((section) => ({
				name: SECTION_NAME[section.kind],
				items: context.items
					.filter((taught) => taught.section === section)
					.map(({ item, movement }) => ({
						id: item.id,
						name: movement.english,
						because: why.get(item.id)?.because.join('; ') ?? ''
					}))
			})),
		// the first line says what it is about
		story: proposed.story.slice(1),
		// it takes a reading for each kind of people: once the class stands
		lived: done ? livedLines(analysis) : [],
		costs: (Object.keys(PART_WORDS) as (keyof Worth['parts'])[])
			.map((part) => ({ label: PART_WORDS[part], points: proposed.worth.parts[part] }))
			.filter(({ points }) => Math.abs(points) >= LEAST_POINTS)
			.sort((a, b) => Math.abs(b.points) - Math.abs(a.points))
			.map(({ label, points }) => ({ label, points: points.toFixed(1) }))
	};
}
