/** Accounts: what signing up and signing in promise, apart from the library that keeps them. */
import { count, eq } from 'drizzle-orm';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { newGroup } from '../../src/lib/core/group';
import { signUpSchema } from '../../src/lib/server/account/account-schema';
import { once, saveOnce } from '../../src/lib/server/http/accepted';
import { migrateDb } from '../../src/lib/server/db/migrate';
import { openDb, type Db } from '../../src/lib/server/db/open';
import {
	classGroup,
	accepted,
	membership,
	rateLimit,
	session,
	teacher
} from '../../src/lib/server/db/schema';
import { formErrors } from '../../src/lib/core/validation';
import { createGroup, getGroup, saveGroup } from '../../src/lib/server/group/groups';
import { nextPath } from '../../src/lib/server/account/next-path';
import { holdQuota, QUOTAS } from '../../src/lib/server/http/quotas';
import { claimTry, clearTries, forgetPlaces, waitSeconds } from '../../src/lib/server/account/sign-in-guard';
import { studioFor, studioNameOf } from '../../src/lib/server/studio/studios';
import { tidy } from '../../src/lib/server/start/cleanup';
import { freshDatabase } from './database';

let server: Awaited<ReturnType<typeof freshDatabase>>;
let handle: ReturnType<typeof openDb>;
let db: Db;

beforeAll(async () => {
	server = await freshDatabase();
	await migrateDb(server.url, 'drizzle');
	handle = openDb(server.url);
	db = handle.db;
});
afterAll(async () => {
	await handle.pool.end();
	await server.stop();
});

describe('where signing in leads', () => {
	it.each([
		['/plan/abc?x=1#y', '/plan/abc?x=1#y'],
		[null, '/'],
		['', '/'],
		['plan/abc', '/'],
		['https://elsewhere.example/', '/'],
		['//elsewhere.example', '/'],
		['/\\elsewhere.example', '/'],
		['/\t/elsewhere.example', '/'],
		['/\n/elsewhere.example', '/'],
		['/.//elsewhere.example', '/']
	])('%j leads to %s', (asked, to) => expect(nextPath(asked)).toBe(to));

	it('is always written so that it can stand in a header', () => {
		for (const odd of ['/\u0000', '/a\r\nset-cookie: x=1', '/ü'])
			expect(nextPath(odd)).toMatch(/^\/[\x21-\x7e]*$/);
	});
});

describe('a new account', () => {
	const errors = (change: Partial<Record<'name' | 'email' | 'password', string>>) =>
		formErrors(signUpSchema, {
			name: 'Imke Oyelaran',
			email: 'imke@saltmarsh-loft.example',
			password: 'headland-at-dusk',
			...change
		});

	it('takes a good name, address and password', () => expect(errors({})).toBeNull());

	it.each([
		['only blanks', ' '.repeat(12), 'too easy'],
		['one key held down', 'aaaaaaaaaaaa', 'too easy'],
		['one of those guessed first', 'Password123', 'easy to guess'],
		['a long one of those', 'qwertyuiop', 'easy to guess'],
		['one with figures and signs for letters', 'Passw0rd!!', 'easy to guess'],
		['the studio’s own name', 'Saltmarsh Loft', 'easy to guess'],
		['the same, run together with a year', 'saltmarshloft26', 'easy to guess'],
		['their own name', 'Imke Oyelaran', 'easy to guess']
	])('refuses a password of %s', (_what, password, words) => {
		expect(errors({ password })?.password).toContain(words);
	});

	it('refuses a name that breaks a line', () => {
		expect(errors({ name: 'Imke\r\nBEGIN:VEVENT' })?.name).toContain('one line');
	});

	it('has a studio whatever came between, also with a name of 120 characters, and only one', async () => {
		const who = { id: 'long', name: 'ø'.repeat(120) };
		await db.insert(teacher).values({ ...who, email: 'long@wick-hollow.example' });
		const made = await Promise.all([1, 2, 3].map(() => studioFor(db, who, 'Europe/London')));
		expect(new Set(made.map((s) => s?.id)).size).toBe(1);
		const [rows] = await db.select({ n: count() }).from(membership).where(eq(membership.teacherId, who.id));
		expect(rows?.n).toBe(1);
		expect(await studioFor(db, { id: 'nobody', name: 'x' }, 'Europe/London')).toBeNull();
		// cut between characters, not through one
		expect(studioNameOf('🌊'.repeat(120))).toBe(`${'🌊'.repeat(111)}’s studio`);
	});
});

/** A browser that keeps nothing of an earlier sign-in. */
const ELSEWHERE = { device: null, address: '203.0.113.7' };

describe('tries to sign in', () => {
	it('cost nothing at first, then twice the time at each', () => {
		expect([0, 4, 5, 6, 8, 30].map(waitSeconds)).toEqual([0, 0, 1, 2, 8, 300]);
	});

	it('slow down for one account, from wherever they come, and for no other', async () => {
		const at = (seconds: number) => new Date(Date.UTC(2026, 10, 28, 12, 0, seconds));
		for (let i = 0; i < 5; i++)
			expect(await claimTry(db, 'Ada@wick-hollow.example', ELSEWHERE, at(0))).toBe(0);
		expect(await claimTry(db, ' ada@wick-hollow.example', ELSEWHERE, at(0))).toBe(1);
		expect(await claimTry(db, 'oda@wick-hollow.example', ELSEWHERE, at(0))).toBe(0);
		expect(await claimTry(db, 'ada@wick-hollow.example', ELSEWHERE, at(1))).toBe(0);
		expect(await claimTry(db, 'ada@wick-hollow.example', ELSEWHERE, at(1))).toBe(2);
		await clearTries(db, 'ada@wick-hollow.example', ELSEWHERE, at(1));
		expect(await claimTry(db, 'ada@wick-hollow.example', ELSEWHERE, at(1))).toBe(0);
	});

	it('elsewhere lock nobody out who was signed in from this device or this address, where guessing is as slow', async () => {
		const now = new Date(Date.UTC(2026, 11, 1, 12));
		const email = 'imke@saltmarsh-loft.example';
		const own = { device: 'device-of-imke-01', address: '198.51.100.4' };
		await clearTries(db, email, own, now);
		for (let i = 0; i < 5; i++) await claimTry(db, email, ELSEWHERE, now);
		expect(await claimTry(db, email, ELSEWHERE, now)).toBeGreaterThan(0);
		// on the way, at home, and with another browser at home
		for (const from of [own, { ...own, address: '192.0.2.9' }, { ...own, device: null }])
			expect(await claimTry(db, email, from, now)).toBe(0);
		expect(await claimTry(db, email, { ...own, device: 'device-of-somebody' }, now)).toBe(0);
		for (let i = 0; i < 5; i++) await claimTry(db, email, own, now);
		expect(await claimTry(db, email, own, now)).toBeGreaterThan(0);
		// a device that another account was used from is a stranger's
		expect(await claimTry(db, 'oda.f@saltmarsh-loft.example', own, now)).toBe(0);
		for (let i = 0; i < 5; i++) await claimTry(db, 'oda.f@saltmarsh-loft.example', ELSEWHERE, now);
		expect(await claimTry(db, 'oda.f@saltmarsh-loft.example', own, now)).toBeGreaterThan(0);
		await forgetPlaces(db, new Date(now.getTime() + 181 * 24 * 3600_000));
		expect(await claimTry(db, email, { ...own, address: '192.0.2.9' }, now)).toBeGreaterThan(0);
	});

	it('that come all at once do not slip through together', async () => {
		const now = new Date(Date.UTC(2026, 10, 28, 12));
		const needsAttention = await Promise.all(
			Array.from({ length: 20 }, () => claimTry(db, 'per@wick-hollow.example', ELSEWHERE, now))
		);
		expect(needsAttention.filter((wait) => wait === 0)).toHaveLength(5);
	});
});

describe('making something', () => {
	it('happens once for a token, also at the same moment, and not at all when it fails', async () => {
		const studio = (await studioFor(db, { id: 'long', name: 'x' }, 'Europe/London'))!.id;
		const make = () =>
			once(db, studio, 'token-of-sixteen', 'Once', (tx) =>
				createGroup(tx, studio, newGroup('runners', 'Once'))
			);
		const ids = await Promise.all([make(), make(), make()]);
		expect(new Set([...ids, await make()]).size).toBe(1);
		expect((await getGroup(db, studio, ids[0]!))?.group.name).toBe('Once');
		const failing = once(db, studio, 'token-that-failed', null, async (tx) => {
			await createGroup(tx, studio, newGroup('runners', 'Half'));
			throw new Error('the line broke');
		});
		await expect(failing).rejects.toThrow('the line broke');
		const names = await db
			.select({ name: classGroup.name })
			.from(classGroup)
			.where(eq(classGroup.studioId, studio));
		expect(names.map((row) => row.name)).toEqual(['Once']);
		expect(await once(db, studio, 'token-that-failed', null, () => Promise.resolve('later'))).toBe('later');
	});

	it('a save that is sent again is made once; one that was not taken may be sent again', async () => {
		const studio = (await studioFor(db, { id: 'long', name: 'x' }, 'Europe/London'))!.id;
		const id = await createGroup(db, studio, newGroup('runners', 'Saved'));
		const save = (token: string, from: number, name: string) =>
			saveOnce(db, studio, token, [id, from, name], (tx) =>
				saveGroup(tx, studio, id, from, newGroup('runners', name))
			);
		expect(await save('save-of-sixteen-1', 1, 'First')).toEqual({ kind: 'saved', version: 2 });
		expect(await save('save-of-sixteen-1', 1, 'First')).toEqual({ kind: 'saved', version: 2 });
		expect((await getGroup(db, studio, id))?.version).toBe(2);
		expect((await save('save-of-sixteen-2', 1, 'Late')).kind).toBe('stale');
		expect(await save('save-of-sixteen-2', 2, 'Late')).toEqual({ kind: 'saved', version: 3 });
	});

	it('another request under a token that was used is refused, and nothing of it is kept', async () => {
		const studio = (await studioFor(db, { id: 'long', name: 'x' }, 'Europe/London'))!.id;
		const make = (name: string) =>
			once(db, studio, 'token-used-again', { name }, (tx) =>
				createGroup(tx, studio, newGroup('runners', name))
			);
		const id = await make('First');
		await expect(make('Second')).rejects.toMatchObject({ status: 409 });
		expect(await make('First')).toBe(id);
		const names = await db
			.select({ name: classGroup.name })
			.from(classGroup)
			.where(eq(classGroup.studioId, studio));
		expect(names.map((row) => row.name)).not.toContain('Second');
	});

	it('ends at the quota', async () => {
		const all = eq(classGroup.id, classGroup.id);
		await expect(holdQuota(db, 'groups', classGroup, all, QUOTAS.groups)).rejects.toMatchObject({
			status: 422
		});
		await expect(holdQuota(db, 'groups', classGroup, all, 1)).resolves.toBeUndefined();
	});
});

it('what has had its time is tidied away, and nothing else', async () => {
	const now = new Date();
	const ago = (days: number) => new Date(now.getTime() - days * 24 * 3600_000);
	const person = { userId: 'long', createdAt: ago(20), updatedAt: ago(20) };
	await db.insert(session).values([
		{ id: 'old', token: 'old', expiresAt: ago(1), ...person },
		{ id: 'new', token: 'new', expiresAt: ago(-1), ...person }
	]);
	await db.insert(rateLimit).values([
		{ id: 'old', key: 'old', count: 1, lastRequest: ago(1).getTime() },
		{ id: 'new', key: 'new', count: 1, lastRequest: now.getTime() }
	]);
	const studio = (await studioFor(db, { id: 'long', name: 'x' }, 'Europe/London'))!.id;
	await db
		.insert(accepted)
		.values({ studioId: studio, token: 'an-old-token-0000', answer: '"x"', acceptedAt: ago(9) });
	await tidy(db, now);
	expect((await db.select({ id: session.id }).from(session)).map((row) => row.id)).toEqual(['new']);
	expect((await db.select({ id: rateLimit.id }).from(rateLimit)).map((row) => row.id)).toEqual(['new']);
	const tokens = await db.select({ token: accepted.token }).from(accepted);
	expect(tokens.map((row) => row.token)).not.toContain('an-old-token-0000');
	expect(tokens.map((row) => row.token)).toContain('token-of-sixteen');
});
