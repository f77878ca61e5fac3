import { likeness } from '../adapt';
import { EFFORT_BETWEEN } from '../load';
import { DIRECTIONS, type Tissue } from '../anatomy';
import { KIT_KINDS, POSITIONS, type Movement } from '../movement';
import { moveSeconds, paceOf } from '../pace';
import { PLAN_LIMITS, SECTION_KINDS, type ClassPlan } from '../plan';
import type { Option } from './options';
import { POINTS, LONG_SECONDS, WARM_SECONDS, IDLE_SECONDS, BRIEF_SECONDS, JUMP, OPENING } from './points';
import { SECTION_SHARE } from './roles';
import { newTally, restarted, type Tally } from './tally';
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
	private readonly tally = newTally();
	private readonly weights: Weights;
	private readonly move: number[][];
	private readonly fetch: number[];
	private readonly ids: Map<string, number>;
	/** Points of a pair of movements for being alike. */
	private readonly alike: Float64Array;
	private readonly movements: number;
	private readonly seen: Int32Array;
	/** Movements that the next one is compared with. */
	private readonly done: Int32Array;
	/** In how many other proposals each movement is. */
	private readonly elsewhere: Uint8Array;
	private readonly fillable: boolean[];
	/** The most intensity that can stand in the peak. */
	private readonly deepest: number;
	private readonly must: readonly number[];
	private readonly toward: number;
	private readonly mostNew: number;
	private readonly mostEffort: number;
	/** Tissues asked for, and how long the class that is looked at holds each. */
	private readonly lengthen: readonly Tissue[];
	private readonly longSeconds: Float64Array;
	private readonly like: { ids: ReadonlySet<number>; share: number } | null;
	private readonly shares: { min: number; max: number }[];

	constructor(
		readonly base: ClassPlan,
		options: readonly Option[],
		private readonly wishes: Wishes,
		setting: ProposeSetting,
		/** Movements of other proposals: to have many of them again costs variety. */
		others: readonly ReadonlySet<string>[] = []
	) {
		const pace = paceOf(base.pace);
		this.weights = { ...USUAL_WEIGHTS, ...wishes.weights };
		this.move = POSITIONS.map((from) => POSITIONS.map((to) => Math.round(moveSeconds(pace, from, to))));
		this.fetch = KIT_KINDS.map((kit) => pace.fetchSeconds[kit]);
		const slugs = [...new Set(options.flatMap((option) => option.movements))];
		this.ids = new Map(slugs.map((slug, i) => [slug, i]));
		this.movements = slugs.length;
		this.elsewhere = Uint8Array.from(slugs, (slug) => others.filter((other) => other.has(slug)).length);
		this.alike = alikePoints(slugs.map((slug) => setting.find(slug)!));
		this.seen = new Int32Array(slugs.length).fill(-1);
		this.done = new Int32Array(PLAN_LIMITS.blocks);
		this.fillable = SECTION_KINDS.map((kind) => options.some((option) => option.sections.has(kind)));
		this.deepest = options.reduce(
			(most, { sections, intensity }) => (sections.has('peak') ? Math.max(most, intensity) : most),
			0
		);
		this.must = (wishes.must ?? []).map((slug) => this.ids.get(slug) ?? -1);
		this.toward = wishes.toward === undefined ? -1 : (this.ids.get(wishes.toward) ?? -1);
		this.mostNew = wishes.mostNew ?? Infinity;
		this.mostEffort = wishes.mostEffort ?? Infinity;
		this.lengthen = wishes.lengthen ?? [];
		this.longSeconds = new Float64Array(this.lengthen.length);
		this.like = wishes.like
			? {
					ids: new Set(wishes.like.movements.map((slug) => this.ids.get(slug) ?? -1)),
					share: wishes.like.share
				}
			: null;
		const { directions, strength } = setting.group.targets;
		this.shares = [...DIRECTIONS.map((d) => directions[d]), strength].map(({ minPercent, maxPercent }) => ({
			min: minPercent,
			max: maxPercent
		}));
	}

	/** The sum of all parts: what the search makes small. */
	cost(pieces: readonly Piece[]): number {
		const p = this.parts(pieces);
		return p.balance + p.flow + p.variety + p.shape + p.arc + p.dose + p.rules;
	}

	/** One pass over the pieces. */
	parts(pieces: readonly Piece[]): CostParts {
		this.looked += 1;
		const tally = restarted(this.tally);
		this.longSeconds.fill(0);
		for (let i = 0; i < pieces.length; i++) {
			const piece = pieces[i]!;
			this.countTime(tally, piece);
			this.countOrder(tally, piece, i);
			this.countDose(tally, piece);
			this.countContent(tally, piece, pieces.length);
		}
		this.countWishes(tally);
		this.countShape(tally);
		const { weights } = this;
		return {
			balance: weights.balance * this.outside(tally.direction, tally.work, tally.strength),
			flow: weights.flow * POINTS.lostSecond * tally.lost,
			variety: weights.variety * tally.variety,
			shape: tally.shape,
			arc: tally.arc,
			dose: tally.dose,
			rules: tally.rules
		};
	}

	/** Getting there, kit, everything around the work, and what the work gives to directions and strength. */
	private countTime(tally: Tally, { option, amount, section }: Piece): void {
		const seconds = option.workSeconds[amount]!;
		let between = 0;
		if (option.enter >= 0) {
			if (tally.position >= 0) between += this.move[tally.position]![option.enter]!;
			const missing = option.enterKit & ~tally.kit;
			if (missing !== 0) between += this.fetchSeconds(missing);
			tally.position = option.leave;
			tally.kit = option.leaveKit;
		}
		const around = between + option.aroundSeconds;
		tally.lost += between;
		tally.total += around + seconds;
		tally.least += around + option.workSeconds[0]!;
		tally.most += around + option.workSeconds[option.workSeconds.length - 1]!;
		tally.sections[section]! += around + seconds;
		for (let d = 0; d < 6; d++) tally.direction[d]! += option.directions[d]! * seconds;
		if (!option.rests) tally.work += seconds;
		tally.strength += option.strengthens * seconds;
		for (let w = 0; w < this.lengthen.length; w++)
			this.longSeconds[w]! += (option.lengthens.get(this.lengthen[w]!) ?? 0) * seconds;
		tally.effort += option.effort * seconds + EFFORT_BETWEEN * around;
	}

	/** What must have come before, how intensity goes, and how often people rest. */
	private countOrder(tally: Tally, { option, amount, section }: Piece, index: number): void {
		const { intensity } = option;
		const seconds = option.workSeconds[amount]!;
		if (option.deep && tally.warm < WARM_SECONDS) tally.rules += POINTS.cold;
		if (option.preparationIds.length > 0 && !this.prepared(option)) tally.rules += POINTS.unprepared;
		if (option.strong && tally.heavy) tally.rules += POINTS.strongAfterHeavy;
		if (option.holds && !tally.moved) tally.rules += POINTS.heldBeforeMoved;
		if (index < OPENING.items && intensity > OPENING.intensity) tally.rules += POINTS.steepOpening;
		const jump = index > 0 ? intensity - tally.before : 0;
		if (jump > JUMP) tally.arc += POINTS.jump * (jump - JUMP);
		if (section > PEAK && jump > 1) tally.arc += POINTS.jump;
		if (option.rests) {
			if (tally.restedIn === section) tally.rules += POINTS.restedTwice;
			tally.restedIn = section;
			if (section < REST) tally.shape += POINTS.idleSecond * Math.max(0, seconds - IDLE_SECONDS);
		}
		if (option.warms) tally.warm += seconds;
		tally.moved ||= option.moves;
		tally.heavy ||= option.heavy;
		tally.before = intensity;
		tally.highest = Math.max(tally.highest, intensity);
		if (section === PEAK) tally.highestInPeak = Math.max(tally.highestInPeak, intensity);
	}

	/** How far from the usual dose, and whether the work is worth the explaining. */
	private countDose(tally: Tally, { option, amount }: Piece): void {
		const steps = option.amounts.length - 1;
		if (steps === 0) return;
		tally.dose += (POINTS.doseRange * Math.abs(amount - option.usual)) / steps;
		const missing = BRIEF_SECONDS - option.workSeconds[amount]!;
		if (!option.rests && missing > 0) tally.dose += (POINTS.brief * missing) / BRIEF_SECONDS;
	}

	/** Which movements there are: twice, alike, new, in other proposals, in an earlier class. */
	private countContent(tally: Tally, { option, section }: Piece, count: number): void {
		if (option.isNew) tally.fresh += 1;
		for (let m = 0; m < option.ids.length; m++) {
			const id = option.ids[m]!;
			if (this.seen[id] === this.looked) tally.variety += POINTS.twice;
			this.seen[id] = this.looked;
			if (id === this.toward && section === PEAK) tally.towardInPeak = true;
			tally.named += 1;
			if (this.like?.ids.has(id)) tally.again += 1;
			tally.variety += (POINTS.elsewhere * this.elsewhere[id]!) / count;
		}
		// a rest is like any other rest, and nobody minds
		const own = option.rests || option.ids.length === 0 ? -1 : option.ids[0]!;
		if (own < 0) return;
		const row = own * this.movements;
		const { done, alike } = this;
		let sum = 0;
		for (let j = 0; j < tally.compared; j++) sum += alike[row + done[j]!]!;
		tally.variety += sum;
		done[tally.compared++] = own;
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

	private outside(direction: readonly number[], work: number, strength: number): number {
		const all = direction.reduce((sum, seconds) => sum + seconds, 0);
		let seconds = 0;
		for (let d = 0; d < 6; d++) seconds += offBand(direction[d]!, all, this.shares[d]!);
		const points =
			POINTS.directionOff * seconds + POINTS.strengthOff * offBand(strength, work, this.shares[6]!);
		return (100 * points) / this.base.lengthSeconds;
	}

	private prepared(option: Option): boolean {
		for (let i = 0; i < option.preparationIds.length; i++)
			if (this.seen[option.preparationIds[i]!] === this.looked) return true;
		return false;
	}

	private fetchSeconds(kit: number): number {
		let seconds = 0;
		for (let k = 0; k < this.fetch.length; k++) if (kit & (1 << k)) seconds += this.fetch[k]!;
		return Math.round(seconds);
	}

	/** What the options need to be counted quickly: their movements as numbers. */
	number(options: readonly Option[]): void {
		for (const option of options) {
			option.ids = option.movements.map((slug) => this.ids.get(slug)!);
			// -1 for a preparation that is not to be had: it still asks for another of its kind
			option.preparationIds = option.preparations.map((slug) => this.ids.get(slug) ?? -1);
		}
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
