import type { Leg } from '../../anatomy';
import type { Purpose } from '../../movement';
import { nextId, SECTION_KINDS, type Block, type ClassPlan, type Item } from '../../plan';
import { withAmount } from '../options';
import { NOTICE_SECONDS, type Draft, type Part, type Unit } from './draft';
import type { Story } from './story';

/** Seconds of words. */
export const WORDS = { begin: 40, on: 15, end: 20 } as const;
/** From this length on there is something to say on the way too. */
export const LONG_SECONDS = 1200;

/** One line that a teacher might say before each purpose. */
const CUE: Record<Purpose, string> = {
	'turned-out squat': 'Out of the hip, not out of the foot',
	'high step': 'The knee comes before the foot',
	'dropped knee': 'In and down: the foot turns, the knee follows',
	'wide straddle': 'Wide, and still carried',
	'heel perch': 'Over the heel, the seat light',
	'end-range lift': 'Small, by your own strength, at the end of the way',
	'knee pull': 'The knee up, the pelvis where it was',
	'hip extension under the trunk': 'The leg behind, the pelvis upright over it',
	'single-leg strength': 'One leg carries the whole of you',
	'level pelvis': 'Both hip bones at one height',
	'push-off': 'Push the ground away',
	'step-up': 'Up without swinging',
	'deep flexion': 'Deep in the hip, long in the back',
	'hinge with a long back': 'The hip folds, the back stays long',
	'sit on the heels': 'Down onto the heels, as far as it is kind',
	'adductors at length': 'The inner thighs, long and awake',
	'turning both ways': 'In and out, as far as it goes by itself',
	'standing up from a seat': 'Up and down without a hurry',
	'getting down and up': 'How to come down, and how to get up again',
	'floor sitting': 'Sitting on the floor: higher is better',
	'balance with support': 'A hand nearby, and the weight over one foot',
	'mid-range control': 'Less far and more held',
	reset: 'Let it go',
	rest: 'Nothing to do'
};

/** A draft as a plan: with words at the beginning, before each theme, before the peak and at the end. */
export function written(base: ClassPlan, draft: Draft, story: Story, lead: Leg): ClassPlan {
	let used = 0;
	const id = () => nextId(base, used++);
	const itemOf = ({ matter, sets }: Part): Item => {
		const { option } = matter;
		const item = withAmount(option.item!, id(), option.amounts[option.usual]!, lead);
		const rest = matter.traits.movement.sets?.restSeconds ?? 15;
		return sets > 1 ? { ...item, dose: { ...item.dose, sets, restSeconds: rest } } : item;
	};
	const blockOf = ({ parts, rounds, notice }: Unit): Block => {
		const items = parts.map(itemOf);
		const only = items[0]!;
		if (rounds)
			return {
				kind: 'flow',
				id: id(),
				rounds,
				sides: 'alternate',
				items: items.map((item) => ({ ...item, dose: { amount: 1, byBreath: true } }))
			};
		if (items.length > 1) return { kind: 'chain', id: id(), items };
		return notice ? { ...only, noticeSeconds: NOTICE_SECONDS } : only;
	};
	const say = (label: string, seconds: number): Block => ({ kind: 'talk', id: id(), label, seconds });
	const long = base.lengthSeconds >= LONG_SECONDS;
	/** The build with a line before each theme that is taken up. */
	const build = (units: readonly Unit[]): Block[] => {
		let about: number | null = null;
		return units.flatMap((unit): Block[] => {
			const begins = unit.theme !== null && unit.theme !== about;
			if (begins) about = unit.theme;
			const theme = begins && long ? story.themes[unit.theme!] : undefined;
			return theme ? [say(CUE[theme.purposes[0]!], WORDS.on), blockOf(unit)] : [blockOf(unit)];
		});
	};
	return {
		...base,
		...(base.theme ? {} : { theme: sentence(story.words) }),
		sections: base.sections.map((section) => {
			const units = draft[SECTION_KINDS.indexOf(section.kind)]!;
			const blocks = section.kind === 'build' ? build(units) : units.map(blockOf);
			if (section.kind === 'settle')
				return { ...section, blocks: [say(`Welcome: ${story.words}`, WORDS.begin), ...blocks] };
			if (section.kind === 'peak' && long && blocks.length)
				return {
					...section,
					blocks: [say(`All of it together: ${story.themes[0]?.about ?? 'slowly'}`, WORDS.on), ...blocks]
				};
			if (section.kind === 'rest')
				return { ...section, blocks: [say('What is different now, left and right', WORDS.end), ...blocks] };
			return { ...section, blocks };
		})
	};
}

const sentence = (words: string) => words.charAt(0).toUpperCase() + words.slice(1);
