import { DIRECTIONS, type Tissue } from '../../anatomy';
import type { Group } from '../../group';
import { UNSTEADY } from '../../movement';
import { SECTION_KINDS } from '../../plan';
import type { Station } from '../pool/stations';
import { hardestOfPeak, secondsOf, secondsOfUnit, type Draft, type DraftStep, type Unit } from './draft';
import { MOST_OF_CLASS } from '../pool/role-dose';
import { BUILD, draftItems, RELEASE, WARM, WISH_POINTS, type Task } from './task';
import { episodeOf, episodesOf, stationsOf } from './ways';

/** A station has two items, or this much time. Common practice, no source. */
const STATION = { items: 2, seconds: 120 };
/** At most these seconds lie between the last preparation and the peak, at one station. */
const PREPARED_WITHIN_SECONDS = 240;
/** A class has a piece for each of these seconds: nine in 45 minutes. */
const SECONDS_EACH_PIECE = 300;
/** A teacher of chains gives one chain for each of these seconds of a class. */
const CHAIN_EVERY_SECONDS = 600;
/** The part of the work that runs in chains and flows. */
const LINKED_SHARE = 0.12;
/** From this length on a class has as many links as it should; a shorter one fewer. */
const LINKS_FROM_SECONDS = 1500;
/** The most single-leg standing items of the build that stand in no chain. */
const MOST_ALONE = 1;
/** Seconds of each way of turning, moving and held, in a class of 45 minutes. */
const TURNING_SECONDS = 70;
const WHOLE_SECONDS = 2700;
/** By this part of the class its hardest thing has begun. */
const PEAK_BY = 0.58;
/** The part of the items at which somebody with a caution may do something else. */
const BESIDE_ITEMS = 0.1;

/** Returns the loss, in points, for how a class goes through the room and what it is told in. */
export function wayLoss(draft: Draft, steps: readonly DraftStep[], task: Task): number {
	return (
		WISH_POINTS.offWay * offTheWay(draft, task) +
		WISH_POINTS.thin * thinStations(draft) +
		WISH_POINTS.unprepared * Number(!isPreparedLately(steps)) +
		WISH_POINTS.latePeak * Math.max(0, (hardestOfPeak(steps)?.at ?? 0) - PEAK_BY) +
		WISH_POINTS.besideItems * Math.max(0, besideItems(steps) - BESIDE_ITEMS) +
		WISH_POINTS.pieces * Math.max(0, piecesOf(draft) - task.classSeconds / SECONDS_EACH_PIECE) +
		linkedLoss(draft, task) +
		WISH_POINTS.sameLink * linksAgain(draft) +
		WISH_POINTS.turning * turnsMissing(draft, task.classSeconds) +
		WISH_POINTS.oneThing * overLong(draft, task.classSeconds) +
		WISH_POINTS.afterSport * heldTooShort(draft, task.group) +
		WISH_POINTS.avoided * avoided(steps, task) +
		WISH_POINTS.oneLeg * onOneLegTooOften(draft, task) +
		WISH_POINTS.foreign * foreignShare(steps, task)
	);
}

/** Blocks that stand where the way does not lead. */
function offTheWay(draft: Draft, { story, keep }: Task): number {
	const { themes, way } = story;
	const episodes = episodesOf(themes.length);
	let count = 0;
	for (const [index, units] of draft.entries()) {
		const kind = SECTION_KINDS[index]!;
		if (keep.closed.has(kind)) continue;
		for (const { kept, parts, theme } of units) {
			if (kept) continue;
			const episode = kind === 'build' && theme !== null ? episodeOf(theme, episodes) : 0;
			const { station, traits } = parts[0]!.candidate;
			if (!traits.reset && !stationsOf(way, kind, Math.max(0, episode), episodes).includes(station))
				count += 1;
		}
	}
	return count;
}

/** Stations between the opening and the closing rest that are left again at once. */
function thinStations(draft: Draft): number {
	let [thin, items, seconds] = [0, 0, 0];
	let at: Station | null = null;
	const leave = () => {
		if (at !== null && items < STATION.items && seconds < STATION.seconds) thin += 1;
	};
	for (const units of draft.slice(BUILD, RELEASE + 1))
		for (const unit of units) {
			const { station } = unit.parts[0]!.candidate;
			if (station !== at) {
				leave();
				[at, items, seconds] = [station, 0, 0];
			}
			items += unit.parts.length;
			seconds += secondsOfUnit(unit);
		}
	leave();
	return thin;
}

/** One item on one leg in this time is enough for people who are unsteady. Common practice, no source. */
const ONE_LEG_EVERY_SECONDS = 900;

/** How many items on one leg there are beyond what these people bear; 0 where nobody is unsteady. */
function onOneLegTooOften(draft: Draft, { group, classSeconds }: Task): number {
	if (!group.cautions.some(({ caution }) => UNSTEADY.has(caution))) return 0;
	const count = draft.flatMap(draftItems).filter(({ candidate }) => candidate.onOneLeg).length;
	return Math.max(0, count - Math.max(2, classSeconds / ONE_LEG_EVERY_SECONDS));
}

/** The part of the items at which somebody does something else. */
function besideItems(steps: readonly DraftStep[]): number {
	let count = 0;
	for (const { besideShare } of steps) if (besideShare > 0) count += 1;
	return steps.length ? count / steps.length : 0;
}

/** Whether something stands at the station of the hardest of the peak, shortly before it. */
function isPreparedLately(steps: readonly DraftStep[]): boolean {
	const top = hardestOfPeak(steps);
	if (!top) return true;
	let seconds = 0;
	for (let i = steps.indexOf(top) - 1; i >= 0 && seconds <= PREPARED_WITHIN_SECONDS; i--) {
		const { traits } = steps[i]!;
		if (traits.movement.position === top.traits.movement.position && !traits.reset) return true;
		seconds += steps[i]!.seconds;
	}
	return false;
}

/** Pieces that a class is kept in the head by: a chain, a flow, or two neighbours of one theme at one station. */
function piecesOf(draft: Draft): number {
	let pieces = 0;
	let open: Unit | null = null;
	for (const units of draft.slice(WARM, RELEASE + 1)) {
		for (const unit of units) {
			if (unit.parts.every(({ candidate }) => candidate.traits.reset) && !draft[WARM]!.includes(unit))
				continue;
			const joins =
				open !== null &&
				open.theme === unit.theme &&
				unit.parts.length === 1 &&
				open.parts[0]!.candidate.station === unit.parts[0]!.candidate.station;
			if (joins) open = null;
			else {
				pieces += 1;
				open = unit.parts.length === 1 ? unit : null;
			}
		}
		open = null;
	}
	return pieces;
}

/** Chains and flows: as the style runs them, enough of the work in them, single-leg standing work in them, a flow where one is wanted. */
function linkedLoss(draft: Draft, { style, story, classSeconds }: Task): number {
	let [linked, all, alone, flows] = [0, 0, 0, 0];
	for (const [index, units] of draft.entries())
		for (const unit of units) {
			const seconds = secondsOfUnit(unit);
			all += seconds;
			if (unit.parts.length > 1) linked += seconds;
			if (unit.rounds) flows += 1;
			const { station, traits } = unit.parts[0]!.candidate;
			if (index === BUILD && unit.parts.length === 1 && station === 'feet' && traits.sided) alone += 1;
		}
	const links = draft.flat().filter(({ parts }) => parts.length > 1).length;
	// who holds long and quietly runs nothing together
	if (style.holding === 'quiet' && style.runningSides !== 'chain') return WISH_POINTS.style * links;
	const chains = style.runningSides === 'chain' ? Math.max(0, classSeconds / CHAIN_EVERY_SECONDS - links) : 0;
	if (style.holding === 'quiet') return WISH_POINTS.style * chains;
	const missing = all ? Math.max(0, 1 - linked / all / LINKED_SHARE) : 0;
	return (
		WISH_POINTS.style * chains +
		WISH_POINTS.linked * missing * Math.min(1, classSeconds / LINKS_FROM_SECONDS) +
		WISH_POINTS.alone * Math.max(0, alone - MOST_ALONE) +
		WISH_POINTS.flow * Number(story.flows && flows === 0)
	);
}

/** The part that a chain counts where it comes again and goes further, of one that comes again as it was. Common practice, no source. */
const FURTHER_LINK = 0.4;

/** How many chains and flows have only movements of an earlier one. */
function linksAgain(draft: Draft): number {
	const before: Map<number, number>[] = [];
	let count = 0;
	for (const { parts, kept } of draft.flat()) {
		if (parts.length < 2 || kept) continue;
		const now = new Map(parts.map(({ candidate: { traits } }) => [traits.kind, traits.demand]));
		const same = before.find(
			(earlier) => earlier.size === now.size && [...now.keys()].every((kind) => earlier.has(kind))
		);
		if (same) count += [...now].some(([kind, demand]) => demand > same.get(kind)!) ? FURTHER_LINK : 1;
		before.push(now);
	}
	return count;
}

const INWARD = DIRECTIONS.indexOf('internalRotation');
const OUTWARD = DIRECTIONS.indexOf('externalRotation');

/** How much is missing of turning in and out, each moving and held: 0 to 4. */
function turnsMissing(draft: Draft, classSeconds: number): number {
	const wanted = TURNING_SECONDS * Math.min(1, classSeconds / WHOLE_SECONDS);
	const sums = [0, 0, 0, 0];
	for (const { candidate, sets } of draft.flatMap(draftItems)) {
		const { directions, mode } = candidate.traits;
		const seconds = candidate.workSeconds * sets;
		const held = mode === 'dynamic' ? 0 : 1;
		if (directions[INWARD]! > 0) sums[held]! += seconds;
		if (directions[OUTWARD]! > 0) sums[2 + held]! += seconds;
	}
	return sums.reduce((missing, seconds) => missing + Math.max(0, 1 - seconds / wanted), 0);
}

/** Minutes by which single movements take more than their part of the class, all visits together. */
function overLong(draft: Draft, classSeconds: number): number {
	const seconds = new Map<number, number>();
	for (const unit of draft.slice(WARM, RELEASE + 1).flat())
		for (const part of unit.parts) {
			const { kind, rest } = part.candidate.traits;
			if (!rest) seconds.set(kind, (seconds.get(kind) ?? 0) + secondsOf(unit, part));
		}
	let over = 0;
	for (const own of seconds.values()) over += Math.max(0, own - MOST_OF_CLASS * classSeconds);
	return over / 60;
}

/** The share of the build and the peak that serves no purpose of these people. */
function foreignShare(steps: readonly DraftStep[], { purposes }: Task): number {
	if (purposes.size === 0) return 0;
	let [foreign, all] = [0, 0];
	for (const { section, traits, seconds } of steps) {
		if ((section !== 'build' && section !== 'peak') || traits.reset) continue;
		all += seconds;
		if (!traits.movement.purposes.some((purpose) => purposes.has(purpose))) foreign += seconds;
	}
	return all ? foreign / all : 0;
}

/** The sum, over the movements of a class, of how much it avoids each: drawn by lot, so that no two classes choose alike. */
function avoided(steps: readonly DraftStep[], { avoids }: Task): number {
	const seen = new Set<number>();
	let sum = 0;
	for (const { traits } of steps) {
		if (seen.has(traits.kind)) continue;
		seen.add(traits.kind);
		sum += avoids[traits.kind] ?? 0;
	}
	return sum;
}

/** Tissues that a sport has worked: they are held long after it. Common practice, no source. */
const WORKED: Partial<Record<Group['preset'], readonly Tissue[]>> = {
	runners: ['hip flexors', 'hamstrings'],
	climbers: ['hip flexors', 'adductors'],
	rowers: ['hip flexors', 'hamstrings'],
	lifters: ['hip flexors', 'adductors']
};
const WORKED_BY_ANY: readonly Tissue[] = ['hip flexors', 'hamstrings'];
const HELD_SECONDS = 40;

/** Returns the tissues that the sport of a group has worked right before a class; none where it comes from none. */
export const workedBySport = ({ moment, preset }: Group): readonly Tissue[] =>
	moment === 'after sport' ? (WORKED[preset] ?? WORKED_BY_ANY) : [];

/** How many of the tissues that a sport has worked are not held in the release, after it. */
function heldTooShort(draft: Draft, group: Group): number {
	// a shape that flows is not held
	const items = draftItems(draft[RELEASE]!.filter(({ rounds }) => !rounds));
	return workedBySport(group).filter((tissue) => {
		const held = items.reduce(
			(sum, { candidate }) => sum + (candidate.load.lengthens.get(tissue) ?? 0) * candidate.workSeconds,
			0
		);
		return held < HELD_SECONDS;
	}).length;
}
