import { isSymmetrical, type LegAction } from '../anatomy';
import type { Caution, CautionAdvice, Form, Movement, Position } from './types';

/**
 * Cautions that follow from the angles, the position and the mode of a movement, whoever wrote it down. What an
 * entry says of a caution itself goes before. All rules: common practice, no source; licensed practice decides.
 */
interface CareRule {
	caution: Caution;
	applies: (movement: Movement, legs: LegAction[]) => boolean;
	advice: string;
	/** Slug of what is given instead, by position. */
	instead: (position: Position) => string;
	/** Forms that do what the advice says. */
	okIn?: (form: Form) => boolean;
}

const LYING: ReadonlySet<Position> = new Set(['supine', 'wall-supine', 'prone', 'sidelying']);
const ON_THE_BACK: ReadonlySet<Position> = new Set(['supine', 'wall-supine']);
const held = (form: Form, kind: string) => form.props.some((p) => p.kit === kind);
const isFold = (m: Movement) => m.families.includes('forward fold');
const usual = (m: Movement) => m.forms.find((f) => f.id === 'full') ?? m.forms[0];
const stretches = (m: Movement, legs: LegAction[], tissues: readonly string[]) =>
	legs.some((leg) => leg.lengthens.some((t) => tissues.includes(t))) && m.modes[0] !== 'dynamic';

/** Deep bends that carry weight, and turns on a bent knee that the floor holds fast. */
function loadsKnee(m: Movement, legs: LegAction[]): boolean {
	if (LYING.has(m.position) || m.forms.every((f) => held(f, 'chair'))) return false;
	const deep = legs.some((leg) => leg.kneeDeg.some((k) => k >= 130));
	const floor = m.position !== 'standing' && m.position !== 'quadruped';
	const turned = legs.some((leg) =>
		leg.positions.some(
			(p, i) =>
				(leg.kneeDeg[i] ?? 0) >= 85 &&
				(leg.kneeDeg[i] ?? 0) < 130 &&
				((p.internalRotation ?? 0) >= 30 || (p.externalRotation ?? 0) >= 45)
		)
	);
	return deep || (floor && turned);
}

const RULES: readonly CareRule[] = [
	{
		caution: 'sore knee',
		applies: loadsKnee,
		advice: 'Less bend and no turn in the knee; heel nearer, padding behind the knee.',
		instead: (p) => (p === 'seated' ? 'seated-heel-pivot' : 'bridge-lift')
	},
	{
		caution: 'low back',
		applies: (m, legs) =>
			(isFold(m) && !LYING.has(m.position) && (usual(m)?.intensity ?? 0) >= 2) ||
			(!LYING.has(m.position) &&
				m.position !== 'standing' &&
				legs.some((l) => l.positions.some((p) => (p.extension ?? 0) >= 20))),
		advice: 'Hands on blocks, back long, less far.',
		instead: () => 'supine-knee-out',
		okIn: (form) => held(form, 'block') || held(form, 'chair')
	},
	{
		caution: 'buttock pain with leg symptoms',
		applies: (m, legs) =>
			(usual(m)?.intensity ?? 0) >= 2 &&
			stretches(m, legs, ['deep outward rotators', 'gluteus maximus', 'hamstrings']),
		advice: 'No long stretch of the seat or the back of the leg.',
		instead: () => 'sidelying-parallel-lift'
	},
	{
		caution: 'front-of-hip pinch',
		applies: (_m, legs) =>
			legs.some((l) =>
				l.positions.some((p) => {
					const f = p.flexion ?? 0;
					return f >= 118 || (f >= 95 && ((p.internalRotation ?? 0) >= 10 || (p.adduction ?? 0) >= 10));
				})
			),
		advice: 'Less flexion, the leg wider.',
		instead: () => 'supine-heel-pivot'
	},
	{
		caution: 'after hip replacement',
		applies: (_m, legs) =>
			legs.some((l) =>
				l.positions.some(
					(p) => (p.flexion ?? 0) > 90 || (p.adduction ?? 0) >= 10 || (p.internalRotation ?? 0) >= 15
				)
			),
		advice:
			'Flexion past 90°, the leg past the middle and turning in: only as the treating clinician allows.',
		instead: () => 'constructive-rest'
	},
	{
		caution: 'pregnancy',
		applies: (m, legs) =>
			m.position === 'prone' ||
			(ON_THE_BACK.has(m.position) && (m.modes[0] === 'passive' || m.modes[0] === 'rest')) ||
			(m.modes[0] === 'passive' && legs.some((l) => l.positions.some((p) => (p.abduction ?? 0) >= 45))),
		advice: 'Later on not long on the back, not on the belly, nothing at the end of wide.',
		instead: (p) => (p === 'prone' ? 'bird-reach' : 'sidelying-rest')
	},
	{
		caution: 'very mobile joints',
		applies: (m) => m.modes[0] === 'passive' && (usual(m)?.intensity ?? 0) >= 3,
		advice: 'Short of the end and shorter; better strength in mid range.',
		instead: (p) => (p === 'standing' ? 'standing-hinge' : 'bridge-lift')
	},
	{
		caution: 'fragile bones',
		applies: (m) => isFold(m) && !LYING.has(m.position) && (usual(m)?.intensity ?? 0) >= 2,
		advice: 'No loaded rounding: upright, hands high.',
		instead: (p) => (p === 'standing' ? 'wall-lunge' : 'butterfly'),
		okIn: (form) => held(form, 'chair')
	},
	{
		caution: 'poor balance',
		applies: (m) =>
			m.position === 'standing' && (m.pose.lead?.includes('none') ?? m.pose.trail?.includes('none') ?? false),
		advice: 'A hand on the wall or on a chair.',
		instead: () => 'chair-sit-to-stand',
		okIn: (form) => held(form, 'wall space') || held(form, 'chair')
	},
	{
		caution: 'high blood pressure or glaucoma',
		applies: (m) =>
			(m.pose.pitchDeg ?? 0) >= 80 &&
			m.position !== 'prone' &&
			(m.pose.arms === 'floor' || m.pose.arms === 'down'),
		advice: 'Head level: hands on a chair or a wall.',
		instead: () => 'wall-half-fold'
	},
	{
		caution: 'recent muscle or tendon injury',
		applies: (m, legs) =>
			(usual(m)?.intensity ?? 0) >= 3 &&
			stretches(m, legs, ['hamstrings', 'adductors', 'rectus femoris', 'hip flexors']),
		advice: 'Nothing that pulls on the injured part: unloaded, in mid range.',
		instead: (p) => (p === 'standing' ? 'wide-stance-sway' : 'supine-knee-rock')
	}
];

const legsOf = (m: Movement): LegAction[] =>
	isSymmetrical(m.action) ? [m.action.both] : [m.action.lead, m.action.trail];

/** The cautions of a movement: its own, and those that follow by rule where it says nothing of them itself. */
export function withRuledCautions(movement: Movement): Movement {
	const legs = legsOf(movement);
	const own = new Set(movement.cautions.map((c) => c.caution));
	const ruled = RULES.filter((rule) => !own.has(rule.caution) && rule.applies(movement, legs)).map(
		(rule): CautionAdvice => ({
			caution: rule.caution,
			advice: rule.advice,
			instead: rule.instead(movement.position),
			okIn: rule.okIn ? movement.forms.filter(rule.okIn).map((form) => form.id) : []
		})
	);
	return ruled.length ? { ...movement, cautions: [...movement.cautions, ...ruled] } : movement;
}
