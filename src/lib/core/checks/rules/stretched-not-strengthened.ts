import { isSymmetrical, type MuscleGroup, type Tissue } from '../../anatomy';
import { formatDuration } from '../../clock';
import { profileOf, formForRoom } from '../../substitution';
import { modesOf, usualForm, WORKING_MODES } from '../../movement';
import { addedAtEnd } from '../helpers';
import { MUSCLES_OF_TISSUE, hungSeconds, working } from '../../orbit';
import { isDeep, STRENGTH_FROM_EFFORT } from '../../rules';
import type { Check } from '../types';

/** A tissue held long for this much, seconds a leg, is one that the class is about. */
const MEANT_SECONDS = 90;

export const stretchedNotStrengthened: Check = {
	meta: {
		id: 'stretched-not-strengthened',
		summary: 'Muscles that are stretched much are also strengthened',
		severity: 'note',
		why: 'Tightness that keeps coming back usually needs strength; stretching alone can make irritated tissue worse.',
		source: 'common practice',
		canRepair: true
	},
	check({ items }) {
		const worked = new Set(
			items.filter((t) => t.form.effort >= STRENGTH_FROM_EFFORT).flatMap((t) => [...working(t)])
		);
		return [...hungSeconds(items)].flatMap(([tissue, seconds]) => {
			const owners: readonly MuscleGroup[] = MUSCLES_OF_TISSUE[tissue as Tissue] ?? [];
			if (seconds < MEANT_SECONDS || owners.length === 0 || owners.some((group) => worked.has(group)))
				return [];
			return [
				{
					message: `the ${tissue} are held long for ${formatDuration(seconds)} a leg and never work`,
					cause: tissue,
					data: { tissue, seconds: Math.round(seconds) }
				}
			];
		});
	},
	/** Adds strength for it at the end of Build: the easiest first, symmetrical before sided. */
	repair(finding, context) {
		const { catalogue, plan, items, group } = context;
		const owners = MUSCLES_OF_TISSUE[finding.data.tissue as Tissue] ?? [];
		const used = new Set(items.map(({ movement }) => movement.slug));
		const section = plan.sections.find((s) => s.kind === 'build');
		const [best] = catalogue
			.filter(
				(m) => !used.has(m.slug) && WORKING_MODES.has(modesOf(m, usualForm(m))[0]!) && formForRoom(m, group)
			)
			.filter((m) => usualForm(m).effort >= STRENGTH_FROM_EFFORT && !isDeep(usualForm(m)))
			.filter((m) => owners.some((owner) => profileOf(m).muscles.has(owner)))
			.sort(
				(a, b) =>
					usualForm(a).intensity - usualForm(b).intensity ||
					Number(isSymmetrical(b.action)) - Number(isSymmetrical(a.action))
			);
		return best && section ? addedAtEnd(context, section, best) : null;
	}
};
