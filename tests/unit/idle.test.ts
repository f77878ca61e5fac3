import { describe, expect, it } from 'vitest';
import { atIdle } from '../../src/lib/client/idle';

const moment = (ms = 60) => new Promise((done) => setTimeout(done, ms));

describe('what waits for an idle moment', () => {
	it('comes in its order, each by itself, but for what was given up', async () => {
		const done: string[] = [];
		atIdle(() => done.push('first'));
		const giveUp = atIdle(() => done.push('given up'));
		atIdle(() => done.push('second'));
		giveUp();
		expect(done).toEqual([]);
		await moment(150);
		expect(done).toEqual(['first', 'second']);
	});

	it('goes on when one of them fails', async () => {
		const failed: unknown[] = [];
		const note = (thrown: unknown) => void failed.push(thrown);
		process.once('uncaughtException', note);
		const others = process.listeners('uncaughtException').filter((one) => one !== note);
		for (const other of others) process.off('uncaughtException', other);
		const done: string[] = [];
		atIdle(() => {
			throw new Error('no figure');
		});
		atIdle(() => done.push('still'));
		await moment(150);
		for (const other of others) process.on('uncaughtException', other);
		expect(done).toEqual(['still']);
		expect(failed).toHaveLength(1);
	});
});
