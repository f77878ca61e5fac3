import type { Random } from '../pool/random';
import type { Candidate } from './candidates';
import { FLOW_ROUNDS, type DraftItem, type Unit } from './draft';
import type { ThemeLine } from './line-book';
import type { CandidatePools } from './pools';
import { singleItemUnit, type Scheme } from './scheme';

/** Returns one of a list at random; undefined where it is empty. */
export const pick = <T>(list: readonly T[], random: Random): T | undefined => list[random.below(list.length)];

/** How often something strong is begun with in sets. */
const BEGIN_IN_SETS = 0.4;

/** A candidate as an item of a block, at random in sets where it is strong. */
export const partOf = (candidate: Candidate, strongSets: boolean, random: Random): DraftItem => ({
	candidate,
	sets:
		strongSets && candidate.traits.strong && candidate.sets > 1 && random() < BEGIN_IN_SETS
			? usualSets(candidate)
			: 1
});
/** How many sets of a candidate are usual. */
export const usualSets = ({ sets, traits }: Candidate) => Math.min(traits.sided ? 2 : 3, Math.max(2, sets));

/** A line of a theme as a block: in the peak in one of its harder forms, elsewhere mostly in the first that is asked of everybody. */
export function unitOf(line: ThemeLine, kind: Place['kind'], random: Random): Unit {
	const hard = kind === 'peak';
	const single = line.parts.length === 1 && (hard || kind === 'build');
	const parts = line.parts.map((forms): DraftItem => {
		const at = hard
			? Math.max(0, forms.length - 1 - random.below(Math.min(2, forms.length)))
			: random.below(Math.min(2, forms.length));
		return partOf(forms[at]!, single, random);
	});
	return { parts, theme: line.theme, rank: line.rank, ...(line.flow ? { rounds: FLOW_ROUNDS } : {}) };
}

/** A list of blocks in a scheme: a section, or in the build the blocks of one theme. */
export type Place = { kind: 'warm' | 'peak' | 'release' } | { kind: 'build'; at: number };

/** Returns the blocks at a place. */
export const unitsAt = (scheme: Scheme, place: Place): readonly Unit[] =>
	place.kind === 'build' ? scheme.episodes[place.at]!.units : scheme[place.kind];

/** Returns the scheme with other blocks at a place. */
export function withUnits(scheme: Scheme, place: Place, units: readonly Unit[]): Scheme {
	if (place.kind !== 'build') return { ...scheme, [place.kind]: units };
	return {
		...scheme,
		episodes: scheme.episodes.map((own, i) => (i === place.at ? { ...own, units } : own))
	};
}

/** Returns the lines of the themes for a place. */
export function linesAt(scheme: Scheme, place: Place, pools: CandidatePools): readonly ThemeLine[] {
	if (place.kind === 'build') return pools.build[scheme.episodes[place.at]!.theme]!;
	return pools[place.kind];
}

/** A candidate as a block of a place. */
export const asUnit = (candidate: Candidate, place: Place, scheme: Scheme): Unit => ({
	...singleItemUnit(candidate),
	theme: place.kind === 'build' ? scheme.episodes[place.at]!.theme : null
});
