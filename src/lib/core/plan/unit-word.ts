import type { DoseUnit } from '../movement';

const UNIT_WORDS: Record<DoseUnit, [one: string, many: string]> = {
	breaths: ['breath', 'breaths'],
	seconds: ['second', 'seconds'],
	repetitions: ['repetition', 'repetitions'],
	rounds: ['round', 'rounds'],
	counts: ['count', 'counts']
};

/**
 * "1 breath", "5 breaths": the unit in the right number.
 * @example unitWord('breaths', 1) // "breath"
 */
export function unitWord(unit: DoseUnit, amount: number): string {
	return UNIT_WORDS[unit][amount === 1 ? 0 : 1];
}
