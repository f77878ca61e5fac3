import { type HipAngles, type LegAction, legPair } from '../anatomy';
import { actionOf, type Arms, type Form, type Movement, type Position, type Touch } from '../movement';
import { settle, type Contacts } from './settle';
import { skeleton, type BodyState, type LegAngles, type Skeleton } from './skeleton';

/** Usual trunk, hands and floor contact of a body position, where the movement names none. */
interface Usual {
	pitch: number;
	gives: number;
	bend: number;
	arms: Arms;
	seat: boolean;
	balance: boolean;
}

const USUAL: Record<Position, Usual> = {
	standing: { pitch: 0, gives: 9, bend: 0, arms: 'down', seat: false, balance: true },
	kneeling: { pitch: 0, gives: 9, bend: 0, arms: 'hips', seat: false, balance: false },
	quadruped: { pitch: 88, gives: 5, bend: 0, arms: 'floor', seat: false, balance: false },
	seated: { pitch: 0, gives: 12, bend: 0, arms: 'along', seat: true, balance: false },
	sidelying: { pitch: -90, gives: 0, bend: 0, arms: 'front', seat: true, balance: false },
	prone: { pitch: 90, gives: 0, bend: 0, arms: 'along', seat: true, balance: false },
	supine: { pitch: -90, gives: 0, bend: 0, arms: 'along', seat: true, balance: false },
	'wall-supine': { pitch: -90, gives: 0, bend: 0, arms: 'along', seat: true, balance: false }
};

/** Angles of the whole body, degrees. */
export interface Posture {
	skeleton: Skeleton;
	arms: Arms;
	state: BodyState;
	/** Parts of it that shall touch the floor. */
	contacts: Contacts;
}

/** The body of a movement in a form, set down on the floor. Leading leg on the right. */
export function posture(movement: Movement, form?: Form): Posture {
	const { position } = movement;
	const pose = { ...movement.pose, ...form?.pose };
	const usual = USUAL[position];
	const action = actionOf(movement, form);
	const [lead, trail] = legPair(action);
	const wanted: BodyState = {
		height: usual.seat ? 0.06 : position === 'standing' ? 0.45 : 0.25,
		pitch: pose.pitchDeg ?? usual.pitch,
		roll: position === 'sidelying' ? -90 : 0,
		pelvisRoll: pose.rollDeg ?? 0,
		bend: pose.bendDeg ?? usual.bend,
		sideBend: pose.sideDeg ?? 0,
		lead: anglesAt(lead, pose.at),
		trail: anglesAt(trail, pose.at)
	};
	const contacts: Contacts = {
		lead: touching(pose.lead ?? usualTouch(movement, lead, wanted.lead, 'lead')),
		trail: touching(pose.trail ?? usualTouch(movement, trail, wanted.trail, 'trail')),
		seat: pose.seat ? pose.seat === 'floor' : usual.seat,
		balance: usual.balance,
		pitchGives: pose.pitchDeg === undefined ? usual.gives : Math.min(usual.gives, 4)
	};
	const state = settle(wanted, contacts);
	return { skeleton: skeleton(state), arms: pose.arms ?? usual.arms, state, contacts };
}

/** A leg at one of its positions; the far end of a swing where nothing is said. */
function anglesAt(leg: LegAction, at = Infinity): LegAngles {
	const index = Math.min(at, leg.positions.length - 1);
	const p = leg.positions[index] as HipAngles;
	return {
		flexion: (p.flexion ?? 0) - (p.extension ?? 0),
		abduction: (p.abduction ?? 0) - (p.adduction ?? 0),
		turnOut: (p.externalRotation ?? 0) - (p.internalRotation ?? 0),
		knee: leg.kneeDeg[index] ?? 0
	};
}

const touching = (touch: readonly Touch[]) => ({
	foot: touch.includes('foot'),
	knee: touch.includes('knee')
});

/** Returns the usual contacts of a leg with the floor, by position and angles. */
function usualTouch(
	{ position, families }: Movement,
	_leg: LegAction,
	angles: LegAngles,
	part: 'lead' | 'trail'
): readonly Touch[] {
	switch (position) {
		case 'standing':
			return ['foot'];
		case 'kneeling': {
			if (families.includes('pigeon')) return ['knee', 'foot'];
			const knees = part === 'trail' || angles.knee >= 130;
			return knees ? ['knee', 'foot'] : ['foot'];
		}
		case 'quadruped':
		case 'prone':
			return angles.flexion < -5 && angles.knee < 60 ? [] : ['knee', 'foot'];
		case 'seated':
			return Math.abs(angles.turnOut) >= 30 && angles.abduction >= 30 && angles.knee >= 60
				? ['foot', 'knee']
				: ['foot'];
		case 'sidelying':
			return part === 'trail' ? ['knee', 'foot'] : [];
		case 'wall-supine':
			return [];
		case 'supine':
			if (angles.flexion < 12) return ['foot'];
			return angles.knee >= 60 && angles.flexion <= 62 ? ['foot'] : [];
	}
}
