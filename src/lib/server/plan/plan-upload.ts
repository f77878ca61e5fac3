import { readMovements } from '../../core/formats';
import type { Movement } from '../../core/movement';
import { PLAN, planFaults, type ClassPlan } from '../../core/plan';
import { broughtUp, type Fault } from '../../core/validation';
import type { Db } from '../db/open';
import { createPlan } from './plans';
import {
	contentHashes,
	keepMovements,
	outdatedMovements,
	catalogueWith,
	studioCatalogue,
	withStates
} from '../studio/studio-catalogue';

/** A plan as it is to be stored, with the movements that it brings along and that have to be kept with it. */
export interface PlanUpload {
	plan: ClassPlan;
	movements: Movement[];
}

/**
 * A plan that a client sends to be kept as a new one: with the movements that it brings along, read against the
 * states it was made with. Nothing is written here. The plan as it is to be stored, or what is wrong with it.
 */
export async function readSentPlan(
	db: Db,
	studioId: string,
	body: Record<string, unknown> | null
): Promise<PlanUpload | { faults: Fault[] }> {
	const current = await studioCatalogue(db, studioId);
	const brought = readMovements(body?.movements ?? [], current.catalogue.find);
	if (!brought.ok) return { faults: brought.faults };
	const up = broughtUp(PLAN, body?.plan);
	if (!up.ok) return up;
	const plan = up.value as ClassPlan | undefined;
	const isObject = typeof plan === 'object' && plan !== null && !Array.isArray(plan);
	const asked = isObject ? { ...plan, madeWith: madeWithOf(plan, contentHashes(brought.value)) } : plan;
	const kept = isObject
		? await outdatedMovements(db, studioId, current, [asked as ClassPlan], brought.value)
		: [];
	const faults = planFaults(asked, catalogueWith(current, kept[0] ?? []).find);
	return faults.length
		? { faults }
		: { plan: withStates(asked as ClassPlan, null, current), movements: brought.value };
}

/** Keeps a sent plan as a new one, with the movements that it brings along; its id. */
export async function createSentPlan(
	tx: Db,
	studioId: string,
	groupId: string,
	plannedOn: string | null,
	{ plan, movements }: PlanUpload
): Promise<string> {
	await keepMovements(tx, studioId, movements, [plan]);
	return createPlan(tx, studioId, groupId, plannedOn, plan);
}

/**
 * Returns the movement states that an outside plan says it was made with, as far as they are readable, with the
 * states it brings.
 */
export function madeWithOf(plan: ClassPlan, states: Record<string, string>): Record<string, string> {
	const said: unknown = plan.madeWith;
	const sound =
		typeof said === 'object' && said !== null
			? Object.entries(said).filter((entry): entry is [string, string] => typeof entry[1] === 'string')
			: [];
	return { ...Object.fromEntries(sound), ...states };
}
