// `npm run attack`: attacks a server of its own, on this machine only, and says what held. `--short`: the form that is part
// of `npm test`. scripts/attack.mjs builds before it.
import { startMariadb } from '../../scripts/mariadb.mjs';
import { migrateDb } from '../../src/lib/server/db/migrate';
import { openDb } from '../../src/lib/server/db/open';
import { teacher } from '../../src/lib/server/db/schema';
import { hostileDocuments, hostileRequests } from './hostile';
import { killedStarts } from './kills';
import { authorisationMatrix, headersOfAnswers } from './matrix';
import { faultsOfTheDatabase } from './outages';
import { onceBroken } from './once-broken';
import { attacked } from './setting';
import { windowsOnDocuments, windowsOnSeries } from './windows';

const short = process.argv.includes('--short');
const SIZES = short
	? { documents: 330, windows: 0, kills: 3 }
	: { documents: 3400, windows: 10_000, kills: 100 };

/** Of the day, so that other cases come each day; ATTACK_SEED brings a day back. */
const SEED = Number(process.env.ATTACK_SEED ?? new Date().toISOString().slice(0, 10).replaceAll('-', ''));
console.log(`seed ${SEED}`);

/** Interleavings that run beside each other, each in a studio of its own. */
const LANES = 4;

let passed = 0;
let failed = 0;

async function attack(what: string, run: () => Promise<{ counted: string; wrong: string[] }>): Promise<void> {
	const from = Date.now();
	const { counted, wrong } = await run().catch((error: Error) => ({
		counted: 'broken off',
		wrong: [`${error.stack ?? error.message} ${String(error.cause ?? '')}`]
	}));
	if (wrong.length) failed++;
	else passed++;
	console.log(
		`${wrong.length ? 'FAILED' : 'held'}: ${what} (${counted}, ${Math.round((Date.now() - from) / 1000)} s)`
	);
	for (const line of wrong.slice(0, 20)) console.log(`    ${line}`);
	if (wrong.length > 20) console.log(`    and ${wrong.length - 20} more`);
}

const at = await attacked();
await attack('authorisation over all routes', async () => {
	const { asked, wrong } = await authorisationMatrix(at);
	return { counted: `${asked} questions`, wrong };
});
await attack('headers of every kind of answer', async () => {
	const { asked, wrong } = await headersOfAnswers(at);
	return { counted: `${asked} answers`, wrong };
});
await attack('what once destroyed records or stopped the server', async () => {
	const { asked, wrong } = await onceBroken(at);
	return { counted: `${asked} questions`, wrong };
});
await attack('hostile requests', async () => {
	const { sent, wrong } = await hostileRequests(at);
	return { counted: `${sent} requests`, wrong };
});
await attack('hostile documents', async () => {
	const { sent, wrong } = await hostileDocuments(at, SIZES.documents, SEED);
	return { counted: `${sent} documents`, wrong };
});
await attack('the server after all this', async () => {
	const { status } = await at.owner.get('/');
	return { counted: 'the week once', wrong: status === 200 ? [] : [`the week answers ${status}`] };
});
await at.stop();
await attack('outages of the database', faultsOfTheDatabase);
if (SIZES.windows) {
	await attack('windows on one document', () => interleaved(windowsOnDocuments));
	await attack('windows on a series', () => interleaved(windowsOnSeries));
}
for (const from of ['empty', 'the version before'] as const)
	await attack(
		`starts interrupted on ${from === 'empty' ? 'an empty database' : 'data of the version before'}`,
		async () => {
			const { tried, interrupted, wrong } = await killedStarts(from, SIZES.kills, SEED);
			return { counted: `${tried} tries, ${interrupted} kills before it answered`, wrong };
		}
	);

console.log(`\n  ${passed} passed\n  ${failed} failed`);
process.exit(failed ? 1 : 0);

async function interleaved(run: typeof windowsOnDocuments): Promise<{ counted: string; wrong: string[] }> {
	const server = await startMariadb();
	await migrateDb(server.url, 'drizzle');
	const { pool, db } = openDb(server.url);
	await db.insert(teacher).values({ id: 'imke', name: 'Imke', email: 'imke@wick-hollow.example' });
	const wrong: string[] = [];
	let seed = SEED;
	const lane = async () => {
		while (seed < SEED + SIZES.windows) {
			const mine = ++seed;
			const lost = await run(db, 'imke', mine);
			if (lost.length) wrong.push(`seed ${mine}: lost ${lost.join(', ')}`);
		}
	};
	try {
		await Promise.all(Array.from({ length: LANES }, lane));
	} finally {
		await pool.end();
		await server.stop();
	}
	return { counted: `${SIZES.windows} interleavings`, wrong };
}
