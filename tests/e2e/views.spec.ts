import { pagesOfDemo } from '../pages';
import {
	addByKey,
	arrive,
	expect,
	fromPage,
	newPlan,
	open,
	openPlan,
	reload,
	saved,
	axeInBoth,
	test,
	total,
	stranger,
	pickCaution
} from './base';
import { htmlFaults } from './html';
import { execFileSync } from 'node:child_process';

test('the week shows what is next and what is unplanned, and a first plan takes three clicks', async ({
	page
}) => {
	await open(page, '/?week=2031-W10');
	await expect(page.getByRole('heading', { name: 'Week of Monday 3 March' })).toBeVisible();
	await page.getByRole('button', { name: 'Start a plan for First Tide' }).click();
	await arrive(page, '/plan/');
	await expect(page.getByText('An empty class.')).toBeVisible();
	await expect(page.getByText('Saturday 8 March')).toBeVisible();
	await page.getByRole('button', { name: 'Add the first movement' }).click();
	await page.keyboard.type('butter');
	await page.keyboard.press('Enter');
	await expect(page.getByRole('group', { name: /^Butterfly/ })).toBeVisible();
	await expect(saved(page)).toBeVisible();
	await open(page, '/?week=2031-W10');
	await expect(page.getByRole('listitem').filter({ hasText: 'First Tide' }).last()).toContainText('to fix');
});

test('a group is made from a preset and changed; the plan follows its targets', async ({ page, watch }) => {
	watch.allow.push(/400|422/);
	await open(page, '/group');
	await page.getByRole('button', { name: 'Create group' }).click();
	await expect(page.getByText('Give the group a name')).toBeVisible();
	await page.getByLabel('Name').fill('Harbour Swifts');
	await page.getByLabel('Begin with').selectOption({ label: 'Climbers' });
	await page.getByRole('button', { name: 'Create group' }).click();
	await arrive(page, '/group/');
	await expect(page.getByRole('heading', { name: 'Harbour Swifts' })).toBeVisible();

	const from = page.getByLabel('flexion, from percent');
	await expect(from).toHaveValue('18');
	await from.fill('31');
	await from.press('Tab');
	await pickCaution(page, 'Another caution', 'sore knee');
	await page.getByLabel('People with sore knee').fill('3');
	await page.getByLabel('People with sore knee').press('Tab');
	await page.getByLabel('Set-up time (min)').fill('20');
	await page.getByLabel('Set-up time (min)').press('Tab');
	await page.getByLabel('Same as the studio').uncheck({ force: true });
	await page.getByLabel('block', { exact: true }).fill('18');
	await page.getByLabel('block', { exact: true }).press('Tab');
	await expect(saved(page)).toBeVisible();
	await reload(page);
	await expect(from).toHaveValue('31');
	await expect(page.getByLabel('People with sore knee')).toHaveValue('3');
	await expect(page.getByLabel('block', { exact: true })).toHaveValue('18');
	await expect(page.getByLabel('Set-up time (min)')).toHaveValue('20');

	await page.getByRole('button', { name: 'Reset to the preset’s targets' }).click();
	await expect(from).toHaveValue('18');
	await from.fill('90');
	await from.press('Tab');
	await expect(page.getByText(/Not saved: .*the lower end is above the upper end/)).toBeVisible();
});

/** A whole movement, as the form for own movements sends it. */
function clam(): object {
	const list = execFileSync(process.execPath, ['bin/orbit.mjs', 'movements', '--json'], { maxBuffer: 1e8 });
	return JSON.parse(String(list)).movements.find((m: { slug: string }) => m.slug === 'clam');
}

test('another studio’s plans and groups are not there', async ({ page, browser, baseURL, watch }) => {
	watch.allow.push(/404/);
	const path = await newPlan(page);
	await open(page, '/group');
	const groupPath = (await page.getByRole('link', { name: 'Lamp Room' }).getAttribute('href')) ?? '';

	const somebody = await stranger(browser, baseURL);
	await open(somebody, path);
	await expect(somebody.getByRole('heading', { name: 'Sign in' })).toBeVisible();
	await open(somebody, '/sign-up');
	await somebody.getByLabel('Your name').fill('Tamsin Reed');
	await somebody.getByLabel('E-mail').fill('tamsin@wick-hollow.example');
	await somebody.getByLabel('Password', { exact: true }).fill('short');
	await somebody.getByRole('button', { name: 'Create the account' }).click();
	await expect(somebody.getByText('At least 10 characters', { exact: true })).toBeVisible();
	await somebody.getByLabel('Password', { exact: true }).fill('three gulls on a mast');
	await somebody.getByRole('button', { name: 'Create the account' }).click();
	await expect(somebody.getByText('Your account is ready')).toBeVisible();
	// the same answer for an address that has one: nobody learns who does
	await open(somebody, '/sign-up');
	await somebody.getByLabel('Your name').fill('Tamsin Reed');
	await somebody.getByLabel('E-mail').fill('imke@saltmarsh-loft.example');
	await somebody.getByLabel('Password', { exact: true }).fill('three gulls on a mast');
	await somebody.getByRole('button', { name: 'Create the account' }).click();
	await expect(somebody.getByText('Your account is ready')).toBeVisible();
	await somebody.getByLabel('E-mail').fill('tamsin@wick-hollow.example');
	await somebody.getByLabel('Password', { exact: true }).fill('three gulls on a mast');
	await somebody.getByRole('button', { name: 'Sign in', exact: true }).click();
	await expect(somebody.getByRole('heading', { name: 'Your first class in three steps' })).toBeVisible();

	const own = await page.request.post('/api/own-movements', {
		data: { document: { ...clam(), english: 'Ours alone' } },
		...fromPage()
	});
	const ownPath = `/catalogue/${(await own.json()).slug}`;
	const people = await page.request.post(`/api/groups/${groupPath.split('/').at(-1)}/students`, {
		data: { document: { name: 'Per L.', tier: 'open', cautions: [], tighterSide: null } },
		...fromPage()
	});
	const studentPath = `/api/students/${(await people.json()).id}`;
	const looked = { data: { version: 1 } };
	expect((await somebody.request.delete(studentPath, { ...looked, ...fromPage() })).status()).toBe(404);
	expect((await page.request.delete(studentPath, { ...looked, ...fromPage() })).status()).toBe(204);
	expect((await page.request.get(ownPath)).status()).toBe(200);
	expect((await somebody.request.get(ownPath)).status()).toBe(404);
	const changed = { data: { version: 1, document: clam() }, ...fromPage() };
	expect(
		(await somebody.request.put(ownPath.replace('catalogue', 'api/own-movements'), changed)).status()
	).toBe(404);

	for (const there of [path, `${path}/print`, `${path}/room`, `${path}/file`, groupPath])
		expect((await somebody.request.get(there)).status(), there).toBe(404);
	const { plan } = await (await page.request.get(`${path}/file`)).json();
	const put = await somebody.request.put(`/api${path.replace('/plan/', '/plans/')}`, {
		data: { version: 1, document: plan },
		...fromPage()
	});
	expect(put.status()).toBe(404);
	const groupId = groupPath.split('/').at(-1);
	const post = await somebody.request.post('/api/plans', {
		data: { groupId, plan, plannedOn: null },
		...fromPage()
	});
	expect(post.status()).toBe(404);
	await somebody.goto(path);
	await expect(somebody.getByRole('heading', { name: 'Not here' })).toBeVisible();
	await somebody.context().close();
});

test('without a sign-in nothing opens, and the door is guarded', async ({ browser, baseURL }) => {
	const page = await stranger(browser, baseURL);
	await open(page, '/group');
	expect((await page.request.put('/api/plans/x', { data: {}, ...fromPage() })).status()).toBe(401);
	await expect(page).toHaveURL(/sign-in\?next=%2Fgroup/);
	await page.getByRole('button', { name: 'Sign in', exact: true }).click();
	await expect(page.getByText('Enter your e-mail')).toBeVisible();
	await page.getByLabel('E-mail').fill('imke@saltmarsh-loft.example');
	await page.getByLabel('Password', { exact: true }).fill('not the password');
	await page.getByRole('button', { name: 'Sign in', exact: true }).click();
	await expect(page.getByText('This e-mail and password do not belong together.')).toBeVisible();
	await page.getByLabel('Password', { exact: true }).fill('headland-at-dusk');
	await page.getByRole('button', { name: 'Sign in', exact: true }).click();
	await expect(page).toHaveURL(/\/group$/);
	const cookies = await page.context().cookies();
	const session = cookies.find((c) => c.name.includes('session_token'));
	expect(session).toMatchObject({ httpOnly: true, sameSite: 'Lax' });
	await page.getByRole('button', { name: 'Sign out' }).click();
	await expect(page.getByRole('heading', { name: 'Sign in' })).toBeVisible();
	expect((await page.request.get('/group', { maxRedirects: 0 })).status()).toBe(303);

	for (let i = 0; i < 6; i++) {
		await page.getByLabel('E-mail').fill('imke@saltmarsh-loft.example');
		await page.getByLabel('Password', { exact: true }).fill(`guess number ${i}`);
		const answered = page.waitForResponse((r) => r.request().method() === 'POST');
		await page.getByRole('button', { name: 'Sign in', exact: true }).click();
		await answered;
	}
	await expect(page.getByText(/Too many wrong passwords for this e-mail. Wait \d+ seconds/)).toBeVisible();
	await page.context().close();
});

test('axe finds nothing on the views beside the desk, also in forced colours', async ({ page }) => {
	for (const path of ['/', '/catalogue/pigeon-fold', '/catalogue/own/new', '/group']) {
		await open(page, path);
		expect(await axeInBoth(page), path).toEqual([]);
	}
	await page.getByRole('link', { name: 'Breakwater Striders' }).click();
	await expect(page.getByRole('heading', { name: 'Targets' })).toBeVisible();
	expect(await axeInBoth(page), 'group').toEqual([]);
});

test('axe finds nothing at the desk, empty or full, also in forced colours', async ({ page }) => {
	await openPlan(page, 'Breakwater Striders', 'Long holds, first draft');
	await page.keyboard.press('a');
	await expect(page.getByRole('combobox', { name: 'Find a movement' })).toBeFocused();
	expect(await axeInBoth(page), 'plan, adding').toEqual([]);
	await page.keyboard.press('Escape');
	await page.keyboard.press('?');
	await expect(page.getByRole('heading', { name: 'Keys at the desk' })).toBeVisible();
	expect(await axeInBoth(page), 'keys').toEqual([]);
	await page.keyboard.press('Escape');
	await newPlan(page);
	expect(await axeInBoth(page), 'empty plan').toEqual([]);
	await addByKey(page, 'clam');
	await expect(total(page)).toHaveText('2:03');
	await page.getByRole('link', { name: 'Class card' }).click();
	await expect(page.getByText('Pain means stop')).toBeVisible();
	expect(await axeInBoth(page), 'class card').toEqual([]);
});

test('axe finds nothing at the door', async ({ browser, baseURL }) => {
	const door = await stranger(browser, baseURL);
	for (const path of ['/sign-in', '/sign-up']) {
		await open(door, path);
		expect(await axeInBoth(door), path).toEqual([]);
	}
	await door.context().close();
});

test('every view is valid HTML as the server sends it', async ({ page }) => {
	await open(page, '/');
	const textOf = async (path: string) => (await page.request.get(path)).text();
	// the pages of teaching are drawn by the browser alone
	const pages = Object.values(await pagesOfDemo(textOf)).filter((path) => !path.startsWith('/teach'));
	expect(pages.length).toBeGreaterThan(18);
	for (const path of [...pages, '/nowhere']) {
		const html = await textOf(path);
		expect(html, path).toContain('</html>');
		expect(await htmlFaults(html), path).toEqual([]);
	}
});

test('everything that is used beside the mat fits a phone', async ({ page }) => {
	await page.setViewportSize({ width: 390, height: 844 });
	// A title as long as a title may be, in one word and in many: no page may be pushed wide by it.
	const long = await newPlan(page, 'Breakwater Striders', '2030-12-30');
	const title = page.getByRole('textbox', { name: 'Title of the class' });
	await title.fill(`${'Turninginandturningout'.repeat(4)} ${'slow and low '.repeat(8)}`.trim());
	await title.press('Tab');
	await expect(saved(page)).toBeVisible();
	await openPlan(page, 'Breakwater Striders', 'After the headland run');
	const plan = new URL(page.url()).pathname;
	const group = (await page.getByRole('link', { name: 'Breakwater Striders' }).getAttribute('href')) ?? '';
	const ofPlan = (at: string) => [at, `${at}/print`, `${at}/room`, `${at}/compare`];
	const compared = `${plan}/compare?with=${long.split('/').at(-1)}`;
	await open(page, '/series');
	await page.getByLabel('From').fill('2033-01-04');
	await page.getByLabel('Weeks').fill('3');
	await page.getByRole('button', { name: 'Start the series' }).click();
	await arrive(page, '/series/');
	await page.getByRole('button', { name: 'All settings' }).click();
	await page.getByRole('button', { name: 'Weekly themes' }).click();
	await page.getByLabel('Title').fill('Turninginandturningout'.repeat(5));
	await page.getByLabel('Theme of week 1').fill('Turninginandturningout'.repeat(5));
	await expect(saved(page)).toBeVisible();
	const series = new URL(page.url()).pathname;
	const paths = [
		'/series',
		series,
		`${series}/print`,
		`${series}/results`,
		...ofPlan(plan),
		...ofPlan(long),
		compared,
		group,
		`${group}/check-in`,
		`${group}/taught`,
		'/?week=2031-W01',
		'/',
		'/catalogue'
	];
	for (const path of paths) {
		await open(page, path);
		const beyond = () =>
			page.evaluate(() =>
				[document.documentElement, ...document.querySelectorAll('main article, main .sheet')]
					.filter((part) => part.scrollWidth > window.innerWidth)
					.map((part) => part.outerHTML.slice(0, 60))
			);
		expect(await beyond(), path).toEqual([]);
	}
	// the variants of each tier are read beside the mat: over the width, and still a cell of its row
	await open(page, `${plan}/room`);
	const row = page.getByRole('row', { name: /tight/ }).first();
	const tiers = await row.getByRole('cell', { name: /tight/ }).boundingBox();
	expect(tiers!.width).toBeGreaterThan(390 / 2);
});

test('the typeface ships with the app and has figures of one width', async ({ page }) => {
	await open(page, '/');
	const widths = await page.evaluate(async () => {
		await document.fonts.ready;
		const span = document.createElement('span');
		span.style.cssText = 'position:absolute;font-size:100px';
		document.body.append(span);
		return ['1111', '0000', '8888', '4444'].map((text) => {
			span.textContent = text;
			return span.getBoundingClientRect().width;
		});
	});
	expect(new Set(widths.map(Math.round)).size).toBe(1);
	expect(await page.evaluate(() => document.fonts.check('16px "Hanken Grotesk Variable"'))).toBe(true);
});

test('a form says what is wrong when a field is left, and sends nothing that is wrong', async ({
	browser,
	baseURL
}) => {
	const page = await stranger(browser, baseURL);
	const sent: string[] = [];
	page.on('request', (request) => request.method() === 'POST' && sent.push(request.url()));
	await open(page, '/sign-up');
	await page.getByLabel('Your name').fill('Imke Oyelaran');
	await page.getByLabel('E-mail').fill('imke');
	await page.getByLabel('E-mail').press('Tab');
	await expect(page.getByText('This is not an e-mail address')).toBeVisible();
	await page.getByLabel('Password', { exact: true }).fill('short');
	await page.getByRole('button', { name: 'Create the account' }).click();
	await expect(page.getByText('At least 10 characters', { exact: true })).toBeVisible();
	await expect(page.getByLabel('E-mail')).toBeFocused();
	expect(sent).toEqual([]);
	await page.getByLabel('E-mail').fill('imke@saltmarsh-loft.example');
	await expect(page.getByText('This is not an e-mail address')).toBeHidden();
	await page.context().close();
});
