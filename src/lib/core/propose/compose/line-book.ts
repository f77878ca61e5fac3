import type { Mode, Purpose } from '../../movement';
import type { SectionKind } from '../../plan';
import type { Station } from '../pool/stations';
import type { Candidate } from './candidates';
import { ANY_RELEASE, ANY_TURN, ANY_WARM, LINES, readThemeLine, THEMES, type Theme } from './themes';

/** A line of a theme with what may be given for each of its parts, the easier form first. */
export interface ThemeLine {
	theme: number | null;
	rank: number;
	parts: readonly (readonly Candidate[])[];
	flow: boolean;
	/** It is the theme's own, not one of the library. */
	own: boolean;
}

/** Intensity up to which something builds up; what asks for more is for the peak. */
const BUILD_INTENSITY = 3;

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

	/** Returns the flows of the library that can be given, for any theme. */
	flows(): readonly ThemeLine[] {
		return this.forAny(LINES.filter((line) => readThemeLine(line).flow));
	}

	/** Returns the lines that turn the legs, for any theme. */
	turns(): readonly ThemeLine[] {
		return this.forAny(ANY_TURN);
	}

	/** Returns what wakes, or lets go, in any class. */
	frame(kind: 'warm' | 'release'): readonly ThemeLine[] {
		return this.read(kind === 'warm' ? ANY_WARM : ANY_RELEASE, MAY[kind]);
	}

	private forAny(list: readonly string[]): ThemeLine[] {
		return this.read(list, MAY.build).map((line) => ({ ...line, own: false, rank: 1 }));
	}

	private read(list: readonly string[], may: May): ThemeLine[] {
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
