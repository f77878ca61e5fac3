import type loadHighs from 'highs';
import type { AdjustableDose } from '../../src/lib/core/fit';

type Highs = Awaited<ReturnType<typeof loadHighs>>;

const exact = (value: number) => value.toFixed(12);

/**
 * Returns the cost of an amount, written here a second time: its weight times the square of the change in seconds
 * over the seconds between the least and the most that may be given (at least one).
 */
export function costOf(
	{ weight, current, allowed: [least, most], secondsPerUnit }: AdjustableDose,
	amount: number
): number {
	const change = (amount - current) * secondsPerUnit;
	return (weight * change ** 2) / Math.max(1, (most - least) * secondsPerUnit);
}

/** Terms of a linear expression, broken into lines: the LP format limits their length. */
function sum(terms: string[]): string {
	const lines: string[] = [];
	for (let i = 0; i < terms.length; i += 8) lines.push(terms.slice(i, i + 8).join(' + '));
	return lines.join('\n + ');
}

/** The least-cost seconds with a given sum, as a convex quadratic program of the same problem. */
export function continuousByHighs(
	highs: Highs,
	adjustable: readonly AdjustableDose[],
	totalSeconds: number
): number[] {
	const range = (k: AdjustableDose) => Math.max(1, (k.allowed[1] - k.allowed[0]) * k.secondsPerUnit);
	// weight / range x (x - start)^2, without its constant
	const square = adjustable.map((k, i) => `${exact((2 * k.weight) / range(k))} x${i} ^2`);
	const linear = adjustable.map(
		(k, i) => `${exact((-2 * k.weight * k.current * k.secondsPerUnit) / range(k))} x${i}`
	);
	const problem = `Minimize
 obj: ${sum(linear).replace(/\+ -/g, '- ')} + [ ${sum(square)} ] / 2
Subject To
 total: ${sum(adjustable.map((_, i) => `x${i}`))} = ${exact(totalSeconds)}
Bounds
${adjustable.map((k, i) => ` ${exact(k.allowed[0] * k.secondsPerUnit)} <= x${i} <= ${exact(k.allowed[1] * k.secondsPerUnit)}`).join('\n')}
End`;
	const result = highs.solve(problem, { output_flag: false, qp_regularization_value: 0 } as object);
	if (result.Status !== 'Optimal') throw new Error(`HiGHS: ${result.Status}`);
	return adjustable.map((_, i) => (result.Columns[`x${i}`] as { Primal: number }).Primal);
}

/** The least cost with whole amounts and a given sum, as a mixed-integer program; null when there is none. */
export function wholeByHighs(
	highs: Highs,
	adjustable: readonly AdjustableDose[],
	totalSeconds: number
): number | null {
	const cost: string[] = [];
	const seconds: string[] = [];
	const names: string[] = [];
	const one: string[] = [];
	for (const [i, k] of adjustable.entries()) {
		const choices: string[] = [];
		for (let amount = k.allowed[0]; amount <= k.allowed[1]; amount++) {
			if (amount % k.step !== 0 && amount !== k.current) continue;
			const name = `y${i}_${amount}`;
			names.push(name);
			choices.push(name);
			cost.push(`${exact(costOf(k, amount))} ${name}`);
			seconds.push(`${k.seconds[amount - k.min]} ${name}`);
		}
		one.push(` one${i}: ${sum(choices)} = 1`);
	}
	const problem = `Minimize
 obj: ${sum(cost)}
Subject To
 total: ${sum(seconds)} = ${totalSeconds}
${one.join('\n')}
Binary
 ${sum(names).replace(/ \+ /g, ' ')}
End`;
	const result = highs.solve(problem, { output_flag: false, mip_rel_gap: 1e-6 });
	return result.Status === 'Optimal' ? result.ObjectiveValue : null;
}
