import { describe, expect, it } from 'vitest';
import { onIdle } from '../../src/lib/client/page/idle';

const moment = (ms = 60) => new Promise((done) => setTimeout(done, ms));

describe('what waits for an idle moment', () => {
	it('comes in its order, each by itself, but for what was given up', async () => {
		const done: string[] = [];
		onIdle(() => done.push('first'));
		const giveUp = onIdle(() => done.push('given up'));
		onIdle(() => done.push('second'));
		giveUp();
		expect(done).toEqual([]);
		await moment(150);
		expect(done).toEqual(['first', 'second']);
	});
});
