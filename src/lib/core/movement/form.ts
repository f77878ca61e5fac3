import { isSymmetrical, type ActionProfile, type LegAction } from '../anatomy';
import { memoize } from './memoize';
import type { Form, Mode, Movement } from './types';

/** How a form can be done: its own modes, or those of the movement. */
export function modesOf(movement: Movement, form: Form | undefined): readonly Mode[] {
	return form?.modes ?? movement.modes;
}

/** The angles of a form: its own, or those of the movement. In a mode that is held, a swing stays at its far end. */
export function actionOf(movement: Movement, form: Form | undefined, mode?: Mode): ActionProfile {
	const action = form?.action ?? movement.action;
	return mode === undefined || mode === 'dynamic' || movement.heldAtEachEnd ? action : heldAction(action);
}

/** The same object for an action each time, so that what is worked out from it is cached too. */
const heldAction = memoize((action: ActionProfile): ActionProfile =>
	isSymmetrical(action)
		? { both: heldLeg(action.both) }
		: { lead: heldLeg(action.lead), trail: heldLeg(action.trail) }
);

function heldLeg(leg: LegAction): LegAction {
	return { ...leg, positions: leg.positions.slice(-1), kneeDeg: leg.kneeDeg.slice(-1) };
}
