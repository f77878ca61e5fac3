import { readMovements } from '../../core/formats';
import type { Movement } from '../../core/movement';
import type { ClassPlan } from '../../core/plan';
import type { Fault } from '../../core/validation';
import { seriesFaults, type SeriesDocument } from '../../core/series';
import type { Db } from '../db/open';
import { madeWithOf } from '../plan/plan-upload';
import { foreignPlans } from './series';
import {
	contentHashes,
	outdatedMovements,
	catalogueWith,
	studioCatalogue,
	withStates
} from '../studio/studio-catalogue';

/** A series as it is to be stored, with the movements that it brings along and that have to be kept with it. */
export interface SentSeries {
	planned: SeriesDocument;
	movements: Movement[];
}

/**
 * A series with its plans as a client sends it, to be kept over a stored one or (without one) as a new one: as it is to
 * be stored, or what is wrong with it; nothing is written here. `movements` are those that a file brings along.
 */
export async function readSentSeries(
	db: Db,
	studioId: string,
	/** In the newest shape. */
	sent: unknown,
	stored: { id: string; planned: SeriesDocument } | null,
	movements: unknown = []
): Promise<SentSeries | { faults: Fault[] }> {
	const current = await studioCatalogue(db, studioId);
	const brought = readMovements(movements, current.catalogue.find);
	if (!brought.ok) return { faults: brought.faults };
	const states = contentHashes(brought.value);
	const plans = plansIn(sent);
	const asked = Object.entries(plans).map(([id, plan]) => {
		const madeWith = { ...stored?.planned.plans[id]?.madeWith, ...madeWithOf(plan, states) };
		return { id, plan: { ...plan, madeWith } };
	});
	const kept = await outdatedMovements(
		db,
		studioId,
		current,
		asked.map(({ plan }) => plan),
		brought.value
	);
	const finds = new Map(asked.map(({ id }, i) => [id, catalogueWith(current, kept[i] ?? []).find]));
	const whole = withPlans(sent, Object.fromEntries(asked.map(({ id, plan }) => [id, plan])));
	const faults = seriesFaults(whole, (id) => finds.get(id) ?? current.catalogue.find);
	if (faults.length) return { faults };
	const planned = whole as SeriesDocument;
	const foreign = await foreignPlans(db, studioId, stored?.id ?? null, Object.keys(planned.plans));
	if (foreign[0])
		return { faults: [{ path: `plans.${foreign[0]}`, message: 'this class belongs somewhere else' }] };
	return {
		movements: brought.value,
		planned: {
			series: planned.series,
			plans: Object.fromEntries(
				Object.entries(planned.plans).map(([id, plan]) => [
					id,
					withStates(plan, stored?.planned.plans[id] ?? null, current)
				])
			)
		}
	};
}

const isObject = (value: unknown): value is Record<string, unknown> =>
	typeof value === 'object' && value !== null && !Array.isArray(value);

/** The plans in what was sent, as far as they are objects: what is wrong with them is said afterwards. */
function plansIn(sent: unknown): Record<string, ClassPlan> {
	if (!isObject(sent) || !isObject(sent.plans)) return {};
	return Object.fromEntries(Object.entries(sent.plans).filter(([, plan]) => isObject(plan))) as Record<
		string,
		ClassPlan
	>;
}

function withPlans(sent: unknown, plans: Record<string, ClassPlan>): unknown {
	return isObject(sent) && isObject(sent.plans) ? { ...sent, plans: { ...sent.plans, ...plans } } : sent;
}
