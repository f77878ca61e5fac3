import { doseRange, FORM_IDS, formOf, type DoseUnit, type FindMovement, type Mode } from '../movement';
import { reachedKey } from '../propose';
import { isReset } from '../rules';
import { blocksOf, itemsIn, setsOf, type ClassPlan, type Item, type SectionKind } from '../plan';

/** How far a class goes with a movement in one mode: with its furthest item of it. Held it is another thing than moved. */
export interface Height {
	movement: string;
	/** Rank of the form, from 0. */
	form: number;
	sets: number;
	amount: number;
	unit: DoseUnit;
	mode: Mode;
	/** It runs in a chain or a flow. */
	linked: boolean;
	/** It stands in the peak. */
	inPeak: boolean;
}

/** The way in which one height is further than another. */
export type Further = 'form' | 'sets' | 'dose' | 'links';

/**
 * Returns what `a` has more of than `b`, of one movement in one mode; null where it goes no further. A harder form counts before more sets, and these
 * before a larger dose; running in a chain for the first time counts where nothing else changed.
 */
export function further(a: Height, b: Height): Further | null {
	if (a.form !== b.form) return a.form > b.form ? 'form' : null;
	if (a.sets !== b.sets) return a.sets > b.sets ? 'sets' : null;
	if (a.unit === b.unit && a.amount !== b.amount) return a.amount > b.amount ? 'dose' : null;
	return a.linked && !b.linked ? 'links' : null;
}

/** Parts of a class in which it shows how far a group has come: what only wakes is easier for good reason. */
const COUNTS: ReadonlySet<SectionKind> = new Set(['build', 'peak', 'release']);

/** The key of a movement in a mode. */
export const heightKey = ({ movement, mode }: Pick<Height, 'movement' | 'mode'>): string =>
	reachedKey(movement, mode);

/** How far a class goes with each of its movements in each mode, by {@link heightKey}; what wakes, rests and resets have no height. */
export function heightsOf(plan: ClassPlan, find: FindMovement): Map<string, Height> {
	const heights = new Map<string, Height>();
	for (const { section, block } of blocksOf(plan)) {
		if (!COUNTS.has(section.kind)) continue;
		for (const item of itemsIn(block)) {
			const own = heightOf(item, block.kind !== 'item', section.kind === 'peak', find);
			if (!own) continue;
			const known = heights.get(heightKey(own));
			const higher = !known || further(own, known) ? own : known;
			heights.set(heightKey(own), { ...higher, inPeak: own.inPeak || (known?.inPeak ?? false) });
		}
	}
	return heights;
}

function heightOf(
	{ movement: slug, form, mode, dose, passed }: Item,
	linked: boolean,
	inPeak: boolean,
	find: FindMovement
): Height | null {
	const movement = find(slug);
	const own = movement && formOf(movement, form);
	if (!movement || !own || passed || mode === 'rest' || isReset(movement)) return null;
	const { unit } = doseRange(own, mode, dose.unit);
	const rank = FORM_IDS.indexOf(form);
	return { movement: slug, form: rank, sets: setsOf(dose), amount: dose.amount, unit, mode, linked, inPeak };
}

/** How far a group has gone with a movement in the classes of a series so far. */
export interface Standing {
	/** The furthest of all classes. */
	highest: Height;
	/** Of the last ordinary class that had it; of the last easier one where no other did. */
	last: Height;
	/** How often it has been a peak without going further. */
	still: number;
	/** In how many of the last ordinary classes in a row it was a peak. */
	peaksInARow: number;
}

/** A class that has been, as far as heights are concerned. */
export interface ClassBefore {
	plan: ClassPlan;
	easier: boolean;
}

/** Where a group stands with each movement in each mode after some classes, by {@link heightKey}. An easier class changes nothing where it goes no further. */
export function standings(classes: readonly ClassBefore[], find: FindMovement): Map<string, Standing> {
	const all = new Map<string, Standing>();
	for (const { plan, easier } of classes) {
		const now = heightsOf(plan, find);
		for (const [key, height] of now) all.set(key, reachedWith(height, easier, all.get(key)));
		if (easier) continue;
		for (const [key, own] of all)
			all.set(key, { ...own, peaksInARow: now.get(key)?.inPeak ? own.peaksInARow + 1 : 0 });
	}
	return all;
}

function reachedWith(height: Height, easier: boolean, known: Standing | undefined): Standing {
	if (!known) return { highest: height, last: height, still: Number(height.inPeak), peaksInARow: 0 };
	const goesOn = further(height, known.highest) !== null;
	return {
		highest: goesOn ? height : known.highest,
		last: easier && !goesOn ? known.last : height,
		still: goesOn ? Number(height.inPeak) : known.still + Number(height.inPeak && !easier),
		peaksInARow: known.peaksInARow
	};
}
