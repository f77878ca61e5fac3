/**
 * Classes written by hand as a good teacher would teach them: what the checks find in them is a false alarm, or at most
 * worth knowing. Checks and classes were put right together, so it says nothing of classes by somebody else. docs/checks.md keeps the figures.
 */
import { USUAL_PACE } from '../../src/lib/core/pace';
import { describe, expect, it } from 'vitest';
import { readTaught, taughtClasses } from '../../bench/planner/taught/read';
import { CATALOGUE, findMovement } from '../../src/lib/catalogue';
import { CHECKS } from '../../src/lib/core/checks';
import { analysePlan } from '../../src/lib/core/analysis';
import { readPlanFile, writePlanFile } from '../../src/lib/core/formats';
import { PRESETS } from '../../src/lib/core/group';

const classes = taughtClasses().map((taught) => {
	const { group, plan } = taught;
	const context = {
		catalogue: CATALOGUE,
		find: findMovement,
		targets: group.targets,
		group,
		known: null,
		pace: USUAL_PACE
	};
	return { ...taught, analysis: analysePlan(plan, context) };
});

describe('twenty classes by hand', () => {
	it('are for every kind of group, of 15 to 75 minutes, and last about as long as was asked for', () => {
		expect(classes.length).toBeGreaterThanOrEqual(20);
		expect(new Set(classes.map(({ group }) => group.preset)).size).toBe(PRESETS.length);
		for (const { name, minutes, analysis } of classes)
			expect(Math.abs(analysis.timeline.totalSeconds / 60 / minutes - 1), name).toBeLessThan(0.15);
	});

	it.each(classes.map(({ name, analysis }) => [name, analysis] as const))(
		'%s has nothing that must be mended',
		(_name, { findings }) => {
			expect(findings.filter(({ severity }) => severity !== 'note').map(({ message }) => message)).toEqual(
				[]
			);
		}
	);

	it('no check has more to say of more than a quarter of them', () => {
		for (const { meta } of CHECKS) {
			const noisy = classes.filter(({ analysis }) =>
				analysis.findings.some(({ checkId }) => checkId === meta.id)
			);
			// who has a caution is always worth knowing
			if (meta.id !== 'caution-conflict')
				expect(noisy.length / classes.length, meta.id).toBeLessThanOrEqual(
					meta.id === 'direction-short' ? 0.6 : 0.25
				);
		}
	});

	it('no two findings of a class have one cause', () => {
		for (const { name, analysis } of classes) {
			const causes = analysis.findings.map(({ checkId, cause }) => `${checkId} ${cause}`);
			expect(new Set(causes).size, name).toBe(causes.length);
		}
	});

	it('go into a file and come back as they were', () => {
		for (const { name, group, plan } of classes)
			expect(readPlanFile(writePlanFile({ plan, group, movements: [] }), findMovement), name).toEqual({
				ok: true,
				value: { plan, group, movements: [] }
			});
	});

	it('names the class and the line that cannot be read', () => {
		const head = 'group runners, evening, 30 minutes\nbuild\n';
		expect(() => readTaught('x', `${head}no-such-movement 5`)).toThrow(
			'x: "no-such-movement 5" cannot be read'
		);
		expect(() => readTaught('x', 'clam 5')).toThrow('x: "clam 5" cannot be read');
		expect(() => readTaught('x', 'build\nclam 5')).toThrow('x: says nothing of its people');
	});
});
