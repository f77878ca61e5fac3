import { sentence } from '../text';
import {
	DIRECTION_NAME,
	type Direction,
	type Tissue,
	isSymmetrical,
	mainDirection,
	type ActionProfile,
	type Leg
} from '../anatomy';
import { TIERS, tierWords, type Tier } from '../people';
import {
	GRADINGS,
	isStretchStop,
	mainStop,
	peopleIn,
	REGION_NAMES,
	REGIONS,
	type GradeCounts,
	type Region,
	type StopReason,
	type StopCounts,
	type TestId
} from '../hip-tests';
import type { TestResult } from './results';

/** The region that a short tissue limits. Common practice, no source. */
const REGION_OF_TISSUE: Partial<Record<Tissue, Region>> = {
	'hip flexors': 'front',
	'rectus femoris': 'front',
	hamstrings: 'back',
	'gluteus maximus': 'outer',
	adductors: 'inner',
	'gluteus medius': 'outer',
	'deep outward rotators': 'turning in',
	'inward rotators': 'turning out'
};

/** The region that a movement lengthens first on the leg that leads; null where it lengthens none. */
export function regionOf({ action }: { action: ActionProfile }): Region | null {
	const lengthens = isSymmetrical(action)
		? action.both.lengthens
		: [...action.lead.lengthens, ...action.trail.lengthens];
	for (const tissue of lengthens) {
		const region = REGION_OF_TISSUE[tissue];
		if (region) return region;
	}
	return null;
}

/**
 * The direction that a test speaks for, by what limits it; none where tissue at length limits it, which no direction trains: a
 * straight leg and a wide fold end at the back of the thigh. Common practice, no source.
 */
const DIRECTION_OF_TEST: Partial<Record<TestId, Direction>> = {
	'low-lunge-upright': 'extension',
	'knee-to-chest': 'flexion',
	'butterfly-knees': 'abduction',
	'figure-four-knee': 'externalRotation',
	'leg-roll': 'internalRotation',
	'leg-roll-out': 'externalRotation',
	'ninety-ninety-seat': 'internalRotation',
	'turning-in-prone': 'internalRotation',
	'turning-out-prone': 'externalRotation'
};
const TISSUE_OF_TEST: Partial<Record<TestId, Tissue>> = {
	'straight-leg-raise': 'hamstrings',
	'wide-stance-fold': 'hamstrings'
};

/** The direction that a region's movements go to. */
const DIRECTION_OF_REGION: Partial<Record<Region, Direction>> = {
	front: 'extension',
	back: 'flexion',
	inner: 'abduction',
	outer: 'adduction',
	'turning in': 'internalRotation',
	'turning out': 'externalRotation'
};

const regionOfDirection = (direction: Direction): Region | null =>
	REGIONS.find((region) => DIRECTION_OF_REGION[region] === direction) ?? null;

/** The region on which it depends how far people come with a movement: what it lengthens, else where it goes. */
export function limitingRegion(movement: { action: ActionProfile }): Region | null {
	const direction = mainDirection(movement.action);
	return regionOf(movement) ?? (direction && regionOfDirection(direction));
}

/** More for one leg, where it was measured to be behind. */
export interface MoreOn {
	leg: Leg;
	region: Region;
}

/** Something that results speak for; the teacher takes it or does not. */
export type MeasureSuggestion =
	| { kind: 'tiers'; region: Region; tiers: Record<Tier, number>; words: string }
	| { kind: 'more on'; leg: Leg; region: Region; words: string }
	| { kind: 'no more on'; leg: Leg; region: Region; words: string }
	| { kind: 'band'; direction: Direction; byPercent: number; words: string }
	/** Something to know or to ask; there is nothing to apply. */
	| { kind: 'word'; words: string };

/** Settings of a group that follow from earlier results. */
export interface Steered {
	regionTiers?: Partial<Record<Region, Record<Tier, number>>>;
	moreOn?: MoreOn[];
	targets?: Bands;
}

/** Grade 0 is tight, 3 open. Common practice, no source. */
const tiersOf = (counts: GradeCounts): Record<Tier, number> => ({
	tight: counts[0],
	middling: counts[1] + counts[2],
	open: counts[3]
});

/** Under this mean grade a group is short in a region, and a little more of its direction is offered. Judged. */
const SHORT_GRADE = 1.2;
const BAND_STEP_PERCENT = 3;

/** Returns the suggestions that the results of a group support and that it has not taken yet. */
export function offersOf(results: readonly TestResult[], group: Steered): MeasureSuggestion[] {
	const offers: MeasureSuggestion[] = [];
	for (const region of REGIONS) {
		const result = lastOf(results.filter(({ test }) => GRADINGS[test].region === region));
		const checkIn = result?.last.checkIn;
		if (!result || checkIn?.kind !== 'counts') continue;
		// the side that is behind says what people can do
		const leg = result.behind ?? (peopleIn(checkIn.counts.left) > 0 ? 'left' : 'right');
		const tiers = tiersOf(checkIn.counts[leg]);
		const name = sentence(REGION_NAMES[region]);
		const known = group.regionTiers?.[region];
		if (!known || TIERS.some((tier) => known[tier] !== tiers[tier]))
			offers.push({
				kind: 'tiers',
				region,
				tiers,
				words: `${name}: ${tierWords(tiers)}. Use this for movements in that region, instead of one tier for everything.`
			});
		const has = group.moreOn?.find((more) => more.region === region);
		if (has && result.behind !== has.leg)
			offers.push({
				kind: 'no more on',
				...has,
				words: `${name}: the ${has.leg} side is no longer behind. Give both sides the same again.`
			});
		else if (!has && result.behind) {
			const leg = result.behind;
			const words = `${name}: the ${leg} side is behind. Let the planner offer more for it.`;
			offers.push(moreOf(checkIn.stops, name, { kind: 'more on', leg, region, words }));
		}
		const short = shortOffer(result, name, group);
		if (short) offers.push(moreOf(checkIn.stops, name, short));
	}
	return offers.filter(
		(offer, i) => offer.kind !== 'word' || offers.findIndex(({ words }) => words === offer.words) === i
	);
}

/** More of a region in which the group is short: of the direction that limits the test, or a word about the tissue. */
function shortOffer(result: TestResult, name: string, group: Steered): MeasureSuggestion | null {
	const level = lowerMean(result);
	if (level >= SHORT_GRADE || result.people < FEWEST_FOR_BANDS) return null;
	const grade = `${name}: the mean grade is ${level.toFixed(1)} of 3.`;
	const tissue = TISSUE_OF_TEST[result.test];
	if (tissue)
		return {
			kind: 'word',
			words: `${grade} The ${tissue} end it: ask a proposal to hold the ${tissue} long.`
		};
	const direction = DIRECTION_OF_TEST[result.test];
	const aim = direction && group.targets?.directions[direction].minPercent;
	if (!direction || (aim ?? 0) > MOST_AIM_PERCENT) return null;
	return {
		kind: 'band',
		direction,
		byPercent: BAND_STEP_PERCENT,
		words: `${grade} Raise the target of ${DIRECTION_NAME[direction].toLowerCase()} by ${BAND_STEP_PERCENT} percent.`
	};
}

/**
 * Returns an offer of more where the test stops by stretch; else a word: to ask first, or why more of it is not offered. A pinch
 * or a bony stop is not stretched away.
 */
function moreOf(stops: StopCounts | undefined, name: string, offer: MeasureSuggestion): MeasureSuggestion {
	const stop = mainStop(stops);
	if (stop === null)
		return {
			kind: 'word',
			words: `${name}: ask where it stops, with the next count, before you give more of it.`
		};
	return isStretchStop(stop)
		? offer
		: {
				kind: 'word',
				words: `${name}: most stop at ${STOP_WORDS[stop] ?? stop}. More of it is no help: work in the range that is free.`
			};
}
const STOP_WORDS: Partial<Record<StopReason, string>> = {
	'front pinch': 'a pinch in front',
	'bony stop': 'a bony stop',
	knee: 'the knee',
	'low back': 'the low back'
};
/** A target above this share is not raised further. Judged. */
const MOST_AIM_PERCENT = 18;

/** A few people say little of a whole group. */
const FEWEST_FOR_BANDS = 3;

/** The one that was tested last. */
const lastOf = (results: readonly TestResult[]): TestResult | undefined =>
	[...results].sort((a, b) => a.last.on.localeCompare(b.last.on)).at(-1);

const lowerMean = ({ points }: TestResult): number => {
	const { left, right } = points.at(-1) ?? { left: null, right: null };
	return Math.min(left ?? Infinity, right ?? Infinity);
};

/**
 * Returns the test in which the group stands lowest, with a word of care: what is lowest once is often higher the next time,
 * whatever was done (regression to the mean: Galton 1886). Null where nothing was tested.
 */
export function testToRepeat(results: readonly TestResult[]): { test: TestId; why: string } | null {
	const graded = results.filter(({ last }) => last.checkIn.kind === 'counts');
	const lowest = [...graded].sort((a, b) => lowerMean(a) - lowerMean(b))[0];
	return lowest
		? {
				test: lowest.test,
				why: `${lowest.name} was lowest last time. What is lowest once often rises by itself: a rise in this test alone shows little.`
			}
		: null;
}

/** Returns the group with a suggestion applied. */
export function withOffer<G extends Steered & { targets: Bands }>(group: G, offer: MeasureSuggestion): G {
	const others = (group.moreOn ?? []).filter(
		({ region }) => offer.kind === 'band' || offer.kind === 'word' || region !== offer.region
	);
	switch (offer.kind) {
		case 'word':
			return group;
		case 'tiers':
			return { ...group, regionTiers: { ...group.regionTiers, [offer.region]: offer.tiers } };
		case 'more on':
			return { ...group, moreOn: [...others, { leg: offer.leg, region: offer.region }] };
		case 'no more on': {
			const { moreOn: _none, ...without } = group;
			return (others.length ? { ...group, moreOn: others } : without) as G;
		}
		case 'band': {
			const band = group.targets.directions[offer.direction];
			const raised = {
				minPercent: Math.min(100, band.minPercent + offer.byPercent),
				maxPercent: Math.min(100, band.maxPercent + offer.byPercent)
			};
			return {
				...group,
				targets: {
					...group.targets,
					directions: { ...group.targets.directions, [offer.direction]: { ...band, ...raised } }
				}
			};
		}
	}
}
interface Bands {
	directions: Record<Direction, { minPercent: number; maxPercent: number }>;
}
