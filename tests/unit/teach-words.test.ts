/** Words on the screen while a class is led. */
import { describe, expect, it } from 'vitest';
import { findMovement } from '../../src/lib/catalogue';
import { USUAL_PACE } from '../../src/lib/core/pace';
import {
	beginsAt,
	bigNumber,
	figureKeys,
	figuresOf,
	lateWords,
	legCall,
	moreSeconds,
	nextWords,
	replay,
	restOfItem,
	roomNow,
	scriptOf,
	spoken,
	stepLine,
	Steps,
	nowOf,
	type Now,
	type SessionEvent,
	type TeachPack
} from '../../src/lib/core/teach';
import { keysOf, TEACH_ACTS, withKey } from '../../src/lib/client/teach/teach-keys';
import { hereWords } from '../../src/lib/core/people';
import { DEMO_GROUPS } from '../../src/lib/demo/groups';
import { DEMO_PLANS } from '../../src/lib/demo/plans';

const { plan } = DEMO_PLANS[0]!;
const SCRIPT = scriptOf(plan, DEMO_GROUPS.striders, findMovement, USUAL_PACE);
const STEPS = new Steps(SCRIPT);
const START = Date.UTC(2026, 10, 24, 19, 15);

/** The screen after some seconds in the n-th step, none before it. */
function at(index: number, seconds: number): Now {
	const event = (place: number, act: object, ms = 0): SessionEvent =>
		({ id: `event-${place + 1000}`, at: START + ms, monoMs: ms, boot: 'b', ...act }) as SessionEvent;
	const moves = Array.from({ length: index }, (_, i) => event(i + 1, { do: 'next' }));
	const events = [
		event(0, { do: 'start', plannedStartAt: START }),
		...moves,
		event(500, { do: 'note', words: 'x' }, seconds * 1000)
	];
	return nowOf(replay(SCRIPT, events), STEPS);
}
const indexOf = (holds: (step: (typeof SCRIPT.steps)[number]) => boolean) => SCRIPT.steps.findIndex(holds);
const breaths = indexOf(({ kind, count }) => kind === 'work' && count?.unit === 'breaths');
const seconds = indexOf(({ kind, count }) => kind === 'work' && count?.unit === 'seconds');
const gettingIn = indexOf(({ kind }) => kind === 'in');

describe('the number that counts', () => {
	it('is the present breath of how many, and what goes beyond them', () => {
		const { amount, eachSeconds } = SCRIPT.steps[breaths]!.count!;
		expect(bigNumber(at(breaths, 0))).toEqual({ big: '1', of: `of ${amount} breaths`, over: '' });
		expect(bigNumber(at(breaths, 2.5 * eachSeconds)).big).toBe('3');
		const late = bigNumber(at(breaths, amount * eachSeconds + 12));
		expect([late.big, late.over]).toEqual([String(amount), '+0:12']);
	});

	it('is what is left of held seconds, and how long people have been getting in', () => {
		const { seconds: planned } = SCRIPT.steps[seconds]!;
		expect(bigNumber(at(seconds, planned - 7)).big).toBe('0:07');
		expect(bigNumber(at(gettingIn, 9))).toMatchObject({ big: '0:09', over: '' });
	});
});

describe('words', () => {
	it.each([
		[0, 'on time'],
		[29_000, 'on time'],
		[130_000, '2:10 behind'],
		[-40_000, '0:40 ahead']
	])('%i ms late is %s', (ms, words) => expect(lateWords(ms)).toBe(words));

	it('name the teacher’s own leg only where the group is faced', () => {
		expect(legCall('left', true)).toEqual({ word: 'Left', own: 'your right' });
		expect(legCall('left', false)).toEqual({ word: 'Left', own: '' });
	});

	it('say what comes next, seen from where the class is', () => {
		const work = indexOf(({ kind, side }) => kind === 'work' && side === 1);
		const step = SCRIPT.steps[work]!;
		expect(nextWords(step, SCRIPT.steps[work - 1]!, true)).toBe('start counting');
		const second = SCRIPT.steps.find(
			({ kind, side, itemId }) => kind === 'in' && side === 2 && itemId === step.itemId
		)!;
		expect(nextWords(second, step, true)).toBe(`${second.leg} leg`);
		expect(nextWords(step, SCRIPT.steps[0]!, true)).toContain(step.title);
		expect(stepLine(step)).toContain(step.leg!);
		expect(spoken(SCRIPT.steps[work - 1]!)).toContain(`${step.leg} leg`);
	});
});

describe('what a press means', () => {
	it('"more" is two of what is counted, or half a minute', () => {
		const { eachSeconds } = SCRIPT.steps[breaths]!.count!;
		expect(moreSeconds(at(breaths, 0))).toBe(Math.round(2 * eachSeconds));
		expect(moreSeconds(at(seconds, 0))).toBe(30);
	});

	it('"leave out" takes the rest of this side and leaves the other', () => {
		const work = indexOf(({ kind, side }) => kind === 'work' && side === 1);
		const event = { at: START, monoMs: 0, boot: 'b' };
		const events = [
			{ ...event, id: 'event-start', do: 'start', plannedStartAt: START },
			...Array.from({ length: work }, (_, i) => ({ ...event, id: `event-${i + 1000}`, do: 'next' }))
		] as SessionEvent[];
		const out = restOfItem(replay(SCRIPT, events), STEPS).map((id) => STEPS.get(id));
		expect(out.length).toBeGreaterThan(0);
		for (const { itemId, side } of out) expect([itemId, side]).toEqual([SCRIPT.steps[work]!.itemId, 1]);
	});

	it.each([
		[START, 0, START],
		[START, 600_000, START],
		[START, -600_000, START],
		[START, 5 * 3_600_000, START + 5 * 3_600_000],
		[null, 0, START]
	])('a class planned at %s that begins %i ms from then is measured from %i', (plannedStartAt, after, from) =>
		expect(beginsAt({ plannedStartAt } as TeachPack, START + after)).toBe(from)
	);
});

describe('the room', () => {
	it('is shown no word about persons and nothing that is said', () => {
		const figures = figuresOf(figureKeys(SCRIPT), findMovement);
		const place = indexOf(({ people, figure }) => people.length > 0 && figure !== null);
		const shown = roomNow(at(place, 0), 'running', figures);
		const words = JSON.stringify(shown);
		for (const line of SCRIPT.steps.flatMap(({ people }) => people)) expect(words).not.toContain(line);
		expect(shown.now.step.say).toEqual([]);
		expect(Object.keys(shown.figures)).toEqual([SCRIPT.steps[place]!.figure]);
	});

	it('has a drawing for each step that names one', () => {
		const figures = figuresOf(figureKeys(SCRIPT), findMovement);
		for (const { figure } of SCRIPT.steps)
			if (figure !== null) expect(figures[figure]!.strokes.length).toBeGreaterThan(5);
	});
});

describe('keys', () => {
	it('do what they are set to, and each only one thing', () => {
		const chosen = withKey({}, 'pause', 'PageDown');
		expect(keysOf('pause', chosen)).toContain('PageDown');
		expect(keysOf('next', chosen)).not.toContain('PageDown');
		expect(keysOf('next', chosen)).toContain(' ');
		const again = withKey(chosen, 'next', 'PageDown');
		expect(keysOf('next', again)).toContain('PageDown');
		expect(keysOf('pause', again)).not.toContain('PageDown');
		const all = TEACH_ACTS.flatMap((act) => keysOf(act, again));
		expect(new Set(all).size).toBe(all.length);
	});
});

describe('who is here', () => {
	it('is said in a line', () => {
		expect(
			hereWords({
				tiers: { tight: 4, middling: 0, open: 2 },
				cautions: [{ caution: 'sore knee', people: 2 }]
			})
		).toBe('6 people: 4 tight, 2 open; sore knee 2');
		expect(hereWords({ tiers: { tight: 0, middling: 1, open: 0 }, cautions: [] })).toBe(
			'1 person: 1 middling'
		);
	});
});
