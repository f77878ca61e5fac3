import { sentence } from '../text';
import {
	type Direction,
	type Tissue,
	isSymmetrical,
	mainDirection,
	type ActionProfile,
	type Leg
} from '../anatomy';
import { TIERS, tierWords, type Tier } from '../people';
import { peopleIn, type GradeCounts, GRADINGS, REGIONS, REGION_NAMES, type Region } from '../hip-tests';
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

/** The direction that a region's movements train. */
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
	| { kind: 'band'; direction: Direction; byPercent: number; words: string };

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
		else if (!has && result.behind)
			offers.push({
				kind: 'more on',
				leg: result.behind,
				region,
				words: `${name}: the ${result.behind} side is behind. Let the planner offer more for it.`
			});
		const direction = DIRECTION_OF_REGION[region];
		const level = lowerMean(result);
		const aim = direction && group.targets?.directions[direction].minPercent;
		if (
			direction &&
			level < SHORT_GRADE &&
			result.people >= FEWEST_FOR_BANDS &&
			(aim ?? 0) <= MOST_AIM_PERCENT
		)
			offers.push({
				kind: 'band',
				direction,
				byPercent: BAND_STEP_PERCENT,
				words: `${name}: the mean grade is ${level.toFixed(1)} of 3. Raise the target of that region by ${BAND_STEP_PERCENT} percent.`
			});
	}
	return offers;
}
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

/** The test that shows most: where the group stands lowest; null where nothing was tested. */
export function testToRepeat(results: readonly TestResult[]): TestResult | null {
	const graded = results.filter(({ last }) => last.checkIn.kind === 'counts');
	return [...graded].sort((a, b) => lowerMean(a) - lowerMean(b))[0] ?? null;
}

/** Returns the group with a suggestion applied. */
export function withOffer<G extends Steered & { targets: Bands }>(group: G, offer: MeasureSuggestion): G {
	const others = (group.moreOn ?? []).filter(
		({ region }) => offer.kind === 'band' || region !== offer.region
	);
	switch (offer.kind) {
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
