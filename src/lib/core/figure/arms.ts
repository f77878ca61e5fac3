import type { Arms } from '../movement';
import { BODY, type Skeleton } from './skeleton';
import { add, cross, dot, length, scale, subtract, unit, type Vec } from './vector';

/** The joints of one arm, in body lengths. */
export interface ArmPoints {
	shoulder: Vec;
	elbow: Vec;
	hand: Vec;
}

const REACH = BODY.upperArm + BODY.forearm;

/** Where one hand goes. `side`: +1 the side of the leading leg. */
function target(s: Skeleton, arms: Arms, part: 'lead' | 'trail'): Vec {
	const side = part === 'lead' ? 1 : -1;
	const shoulder = s.shoulders[part];
	const out = scale(s.right, side);
	const level = unit([s.up[0], 0, s.up[2]]);
	const tipped = s.up[1] < 0.6;
	switch (arms) {
		case 'down':
			return add(shoulder, [0.02, -REACH * 0.97, 0]);
		case 'along':
			return add(add(s.pelvis, scale(out, 0.14)), scale(s.up, -0.02));
		case 'floor': {
			const under: Vec = [shoulder[0] + (tipped ? 0.06 : 0.12), 0.012, shoulder[2] + side * 0.02];
			return under;
		}
		case 'floor behind':
			return [s.pelvis[0] - 0.2, 0.012, s.pelvis[2] + side * 0.13];
		case 'up':
			return add(shoulder, add(scale(s.up, REACH * 0.96), scale(out, 0.02)));
		case 'wide':
			return add(shoulder, scale(out, REACH * 0.98));
		case 'hips':
			return add(add(s.pelvis, scale(out, 0.1)), scale(s.up, 0.03));
		case 'front': {
			if (!tipped) return add(shoulder, scale(s.forward, REACH * 0.92));
			const ahead = add(shoulder, scale(level, REACH * 0.9));
			return [ahead[0], Math.max(0.02, Math.min(shoulder[1], ahead[1] - 0.2)), ahead[2]];
		}
		case 'heart':
			return add(add(s.waist, scale(s.up, 0.1)), add(scale(s.forward, 0.09), scale(out, 0.01)));
		case 'lead foot':
			return s.lead.ankle;
		case 'trail foot':
			return s.trail.ankle;
		case 'both feet':
			return add(s[part].ankle, scale(unit(subtract(s[part].toe, s[part].ankle)), 0.04));
		case 'lead knee':
			return s.lead.knee;
		case 'both knees':
			return s[part].knee;
	}
}

/** Two bones from the shoulder to where the hand goes; a hand that cannot arrive points there. */
export function arm(s: Skeleton, arms: Arms, part: 'lead' | 'trail'): ArmPoints {
	const shoulder = s.shoulders[part];
	const wanted = subtract(target(s, arms, part), shoulder);
	const distance = Math.min(length(wanted), REACH * 0.995);
	const along = unit(wanted);
	const hand = add(shoulder, scale(along, distance));
	// the elbow leaves the straight line backward and outward
	const hint = add(scale(s.forward, -0.6), scale(s.right, part === 'lead' ? 0.5 : -0.5));
	const off = subtract(hint, scale(along, dot(hint, along)));
	const bendDir = length(off) < 1e-6 ? unit(cross(along, s.right)) : unit(off);
	const a = BODY.upperArm;
	const b = BODY.forearm;
	const reach = Math.max(distance, 1e-6);
	const inLine = (a * a - b * b + reach * reach) / (2 * reach);
	const aside = Math.sqrt(Math.max(0, a * a - inLine * inLine));
	const elbow = add(add(shoulder, scale(along, inLine)), scale(bendDir, aside));
	return { shoulder, elbow, hand };
}
