import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { CATALOGUE, findMovement } from '../../src/lib/catalogue';
import { isSymmetrical, LEGS, type Leg } from '../../src/lib/core/anatomy';
import {
	blockSpans,
	clock,
	clockTime,
	formatDuration,
	itemSpans,
	owedAt,
	phaseSeconds,
	readTime,
	type TimelineEntry
} from '../../src/lib/core/clock';
import type { Movement } from '../../src/lib/core/movement';
import { DEFAULT_PACE, type ClassKind, USUAL_PACE } from '../../src/lib/core/pace';
import {
	applyEdit,
	type ClassPlan,
	emptyPlan,
	goesByTurns,
	type Item,
	itemsOf,
	mirror,
	newItem
} from '../../src/lib/core/plan';
import { PlanWriter } from '../../src/lib/demo/build';
import { anyPlan, doseOf } from './arbitrary';

const movement = (slug: string) => findMovement(slug) as Movement;
const seconds = (e: TimelineEntry) => e.toSeconds - e.fromSeconds;

function planOf(...slugs: string[]): ClassPlan {
	return slugs.reduce(
		(plan, slug, index) =>
			applyEdit(plan, {
				do: 'insert',
				at: { sectionId: 'build', index },
				block: newItem(plan, movement(slug))
			}),
		emptyPlan('A class', '18:30', 1800)
	);
}
const phasesOf = (plan: ClassPlan) =>
	clock(plan, findMovement, USUAL_PACE).entries.map((e) => `${e.phase}${e.side ?? ''} ${seconds(e)}`);

describe('the clock, worked by hand', () => {
	it('one symmetrical movement: what is said first, getting in, work', () => {
		// 6 small repetitions of 4.6 s
		expect(phasesOf(planOf('supine-leg-roll'))).toEqual(['explain 10', 'setUp 4', 'work 28']);
	});

	it('a movement with sides: the second side is changed to, set up more shortly, and as long', () => {
		// clam, full: 10 small repetitions of 4.6 s a side
		expect(phasesOf(planOf('clam'))).toEqual([
			'explain1 10',
			'setUp1 4',
			'work1 46',
			'change2 11',
			'setUp2 6',
			'work2 46'
		]);
	});

	it('a change of position and of kit, and a slow way out', () => {
		const phases = phasesOf(planOf('cat-cow', 'supported-bridge'));
		// all fours to lying 18 s; the block under the sacrum 10 s
		expect(phases.slice(3)).toEqual(['move 18', 'fetch 10', 'explain 10', 'setUp 4', 'work 90', 'leave 8']);
	});

	it('fetches kit once: when it comes again it lies beside the mat and is only placed', () => {
		const plan = planOf('supported-bridge', 'cat-cow', 'supported-bridge');
		const fetches = phasesOf(plan).filter((p) => p.startsWith('fetch'));
		expect(fetches).toEqual(['fetch 10', 'fetch 3']);
	});

	it('does not explain a movement again when it comes back', () => {
		const setUps = phasesOf(planOf('cat-cow', 'cat-cow')).filter((p) => /explain|setUp/.test(p));
		expect(setUps).toEqual(['explain 10', 'setUp 4', 'setUp 3']);
	});

	it('who turns over on the side, and back for the next shape, takes a moment', () => {
		const moves = phasesOf(planOf('clam', 'reverse-clam')).filter((p) => /move|change/.test(p));
		expect(moves).toEqual(['change2 11', 'move1 8', 'change2 11']);
	});

	it('the second pass of a chain is set up briefly, and one that is known already still more', () => {
		const plan = applyEdit(planOf('cat-cow', 'low-lunge', 'low-lunge-knee-lift', 'low-lunge'), {
			do: 'chain',
			blockIds: ['b2', 'b3', 'b4']
		});
		const setUps = phasesOf(plan).filter((p) => /explain|setUp/.test(p));
		expect(setUps).toEqual([
			...['explain 10', 'setUp 4'],
			...['explain1 10', 'setUp1 4', 'explain1 10', 'setUp1 4', 'setUp1 3'],
			...['setUp2 6', 'setUp2 6', 'setUp2 6']
		]);
	});

	it('a kind of class has its own set-up and its own work, and a part may be of another kind', () => {
		const plan = planOf('warrior-2');
		const inKind = (classKind: ClassKind) => phasesOf({ ...plan, pinnedPace: { classKind } });
		expect(inKind('flow')).toEqual([
			'explain1 5',
			'setUp1 10',
			'work1 27',
			'change2 11',
			'setUp2 6',
			'work2 27'
		]);
		expect(inKind('detailed')).toEqual([
			...['explain1 20', 'setUp1 6', 'work1 38'],
			...['change2 11', 'setUp2 10', 'work2 38']
		]);
		const part = applyEdit(plan, { do: 'setSection', sectionId: 'build', classKind: 'flow' });
		expect(phasesOf(part)).toEqual(inKind('flow'));
		expect(applyEdit(part, { do: 'setSection', sectionId: 'build', classKind: undefined })).toEqual(plan);
		const timed = { ...plan, pinnedPace: { classKind: 'detailed' as const, timer: true } };
		expect(phasesOf(timed).filter((p) => p.startsWith('work'))).toEqual(['work1 30', 'work2 30']);
	});

	it('a chain runs through on one side, then mirrored', () => {
		const plan = applyEdit(planOf('low-lunge', 'low-lunge-knee-lift'), {
			do: 'chain',
			blockIds: ['b1', 'b2']
		});
		const work = clock(plan, findMovement, USUAL_PACE).entries.filter((e) => e.phase === 'work');
		expect(work.map((e) => [e.movement, e.side, e.leads])).toEqual([
			['low-lunge', 1, 'left'],
			['low-lunge-knee-lift', 1, 'left'],
			['low-lunge', 2, 'right'],
			['low-lunge-knee-lift', 2, 'right']
		]);
		const changes = clock(plan, findMovement, USUAL_PACE).entries.filter((e) => e.phase === 'change');
		expect(changes).toHaveLength(1);
	});

	it('the side of a chain is changed to its first item that has a second side, with the kit of that one', () => {
		const w = new PlanWriter();
		const changeOf = (...items: Item[]) => {
			const section = {
				id: 'build',
				kind: 'build' as const,
				blocks: [{ kind: 'chain' as const, id: 'c', items }]
			};
			const plan = { ...emptyPlan('', '18:30', 1800), sections: [section] };
			const [change, ...more] = clock(plan, findMovement, USUAL_PACE).entries.filter(
				({ phase }) => phase === 'change'
			);
			expect(more).toEqual([]);
			return { item: change!.itemId, seconds: change!.toSeconds - change!.fromSeconds };
		};
		const withKit = w.item('low-lunge', { form: 'supported' });
		const bare = w.item('clam');
		const only = { oneSided: { reason: 'only this one' } };
		expect(changeOf(withKit, bare)).toEqual({
			item: withKit.id,
			seconds: DEFAULT_PACE.changeSidesWithPropSeconds
		});
		expect(changeOf(bare, withKit)).toEqual({ item: bare.id, seconds: DEFAULT_PACE.changeSidesSeconds });
		expect(changeOf({ ...withKit, ...only }, bare)).toEqual({
			item: bare.id,
			seconds: DEFAULT_PACE.changeSidesSeconds
		});
	});

	it('more for one leg is added on the side that it leads', () => {
		const plan = applyEdit(planOf('clam'), {
			do: 'setDose',
			itemId: itemsOf(planOf('clam'))[0]!.id,
			change: { moreOn: { leg: 'right', amount: 3 } }
		});
		const work = clock(plan, findMovement, USUAL_PACE).entries.filter(({ phase }) => phase === 'work');
		const [dose] = itemsOf(plan).map((item) => item.dose.amount);
		const each = (work[0]!.toSeconds - work[0]!.fromSeconds) / dose!;
		expect(work.map(({ leads }) => leads)).toEqual(['left', 'right']);
		expect(Math.round((work[1]!.toSeconds - work[1]!.fromSeconds) / each)).toBe(dose! + 3);
	});

	it('a one-sided item has no second side', () => {
		const plan = applyEdit(planOf('clam'), {
			do: 'setItem',
			itemId: 'b1',
			change: { oneSided: { reason: 'the tighter side' } }
		});
		expect(phasesOf(plan).filter((p) => p.includes('2 '))).toEqual([]);
	});
});

describe('the clock, for any plan', () => {
	const run = (check: (plan: ClassPlan) => void) =>
		fc.assert(fc.property(anyPlan(), check), { numRuns: 150 });

	it('leaves no gap and no overlap, and its phases add up to the total', () => {
		run((plan) => {
			const { entries, totalSeconds } = clock(plan, findMovement, USUAL_PACE);
			let now = 0;
			for (const entry of entries) {
				expect(entry.fromSeconds).toBe(now);
				expect(Number.isInteger(entry.toSeconds)).toBe(true);
				expect(seconds(entry)).toBeGreaterThan(0);
				now = entry.toSeconds;
			}
			expect(now).toBe(totalSeconds);
			const sums = Object.values(phaseSeconds({ entries, totalSeconds }));
			expect(sums.reduce((a, b) => a + b, 0)).toBe(totalSeconds);
		});
	});

	it('gives both sides of every movement with sides, equally long', () => {
		run((plan) => {
			const { entries } = clock(plan, findMovement, USUAL_PACE);
			for (const item of itemsOf(plan)) {
				if (isSymmetrical(movement(item.movement).action)) continue;
				if (goesByTurns(item, movement(item.movement))) continue;
				const work = entries.filter((e) => e.phase === 'work' && e.itemId === item.id);
				const led = (leg: Leg) => work.filter((e) => e.leads === leg).map(seconds);
				expect(led('left').length).toBeGreaterThan(0);
				expect(led('left')).toEqual(led('right'));
				expect(work[0]!.leads).toBe(item.lead);
			}
		});
	});

	it('says of each leg what the other does not', () => {
		run((plan) => {
			for (const { legs, leads, phase } of clock(plan, findMovement, USUAL_PACE).entries) {
				if (phase !== 'work') expect(legs).toBeNull();
				else if (leads === null) expect(legs?.left).toBe(legs?.right);
				else for (const leg of LEGS) expect(legs?.[leg]).toBe(leg === (leads as Leg) ? 'lead' : 'trail');
			}
		});
	});

	it('mirrored twice is the same plan; mirrored once takes as long', () => {
		run((plan) => {
			expect(mirror(mirror(plan))).toEqual(plan);
			expect(clock(mirror(plan), findMovement, USUAL_PACE).totalSeconds).toBe(
				clock(plan, findMovement, USUAL_PACE).totalSeconds
			);
		});
	});

	it('changes only what follows when a dose is edited', () => {
		fc.assert(
			fc.property(anyPlan(2), fc.nat(), (plan, pick) => {
				const items = itemsOf(plan);
				fc.pre(items.length > 0);
				const item = items[pick % items.length]!;
				const { min, max } = doseOf(item);
				const amount = item.dose.amount === max ? min : max;
				const before = clock(plan, findMovement, USUAL_PACE).entries;
				const after = clock(
					applyEdit(plan, { do: 'setDose', itemId: item.id, change: { amount } }),
					findMovement,
					USUAL_PACE
				);
				const first = before.findIndex((e) => e.itemId === item.id && e.phase === 'work');
				expect(after.entries.slice(0, first)).toEqual(before.slice(0, first));
				expect(after.entries.map((e) => [e.phase, e.itemId, e.side])).toEqual(
					before.map((e) => [e.phase, e.itemId, e.side])
				);
			}),
			{ numRuns: 150 }
		);
	});

	it('keeps every block in one piece', () => {
		run((plan) => {
			const timeline = clock(plan, findMovement, USUAL_PACE);
			const spans = [...blockSpans(timeline).values()];
			const sum = spans.reduce((total, s) => total + s.toSeconds - s.fromSeconds, 0);
			expect(sum).toBe(timeline.totalSeconds);
			expect(itemSpans(timeline).size).toBe(itemsOf(plan).length);
		});
	});
});

describe('times in words', () => {
	it.each([
		[0, '0:00'],
		[59, '0:59'],
		[61, '1:01'],
		[2700, '45:00'],
		[3599, '59:59'],
		[3600, '1:00:00'],
		[7325, '2:02:05'],
		[-71, '−1:11'],
		[-0.2, '0:00']
	])('%d s is %s', (s, text) => {
		expect(formatDuration(s)).toBe(text);
	});

	it('counts on the studio’s clock, past midnight too', () => {
		expect(clockTime('19:15', 2700)).toBe('20:00');
		expect(clockTime('23:50', 900)).toBe('00:05');
		expect(clockTime('06:40', 59)).toBe('06:40');
	});

	it('reads a time as people type it', () => {
		expect(['18:30', '6.40', '0640', '7', ' 9h05 '].map(readTime)).toEqual([
			'18:30',
			'06:40',
			'06:40',
			'07:00',
			'09:05'
		]);
		expect(['', '24:00', '12:60', 'noon', '1:2'].map(readTime)).toEqual([null, null, null, null, null]);
	});
});

it('a class of the whole catalogue can be worked out', () => {
	expect(
		clock(planOf(...CATALOGUE.map((m) => m.slug)), findMovement, USUAL_PACE).totalSeconds
	).toBeGreaterThan(3600);
});

describe('what is owed to the other side', () => {
	const plan = () => {
		const w = new PlanWriter();
		return w
			.add('build', w.chain(w.item('low-lunge', { form: 'full', dose: 5 }), w.item('clam', { dose: 10 })))
			.plan('A chain', '18:30', 1800);
	};

	it('grows through the first side of a chain, melts in the second, and is nothing at the end', () => {
		const timeline = clock(plan(), findMovement, USUAL_PACE);
		const second = timeline.entries.find((e) => e.phase === 'change')!.fromSeconds;
		expect(owedAt(timeline, 0)).toEqual([]);
		expect(owedAt(timeline, second)).toEqual([
			{ movement: 'low-lunge', leg: 'right', seconds: 35 },
			{ movement: 'clam', leg: 'right', seconds: 46 }
		]);
		expect(owedAt(timeline, timeline.totalSeconds)).toEqual([]);
	});

	it('is worked out at any second: what is owed changes by no more than that second', () => {
		fc.assert(
			fc.property(anyPlan(1, 8), fc.nat(), (any, n) => {
				const timeline = clock(any, findMovement, USUAL_PACE);
				const t = n % (timeline.totalSeconds + 1);
				const sum = (at: number) => owedAt(timeline, at).reduce((s, o) => s + o.seconds, 0);
				expect(Math.abs(sum(t + 1) - sum(t))).toBeLessThanOrEqual(1);
			})
		);
	});
});
