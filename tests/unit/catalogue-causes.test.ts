import { describe, expect, it } from 'vitest';
import { CATALOGUE, findMovement } from '../../src/lib/catalogue';
import { isSymmetrical, type LegAction } from '../../src/lib/core/anatomy';
import {
	actionOf,
	doseRange,
	formsWithin,
	FORM_IDS,
	modesOf,
	WORKING_MODES,
	type Form,
	type Mode,
	type Movement
} from '../../src/lib/core/movement';

/**
 * Faults that came from one cause each and stood in many entries, looked for over the whole catalogue. The rules of
 * anatomy are common practice, no source; docs/catalogue.md says how many entries each of them mended.
 */
interface Given {
	movement: Movement;
	form: Form;
	mode: Mode;
	/** "low-lunge supported active" */
	name: string;
}

const given: Given[] = CATALOGUE.flatMap((movement) =>
	movement.forms.flatMap((form) =>
		modesOf(movement, form).map((mode) => ({
			movement,
			form,
			mode,
			name: `${movement.slug} ${form.id} ${mode}`
		}))
	)
);
const named = (list: readonly Given[]) => [...new Set(list.map(({ name }) => name))];
const sides = (action: ReturnType<typeof actionOf>): { lead: LegAction; trail: LegAction } =>
	isSymmetrical(action) ? { lead: action.both, trail: action.both } : action;
const legsOf = ({ movement, form, mode }: Given): LegAction[] =>
	Object.values(sides(actionOf(movement, form, mode)));
const pitchOf = ({ movement, form }: Given) => form.pose?.pitchDeg ?? movement.pose.pitchDeg;
const flexionOf = (leg: LegAction, i = 0) =>
	(leg.positions[i]?.flexion ?? 0) - (leg.positions[i]?.extension ?? 0);

describe('a form carries what differs from the full one', () => {
	it('has angles of its own where its words say that a knee is bent, or that it goes half the way', () => {
		const says = /\bhalf\b|half way|knees? (a little )?bent|bent knee|soft knees?|lower leg straight/i;
		const same = given.filter(
			({ movement, form }) =>
				form.id === 'supported' &&
				says.test(form.how) &&
				JSON.stringify(form.action ?? movement.action) === JSON.stringify(movement.action)
		);
		expect(named(same)).toEqual([]);
	});

	it('never works less on a stronger rung than on the full one, in the same mode', () => {
		const less = given.filter(({ movement, form, mode }) => {
			const full = movement.forms.find(({ id }) => id === 'full');
			const stronger = FORM_IDS.indexOf(form.id) > FORM_IDS.indexOf('full');
			return full && stronger && WORKING_MODES.has(mode) && form.effort < full.effort;
		});
		expect(named(less)).toEqual([]);
	});

	it('takes no effort where nothing but gravity or a prop works', () => {
		const resting = CATALOGUE.flatMap((m) => m.forms.map((form) => ({ m, form }))).filter(
			({ m, form }) => modesOf(m, form).every((mode) => !WORKING_MODES.has(mode)) && form.effort > 0
		);
		expect(resting.map(({ m, form }) => `${m.slug} ${form.id}`)).toEqual([]);
	});

	it('names a muscle wherever a mode works', () => {
		const idle = given.filter(
			(g) =>
				WORKING_MODES.has(g.mode) && g.form.effort > 0 && legsOf(g).every((leg) => leg.works.length === 0)
		);
		expect(named(idle)).toEqual([]);
	});
});

describe('mode and dose belong together', () => {
	it('counts a hold in breaths, seconds, counts or rounds, never in repetitions', () => {
		const wrong = given.filter(
			({ form, mode }) => mode !== 'dynamic' && doseRange(form, mode).unit === 'repetitions'
		);
		expect(named(wrong)).toEqual([]);
	});

	it('counts what moves in what can be counted', () => {
		const wrong = given.filter(
			({ form, mode }) => mode === 'dynamic' && ['seconds', 'counts'].includes(doseRange(form, mode).unit)
		);
		expect(named(wrong)).toEqual([]);
	});

	it('moves where it says that it moves: two positions of a leg at least', () => {
		const still = given.filter(
			(g) => g.mode === 'dynamic' && legsOf(g).every((leg) => leg.positions.length === 1)
		);
		expect(named(still)).toEqual([]);
	});

	it('stays at the far end of a swing that is held, unless it is pressed at both', () => {
		const moving = given.filter(
			(g) =>
				g.mode !== 'dynamic' && !g.movement.heldAtEachEnd && legsOf(g).some((leg) => leg.positions.length > 1)
		);
		expect(named(moving)).toEqual([]);
	});
});

describe('geometry', () => {
	it('a shin flat on the floor under an upright trunk: the hip bends by the knee less 90', () => {
		const wrong = given.filter((g) => {
			if (g.movement.position !== 'kneeling' || g.movement.families.includes('pigeon')) return false;
			if (Math.abs(pitchOf(g) ?? 0) > 15) return false;
			const legs = sides(actionOf(g.movement, g.form, g.mode));
			return (['lead', 'trail'] as const).some((part) => {
				const leg = legs[part];
				// a foot that is caught lies on no floor
				if (!(g.movement.pose[part] ?? ['foot']).includes('foot')) return false;
				const last = leg.positions.length - 1;
				const knee = leg.kneeDeg[last] ?? 0;
				return knee >= 135 && Math.abs(flexionOf(leg, last) - (knee - 90)) > 20;
			});
		});
		expect(named(wrong)).toEqual([]);
	});

	it('a pelvis folded forward flexes a leg that stands', () => {
		const wrong = given.filter((g) => {
			if (g.movement.position !== 'standing' || (pitchOf(g) ?? 0) < 60) return false;
			const { lead, trail } = sides(actionOf(g.movement, g.form, g.mode));
			const stands = (leg: 'lead' | 'trail') => g.movement.pose[leg]?.includes('foot') ?? true;
			return (
				(stands('lead') && flexionOf(lead, lead.positions.length - 1) < 45) ||
				(stands('trail') && flexionOf(trail, trail.positions.length - 1) < 45)
			);
		});
		expect(named(wrong)).toEqual([]);
	});

	it('what turns out does not lengthen the outward rotators before the hip is deeply bent, and the other way round', () => {
		const always = (leg: LegAction, direction: 'externalRotation' | 'internalRotation', deg: number) =>
			leg.positions.every((p) => (p[direction] ?? 0) >= deg);
		const wrong = given.filter((g) =>
			legsOf(g).some((leg) => {
				const deep = leg.positions.some((p) => (p.flexion ?? 0) >= 88);
				return (
					(always(leg, 'externalRotation', 30) && !deep && leg.lengthens.includes('deep outward rotators')) ||
					(always(leg, 'internalRotation', 30) && leg.lengthens.includes('inward rotators'))
				);
			})
		);
		expect(named(wrong)).toEqual([]);
	});

	it('the working front leg of a lunge does not lengthen its gluteus', () => {
		const wrong = given.filter((g) => {
			const lunge = g.movement.families.some((f) => f === 'low lunge' || f === 'lunge');
			const { lead } = sides(actionOf(g.movement, g.form, g.mode));
			return lunge && WORKING_MODES.has(g.mode) && lead.lengthens.includes('gluteus maximus');
		});
		expect(named(wrong)).toEqual([]);
	});

	it('a flat block under the seat extends no hip while the knees are bent', () => {
		const { forms, action } = findMovement('supported-bridge') as Movement;
		const flat = forms.find(({ id }) => id === 'supported');
		expect(sides(flat?.action ?? action).lead.positions[0]?.extension ?? 0).toBe(0);
	});

	it('in a side bend the upper flank lengthens: that of the other side than the lean', () => {
		const wrong = given.filter((g) => {
			const side = g.form.pose?.sideDeg ?? g.movement.pose.sideDeg ?? 0;
			if (side === 0 || isSymmetrical(g.movement.action)) return false;
			const { lead, trail } = sides(actionOf(g.movement, g.form, g.mode));
			const lower = side > 0 ? lead : trail;
			return lower.lengthens.includes('side body');
		});
		expect(named(wrong)).toEqual([]);
	});
});

describe('cautions', () => {
	it('calls a form fine only where the rule of the caution does not hold of it', () => {
		const wrong = CATALOGUE.flatMap((m) =>
			m.cautions.flatMap(({ caution, okIn }) => {
				const within = formsWithin(m, caution).map(({ id }) => id);
				return okIn.filter((id) => !within.includes(id)).map((id) => `${m.slug} ${caution} ${id}`);
			})
		);
		expect(wrong).toEqual([]);
	});

	it('gives instead what the same rule allows, in a form that the movement itself calls fine', () => {
		const wrong = CATALOGUE.flatMap((m) =>
			m.cautions.flatMap(({ caution, instead }) => {
				const other = findMovement(instead) as Movement;
				const own = other.cautions.find((c) => c.caution === caution);
				const fine = formsWithin(other, caution).some(({ id }) => !own || own.okIn.includes(id));
				return fine ? [] : [`${m.slug} ${caution} -> ${instead}`];
			})
		);
		expect(wrong).toEqual([]);
	});

	it('gives advice that can be followed: a substitute that is not the movement itself', () => {
		for (const m of CATALOGUE)
			for (const { caution, instead } of m.cautions) expect(instead, `${m.slug} ${caution}`).not.toBe(m.slug);
	});
});

describe('links and words', () => {
	const onChair = (m: Movement) => m.forms.every((f) => f.props.some(({ kit }) => kit === 'chair'));

	it('work on a chair is prepared and undone on a chair or on the feet', () => {
		const wrong = CATALOGUE.filter((m) => m.position === 'seated' && onChair(m)).flatMap((m) =>
			[...m.preparations, ...m.counters]
				.map((slug) => findMovement(slug) as Movement)
				.filter((other) => other.position !== 'standing' && !onChair(other))
				.map((other) => `${m.slug}: ${other.slug}`)
		);
		expect(wrong).toEqual([]);
	});

	it('says what a teacher who faces the group has to mind, for every movement with sides', () => {
		const silent = CATALOGUE.filter((m) => !isSymmetrical(m.action) && !m.mirrored);
		expect(silent.map(({ slug }) => slug)).toEqual([]);
		// whose side “on their side” is nobody can tell
		const unclear = CATALOGUE.filter((m) => /their side/i.test(m.mirrored));
		expect(unclear.map(({ slug }) => slug)).toEqual([]);
	});

	it('says how to get to the wall, or where it is', () => {
		const silent = CATALOGUE.filter(
			(m) =>
				m.forms.every((f) => f.props.some(({ kit }) => kit === 'wall space')) &&
				!/wall/i.test([m.setUp, ...m.forms.map(({ how }) => how)].join(' '))
		);
		expect(silent.map(({ slug }) => slug)).toEqual([]);
	});
});
