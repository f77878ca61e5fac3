// `npm run prove`: solves every instance with HiGHS and keeps what it found and proved in proven.json. Takes 40 minutes.
// `npm run prove -- 300 tide-25`: so many seconds for each, only those whose name begins so.
import loadHighs, { type Highs } from 'highs';
import { cutOff } from './cuts';
import { instances, smallInstances, type Instance } from './instances';
import { hashOf, readProven, writeProven, type Proven } from './kept';
import { modelOf } from './model';
import { judge, planOfSolution, rounded } from './plans';

/** Rounds in which whole solutions that go round in circles are cut off. */
const ROUNDS = 4;

/** Solves one instance within so many seconds. */
function solved(highs: Highs, instance: Instance, limitSeconds: number): Proven {
	const from = performance.now();
	const passed = () => (performance.now() - from) / 1000;
	const model = modelOf(instance);
	const cost = judge(instance);
	// first without whole numbers, as long as something is cut off
	for (let round = 0; round < 30 && passed() < limitSeconds / 4; round++) {
		const relaxed = model.program.handedTo(highs, true);
		relaxed.options.set({ output_flag: false });
		relaxed.run();
		const { colValue } = relaxed.getSolution();
		const value = relaxed.getObjectiveValue();
		relaxed.dispose();
		const added = cutOff(colValue, model, model.program);
		console.error(`  ${instance.name} relaxed ${value.toFixed(3)}, ${added} cuts, ${passed().toFixed(1)} s`);
		if (added === 0) break;
	}
	const found: Proven = {
		hash: hashOf(instance),
		bound: -Infinity,
		best: Infinity,
		claimed: Infinity,
		seconds: 0,
		firstSeconds: 0
	};
	for (let round = 0; round < ROUNDS; round++) {
		const left = limitSeconds - passed();
		if (left < 5) break;
		const whole = model.program.handedTo(highs, false);
		whole.options.set({
			output_flag: true,
			log_to_console: false,
			mip_rel_gap: 0.002,
			// what is left of the time is spent at once when nothing was cut off before
			time_limit: round === 0 ? left * 0.6 : left
		});
		const solutions: Float64Array[] = [];
		whole.run({
			[highs.constants.callbackType.mipImprovingSolution]: ({ data }) => {
				if (found.firstSeconds === 0) found.firstSeconds = passed();
				if (data.mip_solution) solutions.push(data.mip_solution);
				return undefined;
			},
			[highs.constants.callbackType.mipLogging]: ({ data }) => {
				if (data.mip_dual_bound !== undefined && Number.isFinite(data.mip_dual_bound))
					found.bound = Math.max(found.bound, data.mip_dual_bound);
				return undefined;
			}
		});
		const last = whole.info.get('mip_dual_bound');
		if (Number.isFinite(Number(last))) found.bound = Math.max(found.bound, Number(last));
		const claimed = whole.getObjectiveValue();
		whole.dispose();
		let added = 0;
		for (const [i, solution] of solutions.slice(-3).entries()) {
			const plan = rounded(planOfSolution(instance, model, solution), instance, cost);
			const points = cost(plan);
			if (points < found.best) found.best = points;
			if (i === Math.min(3, solutions.length) - 1) added += cutOff(solution, model, model.program);
		}
		if (solutions.length) found.claimed = Math.min(found.claimed, claimed);
		console.error(
			`  ${instance.name} bound ${found.bound.toFixed(3)}, model ${claimed.toFixed(3)}, class ${found.best.toFixed(3)}, ${added} cuts, ${passed().toFixed(1)} s`
		);
		if (added === 0) break;
	}
	return { ...found, seconds: passed() };
}

async function main(limitSeconds: number, prefix: string): Promise<void> {
	const kept = readProven();
	for (const instance of [...smallInstances(), ...instances()]) {
		if (!instance.name.startsWith(prefix)) continue;
		// its memory never shrinks: a new one for each
		const one = solved(await loadHighs(), instance, limitSeconds);
		const short = (n: number) => Math.round(n * 1000) / 1000;
		const before = kept[instance.name];
		kept[instance.name] = {
			hash: one.hash,
			bound: short(one.bound - 0.0005),
			// a class that an earlier run found is none the worse for that
			best: before?.hash === one.hash ? Math.min(before.best, short(one.best)) : short(one.best),
			claimed: short(one.claimed),
			seconds: short(one.seconds),
			firstSeconds: short(one.firstSeconds)
		};
		writeProven(kept);
		console.log(instance.name, kept[instance.name]);
	}
}

await main(Number(process.argv[2] ?? 150), process.argv[3] ?? '');
