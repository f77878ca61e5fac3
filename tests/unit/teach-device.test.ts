/** A class on the device that leads it: presses, sleep, and what is kept for the next opening of the page. */
import 'fake-indexeddb/auto';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import {
	beginSession,
	rehearseSession,
	reopenSession
} from '../../src/lib/client/teach/teaching-session.svelte';
import { DeviceStore } from '../../src/lib/client/teach/device-store';
import { findMovement } from '../../src/lib/catalogue';
import { USUAL_PACE } from '../../src/lib/core/pace';
import { givenMs, presentId, scriptOf, type TeachPack } from '../../src/lib/core/teach';
import { DEMO_GROUPS } from '../../src/lib/demo/groups';
import { DEMO_PLANS } from '../../src/lib/demo/plans';

const script = scriptOf(DEMO_PLANS[0]!.plan, DEMO_GROUPS.striders, findMovement, USUAL_PACE);
const pack = { planId: 'plan', groupId: 'group', script, figures: {} } as unknown as TeachPack;
const START = Date.UTC(2026, 11, 1, 19, 15);

beforeEach(() => {
	vi.useFakeTimers({ toFake: ['Date', 'performance', 'setInterval', 'clearInterval'], now: START });
	vi.stubGlobal('requestAnimationFrame', (work: () => void) => setImmediate(work));
	vi.stubGlobal('navigator', { onLine: false });
	vi.stubGlobal('fetch', () => Promise.reject(new Error('no line')));
});
afterEach(() => {
	vi.useRealTimers();
	vi.unstubAllGlobals();
});

/** Both clocks go on together, as while the page is awake. */
const pass = (ms: number) => vi.advanceTimersByTime(ms);
/** The wall's clock goes on alone, as while the device sleeps. */
const sleep = (ms: number) => vi.setSystemTime(Date.now() + ms);
const begun = () => beginSession(null, pack, 'imke', START, null);

describe('a press on Next', () => {
	it('that comes twice is one, and a later one is another', async () => {
		const run = await begun();
		pass(20_000);
		run.tick();
		run.press({ do: 'next' });
		pass(120);
		run.press({ do: 'next' });
		expect(presentId(run.state)).toBe(script.steps[1]!.id);
		pass(400);
		run.press({ do: 'next' });
		expect(presentId(run.state)).toBe(script.steps[2]!.id);
	});

	it('says what it skipped, and going back to it forgets that', async () => {
		const run = await begun();
		const work = script.steps.findIndex(({ kind, seconds }) => kind === 'work' && seconds >= 10);
		while (presentId(run.state) !== script.steps[work]!.id) {
			pass(9000);
			run.tick();
			run.press({ do: 'next' });
		}
		expect(run.skipped).toBe('');
		pass(700);
		run.tick();
		run.press({ do: 'next' });
		expect(run.skipped).toBe(script.steps[work]!.title);
		run.back();
		expect([run.skipped, presentId(run.state)]).toEqual(['', script.steps[work]!.id]);
		// right after going back a press counts
		pass(50);
		run.press({ do: 'next' });
		expect(presentId(run.state)).toBe(script.steps[work + 1]!.id);
	});
});

describe('a device that slept', () => {
	it.each([
		[true, 330_000, 0],
		[false, 30_000, 300_000]
	])('asks, and taught on is %s: the step was given %d ms, paused %d', async (taught, given, paused) => {
		const run = await begun();
		pass(20_000);
		run.tick();
		expect(run.slept).toBe(0);
		sleep(300_000);
		pass(200);
		run.tick();
		expect(Math.round(run.slept / 1000)).toBe(300);
		pass(9800);
		run.whileAsleep(taught);
		run.tick();
		expect([run.slept, givenMs(run.state, presentId(run.state)), run.state.pausedMs]).toEqual([
			0,
			given,
			paused
		]);
		// the class is as late as it is by the clock on the wall
		expect(Math.round((run.state.startedAt + run.state.elapsedMs - Date.now()) / 1000)).toBe(0);
	});

	it('is not asked in a pause, in a rehearsal, or for the delay of a browser', async () => {
		const run = await begun();
		run.tick();
		sleep(5000);
		run.tick();
		run.does({ do: 'pause' });
		run.tick();
		sleep(60_000);
		run.tick();
		expect(run.slept).toBe(0);
		const rehearsal = rehearseSession(pack, () => 8);
		rehearsal.tick();
		sleep(60_000);
		rehearsal.tick();
		expect(rehearsal.slept).toBe(0);
	});
});

describe('a page that is ended', () => {
	it('loses no second that it said it was there', async () => {
		const store = await DeviceStore.open();
		const run = await beginSession(store, pack, 'imke', START, null);
		const kept = (await store.runs()).at(-1)!;
		await vi.waitFor(async () => expect(await store.events(kept.id)).toHaveLength(1));
		pass(7400);
		run.tick();
		pass(900);
		run.isAlive();
		const alive = Date.now();
		await vi.waitFor(async () => expect((await store.lastAlive(kept.id))?.at).toBe(alive));
		pass(60_000);
		const again = await reopenSession(store, kept);
		expect(givenMs(again.state, script.steps[0]!.id) + again.state.pausedMs).toBe(Date.now() - START);
		run.close();
		again.close();
		await store.drop(kept.id);
		store.close();
	});

	it('sends nothing and breaks nothing when the page goes during a delivery', async () => {
		const unhandled = vi.fn();
		process.once('unhandledRejection', unhandled);
		const store = await DeviceStore.open();
		const run = await beginSession(store, pack, 'imke', START, null);
		const kept = (await store.runs()).at(-1)!;
		await vi.waitFor(async () => expect(await store.events(kept.id)).toHaveLength(1));
		const answers: (() => void)[] = [];
		const server = vi.fn(() => new Promise<Response>((_, no) => answers.push(() => no(new Error('gone')))));
		vi.stubGlobal('fetch', server);
		const delivery = run.send();
		await vi.waitFor(() => expect(server).toHaveBeenCalledTimes(1));
		run.close();
		store.close();
		answers.forEach((answer) => answer());
		await expect(delivery).resolves.toBeUndefined();
		await run.send();
		await new Promise((soon) => setTimeout(soon, 50));
		expect(server).toHaveBeenCalledTimes(1);
		expect(unhandled).not.toHaveBeenCalled();
		process.off('unhandledRejection', unhandled);
		vi.unstubAllGlobals();
		const opened = await DeviceStore.open();
		await opened.drop(kept.id);
		opened.close();
	});
});
