import type { Changeover, Meeting } from '../calendar';
import type { MoreOn } from '../measure';
import type { Region } from '../hip-tests';
import type { Purpose } from '../movement';
import type { Targets } from '../orbit';
import type { Kit } from './kit';
import type { CautionCount, Tier } from '../people';

export const MOMENTS = [
	'before sport',
	'after sport',
	'rest day',
	'evening',
	'lunch hour',
	'morning'
] as const;
export type Moment = (typeof MOMENTS)[number];

export const PRESETS = [
	'general',
	'runners',
	'climbers',
	'beginners',
	'desk workers',
	'lifters',
	'rowers',
	'very mobile'
] as const;
export type PresetId = (typeof PRESETS)[number];

export { TIERS, type CautionCount, type Tier } from '../people';

/** The people of a class. No diagnosis and no name is needed. */
export interface Group {
	name: string;
	/** In the teacher's words: coast-path runners, indoor climbers. */
	discipline: string;
	preset: PresetId;
	size: number;
	/** How many people of each tier. */
	tiers: Record<Tier, number>;
	moment: Moment;
	/** ISO weekday, 1 Monday to 7 Sunday. */
	weekday: number;
	/** On the studio's clock, "HH:MM". */
	startsAt: string;
	/** Further days of the week on which it meets, for as long as on the first. */
	alsoMeets?: Meeting[];
	lengthSeconds: number;
	room: string;
	/** How long the room is kept before and after a class. */
	changeover?: Changeover;
	cautions: CautionCount[];
	/** Whether its kit is the studio's, which all groups share; else it is counted for this group alone. */
	sharesKit?: boolean;
	/** Pieces of kit in the room. */
	kit: Kit;
	/** Pieces of kit that each person brings. */
	kitEach?: Kit;
	targets: Targets;
	/** How many people of each tier by where a movement works, where a check-in told it. */
	regionTiers?: Partial<Record<Region, Record<Tier, number>>>;
	/** Where one side was measured to be behind, and is to get more. */
	moreOn?: MoreOn[];
	/** Purposes of its classes: the shapes of its sport or its day. */
	purposes: Purpose[];
	note: string;
}
