import { formatDuration, owedAt } from '../../clock';
import { findingLocation, oddFlow } from '../helpers';
import type { Check } from '../types';

export const owedAtEnd: Check = {
	meta: {
		id: 'owed-at-end',
		summary: 'No side is owed a round at the end',
		severity: 'fix',
		why: 'In a flow whose sides take turns an odd number of rounds gives one side more. A side that is left out for a reason is owed nothing.',
		source: 'common practice',
		canRepair: true
	},
	check({ plan, items, timeline }) {
		const owed = owedAt(timeline, timeline.totalSeconds);
		return owed.flatMap(({ movement, leg, seconds }) => {
			// one side without a reason is the business of both-sides
			const taught = items.find((t) => t.movement.slug === movement && oddFlow(plan, t.blockId));
			if (!taught) return [];
			return [
				{
					message: `${taught.movement.english}: the ${leg} leg is still owed ${formatDuration(seconds)} at the end, because its flow has an odd number of rounds`,
					where: findingLocation(taught),
					cause: taught.blockId,
					data: { movement, leg, seconds }
				}
			];
		});
	},
	repair({ where: { blockId } }, { plan }) {
		const flow = blockId === undefined ? undefined : oddFlow(plan, blockId);
		if (!flow) return null;
		const rounds = flow.rounds + 1;
		return { label: `${rounds} rounds`, edits: [{ do: 'setFlow', blockId: flow.id, change: { rounds } }] };
	}
};
