import { FORM_IDS, type FindMovement } from '../movement';
import { isReset } from '../rules';
import { itemsOf, setsOf, type ClassPlan, type Item } from '../plan';
import type { ClassAnalysis } from './analysis';

/** How far a class goes with a movement: its hardest form, the sets of it, and the dose. */
interface Height {
	form: number;
	sets: number;
	item: Item;
}

/** Change of a movement that returns in a later class. */
export interface Progress {
	movement: string;
	/** Up or down in form, in sets or in dose, against the last ordinary class that had it. */
	what: 'form' | 'sets' | 'dose';
	way: 'up' | 'down';
}

/** A dose may shrink by this share without counting as easier: the class has to end on the second. */
const DOSE_SLACK = 0.2;

function heightsOf(plan: ClassPlan, find: FindMovement): Map<string, Height> {
	const heights = new Map<string, Height>();
	for (const item of itemsOf(plan)) {
		const movement = find(item.movement);
		// resets and rests have no progress
		if (!movement || item.passed || item.mode === 'rest' || isReset(movement)) continue;
		const own = { form: FORM_IDS.indexOf(item.form), sets: setsOf(item.dose), item };
		const known = heights.get(item.movement);
		if (!known || own.form > known.form || (own.form === known.form && own.sets > known.sets))
			heights.set(item.movement, own);
	}
	return heights;
}

/** Returns the movements that became harder or easier in a class against the last ordinary one before it. */
export function progressOf(before: ClassPlan, now: ClassPlan, find: FindMovement): Progress[] {
	const earlier = heightsOf(before, find);
	return [...heightsOf(now, find)].flatMap(([movement, { form, sets, item }]): Progress[] => {
		const last = earlier.get(movement);
		if (!last) return [];
		const way = (more: boolean) => (more ? ('up' as const) : ('down' as const));
		if (form !== last.form) return [{ movement, what: 'form', way: way(form > last.form) }];
		if (sets !== last.sets) return [{ movement, what: 'sets', way: way(sets > last.sets) }];
		const [a, b] = [last.item, item];
		if (a.mode !== b.mode || a.dose.unit !== b.dose.unit) return [];
		const off = b.dose.amount / a.dose.amount - 1;
		return Math.abs(off) > DOSE_SLACK ? [{ movement, what: 'dose', way: way(off > 0) }] : [];
	});
}

/** The last ordinary class before one that has a plan; null where there is none. */
export function ordinaryBefore(classes: readonly ClassAnalysis[], c: ClassAnalysis): ClassAnalysis | null {
	return classes.slice(0, c.number - 1).findLast(({ plan, easier }) => plan && !easier) ?? null;
}

/** Returns the movements that a class makes harder or easier than last time; empty in an easier week. */
export function progressIn(
	classes: readonly ClassAnalysis[],
	c: ClassAnalysis,
	find: FindMovement
): Progress[] {
	const before = c.easier ? null : ordinaryBefore(classes, c);
	return before?.plan && c.plan ? progressOf(before.plan, c.plan, find) : [];
}
