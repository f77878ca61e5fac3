import type { Leg } from '../../anatomy';
import type { Purpose } from '../../movement';
import { nextId, SECTION_KINDS, type Block, type ClassPlan, type Item } from '../../plan';
import { withAmount } from '../options';
import type { Draft, Part } from './draft';
import type { Story } from './story';

/** Seconds of words, and of a pause to notice. */
const WORDS = { begin: 40, on: 20, end: 20 } as const;
const NOTICE_SECONDS = 15;
/** One pause in so many minutes. */
const PAUSE_EVERY_SECONDS = 8 * 60;

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

/** A draft as a plan: with words at the beginning, before what is new and at the end, and pauses to notice. */
export function written(base: ClassPlan, draft: Draft, story: Story, lead: Leg): ClassPlan {
	let used = 0;
	const id = () => nextId(base, used++);
	const itemOf = ({ matter, sets }: Part): Item => {
		const { option } = matter;
		const item = withAmount(option.item!, id(), option.amounts[option.usual]!, lead);
		const rest = matter.traits.movement.sets?.restSeconds ?? 15;
		return sets > 1 ? { ...item, dose: { ...item.dose, sets, restSeconds: rest } } : item;
	};
	let sinceNotice = 0;
	const blocksOfPart = (index: number): Block[] =>
		draft[index]!.map((unit): Block => {
			const items = unit.map(itemOf);
			const only = items[0]!;
			if (items.length > 1) {
				sinceNotice += unit.reduce((sum, { matter }) => sum + matter.seconds, 0);
				return { kind: 'chain', id: id(), items };
			}
			const { matter } = unit[0]!;
			sinceNotice += matter.seconds;
			const pauses = sinceNotice >= PAUSE_EVERY_SECONDS && (matter.traits.reset || matter.traits.rank > 0);
			if (pauses) sinceNotice = 0;
			return pauses && SECTION_KINDS[index] !== 'rest' ? { ...only, noticeSeconds: NOTICE_SECONDS } : only;
		});
	const say = (label: string, seconds: number): Block => ({ kind: 'talk', id: id(), label, seconds });
	const long = base.lengthSeconds >= 1200;
	return {
		...base,
		...(base.theme ? {} : { theme: sentence(story.words) }),
		sections: base.sections.map((section) => {
			const index = SECTION_KINDS.indexOf(section.kind);
			const blocks = blocksOfPart(index);
			if (section.kind === 'settle')
				return { ...section, blocks: [say(`Welcome: ${story.words}`, WORDS.begin), ...blocks] };
			if (section.kind === 'build' && long && blocks.length)
				return {
					...section,
					blocks: [say(story.themes[0] ? CUE[story.themes[0]] : 'Slowly', WORDS.on), ...blocks]
				};
			if (section.kind === 'peak' && long && blocks.length)
				return { ...section, blocks: [say(peakWords(draft), WORDS.on), ...blocks] };
			if (section.kind === 'rest')
				return { ...section, blocks: [say('What is different now, left and right', WORDS.end), ...blocks] };
			return { ...section, blocks };
		})
	};
}

/** What the hardest of the peak is done for, in a line. */
function peakWords(draft: Draft): string {
	const parts = draft[SECTION_KINDS.indexOf('peak')]!.flat();
	const hardest = parts.reduce<Part | null>(
		(best, part) => (!best || part.matter.traits.demand > best.matter.traits.demand ? part : best),
		null
	);
	const purpose = hardest?.matter.traits.movement.purposes[0];
	return purpose ? CUE[purpose] : 'What all of this led up to';
}

const sentence = (words: string) => words.charAt(0).toUpperCase() + words.slice(1);
