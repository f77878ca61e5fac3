import type { Mode, Purpose } from '../../movement';
import library from './lines.json';
import data from './themes.json';

/**
 * A theme of classes: for each purpose what wakes it, what builds it up, what it comes to and what lets it go, each list
 * from the easier to the harder. Common practice, no source. A line is a movement, with its mode where more than one is
 * taught (`low-lunge in dynamic`); ` > ` joins a chain that is done on one side and then on the other; ` | ` a flow that
 * moves with the breath. Forms are chosen for the people.
 */
export interface Theme {
	/** Purposes that it serves, most important first. */
	purposes: readonly Purpose[];
	/** Subject of a class with this theme: "standing strength". */
	about: string;
	warm: readonly string[];
	build: readonly string[];
	peak: readonly string[];
	release: readonly string[];
	/** Only for teachers who hold long and do little. */
	quiet?: true;
	/** Not for beginners, nor between two halves of a day at a desk. */
	steep?: true;
}

/** A test holds the data to their type and to the catalogue. */
export const THEMES = data.themes as readonly Theme[];
/** Chains and flows that any theme may use which they are about; each can be gone through in one. */
export const LINES: readonly string[] = library.lines;
/** Lines that turn a leg in or out, moving or held: any class may have them where it stands. */
export const ANY_TURN: readonly string[] = data.anyTurn;
/** Openers that suit any class, and what lets go at the end of any. */
export const ANY_WARM: readonly string[] = data.anyWarm;
export const ANY_RELEASE: readonly string[] = data.anyRelease;

/** Reads a line: its movements with their modes, and whether they flow with the breath. */
export function readThemeLine(line: string): { parts: { slug: string; mode?: Mode }[]; flow: boolean } {
	const parts = line.split(/ > | \| /).map((words) => {
		const [slug = '', mode] = words.split(' in ');
		return mode ? { slug, mode: mode as Mode } : { slug };
	});
	return { parts, flow: line.includes(' | ') };
}

/** Slugs of what the themes that serve a purpose come to, and of what they build up with; of those that are about it first of all, where there are any. */
export function shapesFor(purpose: Purpose): { peak: string[]; build: string[] } {
	const first = THEMES.filter(({ purposes }) => purposes[0] === purpose);
	const serving = first.length ? first : THEMES.filter(({ purposes }) => purposes.includes(purpose));
	const slugsIn = (lines: readonly string[]) => [
		...new Set(lines.flatMap((line) => readThemeLine(line).parts.map(({ slug }) => slug)))
	];
	return {
		peak: slugsIn(serving.flatMap((theme) => theme.peak)),
		build: slugsIn(serving.flatMap((theme) => theme.build))
	};
}
