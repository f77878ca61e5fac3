import { CAUTIONS, type Caution } from '../cautions';
import { type CautionAdvice, type Movement } from '../types';
import type { Condition } from './condition';
import { conditionOf, CONDITIONS } from './table';
import { provokedBy } from './apply';

/** A movement that a condition touches: the forms that provoke it, by which rule, and what is given. */
export interface TouchedMovement {
	slug: string;
	english: string;
	/** The words of the rules that some form provokes; empty where only the entry itself names the caution. */
	because: string[];
	/** Forms in which it is given all the same. */
	okIn: readonly string[];
	instead: string;
}

/** A condition with its rules and everything in a catalogue that it touches. */
export interface ConditionAccount extends Omit<Condition, 'provocations' | 'instead' | 'adjustment'> {
	/** Says what makes forms fine that provoke nothing: "kneeling without padding: Kneel on a folded blanket." */
	adjustment: string | null;
	rules: string[];
	movements: TouchedMovement[];
}

const touched = (movement: Movement, { caution, okIn, instead }: CautionAdvice): TouchedMovement => ({
	slug: movement.slug,
	english: movement.english,
	because: [
		...new Set(
			movement.forms.flatMap((form) =>
				provokedBy(movement, form, conditionOf(caution)).map(({ words }) => words)
			)
		)
	],
	okIn,
	instead
});

/** Returns the table of conditions over a catalogue, in the order of the table. */
export const accountOfConditions = (movements: readonly Movement[]): ConditionAccount[] =>
	CONDITIONS.map(({ caution, hint, provocations, adjustment, advice, source }) => ({
		caution,
		...(hint ? { hint } : {}),
		adjustment: adjustment ? `${adjustment.words}: ${adjustment.line}` : null,
		advice,
		source,
		rules: provocations.map(({ words }) => words),
		movements: movements.flatMap((movement) =>
			movement.cautions.filter((said) => said.caution === caution).map((said) => touched(movement, said))
		)
	}));

/** Returns what each condition says of one movement; conditions that it does not touch are missing. */
export const cautionsOfMovement = (movement: Movement): ({ caution: Caution } & TouchedMovement)[] =>
	movement.cautions.map((said) => ({ caution: said.caution, ...touched(movement, said) }));

/** Returns the cautions that can still be chosen, in the usual order, with what has to be asked beside the name. */
export const cautionChoices = (taken: readonly Caution[]): { id: Caution; text: string }[] =>
	CAUTIONS.filter((caution) => !taken.includes(caution)).map((caution) => {
		const { hint } = conditionOf(caution);
		return { id: caution, text: hint ? `${caution} (${hint})` : caution };
	});
