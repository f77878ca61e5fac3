import {
	axeFindings,
	axeInBoth,
	expect,
	groupPath,
	open,
	openPlan,
	test,
	enteredAnew,
	pickCaution
} from './base';
import {
	begin,
	goOffline,
	next,
	now,
	onDevice,
	plannedStart,
	press,
	readyOffline,
	toTeach,
	withSettings
} from './teaching';

test.use({ ownContext: true });

interface SentStep {
	id: string;
	kind: string;
	title: string;
	itemId: string | null;
	equals: string | null;
	people: string[];
}

test('who is here is counted on a phone before the class, without a network: who does what, and the kit, follow', async ({
	context,
	page,
	watch
}) => {
	watch.allow.push(/ERR_INTERNET_DISCONNECTED|Failed to load/);
	await page.setViewportSize({ width: 390, height: 844 });
	const { path } = await toTeach(page);
	await readyOffline(page, context);
	await page.goto(path);
	const who = page.getByRole('region', { name: 'Who is here today' });
	await who.getByText('Count them').click();
	await who.getByLabel('tight').fill('11');
	await who.getByLabel('middling').fill('20');
	await who.getByLabel('open', { exact: true }).fill('0');
	await page.keyboard.press('Tab');
	await pickCaution(who, 'A person with', 'sore wrist');
	await expect(who.getByRole('status')).toContainText('31 people: 11 tight, 20 middling');
	await expect(who.getByRole('status')).toContainText('sore wrist 1');
	await expect(page.getByRole('region', { name: 'Kit' }).getByRole('status')).toContainText('are at hand');
	expect(await axeInBoth(page), 'before').toEqual([]);
	await page.clock.install();
	await page.getByRole('button', { name: 'Begin the class' }).click();
	await expect(now(page)).toBeVisible();
	for (let i = 0; i < 12 && !(await now(page).getByText('11 tight').count()); i++) await press(page);
	await expect(now(page).getByText(/^11 tight/)).toBeVisible();
	const [run] = await onDevice(page);
	expect(run!.events[0]).toMatchObject({ do: 'here', here: { tiers: { tight: 11, middling: 20, open: 0 } } });
});

test('a movement is swapped for another while it is taught, gets a set more and a note', async ({ page }) => {
	const { path, plan } = await toTeach(page);
	const { script } = await (await page.request.get(`/api/teach/packs/${plan}`)).json();
	const steps = script.steps as SentStep[];
	await page.clock.install();
	await begin(page, path);
	const second = steps.find(({ equals }) => equals !== null)!;
	const first = steps.findIndex(({ id }) => id === second.equals);
	await press(page, first);
	await expect(now(page).getByRole('heading', { level: 1 })).toHaveText(second.title);
	await page.getByRole('button', { name: 'Change', exact: true }).click();
	const dialog = page.getByRole('dialog');
	const give = dialog.getByRole('button', { name: /^Give / }).first();
	const other = (await give.getAttribute('aria-label'))!.replace('Give ', '');
	expect(await axeInBoth(page), 'change').toEqual([]);
	await give.click();
	await expect(now(page).getByRole('heading', { level: 1 })).toHaveText(other);
	await expect(now(page).getByRole('img')).toBeVisible();
	await page.keyboard.press('c');
	await dialog.getByRole('button', { name: 'One more set' }).click();
	await page.keyboard.press('c');
	await dialog.getByLabel('Note for afterwards').fill('Knees did not like the first one');
	await dialog.getByRole('button', { name: 'Record it' }).click();
	// the second side is the other movement too
	for (let i = 0; i < 30 && !(await now(page).getByText('As long as the first side').count()); i++)
		await press(page);
	await expect(now(page).getByRole('heading', { level: 1 })).toHaveText(other);
	await page.keyboard.press('c');
	await dialog.getByRole('button', { name: 'Back to what was planned' }).click();
	await expect(now(page).getByRole('heading', { level: 1 })).toHaveText(second.title);
	const [run] = await onDevice(page);
	expect(run!.events.map(({ do: act }) => act)).toEqual(
		expect.arrayContaining(['swap', 'one more set', 'note'])
	);
	await expect.poll(async () => (await onDevice(page))[0]!.unsent).toBe(0);
	const stored = await (await page.request.get(`/api/teach/sessions/${run!.id}`)).json();
	expect(stored.events).toEqual(run!.events);
});

test('a key of a pedal is set, and the whole script is a page to read or print', async ({ page }) => {
	const { path, plan } = await toTeach(page);
	await begin(page, path);
	await page.keyboard.press('?');
	const dialog = page.getByRole('dialog');
	await dialog.getByRole('button', { name: 'Another key for: On to what comes next' }).click();
	await page.keyboard.press('F9');
	await expect(dialog.getByText('F9')).toBeVisible();
	await page.keyboard.press('Escape');
	const { script } = await (await page.request.get(`/api/teach/packs/${plan}`)).json();
	const steps = script.steps as SentStep[];
	await page.keyboard.press('F9');
	await expect(now(page).getByRole('heading', { level: 1 })).toHaveText(steps[1]!.title);
	await page.goto(`/teach/script?plan=${plan}`);
	await expect(page.getByRole('listitem')).toHaveCount(steps.length);
	await expect(page.getByRole('listitem').nth(1)).toContainText(steps[1]!.title);
	expect(await axeInBoth(page), 'script').toEqual([]);
});

test('by the clock it waits where the teacher wants it to', async ({ page }) => {
	const { path, plan } = await toTeach(page);
	await page.clock.install({ time: await plannedStart(page, plan) });
	await withSettings(page, { lead: 'clock', waitsForPeople: false, tones: false });
	await begin(page, path);
	await page.getByRole('button', { name: 'The whole class' }).click();
	const wait = page
		.getByRole('dialog')
		.getByRole('button', { name: /^Wait at/ })
		.nth(2);
	const at = (await wait.getAttribute('aria-label'))!.replace('Wait at ', '').replace(/, (left|right)$/, '');
	await wait.click();
	await expect(wait).toHaveAttribute('aria-pressed', 'true');
	await page.keyboard.press('Escape');
	await page.clock.fastForward(3600_000);
	await expect(now(page).getByRole('heading', { level: 1 })).toHaveText(at);
	await next(page).click();
});

test('another device of the studio shows the room over the server, and says when the teacher is lost', async ({
	browser,
	page,
	baseURL
}) => {
	const { path, plan } = await toTeach(page);
	const { script } = await (await page.request.get(`/api/teach/packs/${plan}`)).json();
	const steps = script.steps as SentStep[];
	// the same account on a device of its own: nothing is shared but the server
	const state = await page.context().storageState();
	const context = await browser.newContext({ storageState: { ...state, origins: [] }, baseURL });
	const room = await context.newPage();
	await page.clock.install();
	await begin(page, path);
	const place = steps.findIndex(({ people, itemId }) => people.length > 0 && itemId !== null);
	await press(page, place);
	const runId = (await onDevice(page))[0]!.id;
	await open(room, `/teach/room?run=${runId}`);
	await expect(now(room).getByRole('heading', { level: 1 })).toHaveText(steps[place]!.title);
	await expect(now(room).getByRole('img')).toBeVisible();
	await expect(now(room)).not.toContainText(steps[place]!.people[0]!);
	await page.keyboard.press('PageDown');
	await expect(now(room).getByRole('heading', { level: 1 })).toHaveText(steps[place + 1]!.title);
	await page.close();
	await expect(room.getByText('The teacher’s page is not heard just now')).toBeVisible({ timeout: 45_000 });
	await context.close();
});

test('a session that ran out stops nothing: the class is taught on, and goes up after signing in again', async ({
	browser,
	baseURL
}) => {
	const page = await enteredAnew(browser, baseURL);
	const { path } = await toTeach(page);
	await begin(page, path);
	await page.context().clearCookies();
	await page.keyboard.press('PageDown');
	await page.getByRole('button', { name: 'How I teach' }).click();
	await page.getByRole('button', { name: 'End the class now' }).click();
	await expect(page.getByText('Sign in again to send it to the server.')).toBeVisible();
	const [run] = await onDevice(page);
	expect(run!.unsent).toBeGreaterThan(0);
	await page.getByRole('link', { name: 'Sign in again' }).click();
	await page.getByRole('button', { name: 'Enter the demo studio' }).click();
	await expect(page.getByRole('heading', { name: 'This week' })).toBeVisible();
	await expect.poll(async () => (await onDevice(page)).length).toBe(0);
	const stored = await (await page.request.get(`/api/teach/sessions/${run!.id}`)).json();
	expect(stored.events).toEqual(run!.events);
	await page.context().close();
});

test('the group is counted on a phone while it stands in a test, without a network, and stands among its check-ins', async ({
	context,
	page,
	watch
}) => {
	watch.allow.push(/ERR_INTERNET_DISCONNECTED|Failed to load/);
	await page.setViewportSize({ width: 390, height: 844 });
	await withSettings(page, { look: 'dark' });
	await openPlan(page, 'Lamp Room', 'A wave at noon');
	const path = (await page.locator('a[href^="/teach?plan="]').first().getAttribute('href'))!;
	const plan = new URL(path, page.url()).searchParams.get('plan');
	const { script } = await (await page.request.get(`/api/teach/packs/${plan}`)).json();
	await begin(page, path);
	await goOffline(page, context);
	await page.clock.install();
	const counting = page.getByRole('button', { name: 'Count the group' });
	const testAt = (script.steps as SentStep[]).findIndex(({ kind }) => kind === 'test');
	await press(page, testAt);
	await counting.click();
	const dialog = page.getByRole('dialog');
	const tap = async (grade: number, times: number) => {
		for (let i = 0; i < times; i++)
			await dialog.getByRole('button', { name: `One more grade ${grade}` }).click();
	};
	await tap(1, 4);
	await tap(2, 2);
	expect(await axeFindings(page), 'count, in the dark').toEqual([]);
	await dialog.getByRole('button', { name: 'Keep these counts' }).click();
	await expect(dialog).toBeHidden();
	// one was miscounted
	await counting.click();
	await dialog.getByRole('button', { name: 'One fewer grade 1' }).click();
	await dialog.getByRole('button', { name: 'Keep these counts' }).click();
	await context.setOffline(false);
	await expect.poll(async () => (await onDevice(page)).at(-1)!.unsent).toBe(0);
	await open(page, `${await groupPath(page, 'Lamp Room')}/check-in`);
	const result = page.getByRole('article', { name: /^Rolling straight legs/ });
	await result.getByText('What was counted').click();
	await expect(result.getByRole('cell', { name: '0 / 3 / 2 / 0' })).toBeVisible();
});
