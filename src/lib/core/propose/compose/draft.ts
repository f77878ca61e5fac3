import { SECTION_KINDS, type Block, type SectionKind } from '../../plan';
import { setRestOf, type Purpose } from '../../movement';
import { EFFORT_BETWEEN } from '../../training-load';
import type { Kinds, ClassFeatures, ScoredItem } from '../model';
import type { Candidate } from './candidates';

/** An item of a draft: what, and how often. */
export interface DraftItem {
	candidate: Candidate;
	sets: number;
}

/** A block of a draft: one item, or several that run as a chain or flow. */
export interface Unit {
	parts: readonly DraftItem[];
	/** The theme of the story that it belongs to, counted from 0; none for what only lets go between. */
	theme: number | null;
	/** Where its theme has it in its list; what is no part of a theme stands nowhere. */
	rank: number | null;
	/** Rounds of a flow. */
	rounds?: number;
	/** A pause to notice comes after it. */
	notice?: true;
	/** It stands in the plan already and stays as it is. */
	kept?: Block;
}

/** A class that is being put together: the blocks of each of its six parts. */
export type Draft = readonly (readonly Unit[])[];

/** Seconds of a change of position, and of fetching a kind of kit: as the usual pace has them. */
const MOVE_SECONDS = 9;
const FETCH_SECONDS = 10;
export const NOTICE_SECONDS = 15;
/** Approximate seconds a breath in a flow; each of its movements comes once a round on each side. */
const FLOW_BREATH_SECONDS = 6;
export const FLOW_ROUNDS = 6;

const sectionAt = (index: number): SectionKind => SECTION_KINDS[index]!;

/** Seconds of one part within its block. */
export function secondsOf({ rounds, kept }: Unit, { candidate, sets }: DraftItem): number {
	if (kept) return candidate.seconds;
	if (rounds) return rounds * FLOW_BREATH_SECONDS;
	const { movement, sided } = candidate.traits;
	const rest = setRestOf(movement) * (sided ? 2 : 1);
	return candidate.seconds + (sets - 1) * (candidate.workSeconds + rest);
}

/** Returns the seconds of a block in a draft. */
export const secondsOfUnit = (unit: Unit): number =>
	unit.parts.reduce((sum, part) => sum + secondsOf(unit, part), unit.notice ? NOTICE_SECONDS : 0);

/** Seconds of work of a part. */
const workOf = ({ rounds, kept }: Unit, { candidate, sets }: DraftItem, seconds: number): number =>
	rounds ? seconds : Math.min(seconds, kept ? candidate.workSeconds : sets * candidate.workSeconds);

/** Effort (0-10) times seconds of a part: its work, and everything round it. */
function effortOf(unit: Unit, part: DraftItem, seconds: number): number {
	const { load, traits } = part.candidate;
	const work = workOf(unit, part, seconds);
	return load.effort * work + (traits.rest ? 0 : EFFORT_BETWEEN) * (seconds - work);
}

/** A step of a draft. */
export interface DraftStep extends ScoredItem {
	/** Seconds of its work; `seconds` are all that it takes. */
	workSeconds: number;
	/** The part of the group that does something else meanwhile. */
	besideShare: number;
}

/** Returns the most demanding step of the peak, the first of several; undefined where nothing is a peak. */
export function hardestOfPeak<T extends ScoredItem>(steps: readonly T[]): T | undefined {
	let top: T | undefined;
	for (const step of steps)
		if (step.section === 'peak' && (!top || step.traits.demand > top.traits.demand)) top = step;
	return top;
}

/** Returns the features that the objective reads from a draft, with an estimated length: only a plan has a clock. */
export function draftFeatures(
	draft: Draft,
	kinds: Kinds,
	purposes: ReadonlySet<Purpose>
): ClassFeatures & { steps: DraftStep[]; totalSeconds: number; shares: number[]; effort: number } {
	const steps: DraftStep[] = [];
	const kit = new Set<string>();
	let [unit, now, lost, efforts] = [0, 0, 0, 0];
	let position = '';
	const shares: number[] = [];
	for (const [index, units] of draft.entries()) {
		const from = now;
		for (const own of units) {
			const { parts, rounds, notice } = own;
			for (const part of parts) {
				const { traits, besideShare } = part.candidate;
				if (position && traits.movement.position !== position && !rounds) lost += MOVE_SECONDS;
				for (const kind of traits.kit)
					if (!kit.has(kind)) {
						kit.add(kind);
						lost += FETCH_SECONDS;
					}
				position = traits.movement.position;
				const seconds = secondsOf(own, part);
				steps.push({
					traits,
					section: sectionAt(index),
					unit,
					linked: parts.length > 1,
					seconds,
					workSeconds: workOf(own, part, seconds),
					besideShare,
					at: now,
					sets: part.sets,
					noticed: notice ? NOTICE_SECONDS : 0
				});
				now += seconds;
				efforts += effortOf(own, part, seconds);
			}
			if (notice) now += NOTICE_SECONDS;
			unit += 1;
		}
		shares.push(now - from);
	}
	const totalSeconds = now + lost;
	for (const step of steps) step.at /= Math.max(1, now);
	return {
		kinds,
		steps,
		wordsBefore: [],
		transitionShare: lost / Math.max(1, totalSeconds),
		purposes,
		totalSeconds,
		shares,
		effort: (efforts + EFFORT_BETWEEN * lost) / Math.max(1, totalSeconds)
	};
}
