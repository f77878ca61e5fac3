import { readFileSync, readdirSync } from 'node:fs';
import { JSON_SCHEMAS, schemaFiles } from '../../scripts/json-schemas';
import { Ajv2020 } from 'ajv/dist/2020.js';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { findMovement } from '../../src/lib/catalogue';
import {
	readGroupFile,
	readPlanFile,
	readSeriesFile,
	writeGroupFile,
	writePlanFile,
	writeSeriesFile
} from '../../src/lib/core/formats';
import { groupFaults, newGroup, preset, PRESETS, type Group } from '../../src/lib/core/group';
import { DEMO_GROUPS } from '../../src/lib/demo/groups';
import { generatedFiles } from '../../src/lib/demo/files';
import { demoSeries, DEMO_MONDAY } from '../../src/lib/demo/series';
import { anyPlan } from './arbitrary';
import { seriesOf } from './series-built';

const ajv = new Ajv2020({ allErrors: true });
const planSchema = ajv.compile(JSON_SCHEMAS['plan-3.schema.json']);
const groupSchema = ajv.compile(JSON_SCHEMAS['group-1.schema.json']);
const seriesSchema = ajv.compile(JSON_SCHEMAS['series-3.schema.json']);
const KINDS = {
	plan: { read: (text: string) => readPlanFile(text, findMovement), schema: planSchema },
	group: { read: readGroupFile, schema: groupSchema },
	series: { read: (text: string) => readSeriesFile(text, findMovement), schema: seriesSchema }
};
const example = () => readFileSync('examples/after-the-headland-run.plan.json', 'utf8');

describe('the files made from the core', () => {
	it.each(Object.entries({ ...schemaFiles(), ...generatedFiles() }))(
		'%s is up to date (npm run files)',
		(path, text) => {
			expect(readFileSync(path, 'utf8')).toBe(text);
		}
	);

	it('examples are valid by our reader and by the published schema, read by ajv', () => {
		for (const name of readdirSync('examples')) {
			const text = readFileSync(`examples/${name}`, 'utf8');
			const kind = name.split('.').at(-2) as keyof typeof KINDS;
			const { read, schema } = KINDS[kind];
			expect(read(text), name).toMatchObject({ ok: true });
			expect(schema(JSON.parse(text)), name).toBe(true);
		}
	});
});

describe('a series file', () => {
	it('comes back as it was written, and ajv accepts it', () => {
		for (const { planned, group: key } of demoSeries(DEMO_MONDAY)) {
			const group: Group = DEMO_GROUPS[key];
			const text = writeSeriesFile({ planned, group, movements: [] });
			expect(readSeriesFile(text, findMovement)).toEqual({
				ok: true,
				value: { planned, group, movements: [] }
			});
			expect(seriesSchema(JSON.parse(text))).toBe(true);
		}
	});

	it('of a series without plans, goals or themes is one too', () => {
		const planned = seriesOf({ themes: [], ladders: [], weeks: 1 });
		const text = writeSeriesFile({ planned, group: DEMO_GROUPS.chalk, movements: [] });
		expect(readSeriesFile(text, findMovement).ok && seriesSchema(JSON.parse(text))).toBe(true);
	});
});

describe('a plan file', () => {
	it('comes back as it was written, and ajv accepts it, for any plan', () => {
		fc.assert(
			fc.property(
				anyPlan(0, 12),
				fc.constantFrom(null, ...Object.values<Group>(DEMO_GROUPS)),
				(plan, group) => {
					const text = writePlanFile({ plan, group, movements: [] });
					expect(readPlanFile(text, findMovement)).toEqual({
						ok: true,
						value: { plan, group, movements: [] }
					});
					expect(planSchema(JSON.parse(text))).toBe(true);
				}
			),
			{ numRuns: 60 }
		);
	});

	it('may begin with a byte-order mark, as some editors write it', () => {
		expect(readPlanFile(`\uFEFF${example()}`, findMovement)).toMatchObject({ ok: true });
	});

	it.each<[string, (text: string) => string, string]>([
		['is no JSON', (t) => t.slice(0, 200), 'this is not JSON'],
		['is a list', () => '[]', 'the file must hold one JSON object'],
		[
			'is another format',
			(t) => t.replace('humble-orbit/plan', 'humble-orbit/group'),
			'must be "humble-orbit/plan"'
		],
		[
			'is of another version',
			(t) => t.replace('"version": 3', '"version": 7'),
			'reads versions up to 3; the file has 7'
		],
		[
			'has an unknown field',
			(t) => t.replace('"version": 3', '"version": 3, "extra": 1'),
			'is not a field of this format'
		],
		[
			'names an unknown movement',
			(t) => t.replace('"cat-cow"', '"moon-walk"'),
			'the catalogue has no movement "moon-walk"'
		],
		[
			'has a wrong group',
			(t) => t.replace('"size": 12', '"size": -1'),
			'size must be greater than or equal to 1'
		]
	])('that %s is refused with what and where', (_what, change, message) => {
		const read = readPlanFile(change(example()), findMovement);
		expect(read.ok).toBe(false);
		if (!read.ok) expect(read.faults.map((f) => f.message).join('\n')).toContain(message);
	});

	it('lists everything that is wrong, not only the first thing', () => {
		const text = example()
			.replace('"startsAt": "19:15"', '"startsAt": "late"')
			.replace('"mode": "dynamic"', '"mode": "dreamy"');
		const read = readPlanFile(text, findMovement);
		expect(!read.ok && read.faults.map((f) => f.path)).toEqual(
			expect.arrayContaining([
				'plan.startsAt',
				expect.stringMatching(/^plan\.sections\[1\]\.blocks\[0\]\.mode$/)
			])
		);
	});

	it('agrees with the published schema about what has the wrong shape', () => {
		const paths = ['lengthSeconds', 'startsAt', 'title', 'sections', 'pace'] as const;
		fc.assert(
			fc.property(fc.constantFrom(...paths), fc.jsonValue(), (path, value) => {
				const file = JSON.parse(example());
				file.plan[path] = value;
				const ours = readPlanFile(JSON.stringify(file), findMovement).ok;
				if (ours) expect(planSchema(file)).toBe(true);
				if (!planSchema(file)) expect(ours).toBe(false);
			}),
			{ numRuns: 300 }
		);
	});
});

describe('groups', () => {
	it('every preset makes a valid group whose bands can be met together', () => {
		for (const id of PRESETS) expect(groupFaults(newGroup(id, 'A group')), id).toEqual([]);
	});

	it('come back as they were written', () => {
		for (const group of Object.values<Group>(DEMO_GROUPS))
			expect(readGroupFile(writeGroupFile(group))).toEqual({ ok: true, value: group });
	});

	it('the runners’ bands are those of common practice (no source)', () => {
		const { directions: d, strength } = preset('runners').targets;
		const bands = [
			d.flexion,
			d.extension,
			d.abduction,
			d.adduction,
			d.internalRotation,
			d.externalRotation,
			strength
		];
		expect(bands.map((b) => [b.minPercent, b.maxPercent])).toEqual([
			[12, 25],
			[18, 32],
			[8, 20],
			[8, 18],
			[14, 26],
			[12, 25],
			[30, 50]
		]);
	});

	it.each<[string, (g: Group) => unknown, string]>([
		['nobody', (g) => void (g.size = 0), 'size must be greater than or equal to 1'],
		['no name', (g) => void (g.name = ''), 'a group needs a name'],
		['half a person', (g) => void (g.size = 7.5), 'size must be a whole number'],
		[
			'a band upside down',
			(g) => void (g.targets.strength = { minPercent: 60, maxPercent: 40 }),
			'the lower end is above the upper end'
		],
		[
			'bands that ask for more than everything',
			(g) =>
				Object.values(g.targets.directions).forEach((b) =>
					Object.assign(b, { minPercent: 30, maxPercent: 60 })
				),
			'the lower ends add up to 180 %'
		],
		[
			'bands that allow less than everything',
			(g) =>
				Object.values(g.targets.directions).forEach((b) =>
					Object.assign(b, { minPercent: 0, maxPercent: 10 })
				),
			'the upper ends add up to 60 %'
		],
		['unknown kit', (g) => void Object.assign(g.kit, { trampoline: 3 }), 'unspecified'],
		[
			'a caution that is not one',
			(g) => void (g.cautions = [{ caution: 'bad mood' as never, people: 1 }]),
			'must be one of'
		]
	])('with %s are refused', (_what, change, message) => {
		const group = newGroup('runners', 'A group');
		change(group);
		expect(
			groupFaults(group)
				.map((f) => f.message)
				.join('\n')
		).toContain(message);
	});
});
