import type { StopCounts, GradeCounts, GroupCheckIn, StudentCheckIn } from '../core/hip-tests';
import type { SessionEvent, Script, StepKind } from '../core/teach';
import type { DemoGroupKey } from './groups';

/** Weeks before this one in which the season's classes were taught. */
export const SEASON_WEEKS = 8;

/** How Imke takes her time: she explains a little longer than is usual and changes over quickly. */
const TAKES: Partial<Record<StepKind, number>> = { in: 1.12, work: 0.98, out: 1.1, round: 1.02 };
/** Relative change of a step against the last one. */
const CHANCE = 0.16;

/** Numbers from 0 to 1, the same each time: a linear congruential generator (Lehmer's, with 16807). */
function numbers(seed: number): () => number {
	let state = seed;
	return () => (state = (state * 16807) % 2147483647) / 2147483647;
}

/** Returns the events of a class of the season, step by step. */
export function ledEvents(script: Script, startedAt: number, week: number): SessionEvent[] {
	const random = numbers(1000 + week);
	let ms = 0;
	const at = (place: number) => ({
		id: `season-${week}-event-${String(place).padStart(4, '0')}`,
		at: startedAt + ms,
		monoMs: ms,
		boot: `season-${week}`
	});
	const events: SessionEvent[] = [{ ...at(0), do: 'start', plannedStartAt: startedAt }];
	for (const [i, { kind, seconds }] of script.steps.entries()) {
		const chance = 1 + CHANCE * (2 * random() - 1);
		ms += Math.max(1, Math.round(seconds * (TAKES[kind] ?? 1) * chance)) * 1000;
		events.push({ ...at(i + 1), do: 'next' });
	}
	return events;
}

/** Notes on each class of the season besides its minutes, oldest first. */
export const SEASON_NOTES: readonly { effort: number; attendance: number; note: string }[] = [
	{ effort: 4, attendance: 11, note: 'First evening after the summer; everybody looked at the sea.' },
	{ effort: 5, attendance: 12, note: '' },
	{ effort: 5, attendance: 10, note: 'Windy run before; calves tight.' },
	{ effort: 5.5, attendance: 12, note: '' },
	{ effort: 6, attendance: 12, note: 'The low lunge sits well now.' },
	{ effort: 5.5, attendance: 9, note: 'Half term.' },
	{ effort: 6, attendance: 12, note: '' },
	{ effort: 6, attendance: 12, note: 'Balance held by nearly all to the end.' }
];

/** Check-ins of the season: the runners get steadier; of the climbers the left side catches up. */
export const SEASON_CHECK_INS: readonly { group: DemoGroupKey; week: number; checkIn: GroupCheckIn }[] = [
	...counted('striders', 'one-leg-balance', [
		[-8, [3, 6, 3, 0], [2, 7, 3, 0]],
		[-5, [1, 6, 4, 1], [1, 5, 5, 1]],
		[-3, [0, 4, 6, 2], [0, 4, 5, 3]],
		[-1, [0, 1, 6, 5], [0, 1, 7, 4]]
	]),
	...counted('striders', 'low-lunge-upright', [
		[-8, [2, 6, 4, 0], [2, 5, 5, 0]],
		[-1, [1, 6, 4, 1], [1, 5, 5, 1], { 'stretch in front': 8, 'low back': 2, knee: 1 }]
	]),
	...counted('chalk', 'figure-four-knee', [
		[-3, [5, 3, 1, 0], [0, 3, 4, 2]],
		[-2, [3, 4, 2, 0], [0, 3, 4, 2]],
		[-1, [1, 3, 4, 1], [0, 3, 4, 2], { 'stretch at the back': 6, 'front pinch': 1, knee: 2 }]
	])
];

function counted(
	group: DemoGroupKey,
	test: GroupCheckIn['test'],
	times: readonly (readonly [week: number, left: GradeCounts, right: GradeCounts, stops?: StopCounts])[]
) {
	return times.map(([week, left, right, stops]) => ({
		group,
		week,
		checkIn: {
			kind: 'counts' as const,
			test,
			moment: 'before the class' as const,
			counts: { left, right },
			...(stops ? { stops } : {})
		}
	}));
}

/** One runner who is measured, with a change that is no more than measuring is off. */
export const SEASON_STUDENT = {
	group: 'striders' as const,
	student: { name: 'Oda F.', tier: 'middling' as const, cautions: [], tighterSide: null },
	checkIns: [
		[-8, [33.4, 34.1, 32.8], [41.2, 40.5, 41.6]],
		[-5, [34.9, 35.3, 34.4], [41.8, 41.1, 40.9]],
		[-3, [35.2, 34.6, 36], [40.8, 42.1, 41.5]],
		[-1, [36.1, 37.3, 36.6], [42, 41.4, 42.3]]
	].map(([week, left, right]) => ({
		week: week as number,
		checkIn: {
			kind: 'readings' as const,
			test: 'turning-in-prone' as const,
			moment: 'before the class' as const,
			unit: 'degrees' as const,
			source: 'inclinometer' as const,
			readings: { left: left as number[], right: right as number[] }
		} satisfies StudentCheckIn
	}))
};
