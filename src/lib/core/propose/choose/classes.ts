import type { TimedItem } from '../../clock';
import { lostSeconds } from '../../ordering';
import { setsOf, type ClassPlan, type SectionKind } from '../../plan';
import { isReset } from '../../rules';
import { compose, type Composed, type SearchBudget } from '../compose';
import { movementSimilarity, demandOf, MODE_RANK, worthOf } from '../model';
import { listed, sentence } from '../../text';
import type { Proposal, ProposeContext, Wishes } from '../pool/types';
import { stationOf, type Station } from '../pool/stations';
import { because } from './why';

/** A request to the planner. */
export interface ClassRequest {
	/** The class so far: it stays as it is, and the planner fills in the rest. */
	base: ClassPlan;
	wishes: Wishes;
	context: ProposeContext;
	seed: number;
	count?: number;
	work?: SearchBudget;
}

/**
 * Proposes classes, each with a story of its own. Yields the best so far whenever there is a better one (`done` false), and
 * each class when it is finished.
 */
export function* proposeClasses({
	base,
	wishes,
	context,
	seed,
	count = 3,
	work
}: ClassRequest): Generator<{ number: number; done: boolean; proposal: Proposal }> {
	for (const { number, done, composed } of compose(base, wishes, context, seed, count, work))
		yield { number, done, proposal: proposalOf(composed, base, wishes, context) };
}

function proposalOf(composed: Composed, base: ClassPlan, wishes: Wishes, context: ProposeContext): Proposal {
	const { plan, analysis } = composed;
	return {
		plan,
		analysis,
		worth: worthOf(plan, context.find, context.group, context.pace),
		about: sentence(composed.story.words),
		story: storyLines(composed),
		reasons: analysis.context.items.map((taught, index) => ({
			itemId: taught.item.id,
			because: because(taught, index, analysis, wishes, base).slice(0, 3)
		})),
		lostSeconds: lostSeconds(plan, context.find, context.pace)
	};
}

/** From this likeness on something leads up to something else. */
const LEADS_FROM = 0.5;
/** Most movements named in one line. */
const NAMED = 3;

const demand = ({ form, item }: TimedItem) => demandOf(form, item.mode);

/** Whether a movement goes further than where it was before: harder, held where it moved, or in more sets. */
const isFurther = (before: TimedItem, now: TimedItem): boolean =>
	demand(now) > demand(before) ||
	MODE_RANK[now.item.mode] > MODE_RANK[before.item.mode] ||
	setsOf(now.item.dose) > setsOf(before.item.dose);

/** Where a class begins, in words. */
const WHERE: Record<Station, string> = {
	back: 'lying on the back',
	front: 'lying on the front',
	side: 'lying on the side',
	seat: 'sitting',
	'all fours': 'on hands and knees',
	knees: 'kneeling',
	chair: 'on a chair',
	feet: 'standing'
};
const whereIs = ({ movement, form }: TimedItem): string => WHERE[stationOf(movement, form)];

const namesOf = (list: readonly TimedItem[]): string[] => [
	...new Set(list.map(({ movement }) => movement.english))
];

/** Returns the class in five sentences, as it really is: how it begins, builds up, peaks, returns and ends. */
function storyLines({ analysis, plan }: Composed): string[] {
	const { items } = analysis.context;
	const inPart = (kind: SectionKind) => items.filter(({ section }) => section.kind === kind);
	const works = (list: readonly TimedItem[]) => list.filter((one) => !isReset(one.movement));
	const lines: string[] = [];
	const [first] = items;
	const moving = namesOf(inPart('warm').filter(({ item }) => item.mode === 'dynamic')).slice(0, NAMED);
	if (first)
		lines.push(
			`Begins ${whereIs(first)}${moving.length ? ` and wakes the hips with ${listed(moving)}` : ''}.`
		);
	for (const [i, episode] of episodesIn(plan, items).entries()) {
		const names = namesOf(works(episode)).slice(0, NAMED);
		const places = [...new Set(works(episode).map(whereIs))];
		const where = places.length === 1 ? ` ${places[0]}` : '';
		if (names.length) lines.push(`${i ? 'Then' : 'Builds up'}${where}: ${listed(names)}.`);
	}
	const peak = inPart('peak');
	const hardest = peak.find((taught) => peak.every((other) => demand(other) <= demand(taught)));
	if (hardest) lines.push(peakLine(hardest, items));
	const release = namesOf(inPart('release').filter(({ item }) => item.mode !== 'dynamic')).slice(0, NAMED);
	const last = items.at(-1);
	if (last)
		lines.push(
			`Lets go${release.length ? ` with ${listed(release)}` : ''} and ends with ${last.movement.english}.`
		);
	return lines;
}

/** The items of the build, parted where something is said. */
function episodesIn(plan: ClassPlan, items: readonly TimedItem[]): TimedItem[][] {
	const episodes: TimedItem[][] = [[]];
	for (const block of plan.sections.find(({ kind }) => kind === 'build')?.blocks ?? [])
		if (block.kind === 'talk') episodes.push([]);
		else episodes.at(-1)!.push(...items.filter(({ blockId }) => blockId === block.id));
	return episodes.filter((episode) => episode.length > 0);
}

/** Returns the sentence about the peak: its hardest thing, what leads up to it, and whether it came before, easier. */
function peakLine(hardest: TimedItem, items: readonly TimedItem[]): string {
	const before = items.slice(0, items.indexOf(hardest));
	const leading = namesOf(
		before.filter(
			({ movement }) =>
				movement !== hardest.movement && movementSimilarity(movement, hardest.movement) >= LEADS_FROM
		)
	).slice(-NAMED);
	const again = before.some((one) => one.movement === hardest.movement && isFurther(one, hardest));
	return `Comes to ${hardest.movement.english}${again ? ', further than before' : ''}${
		leading.length ? `, led up to by ${listed(leading)}` : ''
	}.`;
}
