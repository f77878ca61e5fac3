import type { DoseUnit } from '../movement';

/**
 * Units in which the catalogue counted an amount at document version 2, where it counts another unit today: by
 * movement and mode, or movement, mode and form. A hold in repetitions is kept as written.
 */
export const UNIT_BEFORE_3: Readonly<Record<string, DoseUnit>> = {
	'bridge-lift isometric': 'repetitions',
	'butterfly passive': 'breaths',
	'clam isometric': 'repetitions',
	'downward-dog dynamic': 'breaths',
	'fire-hydrant isometric': 'repetitions',
	'firefly dynamic full': 'repetitions',
	'firefly dynamic supported': 'repetitions',
	'goddess-squat dynamic': 'seconds',
	'happy-baby dynamic': 'seconds',
	'high-step-lift isometric': 'repetitions',
	'low-lunge-knee-lift active stronger': 'breaths',
	'low-lunge-knee-lift isometric stronger': 'breaths',
	'pigeon-upright isometric': 'breaths',
	'prone-leg-lift isometric': 'repetitions',
	'prone-windmill isometric supported': 'repetitions',
	'pyramid passive supported': 'breaths',
	'reverse-clam isometric': 'repetitions',
	'sidelying-parallel-lift isometric': 'repetitions',
	'single-leg-bridge isometric': 'repetitions',
	'standing-figure-four active': 'repetitions',
	'standing-leg-back isometric': 'repetitions',
	'standing-side-lift isometric': 'repetitions',
	'supine-heel-pivot isometric': 'repetitions',
	'triangle-lunge-pulse active': 'repetitions',
	'wide-leg-seated isometric stronger': 'seconds',
	'wide-stance-knee-turn-in dynamic': 'breaths'
};
