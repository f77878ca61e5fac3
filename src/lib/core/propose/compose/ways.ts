import { SITS_OUT, type Caution } from '../../movement';
import type { Group } from '../../group';
import type { SectionKind } from '../../plan';
import type { TeachingStyle } from '../../style';
import { endsUpright } from '../pool/roles';
import { STATIONS, type Station } from '../pool/stations';

/**
 * The way of a class through the room, decided before its content: where each part of it stands, in order. The build has
 * two episodes; the second one leads to the peak, which stands where it ends. Common practice, no source.
 */
export interface Way {
	settle: readonly Station[];
	warm: readonly Station[];
	first: readonly Station[];
	last: readonly Station[];
	release: readonly Station[];
	rest: readonly Station[];
	/** It has no kneeling: for sore knees and poor balance. */
	noKneeling?: true;
	/** It begins on chairs: for people who would rather not sit on the floor. */
	onChairs?: true;
	/** It stays off the feet: for long quiet holds, or where standing is left out. */
	onTheFloor?: true;
}

/** Parts of a way. */
export const WAY_PARTS = ['settle', 'warm', 'first', 'last', 'release', 'rest'] as const;

/** Ways that end lying. */
const TO_THE_FLOOR: readonly Way[] = [
	// up once, for the peak on the feet, and down
	way('back', 'back, all fours', 'knees', 'feet', 'seat, back'),
	way('seat', 'seat, all fours', 'knees', 'feet', 'seat, back'),
	way('knees', 'all fours, knees', 'knees', 'feet', 'back'),
	way('back', 'back, all fours', 'all fours', 'feet', 'seat, back'),
	way('back', 'back, side', 'side, all fours', 'feet', 'back'),
	way('front', 'front, all fours', 'all fours, knees', 'feet', 'seat, back'),
	way('back', 'back, front', 'front, all fours', 'feet', 'seat, back'),
	way('back', 'back, seat', 'feet', 'all fours', 'seat, back'),
	way('seat', 'seat, all fours', 'all fours', 'feet', 'back'),
	// on the feet early, and down for a peak on the floor
	way('seat', 'all fours, feet', 'feet', 'seat', 'seat, back'),
	way('back', 'back, all fours', 'feet', 'knees', 'knees, seat, back'),
	way('knees', 'all fours, feet', 'feet', 'knees, seat', 'seat, back'),
	way('seat', 'seat, all fours', 'feet', 'seat', 'back'),
	// without kneeling
	{ ...way('back', 'back, side', 'side', 'feet', 'back'), noKneeling: true },
	{ ...way('back', 'back, seat', 'seat', 'feet', 'back'), noKneeling: true },
	{ ...way('back', 'back, seat', 'seat', 'feet', 'seat, back'), noKneeling: true },
	{ ...way('back', 'back, side', 'back, side', 'feet', 'seat, back'), noKneeling: true },
	{ ...way('back', 'back, side', 'feet', 'seat', 'seat, back'), noKneeling: true },
	{ ...way('seat', 'seat, feet', 'feet', 'seat', 'back'), noKneeling: true },
	{ ...way('chair', 'chair, feet', 'feet', 'feet', 'seat, back'), noKneeling: true, onChairs: true },
	{ ...way('chair', 'chair, feet', 'feet', 'feet', 'back'), noKneeling: true, onChairs: true },
	// all of it on the floor
	{ ...way('back', 'back, all fours', 'all fours', 'knees', 'seat, back'), onTheFloor: true },
	{ ...way('seat', 'seat, all fours', 'knees', 'seat', 'back'), onTheFloor: true },
	{ ...way('back', 'back', 'front, all fours', 'seat', 'seat, back'), onTheFloor: true },
	{ ...way('seat', 'seat', 'seat', 'side', 'back'), onTheFloor: true, noKneeling: true },
	{ ...way('back', 'back', 'side', 'back', 'back'), onTheFloor: true, noKneeling: true }
];

/** Ways that end on the feet or on a chair. */
const UPRIGHT: readonly Way[] = [
	{ ...way('chair', 'chair, feet', 'feet', 'feet', 'feet, chair', 'chair'), noKneeling: true },
	{ ...way('chair', 'chair, feet', 'feet', 'feet', 'feet', 'feet'), noKneeling: true },
	{ ...way('chair', 'chair, feet', 'feet', 'feet', 'chair', 'chair, feet'), noKneeling: true },
	{ ...way('feet', 'feet', 'feet', 'feet', 'feet', 'feet'), noKneeling: true }
];
/** Without chairs one may also lie first, and get up for good. */
const UP_FOR_GOOD: readonly Way[] = [
	{ ...way('back', 'back, side', 'side', 'feet', 'feet', 'feet'), noKneeling: true },
	{ ...way('back', 'back, seat', 'seat', 'feet', 'feet', 'feet'), noKneeling: true }
];
/** Before sport one may also begin on the floor. */
const UP_FOR_SPORT: readonly Way[] = [
	way('knees', 'all fours, knees', 'knees', 'feet', 'feet', 'feet'),
	way('seat', 'all fours, feet', 'feet', 'feet', 'feet', 'feet'),
	way('seat', 'seat, all fours', 'all fours', 'feet', 'feet', 'feet')
];
/** Anything anywhere: for a class that has something already, and where no way suits what is asked for. */
export const ANY_WAY: Way = {
	settle: STATIONS,
	warm: STATIONS,
	first: STATIONS,
	last: STATIONS,
	release: STATIONS,
	rest: STATIONS
};

function way(settle: string, warm: string, first: string, last: string, release: string, rest = 'back'): Way {
	const read = (words: string) => words.split(', ') as Station[];
	return {
		settle: read(settle),
		warm: read(warm),
		first: read(first),
		last: read(last),
		release: read(release),
		rest: read(rest)
	};
}
/** Every way through the room. */
export const ROOM_WAYS: readonly Way[] = [...TO_THE_FLOOR, ...UPRIGHT, ...UP_FOR_GOOD, ...UP_FOR_SPORT];

/** Cautions with which kneeling, or getting up from it, is hard. */
const KNEELS_BADLY: ReadonlySet<Caution> = new Set<Caution>([
	'sore knee',
	'after knee replacement',
	'poor balance',
	'fragile bones',
	'pregnancy'
]);
/** From this share of the group on a class does without kneeling. */
const NO_KNEELING_FROM = 0.25;

/** Whether a class for these people does without kneeling. */
export function spareKnees({ cautions, size }: Group): boolean {
	let people = 0;
	for (const { caution, people: own } of cautions)
		if (KNEELS_BADLY.has(caution) && !SITS_OUT.has(caution)) people += own;
	return size > 0 && people / size >= NO_KNEELING_FROM;
}

/** Where the peak of a way stands. */
export const peakStation = ({ last }: Way): Station => last.at(-1)!;

/** The ways that suit these people at this moment, with this teacher. */
export function waysFor(
	group: Group,
	{ holding }: TeachingStyle,
	may: (station: Station) => boolean
): readonly Way[] {
	const all = waysAt(group, may('chair'));
	const spares = spareKnees(group);
	const standing = may('feet') && holding !== 'quiet';
	const possible = all.flatMap((one): Way[] => {
		if (one.onChairs && !spares && group.preset !== 'desk workers') return [];
		if (standing === Boolean(one.onTheFloor)) return [];
		const allowed = withOnly(one, may);
		return allowed ? [allowed] : [];
	});
	const sparing = possible.filter(({ noKneeling }) => noKneeling);
	return spares && sparing.length ? sparing : possible;
}

/** The ways that end as the moment asks for. */
function waysAt(group: Group, hasChairs: boolean): readonly Way[] {
	if (!endsUpright(group)) return TO_THE_FLOOR;
	if (group.moment === 'before sport') return [...UPRIGHT, ...UP_FOR_SPORT];
	return hasChairs ? UPRIGHT.filter(({ settle }) => settle.includes('chair')) : [...UPRIGHT, ...UP_FOR_GOOD];
}

/** The way without the stations that are left out; null where nothing is left of a part of it. */
function withOnly(one: Way, may: (station: Station) => boolean): Way | null {
	if (!may(peakStation(one))) return null;
	const allowed = Object.fromEntries(
		WAY_PARTS.map((part) => [part, one[part].filter(may)])
	) as unknown as Way;
	if (WAY_PARTS.some((part) => one[part].length > 0 && allowed[part].length === 0)) return null;
	return { ...one, ...allowed };
}

/** A class builds up one theme, or two one after the other; a third is only let go with. */
export const episodesOf = (themes: number): number => Math.min(2, themes);
/** The episode of a theme: the first theme comes last, before the peak. */
export const episodeOf = (theme: number, episodes: number): number => episodes - 1 - theme;

/** Where a part of a class stands; the build by its episode, counted from 0. */
export function stationsOf(
	one: Way,
	kind: SectionKind,
	episode: number,
	episodes: number
): readonly Station[] {
	switch (kind) {
		case 'build':
			if (episodes === 1) return one === ANY_WAY ? STATIONS : [...new Set([...one.first, ...one.last])];
			return episode === 0 ? one.first : one.last;
		case 'peak':
			return one === ANY_WAY ? STATIONS : [peakStation(one)];
		default:
			return one[kind];
	}
}
