import { readFileSync } from 'node:fs';
import { addDays } from '../../src/lib/core/calendar';
import {
	arrive,
	axeInBoth,
	expect,
	fromPage,
	groupPath,
	newPlan,
	open,
	test,
	total,
	axeFindings
} from './base';

const checkInsOf = (group: string) => `/api${group.replace('/group/', '/groups/')}/check-ins`;

test.describe('a teacher of whom nothing is known', () => {
	test.use({ storageState: { cookies: [], origins: [] } });

	test('three classes that are written down change the next prediction, which says why, and can be put back', async ({
		page
	}) => {
		const email = `petrel.${Date.now()}@wick-hollow.example`;
		await open(page, '/sign-up');
		await page.getByLabel('Your name').fill('Petra Quill');
		await page.getByLabel('E-mail').fill(email);
		await page.getByLabel('Password').fill('oystercatchers at low water');
		await page.getByRole('button', { name: 'Create the account' }).click();
		await arrive(page, '/sign-in');
		await page.getByLabel('E-mail').fill(email);
		await page.getByLabel('Password').fill('oystercatchers at low water');
		await page.getByRole('button', { name: 'Sign in', exact: true }).click();
		await arrive(page, '/begin');
		await open(page, '/group');
		await page.getByLabel('Name').fill('Breakwater Striders');
		await page.getByRole('button', { name: 'Create group' }).click();
		await arrive(page, '/group/');
		const example = JSON.parse(readFileSync('examples/after-the-headland-run.plan.json', 'utf8'));
		const filled = async (day: string) => {
			const path = await newPlan(page, 'Breakwater Striders', day);
			const saved = await page.request.put(`/api${path.replace('/plan/', '/plans/')}`, {
				data: { version: 1, document: example.plan },
				...fromPage()
			});
			expect(saved.ok(), await saved.text()).toBe(true);
			return path;
		};
		const next = await filled('2030-05-28');
		await open(page, next);
		await expect(total(page)).toHaveText('45:00');
		const before = await page.getByText(/chance of ending on time/).textContent();
		for (const day of ['2030-05-07', '2030-05-14', '2030-05-21']) {
			await open(page, `${await filled(day)}/taught`);
			await page.getByLabel('Minutes').fill('52');
			await page.getByLabel('Minutes').press('Tab');
			await page.getByRole('button', { name: 'Record it', exact: true }).click();
			await expect(page.getByText('Recorded', { exact: true })).toBeVisible();
		}
		await open(page, next);
		await expect(page.getByText('Your pace was learned since this class was made.')).toBeVisible();
		await expect(total(page)).not.toHaveText('45:00');
		expect(await page.getByText(/chance of ending on time/).textContent()).not.toBe(before);
		expect(await axeInBoth(page), 'plan, pace learned').toEqual([]);
		await page.getByRole('button', { name: 'Fit it to 45:00' }).click();
		await expect(total(page)).toHaveText('45:00');
		await open(page, '/style');
		const learned = page.getByTestId('learned');
		await expect(learned).toContainText('Learned from 3 classes, of which only the minutes are known');
		await expect(learned).toContainText(/your classes take 1\d % longer than usual/);
		await expect(page.getByText('with your pace as a whole; usual 7', { exact: true })).toBeVisible();
		expect(await axeInBoth(page), 'style, pace learned').toEqual([]);
		// a figure is put back by typing it, and the whole by a tick
		const held = page.getByLabel('A slow held breath, seconds');
		await held.fill('7');
		await held.press('Tab');
		await expect(page.getByText('said by you; usual 7')).toBeVisible();
		await page
			.getByRole('checkbox', { name: 'Learn my pace from the classes that I record' })
			.uncheck({ force: true });
		await expect(learned).toBeHidden();
		await expect(page.locator('[data-state="saved"]')).toBeVisible();
	});
});

test('a group is counted in a test by taps, and what it speaks for is taken over', async ({ page }) => {
	const group = await groupPath(page, 'Skiff Crew');
	await open(page, `${group}/check-in`);
	const more = (side: string, grade: number) =>
		page.getByRole('button', { name: `One more ${side}, grade ${grade}` });
	for (const grade of [0, 0, 0, 0, 1, 1, 1, 2]) await more('left', grade).click();
	for (const grade of [2, 2, 2, 2, 2, 3, 3, 3]) await more('right', grade).click();
	await more('left', 3).click();
	await page.getByRole('button', { name: 'One fewer left, grade 3' }).click();
	for (const stop of ['stretch at the back', 'stretch at the back', 'knee'])
		await page.getByRole('button', { name: `One more ${stop}` }).click();
	await expect(page.getByText('Counted: left 8, right 8')).toBeVisible();
	await page.getByRole('button', { name: 'Keep these counts' }).click();
	await expect(page.getByText('Kept: Figure four, how low the knee is, the whole group')).toBeVisible();
	await expect(page.getByText(/The left side is behind by 1\.8 grades/)).toBeVisible();
	await expect(page.getByText('It stops at: stretch at the back 2 and knee 1.')).toBeVisible();
	expect(await axeInBoth(page), 'check-in').toEqual([]);
	const offer = page.getByRole('listitem').filter({ hasText: 'the left side is behind. Let the planner' });
	await offer.getByRole('button', { name: 'Apply' }).click();
	await expect(page.getByText('Applied to the group')).toBeVisible();
	await expect(offer).toBeHidden();
	// the desk speaks of it now, and mends it
	await newPlan(page, 'Skiff Crew', '2030-06-06');
	await page.keyboard.press('a');
	await page.getByRole('combobox', { name: 'Find a movement' }).fill('lying figure four');
	await page.keyboard.press('Enter');
	await expect(
		page.getByText(/outer hips: the left side is behind, and nothing in this class/).first()
	).toBeAttached();
});

test('an even group is told no difference', async ({ page }) => {
	const group = await groupPath(page, 'First Tide');
	const document = {
		kind: 'counts',
		test: 'squat-heels-down',
		moment: 'before the class',
		counts: { left: [2, 5, 4, 1], right: [0, 0, 0, 0] }
	};
	for (const [on, left] of [
		['2026-10-01', [2, 5, 4, 1]],
		['2026-11-01', [1, 6, 4, 1]]
	] as const) {
		const kept = await page.request.post(checkInsOf(group), {
			data: { document: { ...document, counts: { ...document.counts, left } }, on },
			...fromPage()
		});
		expect(kept.status()).toBe(201);
	}
	await open(page, `${group}/check-in`);
	await expect(
		page.getByText(/^Since Thursday 1 October: no measurable change \(0\.1 grades, less than/)
	).toBeVisible();
});

test('somebody is measured with the inclinometer, which drops out half way; removing them asks once, leaves notes to the teacher, and can be taken back', async ({
	page
}) => {
	const group = await groupPath(page, 'First Tide');
	const students = `/api${group.replace('/group/', '/groups/')}/students`;
	const made = await page.request.post(students, {
		data: { document: { name: 'Nell K.', tier: 'middling', cautions: [], tighterSide: null } },
		...fromPage()
	});
	const { id } = await made.json();
	await open(page, `${group}/check-in`);
	await page
		.getByLabel('Test', { exact: true })
		.selectOption({ label: 'Shins falling outwards, on the front' });
	await page.getByLabel('Who', { exact: true }).selectOption({ label: 'Nell K.' });
	await page.getByLabel('With', { exact: true }).selectOption('inclinometer');
	await page.getByRole('button', { name: 'Begin with the left' }).click();
	const left = page.getByRole('group', { name: 'left, degrees' }).getByRole('listitem');
	await expect(left.filter({ hasText: /^3\d/ })).toHaveCount(1, { timeout: 15_000 });
	await expect(page.getByText('The connection is lost. All readings are kept')).toBeVisible({
		timeout: 15_000
	});
	await expect(left.filter({ hasText: /^3\d/ })).toHaveCount(1);
	await expect(page.getByText('The connection is lost')).toBeHidden({ timeout: 15_000 });
	await expect(
		page.getByRole('group', { name: 'right, degrees' }).getByRole('listitem').filter({ hasText: /^4\d/ })
	).toHaveCount(3, {
		timeout: 60_000
	});
	await expect(left.filter({ hasText: /^3\d/ })).toHaveCount(3);
	await page.getByRole('button', { name: 'Keep these readings' }).click();
	await expect(page.getByText('Kept: Shins falling outwards, on the front, Nell K.')).toBeVisible();
	await expect(
		page.getByText(/Left and right: no measurable difference \(1\d(\.\d)? degrees, less than 13\.6\)/)
	).toBeVisible();
	// their name stands in a note too
	const runs = `/api${group.replace('/group/', '/groups/')}/records`;
	const noted = await page.request.post(runs, {
		data: {
			title: 'On the beach',
			on: '2026-11-07',
			startsAt: '09:30',
			document: {
				effort: 4,
				minutes: 60,
				attendance: 12,
				leftOut: [],
				note: 'Nell K. rested her knee; @Nell K. sat well.'
			}
		},
		...fromPage()
	});
	expect(noted.status(), await noted.text()).toBe(201);
	const data = await (await page.request.get(`/api/students/${id}`)).json();
	expect(data.measured).toHaveLength(1);
	expect(data.mentionedIn).toMatchObject([{ class: 'On the beach' }]);
	await open(page, group);
	await page.getByRole('button', { name: 'Remove Nell K.' }).click();
	const dialog = page.getByRole('dialog', { name: 'Remove Nell K.?' });
	await expect(dialog.getByText('one check-in. You can bring them back for 7 days')).toBeVisible();
	await expect(dialog.getByText('Nell K. rested her knee; @Nell K. sat well.')).toBeVisible();
	expect(await axeFindings(page), 'removing').toEqual([]);
	await dialog.getByRole('button', { name: 'Take the name out of this note' }).click();
	await expect(dialog.getByText('The name is taken out of the note')).toBeVisible();
	await dialog.getByRole('button', { name: 'Remove Nell K.' }).click();
	await expect(page.getByText('Nell K. is removed', { exact: true })).toBeVisible();
	expect((await page.request.get(`/api/students/${id}`)).status()).toBe(404);
	await open(page, `${group}/check-in`);
	await expect(page.getByText('Nell K.')).toHaveCount(0);
	await open(page, `${group}/taught`);
	await expect(page.getByText('… rested her knee; @somebody sat well.')).toBeVisible();
	await open(page, group);
	await page.getByRole('button', { name: 'Bring Nell K. back' }).click();
	await expect(page.getByRole('rowheader', { name: 'Nell K.' })).toBeVisible();
	await open(page, `${group}/taught`);
	await expect(page.getByText('… rested her knee; @Nell K. sat well.')).toBeVisible();
	// as it was, for who comes after
	await open(page, group);
	await page.getByRole('button', { name: 'Remove Nell K.' }).click();
	await dialog.getByRole('button', { name: 'Remove Nell K.' }).click();
	await expect(page.getByText('Nell K. is removed', { exact: true })).toBeVisible();
});

test('a series ends with what changed and what did not, without names unless they are asked for', async ({
	page
}) => {
	await open(page, '/series');
	const series = (await page
		.getByRole('link', { name: /Out of the chair/ })
		.first()
		.getAttribute('href'))!;
	const group = await groupPath(page, 'Lamp Room');
	await open(page, `${series}/results`);
	await expect(page.getByTestId('account')).toContainText(/^3 of \d+ classes were taught/);
	await expect(page.getByText('No test was taken twice in these weeks')).toBeVisible();
	const monday = await page.evaluate(() => new Date().toISOString().slice(0, 10));
	for (const [daysAgo, low, knees] of [
		[7, [6, 3, 1, 0], [1, 4, 4, 1]],
		[0, [0, 2, 5, 3], [1, 4, 4, 1]]
	] as const)
		for (const [of, left] of [
			['leg-roll', low],
			['butterfly-knees', knees]
		] as const) {
			const kept = await page.request.post(checkInsOf(group), {
				data: {
					document: {
						kind: 'counts',
						test: of,
						moment: 'before the class',
						counts: { left, right: [0, 0, 0, 0] }
					},
					on: addDays(monday, -daysAgo)
				},
				...fromPage()
			});
			expect(kept.status()).toBe(201);
		}
	await open(page, `${series}/results`);
	const changed = page.getByRole('region', { name: 'Changed by more than the error of measuring' });
	await expect(changed.getByRole('heading', { name: /Rolling straight legs/ })).toBeVisible();
	await expect(changed).toContainText(/1\.6 grades freer/);
	const same = page.getByRole('region', { name: 'No measurable change' });
	await expect(same.getByRole('heading', { name: /Butterfly/ })).toBeVisible();
	expect(await axeInBoth(page), 'results').toEqual([]);
	await expect(page.getByRole('heading', { name: 'People' })).toHaveCount(0);
	await page.getByRole('link', { name: /With names/ }).click();
	await expect(page.getByRole('heading', { name: 'People' })).toBeVisible();
});

test('a ladder begins where the group was counted to be, once the teacher takes it so', async ({ page }) => {
	const group = await groupPath(page, 'Lamp Room');
	const kept = await page.request.post(checkInsOf(group), {
		data: {
			document: {
				kind: 'counts',
				test: 'low-lunge-upright',
				moment: 'before the class',
				counts: { left: [0, 0, 1, 9], right: [0, 0, 1, 9] }
			},
			on: await page.evaluate(() => new Date().toISOString().slice(0, 10))
		},
		...fromPage()
	});
	expect(kept.status()).toBe(201);
	await open(page, `${group}/check-in`);
	const tiers = page.getByRole('listitem').filter({ hasText: 'Front of the hips: 0 tight' });
	await tiers.getByRole('button', { name: 'Apply' }).click();
	await expect(tiers).toBeHidden();

	await open(page, '/series');
	await page
		.getByRole('link', { name: /Out of the chair/ })
		.first()
		.click();
	await arrive(page, '/series/');
	await page.mouse.wheel(0, 4000);
	const checkIns = page.getByRole('region', { name: 'Check-ins of these weeks' });
	const offer = checkIns.getByText(
		/Front of the hips, as counted: 0 tight, 1 middling, 9 open\. Go past .*supported/
	);
	await expect(offer).toBeVisible();
	expect(await axeInBoth(page), 'series').toEqual([]);
	await offer.getByRole('button', { name: /^Apply to ladder/ }).click();
	await expect(offer).toBeHidden();
	await page.keyboard.press('Control+z');
	await expect(offer).toBeVisible();
});

test('before the next class it is asked how the last one sat', async ({ page }) => {
	await open(page, '/group');
	const first = await newPlan(page, 'Skiff Crew', '2031-02-06');
	const written = await page.request.put(`/api${first.replace('/plan/', '/plans/')}/record`, {
		data: { version: 0, document: { effort: 4, minutes: 20, attendance: null, leftOut: [], note: '' } },
		...fromPage()
	});
	expect(written.ok()).toBe(true);
	await newPlan(page, 'Skiff Crew', '2031-02-13');
	const asked = page.getByRole('region', { name: 'After the class of Thursday 6 February' });
	await asked.getByRole('group', { name: 'Sore the next day?' }).getByRole('button', { name: 'few' }).click();
	await expect(page.getByText('Recorded: feedback on Thursday 6 February.')).toBeVisible();
	await newPlan(page, 'Skiff Crew', '2031-02-20');
	await expect(page.getByText('Sore the next day?')).toHaveCount(0);
});

test('a class without a plan is written down for any day', async ({ page }) => {
	const group = await groupPath(page, 'Skiff Crew');
	await open(page, `${group}/taught`);
	await page.getByText('Record a class without a plan').click();
	await page.getByLabel('What it was').fill('On the slipway');
	await page.getByLabel('Minutes').fill('25');
	await page.getByRole('button', { name: 'Record it', exact: true }).click();
	await expect(page.getByRole('cell', { name: 'On the slipway' })).toBeVisible();
	expect(await axeInBoth(page), 'taught, with weeks').toEqual([]);
});
