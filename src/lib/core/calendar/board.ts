import { NO_CHANGEOVER, roomClashes, type Changeover, type Clash } from './room';
import { dayName, type Meeting, type Week } from './week';

/** A class that a group has in the course of a week, planned or not. */
export interface BoardClass<P> {
	groupId: string;
	groupName: string;
	day: string;
	startsAt: string;
	lengthSeconds: number;
	room: string;
	changeover: Changeover;
	plan: P | null;
}

/** One day of a week, with its classes in the order of their times. */
export interface BoardDay<P> {
	iso: string;
	name: string;
	today: boolean;
	past: boolean;
	classes: BoardClass<P>[];
	/** Who stands in whose way. */
	clashes: Clash[];
}

interface GroupSlot {
	id: string;
	name: string;
	/** In the course of a week, on each day once. */
	meetings: readonly Meeting[];
	lengthSeconds: number;
	room: string;
	changeover?: Changeover | undefined;
}

interface DatedPlan {
	groupId: string;
	plannedOn: string | null;
	startsAt: string;
	lengthSeconds: number;
}

/** A week day by day: each group's usual class with its plan or without, and plans on other days. */
export function weekBoard<P extends DatedPlan>(
	week: Week,
	groups: readonly GroupSlot[],
	plans: readonly P[],
	today: string
): BoardDay<P>[] {
	const byId = new Map(groups.map((group) => [group.id, group]));
	const placeOf = (group: GroupSlot | undefined) => ({
		room: group?.room ?? '',
		changeover: group?.changeover ?? NO_CHANGEOVER
	});
	return week.days.map((iso, index) => {
		const planned = plans
			.filter((plan) => plan.plannedOn === iso)
			.map((plan) => ({
				groupId: plan.groupId,
				groupName: byId.get(plan.groupId)?.name ?? '',
				day: iso,
				startsAt: plan.startsAt,
				lengthSeconds: plan.lengthSeconds,
				...placeOf(byId.get(plan.groupId)),
				plan
			}));
		const unplanned = groups
			.flatMap((group) => group.meetings.map((meeting) => ({ group, meeting })))
			.filter(
				({ group, meeting }) => meeting.weekday === index + 1 && !planned.some((p) => p.groupId === group.id)
			)
			.map(({ group, meeting }) => ({
				groupId: group.id,
				groupName: group.name,
				day: iso,
				startsAt: meeting.startsAt,
				lengthSeconds: group.lengthSeconds,
				...placeOf(group),
				plan: null
			}));
		const classes = [...planned, ...unplanned].sort((a, b) => a.startsAt.localeCompare(b.startsAt));
		return {
			iso,
			name: dayName(iso),
			today: iso === today,
			past: iso < today,
			classes,
			clashes: roomClashes(classes)
		};
	});
}

/** The first class from this moment on ("HH:MM" of today), or null when the week has none left. */
export function nextClass<P>(days: readonly BoardDay<P>[], nowTime: string): BoardClass<P> | null {
	for (const day of days) {
		if (day.past) continue;
		const next = day.classes.find((c) => !day.today || c.startsAt >= nowTime);
		if (next) return next;
	}
	return null;
}
