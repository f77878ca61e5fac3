import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { findMovement } from '../../src/lib/catalogue';
import {
	lengthOfMinutes,
	minutesOfLength,
	advance,
	amend,
	applyEdit,
	chainWithNext,
	doseByOne,
	emptyPlan,
	findBlock,
	findItem,
	formChange,
	itemsOf,
	moveByOne,
	neighbourId,
	newItem,
	nextId,
	placeAfter,
	planFaults,
	PLAN_LIMITS,
	redo,
	selectableIds,
	startHistory,
	undo,
	type ClassPlan,
	type PlanEdit
} from '../../src/lib/core/plan';
import { anyPlan } from './arbitrary';

const movement = (slug: string) => findMovement(slug)!;
const small = (): ClassPlan =>
	['cat-cow', 'clam', 'low-lunge', 'pigeon-fold'].reduce(
		(plan, slug, index) =>
			applyEdit(plan, {
				do: 'insert',
				at: { sectionId: 'build', index },
				block: newItem(plan, movement(slug))
			}),
		emptyPlan('A class', '18:30', 1800)
	);
const order = (plan: ClassPlan) => itemsOf(plan).map((i) => i.movement);
const frozen = <T>(value: T): T => {
	if (typeof value === 'object' && value !== null) {
		Object.freeze(value);
		Object.values(value).forEach(frozen);
	}
	return value;
};

describe('edits', () => {
	it('leave the plan that they were given as it was', () => {
		const plan = frozen(small());
		const edits: PlanEdit[] = [
			{ do: 'remove', blockId: 'b1' },
			{ do: 'move', blockId: 'b1', to: { sectionId: 'peak', index: 0 } },
			{ do: 'setItem', itemId: 'b2', change: { dose: { amount: 12 } } },
			{ do: 'setDose', itemId: 'b2', change: { sets: 2 } },
			{ do: 'chain', blockIds: ['b2', 'b3'] },
			{ do: 'swapSides' },
			{ do: 'setPlan', change: { title: 'Another' } },
			{ do: 'setPace', change: { classKind: 'flow' } },
			{ do: 'setDoses', doses: { b2: { amount: 9 } } }
		];
		for (const edit of edits) expect(applyEdit(plan, edit)).not.toEqual(plan);
		expect(plan).toEqual(small());
	});

	it('insert, move and remove blocks', () => {
		const moved = applyEdit(small(), { do: 'move', blockId: 'b1', to: { sectionId: 'build', index: 2 } });
		expect(order(moved)).toEqual(['clam', 'low-lunge', 'cat-cow', 'pigeon-fold']);
		const away = applyEdit(moved, { do: 'move', blockId: 'b2', to: { sectionId: 'warm', index: 0 } });
		expect(findBlock(away, 'b2')).toMatchObject({ sectionId: 'warm', index: 0 });
		expect(order(applyEdit(away, { do: 'remove', blockId: 'b2' }))).not.toContain('clam');
	});

	it('chain, take out of a chain, and take a chain apart', () => {
		const chained = applyEdit(small(), { do: 'chain', blockIds: ['b2', 'b3', 'b4'] });
		expect(chained.sections[2]!.blocks.map((b) => b.kind)).toEqual(['item', 'chain']);
		const { id } = chained.sections[2]!.blocks[1]!;
		const without = applyEdit(chained, { do: 'removeItem', itemId: 'b3' });
		expect(order(without)).toEqual(['cat-cow', 'clam', 'pigeon-fold']);
		const single = applyEdit(without, { do: 'removeItem', itemId: 'b4' });
		expect(single.sections[2]!.blocks.map((b) => b.kind)).toEqual(['item', 'item']);
		expect(applyEdit(chained, { do: 'unchain', blockId: id })).toEqual(small());
	});

	it('refuse what the plan does not have', () => {
		expect(() => applyEdit(small(), { do: 'remove', blockId: 'nowhere' })).toThrow('no block nowhere');
		expect(() => applyEdit(small(), { do: 'setItem', itemId: 'nowhere', change: {} })).toThrow(
			'no item nowhere'
		);
		expect(() =>
			applyEdit(small(), { do: 'move', blockId: 'b1', to: { sectionId: 'nowhere', index: 0 } })
		).toThrow('no section nowhere');
	});

	it('give ids that no block has', () => {
		fc.assert(
			fc.property(anyPlan(), (plan) => {
				expect(findBlock(plan, nextId(plan))).toBeUndefined();
				expect(findItem(plan, nextId(plan))).toBeUndefined();
			}),
			{ numRuns: 50 }
		);
	});

	it('keep any valid plan valid, whatever the steps', () => {
		fc.assert(
			fc.property(anyPlan(2), fc.array(fc.tuple(fc.nat(5), fc.nat()), { maxLength: 12 }), (start, steps) => {
				let plan = start;
				for (const [what, pick] of steps) {
					const ids = selectableIds(plan);
					const id = ids[pick % Math.max(1, ids.length)];
					if (id === undefined) break;
					const item = findItem(plan, id);
					const edit =
						what === 0
							? moveByOne(plan, id, 1)
							: what === 1
								? chainWithNext(plan, id)
								: what === 2 && item
									? doseByOne(item, findMovement, 1)
									: what === 3
										? ({ do: 'removeItem', itemId: id } as const)
										: what === 4
											? ({ do: 'swapSides' } as const)
											: null;
					if (edit && !(what === 0 && !findBlock(plan, id))) plan = applyEdit(plan, edit);
				}
				const faults = planFaults(plan, findMovement).filter((f) => !f.message.includes('chain needs'));
				expect(faults).toEqual([]);
			}),
			{ numRuns: 150 }
		);
	});

	it('a new form keeps the dose where it is counted alike, and usual if it was usual', () => {
		const item = {
			...newItem(small(), movement('supported-bridge')),
			form: 'full' as const,
			dose: { amount: 120 }
		};
		expect(formChange(small(), item, movement('supported-bridge'), { form: 'stronger' })).toMatchObject({
			form: 'stronger',
			dose: { amount: 60 }
		});
		const circles = { ...newItem(small(), movement('happy-baby')), dose: { amount: 50 } };
		expect(formChange(small(), circles, movement('happy-baby'), { form: 'supported' })).toMatchObject({
			form: 'supported',
			dose: { amount: 50 }
		});
	});
});

describe('steps at the desk', () => {
	it('move across the borders of sections and stop at the ends', () => {
		const plan = small();
		expect(moveByOne(plan, 'b4', 1)).toEqual({
			do: 'move',
			blockId: 'b4',
			to: { sectionId: 'peak', index: 0 }
		});
		expect(moveByOne(plan, 'b1', -1)).toEqual({
			do: 'move',
			blockId: 'b1',
			to: { sectionId: 'warm', index: 0 }
		});
		const first = applyEdit(plan, { do: 'move', blockId: 'b1', to: { sectionId: 'settle', index: 0 } });
		expect(moveByOne(first, 'b1', -1)).toBeNull();
	});

	it('put something new after what is selected, also after its chain', () => {
		const chained = applyEdit(small(), { do: 'chain', blockIds: ['b1', 'b2'] });
		expect(placeAfter(chained, 'b1')).toEqual({ sectionId: 'build', index: 1 });
		expect(placeAfter(chained, null)).toEqual({ sectionId: 'build', index: 3 });
		expect(placeAfter(emptyPlan('A', '18:30', 900), null)).toEqual({ sectionId: 'settle', index: 0 });
	});

	it('change a dose by one breath or five seconds; a range as a whole', () => {
		const item = { ...newItem(small(), movement('happy-baby')), dose: { amount: 55 } };
		expect(doseByOne(item, findMovement, 1)).toMatchObject({ change: { amount: 60 } });
		// the usual range is advice
		expect(doseByOne({ ...item, dose: { amount: 60 } }, findMovement, 1)).toMatchObject({
			change: { amount: 65 }
		});
		expect(doseByOne({ ...item, dose: { amount: 30, most: 60 } }, findMovement, -1)).toMatchObject({
			change: { amount: 25, most: 55 }
		});
		expect(doseByOne({ ...item, dose: { amount: 1 } }, findMovement, -1)).toBeNull();
		const march = newItem(small(), movement('supine-march'));
		expect(doseByOne(march, findMovement, 1)).toMatchObject({ change: { amount: march.dose.amount + 2 } });
	});

	it('go through everything that can be selected', () => {
		expect(neighbourId(small(), null, 1)).toBe('b1');
		expect(neighbourId(small(), 'b1', 1)).toBe('b2');
		expect(neighbourId(small(), 'b4', 1)).toBe('b4');
		expect(neighbourId(small(), null, -1)).toBe('b4');
	});
});

describe('history', () => {
	it('goes back and forth exactly', () => {
		const history = [1, 2, 3].reduce(advance<number>, startHistory(0));
		const back = undo(undo(history));
		expect(back.present).toBe(1);
		expect(redo(back).present).toBe(2);
		expect(advance(back, 9).future).toEqual([]);
		expect(undo(startHistory(0)).present).toBe(0);
	});

	it('typing on in a field is one step', () => {
		const typed = amend(amend(advance(startHistory('a'), 'ab'), 'abc'), 'abcd');
		expect(undo(typed).present).toBe('a');
	});

	it('takes back twenty random edits one by one', () => {
		fc.assert(
			fc.property(anyPlan(1, 6), (plan) => {
				let history = startHistory(plan);
				for (let i = 0; i < 20; i++)
					history = advance(
						history,
						applyEdit(history.present, { do: 'setPlan', change: { title: `Step ${i}` } })
					);
				for (let i = 0; i < 20; i++) history = undo(history);
				expect(history.present).toBe(plan);
			}),
			{ numRuns: 10 }
		);
	});
});

describe('a plan from outside', () => {
	const faults = (change: (plan: ClassPlan) => unknown) => {
		const plan = structuredClone(small());
		return planFaults(change(plan) ?? plan, findMovement).map((f) => `${f.path}: ${f.message}`);
	};
	const item = (plan: ClassPlan) => plan.sections[2]!.blocks[1] as unknown as Record<string, unknown>;

	it('is taken when nothing is wrong', () => {
		expect(faults((p) => p)).toEqual([]);
		expect(planFaults(emptyPlan('', '00:00', 300), findMovement)).toEqual([]);
	});

	it.each<[string, (plan: ClassPlan) => unknown, string]>([
		['a mere word', () => 'a plan', ': a plan is an object'],
		['a list', () => [], ': a plan is an object'],
		['no length', (p) => void (p.lengthSeconds = 0), 'lengthSeconds: a class lasts at least a minute'],
		['ten hours', (p) => void (p.lengthSeconds = 36_000), 'lengthSeconds: a class lasts at most 4 hours'],
		['a start that is no time', (p) => void (p.startsAt = '25:00'), 'startsAt: startsAt must be a time'],
		[
			'an unknown movement',
			(p) => void (item(p).movement = 'moon-walk'),
			'blocks[1].movement: the catalogue has no movement "moon-walk"'
		],
		[
			'a dose of over an hour',
			(p) => void (item(p).dose = { amount: 790 }),
			'blocks[1].dose: 790 repetitions are over an hour on one side'
		],
		['a dose of text', (p) => void (item(p).dose = { amount: '5' }), 'sections[2].blocks[1].dose.amount'],
		[
			'a form it has not',
			(p) => void (item(p).form = 'floating'),
			'sections[2].blocks[1].form must be one of'
		],
		[
			'a mode that there is not',
			(p) => void (item(p).mode = 'floating'),
			'sections[2].blocks[1].mode must be one of'
		],
		['an unknown field', (p) => void (item(p).colour = 'red'), 'unspecified'],
		['an unknown kind of block', (p) => void (item(p).kind = 'dance'), 'sections[2].blocks[1].kind'],
		['an id used twice', (p) => void (item(p).id = 'b1'), 'the id "b1" is used twice'],
		['a title of 10,000 letters', (p) => void (p.title = 'x'.repeat(10_000)), 'title must be at most 200'],
		[
			'a pace that nobody breathes at',
			(p) => void (p.pinnedPace = { heldBreathSeconds: 600 }),
			'pinnedPace.heldBreathSeconds'
		],
		[
			'a chain of symmetrical movements',
			(p) =>
				void (p.sections[2]!.blocks[0] = {
					kind: 'chain',
					id: 'c',
					items: [newItem(emptyPlan('', '18:30', 900), movement('cat-cow'))]
				}),
			'a chain needs at least one movement with sides'
		]
	])('with %s is refused, with the place', (_what, change, message) => {
		expect(faults(change).join('\n')).toContain(message);
	});

	it('may carry emoji, quotes and HTML in its words', () => {
		expect(faults((p) => void (p.title = '🌊 "Tide" <script>alert(1)</script> \'x\''))).toEqual([]);
	});

	it('may have 300 items, not more', () => {
		const many = (count: number) => {
			const plan = emptyPlan('Many', '18:30', 3600);
			const block = newItem(plan, movement('clam'));
			return {
				...plan,
				sections: [
					{
						...plan.sections[0]!,
						blocks: Array.from({ length: count }, (_, i) => ({ ...block, id: `b${i}` }))
					}
				]
			};
		};
		expect(planFaults(many(300), findMovement)).toEqual([]);
		const [fault] = planFaults(many(PLAN_LIMITS.items + 1), findMovement);
		expect(fault).toEqual({ path: 'sections', message: '301 blocks; at most 300 are allowed' });
		// also where they hide in chains
		const chained = many(13);
		const chain = chained.sections[0]!.blocks.map((item, b) => ({
			kind: 'chain' as const,
			id: `c${b}`,
			items: Array.from({ length: 24 }, (_, i) => ({ ...item, id: `b${b}-${i}` }))
		}));
		const hidden = { ...chained, sections: [{ ...chained.sections[0]!, blocks: chain }] };
		expect(planFaults(hidden, findMovement)[0]?.message).toBe('312 items; at most 300 are allowed');
	});

	it('is never met with an exception, whatever it is', () => {
		fc.assert(
			fc.property(fc.anything(), (value) => {
				expect(planFaults(value, findMovement).length).toBeGreaterThan(0);
			}),
			{ numRuns: 300 }
		);
	});
});

describe('what is typed', () => {
	it.each([
		[45, 2700],
		[5, 300],
		[1, 60],
		[0.9, null],
		[240, 14_400],
		[241, null],
		[NaN, null]
	])('%d minutes are a length of %s s', (minutes, seconds) => {
		expect(lengthOfMinutes(minutes)).toBe(seconds);
		if (seconds !== null) expect(minutesOfLength(seconds)).toBe(minutes);
	});
});
