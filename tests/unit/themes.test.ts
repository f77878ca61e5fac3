/** The themes that classes are put together from: each line can be taught, and each group finds what it comes for. */
import { contextOfGroup } from '../../bench/planner/context';
import { describe, expect, it } from 'vitest';
import { findMovement } from '../../src/lib/catalogue';
import { isSymmetrical } from '../../src/lib/core/anatomy';
import { newGroup, PRESETS } from '../../src/lib/core/group';
import { modesOf, PURPOSES } from '../../src/lib/core/movement';
import { emptyPlan } from '../../src/lib/core/plan';
import {
	ANY_RELEASE,
	ANY_TURN,
	ANY_WARM,
	canLink,
	candidatesOf,
	LineBook,
	LINES,
	optionsFor,
	possibleThemes,
	readThemeLine,
	seededRandom,
	storyOf,
	THEMES,
	waysFor,
	type Theme
} from '../../src/lib/core/propose';
import { styleOf } from '../../src/lib/core/style';
import { DEMO_GROUPS } from '../../src/lib/demo/groups';

const linesOf = () => [
	...THEMES.flatMap((theme) => [...theme.warm, ...theme.build, ...theme.peak, ...theme.release]),
	...ANY_WARM,
	...ANY_RELEASE,
	...ANY_TURN,
	...LINES
];
const partsOf = (line: string) =>
	readThemeLine(line).parts.map((part) => ({ ...part, movement: findMovement(part.slug) }));

describe('every line of a theme', () => {
	it('names movements of the catalogue, in modes that they have', () => {
		for (const line of linesOf())
			for (const { movement, slug, mode } of partsOf(line)) {
				expect(movement, slug).toBeDefined();
				if (mode)
					expect(
						movement!.forms.some((form) => modesOf(movement!, form).includes(mode)),
						line
					).toBe(true);
			}
	});

	it('that is a chain has sides, and is gone through in one', () => {
		for (const line of linesOf().filter((one) => one.includes(' > ') || one.includes(' | '))) {
			const parts = partsOf(line).map(({ movement }) => movement!);
			if (line.includes(' > '))
				for (const movement of parts) expect(isSymmetrical(movement.action), line).toBe(false);
			for (const [i, movement] of parts.entries())
				if (i > 0) expect(canLink(parts[i - 1]!, movement), line).toBe(true);
		}
	});

	it('stands once in its list', () => {
		for (const { about, warm, build, peak, release } of THEMES)
			for (const list of [warm, build, peak, release]) expect(new Set(list).size, about).toBe(list.length);
	});
});

describe('the library of lines', () => {
	it('has at least 150 chains and flows, each once', () => {
		expect(LINES.length).toBeGreaterThanOrEqual(150);
		expect(new Set(LINES).size).toBe(LINES.length);
		for (const line of LINES) expect(line).toMatch(/ > | \| /);
	});
});

describe('themes', () => {
	it('are what their type says: the data are read as they are', () => {
		for (const { purposes, about, quiet, steep, ...lists } of THEMES) {
			expect(about).toBeTruthy();
			for (const purpose of purposes) expect(PURPOSES).toContain(purpose);
			expect(Object.keys(lists).sort()).toEqual(['build', 'peak', 'release', 'warm']);
			for (const list of Object.values(lists)) expect(list.length).toBeGreaterThan(2);
			for (const flag of [quiet, steep]) expect([undefined, true]).toContain(flag);
		}
	});

	it('serve each purpose but resting', () => {
		const served = new Set(THEMES.flatMap(({ purposes }) => purposes));
		for (const purpose of PURPOSES.filter((p) => p !== 'rest')) expect(served, purpose).toContain(purpose);
	});

	it.each(PRESETS)(
		'that %s can do: one at least for each of their purposes, in a room without kit',
		(preset) => {
			const group = newGroup(preset, preset);
			const base = emptyPlan('', group.startsAt, 2700);
			const context = contextOfGroup(group);
			const { candidates } = candidatesOf(optionsFor(base, {}, context), {}, context, []);
			const possible = possibleThemes(candidates);
			expect(possible.length).toBeGreaterThanOrEqual(3);
			for (const purpose of group.purposes)
				expect(
					possible.some(({ purposes }) => purposes.includes(purpose)),
					purpose
				).toBe(true);
		}
	);
});

describe('what a class begins with', () => {
	const group = DEMO_GROUPS.striders;
	const ofStanding = THEMES.filter(({ peak }) => peak.includes('step-up'));
	const context = contextOfGroup(group);
	const base = emptyPlan('', group.startsAt, group.lengthSeconds);
	const book = new LineBook(candidatesOf(optionsFor(base, {}, context), {}, context, []).candidates);
	const firsts = (withinReach: ReadonlySet<Theme>) =>
		Array.from({ length: 40 }, (_, seed) => {
			const request = {
				group,
				number: seed,
				book,
				ways: waysFor(group, styleOf(), () => true),
				withinReach,
				style: styleOf(),
				flowing: false,
				lengthSeconds: group.lengthSeconds,
				taken: new Set<Theme>(),
				about: new Set<string>(),
				more: []
			};
			return storyOf(request, seededRandom(seed)).themes[0]!;
		});

	it('is within the reach of people who meet little that is new', () => {
		const anything = firsts(new Set(THEMES));
		expect(anything.some((theme) => !ofStanding.includes(theme))).toBe(true);
		for (const theme of firsts(new Set(ofStanding))) expect(ofStanding).toContain(theme);
	});
});
