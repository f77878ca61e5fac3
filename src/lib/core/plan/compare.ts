import { contentText } from './content';
import type { Dose } from './dose';
import type { ClassPlan, Item } from './types';
import { itemsOf } from './walk';

/** One movement that two classes both have, and what differs. */
export interface ComparedItem {
	movement: string;
	before: Item;
	after: Item;
	changed: ('form' | 'mode' | 'dose' | 'lead')[];
}

const sameDose = (a: Dose, b: Dose) => contentText(a) === contentText(b);

/** Items that two plans share, and those that only one has. */
export interface Comparison {
	/** Slugs that only the second has, and that only the first has; a movement that comes twice counts twice. */
	came: string[];
	went: string[];
	kept: ComparedItem[];
	/** Share (0-1) of the second class's items that the first had too: how like they are. */
	likeness: number;
}

/** Returns the items added, removed and changed from one class to another. Visits of one movement are paired in order. */
export function comparePlans(before: ClassPlan, after: ClassPlan): Comparison {
	const open = new Map<string, Item[]>();
	for (const item of itemsOf(before)) open.set(item.movement, [...(open.get(item.movement) ?? []), item]);
	const came: string[] = [];
	const kept: ComparedItem[] = [];
	for (const item of itemsOf(after)) {
		const old = open.get(item.movement)?.shift();
		if (!old) {
			came.push(item.movement);
			continue;
		}
		const fields = ['form', 'mode', 'dose', 'lead'] as const;
		kept.push({
			movement: item.movement,
			before: old,
			after: item,
			changed: fields.filter((field) =>
				field === 'dose' ? !sameDose(old.dose, item.dose) : old[field] !== item[field]
			)
		});
	}
	const count = came.length + kept.length;
	return {
		came,
		went: [...open.values()].flat().map((item) => item.movement),
		kept,
		likeness: count === 0 ? 0 : kept.length / count
	};
}
