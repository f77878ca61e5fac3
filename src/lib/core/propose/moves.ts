import { SECTION_KINDS } from '../plan';
import type { Draft } from './draft';
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
/** Part of the steps in which neighbours give way together. */
const REHOUSED = 0.12;
/** Longest jump of a dose in one step. */
const DOSE_STEP = 4;

/**
 * Changes a draft by chance; false where the change cannot be (the draft is then of no use). Blocks that are kept stay
 * in their part and in their order.
 */
export function change(draft: Draft, pool: Pool, random: Random): boolean {
	if (random() < REHOUSED) return rehouse(draft, pool, random);
	const kind = random();
	if (kind < 0.3) return replace(draft, pool, random);
	if (kind < 0.45) return insert(draft, pool, random);
	if (kind < 0.56) return remove(draft, pool, random);
	if (kind < 0.8) return redose(draft, pool, random);
	if (kind < 0.88) return exchange(draft, pool, random);
	return move(draft, pool, random);
}

/** Whether a movement has its place already: each is proposed once. `besides`: the place that it may take. */
export function given(draft: Draft, facts: Facts, other: number, besides = -1): boolean {
	const { firstMovement, movements } = facts;
	const wanted = movements[firstMovement[other]!]!;
	for (let i = 0; i < draft.count; i++) {
		if (i === besides) continue;
		const option = draft.option[i]!;
		for (let m = firstMovement[option]!; m < firstMovement[option + 1]!; m++)
			if (movements[m] === wanted) return true;
	}
	return false;
}

/** Seconds of work of a piece. */
const workOf = ({ option, amount }: Draft, at: number, { workSeconds, firstDose }: Facts) =>
	workSeconds[firstDose[option[at]!]! + amount[at]!]!;

/** Seconds of a piece without getting there. */
const secondsOf = (draft: Draft, at: number, facts: Facts) =>
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

/** Something for a place in a part, often from the position beside it; -1 where there is nothing. */
function chosen(at: number, section: number, draft: Draft, pool: Pool, random: Random): number {
	const all = pool.bySection[section]!;
	if (all.length === 0) return -1;
	const beside = random() < 0.5 ? at - 1 : at + 1;
	const near =
		beside >= 0 && beside < draft.count && random() < NEIGHBOURLY
			? pool.from(section, pool.facts.leavePosition[draft.option[beside]!]!)
			: undefined;
	const from = near ?? all;
	return from[random.below(from.length)]!;
}

function replace(draft: Draft, pool: Pool, random: Random): boolean {
	const { facts } = pool;
	const at = random.below(draft.count);
	if (at >= draft.count || facts.kept[draft.option[at]!]) return false;
	const section = draft.section[at]!;
	const option = chosen(at, section, draft, pool, random);
	if (option < 0 || option === draft.option[at] || given(draft, facts, option, at)) return false;
	const amount =
		random() < USUAL_DOSE ? facts.usual[option]! : doseTaking(option, secondsOf(draft, at, facts), facts);
	draft.put(at, option, amount, section);
	return true;
}

function insert(draft: Draft, pool: Pool, random: Random): boolean {
	const { facts } = pool;
	if (!draft.roomy) return false;
	// now and then at the end of any part, so that one that was emptied is filled again
	const anywhere = draft.count === 0 || random() < 0.2;
	const before = random.below(draft.count + 1);
	const section = anywhere
		? random.below(SECTION_KINDS.length)
		: draft.section[Math.min(before, draft.count - 1)]!;
	const at = anywhere ? draft.start(section + 1) : before;
	const option = chosen(at, section, draft, pool, random);
	if (option < 0 || given(draft, facts, option)) return false;
	draft.insert(at, option, facts.usual[option]!, section);
	if (random() < LEVELLED) level(draft, -secondsOf(draft, at, facts), facts, random, at);
	return true;
}

function remove(draft: Draft, { facts }: Pool, random: Random): boolean {
	const at = random.below(draft.count);
	if (at >= draft.count || facts.kept[draft.option[at]!]) return false;
	const seconds = secondsOf(draft, at, facts);
	draft.remove(at);
	if (random() < LEVELLED) level(draft, seconds, facts, random);
	return true;
}

function redose(draft: Draft, { facts }: Pool, random: Random): boolean {
	const at = random.below(draft.count);
	if (at >= draft.count) return false;
	const doses = facts.doses(draft.option[at]!);
	if (doses < 2) return false;
	const by = (1 + random.below(DOSE_STEP)) * (random() < 0.5 ? -1 : 1);
	const amount = Math.min(doses - 1, Math.max(0, draft.amount[at]! + by));
	if (amount === draft.amount[at]) return false;
	const seconds = workOf(draft, at, facts);
	draft.dose(at, amount);
	if (random() < REDOSE_LEVELLED) level(draft, seconds - workOf(draft, at, facts), facts, random, at);
	return true;
}

/** Gives seconds to some of the pieces (or takes them), all but the one that just changed, so far as their doses go. */
function level(draft: Draft, seconds: number, facts: Facts, random: Random, besides = -1): void {
	const { count, option } = draft;
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
		const now = workOf(draft, at, facts);
		draft.dose(at, doseTaking(option[at]!, secondsOf(draft, at, facts) + part, facts));
		left -= workOf(draft, at, facts) - now;
	}
}

/** Seconds of work over the usual dose; negative below it. */
const overUsual = (draft: Draft, at: number, facts: Facts) => {
	const option = draft.option[at]!;
	return workOf(draft, at, facts) - facts.workSeconds[facts.firstDose[option]! + facts.usual[option]!]!;
};

/** To another place, of its own part or of another in which it may stand. */
function move(draft: Draft, { facts }: Pool, random: Random): boolean {
	const at = random.below(draft.count);
	if (at >= draft.count || facts.kept[draft.option[at]!]) return false;
	const [option, amount, before] = [draft.option[at]!, draft.amount[at]!, draft.section[at]!];
	const section = random.below(SECTION_KINDS.length);
	if (!(facts.sections[option]! & (1 << section))) return false;
	draft.remove(at);
	const from = draft.start(section);
	const to = from + random.below(draft.start(section + 1) - from + 1);
	if (section === before && to === at) return false;
	draft.insert(to, option, amount, section);
	return true;
}

/** Two movements in each other's place, also across parts where both may stand in the other's. */
function exchange(draft: Draft, { facts }: Pool, random: Random): boolean {
	const { count, option, amount, section } = draft;
	const [i, j] = [random.below(count), random.below(count)];
	if (i === j || i >= count || j >= count) return false;
	const [a, b] = [option[i]!, option[j]!];
	if (facts.kept[a] || facts.kept[b]) return false;
	if (!(facts.sections[a]! & (1 << section[j]!)) || !(facts.sections[b]! & (1 << section[i]!))) return false;
	const much = amount[i]!;
	draft.put(i, b, amount[j]!, section[i]!);
	draft.put(j, a, much, section[j]!);
	return true;
}

/** A run of neighbours in one position gives way to as many others in the position beside it: one change less. */
function rehouse(draft: Draft, pool: Pool, random: Random): boolean {
	const { facts } = pool;
	const at = random.below(draft.count);
	if (at >= draft.count) return false;
	const section = draft.section[at]!;
	const position = facts.enterPosition[draft.option[at]!]!;
	if (!housed(draft, at, section, position, facts)) return false;
	let from = at;
	while (housed(draft, from - 1, section, position, facts)) from -= 1;
	let to = at;
	while (housed(draft, to + 1, section, position, facts)) to += 1;
	const beside = random() < 0.5 ? from - 1 : to + 1;
	if (beside < 0 || beside >= draft.count) return false;
	const there = facts.leavePosition[draft.option[beside]!]!;
	const others = there === position ? undefined : pool.from(section, there);
	if (!others) return false;
	for (let i = from; i <= to; i++) {
		const option = others[random.below(others.length)]!;
		if (given(draft, facts, option, i)) return false;
		draft.put(i, option, doseTaking(option, secondsOf(draft, i, facts), facts), section);
	}
	return true;
}

/** Whether a piece is in a position in a part, and may be changed. */
function housed(draft: Draft, at: number, section: number, position: number, facts: Facts): boolean {
	if (at < 0 || at >= draft.count || draft.section[at] !== section) return false;
	const option = draft.option[at]!;
	return !facts.kept[option] && facts.enterPosition[option] === position;
}
