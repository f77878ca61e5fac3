import type { Direction } from '../../anatomy';
import type { Group } from '../../group';
import type { Purpose } from '../../movement';
import { SECTION_KINDS, type SectionKind } from '../../plan';
import type { TeachingStyle } from '../../style';
import type { Random } from '../random';
import { endsUpright } from './material';
import type { Theme } from './themes';

/** What a class is about: one to three themes, the first above all. */
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

/** Classes shorter than so many minutes have so many themes. Common practice, no source. */
const THEMES_UNDER_MINUTES = [22, 40] as const;
const themesIn = (lengthSeconds: number): number =>
	1 + THEMES_UNDER_MINUTES.filter((minutes) => lengthSeconds >= 60 * minutes).length;

export interface Telling {
	group: Group;
	/** Counts the classes: each begins with another purpose of the group. */
	number: number;
	/** Themes that these people can do. */
	themes: readonly Theme[];
	style: TeachingStyle;
	/** Whether the teacher lets one shape flow into the next. */
	flowing: boolean;
	lengthSeconds: number;
	/** Themes that other classes begin with. */
	told: ReadonlySet<Theme>;
	/** Movements that are in it already, or are asked for: a theme that has them suits. */
	about: ReadonlySet<string>;
	/** Directions that are wanted more. */
	more: readonly Direction[];
}

/**
 * The story of each of several classes for a group: each begins with another of its purposes, and goes on with themes that
 * serve what is not served yet.
 */
export function storyOf(
	{ group, number, themes, style, flowing, lengthSeconds, told, about, more }: Telling,
	random: Random
): Story {
	const wanted = group.purposes.length ? group.purposes : USUAL[number % USUAL.length]!;
	const quiet = style.holding === 'quiet';
	const gentle =
		group.preset === 'beginners' || group.preset === 'desk workers' || group.moment === 'lunch hour';
	const fitting = themes.filter((theme) => !(theme.steep && gentle) && (quiet || !theme.quiet));
	const chosen: Theme[] = [];
	const served = new Set<Purpose>();
	const begin = number % wanted.length;
	while (chosen.length < Math.min(themesIn(lengthSeconds), fitting.length)) {
		let best: { theme: Theme; points: number } | null = null;
		for (const theme of fitting) {
			if (chosen.includes(theme)) continue;
			// what comes first in the list of a group matters more, and the purpose of this class most
			const points = theme.purposes.reduce((sum, purpose, i) => {
				const at = wanted.indexOf(purpose);
				if (at < 0) return sum;
				const turn = (at - begin + wanted.length) % wanted.length;
				const weight = (served.has(purpose) ? -0.5 : 1) * (i === 0 ? 1.5 : 0.7);
				return sum + weight * (chosen.length === 0 && turn === 0 ? 3 : 1);
			}, 0);
			const turns = chosen.length > 0 && !turned(chosen) && TURNS.has(theme.purposes[0]!) ? 1.5 : 0;
			const kept = (quiet && theme.quiet) || (flowing && flows(theme)) ? 6 : flows(theme) ? -1 : 0;
			const asked = ASKED_FOR * [...theme.build, ...theme.peak].filter((line) => has(line, about)).length;
			const given = chosen.flatMap(({ purposes }) => purposes);
			const lacking = more.filter((d) => !GIVES[d].some((purpose) => given.includes(purpose)));
			const gives =
				GIVEN_MORE * lacking.filter((d) => theme.purposes.some((p) => GIVES[d].includes(p))).length;
			const all =
				points +
				turns +
				gives +
				kept +
				Math.min(MOST_ASKED, asked) +
				0.8 * random() -
				(chosen.length === 0 && told.has(theme) ? 4 : 0);
			if (!best || all > best.points) best = { theme, points: all };
		}
		if (!best) break;
		chosen.push(best.theme);
		for (const purpose of best.theme.purposes) served.add(purpose);
	}
	return { themes: chosen, words: chosen.map(({ about }) => about).join(', then ') };
}

/** Points of a theme for each of its lines that has something asked for, and the most of them. */
const ASKED_FOR = 1.5;
const MOST_ASKED = 6;
const has = (line: string, slugs: ReadonlySet<string>): boolean =>
	line.split(/ > | \| /).some((part) => slugs.has(part.split(' in ')[0]!));

const flows = ({ build }: Theme): boolean => build.some((line) => line.includes(' | '));

/** Purposes of which the shapes give a direction, and points of a theme for each one that is wanted. */
const GIVES: Record<Direction, readonly Purpose[]> = {
	flexion: ['deep flexion', 'high step', 'sit on the heels'],
	extension: ['hip extension under the trunk', 'push-off'],
	abduction: ['wide straddle', 'adductors at length'],
	adduction: ['level pelvis', 'floor sitting'],
	externalRotation: ['turned-out squat', 'floor sitting'],
	internalRotation: ['dropped knee', 'turning both ways']
};
const GIVEN_MORE = 1.2;

const TURNS: ReadonlySet<Purpose> = new Set(['turning both ways', 'dropped knee']);
/** Whether one of the themes turns the legs in and out: a class wants both. */
const turned = (themes: readonly Theme[]): boolean =>
	themes.some(({ purposes }) => purposes.some((purpose) => TURNS.has(purpose)));

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

/** How much of a class each part takes, for these people and this teacher. */
export function sharesOf(group: Group, style: TeachingStyle): readonly number[] {
	const shares = endsUpright(group)
		? UPRIGHT_SHARES
		: style.holding === 'quiet'
			? QUIET_SHARES
			: USUAL_SHARES;
	return SECTION_KINDS.map((kind) => shares[kind]);
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
/** Before sport people move on their feet for so much of it at least. Common practice, no source. */
const STANDING_BEFORE_SPORT = 0.45;

/** Least and most of the time on the feet for these people at this moment, with this teacher. */
export function standingOf({ preset, moment }: Group, { holding }: TeachingStyle): readonly [number, number] {
	if (holding === 'quiet') return [0, 0.3];
	const [least, most] = STANDING[preset];
	return moment === 'before sport' ? [Math.max(STANDING_BEFORE_SPORT, least), 1] : [least, most];
}
