// Audits the main pages of the demo studio with Lighthouse in headless Chromium.
import lighthouse, { desktopConfig } from 'lighthouse';
import { launch } from 'chrome-launcher';
import { freePort } from '../scripts/mariadb.mjs';
import { serve } from '../scripts/serve.mjs';
import { enter, mainPages } from './pages';

const CATEGORIES = ['performance', 'accessibility', 'best-practices'];

export interface Audit {
	page: string;
	profile: 'desktop' | 'phone';
	/** 0 to 100, as Lighthouse weighs them. */
	performance: number;
	accessibility: number;
	bestPractices: number;
	layoutShift: number;
	blockedMs: number;
	/** Audits that are not passed, of accessibility and best practices. */
	failed: string[];
}

/** Audits each page in both profiles, signed in as the demo teacher. */
export async function auditPages(only?: string): Promise<Audit[]> {
	const { origin, stop } = await serve({ port: await freePort(), demo: true, quiet: true });
	const chrome = await launch({
		chromePath: process.env.CHROMIUM ?? '/usr/bin/chromium',
		chromeFlags: ['--headless=new', '--no-sandbox', '--disable-gpu']
	});
	try {
		const cookie = await enter(origin);
		const pages = await mainPages(origin, cookie);
		const rows: Audit[] = [];
		for (const [page, path] of Object.entries(pages))
			for (const profile of ['desktop', 'phone'] as const)
				if (!only || only === page)
					rows.push(await audited(origin + path, page, profile, cookie, chrome.port));
		return rows;
	} finally {
		chrome.kill();
		await stop();
	}
}

async function audited(
	url: string,
	page: string,
	profile: Audit['profile'],
	cookie: string,
	port: number
): Promise<Audit> {
	const flags = {
		port,
		onlyCategories: CATEGORIES,
		extraHeaders: { Cookie: cookie },
		logLevel: 'error' as const
	};
	const run = await lighthouse(url, flags, profile === 'desktop' ? desktopConfig : undefined);
	if (!run) throw new Error(`${page} could not be audited`);
	const { categories, audits } = run.lhr;
	const points = (id: string) => Math.round(100 * (categories[id]?.score ?? 0));
	const failed = ['accessibility', 'best-practices'].flatMap((id) =>
		categories[id]!.auditRefs.filter(({ id: audit, weight }) => weight > 0 && audits[audit]?.score === 0).map(
			({ id: audit }) => audit
		)
	);
	return {
		page,
		profile,
		performance: points('performance'),
		accessibility: points('accessibility'),
		bestPractices: points('best-practices'),
		layoutShift: audits['cumulative-layout-shift']?.numericValue ?? 0,
		blockedMs: Math.round(audits['total-blocking-time']?.numericValue ?? 0),
		failed
	};
}
