import { writeGroupFile, writePlanFile } from '../core/formats';
import type { Group } from '../core/group';
import type { ClassPlan } from '../core/plan';
import { DEMO_GROUPS } from './groups';
import { DEMO_PLANS } from './plans';

const fileName = (title: string) => title.toLowerCase().replace(/[^a-z0-9]+/g, '-');

/** Files that are made from the core and committed, by their path from the project's root. */
export function generatedFiles(): Record<string, string> {
	const files: Record<string, string> = {};
	for (const group of Object.values<Group>(DEMO_GROUPS))
		files[`examples/${fileName(group.name)}.group.json`] = writeGroupFile(group);
	for (const { plan, group } of DEMO_PLANS as { plan: ClassPlan; group: keyof typeof DEMO_GROUPS }[])
		files[`examples/${fileName(plan.title)}.plan.json`] = writePlanFile({
			plan,
			group: DEMO_GROUPS[group],
			movements: []
		});
	return files;
}
