import { isSymmetrical } from '../anatomy';
import { formOf, type DoseUnit, type FindMovement } from '../movement';
import { goesByTurns, rangeOf, type Dose, type Hold } from './dose';
import type { Item } from './types';
import { unitWord } from './unit-word';

/** "5 counts". */
const holdWords = ({ amount, unit }: Hold): string => `${amount} ${unitWord(unit, amount)}`;

/** "5 breaths", "30–60 seconds". */
export function amountWords({ amount, most }: Dose, unit: DoseUnit): string {
	return most === undefined
		? `${amount} ${unitWord(unit, amount)}`
		: `${amount}–${most} ${unitWord(unit, most)}`;
}

/**
 * Describes the parts of a dose besides its amount: "3 sets, 20 s between", "each held 5 counts", "at 80 %". In the
 * order in which a teacher says them.
 */
export function doseParts(dose: Dose, unit: DoseUnit): string[] {
	const { sets, restSeconds, hold, lastHold, effortPercent, bothWays, moreOn, secondSide, byBreath } = dose;
	return [
		...(byBreath ? ['with the movement'] : []),
		...(hold ? [`each held ${holdWords(hold)}`] : []),
		...(lastHold ? [`the last held ${holdWords(lastHold)}`] : []),
		...(effortPercent ? [`at ${effortPercent} %`] : []),
		...(bothWays ? ['each way'] : []),
		...(sets ? [`${sets} sets${restSeconds ? `, ${restSeconds} s between` : ''}`] : []),
		...(moreOn ? [`${moreOn.amount} ${unitWord(unit, moreOn.amount)} more with the ${moreOn.leg} leg`] : []),
		...(secondSide ? [`${secondSide} ${unitWord(unit, secondSide)} on the second side`] : [])
	];
}

/** How the sides come into it: "each side", "by turns", "one side only", or nothing. */
export function sideWords(item: Item, sided: boolean, byTurns: boolean): string {
	if (!sided) return '';
	if (byTurns) return 'by turns';
	return item.oneSided ? 'one side only' : 'each side';
}

/** A whole dose as it stands on a card: "10 repetitions each side, the last held 3 breaths, 2 sets". */
export function doseInWords(item: Item, find: FindMovement): string {
	if (item.passed) return 'passed through';
	const movement = find(item.movement);
	const form = movement && formOf(movement, item.form);
	if (!form) return String(item.dose.amount);
	const { unit } = rangeOf(item, movement, form);
	const sides = sideWords(item, !isSymmetrical(movement.action), goesByTurns(item, movement));
	const amount = [amountWords(item.dose, unit), sides].filter(Boolean).join(' ');
	return [amount, ...doseParts(item.dose, unit)].join(', ');
}
