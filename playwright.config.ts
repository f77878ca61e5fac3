import { join } from 'node:path';
import { defineConfig } from '@playwright/test';

// The real interface over the production build, with a throw-away database: see scripts/serve.mjs.

// Every worker process reads this file anew: what is chosen here goes on to them through the environment.
const port = (process.env.E2E_PORT ??= String(20_000 + (process.pid % 20_000)));
// Folder for everything that a run writes, the server's number and the sign-in included: parallel runs have one each.
const results = (process.env.E2E_RESULTS ??= 'test-results/1');

export default defineConfig({
	testDir: 'tests/e2e',
	outputDir: join(results, 'output'),
	fullyParallel: false,
	workers: 1,
	// no retries: a flaky test must be seen and mended
	retries: 0,
	// shared machines: a slow one is no failure
	timeout: 480_000,
	expect: { timeout: 30_000 },
	forbidOnly: !!process.env.CI,
	reporter: process.env.CI ? [['line']] : [['list']],
	use: {
		actionTimeout: 60_000,
		baseURL: `http://127.0.0.1:${port}`,
		viewport: { width: 1280, height: 800 },
		locale: 'en-GB',
		timezoneId: 'Europe/Berlin',
		contextOptions: { reducedMotion: 'reduce' },
		trace: 'off',
		screenshot: 'only-on-failure',
		launchOptions: {
			executablePath: process.env.CHROMIUM ?? '/usr/bin/chromium',
			args: [
				'--no-sandbox', // root
				'--disable-gpu',
				'--disable-quic',
				'--disable-dev-shm-usage',
				'--no-first-run',
				'--disable-background-networking',
				'--disable-component-update',
				'--disable-sync'
			]
		}
	},
	projects: [
		{ name: 'sign-in', testMatch: 'enter.setup.ts' },
		{
			name: 'app',
			dependencies: ['sign-in'],
			use: {
				actionTimeout: 60_000,
				browserName: 'chromium',
				storageState: join(results, 'imke.json')
			}
		}
	],
	webServer: {
		command: 'node scripts/serve.mjs',
		url: `http://127.0.0.1:${port}/sign-in`,
		env: { PORT: port, E2E_RESULTS: results, ORBIT_PROCESSES: '1' },
		timeout: 60_000,
		reuseExistingServer: false,
		stdout: 'ignore',
		stderr: 'pipe',
		gracefulShutdown: { signal: 'SIGTERM', timeout: 10_000 }
	}
});
