/** Work in a worker: it ends the busy state whatever becomes of the worker. */
import { expect, it } from 'vitest';
import { inWorker } from '../../src/lib/client/worker/worker';

/** A worker that says nothing by itself. */
function silent() {
	const worker = {
		ended: 0,
		onerror: null as (() => void) | null,
		onmessageerror: null as (() => void) | null,
		terminate: () => void worker.ended++,
		addEventListener: () => undefined,
		removeEventListener: () => undefined,
		postMessage: () => undefined
	};
	return worker;
}
const as = (worker: ReturnType<typeof silent>) => () => worker as unknown as Worker;
const forEver = () => new Promise<never>(() => undefined);

it('gives its result, and the worker is kept for the next work', async () => {
	const worker = silent();
	expect(await inWorker(() => Promise.resolve(7), as(worker)).result).toEqual({ how: 'done', value: 7 });
	expect(worker.ended).toBe(0);
	const never = () => {
		throw new Error('a second worker was made');
	};
	const handles: unknown[] = [];
	const again = inWorker((core) => {
		handles.push(core);
		return Promise.resolve(8);
	}, never);
	expect(await again.result).toEqual({ how: 'done', value: 8 });
	const next = inWorker((core) => {
		handles.push(core);
		return forEver();
	}, never);
	// one handle for the life of the worker: a second one, collected as garbage, would end it
	expect(handles[0]).toBe(handles[1]);
	next.stop();
	expect(await next.result).toEqual({ how: 'stopped' });
	expect(worker.ended).toBe(1);
});

it.each([
	['its program cannot be loaded', (worker: ReturnType<typeof silent>) => worker.onerror?.()],
	['an answer cannot be read', (worker: ReturnType<typeof silent>) => worker.onmessageerror?.()]
])('fails with a sentence when %s, and can be tried again', async (_what, happens) => {
	const worker = silent();
	const work = inWorker(forEver, as(worker));
	happens(worker);
	expect(await work.result).toMatchObject({ how: 'failed', sentence: expect.stringContaining('try again') });
	expect(worker.ended).toBe(1);
	const again = silent();
	expect(await inWorker(() => Promise.resolve(1), as(again)).result).toMatchObject({ how: 'done' });
	inWorker(forEver, as(again)).stop(); // not left for the tests that follow
});

it('fails with a sentence when the work throws, and when no worker can be made at all', async () => {
	const thrown = inWorker(() => Promise.reject(new Error('in the core')), as(silent()));
	expect((await thrown.result).how).toBe('failed');
	const none = inWorker(forEver, () => {
		throw new Error('no workers here');
	});
	expect((await none.result).how).toBe('failed');
});
