import { CATALOGUE, findMovement } from '../../src/lib/catalogue';
import { DEMO_GROUPS } from '../../src/lib/demo/groups';
import type { Group } from '../../src/lib/core/group';
import type { Targets } from '../../src/lib/core/orbit';
import { emptyPlan, SECTION_KINDS, type ClassPlan } from '../../src/lib/core/plan';
import { optionsFor, seededRandom, withAmount, type ProposeContext } from '../../src/lib/core/propose';

/** One class to be proposed: a group, a length, how narrow its bands are, how many blocks stand already. */
export interface Instance {
	name: string;
	base: ClassPlan;
	setting: ProposeContext;
}

type GroupKey = keyof typeof DEMO_GROUPS;

/** Group, minutes, whether the bands are half as wide, blocks that are there already. */
const CHOSEN: [GroupKey, number, boolean, number][] = [
	['tide', 25, false, 0],
	['tide', 25, true, 0],
	['skiff', 25, false, 0],
	['striders', 25, true, 2],
	['lamp', 25, false, 0],
	['tide', 45, false, 0],
	['tide', 45, true, 3],
	['striders', 45, false, 0],
	['striders', 45, true, 0],
	['skiff', 45, false, 3],
	['chalk', 45, false, 0],
	['lamp', 45, true, 3],
	['tide', 75, false, 0],
	['skiff', 75, true, 0],
	['chalk', 75, false, 3]
];

/** So few movements that HiGHS can prove what is best, or nearly: how many, and how long the class is. */
const SMALL = { count: 10, movements: 18, minutes: 20 };

export function smallInstances(): Instance[] {
	return Array.from({ length: SMALL.count }, (_, index) => {
		const random = seededRandom(100 + index);
		const group = Object.values(DEMO_GROUPS)[index % 5]!;
		const base = emptyPlan('', group.startsAt, 60 * SMALL.minutes);
		const whole = { catalogue: CATALOGUE, find: findMovement, targets: group.targets, group };
		const options = optionsFor(base, {}, whole);
		const chosen = new Set<string>();
		// each part gets its turn
		for (let turn = 0; chosen.size < SMALL.movements; turn++) {
			const kind = SECTION_KINDS[turn % SECTION_KINDS.length]!;
			const fit = options.filter(({ sections }) => sections.has(kind));
			chosen.add(fit[random.below(fit.length)]!.movements[0]!);
		}
		const catalogue = CATALOGUE.filter(({ slug }) => chosen.has(slug));
		return { name: `small-${index + 1}`, base, setting: { ...whole, catalogue } };
	});
}

export function instances(): Instance[] {
	return CHOSEN.map(([key, minutes, tight, pins], index) => {
		const loose: Group = DEMO_GROUPS[key];
		const group = tight ? { ...loose, targets: halved(loose.targets) } : loose;
		const setting = { catalogue: CATALOGUE, find: findMovement, targets: group.targets, group };
		const empty = emptyPlan('', group.startsAt, 60 * minutes);
		return {
			name: `${key}-${minutes}${tight ? '-tight' : ''}${pins ? `-${pins}-pins` : ''}`,
			base: pinned(empty, setting, pins, index + 1),
			setting
		};
	});
}

/** Bands half as wide round their middle. */
function halved(targets: Targets): Targets {
	const half = <B extends { minPercent: number; maxPercent: number }>(band: B): B => {
		const quarter = (band.maxPercent - band.minPercent) / 4;
		return { ...band, minPercent: band.minPercent + quarter, maxPercent: band.maxPercent - quarter };
	};
	const directions = Object.fromEntries(
		Object.entries(targets.directions).map(([direction, band]) => [direction, half(band)])
	) as Targets['directions'];
	return { ...targets, directions, strength: half(targets.strength) };
}

/** Some blocks at their usual dose, each in a part where it may stand. */
function pinned(empty: ClassPlan, setting: ProposeContext, count: number, seed: number): ClassPlan {
	const random = seededRandom(seed);
	const options = optionsFor(empty, {}, setting);
	let plan = empty;
	const there = new Set<string>();
	while (there.size < count) {
		const option = options[random.below(options.length)]!;
		const slug = option.movements[0]!;
		const kinds = [...option.sections].filter((kind) => kind === 'build' || kind === 'warm');
		const kind = kinds[random.below(Math.max(1, kinds.length))];
		// long enough that nothing about its dose costs points
		if (!kind || there.has(slug) || option.workSeconds[option.usual]! < 45) continue;
		there.add(slug);
		const sectionId = plan.sections.find((section) => section.kind === kind)!.id;
		const block = withAmount(option.item!, `pin${there.size}`, option.amounts[option.usual]!, 'left');
		plan = {
			...plan,
			sections: plan.sections.map((s) => (s.id === sectionId ? { ...s, blocks: [...s.blocks, block] } : s))
		};
	}
	return plan;
}
