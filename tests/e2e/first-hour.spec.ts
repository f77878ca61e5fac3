import type { Locator, Page } from '@playwright/test';
import { GROUP, newGroup } from '../../src/lib/core/group';
import { withVersion } from '../../src/lib/core/validation';
import { arrive, axeInBoth, expect, fromPage, open, test } from './base';

/**
 * Seconds that a practised user needs, by the keystroke-level model (Card, Moran and Newell 1980, "The keystroke-level
 * model for user performance time with interactive systems", Communications of the ACM 23): to think of the next action,
 * to point, to press, to bring the hand from one device to the other; a key by an average typist.
 */
const THINK = 1.35;
const POINT = 1.1;
const PRESS = 0.2;
const HAND = 0.4;
const KEY = 0.28;

/** Does what a person does, and counts it. */
class Person {
	actions = 0;
	seconds = 0;

	async click(target: Locator): Promise<void> {
		this.actions++;
		this.seconds += THINK + POINT + PRESS;
		await target.click();
	}

	async type(target: Locator, text: string): Promise<void> {
		this.actions++;
		this.seconds += THINK + POINT + PRESS + 2 * HAND + KEY * text.length;
		await target.fill(text);
	}
}

const button = (page: Page, name: string) => page.getByRole('button', { name, exact: true });

test.describe('without an account', () => {
	test.use({ storageState: { cookies: [], origins: [] } });

	test('the first hour leads from an account to a printed card', async ({ page }) => {
		const person = new Person();
		await open(page, '/sign-up');
		const email = `wren.${Date.now()}@wick-hollow.example`;
		const password = 'herons over the mud flats';
		await person.type(page.getByLabel('Your name'), 'Wren Solheim');
		await person.type(page.getByLabel('E-mail'), email);
		await person.type(page.getByLabel('Password'), password);
		await person.click(button(page, 'Create the account'));
		await arrive(page, '/sign-in');
		await person.type(page.getByLabel('E-mail'), email);
		await person.type(page.getByLabel('Password'), password);
		await person.click(button(page, 'Sign in'));

		await arrive(page, '/begin');
		expect(await axeInBoth(page)).toEqual([]);
		await person.click(page.locator('label', { hasText: 'Climbers' }));
		await person.type(page.getByLabel('What you call them'), 'Chalk Tuesdays');
		await person.type(page.getByLabel('How many come'), '9');
		await person.click(button(page, 'Next'));
		expect(await axeInBoth(page)).toEqual([]);
		await person.type(page.getByLabel('Minutes'), '50');
		await person.type(page.getByLabel('chair'), '9');
		await person.click(button(page, 'Propose a class'));
		const asked = Date.now();
		await expect(button(page, 'Keep and print')).toBeEnabled({ timeout: 60_000 });
		const waited = (Date.now() - asked) / 1000;
		expect(await axeInBoth(page)).toEqual([]);
		// proposals are exact
		await expect(page.getByRole('article').getByText('50:00')).toBeVisible();
		await person.click(button(page, 'Keep and print'));
		await arrive(page, /^\/plan\/.+\/print$/);
		await expect(page.getByText('50:00')).toBeVisible();
		await expect(page.getByText('Chalk Tuesdays').first()).toBeVisible();

		expect(person.actions).toBeLessThanOrEqual(25);
		expect(person.seconds + waited).toBeLessThan(180);

		// the class is in the week, and the kit with the group
		await open(page, '/group');
		await expect(page.getByLabel('chair')).toHaveValue('9');
		await page.getByRole('link', { name: 'Chalk Tuesdays' }).click();
		await arrive(page, '/group/');
		await expect(page.getByText('20 blocks, 10 blankets, 10 straps, 9 chairs')).toBeVisible();
	});

	test('each step of it can be skipped, taken back and left', async ({ page }) => {
		await open(page, '/sign-up');
		const email = `per.${Date.now()}@wick-hollow.example`;
		const password = 'herons over the mud flats';
		await page.getByLabel('Your name').fill('Per Lindqvist');
		await page.getByLabel('E-mail').fill(email);
		await page.getByLabel('Password').fill(password);
		await button(page, 'Create the account').click();
		await arrive(page, '/sign-in');
		await page.getByLabel('E-mail').fill(email);
		await page.getByLabel('Password').fill(password);
		await button(page, 'Sign in').click();
		await arrive(page, '/begin');
		await page.getByRole('link', { name: 'Not now' }).click();
		await arrive(page, '/');
		await page.getByRole('link', { name: 'Begin', exact: true }).click();
		await arrive(page, '/begin');
		await page.getByLabel('What you call them').fill('Gulls');
		await button(page, 'Skip this step').click();
		await expect(page.getByText('Mixed group, 10 people')).toBeVisible();
		await button(page, 'Back').click();
		await page.getByLabel('What you call them').fill('Gulls');
		await button(page, 'Next').click();
		// the page is left and come back to
		await page.getByRole('menuitem', { name: 'Catalogue' }).click();
		await arrive(page, '/catalogue');
		await page.goBack();
		await arrive(page, '/begin');
		await expect(page.getByText('Gulls, 10 people')).toBeVisible();
		await button(page, 'Skip this step').click();
		await button(page, 'Skip: only the group').click();
		await arrive(page, '/group/');
		await expect(page.getByRole('heading', { name: 'Gulls', level: 1 })).toBeVisible();

		// a class on any day, at the time of that day
		await page.getByRole('button', { name: 'Add a day of the week' }).click();
		await expect(page.getByLabel('Day 2')).toHaveValue('3');
		await page.getByLabel('Starts 2').fill('07:15');
		await page.getByLabel('Starts 2').blur();
		await expect(page.getByText('Saved', { exact: true }).first()).toBeVisible();
		await page.getByLabel('A class on').fill('2 Dec 2026');
		await page.getByLabel('A class on').press('Enter');
		await page.getByRole('button', { name: 'Start a plan for Gulls, Wednesday 2 December' }).click();
		await arrive(page, '/plan/');
		await expect(page.getByLabel('Starts')).toHaveValue('07:15');
		await page.goBack();
		await arrive(page, '/group/');
		await expect(page.getByRole('button', { name: 'Remove this group' })).toBeHidden();
	});
});

test('a group without classes can be removed', async ({ page }) => {
	await open(page, '/group');
	await page.getByLabel('Name', { exact: true }).fill('Made by mistake');
	await button(page, 'Create group').click();
	await arrive(page, '/group/');
	await button(page, 'Remove this group').click();
	await arrive(page, '/group');
	await expect(page.getByRole('link', { name: 'Made by mistake' })).toBeHidden();
});

test('what is wrong with a first group is said with its place, and nothing of it is kept', async ({
	page
}) => {
	await open(page, '/group');
	const group = withVersion(GROUP, newGroup('runners', 'Half made'));
	const send = (change: object) =>
		page.request.post('/api/groups', {
			...fromPage(),
			data: { group, kit: { block: 4 }, kitVersion: 1, plannedOn: '2031-01-07', ...change }
		});
	const wrong: [object, string][] = [
		[{ group: { ...group, size: 0 } }, 'group.size'],
		[{ kit: { block: -1 } }, 'kit.block'],
		[{ plan: { title: 3 } }, 'plan.']
	];
	for (const [change, place] of wrong) {
		const answer = await send(change);
		expect(answer.status()).toBe(422);
		const { faults } = (await answer.json()) as { faults: { path: string }[] };
		expect(
			faults.some(({ path }) => path.startsWith(place)),
			JSON.stringify(faults)
		).toBe(true);
	}
	// a version of the kit that nobody has: somebody else counted meanwhile
	expect((await send({ kitVersion: 99_999 })).status()).toBe(409);
	await open(page, '/group');
	await expect(page.getByRole('link', { name: 'Half made' })).toBeHidden();
	await expect(page.getByLabel('block', { exact: true })).toHaveValue('24');
});
