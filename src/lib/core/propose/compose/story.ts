import type { Group } from '../../group';
import type { Purpose } from '../../movement';
import type { SectionKind } from '../../plan';

/** What a class is about, and what it should hold of it. */
export interface Story {
	/** Purposes that its build and peak serve, the first above all. */
	themes: readonly Purpose[];
	/** "standing strength, then long fronts of the hip" */
	words: string;
}

/** Themes that go well together, for groups that name none. Common practice, no source. */
const USUAL: readonly (readonly Purpose[])[] = [
	['hip extension under the trunk', 'level pelvis'],
	['turned-out squat', 'adductors at length'],
	['turning both ways', 'end-range lift'],
	['deep flexion', 'hinge with a long back'],
	['single-leg strength', 'level pelvis']
];
/** Themes of one class. */
const THEMES = 3;

/** The story of each of several classes for a group: each begins with another of its purposes. */
export function storyOf(group: Group, number: number): Story {
	const own = group.purposes;
	const themes: readonly Purpose[] =
		own.length === 0
			? USUAL[number % USUAL.length]!
			: own.length <= 2
				? [...own.slice(number % own.length), ...USUAL[number % USUAL.length]!].slice(0, THEMES)
				: Array.from({ length: Math.min(THEMES, own.length) }, (_, i) => own[(2 * number + i) % own.length]!);
	const once = [...new Set(themes)];
	return { themes: once, words: once.join(', then ') };
}

/** How much of a class each part takes, of all that is not said. Common practice, no source. */
export const USUAL_SHARES: Record<SectionKind, number> = {
	settle: 0.04,
	warm: 0.13,
	build: 0.4,
	peak: 0.17,
	release: 0.17,
	rest: 0.09
};

/** Least and most of the time on the feet, by the kind of group: what their day or their sport asks for. Common practice, no source. */
export const STANDING: Record<Group['preset'], readonly [least: number, most: number]> = {
	general: [0.2, 0.55],
	runners: [0.35, 0.7],
	climbers: [0.35, 0.7],
	beginners: [0.2, 0.45],
	'desk workers': [0.3, 0.65],
	lifters: [0.25, 0.6],
	rowers: [0.3, 0.65],
	'very mobile': [0.25, 0.6]
};
