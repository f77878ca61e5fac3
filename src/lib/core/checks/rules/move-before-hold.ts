import { findBlock, type PlanEdit } from '../../plan';
import { findingLocation } from '../helpers';
import { isCalm, isPassiveStretch } from '../../rules';
import type { TimedItem } from '../../clock';
import type { Check } from '../types';

/** Own work moves a joint too, in whatever way it is counted. */
const moves = ({ item }: TimedItem) => item.mode === 'dynamic' || item.mode === 'active';
/** A gentle hold on arrival is no stretch of something cold. */
const holds = ({ item, form, section }: TimedItem) =>
	isPassiveStretch(form, item.mode) && !(section.kind === 'settle' && isCalm(form));

export const moveBeforeHold: Check = {
	meta: {
		id: 'move-before-hold',
		summary: 'Moving comes before holding',
		severity: 'fix',
		why: 'A joint that has moved is easier to hold; do not start a class with a long passive stretch.',
		source: 'common practice',
		canRepair: true
	},
	check({ items }) {
		const firstMove = items.findIndex(moves);
		return items
			.slice(0, firstMove === -1 ? items.length : firstMove)
			.filter(holds)
			.slice(0, 1)
			.map((taught) => ({
				message: `${taught.movement.english} is held before anything has moved`,
				where: findingLocation(taught),
				data: { movement: taught.movement.slug },
				repairable: firstMove !== -1
			}));
	},
	/** Moves the first moving block in front of it. */
	repair(finding, { items, plan }) {
		const mover = items.find(moves);
		const held = finding.where.blockId && findBlock(plan, finding.where.blockId);
		if (!mover || !held || mover.blockId === finding.where.blockId) return null;
		const edit: PlanEdit = {
			do: 'move',
			blockId: mover.blockId,
			to: { sectionId: held.sectionId, index: held.index }
		};
		return { label: `Begin with ${mover.movement.english}`, edits: [edit] };
	}
};
