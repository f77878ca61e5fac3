// `npm run screenshots`: one picture of each main view, from the demo data, into docs/screenshots (or the folder given).
import { chromium } from '@playwright/test';
import { mkdirSync } from 'node:fs';
import { serve } from './serve.mjs';

const folder = process.argv[2] ?? 'docs/screenshots';
const only = process.argv[3];
const VIEWS = {
	week: async (page, origin) => enter(page, origin),
	begin: async (page, origin) => {
		await page.goto(`${origin}/begin`);
		await page.waitForSelector('body[data-hydrated]');
		await page.getByRole('button', { name: 'Next' }).click();
		await page.getByRole('button', { name: 'Propose a class' }).click();
		await page.getByRole('button', { name: 'Keep this class', disabled: false }).waitFor({ timeout: 60_000 });
		await page.evaluate(() => scrollTo(0, 0));
	},
	group: async (page, origin) => {
		await page.goto(`${origin}/group`);
		await page.getByRole('link', { name: 'Breakwater Striders' }).click();
		await page.waitForURL(/group\/./);
	},
	taught: async (page) => {
		await page.getByRole('link', { name: 'History: classes taught' }).click();
		await page.waitForURL(/taught$/);
		await page.waitForSelector('.chart[data-ready]');
	},
	'check-in': async (page) => {
		await page.getByRole('link', { name: 'Back to the group' }).click();
		await page.getByRole('link', { name: /^Check-ins/ }).click();
		await page.waitForURL(/check-in$/);
		await page.waitForSelector('.chart[data-ready]');
		await page.locator('#group-title').evaluate((title) => title.scrollIntoView());
		await page.evaluate(() => scrollBy(0, -80));
	},
	'how-it-went': async (page, origin) => {
		await page.goto(`${origin}/group`);
		await page.getByRole('link', { name: 'Breakwater Striders' }).click();
		await page.getByRole('link', { name: 'History: classes taught' }).click();
		await page.locator('a[href^="/plan/"][href$="/taught"]').nth(1).click();
		await page.waitForURL(/plan\/.*taught$/);
		await page.getByRole('heading', { name: 'As planned' }).waitFor();
		await page.locator('.took').evaluate((took) => took.scrollIntoView());
		await page.evaluate(() => scrollBy(0, -120));
	},
	catalogue: async (page, origin) => page.goto(`${origin}/catalogue`),
	movement: async (page, origin) => page.goto(`${origin}/catalogue/pigeon-fold`),
	series: async (page, origin) => {
		await page.goto(`${origin}/series`);
		await page.getByRole('link', { name: 'Out of the chair for eight weeks' }).click();
		await page.waitForURL(/series\/./);
		await page
			.getByRole('button', { name: /^Fri \d/ })
			.nth(1)
			.click();
	},
	style: async (page, origin) => page.goto(`${origin}/style`),
	plan: async (page, origin) => {
		await page.goto(origin);
		await page.getByRole('link', { name: 'After the headland run' }).first().click();
		await page.waitForURL(/plan\//);
	},
	propose: async (page, origin) => {
		await page.goto(origin);
		await page.getByRole('button', { name: 'Start a plan for First Tide' }).click();
		await page.waitForSelector('body[data-hydrated]');
		await page.keyboard.press('g');
		await page.getByRole('button', { name: 'Propose three' }).click();
		await page.getByText('3 classes proposed').waitFor({ timeout: 60_000 });
		await page.locator('#propose-title').evaluate((title) => title.scrollIntoView());
	},
	room: async (page, origin) => {
		await page.goto(origin);
		await page.getByRole('link', { name: 'After the headland run' }).first().click();
		await page.waitForURL(/plan\//);
		await page.getByRole('link', { name: 'Room sheet' }).click();
		await page.waitForURL(/room/);
	},
	people: async (page) => {
		await page.getByRole('link', { name: 'As each person does it' }).click();
		await page.waitForURL(/people/);
	},
	'class-card': async (page) => {
		await page.getByRole('link', { name: 'Back to the class' }).click();
		await page.waitForURL(/plan\/[^/]*$/);
		await page.getByRole('link', { name: 'Class card' }).click();
		await page.waitForURL(/print/);
	},
	'plan-phone': async (page) => {
		await page.setViewportSize({ width: 390, height: 844 });
		await page.getByRole('link', { name: 'Back to the class' }).click();
		await page.waitForURL(/plan\/[^/]*$/);
	},
	'teach-phone': async (page) => {
		await page.getByRole('link', { name: 'Teach', exact: true }).click();
		await teach(page, 'Low lunge');
	},
	'teach-tablet': async (page) => {
		await page.setViewportSize({ width: 1180, height: 820 });
		await page.keyboard.press('d');
		await teach(page, 'One-leg sit and stand');
	},
	'teach-room': async (page, origin) => {
		const room = await page.context().newPage();
		await room.setViewportSize({ width: 1280, height: 800 });
		await room.goto(`${origin}/teach/room`);
		await page.clock.runFor(3000);
		return room;
	}
};

/** Leads the class on until people hold a movement. */
async function teach(page, title) {
	await page.clock.install();
	const begin = page.getByRole('button', { name: 'Begin the class' });
	await begin
		.or(page.getByRole('region', { name: 'Now' }))
		.first()
		.waitFor();
	if (await begin.isVisible()) await begin.click();
	const now = page.getByRole('region', { name: 'Now' });
	while (
		!(await now.getByText(/^Hold or move|^Set /).isVisible()) ||
		!(await now.getByRole('heading', { name: title }).isVisible())
	) {
		await page.keyboard.press('PageDown');
		await page.clock.runFor(22_000);
	}
	await page.clock.runFor(12_000);
}

mkdirSync(folder, { recursive: true });
const app = await serve({ port: 4399, demo: true, season: true, quiet: true });
const browser = await chromium.launch({
	executablePath: process.env.CHROMIUM ?? '/usr/bin/chromium',
	args: ['--no-sandbox', '--disable-gpu', '--disable-background-networking']
});
const context = await browser.newContext({ viewport: { width: 1280, height: 800 }, locale: 'en-GB' });
const page = await context.newPage();
for (const [name, open] of Object.entries(VIEWS)) {
	const opened = await open(page, app.origin);
	const shown = opened && 'screenshot' in opened ? opened : page;
	// a second screen never stops listening
	if (shown === page) await page.waitForLoadState('networkidle');
	await shown.waitForSelector('body[data-hydrated]');
	await shown.evaluate(() => document.fonts.ready);
	await shown.waitForTimeout(1500); // figures are drawn in idle moments
	if (!only || only === name) await shown.screenshot({ path: `${folder}/${name}.png` });
}
await browser.close();
await app.stop();
process.exit(0);

async function enter(page, origin) {
	await page.goto(`${origin}/sign-in`);
	await page.waitForSelector('body[data-hydrated]');
	await page.getByRole('button', { name: 'Enter the demo studio' }).click();
	await page.waitForURL(`${origin}/`);
}
