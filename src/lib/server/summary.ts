import { readPlan, waits } from '../core/checks';
import { classRing, type RingSector } from '../core/drawing';
import type { Group } from '../core/group';
import type { Shelf } from '../core/movement';
import type { StoredPlan } from './plans';

/** A plan as a card shows it. */
export interface PlanCard {
	id: string;
	groupId: string;
	taughtOn: string | null;
	title: string;
	startsAt: string;
	lengthSeconds: number;
	totalSeconds: number;
	blocks: number;
	findings: { severity: string; message: string }[];
	ring: RingSector[];
}

export function planCard(stored: StoredPlan, group: Group, shelf: Shelf): PlanCard {
	const { plan } = stored;
	const reading = readPlan(plan, {
		catalogue: shelf.offered,
		find: shelf.find,
		targets: group.targets,
		group
	});
	return {
		id: stored.id,
		groupId: stored.groupId,
		taughtOn: stored.taughtOn,
		title: plan.title,
		startsAt: plan.startsAt,
		lengthSeconds: plan.lengthSeconds,
		totalSeconds: reading.timeline.totalSeconds,
		blocks: reading.context.items.length,
		findings: reading.findings.filter(waits).map(({ severity, message }) => ({ severity, message })),
		ring: classRing(reading.orbit, reading.balance)
	};
}
