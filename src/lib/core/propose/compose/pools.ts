import type { Mode, Position } from '../../movement';
import type { SectionKind } from '../../plan';
import { closing, type Candidate } from './candidates';
import { ANY_RELEASE, ANY_WARM, readThemeLine, THEMES, type Theme } from './themes';

/** A line of a theme with what may be given for each of its parts, the easier form first. */
export interface ThemeLine {
	theme: number | null;
	rank: number;
	parts: readonly (readonly Candidate[])[];
	flow: boolean;
}

/** Candidates for each section of a class, by the themes of a story, and those that suit any theme. */
export interface CandidatePools {
	warm: readonly ThemeLine[];
	/** One list for each theme. */
	build: readonly (readonly ThemeLine[])[];
	peak: readonly ThemeLine[];
	release: readonly ThemeLine[];
	/** By part of the class: everything that may stand there. */
	any: Record<SectionKind, readonly Candidate[]>;
	/** Resets between demanding blocks, by position. */
	resets: ReadonlyMap<Position, readonly Candidate[]>;
}

/** Intensity up to which something builds up; what asks for more is for the peak. */
const BUILD_INTENSITY = 3;

/** Movements that serve as resets, by position; the first one allowed is the usual one. */
const RESETS: Record<Position, readonly string[]> = {
	standing: ['standing-shake-out', 'forward-fold', 'mountain'],
	kneeling: ['childs-pose', 'cat-cow'],
	quadruped: ['childs-pose', 'wide-knee-child'],
	seated: ['seated-knee-wipers', 'leg-shake-out', 'straight-leg-wipers'],
	prone: ['childs-pose', 'crocodile-rest'],
	supine: ['knees-to-chest', 'supine-knee-rock'],
	sidelying: ['supine-knee-rock', 'knees-to-chest'],
	'wall-supine': ['wall-leg-rotation', 'supine-knee-rock']
};

/** The material sorted by its slug and mode; the forms of one thing rise in what they ask. */
class CandidateIndex {
	private readonly bySlug = new Map<string, Candidate[]>();

	constructor(candidates: readonly Candidate[]) {
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
}

/** Themes that have enough for these people to be what a class is about. */
export const possibleThemes = (candidates: readonly Candidate[]): Theme[] =>
	THEMES.filter((theme) => {
		const { build, peak } = buildPools([theme], candidates);
		return build[0]!.length >= 3 && peak.length >= 1;
	});

/** Collects the candidates that the themes of a story offer these people. */
export function buildPools(
	themes: readonly Theme[],
	candidates: readonly Candidate[],
	{
		known = null,
		closingSeconds = 0
	}: {
		/**
		 * Movements that the group knows, where few new ones are wanted: all sections but build and peak use them as
		 * far as they reach.
		 */
		known?: ReadonlySet<string> | null;
		/** How long the closing rest should be. */
		closingSeconds?: number;
	} = {}
): CandidatePools {
	const store = new CandidateIndex(candidates);
	const lines = (
		list: readonly string[],
		theme: number | null,
		may: (candidate: Candidate, many: boolean) => boolean
	): ThemeLine[] =>
		list.flatMap((line, rank): ThemeLine[] => {
			const { parts: named, flow } = readThemeLine(line);
			const parts = named.map((part) => store.find(part, (candidate) => may(candidate, named.length > 1)));
			return parts.every((forms) => forms.length > 0) ? [{ theme, rank, parts, flow }] : [];
		});
	const isMet = ({ traits }: Candidate) => known?.has(traits.movement.slug) ?? true;
	const metFirst = (list: readonly Candidate[]): readonly Candidate[] => {
		const met = list.filter(isMet);
		return met.length ? met : list;
	};
	const metLines = (list: readonly ThemeLine[]): readonly ThemeLine[] => {
		const met = list.filter(({ parts }) => parts.every((forms) => forms.some(isMet)));
		return met.length ? met : list;
	};
	const into = (kind: SectionKind) => (candidate: Candidate) => candidate.sections.has(kind);
	const builds = ({ traits }: Candidate, many: boolean) =>
		traits.form.intensity <= BUILD_INTENSITY && (many || !traits.rest || traits.reset);
	const peaks = ({ traits, sections, mayPeak }: Candidate, many: boolean) =>
		mayPeak && (sections.has('peak') || many || traits.strong);
	const each = (key: 'warm' | 'peak' | 'release', may: (candidate: Candidate, many: boolean) => boolean) =>
		themes.flatMap((theme, t) => lines(theme[key], t, may));
	return {
		warm: metLines([...each('warm', into('warm')), ...lines(ANY_WARM, null, into('warm'))]),
		build: themes.map((theme, t) => lines(theme.build, t, builds)),
		peak: each('peak', peaks),
		release: metLines([...each('release', into('release')), ...lines(ANY_RELEASE, null, into('release'))]),
		any: {
			settle: metFirst(candidates.filter(into('settle'))),
			warm: metFirst(candidates.filter(into('warm'))),
			build: candidates.filter(into('build')),
			peak: candidates.filter((c) => c.mayPeak && c.sections.has('peak')),
			release: metFirst(candidates.filter(into('release'))),
			rest: metFirst(candidates.filter(into('rest'))).map((own) => closing(own, closingSeconds))
		},
		resets: new Map(
			(Object.entries(RESETS) as [Position, readonly string[]][]).map(([position, slugs]) => [
				position,
				metFirst(slugs.flatMap((slug) => store.find({ slug }, ({ traits }) => traits.reset).slice(0, 1)))
			])
		)
	};
}
