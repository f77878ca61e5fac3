// Holds the context of every measurement of the planner.
import { CATALOGUE, findMovement } from '../../src/lib/catalogue';
import type { Group } from '../../src/lib/core/group';
import { USUAL_PACE } from '../../src/lib/core/pace';
import type { ProposeContext } from '../../src/lib/core/propose';

/** Returns the context of a group: the whole catalogue, its own targets, the usual pace. */
export const contextOfGroup = (group: Group): ProposeContext => ({
	catalogue: CATALOGUE,
	find: findMovement,
	targets: group.targets,
	group,
	pace: USUAL_PACE
});
