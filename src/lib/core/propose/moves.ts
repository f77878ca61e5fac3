import { SECTION_KINDS } from '../plan';
import type { Candidate } from './candidate';
import type { Facts } from './facts';
import { nearest } from './nearest';
import type { Pool } from './pool';
import type { Random } from './random';

/** Part of the steps that look for something in the same body position as the neighbour: it costs no change. */
const NEIGHBOURLY = 0.5;
/** Part of the exchanges in which the other movement gets its usual dose; in the rest it takes the time of the first. */
const USUAL_DOSE = 0.25;
/** Part of the changes after which others give up or take over the time, so that the class stays as long as it was. */
const LEVELLED = 0.7;
const REDOSE_LEVELLED = 0.8;
/** So many others are asked, and so few seconds are left as they are. */
const ASKED = 6;
const OFFERED = 3;
const LEVEL_SECONDS = 4;
/** From so many drawn by chance the one is taken that seems to add least; more at a time are too much alike. */
const DRAWN = 4;
/** Part of the moves and exchanges in which a movement is done as it was, not in any form and mode that may stand there. */
const AS_IT_IS = 0.5;
/** Longest jump of a dose in one step. */
const DOSE_STEP = 4;

/** What changes draw on. */
export interface Means {
	pool: Pool;
	random: Random;
	/**
	 * Points that an option seems to add in a part between two others (-1 for none), to have a better one at hand than any
	 * by chance. Without it any will do.
	 */
	adds?: (option: number, section: number, before: number, after: number) => number;
}

/**
 * Writes what a change by chance makes of a draft into another one; false where the change cannot be (the other one is
 * then of no use). Blocks that are kept stay in their part and in their order. Where doses are still to be found (a draft
 * without sums), none is changed by itself.
 */
export function change(now: Candidate, next: Candidate, means: Means): boolean {
	let kind = means.random();
	for (const [share, step] of now.summed ? STEPS : STEPS_WITHOUT_DOSES) {
		if (kind < share) return now.count > 0 && step(now, next, means);
		kind -= share;
	}
	return insert(now, next, means);
}

/** Whether a movement has its place already: each is proposed once. `besides`: the place that it may take. */
export function given(draft: Candidate, facts: Facts, other: number, besides = -1): boolean {
	const { firstMovement, movements } = facts;
	const wanted = facts.movementOf(other);
	for (let i = 0; i < draft.count; i++) {
		if (i === besides) continue;
		const option = draft.option[i]!;
		for (let m = firstMovement[option]!; m < firstMovement[option + 1]!; m++)
			if (movements[m] === wanted) return true;
	}
	return false;
}

/** Seconds of work of a piece. */
const workOf = ({ option, amount }: Candidate, at: number, { workSeconds, firstDose }: Facts) =>
	workSeconds[firstDose[option[at]!]! + amount[at]!]!;

/** Seconds of a piece without getting there. */
const secondsOf = (draft: Candidate, at: number, facts: Facts) =>
	facts.aroundSeconds[draft.option[at]!]! + workOf(draft, at, facts);

/** The dose of an option that takes nearest to some seconds, without getting there. */
function doseTaking(
	option: number,
	seconds: number,
	{ aroundSeconds, workSeconds, firstDose }: Facts
): number {
	const first = firstDose[option]!;
	return nearest(workSeconds, seconds - aroundSeconds[option]!, first, firstDose[option + 1]!) - first;
}

/** A dose for an option that comes into a place: the usual one, or the one that takes as long as what was there. */
function doseFor(option: number, seconds: number, facts: Facts, random: Random): number {
	return random() < USUAL_DOSE ? facts.usual[option]! : doseTaking(option, seconds, facts);
}

/**
 * Something for a place in a part, often from the position beside it; -1 where nothing is found.
 * @param after the piece that comes after the place
 */
function chosen(at: number, section: number, draft: Candidate, means: Means, after = at + 1): number {
	const { pool, random } = means;
	const all = pool.bySection[section]!;
	if (all.length === 0) return -1;
	const beside = random() < 0.5 ? at - 1 : after;
	const near =
		beside >= 0 && beside < draft.count && random() < NEIGHBOURLY
			? pool.from(section, pool.facts.leavePosition[draft.option[beside]!]!)
			: undefined;
	return drawn(near ?? all, at, section, draft, means, after);
}

/**
 * One of some options for a place in a part. Where it is known what each seems to add, the best of a few that are not
 * given yet; -1 where all of these are.
 */
function drawn(
	from: Int32Array,
	at: number,
	section: number,
	draft: Candidate,
	{ pool, random, adds }: Means,
	after = at + 1
): number {
	if (!adds) return from[random.below(from.length)]!;
	const { option: options, count } = draft;
	// what stands in the place makes room for it
	const own = after > at ? at : -1;
	const before = at > 0 ? options[at - 1]! : -1;
	const behind = after < count ? options[after]! : -1;
	let best = -1;
	let least = Infinity;
	for (let i = 0; i < DRAWN; i++) {
		const option = from[random.below(from.length)]!;
		if (own >= 0 && option === options[own]) continue;
		const points = adds(option, section, before, behind);
		if (points >= least || given(draft, pool.facts, option, own)) continue;
		least = points;
		best = option;
	}
	return best;
}

function replace(now: Candidate, next: Candidate, means: Means): boolean {
	const { pool, random } = means;
	const { facts } = pool;
	const at = random.below(now.count);
	if (facts.kept[now.option[at]!]) return false;
	const section = now.section[at]!;
	const option = chosen(at, section, now, means);
	if (option < 0 || option === now.option[at] || given(now, facts, option, at)) return false;
	next.copy(now);
	next.put(at, option, doseFor(option, secondsOf(now, at, facts), facts, random), section);
	return true;
}

function insert(now: Candidate, next: Candidate, means: Means): boolean {
	const { pool, random } = means;
	const { facts } = pool;
	if (!now.roomy) return false;
	// now and then at the end of any part, so that one that was emptied is filled again
	const anywhere = now.count === 0 || random() < 0.2;
	const before = random.below(now.count + 1);
	const section = anywhere
		? random.below(SECTION_KINDS.length)
		: now.section[Math.min(before, now.count - 1)]!;
	const at = anywhere ? now.start(section + 1) : before;
	const option = chosen(at, section, now, means, at);
	if (option < 0 || given(now, facts, option)) return false;
	next.copy(now);
	next.insert(at, option, facts.usual[option]!, section);
	if (random() < LEVELLED) level(next, -secondsOf(next, at, facts), facts, random, at);
	return true;
}

function remove(now: Candidate, next: Candidate, { pool: { facts }, random }: Means): boolean {
	const at = random.below(now.count);
	if (facts.kept[now.option[at]!]) return false;
	next.copy(now);
	next.remove(at);
	if (random() < LEVELLED) level(next, secondsOf(now, at, facts), facts, random);
	return true;
}

function redose(now: Candidate, next: Candidate, { pool: { facts }, random }: Means): boolean {
	const at = random.below(now.count);
	const doses = facts.doses(now.option[at]!);
	if (doses < 2) return false;
	const by = (1 + random.below(DOSE_STEP)) * (random() < 0.5 ? -1 : 1);
	const amount = Math.min(doses - 1, Math.max(0, now.amount[at]! + by));
	if (amount === now.amount[at]) return false;
	next.copy(now);
	next.dose(at, amount);
	if (random() < REDOSE_LEVELLED)
		level(next, workOf(now, at, facts) - workOf(next, at, facts), facts, random, at);
	return true;
}

/** Gives seconds to some of the pieces (or takes them), all but the one that just changed, so far as their doses go. */
function level(draft: Candidate, seconds: number, facts: Facts, random: Random, besides = -1): void {
	const { count, option } = draft;
	if (!draft.summed) return;
	let left = seconds;
	for (let asked = 0; asked < ASKED && count > 0 && Math.abs(left) > LEVEL_SECONDS; asked++) {
		// of some, the one whose dose is farthest from the usual one on the side from which it has to come back
		let at = random.below(count);
		for (let more = 1; more < OFFERED; more++) {
			const other = random.below(count);
			if (other !== besides && left * (overUsual(draft, other, facts) - overUsual(draft, at, facts)) < 0)
				at = other;
		}
		if (at === besides || facts.doses(option[at]!) < 2) continue;
		// the first ones take a part of it, the last ones all that is left
		const part = asked < ASKED / 2 ? left * (0.3 + 0.7 * random()) : left;
		const before = workOf(draft, at, facts);
		draft.dose(at, doseTaking(option[at]!, secondsOf(draft, at, facts) + part, facts));
		left -= workOf(draft, at, facts) - before;
	}
}

/** Seconds of work over the usual dose; negative below it. */
function overUsual(draft: Candidate, at: number, facts: Facts): number {
	const option = draft.option[at]!;
	return workOf(draft, at, facts) - facts.workSeconds[facts.firstDose[option]! + facts.usual[option]!]!;
}

/** To another place, of its own part or of another in which it may stand; there perhaps in another form or mode. */
function move(now: Candidate, next: Candidate, means: Means): boolean {
	const { pool, random } = means;
	const { facts } = pool;
	const at = random.below(now.count);
	const before = now.option[at]!;
	if (facts.kept[before]) return false;
	const section = random.below(SECTION_KINDS.length);
	const ways = pool.ways(before, section);
	if (ways.length === 0) return false;
	const same = random() < AS_IT_IS;
	if (same && !(facts.sections[before]! & (1 << section))) return false;
	const option = same ? before : ways[random.below(ways.length)]!;
	const amount = same ? now.amount[at]! : doseFor(option, secondsOf(now, at, facts), facts, random);
	next.copy(now);
	next.remove(at);
	const from = next.start(section);
	const to = from + random.below(next.start(section + 1) - from + 1);
	if (option === before && section === now.section[at] && to === at) return false;
	next.insert(to, option, amount, section);
	return true;
}

/** The first or the last of a part goes over to the part beside it, where it is in the order: perhaps in another form. */
function passOn(now: Candidate, next: Candidate, { pool, random }: Means): boolean {
	const { facts } = pool;
	const later = 1 + random.below(SECTION_KINDS.length - 1);
	const border = now.start(later);
	const [at, section] = random() < 0.5 ? [border, later - 1] : [border - 1, later];
	if (at < 0 || at >= now.count || now.section[at] === section || facts.kept[now.option[at]!]) return false;
	const before = now.option[at]!;
	const ways = pool.ways(before, section);
	if (ways.length === 0) return false;
	next.copy(now);
	if (facts.sections[before]! & (1 << section) && random() < AS_IT_IS) {
		next.put(at, before, now.amount[at]!, section);
		return true;
	}
	const option = ways[random.below(ways.length)]!;
	next.put(at, option, doseTaking(option, secondsOf(now, at, facts), facts), section);
	return true;
}

/** Two movements in each other's place and part, there perhaps in another form or mode. */
function exchange(now: Candidate, next: Candidate, means: Means): boolean {
	const { pool, random } = means;
	const { facts } = pool;
	const i = random.below(now.count);
	const j = random.below(now.count);
	const [a, b] = [now.option[i]!, now.option[j]!];
	if (i === j || facts.kept[a] || facts.kept[b]) return false;
	const [s, t] = [now.section[i]!, now.section[j]!];
	if (random() < AS_IT_IS) {
		if (!(facts.sections[a]! & (1 << t)) || !(facts.sections[b]! & (1 << s))) return false;
		next.copy(now);
		next.put(i, b, now.amount[j]!, s);
		next.put(j, a, now.amount[i]!, t);
		return true;
	}
	const [there, here] = [pool.ways(a, t), pool.ways(b, s)];
	if (there.length === 0 || here.length === 0) return false;
	const [x, y] = [here[random.below(here.length)]!, there[random.below(there.length)]!];
	next.copy(now);
	next.put(i, x, doseTaking(x, secondsOf(now, i, facts), facts), s);
	next.put(j, y, doseTaking(y, secondsOf(now, j, facts), facts), t);
	return true;
}

/** A movement takes the place of another; where it was something else comes in. */
function supplant(now: Candidate, next: Candidate, means: Means): boolean {
	const { pool, random } = means;
	const { facts } = pool;
	const from = random.below(now.count);
	const to = random.below(now.count);
	if (from === to || facts.kept[now.option[from]!] || facts.kept[now.option[to]!]) return false;
	const section = now.section[to]!;
	const ways = pool.ways(now.option[from]!, section);
	const other = chosen(from, now.section[from]!, now, means);
	if (ways.length === 0 || other < 0 || given(now, facts, other, to)) return false;
	const option = ways[random.below(ways.length)]!;
	next.copy(now);
	next.put(to, option, doseTaking(option, secondsOf(now, to, facts), facts), section);
	next.put(from, other, doseTaking(other, secondsOf(now, from, facts), facts), now.section[from]!);
	return true;
}

/** A run of neighbours in one position gives way to as many others in the position beside it: one change less. */
function rehouse(now: Candidate, next: Candidate, means: Means): boolean {
	const { pool, random } = means;
	const { facts } = pool;
	const at = random.below(now.count);
	const section = now.section[at]!;
	const position = facts.enterPosition[now.option[at]!]!;
	if (!housed(now, at, section, position, facts)) return false;
	let from = at;
	while (housed(now, from - 1, section, position, facts)) from -= 1;
	let to = at;
	while (housed(now, to + 1, section, position, facts)) to += 1;
	const beside = random() < 0.5 ? from - 1 : to + 1;
	if (beside < 0 || beside >= now.count) return false;
	const there = facts.leavePosition[now.option[beside]!]!;
	const others = there === position ? undefined : pool.from(section, there);
	if (!others) return false;
	next.copy(now);
	for (let i = from; i <= to; i++) {
		const option = drawn(others, i, section, next, means);
		if (option < 0 || given(next, facts, option, i)) return false;
		next.put(i, option, doseTaking(option, secondsOf(next, i, facts), facts), section);
	}
	return true;
}

/** Whether a piece is in a position in a part, and may be changed. */
function housed(draft: Candidate, at: number, section: number, position: number, facts: Facts): boolean {
	if (at < 0 || at >= draft.count || draft.section[at] !== section) return false;
	const option = draft.option[at]!;
	return !facts.kept[option] && facts.enterPosition[option] === position;
}

type Step = (now: Candidate, next: Candidate, means: Means) => boolean;
/** How often each step is tried, found by trial; what is left is inserting. */
const STEPS: readonly (readonly [number, Step])[] = [
	[0.25, replace],
	[0.2, redose],
	[0.11, rehouse],
	[0.1, remove],
	[0.1, exchange],
	[0.08, move],
	[0.04, supplant]
];
/** The same where doses are still to be found. */
const STEPS_WITHOUT_DOSES: readonly (readonly [number, Step])[] = [
	[0.35, replace],
	[0.15, remove],
	[0.08, passOn],
	[0.05, rehouse],
	[0.05, exchange],
	[0.04, move],
	[0.05, supplant]
];
