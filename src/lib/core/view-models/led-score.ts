import { mainDirection } from '../anatomy';
import { formatDuration } from '../clock';
import { HIP_TESTS } from '../hip-tests';
import type { FindMovement, Form, Movement } from '../movement';
import { SECTION_NAME } from '../plan';
import {
	givenMs,
	isLeftOut,
	replay,
	Steps,
	type SessionEvent,
	type SessionState,
	type Script,
	type ScriptStep
} from '../teach';
import { LEVELS, type Score, type ScoreBlock } from './score';

/** A class that was led, as planned and as given, on one scale of time. */
export interface LedScores {
	planned: Score;
	real: Score;
}

/** One step, or one shape of a round, and when it was given: seconds of the class. */
interface Stay {
	step: ScriptStep;
	from: number;
	to: number;
	/** Of it, seconds in which the class was paused; they come last. */
	paused: number;
}

/** A stay that is shorter was passed over on the way to another step. */
const LEAST_SECONDS = 1;

/**
 * The scores of a class that was led. Where it was paused, and what of the plan was left out, is marked.
 *
 * @param find what is not known any more is drawn without direction and intensity
 */
export function plannedVsActual(
	script: Script,
	events: readonly SessionEvent[],
	find: FindMovement
): LedScores {
	const steps = new Steps(script);
	const state = replay(script, events);
	const given = staysGiven(state, steps);
	const realSeconds = Math.round(state.elapsedMs / 1000);
	const spanSeconds = Math.max(script.lengthSeconds, realSeconds);
	const scale = { spanSeconds, lengthSeconds: script.lengthSeconds };
	const planned = staysPlanned(script);
	return {
		planned: {
			...scale,
			...scoreOfStays(planned, find),
			totalSeconds: script.lengthSeconds,
			marks: leftOutMarks(planned, state, steps)
		},
		real: { ...scale, ...scoreOfStays(given, find), totalSeconds: realSeconds, marks: pauseMarks(given) }
	};
}

function staysPlanned({ steps }: Script): Stay[] {
	let now = 0;
	return steps.map((step) => ({ step, from: now, to: (now += step.seconds), paused: 0 }));
}

function staysGiven(state: SessionState, steps: Steps): Stay[] {
	return state.visits
		.map((visit, index): Stay => {
			const toMs = state.visits[index + 1]?.fromMs ?? state.elapsedMs;
			return {
				step: steps.shown(state, visit.step),
				from: Math.round(visit.fromMs / 1000),
				to: Math.round(toMs / 1000),
				paused: Math.round((toMs - visit.fromMs - visit.givenMs) / 1000)
			};
		})
		.filter(({ from, to }) => to - from >= LEAST_SECONDS);
}

function scoreOfStays(
	stays: readonly Stay[],
	find: FindMovement
): Pick<Score, 'blocks' | 'sections' | 'body' | 'intensity' | 'peak' | 'tests'> {
	const blocks: ScoreBlock[] = [];
	const sections: Score['sections'] = [];
	const body: Score['body'] = [];
	const intensity: Score['intensity'] = [];
	const tests: Score['tests'] = [];
	const met = new Map<string, number>();
	let open = null as ScoreBlock | null;
	for (const { step, from, to, paused } of stays) {
		addSection(sections, step, from, to);
		const level = LEVELS.indexOf(step.position);
		if (body.at(-1)?.[1] !== level) body.push([from, level]);
		if (step.kind === 'test')
			tests.push({
				blockId: `${step.blockId}.${from}`,
				name: testName(step),
				level,
				x: from,
				width: to - from
			});
		const id = step.itemId ?? (step.kind === 'round' ? step.blockId : null);
		if (id === null || step.kind === 'out') {
			open = null;
			continue;
		}
		if (open?.itemId !== id) {
			const times = (met.get(id) ?? 0) + 1;
			met.set(id, times);
			open = {
				key: `${id}.${times}`,
				blockId: step.blockId,
				itemId: id,
				name: step.title,
				level,
				x: from,
				width: 0,
				work: [],
				fetch: null,
				chained: false
			};
			blocks.push(open);
		}
		open.width = to - open.x;
		if (step.kind !== 'work' && step.kind !== 'round') continue;
		const width = to - from - paused;
		const half = step.leg === null ? 'whole' : step.leg === 'left' ? 'upper' : 'lower';
		const { movement, form } = drawn(step, find);
		open.work.push({ x: from, width, half, direction: movement ? mainDirection(movement.action) : null });
		if (form) intensity.push({ x: from, width, value: form.intensity });
	}
	const last = stays.at(-1);
	if (last) body.push([last.to, body.at(-1)![1]]);
	return { blocks, sections, body, intensity, peak: null, tests };
}

/** Scripts of earlier versions have a test only in the title of its step. */
const testName = ({ test, title }: ScriptStep): string =>
	test ? HIP_TESTS[test].name : title.replace(/^Test: /, '');

/** Returns the figure of a step, by the key of its drawing. */
function drawn(
	{ figure }: ScriptStep,
	find: FindMovement
): { movement: Movement | undefined; form: Form | undefined } {
	const [slug = '', formId] = figure?.split('/') ?? [];
	const movement = find(slug);
	return { movement, form: movement?.forms.find(({ id }) => id === formId) };
}

function addSection(sections: Score['sections'], step: ScriptStep, from: number, to: number): void {
	const last = sections.at(-1);
	const times = sections.filter(({ id }) => id.startsWith(`${step.sectionId}.`)).length;
	if (last?.id === `${step.sectionId}.${times}`) last.width = to - last.x;
	else
		sections.push({
			// a teacher may go back to a part, which then stands twice
			id: `${step.sectionId}.${times + 1}`,
			kind: step.section,
			name: SECTION_NAME[step.section],
			x: from,
			width: to - from
		});
}

/** Work that was planned and not given. */
function leftOutMarks(planned: readonly Stay[], state: SessionState, steps: Steps): Score['marks'] {
	return planned
		.filter(
			({ step: { id, kind } }) =>
				(kind === 'work' || kind === 'round' || kind === 'test') &&
				isLeftOut(state, id) &&
				givenMs(state, id) === 0
		)
		.map(({ step, from }) => ({
			x: from,
			severity: 'note' as const,
			message: `Left out: ${[steps.get(step.id).title, step.leg].filter(Boolean).join(', ')}`,
			itemId: step.itemId
		}));
}

function pauseMarks(given: readonly Stay[]): Score['marks'] {
	return given
		.filter(({ paused }) => paused >= LEAST_SECONDS)
		.map(({ step, to, paused }) => ({
			x: to - paused,
			severity: 'note' as const,
			message: `Paused for ${formatDuration(paused)}`,
			itemId: step.itemId
		}));
}
