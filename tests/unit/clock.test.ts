import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { CATALOGUE, findMovement } from '../../src/lib/catalogue';
import { isSymmetrical, LEGS, type Leg } from '../../src/lib/core/anatomy';
import {
	blockSpans,
	clock,
	clockTime,
	doseSeconds,
	formatDuration,
	itemSpans,
	owedAt,
	phaseSeconds,
	readTime,
	type TimelineEntry
} from '../../src/lib/core/clock';
import type { Movement } from '../../src/lib/core/movement';
import { DEFAULT_PACE, moveSeconds, moveTable, paceOf } from '../../src/lib/core/pace';
import {
	applyEdit,
	type ClassPlan,
	emptyPlan,
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
	clock(plan, findMovement).entries.map((e) => `${e.phase}${e.side ?? ''} ${seconds(e)}`);

describe('the pace (observed medians: common practice, no source)', () => {
	it('getting into a shape with explanation takes 26 s on the first side', () => {
		const { setUpSeconds, explainSeconds, moveSeconds: move } = DEFAULT_PACE;
		expect(move + setUpSeconds + explainSeconds.ordinary).toBe(26);
	});

	it.each<[string, number, number, number]>([
		['changing sides without a prop', DEFAULT_PACE.changeSidesSeconds, 2, 32],
		['changing sides with a prop', DEFAULT_PACE.changeSidesWithPropSeconds, 11, 33],
		['a breath joined to a movement', DEFAULT_PACE.movingBreathSeconds, 4, 6],
		['a held breath', DEFAULT_PACE.heldBreathSeconds, 6, 8],
		['a count', DEFAULT_PACE.countSeconds, 1, 1.5],
		['a small repetition', DEFAULT_PACE.repetitionSeconds.small, 4, 5],
		['a sweep', DEFAULT_PACE.repetitionSeconds.sweep, 5, 6],
		['a large repetition', DEFAULT_PACE.repetitionSeconds.large, 7, 9],
		['a repetition in balance', DEFAULT_PACE.repetitionSeconds.balance, 9, 14],
		['a slow side change on the floor', DEFAULT_PACE.repetitionSeconds['slow-switch'], 12, 14],
		['explaining in a flow class', DEFAULT_PACE.explainSeconds.brief, 0, 5],
		['explaining in an ordinary class', DEFAULT_PACE.explainSeconds.ordinary, 12, 16],
		['explaining in a detailed class', DEFAULT_PACE.explainSeconds.detailed, 25, 40]
	])('%s lies within what was observed', (_what, value, low, high) => {
		expect(value).toBeGreaterThanOrEqual(low);
		expect(value).toBeLessThanOrEqual(high);
	});

	it.each([
		['kneeling', 'quadruped', 6, 14],
		['seated', 'supine', 8, 15],
		['supine', 'quadruped', 24, 24],
		['supine', 'kneeling', 33, 33],
		['seated', 'wall-supine', 16, 20]
	] as const)('from %s to %s takes %i to %i s', (from, to, low, high) => {
		expect(moveSeconds(DEFAULT_PACE, from, to)).toBeGreaterThanOrEqual(low);
		expect(moveSeconds(DEFAULT_PACE, from, to)).toBeLessThanOrEqual(high);
	});

	it('has a figure for every pair of positions, and scales them all', () => {
		expect(moveTable(DEFAULT_PACE)).toHaveLength(56);
		for (const { seconds: s } of moveTable(DEFAULT_PACE)) expect(s).toBeGreaterThan(0);
		expect(moveSeconds(paceOf(undefined, { moveSeconds: 20 }), 'supine', 'quadruped')).toBe(48);
	});
});

describe('doses become seconds', () => {
	it('in their own units', () => {
		const s = (dose: Parameters<typeof doseSeconds>[0], mode: Parameters<typeof doseSeconds>[1], n: number) =>
			doseSeconds(dose, mode, n, DEFAULT_PACE);
		const limits = { min: 1, usual: 1, max: 99 };
		expect(s({ unit: 'seconds', ...limits }, 'passive', 45)).toBe(45);
		expect(s({ unit: 'breaths', ...limits }, 'active', 5)).toBe(35);
		expect(s({ unit: 'breaths', ...limits }, 'dynamic', 5)).toBe(25);
		expect(s({ unit: 'counts', ...limits }, 'isometric', 8)).toBe(10);
		expect(s({ unit: 'repetitions', tempo: 'small', ...limits }, 'dynamic', 10)).toBe(45);
		expect(s({ unit: 'rounds', breathsPerRound: 2, ...limits }, 'dynamic', 6)).toBe(60);
	});
});

describe('the clock, worked by hand', () => {
	it('one symmetrical movement: set-up, explanation, work', () => {
		expect(phasesOf(planOf('supine-leg-roll'))).toEqual(['setUp 3', 'explain 13', 'work 27']);
	});

	it('a movement with sides: the second side is changed to, explained at 60 %, and as long', () => {
		// clam, full: 10 small repetitions of 4.5 s a side
		expect(phasesOf(planOf('clam'))).toEqual([
			'setUp1 3',
			'explain1 13',
			'work1 45',
			'change2 12',
			'explain2 8',
			'work2 45'
		]);
	});

	it('a change of position and of kit, and a slow way out', () => {
		const phases = phasesOf(planOf('cat-cow', 'supported-bridge'));
		// all fours to supine has no figure of its own: 10 s; the block under the sacrum 12 s
		expect(phases.slice(3)).toEqual(['move 10', 'fetch 12', 'setUp 3', 'explain 13', 'work 90', 'leave 8']);
	});

	it('explains a movement shortly when it comes back', () => {
		const explains = phasesOf(planOf('cat-cow', 'cat-cow')).filter((p) => p.startsWith('explain'));
		expect(explains).toEqual(['explain 13', 'explain 8']);
	});

	it('a chain runs through on one side, then mirrored', () => {
		const plan = applyEdit(planOf('low-lunge', 'low-lunge-knee-lift'), {
			do: 'chain',
			blockIds: ['b1', 'b2']
		});
		const work = clock(plan, findMovement).entries.filter((e) => e.phase === 'work');
		expect(work.map((e) => [e.movement, e.side, e.leads])).toEqual([
			['low-lunge', 1, 'left'],
			['low-lunge-knee-lift', 1, 'left'],
			['low-lunge', 2, 'right'],
			['low-lunge-knee-lift', 2, 'right']
		]);
		const changes = clock(plan, findMovement).entries.filter((e) => e.phase === 'change');
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
			const [change, ...more] = clock(plan, findMovement).entries.filter(({ phase }) => phase === 'change');
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
			do: 'setItem',
			itemId: itemsOf(planOf('clam'))[0]!.id,
			change: { moreOn: { leg: 'right', dose: 3 } }
		});
		const work = clock(plan, findMovement).entries.filter(({ phase }) => phase === 'work');
		const [dose] = itemsOf(plan).map((item) => item.dose);
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
			const { entries, totalSeconds } = clock(plan, findMovement);
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
			const { entries } = clock(plan, findMovement);
			for (const item of itemsOf(plan)) {
				if (isSymmetrical(movement(item.movement).action)) continue;
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
			for (const { legs, leads, phase } of clock(plan, findMovement).entries) {
				if (phase !== 'work') expect(legs).toBeNull();
				else if (leads === null) expect(legs).toEqual({ left: 'both', right: 'both' });
				else for (const leg of LEGS) expect(legs?.[leg]).toBe(leg === (leads as Leg) ? 'lead' : 'trail');
			}
		});
	});

	it('mirrored twice is the same plan; mirrored once takes as long', () => {
		run((plan) => {
			expect(mirror(mirror(plan))).toEqual(plan);
			expect(clock(mirror(plan), findMovement).totalSeconds).toBe(clock(plan, findMovement).totalSeconds);
		});
	});

	it('changes only what follows when a dose is edited', () => {
		fc.assert(
			fc.property(anyPlan(2), fc.nat(), (plan, pick) => {
				const items = itemsOf(plan);
				fc.pre(items.length > 0);
				const item = items[pick % items.length]!;
				const { min, max } = doseOf(item);
				const dose = item.dose === max ? min : max;
				const before = clock(plan, findMovement).entries;
				const after = clock(
					applyEdit(plan, { do: 'setItem', itemId: item.id, change: { dose } }),
					findMovement
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
			const timeline = clock(plan, findMovement);
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
	expect(clock(planOf(...CATALOGUE.map((m) => m.slug)), findMovement).totalSeconds).toBeGreaterThan(3600);
});

describe('what is owed to the other side', () => {
	const plan = () => {
		const w = new PlanWriter();
		return w
			.add('build', w.chain(w.item('low-lunge', { form: 'full', dose: 5 }), w.item('clam', { dose: 10 })))
			.plan('A chain', '18:30', 1800);
	};

	it('grows through the first side of a chain, melts in the second, and is nothing at the end', () => {
		const timeline = clock(plan(), findMovement);
		const second = timeline.entries.find((e) => e.phase === 'change')!.fromSeconds;
		expect(owedAt(timeline, 0)).toEqual([]);
		expect(owedAt(timeline, second)).toEqual([
			{ movement: 'low-lunge', leg: 'right', seconds: 35 },
			{ movement: 'clam', leg: 'right', seconds: 45 }
		]);
		expect(owedAt(timeline, timeline.totalSeconds)).toEqual([]);
	});

	it('is worked out at any second: what is owed changes by no more than that second', () => {
		fc.assert(
			fc.property(anyPlan(1, 8), fc.nat(), (any, n) => {
				const timeline = clock(any, findMovement);
				const t = n % (timeline.totalSeconds + 1);
				const sum = (at: number) => owedAt(timeline, at).reduce((s, o) => s + o.seconds, 0);
				expect(Math.abs(sum(t + 1) - sum(t))).toBeLessThanOrEqual(1);
			})
		);
	});
});
