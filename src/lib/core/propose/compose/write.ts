import { WHOLE_CLASS_FROM_SECONDS } from '../../rules';
import type { Leg } from '../../anatomy';
import { FORM_IDS, setRestOf } from '../../movement';
import { nextId, SECTION_KINDS, type Block, type ClassPlan, type Item, type SectionKind } from '../../plan';
import { nearest } from '../pool/nearest';
import { withAmount } from '../pool/options';
import type { Random } from '../pool/random';
import { reachedKey, type Wishes } from '../pool/types';
import { sentence } from '../../text';
import type { Candidate } from './candidates';
import { NOTICE_SECONDS, type Draft, type DraftItem, type Unit } from './draft';
import type { Keep } from './kept';
import { episodesOf } from './ways';
import type { Story } from './story';
import type { Theme } from './themes';
import { beforePeak, cueFor, lastWords, welcomeTo } from './words';

/** Seconds of the words of one class: at the beginning, on the way and at the end. */
export interface WordSeconds {
	begin: number;
	on: number;
	end: number;
}

/** Parts of a class that is spoken, between which each length is drawn, and the least and the most seconds. Common practice, no source. */
const SPOKEN = {
	begin: { share: [0.014, 0.024], least: 25, most: 75 },
	on: { share: [0.005, 0.009], least: 10, most: 30 },
	end: { share: [0.008, 0.014], least: 15, most: 45 }
} as const;

/** Draws how long the words of a class are, in steps of five seconds. */
export function drawWordSeconds(classSeconds: number, random: Random): WordSeconds {
	const drawn = ({ share: [from, to], least, most }: (typeof SPOKEN)[keyof typeof SPOKEN]) =>
		Math.min(most, Math.max(least, 5 * Math.round((classSeconds * (from + (to - from) * random())) / 5)));
	return { begin: drawn(SPOKEN.begin), on: drawn(SPOKEN.on), end: drawn(SPOKEN.end) };
}

/** Seconds of the words that are put into a class, besides those that are there already. */
export function wordSeconds(
	{ lengthSeconds }: ClassPlan,
	keep: Keep,
	themes: number,
	{ begin, on, end }: WordSeconds
): number {
	const says = (kind: SectionKind) =>
		!keep.closed.has(kind) && !keep.fixed.some((own) => own.kind === kind && own.block.kind === 'talk');
	const onTheWay =
		lengthSeconds < WHOLE_CLASS_FROM_SECONDS
			? 0
			: (says('build') ? episodesOf(themes) : 0) + Number(says('peak'));
	return Number(says('settle')) * begin + onTheWay * on + Number(says('rest')) * end;
}

/** Everything that writing a class is given besides its draft. */
export interface Writing {
	base: ClassPlan;
	story: Story;
	lead: Leg;
	keep: Keep;
	wishes: Wishes;
	words: WordSeconds;
	/** Draws what is said. */
	random: Random;
}

/** A draft as a plan: with words at the beginning, before each theme, before the peak and at the end. */
export const toPlan = (draft: Draft, writing: Writing): ClassPlan => new Writer(writing).write(draft);

class Writer {
	private used = 0;
	private readonly isLong: boolean;
	/** The theme that was taken up last. */
	private about: number | null = null;

	constructor(private readonly given: Writing) {
		this.isLong = given.base.lengthSeconds >= WHOLE_CLASS_FROM_SECONDS;
	}

	write(draft: Draft): ClassPlan {
		const { base, story, keep } = this.given;
		return {
			...base,
			...(base.theme ? {} : { theme: sentence(story.words) }),
			sections: base.sections.map((section) => {
				const { kind } = section;
				if (keep.closed.has(kind)) return section;
				const units = draft[SECTION_KINDS.indexOf(kind)]!;
				const spoken = keep.fixed.some((fixed) => fixed.kind === kind && fixed.block.kind === 'talk');
				const blocks = this.blocksOf(kind, units, kind === 'build' && !spoken);
				const begin = spoken || (kind === 'peak' && !blocks.length) ? null : this.beginning(kind, draft);
				return { ...section, blocks: begin ? [begin, ...blocks] : blocks };
			})
		};
	}

	private id = () => nextId(this.given.base, this.used++);

	private say = (label: string, seconds: number): Block => ({ kind: 'talk', id: this.id(), label, seconds });

	/** Words at the start of a section, where the teacher has put none. */
	private beginning(kind: SectionKind, draft: Draft): Block | null {
		const { story, wishes, words, random } = this.given;
		const first = story.themes[0];
		if (kind === 'settle')
			return this.say(first ? welcomeTo(story.words, first.purposes[0]!) : 'Welcome', words.begin);
		if (kind === 'rest') return this.say(lastWords(wishes.nextTime, random), words.end);
		if (kind !== 'peak' || !this.isLong) return null;
		const theme = this.themeOfPeak(draft);
		return this.say(theme ? beforePeak(theme.about, theme.purposes[0]!, random) : 'Slowly', words.on);
	}

	/** The theme that most of the peak belongs to; the first where none does. */
	private themeOfPeak(draft: Draft): Theme | undefined {
		const { themes } = this.given.story;
		const inPeak = draft[SECTION_KINDS.indexOf('peak')]!.map(({ theme }) => theme);
		return themes.reduce(
			(most, theme, t) => {
				const count = inPeak.filter((own) => own === t).length;
				return count > most.count ? { theme, count } : most;
			},
			{ theme: themes[0], count: 0 }
		).theme;
	}

	/** The blocks of a part, each with what is said or tested right before it. */
	private blocksOf(kind: SectionKind, units: readonly Unit[], speaks: boolean): Block[] {
		const { keep } = this.given;
		const own = keep.fixed.filter((fixed) => fixed.kind === kind);
		const count = keep.units[kind].length;
		let kept = 0;
		const blocks = units.flatMap((unit): Block[] => {
			const words = speaks ? this.takenUp(unit) : [];
			if (!unit.kept) return [...words, this.blockOf(unit)];
			const here = own.filter((fixed) => fixed.before === kept).map(({ block }) => block);
			kept += 1;
			return [...words, ...here, this.blockOf(unit)];
		});
		const after = own.filter((fixed) => fixed.before >= count).map(({ block }) => block);
		// where nothing but words and tests was there, one speaks first and tests last
		const first = count === 0 ? after.filter(({ kind }) => kind === 'talk') : [];
		return [...first, ...blocks, ...after.filter((block) => !first.includes(block))];
	}

	/** A line before each theme that is taken up. */
	private takenUp({ theme: number }: Unit): Block[] {
		if (number === null || number === this.about) return [];
		this.about = number;
		const { story, words, random } = this.given;
		const theme = this.isLong ? story.themes[number] : undefined;
		return theme ? [this.say(cueFor(theme.purposes[0]!, random), words.on)] : [];
	}

	private blockOf({ parts, rounds, notice, kept }: Unit): Block {
		if (kept) return kept;
		const items = parts.map(this.itemOf);
		if (rounds)
			return {
				kind: 'flow',
				id: this.id(),
				rounds,
				sides: 'alternate',
				items: items.map((item) => ({ ...item, dose: { amount: 1, byBreath: true } }))
			};
		if (items.length > 1) return { kind: 'chain', id: this.id(), items };
		return notice ? { ...items[0]!, noticeSeconds: NOTICE_SECONDS } : items[0]!;
	}

	private itemOf = ({ candidate, sets }: DraftItem): Item => {
		const item = withAmount(candidate.option!.item, this.id(), this.amountOf(candidate), this.given.lead);
		if (sets === 1) return item;
		return { ...item, dose: { ...item.dose, sets, restSeconds: setRestOf(candidate.traits.movement) } };
	};

	/** Its amount; what came last time in the same way is not given less of. */
	private amountOf({ option, amount, traits }: Candidate): number {
		const { amounts } = option!;
		const last = this.given.wishes.reached?.get(reachedKey(traits.movement.slug, traits.mode));
		if (!last || last.form !== FORM_IDS.indexOf(traits.form.id)) return amount;
		return last.amount > amount ? amounts[nearest(amounts, last.amount)]! : amount;
	}
}
