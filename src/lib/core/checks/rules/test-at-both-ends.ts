import { HIP_TESTS, type TestId } from '../../hip-tests';
import { blocksOf, nextId, type TestBlock } from '../../plan';
import type { Check } from '../types';

export const testAtBothEnds: Check = {
	meta: {
		id: 'test-at-both-ends',
		summary: 'A test at the start is taken again at the end',
		severity: 'note',
		why: 'One test shows today’s state; only the same test again after the work shows its effect.',
		source: 'common practice',
		canRepair: true
	},
	check({ plan, timeline }) {
		const tests = blocksOf(plan).flatMap(({ block }) => (block.kind === 'test' ? [block] : []));
		if (tests.length === 0) return [];
		const start = new Map(timeline.entries.map((entry) => [entry.blockId, entry.fromSeconds]));
		return tests
			.filter((test) => !tests.some((other) => other !== test && other.test === test.test))
			.map((test) => ({
				message: `${HIP_TESTS[test.test].name} is tested once; a second time, ${isEarly(test, start, timeline.totalSeconds) ? 'near the end' : 'at the beginning'}, would show the effect of the class`,
				where: { blockId: test.id, atSeconds: start.get(test.id) ?? 0 },
				data: { test: test.test }
			}));
	},
	repair(finding, { plan, timeline }) {
		const found = blocksOf(plan).find(({ block }) => block.id === finding.where.blockId);
		if (found?.block.kind !== 'test') return null;
		const start = new Map([[found.block.id, finding.where.atSeconds ?? 0]]);
		const early = isEarly(found.block, start, timeline.totalSeconds);
		// before the closing rest, from which students do not like to be called back
		const section = early
			? plan.sections.findLast(({ kind }) => kind !== 'rest' && kind !== 'settle')
			: plan.sections[0];
		if (!section) return null;
		const index = early ? section.blocks.length : 0;
		return {
			label: `Test ${HIP_TESTS[finding.data.test as TestId].name} ${early ? 'near the end' : 'at the beginning'} too`,
			edits: [
				{
					do: 'insert',
					at: { sectionId: section.id, index },
					block: { ...found.block, id: nextId(plan) }
				}
			]
		};
	}
};

const isEarly = ({ id }: TestBlock, start: ReadonlyMap<string, number>, total: number) =>
	(start.get(id) ?? 0) <= total / 2;
