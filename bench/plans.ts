import { CATALOGUE } from '../src/lib/catalogue';
import { isSymmetrical } from '../src/lib/core/anatomy';
import { usualForm, type Mode } from '../src/lib/core/movement';
import { SECTION_KINDS, type Block, type ClassPlan, type Item } from '../src/lib/core/plan';

/** A plan of `count` blocks from a seeded generator: about every eighth is a chain of three. */
export function planOfBlocks(count: number, random: () => number): ClassPlan {
	let id = 0;
	const item = (): Item => {
		const movement = CATALOGUE[Math.floor(random() * CATALOGUE.length)]!;
		const { id: form, dose } = usualForm(movement);
		return {
			kind: 'item',
			id: `b${++id}`,
			movement: movement.slug,
			form,
			mode: movement.modes[0] as Mode,
			dose: { amount: dose.min + Math.floor(random() * (dose.max - dose.min + 1)) },
			lead: random() < 0.5 ? 'left' : 'right'
		};
	};
	const sided = (): Item => {
		for (;;) {
			const made = item();
			if (!isSymmetrical(CATALOGUE.find((m) => m.slug === made.movement)!.action)) return made;
		}
	};
	const block = (): Block =>
		random() < 0.125 ? { kind: 'chain', id: `b${++id}`, items: [sided(), item(), item()] } : item();
	const blocks = Array.from({ length: count }, block);
	const share = Math.ceil(count / SECTION_KINDS.length);
	return {
		title: `${count} blocks`,
		lengthSeconds: 5400,
		startsAt: '18:30',
		sections: SECTION_KINDS.map((kind, s) => ({
			id: kind,
			kind,
			blocks: blocks.slice(s * share, (s + 1) * share)
		}))
	};
}
