import type { Page } from '@playwright/test';
import { tally } from '../../src/lib/core/teach';
import { axeInBoth, expect, test, enteredAnew } from './base';
import {
	begin,
	next,
	now,
	onDevice,
	plannedStart,
	press,
	readyOffline,
	tap,
	toTeach,
	withSettings
} from './teaching';

test.use({ ownContext: true });

test('a class is taught by a clicker from the week to its end, and the server has all of it', async ({
	page
}) => {
	const { path, plan } = await toTeach(page);
	const start = await plannedStart(page, plan);
	await page.clock.install({ time: start });
	await begin(page, path);
	expect(await axeInBoth(page), 'teach').toEqual([]);
	const steps = (await (await page.request.get(`/api/teach/packs/${plan}`)).json()).script.steps as {
		title: string;
		leg: string | null;
		seconds: number;
	}[];
	for (const [index, step] of steps.entries()) {
		if (step.title) await expect(now(page).getByRole('heading', { level: 1 })).toHaveText(step.title);
		if (step.leg) await expect(now(page)).toContainText(step.leg === 'left' ? 'Left leg' : 'Right leg');
		await page.clock.fastForward(step.seconds * 1000);
		if (index === 3) {
			// pressed once too often: the clicker goes back, and nothing is lost
			await page.keyboard.press('PageDown');
			await page.keyboard.press('PageUp');
			await expect(now(page).getByRole('heading', { level: 1 })).toHaveText(step.title);
		}
		await page.keyboard.press('PageDown');
	}
	await expect(page.getByRole('heading', { name: 'The class is over' })).toBeVisible();
	await expect(page.getByText(/planned, on time/)).toBeVisible();
	await expect(page.getByText('Everything is saved on the server.')).toBeVisible();
	const [run] = await onDevice(page);
	const stored = await (await page.request.get(`/api/teach/sessions/${run!.id}`)).json();
	expect(stored.events).toEqual(run!.events);
	expect(stored.events.length).toBe(steps.length + 4);
});

test('by the clock it goes on by itself to the second, and waits after going back', async ({ page }) => {
	const { path, plan } = await toTeach(page);
	await page.clock.install({ time: await plannedStart(page, plan) });
	await withSettings(page, { lead: 'clock', waitsForPeople: false, tones: false });
	await begin(page, path);
	const { script } = await (await page.request.get(`/api/teach/packs/${plan}`)).json();
	const untilTenth = script.steps
		.slice(0, 9)
		.reduce((sum: number, s: { seconds: number }) => sum + s.seconds, 0);
	await page.clock.fastForward(untilTenth * 1000 + 400);
	await expect(now(page).getByRole('heading', { level: 1 })).toHaveText(script.steps[9].title);
	await page.getByRole('button', { name: 'Back', exact: true }).click();
	await page.clock.fastForward(120_000);
	await expect(now(page).getByRole('heading', { level: 1 })).toHaveText(script.steps[8].title);
	await next(page).click();
	await page.clock.fastForward(script.lengthSeconds * 1000);
	await expect(next(page)).toContainText('End the class');
});

test('ten minutes late: what would help is offered, taken with one press and taken back with one', async ({
	page
}) => {
	const { path, plan } = await toTeach(page);
	await page.clock.install({ time: (await plannedStart(page, plan)) + 600_000 });
	await begin(page, path);
	const late = page.getByRole('button', { name: /behind|on time/ });
	await expect(late).toHaveText(/10:0\d behind/);
	await late.click();
	const dialog = page.getByRole('dialog');
	await expect(dialog.getByText('Ends on time.').first()).toBeVisible();
	await dialog.getByRole('button', { name: 'Do this' }).first().click();
	await expect(late).toHaveText('on time');
	await late.click();
	await dialog.getByRole('button', { name: 'Undo' }).click();
	await expect(late).toHaveText(/10:0\d behind/);
});

test('by thumb on a phone, without the server for a while: a side that is left out is owed until it is brought back, and the class ends', async ({
	page,
	watch
}) => {
	watch.allow.push(/ERR_FAILED/);
	await page.setViewportSize({ width: 390, height: 844 });
	const { path, plan } = await toTeach(page);
	const { script } = await (await page.request.get(`/api/teach/packs/${plan}`)).json();
	await page.route('**/api/teach/sessions/*', (route) => route.abort());
	await page.clock.install();
	await begin(page, path);
	const second = script.steps.findIndex((s: { equals: string | null }) => s.equals !== null);
	const title = script.steps[second].title as string;
	await tap(page, second - 1);
	await page.getByRole('button', { name: 'Leave out' }).click();
	const leg = script.steps[second].leg === 'left' ? 'Left' : 'Right';
	const owed = page.getByText(new RegExp(`^Owed: ${leg} side of ${title}`));
	await expect(owed).toBeVisible();
	await page.getByRole('button', { name: 'Bring it back' }).first().click();
	await tap(page);
	await expect(now(page).getByRole('heading', { level: 1 })).toHaveText(title);
	await expect(now(page)).toContainText(`${leg} leg`);
	// facing the group the teacher's own leg is the other one
	await expect(now(page)).toContainText(leg === 'Left' ? 'your right' : 'your left');
	await page.keyboard.press('f');
	await expect(now(page)).not.toContainText('your');
	const width = await page.evaluate(() => document.documentElement.scrollWidth);
	expect(width).toBeLessThanOrEqual(390);
	await page.unroute('**/api/teach/sessions/*');
	const over = page.getByRole('heading', { name: 'The class is over' });
	for (let i = 0; i < 200; i++) {
		// after the last step neither is there for a moment
		await next(page).or(over).first().waitFor();
		if (await over.isVisible()) break;
		await tap(page);
	}
	await expect(over).toBeVisible();
	await expect(page.getByText('Everything is saved on the server.')).toBeVisible();
});

test('a rehearsal runs at eight times the speed and leaves nothing behind', async ({ page }) => {
	const { path } = await toTeach(page);
	await page.goto(path);
	await page.clock.install();
	await page.getByLabel('Speed').selectOption({ label: '8 times' });
	await page.getByRole('button', { name: 'Rehearse', exact: true }).click();
	await expect(page.getByText('rehearsal ×8')).toBeVisible();
	const first = await now(page).getByRole('heading', { level: 1 }).textContent();
	await page.clock.fastForward(30_000);
	await expect(now(page).getByRole('heading', { level: 1 })).not.toHaveText(first ?? '');
	await page.clock.fastForward(480_000);
	await page.keyboard.press('PageDown');
	await expect(page.getByRole('heading', { name: 'The rehearsal is over' })).toBeVisible();
	expect(await onDevice(page)).toEqual([]);
});

test('a class is taught without a network, the page killed twice and reloaded once: nothing is lost', async ({
	context,
	page,
	watch
}) => {
	watch.allow.push(/ERR_INTERNET_DISCONNECTED|ERR_FAILED|Failed to load/);
	const { path } = await toTeach(page);
	await readyOffline(page, context);
	await context.clock.install();
	await begin(page, path);
	await press(page, 6);
	const titleOf = (on: Page) => now(on).getByRole('heading', { level: 1 }).textContent();
	const before = await titleOf(page);
	await page.close();
	const second = await context.newPage();
	await second.goto(path);
	await expect(now(second).getByRole('heading', { level: 1 })).toHaveText(before ?? '');
	await press(second, 5);
	const there = await titleOf(second);
	await second.reload();
	await expect(now(second).getByRole('heading', { level: 1 })).toHaveText(there ?? '');
	// the events are on the device before the page ends
	const reopened = async () =>
		(await onDevice(second))[0]!.events.filter(({ do: act }) => act === 'reopened').length;
	await expect.poll(reopened).toBe(2);
	await second.close();
	const third = await context.newPage();
	await third.goto(path);
	await expect(now(third)).toBeVisible();
	for (
		let i = 0;
		i < 200 && !(await third.getByRole('heading', { name: 'The class is over' }).isVisible());
		i++
	)
		await press(third);
	await expect(third.getByText('goes to the server when it is reachable')).toBeVisible();
	const [run] = await onDevice(third);
	expect(run!.unsent).toBe(run!.events.length);
	expect(run!.events.filter(({ do: act }) => act === 'reopened')).toHaveLength(3);
	await context.setOffline(false);
	await third.evaluate(() => window.dispatchEvent(new Event('online')));
	await expect(third.getByText('Everything is saved on the server.')).toBeVisible();
	const stored = await (await third.request.get(`/api/teach/sessions/${run!.id}`)).json();
	expect(stored.events).toEqual(run!.events);
	// every second stands in a line or in a pause, those without the page too
	const became = tally(stored.script, stored.events);
	const passed = (stored.events.at(-1).at - stored.events[0].at) / 1000;
	expect(Math.abs(became.real - passed)).toBeLessThanOrEqual(1);
	const given = became.lines.reduce((sum, { real }) => sum + real, 0);
	expect(Math.abs(given + became.paused - became.real)).toBeLessThanOrEqual(became.lines.length / 2 + 1);
});

test('signing out says what has not gone up, and leaves nothing of the studio on the device', async ({
	browser,
	baseURL
}) => {
	const page = await enteredAnew(browser, baseURL);
	const { path } = await toTeach(page);
	await page.route('**/api/teach/sessions/*', (route) => route.abort());
	await begin(page, path);
	await page.keyboard.press('PageDown');
	// on a slow machine a first press right after the page was opened can be lost; the next one counts
	const signOut = page.getByRole('button', { name: 'Sign out' });
	await expect(async () => {
		const leave = page.getByRole('button', { name: 'Leave', exact: true });
		if (await leave.isVisible()) await leave.click();
		await expect(signOut).toBeVisible({ timeout: 10_000 });
	}).toPass();
	await signOut.click();
	await expect(page.getByText('A class has not reached the server yet')).toBeVisible();
	await page.getByRole('button', { name: 'Sign out and lose it' }).click();
	await expect(page.getByRole('heading', { name: 'Sign in' })).toBeVisible();
	const left = () =>
		page.evaluate(async () => ({
			stores: (await indexedDB.databases()).map(({ name }) => name),
			caches: await caches.keys()
		}));
	await expect.poll(left).toEqual({ stores: [], caches: [] });
	await page.context().close();
});

test('a second screen shows the room the figure, the side and the count, and says when the teacher is lost', async ({
	context,
	page
}) => {
	const { path, plan } = await toTeach(page);
	const { script } = await (await page.request.get(`/api/teach/packs/${plan}`)).json();
	const room = await context.newPage();
	await room.goto('/teach/room');
	await expect(room.getByText('Waiting for the class')).toBeVisible();
	await page.clock.install();
	await begin(page, path);
	const sided = script.steps.findIndex(
		(s: { leg: string | null; people: string[] }) => s.leg && s.people.length
	);
	await press(page, sided);
	const step = script.steps[sided];
	await expect(now(room).getByRole('heading', { level: 1 })).toHaveText(step.title);
	await expect(now(room)).toContainText(step.leg === 'left' ? 'Left leg' : 'Right leg');
	await expect(now(page)).toContainText(step.people[0]);
	await expect(now(room)).not.toContainText(step.people[0]);
	expect(await axeInBoth(room), 'room').toEqual([]);
	await page.close();
	// where the class has gone up already, the room follows it over the server until that has not heard of it for 25 s
	await expect(room.getByText('The teacher’s page is not heard just now')).toBeVisible({ timeout: 60_000 });
});
