import { fit } from '../fit';
import { applyEdit, type ClassPlan } from '../plan';
import { UNFELT_SECONDS } from '../rules';
import type { ClassAnalysis, SeriesAnalysis } from './analysis';

/**
 * Returns by how many seconds a class that was not taught is longer (else shorter, negative) than the series has its
 * classes; null where it has their length.
 */
export function offLengthSeconds(c: ClassAnalysis, { planned: { series } }: SeriesAnalysis): number | null {
	if (c.run || !c.analysis) return null;
	const off = c.analysis.timeline.totalSeconds - series.lengthSeconds;
	return c.plan!.lengthSeconds !== series.lengthSeconds || Math.abs(off) > UNFELT_SECONDS ? off : null;
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
