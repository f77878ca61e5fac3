import { SECTION_KINDS, type SectionKind } from '../../plan';
import type { Purpose } from '../../movement';
import type { Kinds, Reading, Step } from '../model';
import type { Matter } from './material';

/** An item of a draft: what, and how often. */
export interface Part {
	matter: Matter;
	sets: number;
}

/** A block of a draft: one item, or several that run as a chain. */
export type Unit = readonly Part[];

/** A class that is being put together: the blocks of each of its six parts. */
export type Draft = readonly (readonly Unit[])[];

/** Seconds of a change of position, of fetching a kind of kit, and of a rest between two sets: as the usual pace has them. */
const MOVE_SECONDS = 9;
const FETCH_SECONDS = 10;
const REST_SECONDS = 15;

export const sectionAt = (index: number): SectionKind => SECTION_KINDS[index]!;

/** Seconds of a part at its usual dose. */
export function secondsOf({ matter, sets }: Part): number {
	const work = matter.option.workSeconds[matter.option.usual]!;
	return matter.seconds + (sets - 1) * (work + REST_SECONDS * (matter.traits.sided ? 2 : 1));
}

/** What the objective looks at in a draft, with its length: estimated, since only a plan has a clock. */
export function readDraft(
	draft: Draft,
	kinds: Kinds,
	purposes: ReadonlySet<Purpose>
): Reading & { totalSeconds: number; shares: number[] } {
	const steps: Step[] = [];
	const kit = new Set<string>();
	let [unit, now, lost] = [0, 0, 0];
	let position = '';
	const shares: number[] = [];
	for (const [index, units] of draft.entries()) {
		const from = now;
		for (const parts of units) {
			for (const part of parts) {
				const { traits } = part.matter;
				if (position && traits.movement.position !== position) lost += MOVE_SECONDS;
				for (const kind of traits.kit)
					if (!kit.has(kind)) {
						kit.add(kind);
						lost += FETCH_SECONDS;
					}
				position = traits.movement.position;
				const seconds = secondsOf(part);
				steps.push({
					traits,
					section: sectionAt(index),
					unit,
					linked: parts.length > 1,
					seconds,
					at: now,
					sets: part.sets,
					noticed: 0
				});
				now += seconds;
			}
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
		way: lost / Math.max(1, totalSeconds),
		purposes,
		totalSeconds,
		shares
	};
}
