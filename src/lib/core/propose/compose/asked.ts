import { DIRECTIONS, type Direction, type Tissue } from '../../anatomy';
import type { Group } from '../../group';
import type { Targets } from '../../orbit';
import { SECTION_KINDS } from '../../plan';
import { FORM_IDS, type Purpose } from '../../movement';
import { purposesWanted } from '../../rules';
import type { TeachingStyle } from '../../style';
import { TERMS, worth, type Kinds, type Step } from '../model';
import type { Weights, Wishes } from '../types';
import { readDraft, secondsOfUnit, type Draft, type Part } from './draft';
import type { Keep } from './kept';
import { endsUpright } from './material';
import { sharesOf, standingOf, type Story } from './story';

/** Points, of the same size as those of the model, for what a class asks for besides being one. */
const ASKED = {
	/** Per tenth of the class too long or too short. */
	length: 6,
	/** Per tenth of the class by which a part is away from its usual share. */
	share: 0.8,
	/** Per tenth of the class by which the time on the feet is outside its range. */
	standing: 1.2,
	/** For each purpose of the group that is wanted and missing in build and peak. */
	purpose: 1.2,
	/** For each block that no theme has there. */
	stray: 0.35,
	/** For each block of the peak that no theme has there, and for each that asks for too little to be there. */
	strayPeak: 0.8,
	/** For each block that a theme has fewer than {@link LEAST_OF_THEME}. */
	theme: 1.2,
	/** For each two blocks of a theme that stand the other way round. */
	order: 0.3,
	/** For a theme of which nothing comes back further. */
	back: 0.8,
	/** For a theme that nothing wakes, and one that nothing lets go. */
	frame: 0.5,
	/** For a peak in which the first theme does not come to its end. */
	ownPeak: 2,
	/** For a direction that is left out. */
	leftOut: 2,
	/** For each percent of the direction time by which one is below its band: a class is no ring, weeks are. */
	band: 0.02,
	/** The same for one that the group has had too little of. */
	wantedBand: 0.5,
	/** For a first thing that changes sides or wants kit, before people have arrived. */
	arriving: 0.7,
	/** For each of two likenesses of the hardest of the peak that do not lead up to it. */
	ledUp: 0.8,
	/** For each wish that is not met. */
	wish: 6,
	/** For the whole way from the wished share of an earlier class. */
	like: 20,
	/** For each whole point (of ten) by which the mean effort is outside what is asked for. */
	effort: 20,
	/** For each movement that comes again in an easier form. */
	goesDown: 1,
	/** For each minute by which one thing alone goes on for longer than {@link LONGEST_SECONDS}. */
	tooLong: 0.8,
	/** For a part that holds nothing though it should. */
	empty: 3,
	/** For each item that a class of its length has fewer than usual. */
	items: 0.4,
	/** For each way from the floor to the feet or back beyond {@link FAR_WAYS}. */
	ways: 0.4,
	/** For each strong item that the peak has fewer than two. */
	peakItems: 1,
	/** For a warm-up that does not move in two positions. */
	warm: 2,
	/** For strength of the peak that is not in sets. */
	peak: 0.8,
	/** For each point by which the peak asks less than it could, and by which something before it asks as much. */
	demand: 0.7,
	/** For a release that works more than it lets go, as a share. */
	release: 2,
	/** For the same movement twice in a row. */
	again: 1.5,
	/** For the same movement again in one part, or in one theme of the build: a return wants something between. */
	sameSpot: 1,
	/** For each visit of a movement beyond two that goes no further. */
	filler: 0.6,
	/** For each chain of a teacher who holds long and runs none, and each missing where a style runs them. */
	style: 0.5,
	/** For a class of half an hour and more in which nothing is linked. */
	link: 2.5
} as const;
/** A theme comes to so many blocks of the build, in a class of three quarters of an hour. */
const LEAST_OF_THEME = 3;
/** So many things lead up to a peak, the last of them within so much of the class. Common practice, no source. */
const LEADING = 2;
const LATELY = 0.25;
/** What asks for so much less than what they can do is no peak. */
const PEAK_BELOW = 1.5;
/** A direction with less than this part of the direction time is left out. */
const LEFT_OUT = 0.05;
/** Taught classes have about six to seven; with sets and pauses a little fewer. Common practice, no source. */
const ITEMS_IN_TEN_MINUTES = 5.5;
/** One thing with all of its sets and both sides: longer, and people wait. Common practice, no source. */
const LONGEST_SECONDS = 270;
/** A teacher of chains runs one in so much of a class. */
const CHAIN_EVERY_SECONDS = 600;
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
	wishes: Wishes & { weights: Weights };
	/** What the group has met; null where nothing is known of it. */
	known: ReadonlySet<string> | null;
	/** How far the last ordinary class went with each movement. */
	before: ReadonlyMap<string, { form: number; sets: number }>;
	keep: Keep;
	targets: Targets;
	/** Movements of other proposals: at most half of a class is shared. */
	others: readonly ReadonlySet<string>[];
}

/** What a draft is worth for its task; more is better. */
export function valueOf(draft: Draft, task: Task): number {
	const reading = readDraft(draft, task.kinds, task.purposes);
	if (reading.steps.length === 0) return -1000;
	const { flow } = task.wishes.weights;
	return (
		worth(reading).total -
		(flow - 1) * TERMS.way.points * reading.way -
		shapeLoss(draft, reading, task) -
		storyLoss(draft, task) -
		peopleLoss(reading, task) -
		orderLoss(draft, reading.steps, task) -
		wishLoss(draft, reading, task)
	);
}

/** Length, and the length of each part. */
function shapeLoss(
	draft: Draft,
	{ steps, totalSeconds, shares }: ReturnType<typeof readDraft>,
	{ group, style, lengthSeconds, keep }: Task
): number {
	let loss = ASKED.length * 10 * Math.max(0, Math.abs(totalSeconds / lengthSeconds - 1) - 0.02);
	for (const [i, wanted] of sharesOf(group, style).entries()) {
		loss += ASKED.share * 10 * Math.max(0, Math.abs(shares[i]! / totalSeconds - wanted) - 0.03);
		if (keep.closed.has(SECTION_KINDS[i]!)) continue;
		if (draft[i]!.length === 0 && !(SECTION_KINDS[i] === 'rest' && endsUpright(group))) loss += ASKED.empty;
	}
	for (const unit of draft.slice(WARM, RELEASE).flat())
		if (unit.parts.length === 1 && !unit.kept)
			loss += (ASKED.tooLong * Math.max(0, secondsOfUnit(unit) - LONGEST_SECONDS)) / 60;
	const usual = (lengthSeconds / 600) * (style.holding === 'quiet' ? 4 : ITEMS_IN_TEN_MINUTES);
	return loss + ASKED.items * Math.max(0, usual - steps.length);
}

/** Whether the class is about its themes: each woken, built up in its order, come back to further, and let go. */
function storyLoss(draft: Draft, { story, lengthSeconds, mostDemand }: Task): number {
	const least = lengthSeconds >= 2400 ? LEAST_OF_THEME : 2;
	const themes = story.themes.length;
	const count = story.themes.map(() => 0);
	const lastRank = story.themes.map(() => -1);
	const [woken, released] = [new Set<number>(), new Set<number>()];
	let loss = 0;
	for (const unit of draft[WARM]!) if (unit.theme !== null) woken.add(unit.theme);
	for (const unit of draft[RELEASE]!) if (unit.theme !== null) released.add(unit.theme);
	for (const { theme, rank, parts, kept } of draft[BUILD]!) {
		if (theme === null || rank === null) {
			if (!kept && !parts[0]!.matter.traits.reset) loss += ASKED.stray;
			continue;
		}
		count[theme]! += 1;
		if (rank < lastRank[theme]!) loss += ASKED.order;
		lastRank[theme] = Math.max(rank, lastRank[theme]!);
	}
	for (const { theme, rank, parts, kept } of draft[PEAK]!) {
		if (kept || parts.every(({ matter }) => matter.traits.reset)) continue;
		const most = Math.max(...parts.map(({ matter }) => matter.traits.demand));
		loss +=
			ASKED.strayPeak * (Number(theme === null || rank === null) + Number(most < mostDemand - PEAK_BELOW));
	}
	for (let t = 0; t < themes; t++) {
		loss += ASKED.theme * Math.max(0, least - count[t]!);
		loss += ASKED.frame * (Number(!woken.has(t)) + Number(!released.has(t)));
		if (!comesBack(draft, t)) loss += ASKED.back;
	}
	const own = draft[PEAK]!.some(
		({ theme, parts }) => theme === 0 && parts.some(({ matter }) => matter.traits.strong)
	);
	return loss + (own ? 0 : ASKED.ownPeak);
}

/** Whether something of a theme is met again, harder or held where it moved. */
function comesBack(draft: Draft, theme: number): boolean {
	const met = new Map<number, { demand: number; rank: number }>();
	for (const unit of [...draft[WARM]!, ...draft[BUILD]!, ...draft[PEAK]!, ...draft[RELEASE]!])
		for (const { matter } of unit.parts) {
			const { kind, demand, rank, reset } = matter.traits;
			if (reset) continue;
			const before = met.get(kind);
			if (before && unit.theme === theme && (demand > before.demand || rank > before.rank)) return true;
			if (!before) met.set(kind, { demand, rank });
		}
	return false;
}

/** What these people come for, and where they want to be while they do it. */
function peopleLoss({ steps, totalSeconds }: ReturnType<typeof readDraft>, task: Task): number {
	const { group, style } = task;
	let standing = 0;
	const served = new Set<Purpose>();
	for (const { traits, section, seconds } of steps) {
		if (traits.level === 3) standing += seconds;
		if ((section !== 'build' && section !== 'peak') || traits.reset) continue;
		for (const purpose of traits.movement.purposes) served.add(purpose);
	}
	const [least, most] = standingOf(group, style);
	const share = standing / totalSeconds;
	const wanted = purposesWanted(group.purposes.length, task.lengthSeconds);
	const has = group.purposes.filter((purpose) => served.has(purpose)).length;
	return (
		ASKED.standing * 10 * Math.max(0, least - share, share - most) + ASKED.purpose * Math.max(0, wanted - has)
	);
}

/** How it opens, rises, peaks and comes down. */
function orderLoss(draft: Draft, steps: readonly Step[], task: Task): number {
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
	let [inPeak, before] = [0, 0];
	for (const { traits, section } of steps)
		if (section === 'peak') inPeak = Math.max(inPeak, traits.demand);
		else if (section !== 'release') before = Math.max(before, traits.demand);
	return (
		ASKED.ways * Math.max(0, ways - FAR_WAYS) +
		ASKED.again * again +
		ASKED.sameSpot * variety * sameSpots(draft) +
		ASKED.filler * variety * fillers(steps) +
		ASKED.warm * coldStart(draft) +
		ASKED.peakItems * Math.max(0, 2 - draft[PEAK]!.flatMap(({ parts }) => parts).filter(isStrong).length) +
		ASKED.peak * loosePeak(draft) +
		ASKED.demand * (Math.max(0, task.mostDemand - inPeak) + Math.max(0, before - inPeak)) +
		ASKED.release * working(draft, task.group) +
		directionLoss(draft, task) +
		ASKED.ledUp * (LEADING - ledUp(steps, task.kinds)) +
		ASKED.arriving *
			Number(
				draft[WARM]![0]?.parts.some(({ matter: { traits } }) => traits.sided || traits.kit.length > 0) ??
					false
			) +
		linkLoss(draft, task)
	);
}

/** Chains and flows, as a teacher of this style runs them. */
function linkLoss(draft: Draft, { style, lengthSeconds }: Task): number {
	const linked = draft.flat().filter(({ parts }) => parts.length > 1).length;
	if (style.runningSides === 'chain')
		return ASKED.style * Math.max(0, lengthSeconds / CHAIN_EVERY_SECONDS - linked);
	if (style.holding === 'quiet') return ASKED.style * linked;
	return linked === 0 && lengthSeconds >= 1800 ? ASKED.link : 0;
}

/** What the teacher asked for, and likeness to other proposals. */
function wishLoss(draft: Draft, { steps, effort }: ReturnType<typeof readDraft>, task: Task): number {
	const { wishes, known, before, others } = task;
	const { must = [], toward, like, lengthen = [] } = wishes;
	const slugs = new Set(steps.map(({ traits }) => traits.movement.slug));
	let unmet = must.filter((slug) => !slugs.has(slug)).length;
	if (
		toward &&
		!draft[PEAK]!.some(({ parts }) => parts.some((p) => p.matter.traits.movement.slug === toward))
	)
		unmet += 1;
	for (const other of others)
		unmet += Math.max(0, [...slugs].filter((slug) => other.has(slug)).length / slugs.size - 0.45);
	if (known && wishes.mostNew !== undefined)
		unmet +=
			2 *
			Math.max(
				0,
				[...slugs].filter((slug) => !known.has(slug) && !must.includes(slug)).length - wishes.mostNew
			);
	for (const tissue of lengthen) unmet += 1 - Math.min(1, heldLong(draft, tissue) / HELD_SECONDS);
	let loss = ASKED.wish * unmet;
	if (like) {
		const again = [...slugs].filter((slug) => like.movements.includes(slug)).length / slugs.size;
		loss += ASKED.like * Math.max(0, Math.abs(again - like.share) - LIKE_SLACK);
	}
	const { least = 0, most = Infinity } = wishes.effort ?? {};
	loss += ASKED.effort * Math.max(0, least - effort, effort - most);
	return loss + ASKED.goesDown * goneDown(draft, before);
}

/** A tissue is held long when one leg hangs in it for so long. */
const HELD_SECONDS = 60;
/** So far from the wished share of an earlier class nobody minds. */
const LIKE_SLACK = 0.05;

/** Seconds in which a tissue is held long on one leg. */
function heldLong(draft: Draft, tissue: Tissue): number {
	let seconds = 0;
	for (const { option } of draft.flatMap(partsOf).map(({ matter }) => matter))
		seconds += (option.lengthens.get(tissue) ?? 0) * option.workSeconds[option.usual]!;
	return seconds;
}

/** Movements of the class before that come again and are given in an easier form, or in fewer sets. */
function goneDown(draft: Draft, before: Task['before']): number {
	if (before.size === 0) return 0;
	const now = new Map<string, { form: number; sets: number }>();
	for (const { matter, sets } of draft.flatMap(partsOf)) {
		const { movement, form } = matter.traits;
		if (!before.has(movement.slug) || matter.traits.reset) continue;
		const known = now.get(movement.slug);
		now.set(movement.slug, {
			form: Math.max(known?.form ?? 0, FORM_IDS.indexOf(form.id)),
			sets: Math.max(known?.sets ?? 1, sets)
		});
	}
	let down = 0;
	for (const [slug, { form, sets }] of now) {
		const last = before.get(slug)!;
		if (form < last.form) down += 1;
		else if (form === last.form && sets < last.sets) down += 0.5;
	}
	return down;
}

const WARM = SECTION_KINDS.indexOf('warm');
const BUILD = SECTION_KINDS.indexOf('build');
const PEAK = SECTION_KINDS.indexOf('peak');
const RELEASE = SECTION_KINDS.indexOf('release');
const isStrong = ({ matter }: Part) => matter.traits.strong;
const partsOf = (units: Draft[number]) => units.flatMap(({ parts }) => parts);

/** 0 where the warm-up moves at least twice, in two positions; up to 1 for what is missing. */
function coldStart(draft: Draft): number {
	const moving = partsOf(draft[WARM]!).filter(({ matter }) => matter.traits.rank === 0);
	const positions = new Set(moving.map(({ matter }) => matter.traits.movement.position));
	return (Math.max(0, 2 - moving.length) + Math.max(0, 2 - positions.size)) / 4;
}

/** How many different things lead up to the hardest of the peak: alike, before it, and not long ago. */
function ledUp(steps: readonly Step[], kinds: Kinds): number {
	let top: Step | null = null;
	for (const step of steps)
		if (step.section === 'peak' && (!top || step.traits.demand > top.traits.demand)) top = step;
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
			for (const { matter } of unit.parts) {
				const { kind, reset } = matter.traits;
				if (reset && index !== WARM) continue;
				if (spot.has(kind)) count += 1;
				spot.add(kind);
			}
		}
	}
	return count;
}

/** Visits beyond two of what is easy, and beyond three of anything but what lets go between. */
function fillers(steps: readonly Step[]): number {
	const visits = new Map<number, { count: number; most: number }>();
	const released = new Map<number, number>();
	for (const { traits, section } of steps) {
		if (section === 'release') released.set(traits.kind, (released.get(traits.kind) ?? 0) + 1);
		const known = visits.get(traits.kind) ?? { count: 0, most: 0 };
		visits.set(traits.kind, {
			count: known.count + 1,
			most: Math.max(known.most, traits.reset ? 4 : traits.demand < 3 ? 2 : 3)
		});
	}
	let over = 0;
	for (const count of released.values()) over += count - 1;
	for (const { count, most } of visits.values()) over += Math.max(0, count - most);
	return over;
}

/** The share of the release that is not left to weight, where people do not go on to something else. */
function working(draft: Draft, group: Group): number {
	if (endsUpright(group)) return 0;
	const parts = partsOf(draft[RELEASE]!);
	const all = parts.reduce((sum, { matter }) => sum + matter.seconds, 0);
	const works = parts
		.filter(({ matter }) => matter.traits.rank < 2)
		.reduce((sum, { matter }) => sum + matter.seconds, 0);
	return all ? Math.max(0, works / all - 0.35) : 0;
}

/** The share of the strength of the peak that is in no sets and no chain. */
function loosePeak(draft: Draft): number {
	const strong = draft[PEAK]!.filter(({ parts }) => parts.some(isStrong));
	const inSets = strong.filter(({ parts }) => parts.length > 1 || parts[0]!.sets > 1);
	return strong.length ? 1 - inSets.length / strong.length : 1;
}

/** How many of flexion and the two rotations hardly come, and how far any direction is below its band. */
function directionLoss(draft: Draft, { wishes, targets }: Task): number {
	const sums = DIRECTIONS.map(() => 0);
	for (const { matter } of draft.flatMap(partsOf)) {
		const { option, traits } = matter;
		const seconds = option.workSeconds[option.usual]!;
		for (const i of DIRECTIONS.keys()) sums[i]! += traits.directions[i]! * seconds;
	}
	const all = sums.reduce((a, b) => a + b, 0);
	if (!all) return ASKED.leftOut * NEVER_LEFT_OUT.size;
	let loss = 0;
	for (const [i, direction] of DIRECTIONS.entries()) {
		const share = sums[i]! / all;
		if (NEVER_LEFT_OUT.has(direction) && share < LEFT_OUT) loss += ASKED.leftOut;
		const below = Math.max(0, targets.directions[direction].minPercent - 100 * share);
		loss += below * (wishes.more?.includes(direction) ? ASKED.wantedBand : ASKED.band);
	}
	return wishes.weights.balance * loss;
}
const NEVER_LEFT_OUT: ReadonlySet<Direction> = new Set(['flexion', 'internalRotation', 'externalRotation']);
