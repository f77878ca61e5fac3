import { DOSE_UNITS, KIT_KINDS, PROP_SITES, TEMPOS, type DoseRange, type PropUse, type Tempo } from './types';

/**
 * The short notation in which doses and kit are written down, beside that of hip angles: the catalogue's files
 * and the form for own movements use it.
 *   dose: `20-30-45 seconds`, `3-5-8 breaths`, `8-10-12 sweep repetitions`, `2-3-4 rounds of 2 breaths`
 *   kit:  `2 blanket at knees: under the knees`
 */
const DOSE =
	/^(\d+)-(\d+)-(\d+) (?:([a-z-]+) )?(breaths|seconds|repetitions|rounds|counts)(?: of (\d+) breaths)?$/;
const PROP = /^(\d+) ([a-z ]+) at ([a-z ]+): (.+)$/;

/** @throws Error that says how a dose is written */
export function readDose(text: string): DoseRange {
	const match = DOSE.exec(text.trim());
	const unit = DOSE_UNITS.find((u) => u === match?.[5]);
	if (!match || !unit)
		throw new Error(`"${text}" is not a dose such as "20-30-45 seconds" or "8-10-12 sweep repetitions"`);
	const tempo = TEMPOS.find((t) => t === match[4]);
	if (unit === 'repetitions' ? !tempo : match[4] !== undefined)
		throw new Error(`"${text}": repetitions, and only they, have one of ${TEMPOS.join(', ')}`);
	if ((unit === 'rounds') !== (match[6] !== undefined))
		throw new Error(`"${text}": rounds, and only they, are of so many breaths`);
	const dose: DoseRange = { unit, min: Number(match[1]), usual: Number(match[2]), max: Number(match[3]) };
	if (tempo) dose.tempo = tempo as Tempo;
	if (match[6]) dose.breathsPerRound = Number(match[6]);
	return dose;
}

/** A dose in the short notation; `readDose` reads it back. */
export function writeDose({ unit, min, usual, max, tempo, breathsPerRound }: DoseRange): string {
	const of = unit === 'rounds' ? ` of ${breathsPerRound} breaths` : '';
	return `${min}-${usual}-${max} ${tempo ? `${tempo} ` : ''}${unit}${of}`;
}

/** @throws Error that says how kit is written */
export function readProp(text: string): PropUse {
	const match = PROP.exec(text.trim());
	const kit = KIT_KINDS.find((kind) => kind === match?.[2]);
	const site = PROP_SITES.find((known) => known === match?.[3]);
	if (!match || !kit || !site)
		throw new Error(
			`"${text}" is not kit such as "2 blanket at knees: under the knees"; kit is ${KIT_KINDS.join(', ')}; it lies at ${PROP_SITES.join(', ')}`
		);
	return { kit, count: Number(match[1]), site, place: match[4] as string };
}

/** Kit in the short notation; `readProp` reads it back. */
export function writeProp({ kit, count, site, place }: PropUse): string {
	return `${count} ${kit} at ${site}: ${place}`;
}
