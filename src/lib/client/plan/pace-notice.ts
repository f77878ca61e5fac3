import { object } from 'yup';
import { persisted } from '../page/persisted';

/** The plans whose teacher was told that they no longer fit the pace, each with what was last learned then. */
export const PACE_SAID = 'orbit:pace-said';

const notices = () =>
	persisted<Record<string, string>>(
		PACE_SAID,
		object().test((value) => Object.values(value).every((at) => typeof at === 'string')),
		{}
	);

/** Whether the notice was shown for a plan since something was last learned (`at`). */
export const wasNoticeShown = (planId: string, at: string): boolean => (notices().read()[planId] ?? '') >= at;

export const markNoticeShown = (planId: string, at: string): void =>
	notices().write({ ...notices().read(), [planId]: at });
