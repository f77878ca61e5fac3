import type { Tissue } from '../../anatomy';
import type { Mode, Position, Purpose } from '../../movement';
import { SECTION_KINDS, type SectionKind } from '../../plan';
import type { Random } from '../pool/random';
import { workBounds } from '../pool/role-dose';
import type { Station } from '../pool/stations';
import { closing, dosedWithin, isShortEnough, type Candidate } from './candidates';
import { ANY_RELEASE, ANY_TURN, ANY_WARM, LINES, readThemeLine, THEMES, type Theme } from './themes';
import { stationsOf, type Way } from './ways';

/** A line of a theme with what may be given for each of its parts, the easier form first. */
export interface ThemeLine {
	theme: number | null;
	rank: number;
	parts: readonly (readonly Candidate[])[];
	flow: boolean;
	/** It is the theme's own, not one of the library. */
	own: boolean;
}

/** Candidates for each section of a class, by the themes of a story, and those that suit any theme. */
export interface CandidatePools {
	warm: readonly ThemeLine[];
	/** One list for each episode. */
	build: readonly (readonly ThemeLine[])[];
	peak: readonly ThemeLine[];
	release: readonly ThemeLine[];
	/** By part of the class: everything that may stand there. */
	any: Record<SectionKind, readonly Candidate[]>;
	/** Resets between demanding blocks, by station. */
	resets: ReadonlyMap<Station, readonly Candidate[]>;
}

/** Intensity up to which something builds up; what asks for more is for the peak. */
const BUILD_INTENSITY = 3;

/** Movements that serve as resets, by position. */
const RESETS: Record<Position, readonly string[]> = {
	standing: ['forward-fold', 'mountain', 'standing-shake-out', 'standing-half-lift'],
	kneeling: ['childs-pose', 'wide-knee-child', 'kneeling-sit'],
	quadruped: ['cat-cow', 'quadruped-hip-circle'],
	seated: ['leg-shake-out', 'seated-knee-wipers', 'straight-leg-wipers', 'seated-shin-lean-back'],
	prone: ['crocodile-rest', 'sphinx'],
	supine: ['knees-to-chest', 'supine-knee-rock', 'full-body-stretch', 'supine-leg-roll'],
	sidelying: [],
	'wall-supine': ['wall-leg-rotation']
};

/** The fewest lines that build up a theme, in a class of some length and in a short one, and the fewest of its own among them. */
const LEAST_LINES = { usual: 3, short: 2, own: 2 };
const SHORT_SECONDS = 22 * 60;

type May = (candidate: Candidate, many: boolean) => boolean;
const builds: May = ({ traits, belowThem }, many) =>
	!belowThem && traits.form.intensity <= BUILD_INTENSITY && (many || !traits.rest || traits.reset);
const peaks: May = ({ traits, sections, mayPeak, belowThem }, many) =>
	mayPeak && !belowThem && (sections.has('peak') || many || traits.strong);
const into =
	(kind: SectionKind): May =>
	({ sections }) =>
		sections.has(kind);

/** Everything that may be given to a group, sorted by movement, with the lines of each theme that can be given. */
export class LineBook {
	private readonly bySlug = new Map<string, Candidate[]>();
	private readonly lists = new Map<string, readonly ThemeLine[]>();

	constructor(readonly candidates: readonly Candidate[]) {
		for (const candidate of candidates) {
			const { slug } = candidate.traits.movement;
			const known = this.bySlug.get(slug);
			if (known) known.push(candidate);
			else this.bySlug.set(slug, [candidate]);
		}
		for (const list of this.bySlug.values()) list.sort((a, b) => a.traits.demand - b.traits.demand);
	}

	/** Returns the candidates for a part of a line, easiest first. */
	find({ slug, mode }: { slug: string; mode?: Mode }, may: (candidate: Candidate) => boolean): Candidate[] {
		const all = this.bySlug.get(slug) ?? [];
		return all.filter((candidate) => (!mode || candidate.traits.mode === mode) && may(candidate));
	}

	/** The lines of a theme for a part of the class; those of the library that are about it among them. */
	lines(theme: Theme, kind: 'warm' | 'build' | 'peak' | 'release'): readonly ThemeLine[] {
		const key = `${THEMES.indexOf(theme)} ${kind}`;
		const known = this.lists.get(key);
		if (known) return known;
		const own = this.read(theme[kind], MAY[kind]);
		const library = LINES.filter(
			(line) => !theme[kind].includes(line) && isAbout(this.purposesOf(line), theme)
		);
		const more = kind === 'warm' ? [] : this.read(library, MAY[kind]).flatMap(fitting(kind, theme));
		const list = [...own, ...more].sort((a, b) => a.rank - b.rank);
		this.lists.set(key, list);
		return list;
	}

	/** Every flow of the library that can be given. */
	flows(): readonly ThemeLine[] {
		const may = MAY.build;
		return this.read(
			LINES.filter((line) => readThemeLine(line).flow),
			may
		).map((line) => ({ ...line, own: false, rank: 1 }));
	}

	/** Returns the lines that turn the legs, for any theme. */
	turns(): readonly ThemeLine[] {
		return this.read(ANY_TURN, MAY.build).map((line) => ({ ...line, own: false, rank: 1 }));
	}

	/** Lines that suit any theme. */
	read(list: readonly string[], may: May): ThemeLine[] {
		return list.flatMap((line, rank): ThemeLine[] => {
			const { parts: named, flow } = readThemeLine(line);
			const parts = named.map((part) => this.find(part, (candidate) => may(candidate, named.length > 1)));
			return parts.every((forms) => forms.length > 0) ? [{ theme: null, rank, parts, flow, own: true }] : [];
		});
	}

	private purposesOf(line: string): readonly (readonly Purpose[])[] {
		return readThemeLine(line).parts.map(
			({ slug }) => this.bySlug.get(slug)?.[0]?.traits.movement.purposes ?? []
		);
	}
}

const MAY: Record<'warm' | 'build' | 'peak' | 'release', May> = {
	warm: into('warm'),
	build: builds,
	peak: peaks,
	release: into('release')
};

/** Whether each part of a line serves the first purposes of a theme, or all but one of three and more. */
function isAbout(parts: readonly (readonly Purpose[])[], { purposes }: Theme): boolean {
	const main = purposes.slice(0, 2);
	const serving = parts.filter((own) => own.some((purpose) => main.includes(purpose))).length;
	if (!parts.some((own) => own.includes(purposes[0]!))) return false;
	return serving >= Math.max(1, parts.length - (parts.length > 2 ? 1 : 0));
}

/** The place of a line of the library in a list of a theme, by what it asks; none in the peak for what is no strength. */
function fitting(kind: 'build' | 'peak' | 'release', theme: Theme): (line: ThemeLine) => ThemeLine[] {
	const ends = new Set(theme.peak.map((line) => readThemeLine(line).parts.at(-1)!.slug));
	return (line) => {
		const hardest = Math.max(...line.parts.map((forms) => forms[0]!.traits.demand));
		// a chain of the peak ends where the theme comes to
		if (kind === 'peak' && !ends.has(line.parts.at(-1)![0]!.traits.movement.slug)) return [];
		if (kind === 'release' && line.flow) return [];
		const rank = Math.min(theme[kind].length, (theme[kind].length * (hardest - 1)) / 3);
		return [{ ...line, own: false, rank: Math.max(0, rank) }];
	};
}

/** The lines that can be given at some stations, with the forms that stand there. */
export function linesWithin(lines: readonly ThemeLine[], stations: readonly Station[]): ThemeLine[] {
	return lines.flatMap((line): ThemeLine[] => {
		const parts = line.parts.map((forms) => forms.filter(({ station }) => stations.includes(station)));
		return parts.every((forms) => forms.length > 0) ? [{ ...line, parts }] : [];
	});
}

/** Themes that have enough for these people to be what a class is about. */
export const possibleThemes = (candidates: readonly Candidate[]): Theme[] => {
	const book = new LineBook(candidates);
	return THEMES.filter(
		(theme) => book.lines(theme, 'build').length >= LEAST_LINES.usual && book.lines(theme, 'peak').length > 0
	);
};

/** Whether a theme can be built up at some stations, and come to its peak at the last of them. */
export function canBuild(
	book: LineBook,
	theme: Theme,
	stations: readonly Station[],
	classSeconds: number,
	peak: Station | null
): boolean {
	const least = classSeconds < SHORT_SECONDS ? LEAST_LINES.short : LEAST_LINES.usual;
	const lines = linesWithin(book.lines(theme, 'build'), stations);
	return (
		lines.length >= least &&
		lines.filter(({ own }) => own).length >= LEAST_LINES.own &&
		(peak === null || linesWithin(book.lines(theme, 'peak'), [peak]).length > 0)
	);
}

/** Input of {@link buildPools}. */
export interface PoolRequest {
	themes: readonly Theme[];
	way: Way;
	/** It is to have a flow: any that can be given where the class is will do. */
	flows: boolean;
	classSeconds: number;
	/** Movements that are asked for: they come wherever the way leads. */
	asked: ReadonlySet<string>;
	/**
	 * Movements that the group knows, where few new ones are wanted: all sections but build and peak use them as far as
	 * they reach.
	 */
	known: ReadonlySet<string> | null;
	/** How long the closing rest should be. */
	closingSeconds: number;
	/** Most of these people are tight: their peak need not be the most that can be asked. */
	gentle: boolean;
	/** Tissues that are to be held long: whatever does it stays in. */
	lengthens: readonly Tissue[];
	/** Draws what this class does without, so that no two are alike. */
	random: Random;
}

/** Of a list longer than this a class does without some, so that others get their turn. */
const WITHOUT_SOME_FROM = 6;
/** The fewest known lines that an episode needs where few new movements are wanted. */
const LEAST_KNOWN = 5;
/** The part of the rest that it keeps. */
const KEPT = 0.45;

/** Collects the candidates that the themes of a story offer these people, along the way of the class. */
export function buildPools(book: LineBook, request: PoolRequest): CandidatePools {
	const { themes, way, flows, classSeconds, asked, known, closingSeconds, random } = request;
	const dosed = dosesFor(classSeconds);
	const boundsOf = ({ traits }: Candidate, kind: SectionKind, linked: boolean) =>
		workBounds(traits, kind, classSeconds, linked);
	const episodes = episodesOf(themes.length);
	const isMet = ({ traits }: Candidate) => known?.has(traits.movement.slug) ?? true;
	const isAsked = ({ traits }: Candidate) => asked.has(traits.movement.slug);
	const isWanted = (one: Candidate) =>
		isAsked(one) || request.lengthens.some((tissue) => one.load.lengthens.has(tissue));
	const metFirst = (list: readonly Candidate[]): readonly Candidate[] => {
		const met = list.filter(isMet);
		return met.length ? met : list;
	};
	const metLines = (list: readonly ThemeLine[]): readonly ThemeLine[] => {
		const met = list.filter(({ parts }) => parts.every((forms) => forms.some(isMet)));
		return met.length ? met : list;
	};
	/** Every line with something that is asked for, and of the others some. */
	const some = <T>(list: readonly T[], always: (one: T) => boolean): readonly T[] => {
		if (list.length <= WITHOUT_SOME_FROM) return list;
		const kept = list.filter((one) => always(one) || random() < KEPT);
		return kept.length >= WITHOUT_SOME_FROM ? kept : list;
	};
	const someLines = (list: readonly ThemeLine[]) =>
		some(
			list,
			({ parts, flow }) =>
				(flow && flows) ||
				parts.some((forms) => forms.some(isWanted)) ||
				(known !== null && parts.every((forms) => forms.some(isMet)))
		);
	/** Where few new movements are wanted, only lines that the group knows, as long as there are some. */
	const metMostly = (list: readonly ThemeLine[]): readonly ThemeLine[] => {
		const met = list.filter(({ parts }) =>
			parts.every((forms) => forms.some((one) => isMet(one) || isAsked(one)))
		);
		return known && met.length >= LEAST_KNOWN ? met : list;
	};
	const at = (kind: SectionKind, episode = 0) => stationsOf(way, kind, episode, episodes);
	const here = (kind: SectionKind, lines: readonly ThemeLine[], theme: number | null, episode = 0) =>
		linesWithin(lines, at(kind, episode)).flatMap((line): ThemeLine[] => {
			const linked = line.parts.length > 1;
			const parts = line.parts.map((forms) =>
				forms
					.map((one) => dosed(one, kind, linked))
					.filter((one) => isAsked(one) || isShortEnough(one, boundsOf(one, kind, linked)))
			);
			return parts.every((forms) => forms.length > 0) ? [{ ...line, theme, parts }] : [];
		});
	const each = (kind: 'warm' | 'peak' | 'release') =>
		themes.flatMap((theme, t) => here(kind, book.lines(theme, kind), t));
	const ofTheme = themes.map((theme, t) => t < episodes && here('peak', book.lines(theme, 'peak'), t));
	const peak = strongest(ofTheme.find((lines) => lines && lines.length > 0) || each('peak'), request.gentle);
	const anyAt = (kind: SectionKind): readonly Candidate[] =>
		book.candidates
			.filter(
				(one) =>
					one.sections.has(kind) &&
					(kind !== 'peak' || one.mayPeak) &&
					(isAsked(one) ||
						(kind === 'build'
							? [0, 1].some((e) => at(kind, e).includes(one.station))
							: at(kind).includes(one.station)))
			)
			.map((one) => dosed(one, kind))
			.filter((one) => isAsked(one) || isShortEnough(one, boundsOf(one, kind, false)));
	const buildLines = (theme: Theme, t: number): readonly ThemeLine[] => {
		const from = (list: readonly ThemeLine[]) => here('build', list, t, episodeOf(t, episodes));
		const lines = metMostly(from(book.lines(theme, 'build')));
		const flowing = flows && !lines.some(({ flow }) => flow) ? from(book.flows()) : [];
		const named = new Set(lines.map(nameOf));
		return [
			...someLines([...lines, ...flowing]),
			...from(book.turns()).filter((line) => !named.has(nameOf(line)))
		];
	};
	const lengthening = anyAt('release')
		.filter((one) => request.lengthens.some((tissue) => one.load.lengthens.has(tissue)))
		.map((one): ThemeLine => ({ theme: null, rank: 0, parts: [[one]], flow: false, own: false }));
	return {
		warm: someLines(metLines([...each('warm'), ...here('warm', book.read(ANY_WARM, into('warm')), null)])),
		build: themes.slice(0, episodes).map((theme, t) => buildLines(theme, t)),
		peak,
		release: someLines(
			metLines([
				...each('release'),
				...lengthening,
				...here('release', book.read(ANY_RELEASE, into('release')), null)
			])
		),
		any: {
			settle: some(metFirst(orAny(anyAt('settle'), book, 'settle')), isAsked),
			warm: metFirst(anyAt('warm')),
			build: anyAt('build'),
			peak: anyAt('peak'),
			release: metFirst(anyAt('release')),
			rest: some(metFirst(orAny(anyAt('rest'), book, 'rest')), isAsked).map((own) =>
				closing(own, closingSeconds)
			)
		},
		resets: resetsOf(book, metFirst, (one) => dosed(one, 'build'))
	};
}

/** A peak may ask this much less than the most that a theme can ask, in points of demand. */
const NEAR_THE_MOST = { usual: 1, gentle: 2 };

/** Lines of the peak that ask nearly as much as any of them can. */
function strongest(lines: readonly ThemeLine[], gentle: boolean): readonly ThemeLine[] {
	const demand = ({ parts }: ThemeLine) =>
		Math.max(...parts.flat().map(({ traits }) => (traits.strong ? traits.demand : 0)));
	const most = Math.max(0, ...lines.map(demand));
	return lines.filter((line) => demand(line) >= most - NEAR_THE_MOST[gentle ? 'gentle' : 'usual']);
}

/** The movements and modes of a line. */
const nameOf = ({ parts }: ThemeLine): string =>
	parts.map(([first]) => `${first!.traits.kind} ${first!.traits.mode}`).join(' ');

/** Where the way has nothing to arrive in or to close with, anything does. */
const orAny = (list: readonly Candidate[], { candidates }: LineBook, kind: SectionKind) =>
	list.length ? list : candidates.filter(({ sections }) => sections.has(kind));

/** A class builds up one theme, or two one after the other; a third is only let go with. */
export const episodesOf = (themes: number): number => Math.min(2, themes);
/** The episode of a theme: the first theme comes last, before the peak. */
export const episodeOf = (theme: number, episodes: number): number => episodes - 1 - theme;

/** Returns candidates with the dose of their role in a part; each is worked out once. */
function dosesFor(
	classSeconds: number
): (candidate: Candidate, kind: SectionKind, linked?: boolean) => Candidate {
	const empty = () =>
		new Map<SectionKind, Map<Candidate, Candidate>>(SECTION_KINDS.map((kind) => [kind, new Map()]));
	const [alone, inLinks] = [empty(), empty()];
	return (candidate, kind, linked = false) => {
		const own = (linked ? inLinks : alone).get(kind)!;
		let dosed = own.get(candidate);
		if (!dosed) {
			dosed = dosedWithin(candidate, workBounds(candidate.traits, kind, classSeconds, linked));
			own.set(candidate, dosed);
		}
		return dosed;
	};
}

function resetsOf(
	book: LineBook,
	metFirst: (list: readonly Candidate[]) => readonly Candidate[],
	dosed: (candidate: Candidate) => Candidate
): ReadonlyMap<Station, readonly Candidate[]> {
	const byStation = new Map<Station, Candidate[]>();
	for (const slugs of Object.values(RESETS))
		for (const one of slugs.flatMap((slug) => plainest(book.find({ slug }, ({ traits }) => traits.reset)))) {
			const list = byStation.get(one.station);
			if (list) list.push(one);
			else byStation.set(one.station, [one]);
		}
	return new Map([...byStation].map(([station, list]) => [station, metFirst(list.map(dosed))]));
}

/** The form of a movement that needs least kit; none where there is no movement. */
function plainest(forms: readonly Candidate[]): Candidate[] {
	const kit = ({ traits }: Candidate) => traits.kit.length;
	return forms.length ? [forms.reduce((least, one) => (kit(one) < kit(least) ? one : least))] : [];
}
