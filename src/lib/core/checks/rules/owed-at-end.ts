import { formatDuration, owedAt } from '../../clock';
import { findBlock, type ClassPlan, type Flow } from '../../plan';
import { findingLocation } from '../helpers';
import type { Check } from '../types';

export const owedAtEnd: Check = {
	meta: {
		id: 'owed-at-end',
		summary: 'No side is owed anything at the end',
		severity: 'fix',
		why: 'Work given to one side only, even with a reason, is still missing on the other side when the class ends.',
		source: 'common practice',
		canRepair: true
	},
	check({ plan, items, timeline }) {
		const owed = owedAt(timeline, timeline.totalSeconds);
		return owed.flatMap(({ movement, leg, seconds }) => {
			const given = items.filter((t) => t.movement.slug === movement);
			const inFlow = given.find((t) => oddFlow(plan, t.blockId));
			// one side without a reason is the business of both-sides
			const taught = given.find((t) => t.item.oneSided?.reason.trim()) ?? inFlow;
			if (!taught) return [];
			const why = taught === inFlow ? ', because its flow has an odd number of rounds' : '';
			return [
				{
					message: `${taught.movement.english}: the ${leg} leg is still owed ${formatDuration(seconds)} at the end${why}`,
					where: findingLocation(taught),
					data: { movement, leg, seconds, reason: taught.item.oneSided?.reason ?? '' }
				}
			];
		});
	},
	repair(finding, { plan }) {
		const { itemId, blockId } = finding.where;
		if (!itemId) return null;
		const flow = blockId === undefined ? undefined : oddFlow(plan, blockId);
		if (flow && !finding.data.reason) {
			const rounds = flow.rounds + 1;
			return { label: `${rounds} rounds`, edits: [{ do: 'setFlow', blockId: flow.id, change: { rounds } }] };
		}
		return {
			label: 'Give it on both sides',
			edits: [{ do: 'setItem', itemId, change: { oneSided: undefined } }]
		};
	}
};

/** The flow of a block id in which the sides take turns and one has had a round more. */
function oddFlow(plan: ClassPlan, blockId: string): Flow | undefined {
	const block = findBlock(plan, blockId)?.block;
	return block?.kind === 'flow' && block.sides === 'alternate' && block.rounds % 2 === 1 ? block : undefined;
}
