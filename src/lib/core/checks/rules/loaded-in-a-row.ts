import type { TimedItem } from '../../clock';
import { findingLocation } from '../helpers';
import type { Check } from '../types';

/** Most items in a row on the same joint. Common practice, no source. */
const MOST_IN_A_ROW = 5;

/** On bent-back hands, unless it is only passed through. */
const onWrists = ({ movement, form, item }: TimedItem) =>
	movement.onHands !== undefined && !form.offHands && !item.passed;

/** Kneeling or on all fours without anything under the knee. */
const onKnees = ({ movement, form, item }: TimedItem) =>
	(movement.position === 'kneeling' || movement.position === 'quadruped') &&
	!form.props.some(({ site }) => site.includes('knee')) &&
	!item.passed;

const JOINTS = [
	['wrists', onWrists],
	['knees', onKnees]
] as const;

export const loadedInARow: Check = {
	meta: {
		id: 'loaded-in-a-row',
		summary: 'Wrists and knees get a break',
		severity: 'note',
		why: 'Six shapes in a row on the hands or on a bare knee strain them; something else in between, or a blanket, helps.',
		source: 'common practice',
		canRepair: false
	},
	check({ items }) {
		return JOINTS.flatMap(([joint, loads]) => {
			let run: TimedItem[] = [];
			for (const taught of items) {
				if (loads(taught)) run.push(taught);
				else if (run.length > MOST_IN_A_ROW) break;
				else run = [];
			}
			const [first] = run;
			if (!first || run.length <= MOST_IN_A_ROW) return [];
			return [
				{
					message: `${run.length} items in a row load the ${joint}, from ${first.movement.english} on`,
					where: findingLocation(first),
					cause: joint,
					data: { movement: first.movement.slug, joint, items: run.length }
				}
			];
		});
	}
};
