/**
 * Proposals for groups with one condition: does a class hold anything that the condition's rules forbid, has each such person
 * something to do, do too many sit the peak out, and does the kit suffice? Asked for a few proposals in the tests, and for 200
 * of each condition by `npm run cautions`.
 */
import { findMovement } from '../../src/lib/catalogue';
import { analysePlan } from '../../src/lib/core/analysis';
import { newGroup, PRESETS, type Group } from '../../src/lib/core/group';
import { conditionOf, provokedBy, SITS_OUT, type Caution } from '../../src/lib/core/movement';
import { isPeak } from '../../src/lib/core/rules';
import { doneBy, itemKit } from '../../src/lib/core/substitution';
import { ask, contextFor, proposedAnew } from './propose-asked';

/** Kinds of faults in a proposal. */
export const FAULTS = ['handed', 'nothing to do', 'sits the peak out', 'kit'] as const;
export type TrialFault = (typeof FAULTS)[number];

const MINUTES = [30, 45, 60];
/** Of ten; the second kind is over an eighth. */
const PEOPLE = [1, 2];

/** A short search: which items are allowed does not depend on its length. */
const HASTY = { roughSteps: 60, starts: 1, steps: 300, mostStarts: 2 };

const groupWith = (caution: Caution, seed: number): Group => ({
	...newGroup(PRESETS[seed % PRESETS.length]!, 'Slack Water'),
	size: 10,
	tiers: { tight: 3, middling: 5, open: 2 },
	kit: {
		block: 20,
		blanket: 20,
		strap: 10,
		bolster: 4,
		chair: seed % 2 ? 10 : 0,
		'wall space': seed % 2 ? 10 : 0
	},
	cautions: [{ caution, people: PEOPLE[seed % PEOPLE.length]! }]
});

/** Returns the faults of one proposal for a group with a condition, each with the item; null where none was found for it. */
export function trialOf(caution: Caution, seed: number): [TrialFault, string][] | null {
	const group = groupWith(caution, seed);
	const [proposal] = proposedAnew(ask(group, MINUTES[seed % MINUTES.length]!, {}, { seed, work: HASTY }));
	if (!proposal) return null;
	const { context } = analysePlan(proposal.plan, contextFor(group));
	const people = group.cautions[0]!.people;
	return context.items.flatMap((taught): [TrialFault, string][] => {
		const { movement, form, waits } = doneBy(taught, { caution }, group, findMovement);
		const name = `${taught.movement.slug} ${taught.form.id}`;
		const faults: [TrialFault, string][] = [];
		const isHanded = provokedBy(movement, form, conditionOf(caution)).length > 0;
		if (isHanded && !SITS_OUT.has(caution)) faults.push(['handed', `${name} -> ${movement.slug} ${form.id}`]);
		if (waits && !SITS_OUT.has(caution)) faults.push(['nothing to do', name]);
		const isOut = movement !== taught.movement && taught.section.kind === 'peak' && isPeak(taught.form);
		if (isOut && 8 * people > group.size && !SITS_OUT.has(caution)) faults.push(['sits the peak out', name]);
		if (itemKit(taught, group, findMovement).some(({ missing }) => missing > 0)) faults.push(['kit', name]);
		return faults;
	});
}
