import { DIRECTIONS, type Direction } from '../../anatomy';
import { formOf } from '../../movement';
import { paceOf } from '../../pace';
import { itemsIn, itemsOf, slugsOf, type ClassPlan } from '../../plan';
import { styleOf } from '../../style';
import { optionsFor } from '../pool/options';
import { seededRandom, type Random } from '../pool/random';
import { stationOf, type Station } from '../pool/stations';
import { Attempts, grave, isOffRange, type Composed } from './attempts';
import { mustOf, USUAL_WEIGHTS, type ProposeContext, type Wishes } from '../pool/types';
import type { Task } from './task';
import { keepOf } from './kept';
import { candidatesOf, GIVES_FROM, isGentle } from './candidates';
import { canBuild, LineBook } from './line-book';
import { buildPools, type CandidatePools } from './pools';
import { closingSecondsOf, storyOf, type Story } from './story';
import { THEMES, type Theme } from './themes';
import { ANY_WAY, peakStation, stationsOf, WAY_PARTS, waysFor, type Way } from './ways';
import { workedBySport } from './way-loss';
import { drawWordSeconds, wordSeconds, type WordSeconds } from './write';

/** Budget of the search for each class: steps for the rough draft, then restarts and steps of annealing. */
export interface SearchBudget {
	roughSteps: number;
	starts: number;
	steps: number;
	/** Classes that are begun anew while all of them have something to fix. */
	mostStarts: number;
}
export const USUAL_WORK: SearchBudget = { roughSteps: 600, starts: 1, steps: 8000, mostStarts: 6 };
/** From this share of an earlier class on it is nearly the same class. */
const NEARLY_ALL = 0.9;
/** From this wished share of an earlier class on a class goes the way of that class. */
const ALIKE = 0.4;
const isAlike = ({ like }: Wishes): boolean => (like?.share ?? 0) >= ALIKE;
/** From this length on a class is at more than one station. Common practice, no source. */
const SEVERAL_STATIONS_FROM_SECONDS = 2100;
/** At most this part of what stands in a class already may lie off its way. */
const MOST_OFF = 0.25;
/** A way may bring back this many movements fewer than the best. */
const NEARLY_AS_MANY = 1;

/**
 * Puts together whole classes round what stands in the plan already, each about something else: a rough one at once, then
 * better ones, `done` the last of each. The same seed gives the same classes.
 */
export function* compose(
	base: ClassPlan,
	wishes: Wishes,
	context: ProposeContext,
	seed: number,
	count: number,
	work: SearchBudget = USUAL_WORK
): Generator<{ number: number; done: boolean; composed: Composed }> {
	const composer = new Composer(base, wishes, context, seed);
	for (let number = 0; number < count; number++) {
		const one = composer.begin(number);
		let best = one.attempt(work.roughSteps);
		yield { number, done: false, composed: best };
		for (let start = 0; start < work.mostStarts; start++) {
			if (start >= work.starts && grave(best.analysis) === 0 && !isOffRange(best.analysis, wishes.effort))
				break;
			const found = one.attempt(work.steps);
			if (found.points <= best.points) continue;
			best = found;
			yield { number, done: false, composed: best };
		}
		composer.isDone(best);
		yield { number, done: true, composed: best };
	}
}

/** Everything that several classes for one group have in common. */
class Composer {
	private readonly style;
	private readonly asked: ReadonlySet<string>;
	private readonly book: LineBook;
	private readonly kinds;
	private readonly known: ReadonlySet<string> | null;
	private readonly withinReach: ReadonlySet<Theme>;
	private readonly ways: readonly Way[];
	private readonly others: ReadonlySet<string>[] = [];
	private readonly taken = new Set<Theme>();

	constructor(
		private readonly base: ClassPlan,
		private readonly wishes: Wishes,
		private readonly context: ProposeContext,
		private readonly seed: number
	) {
		this.style = styleOf(base.style);
		const there = slugsOf(base);
		// parts that are closed are not put into, but what lets go between is wanted everywhere
		const options = optionsFor(base, { ...wishes, only: undefined }, context);
		const { candidates, kinds } = candidatesOf(options, wishes, context, there);
		this.kinds = kinds;
		this.book = new LineBook(candidates);
		this.asked = new Set([...there, ...mustOf(wishes)]);
		const known = context.known ? new Set(context.known.slugs) : null;
		this.known = known;
		/** Candidates that the group knows or the teacher asked for; all of them where new movements are welcome. */
		const met =
			known && wishes.mostNew !== undefined
				? new LineBook(
						candidates.filter(
							({ traits: { movement } }) => known.has(movement.slug) || this.asked.has(movement.slug)
						)
					)
				: this.book;
		const anywhere = stationsOf(ANY_WAY, 'build', 0, 1);
		this.withinReach = new Set(
			THEMES.filter(
				(theme) =>
					canBuild(met, theme, anywhere, base.lengthSeconds, null) && met.lines(theme, 'peak').length > 0
			)
		);
		this.ways = this.suitableWays();
	}

	/** Ways on which everything that stands there or is asked for has its place; where there are none, any. */
	private suitableWays(): readonly Way[] {
		const { wishes, context, book } = this;
		const stations = new Set(book.candidates.map(({ station }) => station));
		const toward = wishes.toward
			? new Set(book.find({ slug: wishes.toward }, () => true).map(({ station }) => station))
			: null;
		const ways = waysFor(context.group, this.style, (station: Station) => stations.has(station)).filter(
			(way) => !toward?.size || toward.has(peakStation(way))
		);
		if (!ways.length) return [ANY_WAY];
		return this.alongWays(this.variedWays(ways));
	}

	/** Without those that stay at one station, for a class that is too long for that. */
	private variedWays(ways: readonly Way[]): readonly Way[] {
		const varied = ways.filter((way) => new Set(WAY_PARTS.flatMap((part) => way[part])).size > 1);
		return this.base.lengthSeconds >= SEVERAL_STATIONS_FROM_SECONDS && varied.length ? varied : ways;
	}

	/** The ways that suit what stands in the class, what is wanted more and the class before. */
	private alongWays(ways: readonly Way[]): readonly Way[] {
		const { wishes } = this;
		if (itemsOf(this.base).length > 0) return this.waysRound(ways);
		if (wishes.like && wishes.like.share >= NEARLY_ALL) return [ANY_WAY];
		const giving = this.waysGiving(ways, wishes.more ?? []);
		return isAlike(wishes) ? this.nearestWays(giving, wishes.like!.movements) : giving;
	}

	/** The ways that lead past what stands in the class already; any where too much of it lies off each. */
	private waysRound(ways: readonly Way[]): readonly Way[] {
		const there = this.base.sections.flatMap(({ kind, blocks }) =>
			blocks.flatMap(itemsIn).map((item) => {
				const movement = this.context.find(item.movement)!;
				return { kind, station: stationOf(movement, formOf(movement, item.form)!) };
			})
		);
		const off = ways.map(
			(way) => there.filter(({ kind, station }) => !stationsOf(way, kind, 0, 1).includes(station)).length
		);
		const fewest = Math.min(...off);
		return fewest > MOST_OFF * there.length ? [ANY_WAY] : ways.filter((_, i) => off[i] === fewest);
	}

	/** The ways on which most of some directions can be given in the build. */
	private waysGiving(ways: readonly Way[], directions: readonly Direction[]): readonly Way[] {
		if (directions.length === 0) return ways;
		const stationsWith = directions.map((direction) => {
			const at = DIRECTIONS.indexOf(direction);
			const giving = this.book.candidates.filter(
				({ traits, sections }) => sections.has('build') && traits.directions[at]! >= GIVES_FROM
			);
			return new Set(giving.map(({ station }) => station));
		});
		const given = ways.map(
			(way) =>
				stationsWith.filter((stations) => stationsOf(way, 'build', 0, 1).some((s) => stations.has(s))).length
		);
		const most = Math.max(...given);
		return ways.filter((_, i) => given[i] === most);
	}

	/** The ways on which most of some movements can come again. */
	private nearestWays(ways: readonly Way[], movements: readonly string[]): readonly Way[] {
		const shared = ways.map((way) => {
			const stations = new Set(WAY_PARTS.flatMap((part) => way[part]));
			return movements.filter(
				(slug) => this.book.find({ slug }, ({ station }) => stations.has(station)).length
			).length;
		});
		const least = Math.max(...shared) - NEARLY_AS_MANY;
		return ways.filter((_, i) => shared[i]! >= least);
	}

	/** Begins the class of a number. */
	begin(number: number): Attempts {
		const { base, wishes, context, seed, style, book, taken } = this;
		const random = seededRandom(seed + 7919 * number + hashOf(context.group.name));
		const { group } = context;
		const story = storyOf(
			{
				group,
				number: seed + number,
				book,
				ways: this.ways,
				withinReach: this.withinReach,
				style,
				flowing: paceOf(context.pace, base.pinnedPace).classKind === 'flow',
				lengthSeconds: base.lengthSeconds,
				taken,
				more: wishes.more ?? [],
				...(wishes.purpose ? { purpose: wishes.purpose } : {}),
				about: new Set([
					...this.asked,
					// much of a class again is about the same
					...(isAlike(wishes) ? wishes.like!.movements : [])
				])
			},
			random
		);
		if (story.themes[0]) taken.add(story.themes[0]);
		const pools = buildPools(book, {
			themes: story.themes,
			way: story.way,
			flows: story.flows,
			classSeconds: base.lengthSeconds,
			asked: new Set([...this.asked, ...(isAlike(wishes) ? wishes.like!.movements : [])]),
			known: wishes.mostNew === undefined ? null : this.known,
			gentle: isGentle(group),
			lengthens: [...(wishes.lengthen ?? []), ...workedBySport(group)],
			lastTime: new Set(wishes.lastTime),
			closingSeconds: closingSecondsOf(group, style, base.lengthSeconds),
			random
		});
		const words = drawWordSeconds(base.lengthSeconds, random);
		return new Attempts(
			base,
			wishes,
			context,
			this.taskFor(story, pools, words, random),
			pools,
			words,
			random
		);
	}

	/** Remembers a class that is finished: the next ones are to be others. */
	isDone({ analysis }: Composed): void {
		this.others.push(new Set(analysis.context.items.map(({ movement }) => movement.slug)));
	}

	private taskFor(story: Story, pools: CandidatePools, words: WordSeconds, random: Random): Task {
		const { base, wishes, context, style, kinds, known, others } = this;
		const keep = keepOf(base, wishes.only, context, kinds, story);
		const strong = pools.peak.flatMap(({ parts }) => parts.flat()).filter(({ traits }) => traits.strong);
		return {
			group: context.group,
			style,
			story,
			keep,
			targets: context.targets,
			purposes: new Set(context.group.purposes),
			kinds,
			mostDemand: Math.max(0, ...strong.map(({ traits }) => traits.demand)),
			classSeconds: base.lengthSeconds,
			lengthSeconds:
				base.lengthSeconds - keep.fixedSeconds - wordSeconds(base, keep, story.themes.length, words),
			wishes: { ...wishes, weights: { ...USUAL_WEIGHTS, ...wishes.weights } },
			known,
			avoids: Array.from({ length: kinds.count }, () => random()),
			others
		};
	}
}

/** Whole number of a name, so that two groups do not get the same for one seed. */
function hashOf(name: string): number {
	let hash = 0;
	for (let i = 0; i < name.length; i++) hash = (Math.imul(hash, 31) + name.charCodeAt(i)) | 0;
	return hash;
}
