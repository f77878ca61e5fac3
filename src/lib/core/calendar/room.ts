/** Minutes that a class keeps the room before it begins and after it ends: unrolling mats, putting kit away. */
export interface Changeover {
	beforeMinutes: number;
	afterMinutes: number;
}

export const NO_CHANGEOVER: Changeover = { beforeMinutes: 0, afterMinutes: 0 };
export const MOST_CHANGEOVER_MINUTES = 120;

/** The times by which a class occupies a room. */
export interface InRoom {
	groupId: string;
	groupName: string;
	/** On the studio's clock, "HH:MM". */
	startsAt: string;
	lengthSeconds: number;
	/** Empty where none is said: then it does not overlap with another. */
	room: string;
	changeover?: Changeover | undefined;
}

/** From when until when a class needs its room, with set-up and clear-up time. */
export interface RoomTime {
	/** "HH:MM"; before midnight where the class is early enough. */
	from: string;
	to: string;
}

const DAY_MINUTES = 24 * 60;

function minutesOf({
	startsAt,
	lengthSeconds,
	changeover = NO_CHANGEOVER
}: Omit<InRoom, 'groupId' | 'groupName' | 'room'>) {
	const [hours = 0, minutes = 0] = startsAt.split(':').map(Number);
	const start = 60 * hours + minutes;
	return {
		from: start - changeover.beforeMinutes,
		to: start + Math.ceil(lengthSeconds / 60) + changeover.afterMinutes
	};
}

const asTime = (minutes: number): string => {
	const within = ((minutes % DAY_MINUTES) + DAY_MINUTES) % DAY_MINUTES;
	return `${String(Math.floor(within / 60)).padStart(2, '0')}:${String(within % 60).padStart(2, '0')}`;
};

/** From when to when a class has the room. */
export function roomTime(inRoom: Omit<InRoom, 'groupId' | 'groupName' | 'room'>): RoomTime {
	const { from, to } = minutesOf(inRoom);
	return { from: asTime(from), to: asTime(to) };
}

/** Two classes that need one room at the same time. */
export interface Clash {
	room: string;
	first: string;
	second: string;
	/** When the second wants the room, and how many minutes both want it. */
	from: string;
	minutes: number;
}

/** Classes of one day that want the same room at the same time, changeovers included; in the order of the clock. */
export function roomClashes(classes: readonly InRoom[]): Clash[] {
	const inRooms = classes
		.filter(({ room }) => room.trim() !== '')
		.map((c) => ({ ...c, ...minutesOf(c), key: c.room.trim().toLowerCase() }))
		.sort((a, b) => a.from - b.from);
	return inRooms.flatMap((first, i) =>
		inRooms
			.slice(i + 1)
			.filter((second) => second.key === first.key && second.from < first.to)
			.map((second) => ({
				room: first.room.trim(),
				first: first.groupName,
				second: second.groupName,
				from: asTime(second.from),
				minutes: Math.min(first.to, second.to) - second.from
			}))
	);
}
