import { CAUTIONS, type Caution } from '../cautions';
import { ARMS_AND_NECK_CONDITIONS } from './by-part/arms-and-neck';
import { BACK_CONDITIONS } from './by-part/back';
import { HIP_CONDITIONS } from './by-part/hip';
import { KNEE_AND_FOOT_CONDITIONS } from './by-part/knee-and-foot';
import { MUSCLES_CONDITIONS } from './by-part/muscles';
import { PREGNANCY_CONDITIONS } from './by-part/pregnancy';
import { WHOLE_BODY_CONDITIONS } from './by-part/whole-body';
import type { Condition } from './condition';

const BY_CAUTION: ReadonlyMap<Caution, Condition> = new Map(
	[
		...HIP_CONDITIONS,
		...BACK_CONDITIONS,
		...KNEE_AND_FOOT_CONDITIONS,
		...MUSCLES_CONDITIONS,
		...PREGNANCY_CONDITIONS,
		...ARMS_AND_NECK_CONDITIONS,
		...WHOLE_BODY_CONDITIONS
	].map((condition) => [condition.caution, condition])
);

/** Returns the condition that a caution names; every caution has one. */
export const conditionOf = (caution: Caution): Condition => BY_CAUTION.get(caution)!;

/**
 * The table of conditions, in the order of the cautions. It holds for every movement by its angles, load, modes, position and
 * kit, whoever wrote the movement down; an entry of the catalogue may add a caution, and loosens none. Licensed practice decides.
 */
export const CONDITIONS: readonly Condition[] = CAUTIONS.map(conditionOf);

/** Rests for where nothing else is easy enough: on the side, on the back with bent knees, seated. */
export const RESTS: readonly string[] = ['sidelying-rest', 'constructive-rest', 'seated-quiet'];
