import { pagesOfDemo } from '../pages';
import { arrive, expect, newPlan, addByKey, open, openPlan, saved, test, total } from './base';
import type { Page } from '@playwright/test';

/** More stops than any page has. */
const MOST_STOPS = 600;

/** Returns the number of Tab stops on a page and their faults. */
async function tabStops(page: Page): Promise<{ count: number; faults: string[] }> {
	const faults: string[] = [];
	await page.evaluate(() => {
		Object.assign(window, { firstStop: undefined, lastStop: undefined });
		(document.activeElement as HTMLElement | null)?.blur();
		scrollTo(0, 0);
	});
	for (let count = 0; count < MOST_STOPS; count++) {
		await page.keyboard.press('Tab');
		const fault = await page.evaluate(async () => {
			const stops = window as unknown as { firstStop?: Element; lastStop?: Element };
			const at = document.activeElement;
			if (!at || at === document.body) return 'end';
			// some browsers go to their own bar at the end of a page, others begin anew
			if (at === stops.firstStop) return 'end';
			stops.firstStop ??= at;
			const before = stops.lastStop;
			stops.lastStop = at;
			const words = `${at.tagName.toLowerCase()} "${(at.getAttribute('aria-label') ?? at.textContent ?? '').trim().slice(0, 40)}"`;
			if (before && !(before.compareDocumentPosition(at) & Node.DOCUMENT_POSITION_FOLLOWING))
				return `${words} comes after what stands behind it`;
			const box = at.getBoundingClientRect();
			// the focus of a tick, a radio or a tile shows at its label, which stands beside it
			if (at instanceof HTMLInputElement && /checkbox|radio/.test(at.type)) return null;
			if (box.width < 1 || box.height < 1) return `${words} cannot be seen`;
			// an element that scrolls into view with the focus may take a moment
			const covering = () => {
				const { x, y, width, bottom } = at.getBoundingClientRect();
				const top = Math.max(y, 0);
				const over = document.elementFromPoint(
					Math.min(Math.max(x + Math.min(width, 40) / 2, 0), innerWidth - 1),
					top + (Math.min(bottom, innerHeight) - top) / 2
				);
				return over && (at.contains(over) || over.contains(at)) ? null : String(over?.className);
			};
			for (let wait = 0; wait < 20 && covering() !== null; wait++)
				await new Promise((done) => setTimeout(done, 50));
			const over = covering();
			if (over !== null) return `${words} is covered by ${over}`;
			const style = getComputedStyle(at);
			const shows = style.outlineStyle !== 'none' && style.outlineWidth !== '0px';
			if (!shows && style.boxShadow === 'none' && !at.matches('input, select, textarea'))
				return `${words} does not show that it has the focus`;
			return null;
		});
		if (fault === 'end') return { count, faults };
		if (fault) faults.push(fault);
	}
	return { count: MOST_STOPS, faults: [...faults, 'the end is never reached'] };
}

test('the Tab key goes through every view from top to end, and each stop is seen', async ({ page }) => {
	// a calendar that opens comes from above, over its field
	await page.emulateMedia({ reducedMotion: 'reduce' });
	for (const path of ['/', '/group', '/series', '/catalogue/low-lunge', '/style', '/begin']) {
		await open(page, path);
		const { count, faults } = await tabStops(page);
		expect(faults, path).toEqual([]);
		expect(count, path).toBeGreaterThan(8);
	}
	await open(page, '/group');
	await page.getByRole('link', { name: 'First Tide' }).click();
	await arrive(page, '/group/');
	expect((await tabStops(page)).faults, 'group').toEqual([]);
	await openPlan(page, 'Breakwater Striders', 'Long holds, first draft');
	// every row has its controls by then, also those out of view
	await expect(page.getByRole('button', { name: /^Remove / }).last()).toBeAttached();
	const desk = await tabStops(page);
	expect(desk.faults, 'class').toEqual([]);
	expect(desk.count).toBeGreaterThan(8 * (await page.locator('.row').count()));
	await open(page, '/series');
	await page.getByRole('link', { name: 'Out of the chair for eight weeks' }).last().click();
	await arrive(page, '/series/');
	expect((await tabStops(page)).faults, 'series').toEqual([]);
});

test('at twice the size nothing is lost and nothing is scrolled sideways', async ({ page }) => {
	// a window of 1280 by 800 at 200 %
	await page.setViewportSize({ width: 640, height: 400 });
	await openPlan(page, 'Breakwater Striders', 'After the headland run');
	const plan = new URL(page.url()).pathname;
	const pages = await pagesOfDemo(async (path) => (await page.request.get(path)).text());
	for (const path of [...Object.values(pages), plan, `${plan}/room`]) {
		await open(page, path);
		const width = await page.evaluate(() => document.documentElement.scrollWidth);
		expect(width, path).toBeLessThanOrEqual(640);
	}
	await open(page, plan);
	await addByKey(page, 'cobra');
	await expect(page.getByRole('group', { name: /^Cobra/ })).toBeInViewport();
	await expect(saved(page)).toBeVisible();
	await page.keyboard.press('Control+z');
	await expect(page.getByRole('group', { name: /^Cobra/ })).toBeHidden();
	await expect(saved(page)).toBeVisible();
});

test('who asks for less motion gets none', async ({ page }) => {
	await page.emulateMedia({ reducedMotion: 'reduce' });
	await newPlan(page);
	await page.getByRole('button', { name: 'Add the first movement' }).click();
	await expect(page.getByRole('dialog', { name: 'Add a movement' })).toBeVisible();
	const lasting = () =>
		page.evaluate(() =>
			document
				.getAnimations()
				.filter((animation) => Number(animation.effect?.getComputedTiming().duration ?? 0) > 1)
				.map((animation) => String((animation.effect as KeyframeEffect).target?.className))
		);
	expect(await lasting()).toEqual([]);
	await page.keyboard.press('Escape');
	await page.getByRole('button', { name: 'Propose', exact: false }).first().click();
	expect(await lasting()).toEqual([]);
});

test('score and ring say in words what they show', async ({ page }) => {
	await newPlan(page);
	await addByKey(page, 'clam');
	await expect(total(page)).toHaveText('2:03');
	const score = page.getByRole('region', { name: 'Score' });
	await expect(score.getByRole('img', { name: 'Score of the class: 1 item over 2:03' })).toBeVisible();
	await expect(score.locator('figcaption')).toHaveText(/0:00\s+Clam, On the side, external rotation/);
	const orbit = page.getByRole('region', { name: 'Orbit' });
	await expect(orbit.getByRole('row', { name: /external rot/ })).toContainText(/\d %/);
});
