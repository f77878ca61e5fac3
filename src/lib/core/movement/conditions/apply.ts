import type { Caution, CautionAdvice, Form, Movement } from '../types';
import { givenForm } from './given';
import { CONDITIONS, conditionOf, RESTS, type Condition, type Provocation } from './table';

/** Returns what in a form provokes a condition; empty where nothing does. */
export function provokedBy(movement: Movement, form: Form, { provocations }: Condition): Provocation[] {
	const it = givenForm(movement, form);
	return provocations.filter(({ provokes }) => provokes(it));
}

/** Returns the forms of a movement in which nothing provokes the condition. */
export const formsWithin = (movement: Movement, caution: Caution): Form[] =>
	movement.forms.filter((form) => provokedBy(movement, form, conditionOf(caution)).length === 0);

/** Returns the line that makes a movement fine for a person with a condition; undefined where none is needed. */
const adjustmentOf = (movement: Movement, { adjustment }: Condition): string | undefined =>
	adjustment && movement.forms.some((form) => adjustment.applies(givenForm(movement, form)))
		? adjustment.line
		: undefined;

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
		if (okIn.length < movement.forms.length) return [{ caution, advice, instead: other, okIn }];
		const line = adjustmentOf(movement, condition);
		return line ? [{ caution, advice: line, instead: other, okIn }] : [];
	});
	const cautions = [...own, ...ruled];
	return { ...movement, cautions };
}
