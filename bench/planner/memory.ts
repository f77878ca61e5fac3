// What a program holds that proposes three classes; prints bytes.
import { getHeapStatistics } from 'node:v8';
import { propose } from '../../src/lib/core/propose';
import { instances } from './instances';

const { base, setting } = instances().find(({ name }) => name === 'lamp-25')!;
let most = 0;
const asked = { base, wishes: {}, setting, seed: 1 };
for (const _ of propose(asked)) {
	const { total_heap_size: heap, malloced_memory: other, external_memory: outside } = getHeapStatistics();
	most = Math.max(most, heap + other + outside);
}
console.log(most);
