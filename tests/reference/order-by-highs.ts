import type loadHighs from 'highs';

type Highs = Awaited<ReturnType<typeof loadHighs>>;

/**
 * The least cost of a path through all blocks, from a given place, under "must come before" rules: a mixed-integer
 * program with order variables (Miller-Tucker-Zemlin), independent of the program that is tested.
 * @param start cost of beginning with block b; `step[a][b]` cost of b right after a
 */
export function pathByHighs(
	highs: Highs,
	start: number[],
	step: number[][],
	before: number[][]
): number | null {
	const n = start.length;
	if (n === 1) return start[0]!;
	const cost: string[] = [];
	const binaries: string[] = [];
	const rows: string[] = [];
	for (let b = 0; b < n; b++) {
		cost.push(`${start[b]} s${b}`);
		binaries.push(`s${b}`, `e${b}`);
		for (let a = 0; a < n; a++)
			if (a !== b) {
				cost.push(`${step[a]![b]} x${a}_${b}`);
				binaries.push(`x${a}_${b}`);
				rows.push(` u${a}_${b}: p${a} - p${b} + ${n} x${a}_${b} <= ${n - 1}`);
			}
	}
	const others = (b: number) => Array.from({ length: n }, (_, a) => a).filter((a) => a !== b);
	for (let b = 0; b < n; b++) {
		rows.push(
			` in${b}: s${b} + ${others(b)
				.map((a) => `x${a}_${b}`)
				.join(' + ')} = 1`
		);
		rows.push(
			` out${b}: e${b} + ${others(b)
				.map((a) => `x${b}_${a}`)
				.join(' + ')} = 1`
		);
		for (const a of before[b]!) rows.push(` r${a}_${b}: p${b} - p${a} >= 1`);
	}
	rows.push(` one: ${start.map((_, b) => `s${b}`).join(' + ')} = 1`);
	const lines = (terms: string[], by: string) => {
		const out: string[] = [];
		for (let i = 0; i < terms.length; i += 10) out.push(terms.slice(i, i + 10).join(by));
		return out.join(`${by}\n `);
	};
	const problem = `Minimize
 obj: ${lines(cost, ' + ')}
Subject To
${rows.join('\n')}
Bounds
${start.map((_, b) => ` 0 <= p${b} <= ${n - 1}`).join('\n')}
Binary
 ${lines(binaries, ' ')}
End`;
	const result = highs.solve(problem, { output_flag: false, mip_rel_gap: 0 });
	return result.Status === 'Optimal' ? result.ObjectiveValue : null;
}

/**
 * The least cost of a path through all blocks in any order, for sections too large for order variables: which block
 * follows which as a mixed-integer program, with a cut for every group of blocks that closes on itself, solved again
 * until none does (Dantzig, Fulkerson and Johnson 1954: subtour elimination, from memory).
 * Also a lower bound where rules forbid some orders.
 */
export function freePathByHighs(highs: Highs, start: number[], step: number[][]): number | null {
	const n = start.length;
	// node n stands for the beginning and the end
	const arcs = Array.from({ length: n + 1 }, (_, a) =>
		Array.from({ length: n + 1 }, (_, b) => b).filter((b) => b !== a)
	);
	const costOf = (a: number, b: number) => (b === n ? 0 : a === n ? start[b]! : step[a]![b]!);
	const cuts: string[] = [];
	const sum = (terms: string[]) => {
		const lines: string[] = [];
		for (let i = 0; i < terms.length; i += 8) lines.push(terms.slice(i, i + 8).join(' + '));
		return lines.join('\n + ');
	};
	for (let round = 0; round < 60; round++) {
		const names = arcs.flatMap((to, a) => to.map((b) => `x${a}_${b}`));
		const problem = `Minimize
 obj: ${sum(arcs.flatMap((to, a) => to.map((b) => `${costOf(a, b)} x${a}_${b}`)))}
Subject To
${arcs.map((to, a) => ` out${a}: ${sum(to.map((b) => `x${a}_${b}`))} = 1\n in${a}: ${sum(to.map((b) => `x${b}_${a}`))} = 1`).join('\n')}
${cuts.join('\n')}
Binary
 ${names.join('\n ')}
End`;
		const result = highs.solve(problem, { output_flag: false, mip_rel_gap: 0 });
		if (result.Status !== 'Optimal') return null;
		const next = arcs.map((to, a) => to.find((b) => (result.Columns[`x${a}_${b}`]?.Primal ?? 0) > 0.5)!);
		const seen = new Set<number>();
		const tours: number[][] = [];
		for (let a = 0; a <= n; a++) {
			const tour: number[] = [];
			for (let at = a; !seen.has(at); at = next[at]!) {
				seen.add(at);
				tour.push(at);
			}
			if (tour.length) tours.push(tour);
		}
		if (tours.length === 1) return result.ObjectiveValue;
		for (const tour of tours) {
			const inside = new Set(tour);
			const leaving = tour.flatMap((a) => arcs[a]!.filter((b) => !inside.has(b)).map((b) => `x${a}_${b}`));
			cuts.push(` cut${cuts.length}: ${sum(leaving)} >= 1`);
		}
	}
	return null;
}
