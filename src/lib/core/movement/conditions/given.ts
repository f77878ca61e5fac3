import { legPair, type HipAngles, type LegAction, type MuscleGroup, type Tissue } from '../../anatomy';
import { usualUnitSeconds } from '../dose';
import { actionOf, modesOf } from '../form';
import type { Arms, Form, KitKind, Mode, Movement, Pose, Position, PropSite } from '../types';

/** A form of a movement as a person with a condition would do it: in all of its modes, with what its legs do. */
export interface GivenForm {
	movement: Movement;
	form: Form;
	modes: readonly Mode[];
	legs: readonly LegAction[];
	pose: Pose;
}

/** Returns a form as it is given: in one mode, or in all that it can be given in. */
export const givenForm = (movement: Movement, form: Form, mode?: Mode): GivenForm => ({
	movement,
	form,
	modes: mode ? [mode] : modesOf(movement, form),
	legs: legPair(actionOf(movement, form)),
	pose: { ...movement.pose, ...form.pose }
});

const LYING: ReadonlySet<Position> = new Set(['supine', 'wall-supine', 'prone', 'sidelying']);
const ON_THE_BACK: ReadonlySet<Position> = new Set(['supine', 'wall-supine']);
const WEIGHT_ON_LEGS: ReadonlySet<Position> = new Set(['standing', 'kneeling', 'quadruped']);
const CALM_MODES: ReadonlySet<Mode> = new Set(['passive', 'rest']);

/** Whether the body lies, on whichever side. */
export const isLying = ({ movement }: GivenForm): boolean => LYING.has(movement.position);
/** Whether the body lies on the back. */
export const isOnTheBack = ({ movement }: GivenForm): boolean => ON_THE_BACK.has(movement.position);
/** Whether the body stands. */
export const isStanding = ({ movement }: GivenForm): boolean => movement.position === 'standing';
/** Whether the legs carry the body. */
export const bearsWeight = ({ movement }: GivenForm): boolean => WEIGHT_ON_LEGS.has(movement.position);
/** Whether it can be given without the muscles at work. */
export const isGivenQuietly = ({ modes }: GivenForm): boolean => modes.some((mode) => CALM_MODES.has(mode));
/** Whether it can be given standing still in the shape. */
export const isHeld = ({ modes }: GivenForm): boolean => modes.some((mode) => mode !== 'dynamic');
/** Whether muscles work hard enough to strengthen, or a weight is carried. */
export const isLoaded = (given: GivenForm): boolean => given.form.effort >= 2 || has(given, 'weight');

/** Whether a form uses a kind of kit, at one of some places. */
export const has = ({ form }: GivenForm, kit: KitKind, sites?: readonly PropSite[]): boolean =>
	form.props.some((prop) => prop.kit === kit && (!sites || sites.includes(prop.site)));
/** Whether the hands lean on something high, so that the back stays long and the head up. */
export const handsAreHigh = (given: GivenForm): boolean =>
	has(given, 'block', ['hands', 'in front']) ||
	has(given, 'chair', ['hands', 'in front', 'beside']) ||
	has(given, 'wall space', ['in front']);
/** Whether there is something to hold on to. */
export const isSteadied = (given: GivenForm): boolean =>
	has(given, 'wall space') || has(given, 'chair', ['hands', 'in front', 'beside', 'behind', 'hips']);
/** Whether a knee carries weight on the floor. */
export const kneels = ({ movement, pose }: GivenForm): boolean =>
	movement.position === 'kneeling' ||
	movement.position === 'quadruped' ||
	(pose.lead?.includes('knee') ?? false) ||
	(pose.trail?.includes('knee') ?? false);
/** Whether something soft lies under a knee. */
export const isPadded = ({ form }: GivenForm): boolean =>
	form.props.some(({ site }) => site.includes('knee'));
const PULLING: ReadonlySet<Arms> = new Set([
	'lead foot',
	'trail foot',
	'both feet',
	'lead knee',
	'both knees'
]);
/** Whether the hands pull a leg further. */
export const isPulledIn = ({ pose }: GivenForm): boolean => pose.arms !== undefined && PULLING.has(pose.arms);
/** Whether the body leans back on bent-back wrists. */
export const leansBackOnHands = ({ pose }: GivenForm): boolean => pose.arms === 'floor behind';
/** Whether most of the weight hangs on the arms. */
export const restsOnArms = ({ movement }: GivenForm): boolean => movement.onHands === 'most';
/** Whether the arms reach overhead. */
export const reachesUp = ({ pose }: GivenForm): boolean => pose.arms === 'up';
/** Whether the trunk turns far enough to be felt. */
export const isTurned = ({ movement, form }: GivenForm): boolean =>
	movement.trunkTurn !== undefined && form.intensity >= 2;
/** Whether the trunk turns against the bent thigh. */
export const isTurnedClosed = ({ movement, form }: GivenForm): boolean =>
	movement.trunkTurn === 'closed' && form.intensity >= 2;

/** Whether it can be held hard for a while: close to the most that the muscles can do. */
export const isHeldHard = (given: GivenForm, fromSeconds: number): boolean =>
	given.form.effort >= 3 && isHeld(given) && heldSeconds(given.form) >= fromSeconds;
const heldSeconds = ({ dose }: Form): number =>
	dose.unit === 'repetitions' || dose.unit === 'rounds'
		? 0
		: dose.usual * usualUnitSeconds(dose, 'isometric');

/** Whether a foot stands on something. */
export const stepsUp = (given: GivenForm): boolean =>
	isStanding(given) &&
	given.form.props.some(
		({ kit, site }) => (kit === 'chair' || kit === 'block') && (site === 'lead foot' || site === 'trail foot')
	);
/** Whether one leg carries all of the weight. */
export const isOnOneLeg = (given: GivenForm): boolean =>
	isStanding(given) &&
	((given.pose.lead?.includes('none') ?? false) || (given.pose.trail?.includes('none') ?? false));

/** Whether a leg passes through angles of a kind; the knee in degrees. */
export const passes = ({ legs }: GivenForm, is: (angles: HipAngles, kneeDeg: number) => boolean): boolean =>
	legs.some((leg) => leg.positions.some((angles, i) => is(angles, leg.kneeDeg[i] ?? 0)));
/** Whether one of the tissues is lengthened, from an intensity on. */
export const pullsOn = ({ form, legs }: GivenForm, tissues: readonly Tissue[], fromIntensity = 2): boolean =>
	form.intensity >= fromIntensity && legs.some((leg) => leg.lengthens.some((t) => tissues.includes(t)));
/** Whether muscles of one of the groups work hard. */
export const loads = ({ form, modes, legs }: GivenForm, groups: readonly MuscleGroup[]): boolean =>
	form.effort >= 2 &&
	modes.some((mode) => !CALM_MODES.has(mode)) &&
	legs.some((leg) => leg.works.some((group) => groups.includes(group)));

/** Whether the spine bends forward from the upright by more than a little, or the trunk hangs. */
export const isRounded = (given: GivenForm, fromDeg: number): boolean =>
	!isLying(given) &&
	((given.pose.bendDeg ?? 0) >= fromDeg ||
		(given.movement.families.includes('forward fold') && given.form.intensity >= 2));
/** Whether the head is below the heart for a while: a dog, or a fold from standing with the hands low. */
export const isHeadDown = (given: GivenForm): boolean => {
	const { pitchDeg = 0, arms } = given.pose;
	return (
		(pitchDeg >= 100 || (isStanding(given) && pitchDeg >= 80)) &&
		(arms === 'floor' || arms === 'down' || arms === 'up') &&
		!has(given, 'chair') &&
		!has(given, 'wall space')
	);
};
/** Whether the spine bends back from the upright or against the floor by this much. */
export const isArched = ({ pose }: GivenForm, fromDeg: number): boolean => (pose.bendDeg ?? 0) <= -fromDeg;
/** Whether knee and hip make a hinge: the knee nearly straight, the hip bent, the back of the thigh long. */
export const hingesStraight = (given: GivenForm): boolean =>
	passes(given, ({ flexion = 0 }, kneeDeg) => kneeDeg <= 20 && flexion >= 60);
