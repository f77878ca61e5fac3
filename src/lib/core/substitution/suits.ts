import type { CautionCount, Group, Tier } from '../group';
import {
	CLINICIAN_DECIDES,
	conditionOf,
	formOf,
	RESTS,
	SITS_OUT,
	usualForm,
	type Caution,
	type FindMovement,
	type Form,
	type FormId,
	type Movement
} from '../movement';
import { STRENGTH_FROM_EFFORT } from '../rules';

/** The consequence of a caution for a movement in one of its forms. */
export type Suits =
	| { kind: 'fine' }
	/** This form already does what the caution asks. */
	| { kind: 'in this form'; advice: string }
	/** Another form of the same movement does. */
	| { kind: 'other form'; advice: string; form: FormId; instead: string }
	/** Another movement is given. */
	| { kind: 'instead'; advice: string; instead: string }
	/** No suggestion: the treating clinician decides. */
	| { kind: 'clinician'; advice: string };

/** Whether a form asks no more than another: neither intensity nor effort is higher. */
export const isNoHarder = (form: Form, than: Form): boolean =>
	form.intensity <= than.intensity && form.effort <= than.effort;

/**
 * Tells whether a form of a movement suits a person with a caution: as it is, in another form that is no harder, by another
 * movement, or only as their clinician decides.
 */
export function suits(movement: Movement, form: FormId, caution: Caution): Suits {
	const advice = movement.cautions.find((c) => c.caution === caution);
	if (!advice) return { kind: 'fine' };
	if (CLINICIAN_DECIDES.has(caution)) return { kind: 'clinician', advice: advice.advice };
	if (advice.okIn.includes(form)) return { kind: 'in this form', advice: advice.advice };
	const given = formOf(movement, form);
	// the hardest of those that are no harder: the nearest to what the room does
	const other = movement.forms.findLast(
		(one) => advice.okIn.includes(one.id) && (!given || isNoHarder(one, given))
	);
	if (other) return { kind: 'other form', advice: advice.advice, form: other.id, instead: advice.instead };
	return { kind: 'instead', advice: advice.advice, instead: advice.instead };
}

/** Whether a person with a caution can do a form of a movement as it is. */
export const isSuitable = (movement: Movement, form: Form, caution: Caution): boolean => {
	const { kind } = suits(movement, form.id, caution);
	return kind === 'fine' || kind === 'in this form';
};

/** The form of a movement that a person with a caution can do, the full one if possible; undefined when there is none. */
export function formSuiting(movement: Movement, caution: Caution): Form | undefined {
	const usual = usualForm(movement);
	return isSuitable(movement, usual, caution)
		? usual
		: movement.forms.find((form) => isSuitable(movement, form, caution));
}

/** Another movement in the form in which the person gets it. */
export interface StandInMovement {
	movement: Movement;
	form: Form;
}

/**
 * Returns what a person with a caution gets while the room does a form of a movement that does not suit them: what the
 * caution names, else what the table of conditions names, else a rest; the first that suits and is no harder, and one that
 * strengthens where the room does.
 *
 * @param mayUse whether the kit suffices for a form
 */
export function givenInstead(
	movement: Movement,
	form: FormId,
	caution: Caution,
	find: FindMovement,
	mayUse: (form: Form) => boolean = () => true
): StandInMovement | null {
	const verdict = suits(movement, form, caution);
	if (verdict.kind !== 'instead') return null;
	const given = formOf(movement, form) ?? usualForm(movement);
	const fits = (other: Movement, form: Form, leastEffort: number) =>
		form.effort >= leastEffort && isSuitable(other, form, caution) && isNoHarder(form, given) && mayUse(form);
	const firstOf = (slugs: readonly string[], leastEffort: number): StandInMovement | null => {
		for (const slug of slugs) {
			const other = slug === movement.slug ? undefined : find(slug);
			const best =
				other && [usualForm(other), ...other.forms.toReversed()].find((one) => fits(other, one, leastEffort));
			if (best) return { movement: other, form: best };
		}
		return null;
	};
	const named = [verdict.instead, ...conditionOf(caution).instead(movement.position)];
	const working = given.effort >= STRENGTH_FROM_EFFORT ? firstOf(named, STRENGTH_FROM_EFFORT) : null;
	return working ?? firstOf([...named, ...RESTS], 0);
}

/** Why something cannot be given to a room. */
export type Refusal = 'no substitute' | 'most of the room';

/**
 * Why a movement in a form cannot be given while people with a caution are here; null where they can do it, or get
 * another form or movement beside the class. Refused for all is only what most of the room cannot do, and what has no
 * substitute for those who cannot (also where the treating clinician decides: then nothing is proposed).
 * @param size of the room
 */
export function refusal(
	movement: Movement,
	form: FormId,
	{ caution, people }: CautionCount,
	size: number,
	find: FindMovement
): Refusal | null {
	if (SITS_OUT.has(caution)) return null;
	const verdict = suits(movement, form, caution);
	if (verdict.kind === 'clinician') return 'no substitute';
	if (verdict.kind !== 'instead') return null;
	if (2 * people > size) return 'most of the room';
	return givenInstead(movement, form, caution, find) ? null : 'no substitute';
}

/** Whether all who take part with these cautions can do a form of a movement as it is. */
export const suitsAll = (movement: Movement, form: Form, cautions: readonly Caution[]): boolean =>
	cautions.every((caution) => SITS_OUT.has(caution) || isSuitable(movement, form, caution));

/** Whether some form of a movement can be given to all who take part with these cautions. */
export const suitsSomehow = (movement: Movement, cautions: readonly Caution[]): boolean =>
	movement.forms.some((form) => suitsAll(movement, form, cautions));

/** The most intensity (1-5) that a tier is given; beginners at most 3. Common practice, no source. */
const MOST_INTENSITY: Record<Tier, number> = { tight: 3, middling: 4, open: 5 };

/** The most intensity (1-5) that a tier of a group is given. */
export function mostIntensity(tier: Tier, group: Group): number {
	return group.preset === 'beginners' ? Math.min(3, MOST_INTENSITY[tier]) : MOST_INTENSITY[tier];
}

/**
 * Returns the form of a tier while the room is given a form: one rung easier for the tight tier, one harder for the
 * open tier, else the form itself. A tier never gets more load than the room.
 */
export function formForTier(movement: Movement, given: FormId, tier: Tier): Form {
	const ladder = movement.forms;
	const at = ladder.findIndex((form) => form.id === given);
	const step = tier === 'tight' ? -1 : tier === 'open' ? 1 : 0;
	const wanted = ladder[Math.min(ladder.length - 1, Math.max(0, at + step))] as Form;
	return step === 1 && wanted.id === 'loaded' ? (ladder[at] as Form) : wanted;
}

/** Whether a tier finds a form in it that is not too much. */
export function suitsTier(movement: Movement, tier: Tier, group: Group | null): boolean {
	const most = group ? mostIntensity(tier, group) : MOST_INTENSITY[tier];
	return movement.forms.some((form) => form.intensity <= (tier === 'tight' ? Math.min(2, most) : most));
}
