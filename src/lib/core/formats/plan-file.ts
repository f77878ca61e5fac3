import { GROUP, groupFaults, unmeasured, type Group } from '../group';
import type { FindMovement, Movement } from '../movement';
import { PLAN, planFaults, type ClassPlan } from '../plan';
import { readWith, withVersion, type Read } from '../validation';
import { faultsOf, fileSchema, part, readEnvelope, writeEnvelope, type FileFormat } from './envelope';
import { movementsInFile, readMovements, writeMovements } from './movements';
import { inFile } from './versions';

/** 2: each part of the file says which version of its own it has. 3: doses with all their parts. */
export const PLAN_FILE: FileFormat = {
	format: 'humble-orbit/plan',
	version: 3,
	schemaPath: '/schemas/plan-3.schema.json'
};

export const planFileSchema = fileSchema(PLAN_FILE, {
	plan: inFile(PLAN).required(),
	group: inFile(GROUP).default(undefined),
	movements: movementsInFile
});

/** Contents of a plan file: the plan, and its group where that is known. */
export interface PlanFile {
	plan: ClassPlan;
	group: Group | null;
	/** Movements that the plan uses and that do not come with Humble Orbit: a teacher's own, or an older state. */
	movements: Movement[];
}

/** Writes the open format. */
export function writePlanFile({ plan, group, movements }: PlanFile): string {
	const { madeWith: _states, carried: _marks, ...bare } = plan; // content hashes mean something only where they were taken
	return writeEnvelope(PLAN_FILE, {
		plan: withVersion(PLAN, bare),
		...(group ? { group: withVersion(GROUP, unmeasured(group)) } : {}),
		...writeMovements(movements)
	});
}

/** Reads the open format. A wrong file gives everything that is wrong and where, and no plan. */
export function readPlanFile(text: string, find: FindMovement): Read<PlanFile> {
	const envelope = readEnvelope(text, PLAN_FILE, ['plan', 'group', 'movements']);
	if (!envelope.ok) return envelope;
	const own = readMovements(envelope.value.movements ?? [], find);
	if (!own.ok) return own;
	const bySlug = new Map(own.value.map((movement) => [movement.slug, movement]));
	const plan = part(
		'plan',
		readWith<ClassPlan>(PLAN, envelope.value.plan, (value) =>
			planFaults(value, (slug) => bySlug.get(slug) ?? find(slug))
		)
	);
	const group: Read<Group | null> =
		envelope.value.group === undefined
			? { ok: true, value: null }
			: part('group', readWith<Group>(GROUP, envelope.value.group, groupFaults));
	if (!plan.ok || !group.ok) return { ok: false, faults: faultsOf(plan, group) };
	return { ok: true, value: { plan: plan.value, group: group.value, movements: own.value } };
}
