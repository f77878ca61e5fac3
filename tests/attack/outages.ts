/** The database dies, or freezes, under a running server: it is noticed, said in words, and mended without anybody's help. */
import { readFileSync } from 'node:fs';
import { freePort, keepMariadb } from '../../scripts/mariadb.mjs';
import { serve } from '../../scripts/serve.mjs';
import { Client } from './client';

const SOON_MS = 60_000;
/** The web server has ended after five; the database then ends in order. */
const STOP_SECONDS = 10;

export async function faultsOfTheDatabase(): Promise<{ counted: string; wrong: string[] }> {
	const wrong: string[] = [];
	const database = await keepMariadb();
	const { origin, stop, pid } = await serve({ port: await freePort(), demo: true, quiet: true, database });
	const client = new Client(origin);
	await client.form('/sign-in?/demo', {});
	const week = () => client.get('/');
	try {
		for (const [what, signal] of [
			['killed', 'SIGKILL'],
			['frozen', 'SIGSTOP']
		] as const) {
			process.kill(database.current().pid!, signal);
			await new Promise((done) => setTimeout(done, 200));
			const from = Date.now();
			const first = await week();
			if (first.status !== 503 && first.status !== 200) wrong.push(`${what}: answers ${first.status}`);
			if (first.status === 503 && !(await first.text()).includes('database is not answering'))
				wrong.push(`${what}: says nothing of the database`);
			let status = 0;
			while (status !== 200 && Date.now() - from < SOON_MS) {
				await new Promise((done) => setTimeout(done, 500));
				status = (await week()).status;
			}
			if (status !== 200) wrong.push(`${what}: still answers ${status} after a minute`);
		}
	} finally {
		// whatever its processes are doing: here they hear nothing any more
		for (const child of childrenOf(pid!)) process.kill(child, 'SIGSTOP');
		const from = Date.now();
		await stop();
		const seconds = (Date.now() - from) / 1000;
		if (seconds > STOP_SECONDS) wrong.push(`stopping took ${seconds.toFixed(1)} s`);
	}
	return { counted: 'killed once, frozen once, stopped while frozen', wrong };
}

/** The processes that a process has started (Linux). */
const childrenOf = (pid: number): number[] =>
	readFileSync(`/proc/${pid}/task/${pid}/children`, 'utf8').trim().split(' ').filter(Boolean).map(Number);
