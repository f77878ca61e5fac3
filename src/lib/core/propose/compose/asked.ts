import { DIRECTIONS } from '../../anatomy';
import type { Group } from '../../group';
import { SECTION_KINDS } from '../../plan';
import { purposesWanted } from '../../rules';
import type { Purpose } from '../../movement';
import type { TeachingStyle } from '../../style';
import { worth, type Kinds, type Step } from '../model';
import { readDraft, type Draft } from './draft';
import { endsUpright } from './material';
import { STANDING, USUAL_SHARES, type Story } from './story';

/** Points, of the same size as those of the model, for what a class asks for besides being one. */
const ASKED = {
	/** Per tenth of the class too long or too short. */
	length: 6,
	/** Per tenth of the class by which a part is away from its usual share. */
	share: 0.6,
	/** Per tenth of the class by which the time on the feet is outside its range. */
	standing: 1.2,
	/** For each purpose of the group that is wanted and missing in build and peak. */
	purpose: 1.2,
	/** For a story: the share of build and peak that serves it, up to {@link STORY_SHARE}. */
	story: 3,
	/** For a direction that is left out. */
	leftOut: 1.5,
	/** For each wish that is not met. */
	wish: 6,
	/** For a part that holds nothing though it should. */
	empty: 3,
	/** For each item that a class of its length has fewer than usual. */
	items: 0.4,
	/** For each way from the floor to the feet or back beyond {@link FAR_WAYS}. */
	ways: 0.4,
	/** For each strong item that the peak has fewer than two. */
	peakItems: 1,
	/** For a warm-up that does not move in two positions. */
	warm: 1.5,
	/** For strength of the peak that is not in sets, and for a peak that nothing lets go. */
	peak: 0.8,
	/** For each point by which the peak asks less than it could. */
	demand: 0.7,
	/** For the share of heavy blocks that nothing lets go after. */
	letsGo: 1.5,
	/** For a release that works more than it lets go, as a share. */
	release: 2,
	/** For each visit of something easy beyond two. */
	filler: 0.6,
	/** For the same movement twice in a row. */
	again: 1.5,
	/** For a chain where the style runs none, and for each half of the sided build that is unlinked where it runs them. */
	style: 0.5
} as const;
const STORY_SHARE = 0.65;
/** A direction with less than this part of the direction time is left out. */
const LEFT_OUT = 0.03;
/** Taught classes have about six to seven; with sets and pauses a little fewer. Common practice, no source. */
const ITEMS_IN_TEN_MINUTES = 5.5;
/** Down to begin with, up for the build, down to end: more of it tires. */
const FAR_WAYS = 3;

export interface Task {
	group: Group;
	style: TeachingStyle;
	story: Story;
	purposes: ReadonlySet<Purpose>;
	kinds: Kinds;
	/** The most that can be asked of them in the peak. */
	mostDemand: number;
	lengthSeconds: number;
	must: readonly string[];
	toward: string | null;
	/** Movements of other proposals: at most half of a class is shared. */
	others: readonly ReadonlySet<string>[];
}

/** What a draft is worth for its task; more is better. */
export function valueOf(draft: Draft, task: Task): number {
	const reading = readDraft(draft, task.kinds, task.purposes);
	const { steps, totalSeconds, shares } = reading;
	if (steps.length === 0) return -1000;
	let points = worth(reading).total;
	const off = Math.abs(totalSeconds / task.lengthSeconds - 1);
	points -= ASKED.length * 10 * Math.max(0, off - 0.02);
	for (const [i, kind] of SECTION_KINDS.entries()) {
		const upright = endsUpright(task.group);
		const wanted = kind === 'rest' && upright ? 0.03 : USUAL_SHARES[kind];
		const share = shares[i]! / totalSeconds;
		points -= ASKED.share * 10 * Math.max(0, Math.abs(share - wanted) - 0.03);
		if (draft[i]!.length === 0 && !(kind === 'rest' && upright)) points -= ASKED.empty;
	}
	let [standing, seconds, about] = [0, 0, 0];
	const served = new Set<Purpose>();
	const slugs = new Set<string>();
	for (const { traits, section, seconds: own } of steps) {
		const { purposes, slug } = traits.movement;
		slugs.add(slug);
		if (traits.level === 3) standing += own;
		if ((section !== 'build' && section !== 'peak') || traits.reset) continue;
		seconds += own;
		for (const purpose of purposes) served.add(purpose);
		if (purposes.some((p) => task.story.themes.includes(p))) about += own;
	}
	const [least, most] = task.style.holding === 'quiet' ? [0, 0.3] : STANDING[task.group.preset];
	points -=
		ASKED.standing * 10 * Math.max(0, least - standing / totalSeconds, standing / totalSeconds - most);
	const wanted = purposesWanted(task.group.purposes.length, task.lengthSeconds);
	const has = task.group.purposes.filter((purpose) => served.has(purpose)).length;
	points -= ASKED.purpose * Math.max(0, wanted - has);
	const share = seconds ? about / seconds : 0;
	points += ASKED.story * (Math.min(STORY_SHARE, share) / STORY_SHARE);
	points -= ASKED.items * Math.max(0, (task.lengthSeconds / 600) * ITEMS_IN_TEN_MINUTES - steps.length);
	points -= ASKED.warm * coldStart(draft);
	let ways = 0;
	for (let i = 1; i < steps.length; i++)
		if (Math.abs(steps[i]!.traits.level - steps[i - 1]!.traits.level) >= 2) ways += 1;
	points -= ASKED.ways * Math.max(0, ways - FAR_WAYS);
	points -=
		ASKED.peakItems *
		Math.max(0, 2 - draft[PEAK]!.flat().filter(({ matter }) => matter.traits.strong).length);
	points -= ASKED.peak * loosePeak(draft);
	let again = 0;
	for (let i = 1; i < steps.length; i++) {
		const same = steps[i]!.traits.kind === steps[i - 1]!.traits.kind;
		if (same && steps[i]!.section === 'settle') again += 1;
		// held where it moved, or a form further, is a return
		if (
			same &&
			steps[i]!.traits.demand <= steps[i - 1]!.traits.demand &&
			steps[i]!.traits.rank <= steps[i - 1]!.traits.rank
		)
			again += 1;
	}
	points -= ASKED.again * again;
	points -= ASKED.filler * fillers(steps);
	const hardest = Math.max(
		0,
		...steps.map(({ traits, section }) => (section === 'peak' ? traits.demand : 0))
	);
	points -= ASKED.demand * Math.max(0, task.mostDemand - hardest);
	points -= ASKED.letsGo * heldOn(steps);
	points -= ASKED.release * working(draft, task.group);
	points -= ASKED.leftOut * leftOut(draft);
	points -= ASKED.wish * task.must.filter((slug) => !slugs.has(slug)).length;
	if (
		task.toward &&
		!draft[SECTION_KINDS.indexOf('peak')]!.flat().some(
			({ matter }) => matter.traits.movement.slug === task.toward
		)
	)
		points -= ASKED.wish;
	for (const other of task.others) {
		const shared = [...slugs].filter((slug) => other.has(slug)).length / slugs.size;
		points -= ASKED.wish * Math.max(0, shared - 0.45);
	}
	if (task.style.runningSides !== 'chain' && task.style.holding === 'quiet')
		points -= ASKED.style * draft.flat().filter((unit) => unit.length > 1).length;
	return points;
}

const WARM = SECTION_KINDS.indexOf('warm');
const PEAK = SECTION_KINDS.indexOf('peak');
const RELEASE = SECTION_KINDS.indexOf('release');
/** From this demand on a block wants something after it that lets go. */
const HEAVY = 3.5;

/** 0 where the warm-up moves at least twice, in two positions; up to 1 for what is missing. */
function coldStart(draft: Draft): number {
	const moving = draft[WARM]!.flat().filter(({ matter }) => matter.traits.rank === 0);
	const positions = new Set(moving.map(({ matter }) => matter.traits.movement.position));
	return (Math.max(0, 2 - moving.length) + Math.max(0, 2 - positions.size)) / 4;
}

/** Visits beyond two of what is easy and no reset, and beyond four of a reset. */
function fillers(steps: readonly Step[]): number {
	const visits = new Map<number, { count: number; most: number }>();
	const released = new Map<number, number>();
	let resets = 0;
	for (const [i, { traits, section }] of steps.entries()) {
		if (section === 'release') released.set(traits.kind, (released.get(traits.kind) ?? 0) + 1);
		if (traits.reset && steps[i - 1]?.traits.reset && section !== 'warm') resets += 1;
		const known = visits.get(traits.kind) ?? { count: 0, most: 0 };
		visits.set(traits.kind, {
			count: known.count + 1,
			most: Math.max(known.most, traits.reset ? 4 : traits.demand < 3 ? 2 : 3)
		});
	}
	let over = resets;
	for (const count of released.values()) over += count - 1;
	for (const { count, most } of visits.values()) over += Math.max(0, count - most);
	return over;
}

/** The share of heavy blocks of build and peak after which nothing lets go. */
function heldOn(steps: readonly Step[]): number {
	let [heavy, held] = [0, 0];
	for (let i = 0; i + 1 < steps.length; i++) {
		const { traits, section, unit } = steps[i]!;
		const next = steps[i + 1]!;
		if ((section !== 'build' && section !== 'peak') || traits.demand < HEAVY || next.unit === unit) continue;
		heavy += 1;
		if (!next.traits.reset && next.traits.demand > 2) held += 1;
	}
	return heavy ? held / heavy : 0;
}

/** The share of the release that is not left to weight, where people do not go on to something else. */
function working(draft: Draft, group: Group): number {
	if (endsUpright(group)) return 0;
	const parts = draft[RELEASE]!.flat();
	const all = parts.reduce((sum, { matter }) => sum + matter.seconds, 0);
	const works = parts
		.filter(({ matter }) => matter.traits.rank < 2)
		.reduce((sum, { matter }) => sum + matter.seconds, 0);
	return all ? Math.max(0, works / all - 0.35) : 0;
}

/** How far the peak is from strength in sets, with something that lets go after it. */
function loosePeak(draft: Draft): number {
	const units = draft[PEAK]!;
	const strong = units.filter((unit) => unit.some(({ matter }) => matter.traits.strong));
	const inSets = strong.filter((unit) => unit.length > 1 || unit[0]!.sets > 1);
	const last = units.at(-1)?.[0]?.matter.traits;
	return (strong.length ? 1 - inSets.length / strong.length : 1) + Number(!last?.reset);
}

/** How many of flexion and the two rotations hardly come. */
function leftOut(draft: Draft): number {
	const sums = DIRECTIONS.map(() => 0);
	for (const { matter } of draft.flat(2))
		for (const i of DIRECTIONS.keys()) sums[i]! += matter.traits.directions[i]! * matter.seconds;
	const all = sums.reduce((a, b) => a + b, 0);
	if (!all) return 3;
	return ['flexion', 'internalRotation', 'externalRotation'].filter(
		(d) => sums[DIRECTIONS.indexOf(d as (typeof DIRECTIONS)[number])]! / all < LEFT_OUT
	).length;
}
