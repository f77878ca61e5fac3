/**
 * Files that were damaged on their way: cut short, with letters changed, fields gone, doubled or of another kind.
 * None may crash a reader, none may be taken half; every refusal says what is wrong.
 */
import { faultLines, type Read } from '../../src/lib/core/validation';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { CATALOGUE, findMovement } from '../../src/lib/catalogue';
import {
	readBlocks,
	readGroupFile,
	readMovements,
	readPlanFile,
	readSeriesFile,
	writeBlocks,
	writeGroupFile,
	writePlanFile,
	writeSeriesFile
} from '../../src/lib/core/formats';
import { groupFaults, newGroup, PRESETS } from '../../src/lib/core/group';
import type { Movement } from '../../src/lib/core/movement';
import { emptyPlan, planFaults, type Block } from '../../src/lib/core/plan';
import { seriesFaults } from '../../src/lib/core/series';
import { anyPlan } from './arbitrary';
import { classWith, filled, ladder, seriesOf } from './series-built';

const group = { ...newGroup('runners', 'Breakwater Striders'), size: 12 };
const planText = anyPlan(1, 4).map((plan) => writePlanFile({ plan, group, movements: [] }));
const blocksText = anyPlan(1, 4).map((plan) =>
	writeBlocks({ blocks: plan.sections.flatMap((s) => s.blocks), movements: [] })
);
const groupText = fc.constantFrom(...PRESETS).map((id) => writeGroupFile(newGroup(id, 'Slack Water')));

const seriesText = fc.integer({ min: 1, max: 3 }).map((weeks) => {
	const ladders = [ladder('90-90-switch', 'full')];
	const planned = filled(seriesOf({ weeks, ladders }), () => classWith(['clam', 'low-lunge']));
	return writeSeriesFile({ planned, group, movements: [] });
});

/** A class with nothing in it but these blocks. */
function heldIn(blocks: Block[]) {
	const plan = emptyPlan('Pasted', '18:30', 3600);
	return { ...plan, sections: plan.sections.map((s) => (s.kind === 'build' ? { ...s, blocks } : s)) };
}

const FORMATS: [
	string,
	fc.Arbitrary<string>,
	(text: string) => Read<unknown>,
	(value: never) => unknown[]
][] = [
	[
		'a plan',
		planText,
		(text) => readPlanFile(text, findMovement),
		(value: { plan: unknown }) => planFaults(value.plan, findMovement)
	],
	[
		'a series',
		seriesText,
		(text) => readSeriesFile(text, findMovement),
		(value: { planned: unknown }) => seriesFaults(value.planned, () => findMovement)
	],
	['a group', groupText, readGroupFile, (value: unknown) => groupFaults(value)],
	[
		'copied blocks',
		blocksText,
		(text) => readBlocks(text, findMovement),
		(value: { blocks: Block[] }) => planFaults(heldIn(value.blocks), findMovement)
	]
];

/** Every place in a JSON value, as the keys that lead there. */
function places(value: unknown, path: (string | number)[] = []): (string | number)[][] {
	if (typeof value !== 'object' || value === null) return [path];
	const keys = Array.isArray(value) ? value.map((_, i) => i) : Object.keys(value);
	return [
		...(path.length ? [path] : []),
		...keys.flatMap((key) => places((value as Record<string | number, unknown>)[key], [...path, key]))
	];
}

/** The text with what stands at one place changed. */
function changedAt(
	text: string,
	pick: number,
	change: (holder: Record<string | number, unknown>, key: string | number) => void
) {
	const value = JSON.parse(text) as Record<string | number, unknown>;
	const all = places(value);
	const path = all[pick % all.length]!;
	const holder = path.slice(0, -1).reduce((at, key) => at[key] as typeof value, value);
	change(holder, path.at(-1)!);
	return JSON.stringify(value);
}

const odd = fc.oneof(
	fc.constantFrom(null, true, '', -1, 0.5, 1e308, '__proto__', [], {}, [[]], 'constructor', {
		toString: 1,
		valueOf: null
	}),
	fc.string({ maxLength: 12 }),
	fc.jsonValue({ maxDepth: 2 })
);

describe.each(FORMATS)('%s', (_name, written, reader, faultsOf) => {
	/** Either all of it is taken and sound, or nothing is and every fault has words. */
	const judged = (text: string) => {
		const read = reader(text);
		if (read.ok) expect(faultsOf(read.value as never)).toEqual([]);
		else {
			expect(read.faults.length).toBeGreaterThan(0);
			for (const line of faultLines(read.faults)) expect(line.length).toBeGreaterThan(5);
			expect(Object.keys(read).sort()).toEqual(['faults', 'ok']);
		}
		return read.ok;
	};

	it('is read whole', () =>
		fc.assert(
			fc.property(written, (text) => void expect(judged(text)).toBe(true)),
			{ numRuns: 20 }
		));

	it('cut short is refused', () =>
		fc.assert(
			fc.property(
				written,
				fc.double({ min: 0, max: 0.99, noNaN: true }),
				(text, part) => void expect(judged(text.slice(0, Math.floor(part * text.length)))).toBe(false)
			),
			{ numRuns: 40 }
		));

	it('with letters changed is taken whole or refused', () =>
		fc.assert(
			fc.property(written, fc.nat(), fc.string({ minLength: 1, maxLength: 3 }), (text, at, letters) => {
				const from = at % text.length;
				judged(text.slice(0, from) + letters + text.slice(from + letters.length));
			}),
			{ numRuns: 80 }
		));

	it('with something of another kind in one place is taken whole or refused', () =>
		fc.assert(
			fc.property(written, fc.nat(), odd, (text, pick, value) => {
				judged(changedAt(text, pick, (holder, key) => (holder[key] = value)));
			}),
			{ numRuns: 200 }
		));

	it('with one field gone is taken whole or refused', () =>
		fc.assert(
			fc.property(written, fc.nat(), (text, pick) => {
				judged(changedAt(text, pick, (holder, key) => delete holder[key]));
			}),
			{ numRuns: 100 }
		));

	it('with a field that the format has not is refused by its name', () =>
		fc.assert(
			fc.property(written, (text) => {
				const read = reader(JSON.stringify({ ...JSON.parse(text), flavour: 'salt' }));
				expect(read.ok ? [] : read.faults.map((f) => f.path)).toContain('flavour');
			}),
			{ numRuns: 10 }
		));

	it('of a later version, of another format, or no JSON at all is refused with what it is', () => {
		const [text] = fc.sample(written, { numRuns: 1, seed: 7 }) as [string];
		const whole = JSON.parse(text);
		const said = (value: unknown) => {
			const read = reader(typeof value === 'string' ? value : JSON.stringify(value));
			return read.ok ? [] : faultLines(read.faults);
		};
		expect(said({ ...whole, version: 9 }).join()).toMatch(
			/this program reads versions up to \d; the file has 9/
		);
		expect(said({ ...whole, format: 'recipe' }).join()).toContain('"recipe"');
		expect(said('WEBVTT')[0]).toContain('not JSON');
		expect(said([]).join()).toContain('one JSON object');
		expect(said(`{"a": "${'x'.repeat(4_000_001)}"}`).join()).toContain('4000000 characters');
	});
});

describe('movements inside a file', () => {
	const own = { ...structuredClone(CATALOGUE[0]!), slug: 'own-drifting-knee' } as Movement;

	it('are read whole, and what they name but is not there is left out', () => {
		const read = readMovements(
			[{ ...own, counters: ['own-lost-long-ago', 'child-pose-wide'] }],
			findMovement
		);
		expect(read.ok && read.value[0]!.counters).not.toContain('own-lost-long-ago');
	});

	it.each<[string, unknown, string]>([
		['not a list', { a: 1 }, 'must be a list'],
		['too many', Array.from({ length: 201 }, () => own), '201 movements; at most 200'],
		['not movements', ['pigeon'], 'with a slug and forms'],
		['no forms', [{ slug: 'own-a' }], 'with a slug and forms']
	])('%s: refused with what is wrong', (_what, value, words) => {
		const read = readMovements(value, findMovement);
		expect(read.ok ? '' : faultLines(read.faults).join()).toContain(words);
	});

	it('with something odd in one place are taken whole or refused, never half', () =>
		fc.assert(
			fc.property(fc.nat(), odd, (pick, value) => {
				const text = changedAt(JSON.stringify({ own }), pick, (holder, key) => (holder[key] = value));
				const read = readMovements([JSON.parse(text).own], findMovement);
				if (!read.ok) expect(read.faults.every((f) => f.message.length > 5)).toBe(true);
			}),
			{ numRuns: 300 }
		));
});
