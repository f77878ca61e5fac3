import { otherLeg, type Leg } from '../anatomy';
import { styleOf, type StyleChoices } from '../style';
import { itemsOf, withItems } from './walk';
import { SECTION_KINDS, type ClassPlan, type SectionKind } from './types';

/** An empty class with its six sections, for a length in seconds and a start on the studio's clock. */
export function emptyPlan(
	title: string,
	startsAt: string,
	lengthSeconds: number,
	choices: StyleChoices = {}
): ClassPlan {
	return {
		title,
		startsAt,
		lengthSeconds,
		...(Object.keys(choices).length ? { style: choices } : {}),
		sections: SECTION_KINDS.map((kind) => ({ id: kind, kind, blocks: [] }))
	};
}

/** A new class that begins as another one was: what was confirmed or counted for that day is asked anew. */
export function copyOf(plan: ClassPlan | undefined): ClassPlan {
	if (!plan) throw new Error('there is nothing to copy');
	const { madeWith: _states, here: _counted, carried: _marks, ...rest } = plan;
	return {
		...rest,
		sections: rest.sections.map((section) => ({
			...section,
			blocks: section.blocks.map((block) => withItems(block, unconfirmed))
		}))
	};
}

/** A class for a group that begins as a template does, at the group's usual time and of its usual length. */
export function fromTemplate(
	template: ClassPlan,
	{ startsAt, lengthSeconds }: { startsAt: string; lengthSeconds: number }
): ClassPlan {
	return { ...copyOf(template), startsAt, lengthSeconds };
}

/** The part of a class to propose anew: nothing, everything, or one section. */
export type Renewal = 'nothing' | 'everything' | SectionKind;

/** A class with what is to be made anew taken out. */
export function renewed(plan: ClassPlan, renewal: Renewal): ClassPlan {
	const goes = (kind: SectionKind) => renewal === 'everything' || renewal === kind;
	return {
		...plan,
		sections: plan.sections.map((section) => (goes(section.kind) ? { ...section, blocks: [] } : section))
	};
}

function unconfirmed<T extends { confirmed?: unknown }>(item: T): T {
	const { confirmed: _old, ...rest } = item;
	return rest as T;
}

/** The leg that led the first side of a class: the one of most of its items, left where it has none. */
export function firstSideOf(plan: ClassPlan): Leg {
	if (plan.firstSide) return plan.firstSide;
	const items = itemsOf(plan);
	const right = items.filter((item) => item.lead === 'right').length;
	return right > items.length - right ? 'right' : 'left';
}

/** Sets which side goes first, where the style alternates between classes: the other one than last time. */
export function startSides(plan: ClassPlan, last: ClassPlan | undefined): ClassPlan {
	if (styleOf(plan.style).firstSide !== 'alternate' || !last) return plan;
	return { ...plan, firstSide: otherLeg(firstSideOf(last)) };
}
