import type { Position } from '../../movement';
import type { SectionKind } from '../../plan';
import type { Matter } from './material';
import { ANY_LET_GO, ANY_WAKE, THEMES, type Theme } from './themes';

/** A line of a theme with what may be given for each of its parts, the easier form first. */
export interface Line {
	theme: number | null;
	rank: number;
	parts: readonly (readonly Matter[])[];
	flow: boolean;
}

/** What the themes of a story have for each part of a class, and what goes with any of them. */
export interface Shelves {
	wake: readonly Line[];
	/** One list for each theme. */
	build: readonly (readonly Line[])[];
	peak: readonly Line[];
	letGo: readonly Line[];
	/** By part of the class: everything that may stand there. */
	any: Record<SectionKind, readonly Matter[]>;
	/** What lets go between heavy blocks, by where people are. */
	resets: ReadonlyMap<Position, readonly Matter[]>;
}

const BETWEEN_PARTS = / > | \| /;
/** Intensity up to which something builds up; what asks for more is for the peak. */
const BUILD_INTENSITY = 3;

/** What lets go between, by where people are: the first that may be given is usual. */
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
class Store {
	private readonly bySlug = new Map<string, Matter[]>();

	constructor(matters: readonly Matter[]) {
		for (const matter of matters) {
			const { slug } = matter.traits.movement;
			const known = this.bySlug.get(slug);
			if (known) known.push(matter);
			else this.bySlug.set(slug, [matter]);
		}
		for (const list of this.bySlug.values()) list.sort((a, b) => a.traits.demand - b.traits.demand);
	}

	/** What a part of a line may be: "low-lunge in dynamic". */
	find(words: string, may: (matter: Matter) => boolean): Matter[] {
		const [slug, mode] = words.split(' in ');
		const all = this.bySlug.get(slug!) ?? [];
		return all.filter((matter) => (!mode || matter.traits.mode === mode) && may(matter));
	}
}

/** Themes that have enough for these people to be what a class is about. */
export const possibleThemes = (matters: readonly Matter[]): Theme[] =>
	THEMES.filter((theme) => {
		const { build, peak } = shelvesOf([theme], matters);
		return build[0]!.length >= 3 && peak.length >= 1;
	});

/** What the themes of a story have for these people. */
export function shelvesOf(
	themes: readonly Theme[],
	matters: readonly Matter[],
	/** What a group has met, where little else is wanted: everything but build and peak is of it as far as it reaches. */
	known: ReadonlySet<string> | null = null
): Shelves {
	const store = new Store(matters);
	const lines = (
		list: readonly string[],
		theme: number | null,
		may: (matter: Matter, many: boolean) => boolean
	): Line[] =>
		list.flatMap((line, rank): Line[] => {
			const words = line.split(BETWEEN_PARTS);
			const parts = words.map((part) => store.find(part, (matter) => may(matter, words.length > 1)));
			return parts.every((forms) => forms.length > 0)
				? [{ theme, rank, parts, flow: line.includes(' | ') }]
				: [];
		});
	const isMet = ({ traits }: Matter) => known?.has(traits.movement.slug) ?? true;
	const metFirst = (list: readonly Matter[]): readonly Matter[] => {
		const met = list.filter(isMet);
		return met.length ? met : list;
	};
	const metLines = (list: readonly Line[]): readonly Line[] => {
		const met = list.filter(({ parts }) => parts.every((forms) => forms.some(isMet)));
		return met.length ? met : list;
	};
	const into = (kind: SectionKind) => (matter: Matter) => matter.sections.has(kind);
	const builds = ({ traits }: Matter, many: boolean) =>
		traits.form.intensity <= BUILD_INTENSITY && (many || !traits.rest || traits.reset);
	const peaks = ({ traits, sections }: Matter, many: boolean) =>
		sections.has('peak') || many || traits.strong;
	const each = (key: 'wake' | 'peak' | 'letGo', may: (matter: Matter, many: boolean) => boolean) =>
		themes.flatMap((theme, t) => lines(theme[key], t, may));
	return {
		wake: metLines([...each('wake', into('warm')), ...lines(ANY_WAKE, null, into('warm'))]),
		build: themes.map((theme, t) => lines(theme.build, t, builds)),
		peak: each('peak', peaks),
		letGo: metLines([...each('letGo', into('release')), ...lines(ANY_LET_GO, null, into('release'))]),
		any: {
			settle: metFirst(matters.filter(into('settle'))),
			warm: metFirst(matters.filter(into('warm'))),
			build: matters.filter(into('build')),
			peak: matters.filter(into('peak')),
			release: metFirst(matters.filter(into('release'))),
			rest: metFirst(matters.filter(into('rest')))
		},
		resets: new Map(
			(Object.entries(RESETS) as [Position, readonly string[]][]).map(([position, slugs]) => [
				position,
				metFirst(slugs.flatMap((slug) => store.find(slug, ({ traits }) => traits.reset).slice(0, 1)))
			])
		)
	};
}
