import type { MuscleGroup, Tissue } from '../../anatomy';
import { profileOf, formForRoom } from '../../substitution';
import { modesOf, usualForm } from '../../movement';
import { findingLocation, addedAtEnd } from '../helpers';
import { lengthened, MUSCLES_OF_TISSUE, working } from '../../orbit';
import type { Check, CheckContext } from '../types';
import { isCalm } from '../../rules';

/** Effort (0-3) from which a muscle wants to be let go afterwards. */
const HARD_EFFORT = 3;

const tissuesOf = (group: MuscleGroup): Tissue[] =>
	(Object.entries(MUSCLES_OF_TISSUE) as [Tissue, readonly MuscleGroup[]][])
		.filter(([, groups]) => groups[0] === group)
		.map(([tissue]) => tissue);

/** The hardest-worked hip muscles that nothing lengthens afterwards, with the last item that worked them. */
function unreleased({ items }: CheckContext) {
	const open = new Map<MuscleGroup, (typeof items)[number]>();
	for (const taught of items) {
		for (const [group] of open)
			if (tissuesOf(group).some((tissue) => lengthened(taught).has(tissue))) open.delete(group);
		if (taught.form.effort < HARD_EFFORT) continue;
		for (const group of working(taught)) if (tissuesOf(group).length) open.set(group, taught);
	}
	return open;
}

export const strengthenThenRelease: Check = {
	meta: {
		id: 'strengthen-then-release',
		summary: 'Hard work is followed by a release',
		severity: 'note',
		why: 'Strengthen a side, then release it: people leave relaxed.',
		source: 'common practice',
		canRepair: true
	},
	check(context) {
		const byItem = new Map<string, { taught: CheckContext['items'][number]; groups: MuscleGroup[] }>();
		for (const [group, taught] of unreleased(context)) {
			const entry = byItem.get(taught.item.id) ?? { taught, groups: [] };
			entry.groups.push(group);
			byItem.set(taught.item.id, entry);
		}
		return [...byItem.values()].map(({ taught, groups }) => ({
			message: `nothing releases the ${groups.join(' and the ')} after ${taught.movement.english}`,
			where: findingLocation(taught),
			data: { movement: taught.movement.slug, muscles: groups.join(', ') }
		}));
	},
	/** An easy stretch of it at the end of Release. */
	repair(finding, context) {
		const { catalogue, plan, items, group } = context;
		const wanted = String(finding.data.muscles)
			.split(', ')
			.flatMap((g) => tissuesOf(g as MuscleGroup));
		const used = new Set(items.map(({ movement }) => movement.slug));
		const section = plan.sections.find((s) => s.kind === 'release');
		const best = catalogue
			.filter((m) => !used.has(m.slug) && modesOf(m, usualForm(m))[0] !== 'dynamic' && isCalm(usualForm(m)))
			.filter((m) => formForRoom(m, group))
			.map((movement) => ({
				movement,
				count: wanted.filter((tissue) => profileOf(movement).tissues.has(tissue)).length
			}))
			.filter(({ count }) => count > 0)
			.sort((a, b) => b.count - a.count)[0];
		return best && section ? addedAtEnd(context, section, best.movement) : null;
	}
};
