import { addByKey, arrive, expect, newPlan, open, reload, saved, axeFindings, test, total } from './base';

test('a finding is on purpose: it says no more, keeps the reason, and can be asked again', async ({
	page
}) => {
	await newPlan(page, 'First Tide', '2030-05-04');
	await addByKey(page, 'happy baby');
	const checks = page.getByRole('complementary');
	const finding = checks
		.getByRole('listitem')
		.filter({ hasText: 'the class ends with Happy baby, not with rest' });
	await checks.getByText(/\d+ worth knowing/).click();
	await finding.getByRole('button', { name: 'Keep with a reason' }).click();
	await finding.getByRole('textbox', { name: 'Why you keep it' }).fill('They rest at their desks.');
	await finding.getByRole('button', { name: 'Keep it' }).click();
	await expect(checks.getByText('1 kept, with a reason')).toBeVisible();
	await expect(saved(page)).toBeVisible();
	await reload(page);
	await checks.getByText('1 kept, with a reason').click();
	await expect(checks.getByText('They rest at their desks.')).toBeVisible();
	await checks.getByRole('button', { name: 'Check again' }).click();
	if (!(await finding.isVisible())) await checks.getByText(/\d+ worth knowing/).click();
	await expect(finding.getByRole('button', { name: 'Keep with a reason' })).toBeVisible();
});

test('a check is silenced in all classes with a reason, is listed under Style, and can be asked again', async ({
	page
}) => {
	const message = 'the class ends with Happy baby, not with rest';
	await newPlan(page, 'First Tide', '2030-05-11');
	await addByKey(page, 'happy baby');
	const checks = page.getByRole('complementary');
	const finding = checks.getByRole('listitem').filter({ hasText: message });
	await checks.getByText(/\d+ worth knowing/).click();
	await finding.getByRole('button', { name: 'Keep with a reason' }).click();
	await finding.getByRole('textbox', { name: 'Why you keep it' }).fill('They rest at home.');
	await finding.getByText('In all of my classes').click();
	await finding.getByRole('button', { name: 'Keep it' }).click();
	await expect(checks.getByText('1 kept, with a reason')).toBeVisible();
	await newPlan(page, 'First Tide', '2030-05-18');
	await addByKey(page, 'happy baby');
	await expect(checks.getByText('1 kept, with a reason')).toBeVisible();
	await expect(checks.getByText(message)).toBeHidden();
	await open(page, '/style');
	const silenced = page.getByRole('region', { name: 'Silenced checks' });
	await expect(silenced.getByText('They rest at home.')).toBeVisible();
	expect(await axeFindings(page)).toEqual([]);
	await silenced.getByRole('button', { name: 'Check again' }).click();
	await expect(silenced.getByText('They rest at home.')).toBeHidden();
});

test('the order is calmed in a worker, taken, and taken back', async ({ page }) => {
	await newPlan(page, 'Lamp Room', '2030-05-02');
	for (const name of ['cat and cow', 'mountain', 'hip circles on all fours', 'wide stance, swaying'])
		await addByKey(page, name);
	const before = await total(page).textContent();
	await page.keyboard.press('o');
	const calm = page.getByRole('group', { name: 'Reduce transitions' });
	await expect(calm).toContainText('no order takes less time');
	expect(await axeFindings(page)).toEqual([]);
	await calm.getByRole('button', { name: 'Apply' }).click();
	await expect(total(page)).not.toHaveText(before ?? '');
	await expect(page.getByText(/Reordered: 0:\d\d less between blocks/)).toBeVisible();
	const rows = await page
		.locator('.row')
		.evaluateAll((all) => all.map((row) => row.getAttribute('aria-label')));
	const standing = rows.map((label) => /^(Mountain|Wide stance)/.test(label ?? ''));
	expect(standing.filter((s, i) => i > 0 && s !== standing[i - 1])).toHaveLength(1);
	await page.getByRole('button', { name: 'Undo' }).click();
	await expect(total(page)).toHaveText(before ?? '');
	await page.keyboard.press('o');
	await page.getByRole('button', { name: 'Apply' }).click();
	await page.keyboard.press('o');
	await expect(page.getByText('No other order takes less time')).toBeVisible();
});

test('the time around the work is pinned and let go; the likely end is said', async ({ page }) => {
	await newPlan(page, 'Lamp Room', '2030-05-03');
	await addByKey(page, 'warrior ii');
	await expect(total(page)).toHaveText('1:31');
	await expect(page.locator('.total')).toContainText(/80 % end between \d\d:\d\d and \d\d:\d\d/);
	await expect(page.locator('.total')).toContainText('90 % chance of ending on time');
	await page.keyboard.press('d');
	const detail = page.getByRole('group', { name: 'More of Warrior II' });
	await detail.getByLabel('getting into the shape').fill('40');
	await detail.getByLabel('getting into the shape').press('Tab');
	// 40 in place of 14, and 16 in place of 6 on the second side
	await expect(total(page)).toHaveText('2:07');
	await detail.getByLabel('getting into the shape').fill('');
	await detail.getByLabel('getting into the shape').press('Tab');
	await expect(total(page)).toHaveText('1:31');
});

test('blocks are marked, copied into another class, cut, pasted and removed together', async ({ page }) => {
	const other = await newPlan(page, 'Skiff Crew', '2030-06-01');
	await newPlan(page, 'Lamp Room', '2030-06-02');
	for (const name of ['cat and cow', 'clam', 'cobra', 'plank']) await addByKey(page, name);
	await page.getByRole('group', { name: /^Clam/ }).focus();
	await page.keyboard.press('Shift+ArrowDown');
	await expect(page.getByRole('group', { name: /^Clam.*marked/ })).toBeVisible();
	await expect(page.getByRole('group', { name: /^Cobra.*marked/ })).toBeFocused();
	await page.keyboard.press('Control+c');
	await expect(page.getByText('2 blocks copied')).toBeVisible();
	await page.keyboard.press('Control+v');
	await expect(page.locator('.row')).toHaveCount(6);
	await page.keyboard.press('Control+z');
	await expect(page.locator('.row')).toHaveCount(4);
	await page.keyboard.press('Control+a');
	await expect(page.getByText('4 marked')).toBeVisible();
	await page.keyboard.press('Control+x');
	await expect(page.locator('.row')).toHaveCount(0);
	await expect(saved(page)).toBeVisible();

	await open(page, other);
	await page.keyboard.press('Control+v');
	await expect(page.locator('.row')).toHaveCount(4);
	await expect(page.locator('.row').first()).toHaveAccessibleName(/^Cat and cow/);
	await expect(saved(page)).toBeVisible();
});

test('rows flow in rounds, a leg steps through, a test is taken twice, and several move together', async ({
	page
}) => {
	await newPlan(page, 'Lamp Room', '2030-06-03');
	for (const name of ['cat and cow', 'low lunge', 'pigeon, folded', 'final rest']) await addByKey(page, name);
	const row = (name: RegExp) => page.getByRole('group', { name });
	await row(/^Cat and cow/).focus();
	for (let i = 0; i < 2; i++) await page.keyboard.press('Shift+ArrowDown');
	const before = await total(page).textContent();
	await page.keyboard.press('r');
	await expect(page.getByLabel('Rounds of the flow')).toHaveValue('4');
	await expect(row(/^Low lunge/)).toContainText('with the movement');
	const flowing = await total(page).textContent();
	expect(flowing).not.toBe(before);
	await page.getByLabel('Rounds of the flow').fill('3');
	await page.getByLabel('Rounds of the flow').press('Tab');
	await expect(total(page)).not.toHaveText(flowing ?? '');
	const owed = page
		.getByRole('listitem')
		.filter({ hasText: /is still owed 0:05 at the end, because its flow/ });
	await expect(owed.first()).toBeVisible();
	await page.getByLabel('Breaths to each movement').fill('2');
	await page.getByLabel('Breaths to each movement').press('Tab');
	await expect(page.getByLabel(/^Dose of Low lunge/)).toHaveValue('2');
	await page.getByLabel('How the flow serves both sides').selectOption('one side, then the other');
	await expect(owed).toHaveCount(0);
	expect(await axeFindings(page)).toEqual([]);

	await row(/^Pigeon/).focus();
	await page.keyboard.press('l');
	await expect(row(/^Pigeon/).getByRole('button', { name: 'right first' })).toBeVisible();
	await expect(row(/^Pigeon/)).toContainText('steps through');
	await page.keyboard.press('Shift+C');
	await expect(page.getByLabel('Rounds of the flow')).toHaveCount(0);

	await row(/^Cat and cow/).focus();
	await page.keyboard.press('m');
	await page.getByLabel('Which test').selectOption('Test: Rolling straight legs in');
	await expect(page.getByLabel('Seconds of the test')).toHaveValue('40');
	await page.getByText(/worth knowing/).click();
	const finding = page.getByRole('listitem').filter({ hasText: 'is tested once' });
	await finding.getByRole('button', { name: 'Fix' }).click();
	await page.getByRole('button', { name: 'Apply' }).click();
	await expect(row(/^Test: Rolling/)).toHaveCount(2);

	await row(/^Low lunge/).focus();
	await page.keyboard.press('Shift+ArrowDown');
	await page.keyboard.press('Alt+ArrowUp');
	await expect(page.getByText('2 blocks moved earlier')).toBeVisible();
	await expect(saved(page)).toBeVisible();
	await reload(page);
	const names = await page
		.locator('[id^="row-"]')
		.evaluateAll((all) => all.map((r) => r.getAttribute('aria-label')!.split(',')[0]));
	expect(names.slice(0, 5)).toEqual([
		'Cat and cow',
		'Low lunge',
		'Pigeon',
		'Test: Rolling straight legs in',
		'Final rest'
	]);
	await page.goto(`${page.url()}/print`);
	await expect(page.getByText('Test: Rolling straight legs in').first()).toBeVisible();
});

test('on the score a block is dragged to another place and its edge to another dose', async ({ page }) => {
	await newPlan(page, 'Lamp Room', '2030-06-03');
	for (const name of ['cat and cow', 'clam', 'happy baby']) await addByKey(page, name);
	const block = (name: string) =>
		page
			.locator('.score .block')
			.filter({ has: page.locator('title', { hasText: name }) })
			.first();
	const zoom = page.getByRole('group', { name: 'Zoom of the score' });
	for (let i = 0; i < 3; i++) await zoom.getByRole('button', { name: 'Zoom in' }).click();
	await expect(zoom.getByRole('button', { name: 'Zoom in' })).toBeDisabled();

	const cat = (await block('Cat and cow').boundingBox())!;
	const clam = (await block('Clam').boundingBox())!;
	await page.mouse.move(cat.x + 10, cat.y + cat.height / 2);
	await page.mouse.down();
	await page.mouse.move(clam.x + clam.width + 20, cat.y + cat.height / 2, { steps: 8 });
	await page.mouse.up();
	await expect(page.locator('.row').first()).toHaveAccessibleName(/^Clam/);
	await expect(page.getByRole('group', { name: /^Cat and cow/ })).toBeFocused();

	await block('Happy baby').scrollIntoViewIfNeeded();
	const baby = (await block('Happy baby').boundingBox())!;
	const dose = page.getByRole('spinbutton', { name: /Dose of Happy baby/ });
	await expect(dose).toHaveValue('45');
	await page.mouse.move(baby.x + baby.width - 2, baby.y + baby.height / 2);
	await page.mouse.down();
	await page.mouse.move(baby.x + baby.width - 60, baby.y + baby.height / 2, { steps: 6 });
	await page.mouse.up();
	const shorter = Number(await dose.inputValue());
	expect(shorter).toBeLessThan(45);
	expect(shorter % 5).toBe(0);
	await page.getByRole('button', { name: 'Undo' }).click();
	await expect(dose).toHaveValue('45');
	expect(await axeFindings(page)).toEqual([]);
});

test('a class is duplicated and compared: what came, what went, what changed', async ({ page }) => {
	await newPlan(page, 'Skiff Crew', '2030-07-01');
	for (const name of ['cat and cow', 'clam']) await addByKey(page, name);
	await expect(saved(page)).toBeVisible();
	const before = new URL(page.url()).pathname;
	await page.getByRole('button', { name: 'Duplicate' }).click();
	await page.waitForURL((url) => url.pathname !== before);
	await expect(page.getByRole('textbox', { name: 'Title of the class' })).toHaveValue('Skiff Crew (copy)');
	await arrive(page, '/plan/');
	await addByKey(page, 'cobra');
	await page.getByRole('group', { name: /^Clam/ }).focus();
	await page.keyboard.press('+');
	await page.getByRole('group', { name: /^Cat and cow/ }).focus();
	await page.keyboard.press('Delete');
	await expect(saved(page)).toBeVisible();
	await page.getByRole('link', { name: 'Compare' }).click();
	await arrive(page, /compare/);
	await page.getByLabel('compared with').selectOption({ label: 'Skiff Crew, Monday 1 July' });
	await expect(page.getByRole('region', { name: 'Only in this class 1' })).toContainText('Cobra');
	await expect(page.getByRole('region', { name: 'Only in the other 1' })).toContainText('Cat and cow');
	await expect(page.getByRole('region', { name: 'In both, not the same 1' })).toContainText(
		'dose 10 repetitions each side → 11 repetitions each side'
	);
	expect(await axeFindings(page)).toEqual([]);
});

test('a class is kept as a template, another begins with it; renamed, removed and brought back', async ({
	page
}) => {
	await newPlan(page, 'Lamp Room', '2030-08-07');
	for (const name of ['cat and cow', 'clam', 'final rest']) await addByKey(page, name);
	await page.getByRole('textbox', { name: 'Title of the class' }).fill('A quarter of an hour');
	await expect(saved(page)).toBeVisible();
	await page.getByRole('button', { name: 'Save as template' }).click();
	await expect(page.getByText('Saved as a template: A quarter of an hour')).toBeVisible();

	await open(page, '/?week=2031-W20');
	await page.getByLabel(/Begin the plan for Skiff Crew, .* with/).selectOption('with A quarter of an hour');
	await page.getByRole('button', { name: 'Start a plan for Skiff Crew' }).click();
	await arrive(page, '/plan/');
	await expect(page.getByRole('textbox', { name: 'Title of the class' })).toHaveValue('A quarter of an hour');
	await expect(page.locator('.row')).toHaveCount(3);

	await open(page, '/template');
	expect(await axeFindings(page)).toEqual([]);
	const title = page.getByRole('textbox', { name: 'Title of A quarter of an hour' });
	await title.fill('Fifteen minutes');
	await page.getByRole('button', { name: 'Rename' }).click();
	await expect(page.getByText('It is called Fifteen minutes now')).toBeVisible();
	await page.getByRole('button', { name: 'Remove Fifteen minutes' }).click();
	await expect(page.getByText('None yet.')).toBeVisible();
	await page.getByRole('button', { name: 'Bring it back' }).click();
	await expect(page.getByRole('textbox', { name: 'Title of Fifteen minutes' })).toBeVisible();
	await page.getByRole('button', { name: 'Remove Fifteen minutes' }).click();
	await expect(page.getByText('None yet.')).toBeVisible();
});
