import { WHOLE_CLASS_FROM_SECONDS } from '../../rules';
import type { Leg } from '../../anatomy';
import { setRestOf, type Purpose } from '../../movement';
import {
	itemsOf,
	nextId,
	SECTION_KINDS,
	type Block,
	type ClassPlan,
	type Item,
	type SectionKind
} from '../../plan';
import { nearest } from '../pool/nearest';
import { withAmount } from '../pool/options';
import type { Wishes } from '../pool/types';
import { sentence } from '../../text';
import type { Candidate } from './candidates';
import { NOTICE_SECONDS, type Draft, type DraftItem, type Unit } from './draft';
import type { Keep } from './kept';
import type { Story } from './story';

/** Seconds of words. */
const WORDS = { begin: 40, on: 15, end: 20 } as const;

/** Seconds of the words that are put into a class, besides those that are there already. */
export function wordSeconds({ lengthSeconds }: ClassPlan, keep: Keep, themes: number): number {
	const says = (kind: SectionKind) =>
		!keep.closed.has(kind) && !keep.fixed.some((own) => own.kind === kind && own.block.kind === 'talk');
	const onTheWay =
		lengthSeconds < WHOLE_CLASS_FROM_SECONDS ? 0 : (says('build') ? themes : 0) + Number(says('peak'));
	return Number(says('settle')) * WORDS.begin + onTheWay * WORDS.on + Number(says('rest')) * WORDS.end;
}

const LAST_WORDS = 'What is different now, left and right';

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
export function toPlan(
	base: ClassPlan,
	draft: Draft,
	story: Story,
	{ lead, keep, wishes: { nextTime, before } }: { lead: Leg; keep: Keep; wishes: Wishes }
): ClassPlan {
	let used = 0;
	const id = () => nextId(base, used++);
	const itemOf = ({ candidate, sets }: DraftItem): Item => {
		const item = withAmount(candidate.option!.item, id(), amountOf(candidate), lead);
		if (sets === 1) return item;
		return { ...item, dose: { ...item.dose, sets, restSeconds: setRestOf(candidate.traits.movement) } };
	};
	/** Its amount; what came last time in the same way is not given less of. */
	const amountOf = ({ option, amount, traits }: Candidate): number => {
		const { amounts } = option!;
		const last = lastTime.get(`${traits.movement.slug} ${traits.form.id} ${traits.mode}`) ?? 0;
		return last > amount ? amounts[nearest(amounts, last)]! : amount;
	};
	const lastTime = new Map<string, number>();
	for (const { movement, form, mode, dose } of before ? itemsOf(before) : []) {
		const key = `${movement} ${form} ${mode}`;
		lastTime.set(key, Math.max(lastTime.get(key) ?? 0, dose.amount));
	}
	const blockOf = ({ parts, rounds, notice, kept }: Unit): Block => {
		if (kept) return kept;
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
	const long = base.lengthSeconds >= WHOLE_CLASS_FROM_SECONDS;
	/** The blocks of a part, each with what is said or tested right before it. */
	const blocksOf = (kind: SectionKind, units: readonly Unit[], before: (unit: Unit) => Block[]): Block[] => {
		const own = keep.fixed.filter((fixed) => fixed.kind === kind);
		const count = keep.units[kind].length;
		let kept = 0;
		const blocks = units.flatMap((unit): Block[] => {
			const words = before(unit);
			if (!unit.kept) return [...words, blockOf(unit)];
			const here = own.filter((fixed) => fixed.before === kept).map(({ block }) => block);
			kept += 1;
			return [...words, ...here, blockOf(unit)];
		});
		const after = own.filter((fixed) => fixed.before >= count).map(({ block }) => block);
		// where nothing but words and tests was there, one speaks first and tests last
		const first = count === 0 ? after.filter(({ kind }) => kind === 'talk') : [];
		return [...first, ...blocks, ...after.filter((block) => !first.includes(block))];
	};
	/** A line before each theme that is taken up. */
	let about: number | null = null;
	const taken = (unit: Unit): Block[] => {
		if (unit.theme === null || unit.theme === about) return [];
		about = unit.theme;
		const theme = long ? story.themes[unit.theme] : undefined;
		return theme ? [say(CUE[theme.purposes[0]!], WORDS.on)] : [];
	};
	/** The theme that most of the peak belongs to; the first where none does. */
	const inPeak = draft[SECTION_KINDS.indexOf('peak')]!.map(({ theme }) => theme);
	const peakTheme = story.themes.reduce(
		(most, theme, t) => {
			const count = inPeak.filter((own) => own === t).length;
			return count > most.count ? { theme, count } : most;
		},
		{ theme: story.themes[0], count: 0 }
	).theme;
	/** Words at the start of a section, where the teacher has put none. */
	const words: Partial<Record<SectionKind, () => Block>> = {
		settle: () => say(`Welcome: ${story.words}`, WORDS.begin),
		...(long ? { peak: () => say(`All of it together: ${peakTheme?.about ?? 'slowly'}`, WORDS.on) } : {}),
		rest: () => say(nextTime ? `${LAST_WORDS}; next time: ${nextTime}` : LAST_WORDS, WORDS.end)
	};
	return {
		...base,
		...(base.theme ? {} : { theme: sentence(story.words) }),
		sections: base.sections.map((section) => {
			const { kind } = section;
			if (keep.closed.has(kind)) return section;
			const units = draft[SECTION_KINDS.indexOf(kind)]!;
			const spoken = keep.fixed.some((fixed) => fixed.kind === kind && fixed.block.kind === 'talk');
			const blocks = blocksOf(kind, units, kind === 'build' && !spoken ? taken : () => []);
			const begin = spoken || (kind === 'peak' && !blocks.length) ? undefined : words[kind]?.();
			return { ...section, blocks: begin ? [begin, ...blocks] : blocks };
		})
	};
}
