import {
	isSymmetrical,
	type ActionProfile,
	type HipAngles,
	type LegAction,
	type MuscleGroup,
	type Tissue
} from '../anatomy';
import { actionOf, modesOf } from './form';
import type { Caution, CautionAdvice, Form, KitKind, Mode, Movement, Position, PropSite } from './types';

/**
 * Cautions that follow from the angles, the tissues, the position and the modes of a movement, whoever wrote it down. A
 * rule looks at each form: where it does not hold of one, that form is what the caution asks for. What an entry says of
 * a caution itself goes before. All rules: common practice, no source; licensed practice decides.
 */
interface CareRule {
	caution: Caution;
	/** Whether a form asks too much of somebody with the caution. */
	applies: (given: GivenForm) => boolean;
	advice: string;
	/** Slug of what is given instead, by position. */
	instead: (position: Position) => string;
}

/** A form of a movement, and what its legs do. */
interface GivenForm {
	movement: Movement;
	form: Form;
	modes: readonly Mode[];
	legs: readonly LegAction[];
}

const LYING: ReadonlySet<Position> = new Set(['supine', 'wall-supine', 'prone', 'sidelying']);
const ON_THE_BACK: ReadonlySet<Position> = new Set(['supine', 'wall-supine']);
const CALM_MODES: ReadonlySet<Mode> = new Set(['passive', 'rest']);

const holds = (form: Form, kit: KitKind, sites?: readonly PropSite[]) =>
	form.props.some((p) => p.kit === kit && (!sites || sites.includes(p.site)));
/** Something to lean on with the hands, so that the back stays long and the head up. */
const handsHigh = (form: Form) =>
	holds(form, 'block', ['hands', 'in front']) ||
	holds(form, 'chair') ||
	holds(form, 'wall space', ['in front']);
const steadied = (form: Form) => holds(form, 'wall space') || holds(form, 'chair');
const isUprightFold = ({ movement: m, form }: GivenForm) =>
	m.families.includes('forward fold') && !LYING.has(m.position) && form.intensity >= 2;
/** Lengthens one of the tissues by more than a little, moving or held. */
const pullsOn = ({ form, legs }: GivenForm, tissues: readonly Tissue[]) =>
	form.intensity >= 2 && legs.some((leg) => leg.lengthens.some((t) => tissues.includes(t)));
/** Works hard with muscles of one of the groups. */
const loads = ({ form, modes, legs }: GivenForm, groups: readonly MuscleGroup[]) =>
	form.effort >= 2 &&
	modes.some((mode) => !CALM_MODES.has(mode)) &&
	legs.some((leg) => leg.works.some((g) => groups.includes(g)));
const anyPosition = ({ legs }: GivenForm, is: (angles: HipAngles, kneeDeg: number) => boolean) =>
	legs.some((leg) => leg.positions.some((angles, i) => is(angles, leg.kneeDeg[i] ?? 0)));

/** Deep bends that carry weight, and turns on a bent knee that the floor holds fast. */
function loadsKnee(given: GivenForm): boolean {
	const { position } = given.movement;
	if (LYING.has(position) || holds(given.form, 'chair', ['hips', 'behind'])) return false;
	const held = position !== 'standing' && position !== 'quadruped';
	const padded = given.form.props.some(({ site }) => site.includes('knee'));
	return anyPosition(
		given,
		({ internalRotation = 0, externalRotation = 0 }, kneeDeg) =>
			kneeDeg >= 130 ||
			(held && !padded && kneeDeg >= 85 && (internalRotation >= 30 || externalRotation >= 45))
	);
}

/** The head below the heart for a while: a dog, or a fold from standing with the hands low. */
const headDown = ({ movement: { pose, position }, form }: GivenForm) =>
	((pose.pitchDeg ?? 0) >= 100 || (position === 'standing' && (pose.pitchDeg ?? 0) >= 80)) &&
	(pose.arms === 'floor' || pose.arms === 'down' || pose.arms === 'up') &&
	!holds(form, 'chair') &&
	!holds(form, 'wall space');

const RULES: readonly CareRule[] = [
	{
		caution: 'sore knee',
		applies: loadsKnee,
		advice: 'Less bend and no turn in the knee; heel nearer, padding behind the knee.',
		instead: (p) => (p === 'seated' ? 'straight-leg-wipers' : 'bridge-lift')
	},
	{
		caution: 'low back',
		applies: (g) =>
			(isUprightFold(g) && !handsHigh(g.form)) ||
			(!LYING.has(g.movement.position) &&
				g.movement.position !== 'standing' &&
				anyPosition(g, ({ extension = 0 }) => extension >= 20)),
		advice: 'Hands on blocks, back long, less far.',
		instead: () => 'supine-knee-out'
	},
	{
		caution: 'buttock pain with leg symptoms',
		applies: (g) =>
			g.modes.some((mode) => mode !== 'dynamic') &&
			pullsOn(g, ['deep outward rotators', 'gluteus maximus', 'hamstrings']),
		advice: 'No long stretch of the seat or the back of the leg.',
		instead: () => 'sidelying-parallel-lift'
	},
	{
		caution: 'buttock pain without leg symptoms',
		applies: (g) =>
			g.modes.some((mode) => CALM_MODES.has(mode)) &&
			g.form.intensity >= 3 &&
			pullsOn(g, ['deep outward rotators', 'gluteus maximus']),
		advice: 'Not long and soft: short and working, or strength for it first.',
		instead: () => 'clam'
	},
	{
		caution: 'front-of-hip pinch',
		applies: (g) =>
			anyPosition(
				g,
				({ flexion = 0, internalRotation = 0, adduction = 0 }) =>
					flexion >= 118 || (flexion >= 95 && (internalRotation >= 10 || adduction >= 10))
			),
		advice: 'Less flexion, the leg wider.',
		instead: () => 'supine-heel-pivot'
	},
	{
		caution: 'after hip replacement',
		applies: (g) =>
			anyPosition(
				g,
				({ flexion = 0, adduction = 0, internalRotation = 0 }) =>
					flexion > 90 || adduction >= 10 || internalRotation >= 15
			),
		advice:
			'Flexion past 90°, the leg past the middle and turning in: only as the treating clinician allows.',
		instead: () => 'constructive-rest'
	},
	{
		caution: 'pregnancy',
		applies: (g) => {
			const { position } = g.movement;
			const calm = g.modes.some((mode) => CALM_MODES.has(mode));
			const wide = anyPosition(g, ({ abduction = 0 }) => abduction >= 45);
			return position === 'prone' || (calm && (ON_THE_BACK.has(position) || wide));
		},
		advice: 'Later on not long on the back, not on the belly, nothing at the end of wide.',
		instead: (p) => (p === 'prone' ? 'bird-reach' : 'sidelying-rest')
	},
	{
		caution: 'very mobile joints',
		applies: ({ form, modes }) => modes[0] === 'passive' && form.intensity >= 3,
		advice: 'Short of the end and shorter; better strength in mid range.',
		instead: (p) => (p === 'standing' ? 'standing-hinge' : 'bridge-lift')
	},
	{
		caution: 'fragile bones',
		applies: (g) => isUprightFold(g) && !holds(g.form, 'chair'),
		advice: 'No loaded rounding: upright, hands high.',
		instead: (p) => (p === 'standing' ? 'wall-lunge' : 'butterfly')
	},
	{
		caution: 'poor balance',
		applies: ({ movement: { position, pose }, form }) =>
			position === 'standing' &&
			(pose.lead?.includes('none') ?? pose.trail?.includes('none') ?? false) &&
			!steadied(form),
		advice: 'A hand on the wall or on a chair.',
		instead: () => 'chair-sit-to-stand'
	},
	{
		caution: 'high blood pressure or glaucoma',
		applies: headDown,
		advice: 'Head level: hands on a chair or a wall.',
		instead: () => 'wall-half-fold'
	},
	{
		caution: 'recent muscle or tendon injury',
		applies: (g) =>
			pullsOn(g, ['hamstrings', 'adductors', 'rectus femoris', 'hip flexors']) && g.form.intensity >= 3,
		advice: 'Nothing that pulls on the injured part: unloaded, in mid range.',
		instead: (p) => (p === 'standing' ? 'chair-sit-to-stand' : 'supine-knee-rock')
	},
	{
		caution: 'adductor injury',
		applies: (g) => pullsOn(g, ['adductors']) || loads(g, ['hip adductors']),
		advice: 'Nothing that pulls on the inner thigh, nothing squeezed hard.',
		instead: (p) => (p === 'standing' ? 'standing-leg-back' : 'bridge-lift')
	},
	{
		caution: 'hamstring injury',
		applies: (g) => pullsOn(g, ['hamstrings']) || loads(g, ['knee flexors']),
		advice: 'Nothing that pulls on the back of the thigh: knees bent, in mid range.',
		instead: (p) => (p === 'standing' ? 'chair-sit-to-stand' : 'supine-knee-rock')
	},
	{
		caution: 'sore wrist',
		applies: ({ movement, form }) => movement.onHands !== undefined && !form.offHands,
		advice: 'Nothing on bent-back wrists: forearms, fists, or the same lying down.',
		instead: (p) => (p === 'quadruped' ? 'sidelying-parallel-lift' : p === 'prone' ? 'sphinx' : 'bridge-lift')
	}
];

const legsOf = (action: ActionProfile): LegAction[] =>
	isSymmetrical(action) ? [action.both] : [action.lead, action.trail];

/** Forms of a movement of which the rule of a caution does not hold; all of them where there is no such rule. */
export function formsWithin(movement: Movement, caution: Caution): Form[] {
	const rule = RULES.find((known) => known.caution === caution);
	return movement.forms.filter(
		(form) =>
			!rule?.applies({
				movement,
				form,
				modes: modesOf(movement, form),
				legs: legsOf(actionOf(movement, form))
			})
	);
}

/** The cautions of a movement: its own, and those that follow by rule where it says nothing of them itself. */
export function withRuledCautions(movement: Movement): Movement {
	const own = new Set(movement.cautions.map((c) => c.caution));
	const ruled = RULES.filter((rule) => !own.has(rule.caution)).flatMap((rule): CautionAdvice[] => {
		const within = formsWithin(movement, rule.caution);
		if (within.length === movement.forms.length) return [];
		return [
			{
				caution: rule.caution,
				advice: rule.advice,
				instead: rule.instead(movement.position),
				okIn: within.map((form) => form.id)
			}
		];
	});
	return ruled.length ? { ...movement, cautions: [...movement.cautions, ...ruled] } : movement;
}
