import type { Direction } from '../../anatomy';
import type { Group } from '../../group';
import type { Purpose } from '../../movement';
import { SECTION_KINDS, type SectionKind } from '../../plan';
import type { TeachingStyle } from '../../style';
import type { Random } from '../pool/random';
import { endsUpright } from '../pool/roles';
import { canBuild, linesWithin, type LineBook } from './line-book';
import { readThemeLine, THEMES, type Theme } from './themes';
import { ANY_WAY, episodeOf, episodesOf, peakStation, stationsOf, type Way } from './ways';

/**
 * The story of a class: one to three themes, most important first, and the way on which they come. The second theme is
 * built up before the first, which comes to the peak; the third is only let go with.
 */
export interface Story {
	themes: readonly Theme[];
	way: Way;
	/** Whether something of it flows. */
	flows: boolean;
	/** Themes in the order in which they come: "long fronts of the hip, then one leg that carries" */
	words: string;
}

/** Purposes that go well together, for groups that name none. Common practice, no source. */
const USUAL: readonly (readonly Purpose[])[] = [
	['hip extension under the trunk', 'turning both ways', 'level pelvis'],
	['turned-out squat', 'adductors at length', 'hip extension under the trunk'],
	['turning both ways', 'hinge with a long back', 'single-leg strength'],
	['deep flexion', 'hip extension under the trunk', 'floor sitting'],
	['single-leg strength', 'turning both ways', 'turned-out squat']
];

/** Minutes from which a class has one more theme. Common practice, no source. */
const ONE_THEME_MORE_FROM_MINUTES = [22, 50] as const;
const themesIn = (lengthSeconds: number): number =>
	1 + ONE_THEME_MORE_FROM_MINUTES.filter((minutes) => lengthSeconds >= 60 * minutes).length;

/** Inputs for choosing a story. */
export interface StoryRequest {
	group: Group;
	/** Counts the classes: each begins with another purpose of the group. */
	number: number;
	/** Lines that these people can do, theme by theme. */
	book: LineBook;
	/** Ways that suit them. */
	ways: readonly Way[];
	/** Themes of them that are built up and come to something with what the group has met. */
	withinReach: ReadonlySet<Theme>;
	style: TeachingStyle;
	/** Whether the teacher lets one shape flow into the next. */
	flowing: boolean;
	lengthSeconds: number;
	/** Themes that other classes begin with. */
	taken: ReadonlySet<Theme>;
	/** Movements that are in it already, or are asked for: a theme that has them suits. */
	about: ReadonlySet<string>;
	/** Directions that are wanted more. */
	more: readonly Direction[];
	/** Purpose of the first theme, whatever the purposes of the group. */
	purpose?: Purpose;
}

/** Points by which themes are chosen. Common practice, no source. */
const CHOICE = {
	/** For its first purpose, and for each further one, where the group wants it. */
	firstPurpose: 1.5,
	purpose: 0.7,
	/** Share of the points for a purpose that is served already. */
	served: -0.5,
	/** Factor for the first purpose of this class. */
	begins: 3,
	/** Factor for the purpose that was asked for. */
	isAsked: 8,
	/** For the first that turns the legs in and out. */
	turns: 0.5,
	/** For each direction that is wanted and that no other theme gives. */
	gives: 1.2,
	/** For each line with something that is asked for, and at most. */
	asked: 1.5,
	mostAsked: 6,
	/** For one made for how this teacher teaches; for flows where the teacher does not flow. */
	ofTheStyle: 6,
	notOfTheStyle: -1,
	/** For what another class begins with. */
	taken: -4,
	/** For what would need more new things than are wanted, to begin with and later. */
	firstOutOfReach: -6,
	outOfReach: -2,
	/** Chance decides between what is about as good. */
	chance: 0.8
} as const;

/**
 * The story of a class for a group: it begins with one of its purposes and a way on which that comes to a peak, and goes
 * on with themes that serve what is not served yet.
 */
export function storyOf(request: StoryRequest, random: Random): Story {
	const { group, number, style, lengthSeconds, book } = request;
	const asked = request.purpose ? [request.purpose] : [];
	const wanted = group.purposes.length ? group.purposes : USUAL[number % USUAL.length]!;
	// the purpose of this class, then the others as the group has them
	const begin = number % wanted.length;
	const inTurn = [...new Set([...asked, ...wanted.slice(begin), ...wanted.slice(0, begin)])];
	const gentle =
		group.preset === 'beginners' || group.preset === 'desk workers' || group.moment === 'lunch hour';
	const left = THEMES.filter(
		({ steep, quiet }) => !(steep && gentle) && (style.holding === 'quiet' || !quiet)
	);
	const count = themesIn(lengthSeconds);
	const episodes = episodesOf(count);
	/** Whether a theme, as the given one of the story, can be built up on a way. */
	const fits = (theme: Theme, at: number, way: Way): boolean =>
		at < episodes
			? canBuild(
					book,
					theme,
					stationsOf(way, 'build', episodeOf(at, episodes), episodes),
					lengthSeconds,
					at === 0 ? peakStation(way) : null
				)
			: linesWithin(book.lines(theme, 'release'), way.release).length >= LEAST_OF_RELEASE;
	const chosen: Theme[] = [];
	const best = (themes: readonly Theme[]): Theme | undefined => {
		const points = themes.map((theme) => pointsOf(theme, chosen, inTurn, request) + CHOICE.chance * random());
		return themes[points.indexOf(Math.max(...points))];
	};
	const firsts = left.filter((theme) => request.ways.some((way) => fits(theme, 0, way)));
	const open = firsts.length
		? firsts
		: left.filter((theme) => canBuild(book, theme, stationsOf(ANY_WAY, 'build', 0, 1), lengthSeconds, null));
	const first = best(open.length ? open : left);
	if (first) chosen.push(first);
	const goingOn = (way: Way, at: number) =>
		left.filter((theme) => !chosen.includes(theme) && fits(theme, at, way));
	const ways = first ? request.ways.filter((way) => fits(first, 0, way)) : [];
	// rather a way on which a second theme can be built up
	const fuller = count > 1 ? ways.filter((way) => goingOn(way, 1).length > 0) : ways;
	const choice = fuller.length ? fuller : ways;
	const way = choice[random.below(choice.length)] ?? ANY_WAY;
	while (first && chosen.length < count) {
		const next = best(goingOn(way, chosen.length));
		if (!next) break;
		chosen.push(next);
	}
	const inOrder = [...chosen.slice(0, episodes).reverse(), ...chosen.slice(episodes)];
	const flows = request.flowing || (lengthSeconds >= FLOWS_FROM_SECONDS && random() < FLOWS_IN);
	return { themes: chosen, way, flows, words: inOrder.map(({ about }) => about).join(', then ') };
}

/** Half of the classes that are not short have a flow; those of a teacher who flows always. */
const FLOWS_FROM_SECONDS = 1500;
const FLOWS_IN = 0.5;
/** The fewest lines in the release of a theme that is only let go with. */
const LEAST_OF_RELEASE = 2;

/** How well a theme goes on from those that are chosen. */
function pointsOf(
	theme: Theme,
	chosen: readonly Theme[],
	inTurn: readonly Purpose[],
	{ withinReach, style, flowing, taken, about, more, purpose: wanted }: StoryRequest
): number {
	const isFirst = chosen.length === 0;
	const served = new Set(chosen.flatMap(({ purposes }) => purposes));
	let points = 0;
	for (const [i, purpose] of theme.purposes.entries()) {
		const turn = inTurn.indexOf(purpose);
		if (turn < 0) continue;
		const own = i === 0 ? CHOICE.firstPurpose : CHOICE.purpose;
		const begins = purpose === wanted ? CHOICE.isAsked : CHOICE.begins;
		points += own * (served.has(purpose) ? CHOICE.served : 1) * (isFirst && turn === 0 ? begins : 1);
	}
	const turns = theme.purposes[0]!;
	const mayTurn = turns === 'turning both ways' || inTurn.includes(turns);
	if (!isFirst && TURNS.has(turns) && mayTurn && ![...served].some((p) => TURNS.has(p)))
		points += CHOICE.turns;
	for (const direction of more)
		if (
			!GIVES[direction].some((p) => served.has(p)) &&
			GIVES[direction].some((p) => theme.purposes.includes(p))
		)
			points += CHOICE.gives;
	const flows = theme.build.some((line) => readThemeLine(line).flow);
	if ((style.holding === 'quiet' && theme.quiet) || (flowing && flows)) points += CHOICE.ofTheStyle;
	else if (flows) points += CHOICE.notOfTheStyle;
	const asked = [...theme.build, ...theme.peak].filter((line) =>
		readThemeLine(line).parts.some(({ slug }) => about.has(slug))
	);
	points += Math.min(CHOICE.mostAsked, CHOICE.asked * asked.length);
	if (!withinReach.has(theme)) points += isFirst ? CHOICE.firstOutOfReach : CHOICE.outOfReach;
	return points + (isFirst && taken.has(theme) ? CHOICE.taken : 0);
}

/** Purposes of which the shapes give a direction. */
const GIVES: Record<Direction, readonly Purpose[]> = {
	flexion: ['deep flexion', 'high step', 'sit on the heels'],
	extension: ['hip extension under the trunk', 'push-off'],
	abduction: ['wide straddle', 'adductors at length'],
	adduction: ['level pelvis', 'floor sitting'],
	externalRotation: ['turned-out squat', 'floor sitting'],
	internalRotation: ['dropped knee', 'turning both ways']
};
/** Purposes that turn the legs in and out: a class wants both. */
const TURNS: ReadonlySet<Purpose> = new Set(['turning both ways', 'dropped knee']);

/** How much of a class each part takes, of all that is not said. Common practice, no source. */
const USUAL_SHARES: Record<SectionKind, number> = {
	settle: 0.04,
	warm: 0.13,
	build: 0.35,
	peak: 0.17,
	release: 0.21,
	rest: 0.1
};
const UPRIGHT_SHARES: Record<SectionKind, number> = {
	settle: 0.05,
	warm: 0.17,
	build: 0.35,
	peak: 0.22,
	release: 0.17,
	rest: 0.04
};
const QUIET_SHARES: Record<SectionKind, number> = {
	settle: 0.05,
	warm: 0.12,
	build: 0.33,
	peak: 0.1,
	release: 0.28,
	rest: 0.12
};

/** A warm-up takes so long at least, also in a short class: two things that move. Common practice, no source. */
const LEAST_WARM_SECONDS = 150;

/** How much of a class each part takes, for these people and this teacher. */
export function sharesOf(group: Group, style: TeachingStyle, classSeconds: number): readonly number[] {
	const shares = endsUpright(group)
		? UPRIGHT_SHARES
		: style.holding === 'quiet'
			? QUIET_SHARES
			: USUAL_SHARES;
	const warm = Math.max(shares.warm, Math.min(0.2, LEAST_WARM_SECONDS / classSeconds));
	const build = shares.build - (warm - shares.warm);
	return SECTION_KINDS.map((kind) => ({ ...shares, warm, build })[kind]);
}

/** Less than this is no rest to close with. Common practice, no source. */
const LEAST_CLOSING_SECONDS = 75;

/** How long people rest at the end; where they go on with their day they only stand or sit for a moment. */
export function closingSecondsOf(group: Group, style: TeachingStyle, classSeconds: number): number {
	const share = sharesOf(group, style, classSeconds)[SECTION_KINDS.indexOf('rest')]!;
	return Math.max(endsUpright(group) ? 0 : LEAST_CLOSING_SECONDS, share * classSeconds);
}

/** Least and most of the time on the feet, by the kind of group: what their day or their sport asks for. Common practice, no source. */
const STANDING: Record<Group['preset'], readonly [least: number, most: number]> = {
	general: [0.2, 0.55],
	runners: [0.35, 0.7],
	climbers: [0.35, 0.7],
	beginners: [0.2, 0.45],
	'desk workers': [0.3, 0.65],
	lifters: [0.25, 0.6],
	rowers: [0.3, 0.65],
	'very mobile': [0.25, 0.6]
};
/** Least share of standing work before sport. Common practice, no source. */
const STANDING_BEFORE_SPORT = 0.45;

/** Least and most of the time on the feet for these people at this moment, with this teacher. */
export function standingOf({ preset, moment }: Group, { holding }: TeachingStyle): readonly [number, number] {
	if (holding === 'quiet') return [0, 0.3];
	const [least, most] = STANDING[preset];
	return moment === 'before sport' ? [Math.max(STANDING_BEFORE_SPORT, least), 1] : [least, most];
}
