import { likeness } from '../substitution';
import type { Tissue } from '../anatomy';
import { MUSCLE_TISSUES } from '../checks';
import type { FindMovement, Movement } from '../movement';
import { SECTION_KINDS } from '../plan';
import type { Option } from './options';
import { Places } from './places';
import { POINTS, IDLE_SECONDS, UNNOTICED } from './points';
import { BRIEF_BELOW_SECONDS } from '../rules';
import type { ProposeContext, Wishes } from './types';

/**
 * Sums of a class, as columns: seconds of all but getting from place to place, the fewest and the most that its doses
 * allow; points of doses and of long rests; seconds of work, of strength, of effort (times effort), of each direction;
 * of each tissue asked for, and after these of each muscle that is spared.
 */
export const SUM = {
	total: 0,
	least: 1,
	most: 2,
	dosePoints: 3,
	idlePoints: 4,
	work: 5,
	strength: 6,
	effort: 7,
	direction: 8,
	tissue: 14
} as const;

/** Whether something holds for an option, as bits. */
export const IS = {
	moves: 1,
	holds: 2,
	warms: 4,
	deep: 8,
	heavy: 16,
	strong: 32,
	fresh: 64,
	rests: 128
} as const;

/**
 * The options of a search as nothing but numbers, field by field: it looks at hundreds of thousands of classes a second.
 * What stands at the index of an option is about it; what there is several of stands between `first…[option]` and
 * `first…[option + 1]`. Seconds, and points of the objective.
 */
export class Facts {
	/** The movements, each with the number that it is known by here. */
	readonly slugs: readonly string[];
	readonly places = new Places();

	/** For each dose, rising: seconds of work; points for being unusual or too brief; points of too long a rest. */
	readonly firstDose: Int32Array;
	readonly workSeconds: Float64Array;
	readonly dosePoints: Float64Array;
	readonly idlePoints: Float64Array;
	/** The usual dose, among the option's own. */
	readonly usual: Int32Array;
	readonly leastSeconds: Float64Array;
	readonly mostSeconds: Float64Array;
	readonly aroundSeconds: Float64Array;
	/** Numbers of the places that it begins and ends in; -1 takes people as they are. */
	readonly enter: Int32Array;
	readonly leave: Int32Array;
	/** Kit that it begins with, as bits of KIT_KINDS. */
	readonly enterKit: Int32Array;
	/** The same without the kit: indices of body positions. */
	readonly enterPosition: Int32Array;
	readonly leavePosition: Int32Array;
	/** How many columns of sums there are; those that grow with the work of an option, and by how much each second. */
	readonly columns: number;
	readonly firstGain: Int32Array;
	readonly gainColumn: Int32Array;
	readonly gainPerSecond: Float64Array;
	readonly intensity: Int32Array;
	readonly is: Int32Array;
	/** Its movements, and those of which one should come before (-1 for one that is not to be had). */
	readonly firstMovement: Int32Array;
	readonly movements: Int32Array;
	readonly firstPreparation: Int32Array;
	readonly preparations: Int32Array;
	/** The movement that others are compared with; -1 for a rest: it is like any other, and nobody minds. */
	readonly compared: Int32Array;
	/** Of each movement the numbers of those that it is too much alike, and the points of each pair. */
	readonly firstAlike: Int32Array;
	readonly alike: Int32Array;
	readonly alikePoints: Float64Array;
	/** Parts in which it may stand, as bits; 0 for a block that is kept where it is. */
	readonly sections: Int32Array;
	readonly kept: Uint8Array;
	/** Columns of the muscles that are spared: not to hang long; up to the last one. */
	readonly firstSpared: number;

	/** @param options each at its own index @param asked tissues to be held long @param spared muscles that are not to hang long */
	constructor(
		readonly options: readonly Option[],
		find: FindMovement,
		asked: readonly Tissue[] = [],
		spared: readonly Tissue[] = []
	) {
		this.slugs = [...new Set(options.flatMap((option) => option.movements))];
		const ids = new Map(this.slugs.map((slug, id) => [slug, id]));
		const whole = (of: (option: Option) => number) => Int32Array.from(options, of);
		const real = (of: (option: Option) => number) => Float64Array.from(options, of);
		this.firstDose = startsOf(options.map(({ amounts }) => amounts));
		this.workSeconds = Float64Array.from(options.flatMap((option) => option.workSeconds));
		this.dosePoints = Float64Array.from(options.flatMap(dosePointsOf));
		this.idlePoints = Float64Array.from(options.flatMap(idlePointsOf));
		this.usual = whole(({ usual }) => usual);
		this.leastSeconds = real(({ workSeconds }) => workSeconds[0]!);
		this.mostSeconds = real(({ workSeconds }) => workSeconds.at(-1)!);
		this.aroundSeconds = real(({ aroundSeconds }) => aroundSeconds);
		const place = (position: number, kit: number, onTop: number) =>
			position < 0 ? -1 : this.places.at(position, kit, onTop);
		this.enter = whole(({ enter, enterKit, enterTop }) => place(enter, enterKit, enterTop));
		this.leave = whole(({ enter, leave, leaveKit, leaveTop }) =>
			enter < 0 ? -1 : place(leave, leaveKit, leaveTop)
		);
		this.enterKit = whole(({ enterKit }) => enterKit);
		this.enterPosition = whole(({ enter }) => enter);
		this.leavePosition = whole(({ leave }) => leave);
		this.firstSpared = SUM.tissue + asked.length;
		this.columns = this.firstSpared + spared.length;
		const gains = options.map((option) => gainsOf(option, asked, spared));
		this.firstGain = startsOf(gains);
		this.gainColumn = Int32Array.from(gains.flat(), ({ column }) => column);
		this.gainPerSecond = Float64Array.from(gains.flat(), ({ perSecond }) => perSecond);
		this.intensity = whole(({ intensity }) => intensity);
		this.is = whole(bitsOf);
		const own = options.map(({ movements }) => movements.map((slug) => ids.get(slug)!));
		this.firstMovement = startsOf(own);
		this.movements = Int32Array.from(own.flat());
		this.firstPreparation = startsOf(options.map(({ preparations }) => preparations));
		this.preparations = Int32Array.from(
			options.flatMap(({ preparations }) => preparations.map((slug) => ids.get(slug) ?? -1))
		);
		this.compared = whole(({ rests, index }) => (rests > 0 ? -1 : (own[index]![0] ?? -1)));
		const alike = alikeOnes(this.slugs.map((slug) => find(slug)!));
		this.firstAlike = startsOf(alike);
		this.alike = Int32Array.from(alike.flat(), ({ id }) => id);
		this.alikePoints = Float64Array.from(alike.flat(), ({ points }) => points);
		this.sections = whole(({ sections }) =>
			SECTION_KINDS.reduce((bits, kind, s) => bits | (sections.has(kind) ? 1 << s : 0), 0)
		);
		this.kept = Uint8Array.from(options, ({ kept }) => (kept ? 1 : 0));
	}

	/** Number of a movement; -1 for one that none of the options has. */
	idOf(slug: string): number {
		return this.slugs.indexOf(slug);
	}

	/** The number of an option's movement, the first where it has several. */
	movementOf(option: number): number {
		return this.movements[this.firstMovement[option]!]!;
	}

	/** How many doses an option has. */
	doses(option: number): number {
		return this.firstDose[option + 1]! - this.firstDose[option]!;
	}
}

/** What a search knows of its options under these wishes: before sport no muscle hangs long. */
export function factsFor(options: readonly Option[], wishes: Wishes, { find, group }: ProposeContext): Facts {
	const spared = group.moment === 'before sport' ? MUSCLE_TISSUES : [];
	return new Facts(options, find, wishes.lengthen, spared);
}

/** Where each list begins when all are written one behind another; one more for where the last one ends. */
function startsOf(lists: readonly (readonly unknown[])[]): Int32Array {
	const starts = new Int32Array(lists.length + 1);
	for (const [i, list] of lists.entries()) starts[i + 1] = starts[i]! + list.length;
	return starts;
}

/** What each second of work adds to which sum; only what it adds anything to. */
function gainsOf(
	{ rests, strengthens, effort, directions, lengthens, hangs }: Option,
	asked: readonly Tissue[],
	spared: readonly Tissue[]
): { column: number; perSecond: number }[] {
	return [
		{ column: SUM.work, perSecond: rests > 0 ? 0 : 1 },
		{ column: SUM.strength, perSecond: strengthens },
		{ column: SUM.effort, perSecond: effort },
		...directions.map((perSecond, d) => ({ column: SUM.direction + d, perSecond })),
		...[
			...asked.map((tissue) => lengthens.get(tissue) ?? 0),
			...spared.map((muscle) => hangs.get(muscle) ?? 0)
		].map((perSecond, t) => ({ column: SUM.tissue + t, perSecond }))
	].filter(({ perSecond }) => perSecond !== 0);
}

/** Of each movement those that are too much alike; not itself: that is given twice. */
function alikeOnes(movements: readonly Movement[]): { id: number; points: number }[][] {
	const alike = movements.map((): { id: number; points: number }[] => []);
	for (const [a, movement] of movements.entries())
		for (const [b, other] of movements.slice(0, a).entries()) {
			// what is alike in one direction (it needs no more kit) counts, whichever comes first
			const score = Math.max(likeness(movement, other).score, likeness(other, movement).score);
			if (score <= POINTS.alikeFrom) continue;
			const points = POINTS.alike * (score - POINTS.alikeFrom);
			alike[a]!.push({ id: b, points });
			alike[b]!.push({ id: a, points });
		}
	return alike;
}

/** How far each dose is from the usual one, and whether so little was worth explaining. */
function dosePointsOf({ workSeconds, amounts, usual, rests }: Option): number[] {
	const range = amounts.at(-1)! - amounts[0]!;
	const own = amounts[usual]!;
	return workSeconds.map((seconds, amount) => {
		if (range === 0) return 0;
		const off = Math.max(0, Math.abs(amounts[amount]! - own) - UNNOTICED.doseShare * own);
		const brief = rests ? 0 : Math.max(0, BRIEF_BELOW_SECONDS - seconds) / BRIEF_BELOW_SECONDS;
		return (POINTS.doseRange * off) / range + POINTS.brief * brief;
	});
}

/** Resting longer than people like to before the closing rest. */
function idlePointsOf({ workSeconds, rests }: Option): number[] {
	return workSeconds.map((seconds) => (rests ? POINTS.idleSecond * Math.max(0, seconds - IDLE_SECONDS) : 0));
}

function bitsOf({ moves, holds, warms, deep, heavy, strong, isNew, rests }: Option): number {
	const bits = { moves, holds, warms, deep, heavy, strong, fresh: isNew, rests: rests > 0 };
	return Object.entries(bits).reduce((sum, [name, set]) => sum | (set ? IS[name as keyof typeof IS] : 0), 0);
}
