import { otherLeg, type Leg } from '../anatomy';
import { formatDuration } from '../clock';
import { unitWord } from '../plan';
import { isOnTime, type Now, type OwedSide } from './now';
import type { SidesTally } from './tally';
import type { SayingKind, ScriptStep } from './types';

const LEG_WORD: Record<Leg, string> = { left: 'Left', right: 'Right' };

/** The leg as it is called out, and, for a teacher who faces the group, which of their own mirrors it. */
export function legCall(leg: Leg, isFacing: boolean): { word: string; own: string } {
	return { word: LEG_WORD[leg], own: isFacing ? `your ${otherLeg(leg)}` : '' };
}

/** The number that counts now, as large as it can be shown. */
export interface BigNumber {
	big: string;
	/** "of 6 breaths", "of 0:14". */
	of: string;
	/** Time beyond the plan, "+0:12"; empty within it. */
	over: string;
}

/** The present breath of how many, the seconds that are left, or how long people have been getting in. */
export function bigNumber({ step, count, givenMs, goalMs }: Now): BigNumber {
	const overSeconds = Math.floor((givenMs - goalMs) / 1000);
	const over = overSeconds > 0 ? `+${formatDuration(overSeconds)}` : '';
	if (step.kind === 'work' && count && count.unit !== 'seconds') {
		const all = Math.ceil(count.amount);
		return { big: String(Math.min(count.done + 1, all)), of: `of ${all} ${unitWord(count.unit, all)}`, over };
	}
	if (step.kind === 'in' || step.kind === 'out')
		return {
			big: formatDuration(Math.floor(givenMs / 1000)),
			of: `of about ${formatDuration(goalMs / 1000)}`,
			over: ''
		};
	const left = Math.max(0, Math.ceil((goalMs - givenMs) / 1000));
	return { big: formatDuration(left), of: `left of ${formatDuration(goalMs / 1000)}`, over };
}

export const KIND_WORDS: Record<ScriptStep['kind'], string> = {
	in: 'Getting in',
	work: 'Hold or move',
	rest: 'Rest between sets',
	notice: 'Notice',
	round: 'Round',
	talk: 'Words',
	test: 'Test',
	out: 'Coming out'
};

/** "Getting in", "Set 2 of 3": what is going on, in a few words. */
export function stepWords({ kind, set }: ScriptStep): string {
	if (!set) return KIND_WORDS[kind];
	return kind === 'round' ? `Round ${set.number} of ${set.of}` : `Set ${set.number} of ${set.of}`;
}

export const SAYING_WORDS: Record<SayingKind, string> = {
	'set-up': 'Say',
	form: 'How',
	cue: 'Cue',
	breath: 'Breath',
	felt: 'Feel',
	watch: 'Look for',
	'second side': 'Say',
	leave: 'Then',
	note: 'Your note'
};

/** "2:10 behind", "0:40 ahead", "on time": less than half a minute is on time. */
export function lateWords(behindMs: number): string {
	const seconds = Math.round(behindMs / 1000);
	if (isOnTime(behindMs)) return 'on time';
	return `${formatDuration(Math.abs(seconds))} ${seconds > 0 ? 'behind' : 'ahead'}`;
}

/** "Right side of Low lunge, 0:42". */
export function owedWords({ leg, title, ms }: OwedSide): string {
	return `${LEG_WORD[leg]} side of ${title}, ${formatDuration(Math.round(ms / 1000))}`;
}

/** Describes the next step, seen from the present one: "Low lunge, left leg", "start counting". */
export function nextWords(next: ScriptStep, present: ScriptStep, isFacing: boolean): string {
	const isSame = next.itemId === present.itemId && next.blockId === present.blockId;
	const leg = next.leg && !(isSame && next.leg === present.leg);
	const what = !isSame
		? next.title
		: next.kind === 'work'
			? 'start counting'
			: next.kind === 'rest' || next.kind === 'notice' || next.kind === 'out'
				? KIND_WORDS[next.kind].toLowerCase()
				: '';
	const call = leg ? legCall(next.leg!, isFacing) : null;
	return [what, call ? `${call.word.toLowerCase()} leg` : ''].filter(Boolean).join(', ');
}

/** One line of a list: "Low lunge, left, work 0:42". */
export function stepLine(step: ScriptStep): string {
	return [step.title, step.leg ?? '', stepWords(step).toLowerCase()].filter(Boolean).join(', ');
}

/** Returns the words that the device speaks when a step begins. */
export function spoken({ kind, title, leg, count, say }: ScriptStep): string {
	const side = leg ? `${leg} leg` : '';
	if (kind === 'in') return [title, side, say[0]?.words ?? ''].filter(Boolean).join('. ');
	if (kind === 'work' && count) {
		const amount = Math.ceil(count.amount);
		return [side, `${amount} ${unitWord(count.unit, amount)}`].filter(Boolean).join(', ');
	}
	return kind === 'work' ? title : kind === 'rest' ? 'Rest' : '';
}

/** Sides that differ by less than this part of the first are alike. Common practice, no source. */
const ALIKE = 0.1;

/** "second 25 % shorter"; empty where both sides were given alike. */
export function driftWords({ first, second }: SidesTally): string {
	const part = (second - first) / first;
	if (Math.abs(part) < ALIKE) return '';
	return `second ${Math.round(100 * Math.abs(part))} % ${part < 0 ? 'shorter' : 'longer'}`;
}
