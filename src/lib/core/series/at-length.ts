import { fit } from '../fit';
import { applyEdit, type ClassPlan } from '../plan';
import type { ClassAnalysis, SeriesAnalysis } from './analysis';

/** Seconds that nobody in the room would feel. */
const UNFELT_SECONDS = 30;

/** Returns by how many seconds a class that was not taught is longer (else shorter, negative) than the series has its classes; 0 where it fits. */
export function offLengthSeconds(c: ClassAnalysis, { planned: { series } }: SeriesAnalysis): number {
	if (c.run || !c.analysis) return 0;
	const off = c.analysis.timeline.totalSeconds - series.lengthSeconds;
	return c.plan!.lengthSeconds !== series.lengthSeconds || Math.abs(off) > UNFELT_SECONDS ? off : 0;
}

/** Whether nothing of a class that needs a new proposal is behind but its length. */
export const needsLengthOnly = (c: ClassAnalysis): boolean => c.state === 'outdated' && c.behind === 'length';

/** Returns a class at the length of its series; null where its doses cannot give that. It stays as proposed: no hand changed it. */
export function atLength(
	c: ClassAnalysis,
	{ planned: { series }, context }: SeriesAnalysis
): ClassPlan | null {
	if (!c.plan) return null;
	const plan = { ...c.plan, lengthSeconds: series.lengthSeconds };
	const fitted = fit(plan, context.find, context.pace);
	return fitted.ok ? applyEdit(plan, { do: 'setDoses', doses: fitted.doses, toLength: true }) : null;
}
