import { execFileSync } from 'node:child_process';
import { writeFileSync } from 'node:fs';
import type { Page } from '@playwright/test';
import {
	addByKey,
	arrive,
	expect,
	newPlan,
	open,
	openPlan,
	reload,
	saved,
	axeFindings,
	test,
	total
} from './base';

const ready = 'classes proposed';

/** Types a movement into a field and takes it from the list. */
async function choose(page: Page, field: string, movement: string) {
	await page.getByRole('combobox', { name: field, exact: true }).fill(movement);
	await page.getByRole('option', { name: movement, exact: true }).click();
}

test('a class is proposed, taken as one step and taken back; the reasons are told', async ({ page }) => {
	await newPlan(page, 'First Tide', '2030-09-07');
	await page.keyboard.press('g');
	await choose(page, 'Not with', 'Happy baby');
	await page.getByRole('button', { name: 'More wishes' }).click();
	await page.getByText('hamstrings', { exact: true }).click();
	await expect(page.getByRole('button', { name: 'More wishes (1)' })).toBeVisible();
	await page.getByRole('button', { name: 'Propose three' }).click();
	// the desk stays usable while it thinks
	await page.getByRole('button', { name: 'Keys' }).click();
	await expect(page.getByRole('heading', { name: 'Keys at the desk' })).toBeVisible();
	await page.keyboard.press('Escape');
	await expect(page.getByText(`3 ${ready}`)).toBeVisible({ timeout: 60_000 });
	const cards = page.getByRole('article', { name: /^Proposal/ });
	await expect(cards).toHaveCount(3);
	for (const card of await cards.all()) {
		await expect(card.locator('.total')).toHaveText('1:00:00');
		await expect(card).toContainText(/to fix ?[01]/);
	}
	await expect(cards.first()).toContainText(/to fix ?0/);
	await cards.first().getByRole('button', { name: 'Why these?' }).click();
	await expect(cards.first()).toContainText('it gives');
	await expect(cards.first()).toContainText('it holds the hamstrings long, as you asked');
	for (const card of await cards.all()) await expect(card).not.toContainText('Happy baby');
	expect(await axeFindings(page)).toEqual([]);

	const names = await cards.first().getByRole('listitem').allTextContents();
	await cards.first().getByRole('button', { name: 'Take this one' }).click();
	await expect(total(page)).toHaveText('1:00:00');
	expect(names.length).toBeGreaterThan(await page.locator('.row').count());
	await expect(page.getByText('This class is ready to teach')).toBeVisible();
	await expect(saved(page)).toBeVisible();
	await reload(page);
	await expect(total(page)).toHaveText('1:00:00');
});

test('a whole class is put together from nothing: its story is read, it is taken, and taken back', async ({
	page
}) => {
	await newPlan(page, 'Chalk Tuesdays', '2030-09-17');
	await page.keyboard.press('g');
	await page.getByRole('button', { name: 'Propose three' }).click();
	await expect(page.getByText(`3 ${ready}`)).toBeVisible({ timeout: 90_000 });
	const cards = page.getByRole('article', { name: /^Proposal/ });
	const stories = await Promise.all(
		[0, 1, 2].map((i) => cards.nth(i).getByRole('heading', { level: 4 }).textContent())
	);
	expect(new Set(stories).size).toBe(3);
	for (const card of await cards.all()) {
		await expect(card.locator('.total')).toHaveText('50:00');
		await expect(card).toContainText(/to fix ?0/);
		await expect(card).toContainText('Comes to');
	}
	await cards.first().getByRole('button', { name: 'Why these?' }).click();
	await expect(cards.first()).toContainText('Points of its parts');
	expect(await axeFindings(page)).toEqual([]);
	await cards.first().getByRole('button', { name: 'Take this one' }).click();
	await expect(total(page)).toHaveText('50:00');
	await expect(page.getByText('This class is ready to teach')).toBeVisible();
	await expect(page.getByRole('textbox', { name: 'Theme (optional)' })).not.toHaveValue('');
	await expect(saved(page)).toBeVisible();

	// the whole of it easier, at the same length; taken, and taken back
	const items = () => page.locator('.row').allTextContents();
	const before = await items();
	await page.locator('body').press('w');
	await expect(page.getByRole('heading', { name: 'Change this class' })).toBeVisible();
	await page.getByRole('button', { name: 'Make it easier' }).click();
	await expect(page.getByRole('table', { name: 'What would change' })).toContainText('supported', {
		timeout: 30_000
	});
	expect(await axeFindings(page)).toEqual([]);
	await page.getByRole('button', { name: 'Apply' }).click();
	await expect(total(page)).toHaveText('50:00');
	expect(await items()).not.toEqual(before);
	await page.getByRole('button', { name: 'Undo' }).click();
	await expect.poll(items).toEqual(before);
	await page.getByRole('button', { name: 'Ten minutes shorter' }).click();
	await page.getByRole('button', { name: 'Apply' }).click({ timeout: 30_000 });
	await expect(total(page)).toHaveText('40:00');
	await page.getByRole('button', { name: 'Undo' }).click();

	await page.getByRole('button', { name: 'Undo' }).click();
	await expect(total(page)).toHaveText('0:00');
});

test('a class that was begun is finished round what is there, and undo empties it again', async ({
	page
}) => {
	await newPlan(page, 'Breakwater Striders', '2030-09-10');
	for (const name of ['cat and cow', 'clam']) await addByKey(page, name);
	const begun = await total(page).textContent();
	await page.keyboard.press('g');
	await expect(page.getByRole('heading', { name: 'Finish this class around its 2 items' })).toBeVisible();
	await page.getByRole('button', { name: 'More wishes' }).click();
	await page.getByLabel('Few changes').selectOption('matters most');
	await page.getByRole('button', { name: 'Propose three' }).click();
	await expect(page.getByText(`3 ${ready}`)).toBeVisible({ timeout: 60_000 });
	await page.getByRole('button', { name: 'Take this one' }).first().click();
	await expect(total(page)).toHaveText('45:00');
	await expect(page.getByRole('group', { name: /^Clam/ }).first()).toBeVisible();
	await expect(page.getByRole('group', { name: /^Cat and cow, / }).first()).toBeVisible();
	await page.keyboard.press('Control+z');
	await expect(total(page)).toHaveText(begun ?? '');
	await expect(page.locator('.row')).toHaveCount(2);
});

test('what do not go together is said in a sentence; a search is stopped', async ({ page }) => {
	const path = await newPlan(page, 'First Tide', '2030-09-14');
	await page.getByRole('button', { name: 'Propose', exact: false }).first().click();
	await choose(page, 'Leading up to', 'Fire log');
	await page.getByRole('button', { name: 'Propose three' }).click();
	const said = page.getByRole('region', { name: 'Propose a class' }).getByRole('alert');
	await expect(said).toContainText('leading up to Fire log', { timeout: 30_000 });
	await expect(said).toContainText(/not possible|do not go together/);
	await page.getByRole('button', { name: 'Clear selected item' }).first().click();
	await page.getByRole('button', { name: 'Propose three' }).click();
	await page.getByRole('button', { name: 'Stop' }).click();
	await expect(page.getByRole('button', { name: 'Propose three' })).toBeEnabled();
	await open(page, path);
	await expect(total(page)).toHaveText('0:00');
});

test('something else is put in the place of one block, and the rest stays', async ({ page }) => {
	await openPlan(page, 'Lamp Room', 'Out of the chair');
	const rows = page.locator('.row');
	const before = await rows.count();
	const clam = page.getByRole('group', { name: /^Clam,/ });
	await clam.focus();
	await page.keyboard.press('d');
	await page.getByRole('button', { name: 'Alternatives' }).click();
	const other = page.locator('.swaps button').filter({ hasText: ':' }).first();
	await expect(other).toBeVisible({ timeout: 20_000 });
	expect(await axeFindings(page)).toEqual([]);
	await other.click();
	await expect(clam).toHaveCount(0);
	await expect(rows).toHaveCount(before);
	await page.getByRole('button', { name: 'Undo' }).click();
	await expect(clam).toBeVisible();
	await expect(saved(page)).toBeVisible();
});

test('the same seed gives the same class here and in Node', async ({ page }) => {
	await open(page, '/group');
	await page.getByLabel('Name').fill('Kelp Barge');
	await page.getByLabel('Begin with').selectOption({ label: 'Lifters' });
	await page.getByRole('button', { name: 'Create group' }).click();
	await arrive(page, '/group/');
	const path = await newPlan(page, 'Kelp Barge', '2030-10-01');
	await page.keyboard.press('g');
	await page.getByRole('button', { name: 'Propose three' }).click();
	await expect(page.getByText(`3 ${ready}`)).toBeVisible({ timeout: 60_000 });
	const shown = await page
		.getByRole('article', { name: 'Proposal 1' })
		.locator('ul:not(.story) > li')
		.allTextContents();

	const file = test.info().outputPath('asked.plan.json');
	writeFileSync(file, await (await page.request.get(`${path}/file`)).text());
	const orbit = (args: string[]) =>
		JSON.parse(
			execFileSync(process.execPath, ['bin/orbit.mjs', ...args, '--json'], {
				encoding: 'utf8',
				// all movements with their cautions are over a megabyte
				maxBuffer: 2 ** 24
			})
		);
	const { plan } = orbit(['propose', '--plan', file, '--seed', '1']);
	const english = new Map<string, string>(
		orbit(['movements']).movements.map((m: { slug: string; english: string }) => [m.slug, m.english])
	);
	interface Shown {
		kind: string;
		movement: string;
		items?: Shown[];
	}
	const names = (plan.sections as { blocks: Shown[] }[]).flatMap(({ blocks }) =>
		blocks
			.flatMap((block) => block.items ?? (block.kind === 'item' ? [block] : []))
			.map((item) => english.get(item.movement))
	);
	expect(shown.map((name) => name.trim())).toEqual(names);
});
