import { needsAttention, type SilencedCheck } from '../../core/checks';
import { analysePlan, planContext } from '../../core/analysis';
import { type PaceModel } from '../../core/pace';
import { classRing, type RingSector } from '../../core/view-models';
import type { Group } from '../../core/group';
import type { CatalogueView } from '../../core/movement';
import type { ClassPlan } from '../../core/plan';

/** Which plan a card is of. */
export interface Which {
	id: string;
	groupId: string;
	plannedOn: string | null;
}

/** A plan as a card shows it. */
export interface PlanCard extends Which {
	title: string;
	startsAt: string;
	lengthSeconds: number;
	totalSeconds: number;
	blocks: number;
	findings: { severity: string; message: string }[];
	ring: RingSector[];
}

export function planCard(
	which: Which,
	plan: ClassPlan,
	group: Group,
	catalogue: CatalogueView,
	{ pace, silencedChecks }: { pace: PaceModel; silencedChecks: readonly SilencedCheck[] }
): PlanCard {
	const analysis = analysePlan(plan, planContext(catalogue, group, pace, { silencedChecks }));
	return {
		...which,
		title: plan.title,
		startsAt: plan.startsAt,
		lengthSeconds: plan.lengthSeconds,
		totalSeconds: analysis.timeline.totalSeconds,
		blocks: analysis.context.items.length,
		findings: analysis.findings
			.filter(needsAttention)
			.map(({ severity, message }) => ({ severity, message })),
		ring: classRing(analysis.orbit, analysis.balance)
	};
}
