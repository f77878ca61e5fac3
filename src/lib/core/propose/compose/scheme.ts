import type { Position } from '../../movement';
import type { SectionKind } from '../../plan';
import type { Draft, DraftItem, Unit } from './draft';
import type { Candidate } from './candidates';
import type { CandidatePools } from './pools';

/**
 * A class as the search changes it: section by section, the build as one episode for each theme. Resets are added
 * afterwards, where a heavy block or an episode ends.
 */
export interface Scheme {
	settle: readonly Unit[];
	warm: readonly Unit[];
	episodes: readonly { theme: number; units: readonly Unit[] }[];
	peak: readonly Unit[];
	release: readonly Unit[];
	rest: readonly Unit[];
}

/** Returns a block of one item. */
export const singleItemUnit = (candidate: Candidate, sets = 1): Unit => ({
	parts: [{ candidate, sets }],
	theme: null,
	rank: null
});

/** From this demand on a block wants something after it that lets go. */
const HEAVY = 3.5;
/** Something that lets go is given so often before another one is. */
const TIMES_EACH = 3;
/** A pause for noticing follows this many blocks, and ends each episode. */
const NOTICE_EVERY = 4;

const demandOf = ({ parts }: Unit) =>
	Math.max(...parts.map(({ candidate }: DraftItem) => candidate.traits.demand));
const isHeavy = (unit: Unit) =>
	demandOf(unit) >= HEAVY || unit.parts.some(({ sets, candidate }) => sets > 1 && candidate.traits.strong);
const letsGo = ({ parts }: Unit) =>
	parts.every(({ candidate: { traits } }) => traits.reset || (traits.demand <= 1.5 && !traits.sided));

/** The class that a scheme becomes: with what lets go between, and pauses after it. */
export function draftOfScheme(
	{ settle, warm, episodes, peak, release, rest }: Scheme,
	{ resets }: CandidatePools,
	closed: ReadonlySet<SectionKind>
): Draft {
	const given = new Map<Candidate, number>();
	/** Returns the usual reset in a position, or the next one where it was used often. */
	const resetAt = (position: Position): Unit | null => {
		const all = resets.get(position) ?? [];
		const candidate = all.find((one) => (given.get(one) ?? 0) < TIMES_EACH) ?? all[0];
		if (!candidate) return null;
		given.set(candidate, (given.get(candidate) ?? 0) + 1);
		return singleItemUnit(candidate);
	};
	let sinceNotice = 0;
	/** A run of blocks with what lets go between them, and a pause at its end. */
	const eased = (units: readonly Unit[], goesOn: Unit | undefined): Unit[] => {
		const run: Unit[] = [];
		for (const [i, unit] of units.entries()) {
			run.push(unit);
			sinceNotice += 1;
			const next = units[i + 1] ?? goesOn;
			const last = i === units.length - 1;
			if (letsGo(unit) || (next && letsGo(next)) || !(isHeavy(unit) || last)) continue;
			// an episode of one light thing goes on
			if (last && !isHeavy(unit) && units.length < 2) continue;
			const reset = resetAt(unit.parts.at(-1)!.candidate.traits.movement.position);
			if (!reset) continue;
			const notice = last || sinceNotice >= NOTICE_EVERY;
			if (notice) sinceNotice = 0;
			run.push(notice ? { ...reset, notice } : reset);
		}
		return run;
	};
	const build = episodes.flatMap(({ units }, i) =>
		closed.has('build') ? units : eased(units, episodes[i + 1]?.units[0] ?? peak[0])
	);
	const ends = release.map((unit, i): Unit =>
		i === release.length - 1 && i > 0 && !unit.kept ? { ...unit, notice: true } : unit
	);
	return [settle, warm, build, closed.has('peak') ? peak : eased(peak, undefined), ends, rest];
}
