// Twelve ways to worsen a class, for the proof that the objective knows one: each keeps the length about as it is.
import { CATALOGUE, findMovement } from '../../src/lib/catalogue';
import { doseRange, modesOf, type Form, type Mode, type Movement } from '../../src/lib/core/movement';
import { SECTION_KINDS, type Block, type ClassPlan, type Item } from '../../src/lib/core/plan';
import { movementSimilarity, demandOf } from '../../src/lib/core/propose';

type Random = () => number;
type Worsen = (plan: ClassPlan, random: Random) => ClassPlan;

const blocksIn = (plan: ClassPlan): Block[] => plan.sections.flatMap(({ blocks }) => blocks);

/** The blocks in a new order, each part of the class with as many as before; more or fewer go to the last. */
function withBlocks(plan: ClassPlan, blocks: readonly Block[]): ClassPlan {
	let from = 0;
	const sections = plan.sections.map((section, i) => {
		const count = i === SECTION_KINDS.length - 1 ? blocks.length - from : section.blocks.length;
		const own = blocks.slice(from, from + count);
		from += count;
		return { ...section, blocks: own };
	});
	return { ...plan, sections };
}

const itemsOf = (block: Block): Item[] =>
	block.kind === 'item' ? [block] : block.kind === 'chain' || block.kind === 'flow' ? block.items : [];
const movementOf = (item: Item) => findMovement(item.movement) as Movement;
const formIn = (item: Item) => movementOf(item).forms.find(({ id }) => id === item.form) as Form;
const demand = (item: Item) => demandOf(formIn(item), item.mode);

function shuffled<T>(list: readonly T[], random: Random): T[] {
	const out = [...list];
	for (let i = out.length - 1; i > 0; i--) {
		const j = Math.floor(random() * (i + 1));
		[out[i], out[j]] = [out[j]!, out[i]!];
	}
	return out;
}

/** Every item through a change; the blocks stay. */
function mapItems(plan: ClassPlan, change: (item: Item, index: number) => Item): ClassPlan {
	let index = 0;
	const one = (item: Item) => change(item, index++);
	return {
		...plan,
		sections: plan.sections.map((section) => ({
			...section,
			blocks: section.blocks.map((block): Block => {
				if (block.kind === 'item') return one(block);
				if (block.kind === 'chain' || block.kind === 'flow') return { ...block, items: block.items.map(one) };
				return block;
			})
		}))
	};
}

/** Indices of blocks that hold items, words and tests aside. */
const holding = (blocks: readonly Block[]) => blocks.flatMap((b, i) => (itemsOf(b).length ? [i] : []));

function swapped(blocks: readonly Block[], a: number, b: number): Block[] {
	const out = [...blocks];
	[out[a], out[b]] = [out[b]!, out[a]!];
	return out;
}

interface Choice {
	movement: Movement;
	form: Form;
	mode: Mode;
}
const CHOICES: Choice[] = CATALOGUE.flatMap((movement) =>
	movement.forms.flatMap((form) => modesOf(movement, form).map((mode) => ({ movement, form, mode })))
);

/** Another movement in the same position and mode, about as demanding; what `fits` allows. */
function instead(item: Item, fits: (movement: Movement) => boolean, random: Random): Item {
	const own = movementOf(item);
	const others = CHOICES.filter(
		({ movement, form, mode }) =>
			movement !== own &&
			movement.position === own.position &&
			mode === item.mode &&
			Math.abs(demandOf(form, mode) - demand(item)) <= 1 &&
			fits(movement)
	);
	const chosen = others[Math.floor(random() * others.length)];
	if (!chosen) return item;
	const { usual, unit } = doseRange(chosen.form, item.mode);
	const { sets, restSeconds } = item.dose;
	return {
		kind: 'item',
		id: item.id,
		movement: chosen.movement.slug,
		form: chosen.form.id,
		mode: item.mode,
		dose: { amount: usual, unit, ...(sets && restSeconds !== undefined ? { sets, restSeconds } : {}) },
		lead: item.lead,
		...(item.noticeSeconds ? { noticeSeconds: item.noticeSeconds } : {})
	};
}

/** Replaces `count` items, chosen at random. */
function replaced(
	plan: ClassPlan,
	share: number,
	fits: (own: Movement) => (other: Movement) => boolean,
	random: Random
): ClassPlan {
	const all = blocksIn(plan).flatMap(itemsOf);
	const chosen = new Set(shuffled(all, random).slice(0, Math.round(share * all.length)));
	return mapItems(plan, (item) => (chosen.has(item) ? instead(item, fits(movementOf(item)), random) : item));
}

const isReset = (block: Block) =>
	block.kind === 'item' && (block.mode === 'rest' || movementOf(block).purposes.includes('reset'));

export const WORSENINGS: Record<string, Worsen> = {
	'all shuffled': (plan, random) => withBlocks(plan, shuffled(blocksIn(plan), random)),
	'shuffled in each position': (plan, random) => {
		const blocks = blocksIn(plan);
		const position = (b: Block) => itemsOf(b)[0] && movementOf(itemsOf(b)[0]!).position;
		const out: Block[] = [];
		for (let i = 0; i < blocks.length;) {
			let j = i + 1;
			while (j < blocks.length && position(blocks[j]!) === position(blocks[i]!)) j++;
			out.push(...shuffled(blocks.slice(i, j), random));
			i = j;
		}
		return withBlocks(plan, out);
	},
	reversed: (plan) => withBlocks(plan, [...blocksIn(plan)].reverse()),
	'two far items swapped': (plan, random) => {
		const blocks = blocksIn(plan);
		const at = holding(blocks);
		const a = Math.floor(random() * at.length);
		const far = at.flatMap((_, i) => (Math.abs(i - a) >= at.length / 3 ? [i] : []));
		const b = far[Math.floor(random() * far.length)] ?? at.length - 1 - a;
		return withBlocks(plan, swapped(blocks, at[a]!, at[b]!));
	},
	'hardest first': (plan) => {
		const blocks = blocksIn(plan);
		const most = (b: Block) => Math.max(0, ...itemsOf(b).map(demand));
		const hardest = blocks.reduce((best, b) => (most(b) > most(best) ? b : best));
		return withBlocks(plan, [hardest, ...blocks.filter((b) => b !== hardest)]);
	},
	'a quarter replaced': (plan, random) => replaced(plan, 0.25, () => () => true, random),
	'a third replaced off the theme': (plan, random) =>
		replaced(plan, 1 / 3, (own) => (other) => movementSimilarity(own, other) < 0.3, random),
	'no returns': (plan, random) => {
		const seen = new Set<string>();
		return mapItems(plan, (item) => {
			const own = movementOf(item);
			if (!seen.has(own.slug)) {
				seen.add(own.slug);
				return item;
			}
			const other = instead(item, (m) => !seen.has(m.slug), random);
			seen.add(other.movement);
			return other;
		});
	},
	'chains undone': (plan) => ({
		...plan,
		sections: plan.sections.map((section) => ({
			...section,
			blocks: section.blocks.flatMap((b): Block[] =>
				b.kind === 'chain' || b.kind === 'flow' ? b.items : [b]
			)
		}))
	}),
	'no warm-up, resets and pauses': (plan) => {
		const bare = mapItems(plan, ({ noticeSeconds: _pause, ...item }) => item as Item);
		return {
			...bare,
			sections: bare.sections.map((section) => ({
				...section,
				blocks:
					section.kind === 'warm'
						? section.blocks.slice(0, 1)
						: section.kind === 'rest'
							? section.blocks
							: section.blocks.filter((b) => !isReset(b))
			}))
		};
	},
	'near copies beside items': (plan, random) => {
		const blocks = blocksIn(plan).flatMap((block): Block[] => {
			const [item] = itemsOf(block);
			if (!item || block.kind !== 'item' || random() > 0.3) return [block];
			const like = instead(item, (m) => movementSimilarity(movementOf(item), m) >= 0.85, random);
			return [block, { ...like, id: `${item.id}-copy` }];
		});
		const perSection = blocks.length - blocksIn(plan).length;
		return perSection
			? spread(plan, blocks)
			: withBlocks(
					plan,
					blocksIn(plan).flatMap((b) =>
						b.kind === 'item' && random() < 0.3 ? [b, { ...b, id: `${b.id}-copy` }] : [b]
					)
				);
	},
	'made a list': (plan) => {
		const seen = new Set<string>();
		const once = blocksIn(plan)
			.flatMap(itemsOf)
			.filter(({ movement }) => !seen.has(movement) && seen.add(movement))
			.map(({ noticeSeconds: _pause, ...item }) => item as Item);
		const order = [...new Set(once.map((item) => movementOf(item).position))];
		return spread(
			plan,
			order.flatMap((position) => once.filter((item) => movementOf(item).position === position))
		);
	}
};

/** Blocks laid out over the parts in proportion to what each had. */
function spread(plan: ClassPlan, blocks: readonly Block[]): ClassPlan {
	const all = blocksIn(plan).length;
	let [from, had] = [0, 0];
	return {
		...plan,
		sections: plan.sections.map((section, i) => {
			had += section.blocks.length;
			const to = i === plan.sections.length - 1 ? blocks.length : Math.round((blocks.length * had) / all);
			const own = blocks.slice(from, to);
			from = to;
			return { ...section, blocks: own };
		})
	};
}
