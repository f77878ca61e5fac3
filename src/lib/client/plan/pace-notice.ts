/** Of which plans it was said that they do not fit any more, and what was learned last then. Kept in this browser. */
export const PACE_SAID = 'orbit:pace-said';

function kept(): Record<string, string> {
	try {
		return JSON.parse(localStorage.getItem(PACE_SAID) ?? '{}') as Record<string, string>;
	} catch {
		return {};
	}
}

/** Whether it was said of a plan since something was last learned (`at`). */
export const wasNoticeShown = (planId: string, at: string): boolean => (kept()[planId] ?? '') >= at;

export function markNoticeShown(planId: string, at: string): void {
	try {
		localStorage.setItem(PACE_SAID, JSON.stringify({ ...kept(), [planId]: at }));
	} catch {
		// it is said again next time
	}
}
