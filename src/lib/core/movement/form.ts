import { isSymmetrical, type ActionProfile, type LegAction } from '../anatomy';
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

const held = new WeakMap<ActionProfile, ActionProfile>();

/** One and the same object for an action each time: what is worked out about it is kept with it. */
function heldAction(action: ActionProfile): ActionProfile {
	let known = held.get(action);
	if (!known) {
		known = isSymmetrical(action)
			? { both: heldLeg(action.both) }
			: { lead: heldLeg(action.lead), trail: heldLeg(action.trail) };
		held.set(action, known);
	}
	return known;
}

function heldLeg(leg: LegAction): LegAction {
	return { ...leg, positions: leg.positions.slice(-1), kneeDeg: leg.kneeDeg.slice(-1) };
}
