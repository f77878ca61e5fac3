import { DIRECTIONS, type Direction } from '../../anatomy';
import type { Group } from '../../group';
import { isDeep, isWarming, WARM_AFTER_SECONDS, WHOLE_CLASS_FROM_SECONDS } from '../../rules';
import type { Kinds, ScoredItem } from '../model';
import { hardestOfPeak, type Draft, type DraftStep } from './draft';
import { endsUpright } from '../pool/roles';
import { WISH_POINTS, BUILD, isStrongItem, draftItems, PEAK, RELEASE, WARM, type Task } from './task';

/** How many different strong things some blocks hold. */
const differentStrong = (units: Draft[number]): number =>
	new Set(
		draftItems(units)
			.filter(isStrongItem)
			.map(({ candidate }) => candidate.traits.kind)
	).size;

/** Number of items that lead up to a peak, and the share of the class within which the last one comes. Common practice, no source. */
const LEADING = 2;
const LATELY = 0.25;
/** A direction with less than this part of the direction time is left out. */
const LEFT_OUT = 0.05;
/** Down to begin with, up for the build, down to end: more of it tires. */
const FAR_WAYS = 3;
/** An item after the peak should be at least this much less demanding. */
const LESS_AFTER = 0.5;

/** How it opens, rises, peaks and comes down. */
export function orderLoss(draft: Draft, steps: readonly DraftStep[], task: Task): number {
	const { variety } = task.wishes.weights;
	let [ways, again] = [0, 0];
	for (let i = 1; i < steps.length; i++) {
		const [a, b] = [steps[i - 1]!, steps[i]!];
		if (Math.abs(b.traits.level - a.traits.level) >= 2) ways += 1;
		if (a.traits.kind !== b.traits.kind) continue;
		if (b.section === 'settle') again += 1;
		// held where it moved, or a form further, is a return
		if (b.traits.demand <= a.traits.demand && b.traits.rank <= a.traits.rank) again += 1;
	}
	let [inPeak, before, after] = [0, 0, 0];
	for (const { traits, section } of steps)
		if (section === 'peak') inPeak = Math.max(inPeak, traits.demand);
		else if (section === 'release') after = Math.max(after, traits.demand);
		else before = Math.max(before, traits.demand);
	return (
		WISH_POINTS.ways * Math.max(0, ways - FAR_WAYS) +
		WISH_POINTS.again * again +
		WISH_POINTS.sameSpot * variety * sameSpots(draft) +
		WISH_POINTS.filler * variety * fillers(steps) +
		WISH_POINTS.warm * (coldStart(steps, task.classSeconds) + warmsNothing(steps, task.kinds) / 2) +
		(WISH_POINTS.cold * secondsCold(steps, task.group)) / 60 +
		WISH_POINTS.upAndDown * upAndDown(steps) +
		WISH_POINTS.peakMoves * peakMoves(steps) +
		WISH_POINTS.peakItems * Math.max(0, 2 - differentStrong(draft[PEAK]!)) +
		WISH_POINTS.peak * loosePeak(draft) +
		WISH_POINTS.shortPeak * shortPeak(draft) +
		WISH_POINTS.wakes * Math.max(0, wakersWanted(task.classSeconds) - draftItems(draft[WARM]!).length) +
		WISH_POINTS.noSets *
			Number(task.classSeconds >= WHOLE_CLASS_FROM_SECONDS && !steps.some(({ sets }) => sets > 1)) +
		WISH_POINTS.demand *
			(Math.max(0, task.mostDemand - inPeak) +
				Math.max(0, before - inPeak) +
				Math.max(0, after - inPeak + LESS_AFTER)) +
		WISH_POINTS.release * working(draft, task.group) +
		comingDown(steps, task.group) +
		directionLoss(draft, task) +
		WISH_POINTS.ledUp * (LEADING - ledUp(steps, task.kinds)) +
		WISH_POINTS.arriving *
			Number(
				draft[WARM]![0]?.parts.some(({ candidate: { traits } }) => traits.sided || traits.kit.length > 0) ??
					false
			)
	);
}

/** By this share of the class, at most by these seconds, two things have moved, in two positions. Common practice, no source. */
const WARMED_BY = { share: 0.2, seconds: 480 };
/** About so long are the words before anything is done. */
const WORDS_SHARE = 0.02;

/** 0 where two things move early, in two positions; up to 1 for what is missing. */
function coldStart(steps: readonly DraftStep[], classSeconds: number): number {
	const by = Math.min(WARMED_BY.share, WARMED_BY.seconds / classSeconds) - WORDS_SHARE;
	let moving = 0;
	const positions = new Set<string>();
	for (const { traits, at, section } of steps) {
		if (at >= by || isMain(section)) break;
		if (traits.rank !== 0) continue;
		moving += 1;
		positions.add(traits.movement.position);
	}
	return (Math.max(0, 2 - moving) + Math.max(0, 2 - positions.size)) / 4;
}

/** 1 where nothing that moves in the warm-up is like anything of the build or the peak. */
function warmsNothing(steps: readonly ScoredItem[], kinds: Kinds): number {
	const later = steps.filter(({ section, traits }) => isMain(section) && !traits.reset);
	const moved = steps.filter(({ section, traits }) => section === 'warm' && traits.rank === 0);
	return Number(!moved.some((m) => later.some((l) => kinds.isRelated(m.traits.kind, l.traits.kind))));
}
const isMain = (section: ScoredItem['section']) => section === 'build' || section === 'peak';

/** Seconds of moving that are missing before the first deep shape, for people who do not come warm. */
function secondsCold(steps: readonly DraftStep[], { moment }: Group): number {
	if (moment === 'after sport') return 0;
	let warmed = 0;
	for (const { traits, workSeconds } of steps) {
		if (warmed >= WARM_AFTER_SECONDS) return 0;
		if (isDeep(traits.form) && traits.mode !== 'dynamic') return WARM_AFTER_SECONDS - warmed;
		if (isWarming(traits.form, traits.mode)) warmed += workSeconds;
	}
	return 0;
}

/** How often it turns from going up to going down, or back, until the build has begun. */
function upAndDown(steps: readonly ScoredItem[]): number {
	let [turns, way, at, built] = [0, 0, -1, 0];
	for (const { section, traits } of steps) {
		if (isMain(section) && ++built > 1) break;
		if (at >= 0 && traits.level !== at) {
			const then = Math.sign(traits.level - at);
			if (way && then !== way) turns += 1;
			way = then;
		}
		at = traits.level;
	}
	return turns;
}

/** How often people change between the feet, hands and knees, the seat and lying within the peak; a chain may rise. */
function peakMoves(steps: readonly ScoredItem[]): number {
	let [moves, at, unit] = [0, -1, -1];
	for (const { section, traits, unit: own } of steps) {
		if (section !== 'peak') continue;
		if (at >= 0 && own !== unit && traits.level !== at) moves += 1;
		at = traits.level;
		unit = own;
	}
	return moves;
}

/** How many different things lead up to the hardest of the peak: alike, before it, and not long ago. */
function ledUp(steps: readonly ScoredItem[], kinds: Kinds): number {
	const top = hardestOfPeak(steps);
	if (!top) return 0;
	const before = new Set<number>();
	let lately = false;
	for (const { traits, at } of steps) {
		if (at >= top.at || traits.kind === top.traits.kind || !kinds.isRelated(traits.kind, top.traits.kind))
			continue;
		before.add(traits.kind);
		lately ||= top.at - at < LATELY;
	}
	return Math.min(LEADING, before.size) - (before.size && !lately ? 1 : 0);
}

/** How often something is met again in the part, or the theme of the build, where it just was. */
function sameSpots(draft: Draft): number {
	let count = 0;
	for (const [index, units] of draft.entries()) {
		let spot = new Set<number>();
		let theme: number | null = null;
		for (const unit of units) {
			if (index === BUILD && unit.theme !== null && unit.theme !== theme) {
				theme = unit.theme;
				spot = new Set();
			}
			for (const { candidate } of unit.parts) {
				const { kind, reset } = candidate.traits;
				if (reset && index !== WARM) continue;
				if (spot.has(kind)) count += 1;
				spot.add(kind);
			}
		}
	}
	return count;
}

/** The visits as which the same thing again in the release counts. */
const RELEASED_AGAIN = 2;

/** Visits beyond two of what is easy, and beyond three of what is hard or lets go between. */
function fillers(steps: readonly ScoredItem[]): number {
	const visits = new Map<number, { count: number; most: number }>();
	const released = new Map<number, number>();
	for (const { traits, section } of steps) {
		if (section === 'release') released.set(traits.kind, (released.get(traits.kind) ?? 0) + 1);
		const known = visits.get(traits.kind) ?? { count: 0, most: 0 };
		visits.set(traits.kind, {
			count: known.count + 1,
			most: Math.max(known.most, traits.reset || traits.demand >= 3 ? 3 : 2)
		});
	}
	let over = 0;
	for (const count of released.values()) over += RELEASED_AGAIN * (count - 1);
	for (const { count, most } of visits.values()) over += Math.max(0, count - most);
	return over;
}

/** The share of the release that is not left to weight, where people do not go on to something else. */
function working(draft: Draft, group: Group): number {
	if (endsUpright(group)) return 0;
	const parts = draftItems(draft[RELEASE]!);
	const all = parts.reduce((sum, { candidate }) => sum + candidate.seconds, 0);
	const works = parts
		.filter(({ candidate }) => candidate.traits.rank < 2)
		.reduce((sum, { candidate }) => sum + candidate.seconds, 0);
	return all ? Math.max(0, works / all - 0.35) : 0;
}

/** A release ends with what lets go, and goes down and not up again; where people go on it does as it likes. */
function comingDown(steps: readonly ScoredItem[], group: Group): number {
	if (endsUpright(group)) return 0;
	const release = steps.filter(({ section }) => section === 'release').map(({ traits }) => traits);
	const ups = release.filter(({ level }, i) => i > 0 && level > release[i - 1]!.level).length;
	const last = release.at(-1);
	return (
		WISH_POINTS.upAgain * ups +
		WISH_POINTS.lastWork * Number(last !== undefined && last.rank < 2 && !last.reset)
	);
}

/** The share of the strength of the peak that is in no sets and no chain. */
function loosePeak(draft: Draft): number {
	const strong = draft[PEAK]!.filter(({ parts }) => parts.some(isStrongItem));
	const inSets = strong.filter(({ parts }) => parts.length > 1 || parts[0]!.sets > 1);
	return strong.length ? 1 - inSets.length / strong.length : 1;
}

/** Strength of the peak works so long on each side, or comes in sets. Common practice, no source. */
const PEAK_SECONDS = 40;

/** Blocks of the peak that ask for strength, in one set, for too short a time. */
function shortPeak(draft: Draft): number {
	return draft[PEAK]!.filter(({ parts, rounds }) => {
		if (rounds || !parts.some(isStrongItem) || parts.some(({ sets }) => sets > 1)) return false;
		const seconds = parts.reduce(
			(sum, { candidate }) => sum + candidate.workSeconds / (candidate.traits.sided ? 2 : 1),
			0
		);
		return seconds < PEAK_SECONDS;
	}).length;
}

/** How many things wake a class of a length. Common practice, no source. */
const wakersWanted = (classSeconds: number): number =>
	classSeconds >= 2400 ? 4 : classSeconds >= 1500 ? 3 : 2;

/** How many of flexion and the two rotations hardly come, and how far any direction is below its band. */
function directionLoss(draft: Draft, { wishes, targets }: Task): number {
	const sums = DIRECTIONS.map(() => 0);
	for (const units of draft)
		for (const { parts } of units)
			for (const { candidate } of parts) {
				const { workSeconds, traits } = candidate;
				for (let d = 0; d < sums.length; d++) sums[d]! += traits.directions[d]! * workSeconds;
			}
	const all = sums.reduce((a, b) => a + b, 0);
	if (!all) return WISH_POINTS.leftOut * NEVER_LEFT_OUT.size;
	let loss = 0;
	for (const [i, direction] of DIRECTIONS.entries()) {
		const share = sums[i]! / all;
		if (NEVER_LEFT_OUT.has(direction) && share < LEFT_OUT) loss += WISH_POINTS.leftOut;
		const below = Math.max(0, targets.directions[direction].minPercent - 100 * share);
		loss += below * (wishes.more?.includes(direction) ? WISH_POINTS.wantedBand : WISH_POINTS.band);
	}
	return wishes.weights.balance * loss;
}
const NEVER_LEFT_OUT: ReadonlySet<Direction> = new Set(['flexion', 'internalRotation', 'externalRotation']);
