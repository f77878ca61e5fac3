import { groupFaults, type Group } from '../group';
import { movementFaults, type FindMovement, type Movement } from '../movement';
import { planFaults, type ClassPlan } from '../plan';
import { type Fault } from '../validation';
import { readEnvelope, unknownKeys, type Read } from './envelope';

export const PLAN_FORMAT = 'humble-orbit/plan';
export const PLAN_FORMAT_VERSION = 1;
export const PLAN_SCHEMA_PATH = '/schemas/plan-1.schema.json';

/** What a plan file holds: the plan, and the group it was made for when that is known. */
export interface PlanFile {
	plan: ClassPlan;
	group: Group | null;
	/** Movements that the plan uses and that do not come with Humble Orbit: a teacher's own, or an older state. */
	movements: Movement[];
}

/** Writes the open format: JSON, described by the schema that ships with the app. */
export function writePlanFile({ plan, group, movements }: PlanFile): string {
	const { madeWith: _states, ...bare } = plan; // fingerprints mean something only where they were taken
	const file = {
		$schema: PLAN_SCHEMA_PATH,
		format: PLAN_FORMAT,
		version: PLAN_FORMAT_VERSION,
		plan: bare,
		...(group ? { group } : {}),
		...(movements.length ? { movements } : {})
	};
	return `${JSON.stringify(file, null, 2)}\n`;
}

const under =
	(root: string) =>
	({ path, message }: Fault): Fault => ({ path: path ? `${root}.${path}` : root, message });

/** Reads the open format. A wrong file gives everything that is wrong and where, and no plan. */
export function readPlanFile(text: string, find: FindMovement): Read<PlanFile> {
	const envelope = readEnvelope(text, PLAN_FORMAT, PLAN_FORMAT_VERSION);
	if (!envelope.ok) return envelope;
	const { plan, group, movements = [] } = envelope.value;
	const own = readMovements(movements, find);
	if (!own.ok) return own;
	const bySlug = new Map(own.value.map((movement) => [movement.slug, movement]));
	const faults = [
		...unknownKeys(envelope.value, ['$schema', 'format', 'version', 'plan', 'group', 'movements']),
		...planFaults(plan, (slug) => bySlug.get(slug) ?? find(slug)).map(under('plan')),
		...(group === undefined ? [] : groupFaults(group).map(under('group')))
	];
	if (faults.length) return { ok: false, faults };
	return {
		ok: true,
		value: { plan: plan as ClassPlan, group: (group as Group | undefined) ?? null, movements: own.value }
	};
}

/** More than a class can use. */
const MAX_MOVEMENTS = 200;

/** Movements in a file: whole and sound. What they name elsewhere may be missing here, and is left out. */
export function readMovements(value: unknown, find: FindMovement): Read<Movement[]> {
	const no = (message: string): Read<never> => ({ ok: false, faults: [{ path: 'movements', message }] });
	if (!Array.isArray(value)) return no('must be a list');
	if (value.length > MAX_MOVEMENTS) return no(`${value.length} movements; at most ${MAX_MOVEMENTS} are read`);
	const shaped = value.every(
		(m) =>
			typeof m === 'object' &&
			m !== null &&
			Array.isArray((m as Movement).forms) &&
			typeof (m as Movement).slug === 'string'
	);
	if (!shaped) return no('each must be a movement with a slug and forms');
	const movements = value as Movement[];
	const there = new Set(movements.map((m) => m.slug));
	const known = (slug: string) => there.has(slug) || find(slug) !== undefined;
	const named = (list: unknown) =>
		Array.isArray(list) ? (list as string[]).filter(known) : (list as string[]);
	const bare = movements.map((m) => ({
		...m,
		prerequisites: named(m.prerequisites),
		preparations: named(m.preparations),
		counters: named(m.counters),
		kin: named(m.kin)
	}));
	const elsewhere = bare.flatMap((m) =>
		Array.isArray(m.cautions) ? m.cautions.map((c) => c?.instead).filter((s) => typeof s === 'string') : []
	);
	const faults = movementFaults(bare, [
		...bare.flatMap((m) => [m.prerequisites, m.preparations, m.counters, m.kin].flat()),
		...elsewhere
	]);
	return faults.length
		? { ok: false, faults: faults.map((message) => ({ path: 'movements', message })) }
		: { ok: true, value: bare };
}
