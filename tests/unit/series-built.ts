import { USUAL_PACE } from '../../src/lib/core/pace';
import { CATALOGUE, findMovement } from '../../src/lib/catalogue';
import type { Group } from '../../src/lib/core/group';
import type { FormId } from '../../src/lib/core/movement';
import { applyEdit, emptyPlan, newItem, type ClassPlan, type SectionKind } from '../../src/lib/core/plan';
import {
	begunSeries,
	ladderTo,
	newSeries,
	type PlannedSeries,
	type SeriesContext,
	type SeriesSettings
} from '../../src/lib/core/series';
import type { ClassNotes } from '../../src/lib/core/record';
import { styleOf } from '../../src/lib/core/style';
import { DEMO_GROUPS } from '../../src/lib/demo/groups';

/** Series for tests, of the climbers of the demo unless said otherwise. */

export const CLIMBERS: Group = DEMO_GROUPS.chalk;

/** Ids one after another, so that a test says which is meant. */
export function ids(): () => string {
	let count = 0;
	return () => `class-${String(++count).padStart(3, '0')}`;
}

export function seriesOf(change: Partial<SeriesSettings> = {}, group = CLIMBERS): PlannedSeries {
	// new things one by one: what the tests of rungs count with
	const settings = { ...newSeries(group, '2026-11-03', 'Europe/London'), mostNew: 1 };
	return begunSeries({ ...settings, ...change }, ids());
}

export function ladder(movement: string, form: FormId, group: Group | null = CLIMBERS) {
	return ladderTo({ movement, form }, findMovement, group, styleOf())!;
}

export function contextFor(group: Group = CLIMBERS, knownBefore: string[] = []): SeriesContext {
	return { group, find: findMovement, catalogue: CATALOGUE, knownBefore, pace: USUAL_PACE };
}

/** A class with these movements in one part, each in a form if one is named ("low-lunge:supported"). */
export function classWith(names: readonly string[], kind: SectionKind = 'build'): ClassPlan {
	return names.reduce(
		(plan, name, index) => {
			const [slug = '', form] = name.split(':');
			const block = newItem(plan, findMovement(slug)!, 'left', form as FormId);
			return applyEdit(plan, { do: 'insert', at: { sectionId: kind, index }, block });
		},
		emptyPlan('A class', '17:30', 3000)
	);
}

/** The series with the same plan in each class. */
export function filled(planned: PlannedSeries, plan: (index: number) => ClassPlan): PlannedSeries {
	const plans = planned.series.classes.map(({ id }, index) => [id, plan(index)] as const);
	return { ...planned, plans: Object.fromEntries(plans) };
}

export const daysOf = ({ series }: PlannedSeries) => series.classes.map(({ on }) => on);

/** How a class went, written down. */
export const run: ClassNotes = { effort: 4, minutes: 50, attendance: null, leftOut: [], note: '' };

/** A series in which a class was written down as taught; null: it is taken back. */
export function logged(planned: PlannedSeries, classId: string, notes: ClassNotes | null): PlannedSeries {
	const { [classId]: _before, ...others } = planned.runs;
	const { on, startsAt } = planned.series.classes.find(({ id }) => id === classId)!;
	const runs = notes ? { ...others, [classId]: { ...notes, planId: classId, on, startsAt } } : others;
	return { ...planned, runs };
}
