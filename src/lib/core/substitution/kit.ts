import { counted } from '../text';
import { kitName, type Group } from '../group';
import { KIT_KINDS, type FindMovement, type Form, type KitKind, type Movement, memoize } from '../movement';
import type { KitFor, KitUse } from '../plan';

/** Replacements for kit that runs short, best first: common practice, no source. */
const STAND_INS: Partial<Record<KitKind, readonly { kit: KitKind; each: number; how: string }[]>> = {
	block: [
		{ kit: 'blanket', each: 1, how: 'folded' },
		{ kit: 'cushion', each: 1, how: 'firm' }
	],
	bolster: [
		{ kit: 'blanket', each: 2, how: 'rolled' },
		{ kit: 'cushion', each: 2, how: '' }
	],
	blanket: [{ kit: 'cushion', each: 1, how: '' }],
	cushion: [
		{ kit: 'blanket', each: 1, how: 'folded' },
		{ kit: 'block', each: 1, how: 'flat' }
	],
	strap: [{ kit: 'belt', each: 1, how: '' }],
	belt: [{ kit: 'strap', each: 1, how: '' }]
};

/** Kit that serves in place of another kind. */
export interface StandIn {
	/** Number of people, or of pieces, that it serves. */
	pieces: number;
	kit: KitKind;
	count: number;
	how: string;
}

/** How much of a kind of kit an item needs beside what is at hand. */
export interface KitNeed {
	kit: KitKind;
	needed: number;
	available: number;
	short: number;
	standIns: StandIn[];
	/** Pieces that nothing stands in for. */
	missing: number;
}

/** Everything at hand: what the room holds, and what each person brings. */
export function kitAtHand(group: Group): Record<KitKind, number> {
	return Object.fromEntries(
		KIT_KINDS.map((kit) => [kit, (group.kit[kit] ?? 0) + group.size * (group.kitEach?.[kit] ?? 0)])
	) as Record<KitKind, number>;
}

/** Pieces of each kind that one person needs for a form. */
export const kitOfForm = memoize((form: Form): readonly [KitKind, number][] => {
	const sums = new Map<KitKind, number>();
	for (const { kit, count } of form.props) sums.set(kit, (sums.get(kit) ?? 0) + count);
	return [...sums];
});

/** A form with the number of people who do it at the same time, and the kit uses of its item. */
export interface KitDemand {
	form: Form;
	people: number;
	uses?: readonly KitUse[];
}

/** Kit for whoever wants it is never short; what is for one side is there for everybody on that side. */
function usersOf(whom: KitFor | undefined, people: number): number {
	if (whom === 'whoever wants it') return 0;
	return whom === 'one person' ? Math.min(1, people) : people;
}

/**
 * Returns the kit that forms need when given to these numbers of people at the same time, against the kit at hand.
 * People at the wall share wall space; other kit is counted in pieces. Replacements come from pieces that are left
 * over.
 */
export function kitNeeds(given: readonly KitDemand[], atHand: Record<KitKind, number>): KitNeed[] {
	const needed: Partial<Record<KitKind, number>> = {};
	for (const { form, people, uses = [] } of given) {
		const own = kitOfForm(form);
		const besides = uses.filter(({ kit }) => !own.some(([known]) => known === kit));
		for (const [kit, count] of [...own, ...besides.map(({ kit }) => [kit, 1] as const)]) {
			const users = usersOf(uses.find((use) => use.kit === kit)?.for, people);
			if (users > 0) needed[kit] = (needed[kit] ?? 0) + count * users;
		}
	}
	const spare = { ...atHand };
	for (const kit of Object.keys(needed) as KitKind[]) spare[kit] -= needed[kit] as number;
	return KIT_KINDS.filter((kit) => needed[kit]).map((kit) => {
		const need = needed[kit] as number;
		const short = Math.max(0, need - atHand[kit]);
		const standIns = short ? takeStandIns(kit, short, spare) : [];
		const served = standIns.reduce((sum, s) => sum + s.pieces, 0);
		return { kit, needed: need, available: atHand[kit], short, standIns, missing: short - served };
	});
}

/** Returns whether the kit at hand, with what stands in for it, suffices for a number of people in a form. */
export const kitSuffices =
	(atHand: Record<KitKind, number>, people: number) =>
	(form: Form): boolean =>
		kitNeeds([{ form, people }], atHand).every(({ missing }) => missing === 0);

/** Takes what can stand in for missing pieces out of what is left over. */
function takeStandIns(kit: KitKind, short: number, spare: Record<KitKind, number>): StandIn[] {
	const standIns: StandIn[] = [];
	let open = short;
	for (const { kit: other, each, how } of STAND_INS[kit] ?? []) {
		const pieces = Math.min(open, Math.floor(Math.max(0, spare[other]) / each));
		if (pieces === 0) continue;
		spare[other] -= pieces * each;
		open -= pieces;
		standIns.push({ pieces, kit: other, count: pieces * each, how });
	}
	return standIns;
}

/** The kit of one person at an item, and who uses it where not everybody does: "2 blocks, blanket for one person". */
export function kitInWords(form: Form, uses: readonly KitUse[] = []): string {
	const own = kitOfForm(form);
	const besides = uses.filter(({ kit }) => !own.some(([known]) => known === kit));
	return [...own, ...besides.map(({ kit }) => [kit, 1] as const)]
		.map(([kit, count]) => {
			const whom = uses.find((use) => use.kit === kit)?.for;
			const what = count > 1 ? `${count} ${kitName(kit, count)}` : kit;
			return whom ? `${what} for ${whom}` : what;
		})
		.join(', ');
}

/** How a movement is done without its kit, where that is possible. */
export const howWithoutKit = ({ withoutKit }: Movement): string | undefined =>
	withoutKit && 'how' in withoutKit ? withoutKit.how : undefined;

/** The movement that takes the place of one which cannot do without its kit. */
export const movementWithoutKit = ({ withoutKit }: Movement, find: FindMovement): Movement | undefined =>
	withoutKit && 'instead' in withoutKit ? find(withoutKit.instead) : undefined;

/** A shortage as a teacher says it before class: "needs 24 blocks, 18 are at hand: use folded blankets for 6". */
export function shortageInWords({ kit, needed, available, standIns, missing }: KitNeed): string {
	const what = `needs ${needed} ${kitName(kit, needed)}, ${counted(available, 'is', 'are')} at hand`;
	const use = standIns.map(({ kit: other, count, how, pieces }) => {
		const each = count > pieces ? `, ${count / pieces} each` : '';
		return `use ${[how, kitName(other, 2)].filter(Boolean).join(' ')} for ${pieces}${each}`;
	});
	const rest = missing ? [`${counted(missing, 'piece has', 'pieces have')} no stand-in`] : [];
	return [what, [...use, ...rest].join(', ')].filter(Boolean).join(': ');
}
