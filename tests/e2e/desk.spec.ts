import { readFileSync } from 'node:fs';
import {
	addByKey,
	expect,
	groupPath,
	newPlan,
	open,
	openPlan,
	reload,
	saved,
	test,
	total,
	fromPage
} from './base';

test('a class from the demo: add by keyboard, see the clock and the ring follow, fit, reload', async ({
	page
}) => {
	await openPlan(page, 'Breakwater Striders', 'After the headland run');
	await expect(total(page)).toHaveText('45:00');
	await expect(page.getByText('Nothing to fix')).toBeVisible();
	const ring = page
		.locator('section', { has: page.getByRole('heading', { name: 'Orbit' }) })
		.locator('svg')
		.first();
	const before = await ring.innerHTML();

	await page.getByRole('group', { name: /^Lying twist/ }).focus();
	await addByKey(page, 'knee drop');
	await expect(page.getByRole('group', { name: /^Knee drop inward/ })).toBeFocused();
	await expect(total(page)).not.toHaveText('45:00');
	expect(await ring.innerHTML()).not.toBe(before);

	await page.keyboard.press('f');
	await expect(total(page)).toHaveText('45:00');
	await expect(page.getByText('Nothing to fix')).toBeVisible();
	await expect(saved(page)).toBeVisible();

	await reload(page);
	await expect(total(page)).toHaveText('45:00');
	await expect(page.getByRole('group', { name: /^Knee drop inward/ })).toBeVisible();
});

test('what is typed while the finder is still on its way is not lost, and no key of the desk', async ({
	page
}) => {
	await newPlan(page);
	// the page is there; what comes after it waits
	let release = () => {};
	const released = new Promise<void>((done) => (release = done));
	await page.route('**/_app/immutable/**', async (route) => {
		await released;
		await route.continue();
	});
	await page.keyboard.press('a');
	await page.keyboard.type('butter');
	await page.keyboard.press('Enter');
	await expect(page.getByRole('dialog', { name: 'Add a movement' })).toBeHidden();
	release();
	await expect(page.getByRole('group', { name: /^Butterfly/ })).toBeFocused();
	await expect(page.locator('.row')).toHaveCount(1);
	await page.unroute('**/_app/immutable/**');
});

test('everything at the desk by keys, and back again step by step', async ({ page }) => {
	await newPlan(page);
	await addByKey(page, 'cat and cow');
	await addByKey(page, 'clam');
	await addByKey(page, 'low lunge');
	await addByKey(page, 'final rest');
	await expect(total(page)).not.toHaveText('0:00');
	const lunge = page.getByRole('group', { name: /^Low lunge/ });
	const start = await total(page).textContent();

	await lunge.focus();
	await page.keyboard.press('+');
	await expect(lunge).toHaveAccessibleName(/6 breaths/);
	await page.keyboard.press('s');
	await expect(lunge.getByRole('button', { name: 'right first' })).toBeVisible();
	await page.keyboard.press('Alt+ArrowUp');
	await expect(page.locator('.row').nth(1)).toHaveAccessibleName(/^Low lunge/);
	await expect(lunge).toBeFocused();
	await page.keyboard.press('c');
	await expect(page.getByText('Chain: all of it on one side')).toBeVisible();
	await page.keyboard.press('p');
	await expect(lunge.getByRole('button', { name: /Keep the dose/ })).toHaveAttribute('aria-pressed', 'true');
	await page.keyboard.press('ArrowDown');
	await expect(page.getByRole('group', { name: /^Clam/ })).toBeFocused();
	await page.keyboard.press('Delete');
	await expect(page.getByRole('group', { name: /^Clam/ })).toBeHidden();

	for (let i = 0; i < 6; i++) await page.keyboard.press('Control+z');
	await expect(total(page)).toHaveText(start ?? '');
	await expect(lunge).toHaveAccessibleName(/5 breaths/);
	await expect(page.locator('.row')).toHaveCount(4);
	for (let i = 0; i < 6; i++) await page.keyboard.press('Control+y');
	await expect(page.locator('.row')).toHaveCount(3);
	await page.keyboard.press('?');
	await expect(page.getByRole('heading', { name: 'Keys at the desk' })).toBeVisible();
});

test('twenty steps go back and forth, and a reload loses none of them', async ({ page }) => {
	await newPlan(page);
	await addByKey(page, 'clam');
	const clam = page.getByRole('group', { name: /^Clam/ });
	await clam.focus();
	const dose = () => page.getByLabel(/^Dose of Clam/).inputValue();
	const start = [await total(page).textContent(), await dose()];
	const keys = ['+', 's', '-', 'p', '+', 's', '-', 'p', 's', '+'];
	for (const key of [...keys, ...keys]) await page.keyboard.press(key);
	const end = [await total(page).textContent(), await dose()];
	expect(end).not.toEqual(start);
	for (let i = 0; i < 20; i++) await page.keyboard.press('Control+z');
	expect([await total(page).textContent(), await dose()]).toEqual(start);
	for (let i = 0; i < 20; i++) await page.keyboard.press('Control+y');
	expect([await total(page).textContent(), await dose()]).toEqual(end);
	await expect(saved(page)).toBeVisible();
	await reload(page);
	expect([await total(page).textContent(), await dose()]).toEqual(end);
});

test('doses, forms and times are edited in place; a wrong one says what is allowed', async ({ page }) => {
	await newPlan(page);
	await addByKey(page, 'warrior ii');
	const dose = page.getByRole('spinbutton', { name: /Dose of Warrior II/ });
	await dose.fill('0');
	await expect(page.getByRole('alert').getByText('1 to 3600')).toBeVisible();
	await dose.fill('99');
	await expect(page.getByText('20 to 45 is usual')).toBeVisible();
	await dose.fill('40');
	await expect(page.getByRole('alert')).toBeHidden();
	// set-up 14, 40, change 11, set-up 6, 40
	await expect(total(page)).toHaveText('1:51');
	await page.getByRole('combobox', { name: 'Form of Warrior II' }).selectOption('supported');
	// the chair is fetched in 12 s, and changing sides takes 23 s with it
	await expect(total(page)).toHaveText('2:15');
	await page.getByTestId('total').getByRole('button').click();
	await expect(page.getByRole('region', { name: 'Total time: parts' })).toContainText('changing sides0:23');
	await page.getByRole('textbox', { name: 'Starts' }).fill('6.40');
	await page.getByRole('textbox', { name: 'Starts' }).press('Tab');
	await expect(page.getByText('ends 06:42')).toBeVisible();
	await page.getByRole('spinbutton', { name: 'Target minutes' }).fill('600');
	await page.getByRole('spinbutton', { name: 'Target minutes' }).press('Tab');
	await expect(page.getByRole('alert').getByText('1 to 240')).toBeVisible();
});

test('a fit that cannot be says precisely why, and changes nothing', async ({ page }) => {
	await newPlan(page);
	await addByKey(page, 'warrior ii');
	await page.keyboard.press('f');
	await expect(
		page.getByText(/It cannot fit: needs 42:59 more: the longest this plan can be is 2:01/)
	).toBeVisible();
	await expect(total(page)).toHaveText('1:31');
});

test('a finding is mended in one step and can be taken back', async ({ page }) => {
	await newPlan(page);
	await addByKey(page, 'happy baby');
	const finding = page
		.getByRole('paragraph')
		.filter({ hasText: 'the class ends with Happy baby, not with rest' });
	await page.getByText(/\d+ worth knowing/).click();
	await expect(finding).toBeVisible();
	await page.getByRole('listitem').filter({ has: finding }).getByRole('button', { name: 'Fix' }).click();
	const change = page.getByRole('group', { name: 'Effect of the fix' });
	await expect(change).toContainText('End with Final rest');
	await expect(change).toContainText(/\d+:\d\d → \d+:\d\d/);
	await change.getByRole('button', { name: 'Apply' }).click();
	await expect(page.getByRole('group', { name: /^Final rest/ })).toBeVisible();
	await expect(finding).toBeHidden();
	await page.getByRole('button', { name: 'Undo' }).click();
	await expect(finding).toBeVisible();
});

test('a block is dragged to another place by the pointer', async ({ page }) => {
	await newPlan(page);
	await addByKey(page, 'cat and cow');
	await addByKey(page, 'clam');
	await addByKey(page, 'cobra');
	const handle = await page.getByLabel('Drag Cobra').boundingBox();
	const target = await page.getByRole('group', { name: /^Cat and cow/ }).boundingBox();
	await page.mouse.move(handle!.x + 8, handle!.y + 8);
	await page.mouse.down();
	await page.mouse.move(handle!.x + 8, handle!.y - 10, { steps: 5 });
	await page.mouse.move(target!.x + 20, target!.y + 6, { steps: 12 });
	// the library watches where the pointer is every 200 ms, and makes room there
	const place = page.locator('[data-is-dnd-shadow-item-internal]');
	await expect.poll(() => place.evaluate((node) => [...node.parentElement!.children].indexOf(node))).toBe(0);
	await page.mouse.up();
	await expect(page.locator('.row').first()).toHaveAccessibleName(/^Cobra/);
	await expect(saved(page)).toBeVisible();
	await reload(page);
	await expect(page.locator('.row').first()).toHaveAccessibleName(/^Cobra/);
});

test('the class card prints times, sides, kit and the caution line', async ({ page }) => {
	await openPlan(page, 'Breakwater Striders', 'After the headland run');
	await page.getByRole('link', { name: 'Class card' }).click();
	await expect(page.getByText('Pain means stop, in the knee above all.')).toBeVisible();
	await expect(page.getByText('sore knee (2), low back (1)')).toBeVisible();
	await expect(page.getByRole('row', { name: /19:15 0:40 Rest with bent knees/ })).toBeVisible();
	await expect(page.locator('.kit')).toContainText('33 blocks');
	await page.emulateMedia({ media: 'print' });
	await expect(page.getByRole('link', { name: 'Back to the class' })).toBeHidden();
	const pdf = (await page.pdf({ format: 'A4', preferCSSPageSize: true })).toString('latin1');
	expect((pdf.match(/\/Type \/Page\b/g) ?? []).length).toBeLessThanOrEqual(2);
});

test('a plan goes out as a file and comes back in; a wrong file changes nothing', async ({ page }) => {
	const path = await newPlan(page);
	await addByKey(page, 'clam');
	await page.getByRole('textbox', { name: 'Title of the class' }).fill('Out and "in" <b>🌊</b>');
	await expect(saved(page)).toBeVisible();
	const download = page.waitForEvent('download');
	await page.getByRole('link', { name: 'Save as file' }).click();
	const file = await (await download).path();
	const text = readFileSync(file, 'utf8');

	await open(page, '/');
	await page.getByRole('button', { name: 'Open a plan file' }).click();
	const input = page.getByLabel('Plan file (JSON)');
	const wrong = text.replace('"amount": 10', '"amount": 1000').replace('"clam"', '"oyster"');
	await input.setInputFiles({ name: 'wrong.json', mimeType: 'application/json', buffer: Buffer.from(wrong) });
	await page.getByRole('button', { name: 'Import' }).click();
	await expect(page.getByRole('alert')).toContainText('the catalogue has no movement "oyster"');
	await expect(page.getByRole('alert')).toContainText('plan.sections[0].blocks[0].movement');

	await input.setInputFiles({ name: 'right.json', mimeType: 'application/json', buffer: Buffer.from(text) });
	await page.getByLabel('For which group').selectOption({ label: 'First Tide' });
	await page.getByRole('button', { name: 'Import' }).click();
	await expect(page.getByRole('textbox', { name: 'Title of the class' })).toHaveValue(
		'Out and "in" <b>🌊</b>'
	);
	expect(new URL(page.url()).pathname).not.toBe(path);
	const again = await page.request.get(`${new URL(page.url()).pathname}/file`);
	expect((await again.json()).plan).toEqual(JSON.parse(text).plan);
});

test('a class of 280 blocks stays usable', async ({ page }) => {
	const example = JSON.parse(readFileSync('examples/after-the-headland-run.plan.json', 'utf8'));
	const clam = {
		kind: 'item',
		movement: 'clam',
		form: 'full',
		mode: 'dynamic',
		dose: { amount: 8 },
		lead: 'left'
	};
	example.plan.sections[2].blocks = Array.from({ length: 280 }, (_, i) => ({ ...clam, id: `c${i}` }));
	const group = await groupPath(page, 'Chalk Tuesdays');
	const made = await page.request.post('/api/plans', {
		data: { groupId: group.split('/').at(-1), plannedOn: null, plan: example.plan },
		...fromPage()
	});
	expect(made.status()).toBe(201);
	await open(page, `/plan/${(await made.json()).id}`);
	await page.getByRole('group', { name: /^Clam/ }).nth(3).focus();
	const before = await total(page).textContent();
	await page.keyboard.press('+');
	await expect(total(page)).not.toHaveText(before ?? '');
});
