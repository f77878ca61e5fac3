import type { Caution } from '../cautions';
import type { CautionAdvice, Form, FormId, Movement } from '../types';
import { givenForm } from './given';
import type { Condition, Provocation } from './condition';
import { CONDITIONS, conditionOf, RESTS } from './table';

/** Returns what in a form provokes a condition; empty where nothing does. */
export function provokedBy(movement: Movement, form: Form, { provocations }: Condition): Provocation[] {
	const it = givenForm(movement, form);
	return provocations.filter(({ provokes }) => provokes(it));
}

/** Returns the forms of a movement in which nothing provokes the condition. */
export const formsWithin = (movement: Movement, caution: Caution): Form[] =>
	movement.forms.filter((form) => provokedBy(movement, form, conditionOf(caution)).length === 0);

/** Returns the line that makes the forms that provoke nothing fine; null where none of them needs it. */
const adjustmentOf = (
	movement: Movement,
	okIn: readonly FormId[],
	{ adjustment }: Condition
): string | null => {
	const needs = movement.forms.some(
		(form) => okIn.includes(form.id) && adjustment?.applies(givenForm(movement, form))
	);
	return adjustment && needs ? adjustment.line : null;
};

/**
 * Returns the movement with the cautions that follow from the table of conditions. What an entry says of a caution itself
 * (advice, what is given instead) stays; of the forms that it calls fine, those stay in which nothing provokes it.
 */
export function withRuledCautions(movement: Movement): Movement {
	const within = (caution: Caution) => formsWithin(movement, caution).map((form) => form.id);
	const own = movement.cautions.map((said) => {
		const allowed = within(said.caution);
		return { ...said, okIn: said.okIn.filter((id) => allowed.includes(id)) };
	});
	const ruled = CONDITIONS.flatMap((condition): CautionAdvice[] => {
		const { caution, advice, instead } = condition;
		if (own.some((said) => said.caution === caution)) return [];
		const okIn = within(caution);
		const other = [...instead(movement.position), ...RESTS].find((slug) => slug !== movement.slug)!;
		const line = adjustmentOf(movement, okIn, condition);
		const isTouched = okIn.length < movement.forms.length;
		const words = [isTouched ? advice : null, line].filter((part) => part !== null).join(' ');
		return words ? [{ caution, advice: words, instead: other, okIn }] : [];
	});
	const cautions = [...own, ...ruled];
	return { ...movement, cautions };
}
