/** A class that is led on another day than planned, and one that two devices lead. */
import { addByKey, enteredAnew, expect, groupPath, newPlan, open, saved, test } from './base';
import { begin, now, toTeach } from './teaching';

test.use({ ownContext: true });

const MINUTE_MS = 60_000;
/** A planned second takes this long. */
const SLOWLY_MS = 6000;

test('a class led on another day than planned asks which day it was, and is written down on that day', async ({
	page
}) => {
	const path = await newPlan(page, 'Breakwater Striders', '2031-03-04');
	for (const words of ['cobra', 'low lunge', 'clam']) await addByKey(page, words);
	await expect(saved(page)).toBeVisible();
	const plan = path.split('/').at(-1)!;
	const pack = await (await page.request.get(`/api/teach/packs/${plan}`)).json();
	// slower than planned: a class of a few minutes would be a try
	const startedAt = Date.now() - 40 * MINUTE_MS;
	const { steps } = pack.script as { steps: { seconds: number }[] };
	let passedMs = 0;
	const acts = [
		{ do: 'start', plannedStartAt: startedAt, passedMs },
		...steps.map(({ seconds }) => ({ do: 'next', passedMs: (passedMs += seconds * SLOWLY_MS) })),
		{ do: 'end', passedMs }
	];
	const events = acts.map(({ passedMs: monoMs, ...act }, place) => ({
		place,
		event: { id: `another-day-${place}`, at: startedAt + monoMs, monoMs, boot: 'boot', ...act }
	}));
	const sent = await page.request.post('/api/teach/sessions/led-another-day1', {
		data: { planId: plan, startedAt, over: true, script: pack.script, events },
		headers: { origin: new URL(page.url()).origin }
	});
	expect(sent.status()).toBe(200);
	await open(page, `${path}/taught`);
	const asked = page.getByRole('group', { name: 'On which day was it?' });
	await expect(asked).toContainText(/It was taught on .+, but planned for .*4 March/);
	await asked.getByRole('button').first().click();
	await expect(asked).toBeHidden();
	// the history of the group has it on the day on which it was led
	const history = await groupPath(page, 'Breakwater Striders');
	await open(page, `${history}/taught`);
	await expect(page.locator('main')).not.toContainText('4 March 2031');
});

test('a second device on one class is told, and hands over', async ({ page, browser, baseURL }) => {
	const { path } = await toTeach(page);
	await begin(page, path);
	const other = await enteredAnew(browser, baseURL);
	await begin(other, path);
	const told = other.getByRole('alert').filter({ hasText: 'Another device leads this class too' });
	await expect(told).toBeVisible({ timeout: 30_000 });
	await told.getByRole('button', { name: 'Hand over to it, and end here' }).click();
	await expect(other.getByText('Another device continues this class. This record ends here.')).toBeVisible();
	await expect(now(page)).toBeVisible();
	await other.context().close();
});
