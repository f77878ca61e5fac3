import { randomUUID } from 'node:crypto';
import { chromium, type Page } from '@playwright/test';
import type { ClassPlan } from '../src/lib/core/plan';
import { serve } from '../scripts/serve.mjs';

const PRESSES = 41;

/**
 * Milliseconds (median) from a key to the picture that it changed, measured in the page with the Performance API:
 * a mark when the key arrives, another in the task after the frame that follows. In a dose field of the desk with the
 * given plan, and in an empty number field added to the same page; the two take turns.
 */
export async function keyToPaint(plan: ClassPlan): Promise<{ desk: number; empty: number }> {
	const app = await serve({ port: 4397, demo: true, quiet: true });
	const browser = await chromium.launch({
		executablePath: process.env.CHROMIUM ?? '/usr/bin/chromium',
		args: ['--no-sandbox', '--disable-gpu', '--disable-background-networking']
	});
	try {
		const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
		await page.goto(`${app.origin}/sign-in`);
		await page.waitForSelector('body[data-hydrated]');
		await page.getByRole('button', { name: 'Enter the demo studio' }).click();
		await page.waitForURL(`${app.origin}/`);
		await page.goto(`${app.origin}/group`);
		const href = await page.getByRole('link', { name: 'Breakwater Striders' }).getAttribute('href');
		const made = await page.request.post(`${app.origin}/api/plans`, {
			data: { groupId: href?.split('/').at(-1), plannedOn: null, plan },
			headers: { origin: app.origin, 'idempotency-key': randomUUID() }
		});
		if (made.status() !== 201) throw new Error(`the plan was not taken: ${await made.text()}`);
		await page.goto(`${app.origin}/plan/${((await made.json()) as { id: string }).id}`);
		await page.waitForSelector('body[data-hydrated]');
		await page.evaluate(addField);
		await page.evaluate(markPictures, 'keydown' as const);
		const desk: number[] = [];
		const empty: number[] = [];
		for (let i = 0; i < PRESSES; i++) {
			const key = i % 2 ? 'ArrowDown' : 'ArrowUp';
			desk.push(await pressed(page, '.dose input', key));
			empty.push(await pressed(page, '#nothing', key));
		}
		return { desk: median(desk), empty: median(empty) };
	} finally {
		await browser.close();
		await app.stop();
	}
}

/** In the page: an empty field to compare with. */
function addField(): void {
	const field = document.createElement('input');
	field.type = 'number';
	field.id = 'nothing';
	document.querySelector('main')!.prepend(field);
}

/** In the page: marks when an event comes, and in the task after the frame that follows it. */
export function markPictures(event: 'keydown' | 'click'): void {
	document.addEventListener(
		event,
		() => {
			performance.clearMarks();
			performance.mark('came');
			requestAnimationFrame(() => {
				// a message is handled after the frame has been drawn
				const { port1, port2 } = new MessageChannel();
				port1.onmessage = () => performance.mark('painted');
				port2.postMessage(null);
			});
		},
		{ capture: true }
	);
}

/** Milliseconds from the event that was marked to its picture. */
export async function msToPicture(page: Page): Promise<number> {
	await page.waitForFunction(() => performance.getEntriesByName('painted').length === 1);
	return page.evaluate(() => performance.measure('seen', 'came', 'painted').duration);
}

async function pressed(page: Page, field: string, key: string): Promise<number> {
	await page.locator(field).first().focus();
	await page.keyboard.press(key);
	return msToPicture(page);
}

export const median = (values: number[]): number =>
	values.sort((a, b) => a - b)[values.length >> 1] as number;
