import type { Direction } from '../../anatomy';
import type { Group } from '../../group';
import type { Purpose } from '../../movement';
import { SECTION_KINDS, type SectionKind } from '../../plan';
import type { TeachingStyle } from '../../style';
import type { Random } from '../pool/random';
import { endsUpright } from '../pool/roles';
import { readThemeLine, type Theme } from './themes';

/** The story of a class: one to three themes, most important first. */
export interface Story {
	themes: readonly Theme[];
	/** "one leg that carries, then long fronts of the hip" */
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
	/** Themes that these people can do. */
	themes: readonly Theme[];
	/** Those of them that are built up and come to something with what the group has met. */
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
	turns: 1.5,
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
 * The story of a class for a group: it begins with one of its purposes, and goes on with themes that serve what is not
 * served yet.
 */
export function storyOf(request: StoryRequest, random: Random): Story {
	const { group, number, style, lengthSeconds } = request;
	const asked = request.purpose ? [request.purpose] : [];
	const wanted = group.purposes.length ? group.purposes : USUAL[number % USUAL.length]!;
	// the purpose of this class, then the others as the group has them
	const begin = number % wanted.length;
	const inTurn = [...new Set([...asked, ...wanted.slice(begin), ...wanted.slice(0, begin)])];
	const gentle =
		group.preset === 'beginners' || group.preset === 'desk workers' || group.moment === 'lunch hour';
	const left = request.themes.filter(
		({ steep, quiet }) => !(steep && gentle) && (style.holding === 'quiet' || !quiet)
	);
	const chosen: Theme[] = [];
	while (chosen.length < themesIn(lengthSeconds) && left.length) {
		const points = left.map((theme) => pointsOf(theme, chosen, inTurn, request) + CHOICE.chance * random());
		const [best] = left.splice(points.indexOf(Math.max(...points)), 1);
		chosen.push(best!);
	}
	return { themes: chosen, words: chosen.map(({ about }) => about).join(', then ') };
}

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
	if (!isFirst && TURNS.has(theme.purposes[0]!) && ![...served].some((p) => TURNS.has(p)))
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
	warm: 0.12,
	build: 0.41,
	peak: 0.18,
	release: 0.16,
	rest: 0.09
};
const UPRIGHT_SHARES: Record<SectionKind, number> = {
	settle: 0.04,
	warm: 0.18,
	build: 0.45,
	peak: 0.2,
	release: 0.1,
	rest: 0.03
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
