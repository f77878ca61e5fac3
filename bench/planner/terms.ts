import { likeness } from '../../src/lib/core/substitution';
import { DIRECTIONS } from '../../src/lib/core/anatomy';
import { SECTION_KINDS } from '../../src/lib/core/plan';
import type { Option } from '../../src/lib/core/propose';
import type { Instance } from './instances';
import type { Way } from './way';
import type { Program } from './program';

// The terms of the objective that ask for what is given and for how long, not for the order: figures from docs/planner.md.

const PEAK = SECTION_KINDS.indexOf('peak');
const DEEP = 4;

/** Away from the usual dose, too short, or a rest too long: the greatest convex function under its points. */
export function dose(program: Program, { option, section, given, seconds }: Way): void {
	const { amounts } = option;
	const range = amounts.at(-1)! - amounts[0]!;
	if (range === 0) return;
	const usual = amounts[option.usual]!;
	const points = option.workSeconds.map((work, i) => {
		let cost = (0.6 * Math.max(0, Math.abs(amounts[i]! - usual) - usual / 5)) / range;
		if (!option.rests) cost += (2.5 * Math.max(0, 45 - work)) / 45;
		else if (SECTION_KINDS[section] !== 'rest') cost += 0.03 * Math.max(0, work - 150);
		return { work, cost };
	});
	const hull: typeof points = [];
	for (const point of points) {
		while (hull.length > 1) {
			const [a, b] = [hull.at(-2)!, hull.at(-1)!];
			if ((b.cost - a.cost) * (point.work - a.work) < (point.cost - a.cost) * (b.work - a.work)) break;
			hull.pop();
		}
		hull.push(point);
	}
	const cost = program.column(1);
	for (const [i, b] of hull.slice(1).entries()) {
		const a = hull[i]!;
		const slope = (b.cost - a.cost) / (b.work - a.work);
		program.row(0, Infinity, [
			[cost, 1],
			[seconds, -slope],
			[given, -(a.cost - slope * a.work)]
		]);
	}
}

/** The bands of the six directions and of strength. */
export function balance(
	program: Program,
	ways: readonly Way[],
	length: number,
	targets: Instance['setting']['targets']
): void {
	const outside = (
		points: number,
		part: (option: Option) => number,
		whole: (option: Option) => number,
		{ minPercent, maxPercent }: { minPercent: number; maxPercent: number }
	) => {
		const slack = program.column((100 * points) / length);
		const by = (share: number, sign: 1 | -1) =>
			ways.map(
				({ option, seconds }) => [seconds, sign * (part(option) - (share / 100) * whole(option))] as const
			);
		program.row(0, Infinity, [[slack, 1], ...by(minPercent, 1)]);
		program.row(0, Infinity, [[slack, 1], ...by(maxPercent, -1)]);
	};
	const all = (option: Option) => option.directions.reduce((a, b) => a + b, 0);
	for (const [d, direction] of DIRECTIONS.entries())
		outside(1, (option) => option.directions[d]!, all, targets.directions[direction]);
	outside(
		0.5,
		(option) => option.strengthens,
		(option) => (option.rests ? 0 : 1),
		targets.strength
	);
}

/** Each movement once; two that are alike cost. */
export function content(program: Program, ways: readonly Way[], find: Instance['setting']['find']): void {
	const bySlug = new Map<string, Way[]>();
	for (const way of ways) {
		const slug = way.option.movements[0]!;
		bySlug.set(slug, [...(bySlug.get(slug) ?? []), way]);
	}
	for (const own of bySlug.values())
		program.row(
			-Infinity,
			1,
			own.map(({ given }) => [given, 1] as const)
		);
	const working = [...bySlug]
		.map(([slug, own]) => ({ movement: find(slug)!, own: own.filter(({ option }) => !option.rests) }))
		.filter(({ own }) => own.length > 0);
	for (const [i, a] of working.entries())
		for (const b of working.slice(0, i)) {
			const over =
				Math.max(likeness(a.movement, b.movement).score, likeness(b.movement, a.movement).score) - 0.7;
			if (over <= 0) continue;
			program.row(-Infinity, 1, [
				...[...a.own, ...b.own].map(({ given }) => [given, 1] as const),
				[program.column(9 * over), -1]
			]);
		}
}

/** What must have come before, where parts alone decide it, and the height of the peak. */
export function rules(program: Program, ways: readonly Way[], find: Instance['setting']['find']): void {
	const given = (which: readonly Way[]) => which.map((way) => [way.given, 1] as const);
	const deep = ways.filter(({ option }) => option.intensity >= DEEP);
	const early = (section: number) => ways.filter((way) => way.section <= section);
	// 180 s of warming, or each deep form costs
	const warm = program.column(0, 0, 1, true);
	program.row(0, Infinity, [
		[warm, -180],
		...early(PEAK)
			.filter(
				({ option }) =>
					option.intensity < DEEP && ['dynamic', 'active', 'isometric'].includes(option.item!.mode)
			)
			.map((way) => [way.seconds, 1] as const)
	]);
	for (const way of deep) {
		program.row(0, Infinity, [
			[program.column(9), 1],
			[warm, 1],
			[way.given, -1]
		]);
		const { preparations } = find(way.option.movements[0]!)!;
		if (preparations.length === 0) continue;
		const prepared = early(way.section).filter(({ option }) => preparations.includes(option.movements[0]!));
		program.row(0, Infinity, [[program.column(7), 1], [way.given, -1], ...given(prepared)]);
	}
	for (const way of ways) {
		if (way.option.item!.mode !== 'passive' || way.option.intensity < 2) continue;
		const moving = early(way.section).filter(({ option }) => option.item!.mode === 'dynamic');
		program.row(0, Infinity, [[program.column(7), 1], [way.given, -1], ...given(moving)]);
	}
	for (const section of SECTION_KINDS.keys())
		program.row(-Infinity, 1, [
			...given(ways.filter((way) => way.section === section && way.option.rests > 0)),
			[program.column(6), -1]
		]);
	const inPeak = ways.filter(({ section }) => section === PEAK);
	const deepest = Math.max(0, ...inPeak.map(({ option }) => option.intensity));
	for (let step = 1; step <= Math.min(4, deepest); step++)
		program.row(1, Infinity, [
			[program.column(1.5, 0, 1), 1],
			...given(inPeak.filter(({ option }) => option.intensity >= step))
		]);
}
