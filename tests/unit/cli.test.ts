import { USUAL_PACE } from '../../src/lib/core/pace';
import { spawnSync } from 'node:child_process';
import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { Readable } from 'node:stream';
import { describe, expect, it, vi } from 'vitest';
import { main } from '../../src/cli/orbit';
import { CATALOGUE, findMovement } from '../../src/lib/catalogue';
import { roomSheet } from '../../src/lib/core/substitution';
import { CHECKS } from '../../src/lib/core/checks';
import { CONDITIONS } from '../../src/lib/core/movement';
import { analysePlan } from '../../src/lib/core/analysis';
import { styleOf } from '../../src/lib/core/style';
import { DEMO_GROUPS } from '../../src/lib/demo/groups';

const PLAN = 'examples/after-the-headland-run.plan.json';

/** The command as a process of its own, as a teacher starts it. */
function spawned(args: string[], input?: string) {
	const { stdout, stderr, status } = spawnSync(process.execPath, ['bin/orbit.mjs', ...args], {
		input,
		encoding: 'utf8'
	});
	return { stdout, stderr, status };
}

/** The command called in this process, with what it prints and reads caught. */
async function orbit(args: string[], input?: string) {
	const printed = { stdout: '', stderr: '' };
	const into = (name: keyof typeof printed) => (text: unknown) => {
		printed[name] += String(text);
		return true;
	};
	const spies = [
		vi.spyOn(process.stdout, 'write').mockImplementation(into('stdout')),
		vi.spyOn(console, 'log').mockImplementation((text = '') => void into('stdout')(`${text}\n`)),
		vi.spyOn(console, 'error').mockImplementation((text = '') => void into('stderr')(`${text}\n`)),
		vi.spyOn(process, 'stdin', 'get').mockReturnValue(Readable.from([Buffer.from(input ?? '')]) as never)
	];
	try {
		const status = await main(args);
		return { ...printed, status };
	} finally {
		for (const spy of spies) spy.mockRestore();
	}
}

describe('the pace of who teaches', () => {
	const folder = mkdtempSync(join(tmpdir(), 'orbit-pace-'));
	const pace = join(folder, 'pace.json');
	const total = async (...options: string[]) =>
		JSON.parse((await orbit(['clock', PLAN, '--json', ...options])).stdout).totalSeconds as number;

	it('is said by its kind or by a file, and a kind goes before the file', async () => {
		writeFileSync(pace, JSON.stringify({ classKind: 'flow', setUpSeconds: 30 }));
		const usual = await total();
		expect(await total('--kind', 'flow')).toBeLessThan(usual);
		expect(await total('--kind', 'detailed')).toBeGreaterThan(usual);
		expect(await total('--pace', pace)).toBeGreaterThan(await total('--kind', 'flow'));
		expect(await total('--pace', pace, '--kind', 'detailed')).toBeGreaterThan(await total('--pace', pace));
		const { stdout } = await orbit(['fit', PLAN, '--json', '--kind', 'flow']);
		expect(JSON.parse(stdout)).not.toHaveProperty('pace');
	});

	it('that is wrong is refused with what is wrong', async () => {
		expect((await orbit(['clock', PLAN, '--kind', 'slow'])).stderr).toBe(
			'orbit: --kind must be one of flow, ordinary, detailed, quiet\n'
		);
		writeFileSync(pace, JSON.stringify({ setUpSeconds: 3000 }));
		const { stderr, status } = await orbit(['check', PLAN, '--pace', pace]);
		expect(stderr).toMatch(/is not a pace:\n {2}setUpSeconds/);
		expect(status).toBe(1);
		writeFileSync(pace, '{ setUp');
		expect((await orbit(['check', PLAN, '--pace', pace])).stderr).toMatch(/is not JSON/);
	});
});

describe('npx orbit', () => {
	it('is a command: it says how it is used, and a closed pipe is no error', () => {
		const help = spawned(['--help']);
		expect([help.status, help.stderr]).toEqual([0, '']);
		expect(help.stdout).toMatch(/^usage: orbit/);
		const piped = spawnSync(
			'bash',
			['-c', `set -o pipefail; "${process.execPath}" bin/orbit.mjs movements --json | head -1`],
			{
				encoding: 'utf8'
			}
		);
		expect([piped.status, piped.stderr, piped.stdout]).toEqual([0, '', '{\n']);
	});

	it('clock --json gives the total and a timeline without gaps', async () => {
		const { stdout, status } = await orbit(['clock', PLAN, '--json']);
		const { totalSeconds, timeline } = JSON.parse(stdout);
		expect(status).toBe(0);
		expect(timeline[0].fromSeconds).toBe(0);
		expect(timeline.at(-1).toSeconds).toBe(totalSeconds);
		for (let i = 1; i < timeline.length; i++) expect(timeline[i].fromSeconds).toBe(timeline[i - 1].toSeconds);
	});

	it('fit --json writes a plan that clock reads back with exactly that length', async () => {
		const fitted = await orbit(['fit', PLAN, '--json']);
		expect(fitted.status).toBe(0);
		expect(JSON.parse((await orbit(['clock', '-', '--json'], fitted.stdout)).stdout).totalSeconds).toBe(2700);
		const shorter = await orbit(['fit', PLAN, '--minutes', '40', '--json']);
		expect(JSON.parse((await orbit(['clock', '-', '--json'], shorter.stdout)).stdout)).toMatchObject({
			totalSeconds: 2400,
			lengthSeconds: 2400
		});
	});

	it('balance prints a row a direction, by the targets of the group given', async () => {
		const own = await orbit(['balance', PLAN]);
		expect(own.stdout).toMatch(/internal rotation .* 14-26 % +short by/);
		const climbers = await orbit(['balance', PLAN, '--group', 'examples/chalk-tuesdays.group.json']);
		expect(climbers.stdout).toMatch(/internal rotation .* 12-22 %/);
	});

	it('check lists the findings and exits 1 when something has to be mended', async () => {
		const { stdout, status } = await orbit(['check', 'examples/long-holds-first-draft.plan.json', '--json']);
		expect(status).toBe(1);
		expect(JSON.parse(stdout).findings.map((f: { checkId: string }) => f.checkId)).toContain(
			'time-over-or-under'
		);
	});

	it('movements and checks list what there is, without a file', async () => {
		const { movements } = JSON.parse((await orbit(['movements', '--json'])).stdout);
		expect(movements).toEqual(JSON.parse(JSON.stringify(CATALOGUE)));
		expect((await orbit(['movements'])).stdout).toMatch(/pigeon-fold .*Eka Pada Rajakapotasana/);
		const { checks } = JSON.parse((await orbit(['checks', '--json'])).stdout);
		expect(checks.map((c: { id: string }) => c.id)).toEqual(CHECKS.map((c) => c.meta.id));
		for (const c of checks) expect([c.why, c.source, c.severity].every(Boolean), c.id).toBe(true);
	});

	it('cautions prints the table of conditions, and what it says of one movement', async () => {
		const account = JSON.parse((await orbit(['cautions', '--json'])).stdout);
		expect(account.map((c: { caution: string }) => c.caution)).toEqual(CONDITIONS.map((c) => c.caution));
		const pinch = account.find((c: { caution: string }) => c.caution === 'front-of-hip pinch');
		expect(pinch.movements.map((m: { slug: string }) => m.slug)).toContain('90-90-fold');
		expect((await orbit(['cautions'])).stdout).toMatch(/^sore knee .*130°/m);
		const one = (await orbit(['cautions', '--movement', 'lizard'])).stdout;
		expect(one).toMatch(
			/^front-of-hip pinch +supported +supine-heel-pivot +a lunge with the hip bent from 105°/m
		);
		const none = await orbit(['cautions', '--movement', 'sea-serpent']);
		expect([none.status, none.stderr]).toEqual([1, expect.stringContaining('no movement "sea-serpent"')]);
	});

	it('room prints what the room sheet shows: tiers, cautions, kit, and the caution line', async () => {
		const group = 'examples/first-tide.group.json';
		const sheet = JSON.parse((await orbit(['room', PLAN, '--group', group, '--json'])).stdout);
		const { context } = analysePlan(JSON.parse(readFileSync(PLAN, 'utf8')).plan, {
			pace: USUAL_PACE,
			catalogue: CATALOGUE,
			find: findMovement,
			targets: DEMO_GROUPS.tide.targets,
			group: DEMO_GROUPS.tide
		});
		const same = roomSheet(context.items, DEMO_GROUPS.tide, findMovement, styleOf());
		expect(sheet).toEqual(JSON.parse(JSON.stringify(same)));
		const { stdout } = await orbit(['room', PLAN, '--group', group]);
		expect(stdout).toContain('poor balance (2)');
		expect(stdout).toContain('Pain means stop, in the knee above all.');
	});

	it.each<[string, string[], string | undefined, string]>([
		['a file where none is read', ['movements', PLAN], undefined, 'orbit movements takes no file'],
		['no file', ['clock', 'nowhere.json'], undefined, 'there is no file nowhere.json'],
		['no file name', ['clock'], undefined, 'which file?'],
		['an unknown command', ['dance', PLAN], undefined, 'there is no command "dance"'],
		['an unknown option', ['clock', PLAN, '--loud'], undefined, 'there is no option --loud'],
		['half a file', ['clock', '-'], '{"format":', 'is not a plan:\n  this is not JSON'],
		[
			'a group in the place of a plan',
			['clock', 'examples/first-tide.group.json'],
			undefined,
			'must be "humble-orbit/plan"'
		],
		['minutes that are none', ['fit', PLAN, '--minutes', 'soon'], undefined, '--minutes must be a number'],
		[
			'a length out of reach',
			['fit', PLAN, '--minutes', '20'],
			undefined,
			'less: the shortest this plan can be'
		]
	])('with %s says what is wrong and exits 1', async (_what, args, input, message) => {
		const { stderr, stdout, status } = await orbit(args, input);
		expect(status).toBe(1);
		expect(stderr).toContain(message);
		expect(stderr).not.toContain('    at ');
		expect(stdout).toBe('');
	});

	it('names every fault of a wrong plan with its place', async () => {
		const file = join(mkdtempSync(join(tmpdir(), 'orbit-')), 'wrong.json');
		writeFileSync(
			file,
			readFileSync(PLAN, 'utf8').replace('"amount": 8', '"amount": 800').replace('"cat-cow"', '"cow-cat"')
		);
		const { stderr } = await orbit(['balance', file]);
		expect(stderr).toMatch(/plan\.sections\[\d\]\.blocks\[\d\]\.dose: 800 breaths are over an hour/);
		expect(stderr).toMatch(
			/plan\.sections\[1\]\.blocks\[2\]\.movement: the catalogue has no movement "cow-cat"/
		);
	});

	it('propose holds long what it is asked to, and names what it does not know', async () => {
		const wrong = await orbit(['propose', '--lengthen', 'eyebrows']);
		expect(wrong).toMatchObject({
			status: 1,
			stderr: expect.stringContaining('there is no tissue "eyebrows"')
		});
		const shown = await orbit(['propose', '--minutes', '25', '--lengthen', 'hamstrings']);
		expect(shown.status).toBe(0);
		expect(shown.stdout).toContain('it holds the hamstrings long, as you asked');
	});

	it('series prints weeks, load, monotony, strain and findings, and as JSON what the core reads', async () => {
		const file = 'examples/dropped-knee-in-eight-weeks.series.json';
		const shown = await orbit(['series', file]);
		expect(shown.status).toBe(0);
		expect(shown.stdout).toMatch(/week\s+from\s+load\s+change\s+monotony\s+strain/);
		expect(shown.stdout).toContain('taught');
		const { weeks, classes, findings } = JSON.parse((await orbit(['series', file, '--json'])).stdout);
		expect(weeks).toHaveLength(8);
		expect(classes).toHaveLength(8);
		for (const week of weeks) {
			// one class a week says nothing of how alike the days are
			expect([week.monotony, week.strain]).toEqual([null, null]);
			expect(week.load).toBeCloseTo(classes[week.number - 1].effort * classes[week.number - 1].minutes, 6);
		}
		expect(findings.every((f: { checkId: string; severity: string }) => f.checkId && f.severity)).toBe(true);
	});

	it('series says what is wrong with a file, and with the command', async () => {
		expect(await orbit(['series', PLAN])).toMatchObject({
			status: 1,
			stderr: expect.stringContaining('must be "humble-orbit/series"')
		});
		expect((await orbit(['series'])).stderr).toContain('which file?');
		expect((await orbit(['series', PLAN, '--weeks'])).stderr).toContain('there is no option --weeks');
	});
});
