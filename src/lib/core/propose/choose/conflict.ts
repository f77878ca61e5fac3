import type { Tissue } from '../../anatomy';
import { CLOSING_REST_SECONDS } from '../../rules';
import { stillSeconds } from '../../orbit';
import { analysePlan } from '../../analysis';
import { KIT_KINDS, POSITION_NAME, type Caution, type Position } from '../../movement';
import { clock, formatDuration } from '../../clock';
import { itemsOf, type ClassPlan } from '../../plan';
import { listed } from '../../text';
import { optionsFor } from '../pool/options';
import type { Conflict, ProposeContext, Wishes } from '../pool/types';

/** One thing asked for that could be let go, alone. */
interface Wish {
	words: string;
	/** True where the teacher may drop the wish; cautions in the room are named and never dropped. */
	loosen: boolean;
	without: (asked: ProposeRequest) => ProposeRequest;
}
interface ProposeRequest {
	base: ClassPlan;
	wishes: Wishes;
	context: ProposeContext;
}

/** Kit for everybody, for the question whether the kit is what stands in the way. */
const PLENTY = 10_000;
/** The length for the question whether the length is. */
const ANY_LENGTH_SECONDS = 4 * 3600;

/**
 * The smallest set of wishes that do not go together, or null where nothing is known to stand in the way. Every wish in
 * it is needed: it is found by leaving them out one at a time and keeping out what is not needed for the conflict
 * (deletion filter; Chinneck & Dravnieks 1991, from memory). What is called impossible here is so in every order and
 * with every dose.
 */
export function conflictOf(asked: ProposeRequest): Conflict | null {
	if (possible(asked)) return null;
	let kept = wishesOf(asked);
	let now = asked;
	for (const wish of kept) {
		const less = wish.without(now);
		if (possible(less)) continue;
		now = less;
		kept = kept.filter((other) => other !== wish);
	}
	const words = kept.map((wish) => wish.words);
	const loosen = kept.filter((wish) => wish.loosen).map((wish) => wish.words);
	const together = words.length === 1 ? `${words[0]} is not possible` : `${listed(words)} do not go together`;
	const way = loosen.length ? `; without “${loosen.join('” or without “')}” it works` : '';
	return { wishes: words, message: `${together}${way}` };
}

function wishesOf({ base, wishes, context }: ProposeRequest): Wish[] {
	const name = (slug: string) => context.find(slug)?.english ?? slug;
	const change = (of: (w: Wishes) => Wishes) => (asked: ProposeRequest) => ({
		...asked,
		wishes: of(asked.wishes)
	});
	const group = (of: (g: ProposeContext['group']) => ProposeContext['group']) => (asked: ProposeRequest) => ({
		...asked,
		context: { ...asked.context, group: of(asked.context.group) }
	});
	const list: Wish[] = [];
	const add = (words: string, without: Wish['without'], loosen = true) =>
		list.push({ words, loosen, without });
	add(
		'the kit at hand',
		group((g) => ({ ...g, kit: plenty() }))
	);
	add(
		'everybody’s tier',
		group((g) => ({ ...g, preset: 'general', tiers: { tight: 0, middling: 0, open: g.size } }))
	);
	for (const caution of new Set(context.group.cautions.map((c) => c.caution)))
		add(
			`${caution} in the room`,
			group((g) => withoutCaution(g, caution)),
			false
		);
	for (const position of wishes.without ?? [])
		add(
			`nothing in “${POSITION_NAME[position].toLowerCase()}”`,
			change((w) => ({ ...w, without: without<Position>(w.without, position) }))
		);
	for (const slug of wishes.never ?? [])
		add(
			`no ${name(slug)}`,
			change((w) => ({ ...w, never: without(w.never, slug) }))
		);
	if (wishes.mostNew !== undefined)
		add(
			`at most ${wishes.mostNew} new`,
			change(({ mostNew: _most, ...w }) => w)
		);
	for (const slug of wishes.must ?? [])
		add(
			`${name(slug)} in it`,
			change((w) => ({ ...w, must: without(w.must, slug) }))
		);
	for (const tissue of wishes.lengthen ?? [])
		add(
			`the ${tissue} held long`,
			change((w) => ({ ...w, lengthen: without<Tissue>(w.lengthen, tissue) }))
		);
	if (wishes.toward !== undefined)
		add(
			`leading up to ${name(wishes.toward)}`,
			change(({ toward: _toward, ...w }) => w)
		);
	add(`${formatDuration(base.lengthSeconds)} in all`, (asked) => ({
		...asked,
		base: { ...asked.base, lengthSeconds: ANY_LENGTH_SECONDS }
	}));
	return list;
}

const without = <T>(list: readonly T[] | undefined, one: T): T[] =>
	(list ?? []).filter((other) => other !== one);
const withoutCaution = (group: ProposeContext['group'], caution: Caution) => ({
	...group,
	cautions: group.cautions.filter((c) => c.caution !== caution)
});
const plenty = () => Object.fromEntries(KIT_KINDS.map((kit) => [kit, PLENTY]));

/**
 * Whether nothing stands in the way as far as can be told for certain: each movement asked for has a form for these
 * people, not too many are new, and the shortest doses of all of them fit, with a closing rest.
 */
function possible({ base, wishes, context }: ProposeRequest): boolean {
	const there = new Set(itemsOf(base).map((item) => item.movement));
	const asked = [...new Set([...(wishes.must ?? []), ...(wishes.toward ? [wishes.toward] : [])])];
	const fresh = asked.filter((slug) => !there.has(slug));
	const catalogue = context.catalogue.filter((movement) => fresh.includes(movement.slug));
	const options = optionsFor(base, wishes, { ...context, catalogue });
	let seconds = itemsOf(base).length === 0 ? CLOSING_REST_SECONDS : 0;
	let unknown = 0;
	for (const slug of fresh) {
		const ways = options.filter((option) => option.item.movement === slug);
		if (ways.length === 0) return false;
		seconds += Math.min(...ways.map((way) => way.load.aroundSeconds + way.workSeconds[0]!));
		if (ways[0]!.isNew) unknown += 1;
	}
	if (unknown > (wishes.mostNew ?? Infinity)) return false;
	if (wishes.lengthen?.length) {
		const all = optionsFor(base, wishes, context);
		const there = analysePlan(base, context, new Set()).context.items;
		const held = stillSeconds(there);
		// something must hold it, in the class already or among what may be given
		if (wishes.lengthen.some((tissue) => !held.has(tissue) && !all.some((o) => o.load.lengthens.has(tissue))))
			return false;
	}
	return seconds + clock(base, context.find, context.pace).totalSeconds <= base.lengthSeconds;
}
