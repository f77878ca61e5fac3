import type { Figure } from '../figure';
import type { SessionEvent } from './events';
import type { Now } from './now';
import type { SessionState } from './state';
import type { Script, ScriptStep } from './types';

/** Content of a second screen for the people: the figure, the side and the count, and nothing about persons. */
export interface RoomNow {
	now: Now;
	figures: Record<string, Figure>;
	mode: SessionState['mode'];
}

/** The same moment without what is for the teacher alone: who does something else, what is said, what is owed. */
export function roomNow(
	now: Now,
	mode: SessionState['mode'],
	figures: Readonly<Record<string, Figure>>
): RoomNow {
	const bare = <S extends ScriptStep | null>(step: S): S => step && bareStep(step);
	const key = now.step.figure;
	const drawn = key === null ? undefined : figures[key];
	return {
		now: { ...now, step: bare(now.step), next: bare(now.next), nextShape: bare(now.nextShape), owed: [] },
		figures: key !== null && drawn ? { [key]: drawn } : {},
		mode
	};
}

const bareStep = <S extends ScriptStep>(step: S): S => ({
	...step,
	say: [],
	people: [],
	kit: [],
	adjust: null
});

/** A script as another device may have it to follow the class: without what is said, and without a word about persons. */
export const bareScript = (script: Script): Script => ({
	...script,
	steps: script.steps.map(bareStep),
	blocks: []
});

/** A class that goes on in the studio, to choose from where there are several. */
export interface RoomClass {
	id: string;
	title: string;
	group: string;
}

/** News from the server for a second device: everything at first, then only what is new. */
export interface RoomNews {
	classes: RoomClass[];
	/** The class that is followed; null where none goes on. */
	following: string | null;
	/** With the first news of a class. */
	script: Script | null;
	/** Those that were not told yet. */
	figures: Record<string, Figure> | null;
	/** Events since the last news, in order. */
	events: SessionEvent[];
	/** How far the clock of the teacher's device is ahead of the server's, milliseconds. */
	aheadMs: number;
	/** Time of the server's clock, milliseconds since 1970. */
	at: number;
	/** Since the teacher's device was last heard. */
	silentMs: number;
}

/** A device that was not heard for so long, while it says each ten seconds that it is there, is lost. */
export const LOST_AFTER_MS = 25_000;

/** An event as a second device may have it: not what the teacher wrote down or counted, nor who came. */
export const mayBeShown = ({ do: act }: SessionEvent): boolean =>
	act !== 'note' && act !== 'here' && act !== 'count';
