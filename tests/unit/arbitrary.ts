import fc from 'fast-check';
import { CATALOGUE, findMovement } from '../../src/lib/catalogue';
import { isSymmetrical } from '../../src/lib/core/anatomy';
import { doseRange, formOf, type Mode, type Movement } from '../../src/lib/core/movement';
import { TEST_IDS } from '../../src/lib/core/hip-tests';
import {
	breathsJoined,
	FLOW_SIDES,
	rangeOf,
	SECTION_KINDS,
	withItems,
	type Block,
	type ClassPlan,
	type Dose,
	type Item
} from '../../src/lib/core/plan';

const movement = fc.constantFrom(...CATALOGUE);

function itemOf(m: Movement): fc.Arbitrary<Item> {
	return fc
		.tuple(fc.constantFrom(...m.forms), fc.constantFrom(...(m.modes as [Mode, ...Mode[]])))
		.chain(([form, mode]) => {
			const { min, max } = doseRange(form, mode);
			return fc.record({
				kind: fc.constant('item' as const),
				id: fc.constant(''),
				movement: fc.constant(m.slug),
				form: fc.constant(form.id),
				mode: fc.constant(mode),
				dose: fc.integer({ min, max }).map((amount): Dose => ({ amount })),
				lead: fc.constantFrom('left' as const, 'right' as const)
			});
		});
}

const item = movement.chain(itemOf);
const sided = fc.constantFrom(...CATALOGUE.filter((m) => !isSymmetrical(m.action))).chain(itemOf);
const block: fc.Arbitrary<Block> = fc.oneof(
	{ weight: 6, arbitrary: item },
	{
		weight: 2,
		arbitrary: fc
			.tuple(sided, fc.array(item, { minLength: 1, maxLength: 4 }))
			.map(([first, rest]): Block => ({ kind: 'chain', id: '', items: [first, ...rest] }))
	},
	{
		weight: 2,
		arbitrary: fc
			.record({
				items: fc.array(item, { minLength: 1, maxLength: 4 }),
				rounds: fc.integer({ min: 1, max: 4 }),
				sides: fc.constantFrom(...FLOW_SIDES),
				breathsEach: fc.constantFrom(1, 2, undefined)
			})
			.map(({ breathsEach, rounds, items, ...flow }): Block => ({
				kind: 'flow',
				id: '',
				...flow,
				items: breathsEach ? items.map((i) => ({ ...i, dose: breathsJoined(breathsEach) })) : items,
				// an odd number of alternating rounds owes one to the other side: a case of its own
				rounds: flow.sides === 'alternate' ? 2 * rounds : rounds
			}))
	},
	{
		weight: 1,
		arbitrary: fc
			.record({ test: fc.constantFrom(...TEST_IDS), seconds: fc.integer({ min: 10, max: 90 }) })
			.map((test): Block => ({ kind: 'test', id: '', ...test }))
	},
	{
		weight: 1,
		arbitrary: fc
			.integer({ min: 5, max: 90 })
			.map((seconds): Block => ({ kind: 'talk', id: '', label: 'A word', seconds }))
	}
);

/** Random plans that are valid: every section, items, chains, talks; ids in order. */
export function anyPlan(minBlocks = 1, maxBlocks = 20): fc.Arbitrary<ClassPlan> {
	return fc
		.tuple(
			fc.array(fc.tuple(fc.integer({ min: 0, max: 5 }), block), {
				minLength: minBlocks,
				maxLength: maxBlocks
			}),
			fc.integer({ min: 900, max: 5400 })
		)
		.map(([placed, lengthSeconds]) => numbered(placed, lengthSeconds));
}

function numbered(placed: [number, Block][], lengthSeconds: number): ClassPlan {
	let count = 0;
	const id = () => `b${++count}`;
	const withIds = (b: Block): Block =>
		b.kind === 'item' ? { ...b, id: id() } : withItems({ ...b, id: id() }, (i) => ({ ...i, id: id() }));
	return {
		title: 'A random class',
		lengthSeconds,
		startsAt: '18:30',
		sections: SECTION_KINDS.map((kind, index) => ({
			id: kind,
			kind,
			blocks: placed.filter(([section]) => section === index).map(([, b]) => withIds(b))
		}))
	};
}

export function doseOf(i: Item) {
	const movement = findMovement(i.movement) as Movement;
	return rangeOf(i, movement, formOf(movement, i.form)!);
}
