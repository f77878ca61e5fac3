import { USUAL_PACE } from '../../../src/lib/core/pace';
import { CATALOGUE, findMovement } from '../../../src/lib/catalogue';
import { type Finding, type PlanContext } from '../../../src/lib/core/checks';
import { analysePlan, type Analysis } from '../../../src/lib/core/analysis';
import type { Leg } from '../../../src/lib/core/anatomy';
import { newGroup, preset, type Group } from '../../../src/lib/core/group';
import type { Caution } from '../../../src/lib/core/movement';
import type { Targets } from '../../../src/lib/core/orbit';
import type { ClassPlan } from '../../../src/lib/core/plan';
import type { StyleChoices } from '../../../src/lib/core/style';
import { PlanWriter } from '../../../src/lib/demo/build';

export type Write = (w: PlanWriter) => unknown;

/** Context of a case; missing fields ask for nothing. */
export interface Given {
	targets?: Targets;
	/** Seconds asked for; left out: as long as the plan is. */
	length?: number;
	group?: Group;
	taughtBefore?: string[];
	lastFirstSide?: Leg;
	style?: StyleChoices;
	change?: (plan: ClassPlan) => ClassPlan;
}

/** The table of a check: plans that pass, and plans that fail with the exact findings expected. */
export interface Table {
	passing: [what: string, write: Write, given?: Given][];
	failing: [what: string, write: Write, messages: string | string[], given?: Given][];
	/** Failing cases for which there is no repair, by their names. */
	unmendable?: string[];
}
export type Tables = Record<string, Table>;

const free = { minPercent: 0, maxPercent: 100 };
export const ANY: Targets = {
	directions: Object.fromEntries(
		Object.keys(preset('general').targets.directions).map((d) => [d, free])
	) as Targets['directions'],
	strength: free
};

export const read = (plan: ClassPlan, given: Given = {}): Analysis => {
	const context: PlanContext = {
		catalogue: CATALOGUE,
		find: findMovement,
		pace: USUAL_PACE,
		targets: given.targets ?? ANY,
		group: given.group ?? null,
		known: given.taughtBefore ? { slugs: given.taughtBefore, from: 'taught' } : null,
		lastFirstSide: given.lastFirstSide ?? null
	};
	return analysePlan(plan, context);
};

export function found(plan: ClassPlan, id: string, given: Given = {}): Finding[] {
	return read(plan, given).findings.filter((f) => f.checkId === id);
}

export function written(write: Write, given: Given = {}): ClassPlan {
	const writer = new PlanWriter();
	write(writer);
	const plan: ClassPlan = {
		...writer.plan('A class', '18:30', given.length ?? 1800),
		...(given.style ? { style: given.style } : {})
	};
	const whole = given.change ? given.change(plan) : plan;
	return given.length ? whole : { ...whole, lengthSeconds: read(whole, given).timeline.totalSeconds };
}

/** A group of ten for whom nothing is too hard, with all the kit there is; `change` makes it a case. */
export function groupOf(change: Partial<Group> = {}, cautions: Caution[] = []): Group {
	return {
		...newGroup('general', 'Slack Water'),
		size: 10,
		tiers: { tight: 0, middling: 10, open: 0 },
		moment: 'evening',
		kit: {
			block: 90,
			blanket: 90,
			strap: 90,
			bolster: 90,
			cushion: 90,
			chair: 90,
			'wall space': 90,
			belt: 90,
			weight: 90
		},
		cautions: cautions.map((caution) => ({ caution, people: 2 })),
		...change
	};
}

/** Moving enough to be warm. */
export const warm: Write = (w) =>
	w.add('warm', w.item('cat-cow', { dose: 10 }), w.item('quadruped-knee-sweep', { dose: 6 }), w.item('clam'));
