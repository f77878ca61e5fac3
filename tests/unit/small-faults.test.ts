/** Small faults that no test noticed once: each has a worked example here that it would change. */
import { describe, expect, it } from 'vitest';
import { CATALOGUE, findMovement } from '../../src/lib/catalogue';
import { clock, workSecondsOf, type TimelineEntry } from '../../src/lib/core/clock';
import { CAUTIONS, usualForm } from '../../src/lib/core/movement';
import { groupFaults, newGroup, type Group } from '../../src/lib/core/group';
import { groupResults, studentResults } from '../../src/lib/core/measure';
import { trend, type StudentCheckIn } from '../../src/lib/core/hip-tests';
import { KINDS, learnPace, USUAL_PACE, type ClassKind, type PaceEvidence } from '../../src/lib/core/pace';
import { itemsOf, type ClassPlan } from '../../src/lib/core/plan';
import { proposeClasses } from '../../src/lib/core/propose';
import { formSuiting, substitutes, suits } from '../../src/lib/core/substitution';
import { withMentions } from '../../src/lib/core/people';
import { DIRECTIONS } from '../../src/lib/core/anatomy';
import { notesOfTally, scriptOf, tally, type SessionEvent } from '../../src/lib/core/teach';
import { PlanWriter } from '../../src/lib/demo/build';
import { DEMO_GROUPS } from '../../src/lib/demo/groups';
import { DEMO_PLANS } from '../../src/lib/demo/plans';
import { ask } from './propose-asked';

const seconds = ({ fromSeconds, toSeconds }: TimelineEntry) => toSeconds - fromSeconds;
const timed = (plan: ClassPlan) => clock(plan, findMovement, USUAL_PACE).entries;

describe('the clock', () => {
	/** Something in a form with kit, twice, with or without something between. */
	const twice = (between: 'test' | 'nothing') => {
		const w = new PlanWriter();
		const withKit = () => w.item('butterfly', { form: 'supported' });
		w.add('build', withKit(), ...(between === 'test' ? [w.test('leg-roll')] : []), withKit());
		const second = itemsOf(w.plan('Twice', '18:30', 1800))[1]!.id;
		return timed(w.plan('Twice', '18:30', 1800)).filter(
			({ itemId, phase }) => itemId === second && phase === 'fetch'
		);
	};

	it('puts kit down at a test: it is set up again after it, and not where nothing came between', () => {
		const placed = twice('test').reduce((sum, entry) => sum + seconds(entry), 0);
		const inUse = twice('nothing').reduce((sum, entry) => sum + seconds(entry), 0);
		expect(placed).toBeGreaterThan(inUse);
	});

	it('a flow that is mirrored, worked by hand: its second side rides on the breath, with no set-up of its own', () => {
		const w = new PlanWriter();
		const items = [w.item('low-lunge'), w.item('warrior-2')];
		w.add('build', w.flow(items, { rounds: 2, sides: 'mirrored' as never }, 1));
		const plan = w.plan('Mirrored', '18:30', 1800);
		const flow = plan.sections.flatMap(({ blocks }) => blocks)[0]!;
		if (flow.kind !== 'flow') throw new Error('it is a flow');
		const both = timed(plan);
		const setUps = (side: 1 | 2) => both.filter((e) => e.phase === 'setUp' && e.side === side).length;
		expect(setUps(1)).toBeGreaterThan(0);
		expect(setUps(2)).toBe(0);
	});

	it.each(['quiet', 'detailed', 'ordinary'] as ClassKind[])(
		'the hold at the last repetition takes as long as the kind of class does: %s',
		(classKind) => {
			const lasts = (lastHold: boolean) => {
				const w = new PlanWriter();
				const dose = {
					amount: 6,
					...(lastHold ? { lastHold: { amount: 20, unit: 'counts' as const } } : {})
				};
				w.add('build', w.item('standing-leg-back', { dose }));
				const plan = { ...w.plan('Held', '18:30', 1800), pinnedPace: { classKind } };
				return timed(plan)
					.filter(({ phase }) => phase === 'work')
					.map(seconds)[0]!;
			};
			// 20 counts of 1.7 s (the usual figure), times the factor of the kind
			const expected = 20 * 1.7 * KINDS[classKind].workFactor;
			expect(Math.abs(lasts(true) - lasts(false) - expected)).toBeLessThanOrEqual(1);
		}
	);
});

describe('what is written down of a class that was led', () => {
	it('an item of which one side was left out was not left out', () => {
		const { plan } = DEMO_PLANS[0]!;
		const script = scriptOf(plan, DEMO_GROUPS.striders, findMovement, USUAL_PACE);
		const second = script.steps.find(({ equals }) => equals !== null)!;
		const ofIt = script.steps.filter(({ itemId, side }) => itemId === second.itemId && side === second.side);
		const whole = script.steps.filter(({ itemId }) => itemId === second.itemId);
		const led = (steps: readonly { id: string }[]) => {
			const at = (place: number) => ({ id: `event-${place}`, at: 0, monoMs: place * 10_000, boot: 'b' });
			const events: SessionEvent[] = [
				{ ...at(0), do: 'start', plannedStartAt: 0 },
				{ ...at(0), id: 'event-left-out', do: 'leave out', steps: steps.map(({ id }) => id) },
				...script.steps.map((_step, i): SessionEvent => ({ ...at(i + 1), do: 'next' }))
			];
			return notesOfTally(tally(script, events), plan).leftOut;
		};
		const slug = itemsOf(plan).find(({ id }) => id === second.itemId)!.movement;
		expect(led(ofIt)).not.toContain(slug);
		expect(led(whole)).toContain(slug);
	});
});

describe('what is learned of a pace', () => {
	const evening = (ratio: number): PaceEvidence => ({
		kind: 'ordinary',
		known: 'steps',
		usualSeconds: { 'whole pace': 2700 },
		realSeconds: 2700 * ratio,
		figures: {},
		movements: {}
	});

	it('uneven evenings make the next one less sure than even ones, with the same mean', () => {
		const even = learnPace([1, 1, 1, 1, 1].map(evening), 'ordinary', true)!;
		const uneven = learnPace([0.85, 1.18, 0.85, 1.18, 1].map(evening), 'ordinary', true)!;
		expect(Math.abs(Math.log(even.factor) - Math.log(uneven.factor))).toBeLessThan(0.05);
		expect(uneven.logSd).toBeGreaterThan(1.3 * even.logSd);
	});
});

describe('what was measured', () => {
	const reading = (left: number, right: number): StudentCheckIn => ({
		kind: 'readings',
		test: 'butterfly-knees',
		moment: 'before the class',
		unit: 'centimetres',
		source: 'by hand',
		readings: { left: [left, left, left], right: [right, right, right] }
	});

	it('where less is freer, a knee that comes nearer to the floor is freer', () => {
		const words = (before: number, after: number) => {
			const dated = (on: string, cm: number) => ({ on, checkIn: reading(cm, cm), studentId: 's' }) as never;
			return studentResults([dated('2026-09-01', before), dated('2026-11-24', after)])[0]!.words.join(' ');
		};
		expect(words(30, 10)).toMatch(/freer/);
		expect(words(10, 30)).not.toMatch(/freer/);
	});

	it('two check-ins on one day are ties of Kendall’s S and make the interval of Sen narrower', () => {
		const spread = [1, 2, 3, 4, 5, 6, 7, 8].map((x) => ({ x, y: x + (x % 3) }));
		// the same values, two on each day: variance n(n-1)(2n+5)/18 = 65.33 less 4 ties of 2(1)(9)/18 = 4
		const tied = spread.map(({ y }, i) => ({ x: 1 + Math.floor(i / 2), y }));
		const { from, to } = trend(tied)!;
		const slopes = tied
			.flatMap((a, i) => tied.slice(i + 1).map((b) => (b.x === a.x ? NaN : (b.y - a.y) / (b.x - a.x))))
			.filter((slope) => !Number.isNaN(slope))
			.sort((a, b) => a - b);
		const ties = tied.length - new Set(tied.map(({ y }) => y)).size;
		const yTies = [...new Set(tied.map(({ y }) => y))].reduce((sum, y) => {
			const t = tied.filter((point) => point.y === y).length;
			return sum + t * (t - 1) * (2 * t + 5);
		}, 0);
		expect(ties).toBeGreaterThanOrEqual(0);
		const reach = 1.96 * Math.sqrt((8 * 7 * 21 - 4 * 2 * 9 - yTies) / 18);
		const at = (rank: number) => slopes[Math.max(0, Math.min(slopes.length - 1, Math.round(rank)))];
		expect([from, to]).toEqual([at((slopes.length - reach) / 2 - 1), at((slopes.length + reach) / 2)]);
	});

	it('of a group that counted nobody says nothing', () => expect(groupResults([])).toEqual([]));
});

describe('kit', () => {
	it('of one person is no kit of twelve: what needs a block each is not given in the place of something', () => {
		const room = (block: number): Group => ({
			...newGroup('general', 'Twelve'),
			size: 12,
			sharesKit: false,
			kit: { block }
		});
		const needBlocks = (group: Group) =>
			CATALOGUE.flatMap((movement) => substitutes(movement, CATALOGUE, group)).filter(({ movement }) =>
				usualForm(movement).props.some(({ kit }) => kit === 'block')
			).length;
		expect(needBlocks(room(1))).toBe(0);
		expect(needBlocks(room(24))).toBeGreaterThan(0);
	});
});

describe('a class that is proposed round what is there', () => {
	it('gives what is kept in the order in which it stood', () => {
		const w = new PlanWriter();
		const slugs = ['clam', 'happy-baby', 'butterfly', 'cat-cow', 'supine-figure-four'];
		w.add('build', ...slugs.map((slug) => w.item(slug)));
		const base = w.plan('Kept', '18:30', 45 * 60);
		for (const seed of [1, 2, 3])
			for (const { proposal } of proposeClasses(ask(DEMO_GROUPS.lamp, 45, {}, { base, seed }))) {
				const kept = itemsOf(proposal.plan)
					.filter(({ id }) => itemsOf(base).some((item) => item.id === id))
					.map(({ movement }) => movement);
				expect(kept).toEqual(slugs);
			}
	});
});

describe('a caution', () => {
	it('gets a form that suits it, of every movement that has one, and never another', () => {
		for (const movement of CATALOGUE)
			for (const caution of CAUTIONS) {
				const fit = movement.forms.filter(({ id }) =>
					['fine', 'in this form'].includes(suits(movement, id, caution).kind)
				);
				const given = formSuiting(movement, caution);
				expect(fit.length > 0, `${movement.slug}, ${caution}`).toBe(given !== undefined);
				if (given) expect(fit, `${movement.slug}, ${caution}`).toContain(given);
			}
	});
});

describe('sums', () => {
	it('lower ends of bands that make exactly 100 percent can be met', () => {
		const group = newGroup('general', 'Exact');
		const rest = { minPercent: 0, maxPercent: 100 };
		const directions = Object.fromEntries(
			DIRECTIONS.map((d, i) => [d, i < 2 ? { minPercent: 50, maxPercent: 100 } : rest])
		) as Group['targets']['directions'];
		expect(groupFaults({ ...group, targets: { ...group.targets, directions } })).toEqual([]);
		directions[DIRECTIONS[2]!] = { minPercent: 1, maxPercent: 100 };
		expect(groupFaults({ ...group, targets: { ...group.targets, directions } })).not.toEqual([]);
	});

	it('the work of an item is that of all its sets', () => {
		const w = new PlanWriter();
		w.add('build', w.item('clam'));
		const one = w.plan('Sets', '18:30', 1800);
		const [item] = itemsOf(one);
		const work = (sets: number) => {
			const plan = structuredClone(one);
			itemsOf(plan)[0]!.dose.sets = sets;
			return workSecondsOf(plan, findMovement, USUAL_PACE).get(item!.id)!;
		};
		expect(work(3)).toBe(3 * work(1));
	});
});

it('of two names that begin alike the longer one is mentioned', () => {
	const people = [
		{ id: 'short', name: 'An' },
		{ id: 'long', name: 'An K.' }
	];
	expect(withMentions('@An K. sat, @An stood', people)).toBe('@{long} sat, @{short} stood');
	expect(withMentions('@An K. sat', [...people].reverse())).toBe('@{long} sat');
});
