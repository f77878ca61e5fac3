// `npm run cautions -- [N]`: N proposals (200) for groups with each condition, and what was wrong in them.
import { CAUTIONS } from '../src/lib/core/movement';
import { FAULTS, trialOf } from '../tests/unit/cautions-trial';

const times = Number(process.argv[2] ?? 200);
const only = process.argv[3];
const examples: string[] = [];
console.log(['condition', 'proposals', 'none', ...FAULTS].join('\t'));
for (const caution of CAUTIONS.filter((one) => !only || one === only)) {
	const counts = Object.fromEntries(FAULTS.map((fault) => [fault, 0]));
	let none = 0;
	for (let seed = 1; seed <= times; seed++) {
		const faults = trialOf(caution, seed);
		if (!faults) none += 1;
		for (const fault of new Set(faults?.map(([kind]) => kind))) counts[fault]! += 1;
		for (const [kind, item] of faults ?? []) examples.push(`${caution}, seed ${seed}, ${kind}: ${item}`);
	}
	console.log([caution, times, none, ...FAULTS.map((fault) => counts[fault])].join('\t'));
}
console.log([...new Set(examples)].slice(0, 60).join('\n'));
