import { EFFORT_BETWEEN } from '../training-load';
import { PLAN_LIMITS, SECTION_KINDS } from '../plan';
import { ConvexProgram } from './convex-program';
import { costsOutside, costsOver, costsUnder, curveUnder, type Curve } from './curve';
import type { Candidate } from './candidate';
import { SUM, type Facts } from './facts';
import { nearest } from './nearest';
import { POINTS, UNNOTICED } from './points';
import { LONG_STRETCH_SECONDS } from '../rules';
import { SECTION_SHARE } from './roles';

const PARTS = SECTION_KINDS.length;
const REST = SECTION_KINDS.indexOf('rest');
const SHARES = SECTION_KINDS.map((kind) => SECTION_SHARE[kind]);
/** Rows of the program: the whole class, each of its parts, then the bands and what else grows with work. */
const WHOLE = 0;
const FIRST_PART = 1;
const FIRST_SHARE = FIRST_PART + PARTS;
/**
 * A muscle that hangs too long costs its points at once, which no convex curve can say: so much for each second over the
 * last that is free.
 */
const SPARED = { before: 0.1, perSecond: 0.3 };

/** Of a whole, a share between two others. */
export interface SoftBand {
	min: number;
	max: number;
}

/** What doses are found for. */
interface Ask {
	lengthSeconds: number;
	/** Bands of the six directions, and of strength. */
	directions: readonly SoftBand[];
	strength: SoftBand;
	/** How much the teacher gives on balance. */
	balance: number;
	mostEffort: number;
}

/**
 * The doses with which a class, its movements and their order given, costs least: as if every dose between the least and
 * the most could be given, which is a linear program. Whether people are warm before something deep is not asked here.
 */
export class Doses {
	private readonly program: ConvexProgram;
	private readonly lengthSeconds: number;
	/** The row of mean effort, where that is bounded. */
	private readonly effort: number;
	private readonly mostEffort: number;
	/** The pieces of a class as columns of the program: each option has one for each part. */
	private readonly columns = new Int32Array(PLAN_LIMITS.blocks);
	private count = 0;
	/** Seconds of each part that are not work. */
	private readonly beside = new Float64Array(PARTS);
	/** Seconds by which the class would be too long with the least doses, or too short with the most. */
	outOfReach = 0;

	constructor(
		private readonly facts: Facts,
		{ lengthSeconds, directions, strength, balance, mostEffort }: Ask
	) {
		this.lengthSeconds = lengthSeconds;
		this.mostEffort = mostEffort;
		const perPercent = 100 / lengthSeconds;
		const directionOff = balance * POINTS.directionOff * perPercent;
		const strengthOff = balance * POINTS.strengthOff * perPercent;
		const rows: Curve[] = [
			costsOutside(lengthSeconds, lengthSeconds, POINTS.secondOff),
			...SECTION_KINDS.map(() => costsOutside(0, 0, POINTS.sectionPercentOff * perPercent)),
			...directions.flatMap(() => [costsUnder(0, directionOff), costsOver(0, directionOff)]),
			costsUnder(0, strengthOff),
			costsOver(0, strengthOff)
		];
		for (let c = SUM.tissue; c < facts.firstSpared; c++)
			rows.push(costsUnder(LONG_STRETCH_SECONDS, POINTS.tissueShort / LONG_STRETCH_SECONDS));
		for (let c = facts.firstSpared; c < facts.columns; c++)
			rows.push(costsOver(LONG_STRETCH_SECONDS - SPARED.before, SPARED.perSecond));
		this.effort = mostEffort < Infinity ? rows.push(costsOver(0, POINTS.effortOver / lengthSeconds)) - 1 : -1;
		const parts = new Float64Array(facts.options.length * PARTS * rows.length);
		const curves: (Curve | null)[] = [];
		for (let option = 0; option < facts.options.length; option++) {
			const shares = this.sharesOf(option, directions, strength);
			for (let part = 0; part < PARTS; part++) {
				const mayStand = facts.kept[option] || facts.sections[option]! & (1 << part);
				curves.push(mayStand ? curveOf(facts, option, part) : null);
				const own = (option * PARTS + part) * rows.length;
				parts[own + WHOLE] = 1;
				parts[own + FIRST_PART + part] = 1;
				parts.set(shares, own + FIRST_SHARE);
			}
		}
		this.program = new ConvexProgram(curves, rows, parts);
	}

	/** What each second of an option adds to the rows after those of the parts. */
	private sharesOf(option: number, directions: readonly SoftBand[], strength: SoftBand): number[] {
		const { facts } = this;
		const gains = new Float64Array(facts.columns);
		for (let g = facts.firstGain[option]!; g < facts.firstGain[option + 1]!; g++)
			gains[facts.gainColumn[g]!] = facts.gainPerSecond[g]!;
		const all = directions.reduce((sum, _, d) => sum + gains[SUM.direction + d]!, 0);
		const beyond = (gain: number, whole: number, { min, max }: SoftBand) => [
			gain - min * whole,
			gain - max * whole
		];
		return [
			...directions.flatMap((band, d) => beyond(gains[SUM.direction + d]!, all, band)),
			...beyond(gains[SUM.strength]!, gains[SUM.work]!, strength),
			...gains.subarray(SUM.tissue),
			...(this.effort < 0 ? [] : [gains[SUM.effort]! - this.mostEffort])
		];
	}

	/** Points of doses, balance and shape with the best doses; where they are not under the limit, some number that is not. */
	least(limit = Infinity): number {
		return this.program.least(this.columns, this.count, limit);
	}

	/** What an option seems to add in a part with the best dose for it, at the prices of the class that was gone on from. */
	addedBy(option: number, part: number): number {
		return this.program.prices.leastOf(option * PARTS + part);
	}

	/** What the class cannot cost less than in these points: quick to say, and often enough to know. */
	bound(): number {
		return this.program.prices.bound(this.columns, this.count);
	}

	/** Gives the draft that was asked about the doses found for it, as near as they may be given; goes on from them. */
	take(draft: Candidate): void {
		const { facts, program, columns } = this;
		for (let i = 0; i < draft.count; i++) {
			const first = facts.firstDose[draft.option[i]!]!;
			const end = facts.firstDose[draft.option[i]! + 1]!;
			draft.dose(i, nearest(facts.workSeconds, program.found(columns[i]!), first, end) - first);
		}
		program.keep();
	}

	/** Begins anew with the next class. */
	forget(): void {
		this.program.forget();
	}

	/**
	 * The class that is asked about from now on.
	 * @param getting seconds of getting to the pieces of each part
	 */
	ask({ count, option, section }: Candidate, getting: Float64Array): void {
		this.count = count;
		const { facts, program, columns, lengthSeconds } = this;
		let around = 0;
		let lost = 0;
		let least = 0;
		let most = 0;
		const beside = this.beside;
		for (let s = 0; s < PARTS; s++) {
			beside[s] = getting[s]!;
			lost += getting[s]!;
		}
		for (let i = 0; i < count; i++) {
			const at = option[i]!;
			const seconds = facts.aroundSeconds[at]!;
			columns[i] = at * PARTS + section[i]!;
			beside[section[i]!]! += seconds;
			around += seconds;
			least += facts.leastSeconds[at]!;
			most += facts.mostSeconds[at]!;
		}
		const work = lengthSeconds - lost - around;
		this.outOfReach = Math.max(0, least - work, work - most);
		program.shift(WHOLE, 0, work);
		program.shift(WHOLE, 1, work);
		const unnoticed = (UNNOTICED.sectionPercent / 100) * lengthSeconds;
		for (let s = 0; s < PARTS; s++) {
			const wanted = SHARES[s]! * lengthSeconds - beside[s]!;
			program.shift(FIRST_PART + s, 0, wanted - unnoticed);
			program.shift(FIRST_PART + s, 1, wanted + unnoticed);
		}
		if (this.effort >= 0) program.shift(this.effort, 0, (this.mostEffort - EFFORT_BETWEEN) * (around + lost));
	}
}

/** What the doses of an option cost in a part, by their seconds of work. */
function curveOf(facts: Facts, option: number, part: number): Curve {
	const [first, end] = [facts.firstDose[option]!, facts.firstDose[option + 1]!];
	const points = facts.dosePoints
		.slice(first, end)
		.map((dose, i) => dose + (part === REST ? 0 : facts.idlePoints[first + i]!));
	return curveUnder([...facts.workSeconds.subarray(first, end)], [...points]);
}
