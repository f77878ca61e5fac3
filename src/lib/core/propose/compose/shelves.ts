import type { Position } from '../../movement';
import type { SectionKind } from '../../plan';
import type { Matter } from './material';
import { ANY_LET_GO, ANY_WAKE, type Theme } from './themes';

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

/** Whether a theme has enough for these people to be what a class is about. */
export function isPossible(theme: Theme, matters: readonly Matter[]): boolean {
	const shelves = shelvesOf([theme], matters);
	return shelves.build[0]!.length >= 3 && shelves.peak.length >= 1;
}

/** What the themes of a story have for these people. */
export function shelvesOf(themes: readonly Theme[], matters: readonly Matter[]): Shelves {
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
	const into = (kind: SectionKind) => (matter: Matter) => matter.sections.has(kind);
	const builds = ({ traits }: Matter, many: boolean) =>
		traits.form.intensity <= BUILD_INTENSITY && (many || !traits.rest || traits.reset);
	const peaks = ({ traits, sections }: Matter, many: boolean) =>
		sections.has('peak') || many || traits.strong;
	const each = (key: 'wake' | 'peak' | 'letGo', may: (matter: Matter, many: boolean) => boolean) =>
		themes.flatMap((theme, t) => lines(theme[key], t, may));
	return {
		wake: [...each('wake', into('warm')), ...lines(ANY_WAKE, null, into('warm'))],
		build: themes.map((theme, t) => lines(theme.build, t, builds)),
		peak: each('peak', peaks),
		letGo: [...each('letGo', into('release')), ...lines(ANY_LET_GO, null, into('release'))],
		any: {
			settle: matters.filter(into('settle')),
			warm: matters.filter(into('warm')),
			build: matters.filter(into('build')),
			peak: matters.filter(into('peak')),
			release: matters.filter(into('release')),
			rest: matters.filter(into('rest'))
		},
		resets: new Map(
			(Object.entries(RESETS) as [Position, readonly string[]][]).map(([position, slugs]) => [
				position,
				slugs.flatMap((slug) => store.find(slug, ({ traits }) => traits.reset).slice(0, 1))
			])
		)
	};
}
