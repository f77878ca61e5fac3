import { readFileSync } from 'node:fs';
import type { Page } from '@playwright/test';
import { arrive, expect, open, reload, saved, axeFindings, test } from './base';

/** A series of four Tuesdays for the runners, from nothing; leaves the page at it. */
async function begin(page: Page, startsOn: string, weeks = 4): Promise<string> {
	await open(page, '/series');
	await page.getByLabel('For').selectOption({ label: 'Breakwater Striders' });
	await page.getByLabel('From').fill(startsOn);
	await page.getByLabel('Weeks').fill(String(weeks));
	await page.getByRole('button', { name: 'Start the series' }).click();
	await arrive(page, '/series/');
	return new URL(page.url()).pathname;
}

/** Opens what is behind the first questions. */
const openSettings = (page: Page) => page.getByRole('button', { name: /^Settings/ }).click();

/** Opens a series of the demo by its title. */
async function openSeries(page: Page, title: string) {
	await open(page, '/series');
	await page.getByRole('link', { name: title }).last().click();
	await arrive(page, '/series/');
}

async function addGoal(page: Page, movement: string, form: string) {
	await page.getByLabel('Toward').selectOption({ label: movement });
	await page.getByLabel('Form').selectOption(form);
	await page.getByRole('button', { name: 'Add this goal' }).click();
}

const classes = (page: Page) => page.getByRole('listitem', { name: /^Week \d+$/ }).getByRole('button');
const said = (page: Page, words: string | RegExp) =>
	expect(page.getByRole('status').filter({ hasText: words })).toBeVisible({ timeout: 60_000 });

test('a series is planned from nothing: dates, a goal with its ladder, every class proposed', async ({
	page
}) => {
	const path = await begin(page, '2031-01-07');
	await expect(classes(page)).toHaveCount(4);
	await addGoal(page, 'Clam', 'full');
	await expect(page.getByText('Clam, full, 10 repetitions').first()).toBeVisible();
	await page.getByLabel('In your own words (optional)').fill('Level hips on the coast path');
	await page.getByRole('button', { name: 'Propose all 4 classes' }).click();
	await expect(page.getByRole('button', { name: /^Stop,/ })).toBeVisible();
	// the page stays usable while it thinks
	await page.keyboard.press('ArrowRight');
	await expect(page.getByRole('heading', { name: 'Class 1', exact: true })).toBeVisible();
	await said(page, '4 classes proposed');
	for (const c of await classes(page).all()) await expect(c).toContainText('proposed');
	await expect(classes(page).first()).toContainText('Clam, supported');
	await expect(saved(page)).toBeVisible();

	await reload(page);
	await expect(classes(page).last()).toContainText('proposed');
	await expect(page.getByText('Level hips on the coast path')).toBeVisible();
	// each is a class of its week, on its day and time
	await open(page, '/?week=2031-W03');
	await expect(page.getByRole('link', { name: /class 2/ })).toBeVisible();
	await open(page, path);
});

test('proposing is stopped, goes on, and is undone in one step', async ({ page }) => {
	await begin(page, '2031-03-04', 6);
	await page.getByRole('button', { name: 'Propose all 6 classes' }).click();
	const stop = page.getByRole('button', { name: /^Stop, [1-9]/ });
	await expect(stop).toBeVisible({ timeout: 60_000 });
	await stop.click();
	await said(page, /Stopped; \d+ class(es)? proposed/);
	const made = await classes(page).filter({ hasText: 'proposed' }).count();
	expect(made).toBeGreaterThan(0);
	expect(made).toBeLessThan(6);
	await page.keyboard.press('Control+z');
	await expect(classes(page).filter({ hasText: 'not planned' })).toHaveCount(6);
	await page.keyboard.press('Control+y');
	await expect(classes(page).filter({ hasText: 'not planned' })).toHaveCount(6 - made);
	await expect(saved(page)).toBeVisible();
});

test('a week is missed, a class edited, the rest proposed anew: before and after, and the edit stays', async ({
	page
}) => {
	const path = await begin(page, '2031-05-06');
	await addGoal(page, 'Clam', 'full');
	await page.keyboard.press('Escape');
	await page.getByRole('button', { name: 'Propose all 4 classes' }).click();
	await said(page, '4 classes proposed');

	// the second date is cancelled: its class moves on, and one more date comes at the end
	await classes(page).nth(1).click();
	await page.getByLabel('Why', { exact: true }).fill('storm');
	await page.getByRole('button', { name: 'Preview changes' }).click();
	const pending = page.getByRole('region', { name: 'Tuesday 13 May is cancelled: before and after' });
	await expect(pending.getByRole('row', { name: /Class 2/ })).toContainText('Tue 13 May');
	await expect(pending.getByRole('row', { name: /Class 2/ })).toContainText('Tue 20 May');
	await expect(pending.getByRole('row', { name: /Class 4/ })).toContainText('Tue 3 Jun');
	await pending.getByLabel('Move later classes one date on, and drop the last class').check({ force: true });
	await expect(pending.getByRole('row', { name: /Class 4/ })).toContainText('missing');
	await pending
		.getByLabel('Move later classes one date on, and add a date at the end')
		.check({ force: true });
	await pending.getByRole('button', { name: 'Apply' }).click();
	await expect(page.getByText('Cancelled: Tuesday 13 May (storm)')).toBeVisible();
	await expect(classes(page).last()).toContainText('Tue 3 Jun');
	await expect(saved(page)).toBeVisible();

	// fewer weeks would lose planned classes: that is shown, and left as it was
	await openSettings(page);
	await page.getByLabel('Weeks', { exact: true }).fill('2');
	await page.getByLabel('Weeks', { exact: true }).press('Tab');
	await expect(page.getByText('Fewer dates than planned classes')).toBeVisible();
	await page.getByRole('button', { name: 'Cancel' }).click();
	await expect(classes(page)).toHaveCount(4);
	await expect(page.getByLabel('Weeks', { exact: true })).toHaveValue('4');

	// the third is edited at the desk
	await classes(page).nth(2).click();
	await page.getByRole('link', { name: /class 3/ }).click();
	await arrive(page, '/plan/');
	await page.keyboard.press('ArrowDown');
	await page.keyboard.press('ArrowDown');
	await page.keyboard.press('Delete');
	await expect(saved(page)).toBeVisible();
	await open(page, path);
	await expect(classes(page).nth(2)).toContainText('changed by hand');

	// proposed anew: what changes is shown first, the edited class is not among it
	await page.getByRole('button', { name: 'Propose all again' }).click();
	const after = page.getByRole('region', { name: '3 classes proposed: before and after' });
	await expect(after).toBeVisible({ timeout: 60_000 });
	await expect(after.getByRole('row', { name: /Class 3/ })).toHaveCount(0);
	await after.getByRole('button', { name: 'Apply' }).click();
	await expect(classes(page).nth(2)).toContainText('changed by hand');
	await expect(saved(page)).toBeVisible();
});

test('a class is written down, what was left out comes back, and a test is put in', async ({ page }) => {
	await begin(page, '2031-08-05', 3);
	// no test for now
	await page.getByRole('button', { name: 'All settings' }).click();
	for (const week of [1, 2, 3])
		await page.getByLabel(`Test in week ${week}`).setChecked(false, { force: true });
	await page.getByRole('button', { name: 'Propose the 3 open classes' }).click();
	await said(page, '3 classes proposed');

	await page.getByLabel('Test in week 2').check({ force: true });
	await expect(classes(page).nth(1)).toContainText('needs a new proposal');
	await page.getByRole('button', { name: 'Propose the open class' }).click();
	await page.getByRole('button', { name: 'Apply' }).click({ timeout: 60_000 });
	await expect(classes(page).nth(1)).not.toContainText('needs a new proposal');
	await classes(page).nth(1).click();
	await expect(saved(page)).toBeVisible();
	await page.getByRole('link', { name: /class 2/ }).click();
	await expect(page.locator('.row').filter({ hasText: 'Rolling straight legs' })).toHaveCount(2);
	await page.goBack();
	await arrive(page, '/series/');

	await classes(page).first().click();
	await page.getByLabel('Effort, 0 to 10').selectOption('4.5');
	await page.getByLabel('Minutes', { exact: true }).fill('47');
	await page.getByText('What was left out').click();
	// something that the next class does not have anyway
	const boxes = page.getByRole('group', { name: 'How it went' }).getByRole('checkbox');
	await expect(boxes.first()).toBeAttached();
	for (const box of await boxes.all()) await box.check({ force: true });
	await page.getByRole('button', { name: 'Record it' }).click();
	await expect(classes(page).first()).toContainText('taught');
	await expect(page.getByText('effort 4.5, load 212 effort-min')).toBeVisible();
	await expect(classes(page).nth(1)).toContainText(/needs a new proposal|proposed/);
	await classes(page).nth(1).click();
	await expect(page.getByText(/^Comes back: /)).toBeVisible();
	await expect(saved(page)).toBeVisible();
});

test('classes are written down in any order, and taken back', async ({ page }) => {
	await openSeries(page, 'Out of the chair for eight weeks');
	// the fourth and fifth are not recorded yet
	await classes(page).nth(5).click();
	await page.getByLabel('Effort, 0 to 10').selectOption('4');
	await page.getByLabel('Minutes', { exact: true }).fill('31');
	await page.getByRole('button', { name: 'Record it' }).click();
	await said(page, 'Recorded');
	await expect(classes(page).nth(5)).toContainText('taught');
	await expect(classes(page).nth(4)).not.toContainText('taught');
	await reload(page);
	await expect(classes(page).nth(5)).toContainText('taught');
	await classes(page).nth(5).click();
	await expect(page.getByText('effort 4.0, load 124 effort-min')).toBeVisible();
	await page.getByRole('button', { name: 'Delete record' }).click();
	await said(page, 'Record deleted');
	await expect(classes(page).nth(5)).not.toContainText('taught');
});

test('a class is dragged to another day, moved by the keyboard, and a week put in', async ({ page }) => {
	await begin(page, '2031-10-07', 3);
	await classes(page).first().dragTo(page.locator('[data-day="2031-10-09"]'));
	await expect(classes(page).first()).toContainText('Thu 9 Oct');
	await classes(page).nth(1).focus();
	await page.keyboard.press('Enter');
	await page.getByLabel('To', { exact: true }).fill('2031-10-17');
	await page.getByLabel('To', { exact: true }).press('Tab');
	await page.getByRole('button', { name: 'Move', exact: true }).click();
	await expect(classes(page).nth(1)).toContainText('Fri 17 Oct');
	await page.getByLabel('To', { exact: true }).fill('2031-10-01');
	await page.getByLabel('To', { exact: true }).press('Tab');
	await page.getByRole('button', { name: 'Move', exact: true }).click();
	await said(page, 'before the series begins');
	await openSettings(page);
	await page.getByRole('button', { name: 'Weekly themes' }).click();
	const toward = page.getByRole('combobox', { name: 'Week 2 leads up to' });
	await toward.fill('Nonsense');
	await expect(page.getByRole('listbox').getByRole('option')).toHaveCount(0);
	await toward.fill('frog');
	await page.getByRole('listbox').getByRole('option', { name: 'Frog', exact: true }).click();
	await expect(toward).toHaveValue('Frog');
	await page.getByRole('button', { name: 'Insert a week before week 3' }).click();
	await expect(classes(page)).toHaveCount(4);
	await expect(page.getByLabel('Weeks', { exact: true })).toHaveValue('4');
	await expect(saved(page)).toBeVisible();
});

test('dates go into calendars: a file, and a link that can be taken back', async ({
	page,
	browser,
	baseURL
}) => {
	await openSeries(page, 'Dropped knee in eight weeks');
	const file = page.waitForEvent('download');
	await page.getByRole('link', { name: 'Calendar file' }).click();
	const text = readFileSync(await (await file).path(), 'utf8');
	expect(text.match(/BEGIN:VEVENT/g)).toHaveLength(8);

	await page.getByRole('button', { name: 'Make a link' }).click();
	const link = await page.getByLabel('Copy it now').inputValue();
	expect(link.startsWith(`${baseURL}/calendar/`)).toBe(true);
	// whoever has it needs no sign-in, and sees nothing of the people
	const anyone = await (await browser.newContext({ storageState: { cookies: [], origins: [] } })).newPage();
	const shown = await anyone.request.get(link);
	expect(shown.status()).toBe(200);
	expect(shown.headers()['content-type']).toContain('text/calendar');
	const body = await shown.text();
	expect(body.match(/BEGIN:VEVENT/g)).toHaveLength(8);
	expect(body).not.toMatch(/pinch|Fingers/);
	await page.getByRole('button', { name: 'Revoke link' }).last().click();
	await expect(page.getByRole('button', { name: 'Make a link' })).toBeVisible();
	expect((await anyone.request.get(link)).status()).toBe(404);
	await anyone.close();

	await page.getByRole('link', { name: 'Printable schedule' }).first().click();
	await expect(page.getByRole('heading', { name: 'Week 8' })).toBeVisible();
	expect(await page.content()).not.toContain('pinch');
});

test('two windows on one series: nothing is lost', async ({ page, context, watch }) => {
	watch.allow.push(/409/);
	const path = await begin(page, '2032-01-06', 2);
	await openSettings(page);
	await page.getByLabel('Title').fill('Written here');
	await expect(saved(page)).toBeVisible();
	const other = await context.newPage();
	await open(other, path);
	await openSettings(other);
	await other.getByLabel('Title').fill('Written there');
	await expect(saved(other)).toBeVisible();

	await page.getByLabel('Goal in your own words').fill('Only in this window');
	const conflict = page.getByRole('alert').filter({ hasText: 'changed in another window too' });
	await expect(conflict).toContainText('Written there');
	await conflict.getByRole('button', { name: 'Use the other version' }).click();
	await expect(page.getByRole('heading', { name: 'Written there' })).toBeVisible();
	await page.getByRole('button', { name: 'Switch to it' }).click();
	await expect(page.getByLabel('Goal in your own words')).toHaveValue('Only in this window');
	await expect(saved(page)).toBeVisible();
	await other.close();
});

test('a series is saved as a file and brought in, copied to another group, compared, and let go', async ({
	page
}) => {
	await openSeries(page, 'Out of the chair for eight weeks');
	const file = page.waitForEvent('download');
	await page.getByRole('link', { name: 'Series file' }).click();
	const path = await (await file).path();

	await page.getByRole('combobox', { name: 'Group' }).selectOption({ label: 'First Tide' });
	await page.getByRole('textbox', { name: 'From' }).fill('2032-03-06');
	await page.getByRole('textbox', { name: 'From' }).press('Tab');
	await page.getByRole('button', { name: 'Copy the series' }).click();
	await expect(page.getByRole('link', { name: 'First Tide' })).toBeVisible();
	await expect(classes(page).first()).toContainText('Sat 6 Mar');

	await page.getByLabel('Which one').selectOption({ label: 'Dropped knee in eight weeks' });
	await page.getByRole('button', { name: 'Compare' }).click();
	await arrive(page, /compare/);
	await expect(page.getByRole('row', { name: /^Weeks 8 8/ })).toBeVisible();
	await page.getByRole('link', { name: 'Back to the series' }).click();
	await arrive(page, /^\/series\/[^/]+$/);
	await page.getByText('Delete the series').click();
	await page.getByRole('button', { name: 'Delete', exact: true }).click();
	await arrive(page, /^\/series$/);

	await page.getByRole('button', { name: 'Open a series file' }).click();
	await page.getByLabel('Series file (JSON)').setInputFiles(path);
	await page.getByLabel('For which group').selectOption({ label: 'Skiff Crew' });
	await page.getByRole('button', { name: 'Import' }).click();
	await arrive(page, '/series/');
	await expect(classes(page)).toHaveCount(14);
	await expect(classes(page).filter({ hasText: 'taught' })).toHaveCount(3);
	// away with it again: the rest of the tests begin plans for this group
	await page.getByText('Delete the series').click();
	await page.getByRole('button', { name: 'Delete', exact: true }).click();
	await arrive(page, /^\/series$/);
});

test('axe finds nothing in a series, open or shut, and each chart has its table', async ({ page }) => {
	await open(page, '/series');
	expect(await axeFindings(page)).toEqual([]);
	await page.getByRole('link', { name: 'Out of the chair for eight weeks' }).last().click();
	await arrive(page, '/series/');
	// they are drawn when somebody scrolls to them
	await page.mouse.wheel(0, 4000);
	// with two classes a week there is no chart of monotony
	await expect(page.locator('.chart[data-ready]')).toHaveCount(3);
	await classes(page).nth(3).click();
	await page.keyboard.press('s');
	await expect(page.getByLabel('Title')).toBeVisible();
	for (const summary of await page.getByText('The same as a table').all()) await summary.click();
	const load = page.getByRole('region', { name: 'Load of the weeks, as a table' });
	// axe takes the heads of a table that is still being unfolded for empty ones
	const tables = page.getByRole('region', { name: /, as a table$/ });
	for (const table of await tables.all()) await expect(table.getByRole('columnheader').last()).toBeVisible();
	await expect(load.getByRole('row')).toHaveCount(9);
	expect(await axeFindings(page)).toEqual([]);
	await page.getByRole('link', { name: 'Printable schedule' }).first().click();
	await expect(page.getByRole('button', { name: 'Print' })).toBeVisible();
	expect(await axeFindings(page)).toEqual([]);
});
