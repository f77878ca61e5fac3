import { profileOf, formForRoom } from '../substitution';
import { DIRECTION_NAME, DIRECTIONS, type Direction } from '../anatomy';
import { formatDuration } from '../clock';
import { shareText } from '../orbit';
import type { PlanEdit } from '../plan';
import { usualForm, type Movement } from '../movement';
import { isDeep } from '../rules';
import { shortfall, itemForRoom } from './help';
import type { Check, CheckContext } from './types';

/** What it gives to the direction, less what it adds to directions that are already over. */
function worth(movement: Movement, direction: Direction, { balance }: CheckContext): number {
	const over = DIRECTIONS.filter((d) => balance.directions[d].standing === 'over');
	return over.reduce((sum, d) => sum - profileOf(movement).range[d], profileOf(movement).range[direction]);
}

export const directionShort: Check = {
	meta: {
		id: 'direction-short',
		summary: 'Every direction reaches its band',
		severity: 'mend',
		why: 'The band says what this group needs; a direction that is left out week after week is the one that stiffens.',
		source: 'common practice (the bands are the group’s own, editable targets)',
		canRepair: true
	},
	check({ balance, items, plan }) {
		if (items.length === 0) return [];
		return DIRECTIONS.filter((d) => balance.directions[d].standing === 'short').map((d) => {
			const verdict = balance.directions[d];
			return {
				message: `${DIRECTION_NAME[d]} gets ${shareText(verdict)} % of the direction time; the band begins at ${verdict.band.minPercent} % (about ${formatDuration(verdict.offBySeconds)} more)`,
				severity: shortfall(plan),
				data: {
					direction: d,
					sharePercent: Math.round(verdict.sharePercent * 10) / 10,
					minPercent: verdict.band.minPercent,
					missingSeconds: verdict.offBySeconds
				}
			};
		});
	},
	/** Adds the movement that serves the direction best at the end of Build, preferring one not in the plan and not deep. */
	repair(finding, context) {
		const direction = finding.data.direction as Direction;
		const used = new Set(context.items.map(({ movement }) => movement.slug));
		const [best] = context.catalogue
			.filter(
				(m) =>
					!used.has(m.slug) &&
					!isDeep(usualForm(m)) &&
					profileOf(m).range[direction] > 0 &&
					formForRoom(m, context.group)
			)
			.sort((a, b) => worth(b, direction, context) - worth(a, direction, context));
		const section = context.plan.sections.find((s) => s.kind === 'build') ?? context.plan.sections[0];
		if (!best || !section) return null;
		const block = itemForRoom(context, best);
		if (!block) return null;
		const edit: PlanEdit = {
			do: 'insert',
			at: { sectionId: section.id, index: section.blocks.length },
			block
		};
		return { label: `Add ${best.english}`, edits: [edit] };
	}
};
