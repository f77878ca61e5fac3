import { formOf, WORKING_MODES, type Purpose } from '../../movement';
import { purposesWanted, WHOLE_CLASS_FROM_SECONDS } from '../../rules';
import { itemForRoom } from '../helpers';
import type { Check, CheckContext } from '../types';

/** Fewer items are a class that has only been begun. */
const BEGUN = 3;

/** How many purposes the class should serve. Common practice, no source. */
function wanted({ plan, group }: CheckContext): number {
	if (!group || plan.lengthSeconds < WHOLE_CLASS_FROM_SECONDS) return 0;
	return purposesWanted(group.purposes.length, plan.lengthSeconds);
}

/** Purposes of the group that nothing serves by own work in the build and the peak. */
function missing({ items, group }: CheckContext): Purpose[] {
	const served = new Set(
		items
			.filter(({ section, item }) =>
				section.kind === 'build' || section.kind === 'peak' ? WORKING_MODES.has(item.mode) : false
			)
			.flatMap(({ movement }) => movement.purposes)
	);
	return (group?.purposes ?? []).filter((purpose) => !served.has(purpose));
}

export const purposesMissing: Check = {
	meta: {
		id: 'purposes-missing',
		summary: 'Build and peak serve the purposes of the group',
		severity: 'note',
		why: 'A climber who never meets the high step, or a runner who never stands on one leg, does not get what they came for.',
		source: 'common practice',
		canRepair: true
	},
	check(context) {
		const { group, plan } = context;
		const least = wanted(context);
		// a class with a theme of its own serves that
		if (!group || least === 0 || plan.theme || context.items.length < BEGUN) return [];
		const none = missing(context);
		const served = group.purposes.length - none.length;
		if (served >= least) return [];
		return [
			{
				message: `Build and peak serve ${served} of what ${group.name} come for; ${least} would be good: ${none.join(', ')}`,
				data: { served, least, purposes: none.join(', ') }
			}
		];
	},
	/** Adds the easiest movement that serves most of what is missing at the end of Build. */
	repair(finding, context) {
		const none = new Set<string>(String(finding.data.purposes).split(', '));
		const used = new Set(context.items.map(({ movement }) => movement.slug));
		const section = context.plan.sections.find(({ kind }) => kind === 'build');
		const [best] = context.catalogue
			.filter((m) => !used.has(m.slug) && m.modes.some((mode) => WORKING_MODES.has(mode)))
			.map((movement) => ({ movement, serves: movement.purposes.filter((p) => none.has(p)).length }))
			.filter(({ serves }) => serves > 0)
			.flatMap(({ movement, serves }) => {
				const block = itemForRoom(context, movement);
				const form = block && formOf(movement, block.form);
				return form && WORKING_MODES.has(block.mode) ? [{ movement, block, form, serves }] : [];
			})
			.sort((a, b) => a.form.intensity - b.form.intensity || b.serves - a.serves);
		if (!best || !section) return null;
		return {
			label: `Add ${best.movement.english}`,
			edits: [
				{ do: 'insert', at: { sectionId: section.id, index: section.blocks.length }, block: best.block }
			]
		};
	}
};
