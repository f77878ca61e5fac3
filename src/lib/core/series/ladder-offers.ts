import { peopleByTier } from '../group';
import { limitingRegion } from '../measure';
import { REGION_NAMES } from '../hip-tests';
import { sizeOf, tierWords } from '../people';
import { sentence } from '../text';
import type { TeachingStyle } from '../style';
import type { SeriesAnalysis } from './analysis';
import { ladderTo, rungWords, sameRung } from './ladder';
import type { Rung } from './types';

/** Suggestion for a ladder after a check-in; the teacher decides. */
export interface LadderOffer {
	/** Index of the ladder. */
	ladder: number;
	/** Rungs, once it is taken. */
	rungs: Rung[];
	words: string;
}

/** From this part of the people on a group is given the easier rungs of a ladder too. Judged. */
const MANY_TIGHT = 1 / 3;

/**
 * Where ladders begin, and what they can pass by, for what a group was counted to be able to do where the goal works:
 * easier rungs go where most people are open, and come where many are tight. Rungs that a taught class has come to stay.
 */
export function ladderOffers(analysis: SeriesAnalysis, style: TeachingStyle): LadderOffer[] {
	return analysis.planned.series.ladders.flatMap(({ rungs }, ladder) => {
		const { group, find } = analysis.context;
		const goal = rungs.at(-1)!;
		const movement = find(goal.movement);
		const region = movement ? limitingRegion(movement) : null;
		const wanted = region && group.regionTiers?.[region] ? ladderTo(goal, find, group, style) : null;
		if (!region || !wanted) return [];
		const people = peopleByTier(group, region);
		const counted = `${sentence(REGION_NAMES[region])}, as counted: ${tierWords(people)}.`;
		const words = (some: readonly Rung[]) => some.map((rung) => rungWords(rung, find)).join('; ');

		const from = reached(analysis, ladder) + 1;
		const [past, ahead] = [rungs.slice(0, from), rungs.slice(from)];
		const stays = (rung: Rung) => rung === goal || wanted.rungs.some((one) => sameRung(one, rung));
		const passed = ahead.filter((rung) => !stays(rung));
		if (passed.length) {
			const left = ahead.filter(stays);
			return [
				{
					ladder,
					rungs: [...past, ...left],
					words: `${counted} Go past ${words(passed)}, on to ${words(left.slice(0, 1))}.`
				}
			];
		}
		if (people.tight < MANY_TIGHT * sizeOf({ tiers: people })) return [];
		const missing = missingIn(wanted.rungs, past, ahead);
		if (missing.length === 0) return [];
		const left = [...missing, ...ahead].sort((a, b) => placeIn(wanted.rungs, a) - placeIn(wanted.rungs, b));
		return [{ ladder, rungs: [...past, ...left], words: `${counted} Give ${words(missing)} first.` }];
	});
}

/** Index of the highest rung that a taught class has come to; -1 where none has. */
function reached({ classes }: SeriesAnalysis, ladder: number): number {
	const given = classes.filter(({ run }) => run).flatMap((c) => c.given.filter((g) => g.ladder === ladder));
	return Math.max(-1, ...given.map(({ rung }) => rung));
}

const placeIn = (wanted: readonly Rung[], rung: Rung): number => {
	const exact = wanted.findIndex((one) => sameRung(one, rung) && one.dose === rung.dose);
	return exact >= 0 ? exact : wanted.findIndex((one) => sameRung(one, rung));
};

/** Rungs of the wanted ladder that the other has not, beyond what was come to. */
function missingIn(wanted: readonly Rung[], past: readonly Rung[], ahead: readonly Rung[]): Rung[] {
	const from = Math.max(-1, ...past.map((rung) => placeIn(wanted, rung)));
	return wanted.filter((rung, i) => i > from && ![...past, ...ahead].some((one) => sameRung(one, rung)));
}
