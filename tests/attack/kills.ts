/**
 * Starts that are interrupted. A server is killed at a random moment of its first start, or of the start that brings old
 * data up to date, and started again: it must then answer, with the demo whole and signing in possible.
 */
import { spawn, type ChildProcess } from 'node:child_process';
import { cpSync, mkdtempSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import mysql from 'mysql2/promise';
import { freePort, startMariadb } from '../../scripts/mariadb.mjs';
import { migrateDb } from '../../src/lib/server/db/migrate';
import { seeded } from '../reference/seeded';
import { Client } from './client';

/** After so long a start that is not interrupted has answered, also on a slow machine. */
const START_MS = 60_000;

export interface Kills {
	tried: number;
	/** Of these, interrupted before the server answered. */
	interrupted: number;
	wrong: string[];
}

type Database = Awaited<ReturnType<typeof startMariadb>>;

/** `from`: an empty database, or one with the tables of the version before and some data in them. */
export async function killedStarts(
	from: 'empty' | 'the version before',
	count: number,
	seed: number
): Promise<Kills> {
	const random = seeded(seed);
	const server = await startMariadb();
	const result: Kills = { tried: 0, interrupted: 0, wrong: [] };
	// one start without a kill says how long they take here
	const whole = await prepared(server, from, 'app_whole');
	const began = Date.now();
	const calm = await started(whole);
	const startMs = Date.now() - began;
	await killed(calm.child, 'SIGKILL');
	try {
		for (let i = 0; i < count; i++) {
			const database = await prepared(server, from, `app_${i}`);
			const signal = i % 2 ? 'SIGTERM' : 'SIGKILL';
			// sometimes twice in a row
			for (let times = random() < 0.3 ? 2 : 1; times > 0; times--) {
				const child = startApp(database, await freePort());
				await new Promise((done) => setTimeout(done, random() * startMs));
				if (!child.answering) result.interrupted++;
				await killed(child.process, signal);
			}
			result.tried++;
			const wrong = await checked(database);
			if (wrong) result.wrong.push(`${from}, ${signal}, try ${i}: ${wrong}`);
			await forget(server, `app_${i}`);
		}
	} finally {
		await server.stop();
	}
	return result;
}

/** A database of this name; with the version before, everything but the newest migrations, as an old server left it. */
async function prepared(
	server: Database,
	from: 'empty' | 'the version before',
	name: string
): Promise<string> {
	const url = server.url.replace(/\/[^/]*$/, `/${name}`);
	const connection = await mysql.createConnection({ uri: server.url });
	await connection.query(`create database \`${name}\` character set utf8mb4 collate utf8mb4_unicode_ci`);
	await connection.end();
	if (from === 'the version before') await asBefore(url);
	return url;
}

async function forget(server: Database, name: string): Promise<void> {
	const connection = await mysql.createConnection({ uri: server.url });
	await connection.query(`drop database \`${name}\``);
	await connection.end();
}

/** The last migration that was there before a database kept a mark for each statement. */
const LAST_OLD = '0003_series';

/** Tables and some data as the version before marks left them, with its list of migrations. */
async function asBefore(url: string): Promise<void> {
	const folder = mkdtempSync(join(tmpdir(), 'orbit-old-'));
	cpSync('drizzle', folder, { recursive: true });
	const file = join(folder, 'meta/_journal.json');
	const journal = JSON.parse(readFileSync(file, 'utf8')) as { entries: { tag: string; when: number }[] };
	journal.entries = journal.entries.filter(({ tag }) => tag <= LAST_OLD);
	writeFileSync(file, JSON.stringify(journal));
	for (const sql of readdirSync(folder))
		if (sql.endsWith('.sql') && sql.slice(0, -4) > LAST_OLD) rmSync(join(folder, sql));
	await migrateDb(url, folder);
	rmSync(folder, { recursive: true });
	const connection = await mysql.createConnection({ uri: url });
	await connection.query('drop table migration_step');
	await connection.query(
		'create table __drizzle_migrations (id serial primary key, hash text not null, created_at bigint)'
	);
	for (const { when } of journal.entries)
		await connection.query("insert into __drizzle_migrations (hash, created_at) values ('kept', ?)", [when]);
	await connection.query(
		"insert into teacher (id, name, email) values ('t1', 'Tamsin', 'tamsin@wick-hollow.example')"
	);
	await connection.query(
		"insert into studio (id, name, time_zone) values ('studio1', 'Boat shed', 'Europe/London')"
	);
	await connection.query("insert into membership (studio_id, teacher_id) values ('studio1', 't1')");
	await connection.query(
		"insert into class_group (id, studio_id, name, weekday, starts_at, document) values ('group1', 'studio1', 'Skiff Crew', 3, '07:00', '{}')"
	);
	const plan = {
		sections: [
			{
				id: 'build',
				kind: 'build',
				blocks: [
					{ kind: 'item', movement: 'clam' },
					{ kind: 'chain', items: [{ movement: 'cobra' }, { movement: 'frog' }] }
				]
			}
		]
	};
	await connection.query(
		"insert into plan (id, studio_id, group_id, title, length_seconds, document) values ('plan1', 'studio1', 'group1', 'Before the row', 1800, ?)",
		[JSON.stringify(plan)]
	);
	await connection.end();
}

function startApp(
	databaseUrl: string,
	port: number
): { process: ChildProcess; origin: string; answering: boolean } {
	const origin = `http://127.0.0.1:${port}`;
	const child = spawn(process.execPath, ['scripts/app.mjs'], {
		stdio: ['ignore', 'ignore', 'pipe'],
		detached: true,
		env: {
			...process.env,
			NODE_ENV: 'production',
			ORBIT_PROCESSES: '1',
			ORBIT_DEMO: '1',
			HOST: '127.0.0.1',
			PORT: String(port),
			ORIGIN: origin,
			AUTH_SECRET: 'for-attacks-only-not-a-secret-at-all',
			DATABASE_URL: databaseUrl,
			MIGRATIONS_DIR: 'drizzle'
		}
	});
	const app = { process: child, origin, answering: false };
	void reaches(origin, child).then((answering) => (app.answering = answering));
	return app;
}

async function reaches(origin: string, child: ChildProcess): Promise<boolean> {
	const from = Date.now();
	while (child.exitCode === null && child.signalCode === null && Date.now() - from < START_MS) {
		if (
			await fetch(`${origin}/sign-in`).then(
				(r) => r.ok,
				() => false
			)
		)
			return true;
		await new Promise((done) => setTimeout(done, 50));
	}
	return false;
}

async function started(databaseUrl: string): Promise<{ child: ChildProcess; origin: string; log: string }> {
	const app = startApp(databaseUrl, await freePort());
	let log = '';
	app.process.stderr?.on('data', (data) => (log += data));
	if (!(await reaches(app.origin, app.process))) {
		await killed(app.process, 'SIGKILL');
		throw new Error(`it does not start: ${log.split('\n').slice(0, 3).join(' ')}`);
	}
	return { child: app.process, origin: app.origin, log };
}

/** Ends a server with all of its processes. */
async function killed(child: ChildProcess, signal: 'SIGTERM' | 'SIGKILL'): Promise<void> {
	if (child.exitCode !== null || child.signalCode !== null || child.pid === undefined) return;
	const ended = new Promise((done) => child.once('exit', done));
	process.kill(-child.pid, signal);
	await ended;
}

/** Starts on the database once more and looks at what is there; what is wrong, or an empty text. */
async function checked(databaseUrl: string): Promise<string> {
	let app: Awaited<ReturnType<typeof started>> | undefined;
	try {
		app = await started(databaseUrl);
		const client = new Client(app.origin);
		const entered = (await (await client.form('/sign-in?/demo', {})).json()) as { type: string };
		if (entered.type !== 'redirect') return `nobody can sign in: ${entered.type}`;
		const week = await (await client.get('/')).text();
		if (!week.includes('After the headland run')) return 'the week of the demo is not whole';
		return await rowsOf(databaseUrl);
	} catch (error) {
		return (error as Error).message;
	} finally {
		if (app) await killed(app.child, 'SIGKILL');
	}
}

/** The demo is there once and whole, and what was there before is there still. */
async function rowsOf(databaseUrl: string): Promise<string> {
	const connection = await mysql.createConnection({ uri: databaseUrl });
	const count = async (sql: string) => Number(((await connection.query(sql))[0] as { n: number }[])[0]!.n);
	try {
		const groups = await count(
			"select count(*) n from class_group g join studio s on s.id = g.studio_id where s.name = 'Saltmarsh Loft'"
		);
		const studios = await count("select count(*) n from studio where name = 'Saltmarsh Loft'");
		if (studios !== 1 || groups !== 5) return `the demo has ${studios} studios and ${groups} groups`;
		const old = await count("select count(*) n from plan where id = 'plan1'");
		const indexed = await count("select count(*) n from plan_movement where plan_id = 'plan1'");
		return old === 1 && indexed !== 3 ? `${indexed} of 3 movements of the old plan are indexed` : '';
	} finally {
		await connection.end();
	}
}
