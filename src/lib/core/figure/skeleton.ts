import { aboutX, aboutY, aboutZ, add, apply, scale, times, unit, type Mat, type Vec } from './vector';

/** Lengths in body heights, after the usual proportions of drawing a figure (common practice, no source). */
export const BODY = {
	thigh: 0.245,
	shin: 0.235,
	foot: 0.1,
	hipHalf: 0.05,
	lowBack: 0.14,
	upperBack: 0.15,
	shoulderHalf: 0.095,
	neck: 0.055,
	head: 0.055,
	upperArm: 0.165,
	forearm: 0.2
} as const;

/** Signed joint angles of one leg, degrees: flexion, abduction and turning out positive. */
export interface LegAngles {
	flexion: number;
	abduction: number;
	turnOut: number;
	knee: number;
}

/** The whole body. The leading leg is the right one here; a mirror image makes it the left. */
export interface BodyState {
	/** Height of the hips over the floor. */
	height: number;
	/** Lean of the pelvis: 0 upright, 90 face down, -90 face up. */
	pitch: number;
	/** Turn about the long axis when lying on the side. */
	roll: number;
	/** Turn of the pelvis alone about its long axis, the chest staying where it is: toward the leading leg. */
	pelvisRoll: number;
	bend: number;
	sideBend: number;
	lead: LegAngles;
	trail: LegAngles;
}

/** The joints of one leg. */
export interface LegPoints {
	hip: Vec;
	knee: Vec;
	ankle: Vec;
	toe: Vec;
}

/** The joints of the body in space. */
export interface Skeleton {
	pelvis: Vec;
	waist: Vec;
	chest: Vec;
	head: Vec;
	shoulders: { lead: Vec; trail: Vec };
	lead: LegPoints;
	trail: LegPoints;
	/** Forward and upward of the chest, for placing arms. */
	forward: Vec;
	up: Vec;
	/** To the person's right. */
	right: Vec;
}

/** Where every joint is. `side` of a leg: +1 right (leading), -1 left. */
export function skeleton(state: BodyState): Skeleton {
	const trunkFrame = times(aboutX(state.roll), aboutZ(-state.pitch));
	const pelvisFrame = times(trunkFrame, aboutY(-state.pelvisRoll));
	const pelvis: Vec = [0, state.height, 0];
	const chestFrame = times(times(trunkFrame, aboutZ(-state.bend)), aboutX(state.sideBend));
	const waist = add(pelvis, apply(pelvisFrame, [0, BODY.lowBack, 0]));
	const chest = add(waist, apply(chestFrame, [0, BODY.upperBack, 0]));
	const headFrame = times(chestFrame, aboutZ(-state.bend * 0.35));
	const head = add(chest, apply(headFrame, [0.01, BODY.neck + BODY.head, 0]));
	const shoulder = (side: number) => add(chest, apply(chestFrame, [0, -0.01, side * BODY.shoulderHalf]));
	return {
		pelvis,
		waist,
		chest,
		head,
		shoulders: { lead: shoulder(1), trail: shoulder(-1) },
		lead: legPoints(pelvis, pelvisFrame, state.lead, 1),
		trail: legPoints(pelvis, pelvisFrame, state.trail, -1),
		forward: apply(chestFrame, [1, 0, 0]),
		up: apply(chestFrame, [0, 1, 0]),
		right: apply(chestFrame, [0, 0, 1])
	};
}

/**
 * A hip is turned by flexion first, then by abduction about the axis that flexion has carried along (so that at
 * 90 degrees the thigh opens level with the floor), then about the thigh's own length.
 */
function legPoints(pelvis: Vec, frame: Mat, leg: LegAngles, side: number): LegPoints {
	const hip = add(pelvis, apply(frame, [0, 0, side * BODY.hipHalf]));
	const thigh = times(
		times(times(frame, aboutZ(leg.flexion)), aboutX(-side * leg.abduction)),
		aboutY(-side * leg.turnOut)
	);
	const shin = times(thigh, aboutZ(-leg.knee));
	const knee = add(hip, apply(thigh, [0, -BODY.thigh, 0]));
	const down = apply(shin, [0, -1, 0]);
	const ankle = add(knee, scale(down, BODY.shin));
	// an upright shin stands on a flat foot, a shin that lies down lets the foot lie along it
	const lying = Math.hypot(down[0], down[2]) ** 2;
	const forward = apply(shin, [1, 0, 0]);
	const flat: Vec = [forward[0], forward[1] * 0.25, forward[2]];
	const toe = add(
		ankle,
		scale(unit(add(scale(down, lying * 0.9), scale(flat, 1 - lying * 0.75))), BODY.foot)
	);
	return { hip, knee, ankle, toe };
}
