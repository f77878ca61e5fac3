import { findMovement } from '../catalogue';
import { HIP_TESTS, type TestId } from '../core/hip-tests';
import { modesOf, usualForm, type Caution, type FormId, type Mode } from '../core/movement';
import {
	breathsJoined,
	SECTION_KINDS,
	type Block,
	type Chain,
	type ClassPlan,
	type Dose,
	type Flow,
	type Item,
	type SectionKind
} from '../core/plan';

interface ItemWords {
	form?: FormId;
	mode?: Mode;
	/** An amount, or more of a dose than that. */
	dose?: number | Dose;
	lead?: 'left' | 'right';
	notice?: number;
	/** Cautions with which the teacher keeps it. */
	keep?: Caution[];
}

/** The day on which the demo's teacher decided to keep what a caution speaks against. */
const KEPT_ON = '2026-11-20';

/** Short words for writing a demo plan down; ids are given in order, so a plan is the same at each build. */
export class PlanWriter {
	private count = 0;
	private readonly blocks: Record<SectionKind, Block[]> = {
		settle: [],
		warm: [],
		build: [],
		peak: [],
		release: [],
		rest: []
	};

	private id(): string {
		this.count += 1;
		return `b${this.count}`;
	}

	item(slug: string, words: ItemWords = {}): Item {
		const movement = findMovement(slug);
		if (!movement) throw new Error(`the demo names an unknown movement: ${slug}`);
		const form = movement.forms.find((f) => f.id === words.form) ?? usualForm(movement);
		return {
			kind: 'item',
			id: this.id(),
			movement: slug,
			form: form.id,
			mode: words.mode ?? (modesOf(movement, form)[0] as Mode),
			dose: typeof words.dose === 'object' ? words.dose : { amount: words.dose ?? form.dose.usual },
			lead: words.lead ?? 'left',
			...(words.keep ? { confirmed: words.keep.map((caution) => ({ caution, on: KEPT_ON })) } : {}),
			...(words.notice ? { noticeSeconds: words.notice } : {})
		};
	}

	chain(...items: Item[]): Chain {
		return { kind: 'chain', id: this.id(), items };
	}

	/** Four rounds, with the breaths joined to each movement (one unless said otherwise); null: each has its own dose. */
	flow(
		items: Item[],
		words: Partial<Pick<Flow, 'rounds' | 'sides'>> = {},
		breathsEach: number | null = 1
	): Flow {
		return {
			kind: 'flow',
			id: this.id(),
			items:
				breathsEach === null ? items : items.map((item) => ({ ...item, dose: breathsJoined(breathsEach) })),
			rounds: 4,
			sides: 'alternate',
			...words
		};
	}

	test(test: TestId, seconds = HIP_TESTS[test].usualSeconds): Block {
		return { kind: 'test', id: this.id(), test, seconds };
	}

	talk(label: string, seconds: number): Block {
		return { kind: 'talk', id: this.id(), label, seconds };
	}

	add(section: SectionKind, ...blocks: Block[]): this {
		this.blocks[section].push(...blocks);
		return this;
	}

	plan(title: string, startsAt: string, lengthSeconds: number, theme?: string): ClassPlan {
		return {
			title,
			lengthSeconds,
			startsAt,
			...(theme ? { theme } : {}),
			sections: SECTION_KINDS.map((kind) => ({ id: kind, kind, blocks: this.blocks[kind] }))
		};
	}
}
