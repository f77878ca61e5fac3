/** Doses as teachers give them, entered at the desk by hand and kept. */
import { addByKey, expect, newPlan, open, reload, saved, test, total, pickCaution } from './base';
import type { Page } from '@playwright/test';

/** The fields of everything that belongs to the dose of a row; its details are opened by their key. */
async function doseOf(page: Page, name: string) {
	const fields = page.getByRole('group', { name: `Dose of ${name}, all of it` });
	if (await fields.isHidden()) await page.keyboard.press('d');
	await expect(fields).toBeVisible();
	return {
		fields,
		async fill(label: string, value: string) {
			const field = fields.getByLabel(label, { exact: true });
			await field.fill(value);
			await field.press('Tab');
		},
		async choose(label: string, value: string) {
			await fields.getByLabel(label, { exact: true }).selectOption(value);
		},
		async tick(label: string) {
			await fields.getByText(label).click();
		}
	};
}

test('sets, a press in rounds, circles both ways, by turns and a shape passed through are entered and kept', async ({
	page
}) => {
	const plan = await newPlan(page, 'Chalk Tuesdays', '2030-07-02');
	const row = (name: string) => page.getByRole('group', { name: new RegExp(`^${name},`) });
	const addAfter = async (before: string, name: string) => {
		await row(before).focus();
		await addByKey(page, name);
	};

	await addByKey(page, 'low lunge');
	let dose = await doseOf(page, 'Low lunge');
	await dose.fill('Sets', '3');
	await dose.fill('Rest between sets (s)', '20');
	await dose.fill('Up to', '8');
	await expect(row('Low lunge')).toHaveAccessibleName(/5–8 breaths each side, 3 sets, 20 s between/);

	await addAfter('Low lunge', 'front leg pressing');
	dose = await doseOf(page, '90-90, front leg pressing');
	await dose.choose('Counted in', 'rounds');
	await dose.fill('Each one held', '5');
	await dose.choose('in', 'seconds');
	await dose.fill('Effort, %', '80');
	await expect(row('90-90, front leg pressing')).toHaveAccessibleName(
		/rounds? each side, each held 5 seconds, at 80 %/
	);

	await addAfter('90-90, front leg pressing', 'standing knee circles');
	await expect(row('Standing knee circles')).toHaveAccessibleName(/each way/);

	await addAfter('Standing knee circles', 'clam');
	dose = await doseOf(page, 'Clam');
	const sided = await total(page).textContent();
	await dose.fill('The last one held', '3');
	await dose.choose('in', 'breaths');
	await dose.tick('Alternating: left, right, left');
	await expect(row('Clam')).toHaveAccessibleName(/20 repetitions by turns, the last held 3 breaths/);
	await expect(total(page)).not.toHaveText(sided ?? '');

	await addAfter('Clam', 'plank');
	dose = await doseOf(page, 'Plank');
	await dose.tick('Only passed through');
	await expect(row('Plank')).toHaveAccessibleName(/passed through/);

	await expect(saved(page)).toBeVisible();
	const length = await total(page).textContent();
	await reload(page);
	await expect(total(page)).toHaveText(length ?? '');
	await expect(row('Low lunge')).toHaveAccessibleName(/5–8 breaths each side, 3 sets/);
	await expect(row('Plank')).toHaveAccessibleName(/passed through/);

	await open(page, `${plan}/print`);
	await expect(page.getByRole('cell', { name: /5–8 breaths each side, 3 sets, 20 s between/ })).toBeVisible();
	await expect(page.getByRole('cell', { name: /each held 5 seconds, at 80 %/ })).toBeVisible();
	await expect(page.getByRole('cell', { name: 'passed through', exact: true })).toBeVisible();
});

test('the sides differ for a reason, change slowly after a pause, or there is only one', async ({ page }) => {
	await newPlan(page, 'Chalk Tuesdays', '2030-07-03');
	await addByKey(page, 'clam');
	const dose = await doseOf(page, 'Clam');
	await dose.fill('Second side, repetitions', '6');
	await dose.fill('Why the sides get different amounts', 'tired by then');
	await dose.fill('after the first side (s)', '15');
	await dose.tick('Change sides slowly');
	await expect(page.getByRole('group', { name: /^Clam,/ })).toHaveAccessibleName(
		/10 repetitions each side, 6 repetitions on the second side/
	);
	// set-up 14, 46; notice 15, switch 15; set-up 6, 28
	await expect(total(page)).toHaveText('2:04');
	await expect(page.getByText(/Clam gets .* on the first side/)).toBeHidden();
	await dose.tick('One side only');
	await dose.fill('Why on one side only', 'the other one is sore');
	await expect(total(page)).toHaveText('1:00');
	await expect(saved(page)).toBeVisible();
});

test('the kind of class changes its length', async ({ page }) => {
	await newPlan(page, 'Chalk Tuesdays', '2030-07-04');
	await addByKey(page, 'warrior ii');
	await expect(total(page)).toHaveText('1:31');
	await page.getByText('Style and pace of this class').click();
	await page.getByText(/^Detailed: under 11 shapes/).click();
	// 26, 38, 11, 10, 38
	await expect(total(page)).toHaveText('2:03');
	await page.getByText(/^Flowing: 18 shapes/).click();
	// 15, 27, 11, 6, 27
	await expect(total(page)).toHaveText('1:26');
	await expect(saved(page)).toBeVisible();
});

test('kit is for one side, somebody else is here today, and sheet and checks follow', async ({ page }) => {
	const plan = await newPlan(page, 'Chalk Tuesdays', '2030-07-05');
	await addByKey(page, 'fire log');
	await addByKey(page, 'low lunge');
	await page.getByRole('combobox', { name: 'Form of Low lunge' }).selectOption('supported');
	await page.getByRole('group', { name: /^Low lunge,/ }).focus();
	await page.keyboard.press('d');
	const kit = page.getByRole('group', { name: 'Kit of Low lunge' });
	await kit.getByLabel('blanket for').selectOption('the left side');
	await kit.getByLabel('More kit, for one person').selectOption('cushion');
	await expect(kit.getByLabel('cushion for')).toHaveValue('one person');

	await page.getByText('Who is here today', { exact: true }).click();
	await pickCaution(page, 'A person with', 'sore knee');
	const finding = (words: RegExp) => page.getByRole('listitem').filter({ hasText: words });
	await page.getByText(/\d+ worth knowing/).click();
	await expect(finding(/Fire log, sore knee \(1\): they do Lying figure four instead/)).toBeVisible();
	await page.getByLabel('sore knee', { exact: true }).fill('6');
	await page.getByLabel('sore knee', { exact: true }).press('Tab');
	await expect(finding(/Fire log, sore knee \(6\): most of the room cannot do it/)).toBeVisible();
	await page.getByLabel('middling', { exact: true }).fill('12');
	await page.getByLabel('middling', { exact: true }).press('Tab');
	await expect(page.getByText('16 people today; 9 usually')).toBeVisible();
	await expect(finding(/Fire log, sore knee \(6\): they do Lying figure four/)).toBeVisible();
	await expect(saved(page)).toBeVisible();

	await open(page, `${plan}/room`);
	await expect(page.getByText('16 people')).toBeVisible();
	await expect(page.getByText('blanket: the left side')).toBeVisible();
	await expect(page.getByText('cushion: one person')).toBeVisible();
	await open(page, `${plan}/print`);
	await expect(page.getByText(/sore knee \(6\): Lying figure four/)).toBeVisible();
	await expect(
		page.getByRole('cell', { name: /blanket for the left side.*cushion for one person/ })
	).toBeVisible();

	await open(page, `${plan}#here`);
	await page.getByRole('button', { name: 'Reset to usual' }).click();
	await expect(page.getByText('As usual: 9 people')).toBeVisible();
	await expect(saved(page)).toBeVisible();
});
