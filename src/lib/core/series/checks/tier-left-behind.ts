import { FORM_IDS } from '../../movement';
import { peopleByTier } from '../../group';
import { limitingRegion } from '../../measure';
import { sizeOf } from '../../people';
import { tierForms } from '../ladder';
import type { SeriesCheck } from './types';

/** From this part of the people on a ladder has left too many behind. */
const MANY = 0.3;

export const tierLeftBehind: SeriesCheck = {
	meta: {
		id: 'tier-left-behind',
		summary: 'Ladders end at a form that most people can reach',
		severity: 'note',
		why: 'A tier that stays two forms below the goal needs a goal of its own.',
		source: 'common practice'
	},
	check({ planned, context }) {
		return planned.series.ladders.flatMap(({ rungs }, ladder) => {
			const goal = rungs.at(-1)!;
			const movement = context.find(goal.movement);
			const people = peopleByTier(context.group, movement ? limitingRegion(movement) : null);
			const all = sizeOf({ tiers: people });
			const behind = tierForms(goal, context.group, context.find).filter(
				({ form }) => FORM_IDS.indexOf(goal.form) - FORM_IDS.indexOf(form) >= 2
			);
			const count = behind.reduce((sum, { tier }) => sum + people[tier], 0);
			if (all === 0 || count / all < MANY) return [];
			const english = movement?.english ?? goal.movement;
			return [
				{
					message: `the ${behind.map(({ tier }) => tier).join(' and ')} people (${count}) stay at ${behind[0]!.form} in ${english} while the goal is ${goal.form}`,
					data: { ladder, people: count }
				}
			];
		});
	}
};
