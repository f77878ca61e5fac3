/** Saving a document: what a teacher typed reaches the server once, whatever happens between. */
import { type DocumentForm } from '../../src/lib/client/saving/documents';
import 'fake-indexeddb/auto';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { Autosave, type AutosaveOptions } from '../../src/lib/client/saving/autosave.svelte';
import { openOutbox, type OutboxEntry, type Outbox } from '../../src/lib/client/saving/outbox';

interface Doc {
	text: string;
}
const answer = (status: number, body: object) =>
	Promise.resolve(new Response(JSON.stringify(body), { status }));

beforeEach(() => {
	// the store of the browser runs on timers that are not faked
	vi.useFakeTimers({ toFake: ['setTimeout', 'clearTimeout', 'Date'] });
	stores++;
});
afterEach(() => {
	vi.useRealTimers();
	vi.unstubAllGlobals();
});

/** A window of the browser that is the test: its id, and the windows that are open beside it. */
function windowOf(outbox: Promise<Outbox>, own: string, open: string[] = []): AutosaveOptions {
	return {
		outbox,
		ownWindow: () => Promise.resolve(own),
		isOpen: ({ window }) => Promise.resolve(open.includes(window))
	};
}
const form: DocumentForm<Doc> = {
	asSent: (document) => document,
	read: (kept) =>
		typeof (kept as Doc).text === 'string'
			? { ok: true, value: kept as Doc }
			: { ok: false, faults: [{ path: '', message: 'no text' }] }
};
const saver = (
	begun: { version: number },
	options: AutosaveOptions = windowOf(openOutbox(`store ${stores}`), 'one')
) => new Autosave<Doc>('/api/x', begun, 'imke', form, options);

/** Each test has a store of its own. */
let stores = 0;

/** Lets the store of the browser catch up. */
async function settled(): Promise<void> {
	for (let i = 0; i < 60; i++) await new Promise((done) => setImmediate(done));
}
const noLine = () => Promise.reject(new Error('no line'));
const idOf = (init: RequestInit) => new Headers(init.headers).get('idempotency-key');

describe('saving a document', () => {
	it('sends the newest state once it is quiet, from the version that the server gave last', async () => {
		const sent: unknown[] = [];
		vi.stubGlobal('fetch', (_url: string, init: RequestInit) => {
			sent.push(JSON.parse(String(init.body)));
			return answer(200, { version: 5 + sent.length });
		});
		const autosave = saver({ version: 5 });
		autosave.changed({ text: 'a' });
		autosave.changed({ text: 'b' });
		expect(autosave.state).toBe('waiting');
		await vi.advanceTimersByTimeAsync(600);
		expect(sent).toEqual([{ version: 5, document: { text: 'b' } }]);
		expect(autosave.state).toBe('saved');
		autosave.changed({ text: 'c' });
		await vi.advanceTimersByTimeAsync(600);
		expect(sent[1]).toEqual({ version: 6, document: { text: 'c' } });
	});

	it('goes on trying when the server cannot be reached, and says so', async () => {
		let tries = 0;
		vi.stubGlobal('fetch', () =>
			++tries < 3 ? Promise.reject(new Error('no line')) : answer(200, { version: 2 })
		);
		const autosave = saver({ version: 1 });
		autosave.changed({ text: 'a' });
		await vi.advanceTimersByTimeAsync(600);
		expect(autosave.state).toBe('offline');
		await vi.advanceTimersByTimeAsync(5000);
		expect([tries, autosave.state]).toEqual([3, 'saved']);
	});

	it('holds both versions on a conflict; either can be gone on with', async () => {
		const theirs = { version: 9, document: { text: 'theirs' } };
		const answers = [answer(409, { current: theirs }), answer(200, { version: 10 })];
		const sent: { version: number }[] = [];
		vi.stubGlobal('fetch', (_url: string, init: RequestInit) => {
			sent.push(JSON.parse(String(init.body)));
			return answers.shift();
		});
		const autosave = saver({ version: 1 });
		autosave.changed({ text: 'mine' });
		await vi.advanceTimersByTimeAsync(600);
		expect(autosave.state).toBe('conflict');
		expect(autosave.theirs).toEqual(theirs);
		autosave.keepMine({ text: 'mine' });
		await vi.advanceTimersByTimeAsync(600);
		expect(sent[1]).toMatchObject({ version: 9 });
		expect(autosave.state).toBe('saved');
	});

	it('keeps the version that was not taken at hand, and goes over to it and back', async () => {
		const theirs = { version: 9, document: { text: 'theirs' } };
		const answers = [answer(409, { current: theirs }), answer(200, { version: 10 })];
		vi.stubGlobal('fetch', () => answers.shift());
		const autosave = saver({ version: 1 });
		expect(autosave.swapAside({ text: 'mine' })).toBeNull();
		autosave.changed({ text: 'mine' });
		await vi.advanceTimersByTimeAsync(600);
		expect(autosave.takeTheirs({ text: 'mine' })).toEqual({ text: 'theirs' });
		expect([autosave.state, autosave.aside]).toEqual(['saved', { text: 'mine' }]);
		expect(autosave.swapAside({ text: 'theirs' })).toEqual({ text: 'mine' });
		await vi.advanceTimersByTimeAsync(600);
		expect([autosave.state, autosave.aside]).toEqual(['saved', { text: 'theirs' }]);
	});

	it('shows what the server refuses, and asks to sign in when the session is over', async () => {
		const faults = [{ path: 'title', message: 'too long' }];
		vi.stubGlobal('fetch', () => answer(422, { faults }));
		const refused = saver({ version: 1 });
		refused.changed({ text: 'a' });
		await vi.advanceTimersByTimeAsync(600);
		expect([refused.state, refused.faults]).toEqual(['refused', faults]);
		vi.stubGlobal('fetch', () => answer(401, {}));
		const out = saver({ version: 1 });
		out.changed({ text: 'a' });
		await vi.advanceTimersByTimeAsync(600);
		expect(out.state).toBe('signed-out');
	});
});

describe('what waits in this browser', () => {
	it('is there after the window was closed, is sent from the version it was begun from, and then gone', async () => {
		const outbox = openOutbox(`store ${stores}`);
		vi.stubGlobal('fetch', noLine);
		const before = saver({ version: 3 }, windowOf(outbox, 'one'));
		before.changed({ text: 'typed' });
		await settled();

		const sent: object[] = [];
		vi.stubGlobal('fetch', (_url: string, init: RequestInit) => {
			sent.push(JSON.parse(String(init.body)) as object);
			return answer(200, { version: 4 });
		});
		const after = saver({ version: 9 }, windowOf(outbox, 'two'));
		expect(await after.recover()).toEqual({ text: 'typed' });
		expect([after.recovered, after.state]).toEqual([true, 'waiting']);
		await vi.advanceTimersByTimeAsync(0);
		await settled();
		expect(sent).toEqual([{ version: 3, document: { text: 'typed' } }]);
		expect([after.state, after.savedVersion]).toEqual(['saved', 4]);
		expect((await (await outbox).waiting('imke', '/api/x')).entries).toEqual([]);
	});

	it('is sent again under its own id when the answer was lost, and is no conflict with itself', async () => {
		const ids: (string | null)[] = [];
		let calls = 0;
		vi.stubGlobal('fetch', (_url: string, init: RequestInit) => {
			ids.push(idOf(init));
			return ++calls === 1 ? noLine() : answer(200, { version: calls });
		});
		const autosave = saver({ version: 1 });
		autosave.changed({ text: 'first' });
		await vi.advanceTimersByTimeAsync(600);
		expect(autosave.state).toBe('offline');
		// typing goes on while there is no line: the first text goes first, as it was, and then the second
		autosave.changed({ text: 'second' });
		await vi.advanceTimersByTimeAsync(3000);
		expect(ids[1]).toBe(ids[0]);
		expect(ids[2]).not.toBe(ids[0]);
		expect([autosave.state, autosave.savedVersion]).toEqual(['saved', 3]);
	});

	it('is sent again under its own id also after the window was closed in between', async () => {
		const outbox = openOutbox(`store ${stores}`);
		const ids: (string | null)[] = [];
		vi.stubGlobal('fetch', (_url: string, init: RequestInit) => {
			ids.push(idOf(init));
			return noLine();
		});
		const before = saver({ version: 1 }, windowOf(outbox, 'one'));
		before.changed({ text: 'first' });
		await vi.advanceTimersByTimeAsync(600);
		before.changed({ text: 'second' });
		await settled();

		const sent: [string | null, Doc][] = [];
		vi.stubGlobal('fetch', (_url: string, init: RequestInit) => {
			sent.push([idOf(init), (JSON.parse(String(init.body)) as { document: Doc }).document]);
			return answer(200, { version: 1 + sent.length });
		});
		const after = saver({ version: 1 }, windowOf(outbox, 'two'));
		expect(await after.recover()).toEqual({ text: 'second' });
		await vi.advanceTimersByTimeAsync(600);
		await settled();
		expect(sent.map(([, { text }]) => text)).toEqual(['first', 'second']);
		expect(sent[0]![0]).toBe(ids[0]);
		expect(after.savedVersion).toBe(3);
	});

	it('goes on being sent when this browser has no room, and says that only this window has it', async () => {
		const full: Outbox = {
			append: () => Promise.resolve(false),
			confirm: () => Promise.reject(new Error('no room')),
			waiting: () => Promise.resolve({ entries: [], damaged: 0 }),
			close: () => undefined
		};
		let sent = 0;
		vi.stubGlobal('fetch', () => answer(200, { version: ++sent + 1 }));
		const autosave = saver({ version: 1 }, windowOf(Promise.resolve(full), 'one'));
		autosave.changed({ text: 'a' });
		await settled();
		expect(autosave.kept).toBe(false);
		expect(autosave.state).toBe('waiting');
		await vi.advanceTimersByTimeAsync(600);
		expect([sent, autosave.state]).toEqual([1, 'saved']);
	});

	it('of two windows on one document is kept apart: neither takes the other’s while it is open', async () => {
		const outbox = openOutbox(`store ${stores}`);
		vi.stubGlobal('fetch', noLine);
		saver({ version: 1 }, windowOf(outbox, 'one', ['two'])).changed({ text: 'of one' });
		saver({ version: 1 }, windowOf(outbox, 'two', ['one'])).changed({ text: 'of two' });
		await settled();
		const again = saver({ version: 1 }, windowOf(outbox, 'one', ['two']));
		expect(await again.recover()).toEqual({ text: 'of one' });
		// the second window is closed as well: its text is found by whoever comes next
		const later = saver({ version: 1 }, windowOf(outbox, 'three', ['one']));
		expect(await later.recover()).toEqual({ text: 'of two' });
	});

	it('belongs to its teacher', async () => {
		const outbox = openOutbox(`store ${stores}`);
		vi.stubGlobal('fetch', noLine);
		saver({ version: 1 }, windowOf(outbox, 'one')).changed({ text: 'mine' });
		await settled();
		const other = new Autosave<Doc>('/api/x', { version: 1 }, 'tamsin', form, windowOf(outbox, 'two'));
		expect(await other.recover()).toBeNull();
	});

	it('and cannot be read any more is let go with a sentence, and the page opens', async () => {
		const outbox = openOutbox(`store ${stores}`);
		const box = await outbox;
		const entry: OutboxEntry = {
			id: 'an-id-of-sixteen-1',
			kind: 'save',
			format: 1,
			owner: 'imke',
			subject: '/api/x',
			window: 'one',
			begun: { version: 1 },
			body: { text: 'sound' },
			at: 0
		};
		for (const wrong of [
			{ ...entry, body: { text: 7 } },
			{ ...entry, id: 'an-id-of-sixteen-2', begun: { version: 'x' } },
			{ ...entry, id: 'an-id-of-sixteen-3', format: 9 }
		])
			await box.append(wrong as never);
		const autosave = saver({ version: 1 }, windowOf(outbox, 'two'));
		expect(await autosave.recover()).toBeNull();
		expect(autosave.said).toContain('could not be read');
		await settled();
		expect(await box.waiting('imke', '/api/x')).toEqual({ entries: [], damaged: 0 });
	});

	it('from the version before, in its other store, is taken over once', async () => {
		const kept = new Map([['orbit:draft:/api/x', JSON.stringify({ version: 4, document: { text: 'old' } })]]);
		vi.stubGlobal('localStorage', {
			getItem: (key: string) => kept.get(key) ?? null,
			removeItem: (key: string) => kept.delete(key)
		});
		vi.stubGlobal('fetch', () => answer(200, { version: 5 }));
		const autosave = saver({ version: 9 });
		expect(await autosave.recover()).toEqual({ text: 'old' });
		expect(autosave.savedVersion).toBe(4);
		expect(
			await saver({ version: 9 }, windowOf(openOutbox(`another ${stores}`), 'two')).recover()
		).toBeNull();
		kept.set('orbit:draft:/api/x', '{"version":');
		const damaged = saver({ version: 9 }, windowOf(openOutbox(`a third ${stores}`), 'two'));
		expect(await damaged.recover()).toBeNull();
		expect(damaged.said).toContain('could not be read');
	});

	it('is not lost to typing that was quicker than reading', async () => {
		const outbox = openOutbox(`store ${stores}`);
		vi.stubGlobal('fetch', noLine);
		saver({ version: 1 }, windowOf(outbox, 'one')).changed({ text: 'found' });
		await settled();
		const quick = saver({ version: 1 }, windowOf(outbox, 'two', ['two']));
		const analysis = quick.recover();
		quick.changed({ text: 'typed' });
		expect(await analysis).toBeNull();
		expect(quick.aside).toEqual({ text: 'found' });
	});

	it('without a store in this browser is sent all the same', async () => {
		vi.stubGlobal('indexedDB', undefined);
		vi.stubGlobal('fetch', () => answer(200, { version: 2 }));
		const autosave = saver({ version: 1 }, windowOf(openOutbox(`store ${stores}`), 'one'));
		expect(await autosave.recover()).toBeNull();
		autosave.changed({ text: 'a' });
		await vi.advanceTimersByTimeAsync(600);
		await settled();
		expect([autosave.state, autosave.kept]).toEqual(['saved', false]);
	});
});
