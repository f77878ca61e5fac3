import { likeness } from '../adapt';
import { EFFORT_BETWEEN } from '../load';
import { DIRECTIONS } from '../anatomy';
import { KIT_KINDS, POSITIONS, type Movement } from '../movement';
import { moveSeconds, paceOf, type Pace } from '../pace';
import { PLAN_LIMITS, SECTION_KINDS, type ClassPlan } from '../plan';
import { factsOf, type Facts } from './facts';
import type { Option } from './options';
import { POINTS, LONG_SECONDS, WARM_SECONDS, JUMP, OPENING } from './points';
import { SECTION_SHARE } from './roles';
import { Tally } from './tally';
import { USUAL_WEIGHTS, type CostParts, type ProposeSetting, type Weights, type Wishes } from './types';

/** One block of a class that is being searched for: what, how much, and in which part. */
export interface Piece {
	option: Option;
	/** Index into the amounts of the option. */
	amount: number;
	/** Index into SECTION_KINDS; pieces stand in rising order of it. */
	section: number;
}

const REST = SECTION_KINDS.indexOf('rest');
const PEAK = SECTION_KINDS.indexOf('peak');

/** What a class costs. Made once for a search: it keeps what is the same for every class that is looked at. */
export class Objective {
	looked = 0;
	/** One for all evaluations: there are hundreds of thousands of them. */
	private readonly tally = new Tally();
	private readonly facts: readonly Facts[];
	private readonly weights: Weights;
	/** From each place to each: seconds of getting there with what has to be fetched. */
	private readonly between: Float64Array;
	private readonly places: number;
	/** Points of a pair of movements for being alike. */
	private readonly alike: Float64Array;
	private readonly movements: number;
	/** For each movement the number of the last class that it was seen in. */
	private readonly seen: Int32Array;
	/** Movements that the next one is compared with. */
	private readonly done: Int32Array;
	/** Points of each movement for being in other proposals. */
	private readonly elsewhere: Float64Array;
	private readonly fillable: boolean[];
	/** The most intensity that can stand in the peak. */
	private readonly deepest: number;
	private readonly must: readonly number[];
	private readonly toward: number;
	private readonly mostNew: number;
	private readonly mostEffort: number;
	/** How long the class that is looked at holds each tissue asked for. */
	private readonly longSeconds: Float64Array;
	private readonly like: { ids: ReadonlySet<number>; share: number } | null;
	private readonly shares: { min: number; max: number }[];

	/** @param options all that pieces are made of, each at its own index */
	constructor(
		readonly base: ClassPlan,
		options: readonly Option[],
		private readonly wishes: Wishes,
		setting: ProposeSetting,
		/** Movements of other proposals: to have many of them again costs variety. */
		others: readonly ReadonlySet<string>[] = []
	) {
		this.weights = { ...USUAL_WEIGHTS, ...wishes.weights };
		const slugs = [...new Set(options.flatMap((option) => option.movements))];
		const ids = new Map(slugs.map((slug, i) => [slug, i]));
		const places = new Places();
		const tissues = wishes.lengthen ?? [];
		this.facts = options.map((option) => factsOf(option, ids, (p, kit) => places.at(p, kit), tissues));
		this.places = places.count;
		this.between = places.between(paceOf(base.pace));
		this.movements = slugs.length;
		this.elsewhere = Float64Array.from(
			slugs,
			(slug) => POINTS.elsewhere * others.filter((other) => other.has(slug)).length
		);
		this.alike = alikePoints(slugs.map((slug) => setting.find(slug)!));
		this.seen = new Int32Array(slugs.length).fill(-1);
		this.done = new Int32Array(PLAN_LIMITS.blocks);
		this.fillable = SECTION_KINDS.map((kind) => options.some((option) => option.sections.has(kind)));
		this.deepest = options.reduce(
			(most, { sections, intensity }) => (sections.has('peak') ? Math.max(most, intensity) : most),
			0
		);
		const idOf = (slug: string) => ids.get(slug) ?? -1;
		this.must = (wishes.must ?? []).map(idOf);
		this.toward = wishes.toward === undefined ? -1 : idOf(wishes.toward);
		this.mostNew = wishes.mostNew ?? Infinity;
		this.mostEffort = wishes.mostEffort ?? Infinity;
		this.longSeconds = new Float64Array(tissues.length);
		this.like = wishes.like
			? { ids: new Set(wishes.like.movements.map(idOf)), share: wishes.like.share }
			: null;
		const { directions, strength } = setting.group.targets;
		this.shares = [...DIRECTIONS.map((d) => directions[d]), strength].map(({ minPercent, maxPercent }) => ({
			min: minPercent,
			max: maxPercent
		}));
	}

	/** The sum of all parts: what the search makes small. */
	cost(pieces: readonly Piece[]): number {
		const { balance, lost, variety, shape, arc, dose, rules } = this.count(pieces);
		const { weights } = this;
		return (
			weights.balance * balance +
			weights.flow * POINTS.lostSecond * lost +
			weights.variety * variety +
			shape +
			arc +
			dose +
			rules
		);
	}

	/** Each part of the cost. */
	parts(pieces: readonly Piece[]): CostParts {
		const { balance, lost, variety, shape, arc, dose, rules } = this.count(pieces);
		const { weights } = this;
		return {
			balance: weights.balance * balance,
			flow: weights.flow * POINTS.lostSecond * lost,
			variety: weights.variety * variety,
			shape,
			arc,
			dose,
			rules
		};
	}

	/** One pass over the pieces. */
	private count(pieces: readonly Piece[]): Tally {
		this.looked += 1;
		const { tally, facts } = this;
		tally.restart();
		this.longSeconds.fill(0);
		for (let i = 0; i < pieces.length; i++) {
			const { option, amount, section } = pieces[i]!;
			const fact = facts[option.index]!;
			const seconds = fact.workSeconds[amount]!;
			this.countTime(tally, fact, seconds, section);
			this.countOrder(tally, fact, seconds, section, i);
			tally.dose += fact.dosePoints[amount]!;
			if (section < REST) tally.shape += fact.idlePoints[amount]!;
			this.countContent(tally, fact, section, pieces.length);
		}
		this.countWishes(tally);
		this.countShape(tally);
		tally.balance = this.outside(tally);
		return tally;
	}

	/** Getting there, kit, everything around the work, and what the work gives to directions and strength. */
	private countTime(tally: Tally, fact: Facts, seconds: number, section: number): void {
		let between = 0;
		if (fact.enter >= 0) {
			// before the first piece nobody has to change position; what it asks for is fetched
			between = this.between[(tally.place + 1) * this.places + fact.enter]!;
			tally.place = fact.leave;
		}
		const around = between + fact.aroundSeconds;
		tally.lost += between;
		tally.total += around + seconds;
		tally.least += around + fact.leastSeconds;
		tally.most += around + fact.mostSeconds;
		tally.sections[section]! += around + seconds;
		const { direction } = tally;
		for (let d = 0; d < 6; d++) direction[d]! += fact.directions[d]! * seconds;
		if (!fact.rests) tally.work += seconds;
		tally.strength += fact.strengthens * seconds;
		const { longSeconds } = this;
		for (let w = 0; w < longSeconds.length; w++) longSeconds[w]! += fact.lengthens[w]! * seconds;
		tally.effort += fact.effort * seconds + EFFORT_BETWEEN * around;
	}

	/** What must have come before, how intensity goes, and how often people rest. */
	private countOrder(tally: Tally, fact: Facts, seconds: number, section: number, index: number): void {
		const { intensity } = fact;
		if (fact.deep && tally.warm < WARM_SECONDS) tally.rules += POINTS.cold;
		if (fact.preparations.length > 0 && !this.prepared(fact)) tally.rules += POINTS.unprepared;
		if (fact.strong && tally.heavy) tally.rules += POINTS.strongAfterHeavy;
		if (fact.holds && !tally.moved) tally.rules += POINTS.heldBeforeMoved;
		if (index < OPENING.items && intensity > OPENING.intensity) tally.rules += POINTS.steepOpening;
		const jump = index > 0 ? intensity - tally.before : 0;
		if (jump > JUMP) tally.arc += POINTS.jump * (jump - JUMP);
		if (section > PEAK && jump > 1) tally.arc += POINTS.jump;
		if (fact.rests) {
			if (tally.restedIn === section) tally.rules += POINTS.restedTwice;
			tally.restedIn = section;
		}
		if (fact.warms) tally.warm += seconds;
		if (fact.moves) tally.moved = true;
		if (fact.heavy) tally.heavy = true;
		tally.before = intensity;
		if (intensity > tally.highest) tally.highest = intensity;
		if (section === PEAK && intensity > tally.highestInPeak) tally.highestInPeak = intensity;
	}

	/** Which movements there are: twice, alike, new, in other proposals, in an earlier class. */
	private countContent(tally: Tally, fact: Facts, section: number, count: number): void {
		if (fact.isNew) tally.fresh += 1;
		const { ids, compared } = fact;
		for (let m = 0; m < ids.length; m++) {
			const id = ids[m]!;
			if (this.seen[id] === this.looked) tally.variety += POINTS.twice;
			this.seen[id] = this.looked;
			if (id === this.toward && section === PEAK) tally.towardInPeak = true;
			tally.named += 1;
			if (this.like?.ids.has(id)) tally.again += 1;
			tally.variety += this.elsewhere[id]! / count;
		}
		if (compared < 0) return;
		const row = compared * this.movements;
		const { done, alike } = this;
		let sum = 0;
		for (let j = 0; j < tally.compared; j++) sum += alike[row + done[j]!]!;
		tally.variety += sum;
		done[tally.compared++] = compared;
	}

	private countWishes(tally: Tally): void {
		if (this.like) {
			const share = tally.named > 0 ? tally.again / tally.named : 0;
			tally.variety += POINTS.unlike * Math.abs(share - this.like.share);
		}
		for (const held of this.longSeconds)
			tally.rules += (POINTS.tissueShort * Math.max(0, LONG_SECONDS - held)) / LONG_SECONDS;
		const over = tally.total > 0 ? tally.effort / tally.total - this.mostEffort : 0;
		if (over > 0) tally.rules += POINTS.effortOver * over;
		if (tally.fresh > this.mostNew) tally.rules += POINTS.newOne * (tally.fresh - this.mostNew);
		for (const id of this.must)
			if (id < 0 || this.seen[id] !== this.looked) tally.rules += POINTS.wishMissing;
		if (this.wishes.toward !== undefined && !tally.towardInPeak) tally.rules += POINTS.wishMissing;
	}

	/** The length of the class and of its parts, and the height of its peak. */
	private countShape(tally: Tally): void {
		const wanted = this.base.lengthSeconds;
		const { total, least, most } = tally;
		tally.rules += POINTS.secondOff * Math.abs(total - wanted);
		tally.rules += POINTS.secondOutOfReach * (Math.max(0, least - wanted) + Math.max(0, wanted - most));
		if (tally.highestInPeak < tally.highest) tally.arc += POINTS.peakElsewhere;
		tally.arc += POINTS.lowPeak * Math.max(0, Math.min(4, this.deepest) - tally.highestInPeak);
		for (let s = 0; s < 6; s++) {
			const seconds = tally.sections[s]!;
			if (seconds === 0 && this.fillable[s]) tally.rules += POINTS.emptySection;
			const off = Math.abs(seconds / Math.max(1, total) - SECTION_SHARE[SECTION_KINDS[s]!]);
			tally.shape += POINTS.sectionPercentOff * 100 * off;
		}
	}

	private outside({ direction, work, strength }: Tally): number {
		let all = 0;
		for (let d = 0; d < 6; d++) all += direction[d]!;
		let seconds = 0;
		for (let d = 0; d < 6; d++) seconds += offBand(direction[d]!, all, this.shares[d]!);
		const points =
			POINTS.directionOff * seconds + POINTS.strengthOff * offBand(strength, work, this.shares[6]!);
		return (100 * points) / this.base.lengthSeconds;
	}

	private prepared({ preparations }: Facts): boolean {
		for (let i = 0; i < preparations.length; i++)
			if (preparations[i]! >= 0 && this.seen[preparations[i]!] === this.looked) return true;
		return false;
	}
}

/** Body positions with the kit at hand there, numbered as they come. */
class Places {
	private readonly all: { position: number; kit: number }[] = [];

	get count(): number {
		return this.all.length;
	}

	at(position: number, kit: number): number {
		const known = this.all.findIndex((place) => place.position === position && place.kit === kit);
		return known >= 0 ? known : this.all.push({ position, kit }) - 1;
	}

	/** Seconds to each place, row by row: from nowhere yet, then from each place. */
	between(pace: Pace): Float64Array {
		const fetchSeconds = (missing: number) =>
			Math.round(
				KIT_KINDS.reduce((sum, kit, k) => sum + (missing & (1 << k) ? pace.fetchSeconds[kit] : 0), 0)
			);
		const rows = [null, ...this.all].map((from) =>
			this.all.map((to) => {
				const going = from
					? Math.round(moveSeconds(pace, POSITIONS[from.position]!, POSITIONS[to.position]!))
					: 0;
				return going + fetchSeconds(to.kit & ~(from?.kit ?? 0));
			})
		);
		return Float64Array.from(rows.flat());
	}
}

/** For each pair of movements the points that their likeness costs; 0 for the same one, which is counted as given twice. */
function alikePoints(movements: readonly Movement[]): Float64Array {
	const points = new Float64Array(movements.length ** 2);
	for (let a = 0; a < movements.length; a++)
		for (let b = 0; b < a; b++) {
			// what is alike in one direction (it needs no more kit) counts, whichever comes first
			const score = Math.max(
				likeness(movements[a]!, movements[b]!).score,
				likeness(movements[b]!, movements[a]!).score
			);
			const over = score - POINTS.alikeFrom;
			if (over > 0) points[a * movements.length + b] = points[b * movements.length + a] = POINTS.alike * over;
		}
	return points;
}

/** Seconds outside a band of shares (percent) of a whole. */
function offBand(part: number, whole: number, { min, max }: { min: number; max: number }): number {
	return Math.max(0, (min / 100) * whole - part, part - (max / 100) * whole);
}
