import { EFFORT_BETWEEN } from '../training-load';
import { DIRECTIONS } from '../anatomy';
import { KIT_KINDS } from '../movement';
import { paceOf, type Pace } from '../pace';
import { SECTION_KINDS, type ClassPlan } from '../plan';
import { Doses, type SoftBand } from './doses';
import { Candidate, type Piece } from './candidate';
import { IS, SUM, type Facts } from './facts';
import { POINTS, JUMP, UNNOTICED } from './points';
import { SECTION_SHARE } from './roles';
import { Tally } from './tally';
import {
	CALM_UP_TO_INTENSITY,
	COSTS_SPORT_FROM_SECONDS,
	DEEP_FROM_INTENSITY,
	LONG_STRETCH_SECONDS,
	OPENING_ITEMS,
	WARM_AFTER_SECONDS
} from '../rules';
import { USUAL_WEIGHTS, type CostParts, type ProposeContext, type Weights, type Wishes } from './types';

const PEAK = SECTION_KINDS.indexOf('peak');
/** Sums of seconds are exact to this. */
const ROUNDING = 1e-6;
const SHARES = SECTION_KINDS.map((kind) => SECTION_SHARE[kind]);

/** What a class costs. Made once for a search: it keeps what is the same for every class that is looked at. */
export class Objective {
	looked = 0;
	/** The best doses, once somebody asks for them. */
	private dosing: Doses | null = null;
	/** One for all that is looked at: there are millions of them. */
	private readonly tally = new Tally();
	/** Of classes that are given as pieces. */
	private readonly draft: Candidate;
	/** How much the teacher gives on each part. */
	readonly weights: Weights;
	/** From each place to each: seconds of getting there and placing the kit. */
	private readonly between: Float64Array;
	/** By the bits of kit: seconds that the first fetching takes more than placing. */
	private readonly firstFetch: Float64Array;
	/** For each movement the number of the last class that it was seen in. */
	private readonly seen: Int32Array;
	/** For each movement the number of the last class in which others are compared with it. */
	private readonly done: Int32Array;
	/** Points of each movement for being in other proposals. */
	private readonly elsewhere: Float64Array;
	/** Whether anything depends on which movements there are, but for what they do. */
	private readonly asked: boolean;
	private readonly fillable: boolean[];
	/** The most intensity that can stand in the peak. */
	private readonly deepest: number;
	private readonly must: readonly number[];
	private readonly toward: number;
	private readonly mostNew: number;
	private readonly mostEffort: number;
	private readonly like: { has: Uint8Array; share: number } | null;
	private readonly shares: SoftBand[];

	constructor(
		readonly base: ClassPlan,
		/** All that pieces are made of. */
		readonly facts: Facts,
		private readonly wishes: Wishes,
		setting: ProposeContext,
		/** Movements of other proposals: to have many of them again costs variety. */
		others: readonly ReadonlySet<string>[] = []
	) {
		this.weights = { ...USUAL_WEIGHTS, ...wishes.weights };
		const { slugs, places, options } = facts;
		this.draft = new Candidate(this.facts);
		const pace = paceOf(setting.pace, base.pinnedPace);
		this.between = places.between(pace);
		this.firstFetch = firstFetchSeconds(pace);
		this.elsewhere = Float64Array.from(
			slugs,
			(slug) => POINTS.elsewhere * others.filter((other) => other.has(slug)).length
		);
		this.seen = new Int32Array(slugs.length).fill(-1);
		this.done = new Int32Array(slugs.length).fill(-1);
		this.fillable = SECTION_KINDS.map((kind) => options.some((option) => option.sections.has(kind)));
		this.deepest = options.reduce(
			(most, { sections, intensity }) => (sections.has('peak') ? Math.max(most, intensity) : most),
			0
		);
		this.must = (wishes.must ?? []).map((slug) => this.facts.idOf(slug));
		this.toward = wishes.toward === undefined ? -1 : this.facts.idOf(wishes.toward);
		this.mostNew = wishes.mostNew ?? Infinity;
		this.mostEffort = wishes.mostEffort ?? Infinity;
		const again = new Set(wishes.like?.movements);
		this.like = wishes.like
			? { has: Uint8Array.from(slugs, (slug) => (again.has(slug) ? 1 : 0)), share: wishes.like.share }
			: null;
		this.asked =
			others.length + this.must.length > 0 ||
			this.mostNew < Infinity ||
			wishes.toward !== undefined ||
			this.like !== null;
		const { directions, strength } = setting.group.targets;
		this.shares = [...DIRECTIONS.map((d) => directions[d]), strength].map(({ minPercent, maxPercent }) => ({
			min: minPercent / 100,
			max: maxPercent / 100
		}));
	}

	/** The best doses of the class that `leastOf` was asked about last. */
	get doses(): Doses {
		return (this.dosing ??= new Doses(this.facts, {
			lengthSeconds: this.base.lengthSeconds,
			directions: this.shares.slice(0, DIRECTIONS.length),
			strength: this.shares[DIRECTIONS.length]!,
			balance: this.weights.balance,
			mostEffort: this.mostEffort
		}));
	}

	/** What a class costs: what a search makes small. */
	cost(pieces: readonly Piece[]): number {
		this.draft.write(pieces);
		return this.costOf(this.draft);
	}

	/** Seconds that a class takes in all. */
	secondsOf(pieces: readonly Piece[]): number {
		this.cost(pieces);
		return this.draft.sums[SUM.total]! + this.tally.lost + this.tally.fetching;
	}

	/** Each part of the cost. */
	parts(pieces: readonly Piece[]): CostParts {
		this.draft.write(pieces);
		this.costOf(this.draft);
		return this.tally.parts(this.weights);
	}

	/**
	 * What a draft costs; where that is not under the limit, some number that is not under it either. Nothing takes
	 * points back, so the first look (sums) already sends most classes away, and the dearest one (all pairs) comes last.
	 * @param ways how many times getting from place to place counts
	 */
	costOf(draft: Candidate, limit = Infinity, ways = 1): number {
		const { tally } = this;
		this.looked += 1;
		tally.restart();
		this.countWays(draft, tally);
		this.countEmpty(tally);
		this.countShape(draft, tally);
		this.countBalance(draft, tally);
		return this.lookedAt(draft, limit, ways);
	}

	/**
	 * What a draft costs with the best doses that there are for its movements in their order, as if every dose could be
	 * given; where that is not under the limit, some number that is not under it either. Its own doses do not matter but for
	 * what has warmed people up.
	 */
	leastOf(draft: Candidate, limit = Infinity): number {
		const { tally, doses } = this;
		this.looked += 1;
		tally.restart();
		this.countWays(draft, tally);
		this.countEmpty(tally);
		doses.ask(draft, tally.getting);
		tally.rules += POINTS.secondOutOfReach * doses.outOfReach;
		const bound = doses.bound();
		const points = this.lookedAt(draft, limit - bound);
		return points + (points + bound >= limit ? bound : doses.least(limit - points));
	}

	/**
	 * What an option seems to add in a part between two others (-1 for none): its doses and what they do for balance and
	 * shape, and the way there and on. What it does beside others (pairs, order) is not asked. Below nothing where it helps.
	 */
	addedBy(option: number, section: number, before: number, after: number): number {
		const { between, facts } = this;
		const { enter, leave, places } = facts;
		const here = enter[option]!;
		let lost = 0;
		if (here >= 0) {
			const width = places.count;
			lost = between[((before < 0 ? -1 : leave[before]!) + 1) * width + here]!;
			if (after >= 0 && enter[after]! >= 0) lost += between[(leave[option]! + 1) * width + enter[after]!]!;
		}
		return this.doses.addedBy(option, section) + this.weights.flow * POINTS.lostSecond * lost;
	}

	/** What has been counted already with all that costs more to count, the dearest last; not on once over the limit. */
	private lookedAt(draft: Candidate, limit: number, ways = 1): number {
		const { tally, weights } = this;
		let points = tally.points(weights, ways);
		if (points >= limit) return points;
		this.countOrder(draft, tally);
		if (this.asked) this.countWishes(draft, tally);
		points = tally.points(weights, ways);
		if (points >= limit) return points;
		this.countPairs(draft, tally);
		return tally.points(weights, ways);
	}

	/** Getting from place to place with the kit, each kind of which is fetched once. */
	private countWays({ count, option, section }: Candidate, tally: Tally): void {
		const { between, firstFetch } = this;
		const { enter, enterKit, leave, places } = this.facts;
		const width = places.count;
		const { getting } = tally;
		getting.fill(0);
		let place = -1;
		let lost = 0;
		let fetching = 0;
		let fetched = 0;
		let filled = 0;
		for (let i = 0; i < count; i++) {
			filled |= 1 << section[i]!;
			const to = enter[option[i]!]!;
			if (to < 0) continue;
			// before the first piece nobody has to change position; what it asks for is placed
			const seconds = between[(place + 1) * width + to]!;
			const kit = enterKit[option[i]!]!;
			const more = firstFetch[kit & ~fetched]!;
			fetched |= kit;
			place = leave[option[i]!]!;
			lost += seconds;
			fetching += more;
			getting[section[i]!]! += seconds + more;
		}
		tally.lost = lost;
		tally.fetching = fetching;
		tally.filled = filled;
	}

	/** Parts that are empty though something could stand there. */
	private countEmpty(tally: Tally): void {
		const { fillable } = this;
		for (let s = 0; s < SHARES.length; s++)
			if (fillable[s] && !(tally.filled & (1 << s))) tally.rules += POINTS.emptySection;
	}

	/** The length of the class and of its parts, how much it asks for, and what was to be held long. */
	private countShape({ sums, parts }: Candidate, tally: Tally): void {
		tally.dose = sums[SUM.dosePoints]!;
		tally.shape = sums[SUM.idlePoints]!;
		const wanted = this.base.lengthSeconds;
		const { getting } = tally;
		const lost = tally.lost + tally.fetching;
		const total = sums[SUM.total]! + lost;
		const over = Math.max(0, sums[SUM.least]! + lost - wanted) + Math.max(0, wanted - sums[SUM.most]! - lost);
		tally.rules += POINTS.secondOff * Math.abs(total - wanted) + POINTS.secondOutOfReach * over;
		const whole = Math.max(1, total);
		for (let s = 0; s < SHARES.length; s++) {
			const seconds = parts[s]! + getting[s]!;
			const percentOff = 100 * Math.abs(seconds / whole - SHARES[s]!);
			tally.shape += POINTS.sectionPercentOff * Math.max(0, percentOff - UNNOTICED.sectionPercent);
		}
		const { firstSpared } = this.facts;
		for (let c = SUM.tissue; c < firstSpared; c++)
			tally.rules +=
				(POINTS.tissueShort * Math.max(0, LONG_STRETCH_SECONDS - sums[c]!)) / LONG_STRETCH_SECONDS;
		for (let c = firstSpared; c < sums.length; c++)
			if (sums[c]! >= COSTS_SPORT_FROM_SECONDS - ROUNDING) tally.rules += POINTS.hungBeforeSport;
		const effort = (sums[SUM.effort]! + EFFORT_BETWEEN * lost) / whole;
		if (effort > this.mostEffort) tally.rules += POINTS.effortOver * (effort - this.mostEffort);
	}

	private countBalance({ sums }: Candidate, tally: Tally): void {
		const { shares } = this;
		let all = 0;
		for (let d = 0; d < 6; d++) all += sums[SUM.direction + d]!;
		let off = 0;
		for (let d = 0; d < 6; d++) off += offBand(sums[SUM.direction + d]!, all, shares[d]!);
		const strengthOff = offBand(sums[SUM.strength]!, sums[SUM.work]!, shares[6]!);
		const points = POINTS.directionOff * off + POINTS.strengthOff * strengthOff;
		tally.balance = (100 * points) / this.base.lengthSeconds;
	}

	/** What must have come before, how intensity goes, and how often people rest. */
	private countOrder({ count, option, amount, section }: Candidate, tally: Tally): void {
		const { facts, seen, looked } = this;
		const { firstDose, firstMovement, firstPreparation } = facts;
		let warm = 0;
		let before = 0;
		let highest = 0;
		let highestInPeak = 0;
		let restedIn = -1;
		let rules = 0;
		let arc = 0;
		// bits of what has come already
		let had = 0;
		for (let i = 0; i < count; i++) {
			const at = option[i]!;
			const is = facts.is[at]!;
			const intensity = facts.intensity[at]!;
			const part = section[i]!;
			if (is & IS.deep && warm < WARM_AFTER_SECONDS) rules += POINTS.cold;
			if (firstPreparation[at + 1]! > firstPreparation[at]! && !this.prepared(at)) rules += POINTS.unprepared;
			if (is & IS.strong && had & IS.heavy) rules += POINTS.strongAfterHeavy;
			if (is & IS.holds && !(had & IS.moves)) rules += POINTS.heldBeforeMoved;
			if (i < OPENING_ITEMS && intensity > CALM_UP_TO_INTENSITY) rules += POINTS.steepOpening;
			const jump = i > 0 ? intensity - before : 0;
			if (jump > JUMP) arc += POINTS.jump * (jump - JUMP);
			if (part > PEAK && jump > 1) arc += POINTS.jump;
			if (is & IS.rests) {
				if (restedIn === part) rules += POINTS.restedTwice;
				restedIn = part;
			}
			if (is & IS.warms) warm += facts.workSeconds[firstDose[at]! + amount[i]!]!;
			had |= is;
			before = intensity;
			if (intensity > highest) highest = intensity;
			if (part === PEAK && intensity > highestInPeak) highestInPeak = intensity;
			for (let m = firstMovement[at]!; m < firstMovement[at + 1]!; m++) {
				const id = facts.movements[m]!;
				if (seen[id] === looked) tally.variety += POINTS.twice;
				seen[id] = looked;
			}
		}
		tally.rules += rules;
		if (highestInPeak < highest) arc += POINTS.peakElsewhere;
		tally.arc +=
			arc + POINTS.lowPeak * Math.max(0, Math.min(DEEP_FROM_INTENSITY, this.deepest) - highestInPeak);
	}

	/** Whether something that prepares an option has come already. */
	private prepared(option: number): boolean {
		const { firstPreparation, preparations } = this.facts;
		for (let p = firstPreparation[option]!; p < firstPreparation[option + 1]!; p++)
			if (preparations[p]! >= 0 && this.seen[preparations[p]!] === this.looked) return true;
		return false;
	}

	/** What was asked for by name, what is new, and what another class has too. */
	private countWishes({ count, option, section }: Candidate, tally: Tally): void {
		const { facts, like, seen, looked } = this;
		let fresh = 0;
		let named = 0;
		let again = 0;
		let towardInPeak = false;
		for (let i = 0; i < count; i++) {
			const at = option[i]!;
			if (facts.is[at]! & IS.fresh) fresh += 1;
			for (let m = facts.firstMovement[at]!; m < facts.firstMovement[at + 1]!; m++) {
				const id = facts.movements[m]!;
				named += 1;
				if (like) again += like.has[id]!;
				if (id === this.toward && section[i] === PEAK) towardInPeak = true;
				tally.variety += this.elsewhere[id]! / count;
			}
		}
		if (like) tally.variety += POINTS.unlike * Math.abs((named > 0 ? again / named : 0) - like.share);
		if (fresh > this.mostNew) tally.rules += POINTS.newOne * (fresh - this.mostNew);
		for (const id of this.must) if (id < 0 || seen[id] !== looked) tally.rules += POINTS.wishMissing;
		if (this.wishes.toward !== undefined && !towardInPeak) tally.rules += POINTS.wishMissing;
	}

	/** Movements that are alike, each pair once. */
	private countPairs({ count, option }: Candidate, tally: Tally): void {
		const { facts, done, looked } = this;
		const { firstAlike, alike, alikePoints } = facts;
		let points = 0;
		for (let i = 0; i < count; i++) {
			const id = facts.compared[option[i]!]!;
			if (id < 0) continue;
			for (let a = firstAlike[id]!; a < firstAlike[id + 1]!; a++)
				if (done[alike[a]!] === looked) points += alikePoints[a]!;
			done[id] = looked;
		}
		tally.variety += points;
	}
}

/** By the bits of kit: seconds that fetching it takes more than placing it. */
function firstFetchSeconds({ fetchSeconds, placeSeconds }: Pace): Float64Array {
	return Float64Array.from({ length: 1 << KIT_KINDS.length }, (_, bits) =>
		KIT_KINDS.reduce(
			(sum, kit, k) => sum + (bits & (1 << k) && kit !== 'wall space' ? fetchSeconds[kit] - placeSeconds : 0),
			0
		)
	);
}

/** Seconds outside a band of shares of a whole. */
function offBand(part: number, whole: number, { min, max }: SoftBand): number {
	return Math.max(0, min * whole - part, part - max * whole);
}
