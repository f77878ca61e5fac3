import type { Leg } from '../anatomy';
import type { GroupCheckIn } from '../hip-tests';
import type { Attendance } from '../people';
import type { Lead, Replacement, Script, ScriptStep, StepKind } from './types';

/** One stay in a step, in milliseconds since the class began, pauses left out of its length. */
export interface StepVisit {
	step: string;
	fromMs: number;
	givenMs: number;
	/** It had been given and moved on from before: this is a return to it. */
	again: boolean;
}

/** A change that was made to come out on time, and can be taken back. */
export interface Adjustment {
	event: string;
	seconds: Readonly<Record<string, number>>;
	leftOut: readonly string[];
}

/** Where a class is. Worked out from its events and nothing else. */
export interface SessionState {
	mode: 'ready' | 'running' | 'paused' | 'ended';
	lead: Lead;
	waitsIn: readonly StepKind[];
	/** By the clock: steps in which the teacher wants it to wait. */
	waitsAt: ReadonlySet<string>;
	/** Who came, where somebody counted. */
	here: Attendance | null;
	/** By the clock: stays where it is until the teacher moves on, as after going back. */
	waits: boolean;
	/** When it should have begun and when it did, milliseconds since 1970. */
	plannedStartAt: number;
	startedAt: number;
	/** Ids of the steps as they are given; a set that was added has an id of its own. */
	order: readonly string[];
	/** Index of the present step in `order`. */
	at: number;
	/** Every stay, the present one last. */
	visits: readonly StepVisit[];
	/** Milliseconds that each step was given so far, over all its stays. */
	given: ReadonlyMap<string, number>;
	/** Steps that were given and moved on from. */
	done: ReadonlySet<string>;
	leftOut: ReadonlySet<string>;
	/** Replacements of planned movements, by the ids of the steps that give them. */
	swapped: ReadonlyMap<string, Replacement>;
	adjustments: readonly Adjustment[];
	/** Result of the adjustments: seconds of steps, and steps left out. */
	adjusted: { seconds: ReadonlyMap<string, number>; leftOut: ReadonlySet<string> };
	/** Seconds that were added to steps by hand. */
	more: ReadonlyMap<string, number>;
	notes: readonly { step: string; atMs: number; words: string }[];
	/** Of the group in tests, each test at each moment once: the last count. */
	counts: readonly GroupCheckIn[];
	/** Another device of the studio goes on with the class: this one ended its part. */
	wasHandedOver: boolean;
	/** Since the class began, all in all. */
	elapsedMs: number;
	pausedMs: number;
	/** Of the paused time, that in which no device was there. */
	awayMs: number;
	/** Since the end was said. */
	sinceEndMs: number;
}

/** Before it has begun. */
export const READY: SessionState = {
	mode: 'ready',
	lead: 'hand',
	waitsIn: [],
	waitsAt: new Set(),
	here: null,
	waits: false,
	plannedStartAt: 0,
	startedAt: 0,
	order: [],
	at: 0,
	visits: [],
	given: new Map(),
	done: new Set(),
	leftOut: new Set(),
	swapped: new Map(),
	adjustments: [],
	adjusted: { seconds: new Map(), leftOut: new Set() },
	more: new Map(),
	notes: [],
	counts: [],
	wasHandedOver: false,
	elapsedMs: 0,
	pausedMs: 0,
	awayMs: 0,
	sinceEndMs: 0
};

/** Key of a drawing: slug, form, and the leg that leads. */
export const figureKey = (movement: string, form: string, leg: Leg | null): string =>
	`${movement}/${form}/${leg ?? 'right'}`;

/** Index of a script for replaying a led class. */
export class Steps {
	private readonly byId: ReadonlyMap<string, ScriptStep>;

	constructor(readonly script: Script) {
		this.byId = new Map(script.steps.map((step) => [step.id, step]));
	}

	/** A step by its id, also one that was added to the script: it is like the one that it repeats. */
	get(id: string): ScriptStep {
		const step = this.byId.get(id) ?? this.byId.get(id.replace(/\+\d+$/, ''));
		if (!step) throw new Error(`the script has no step ${id}`);
		return step;
	}

	/** A step as it is given: with what stands in for its movement. */
	shown({ swapped }: Pick<SessionState, 'swapped'>, id: string): ScriptStep {
		const step = this.get(id);
		const given = swapped.get(id);
		if (!given) return step;
		return {
			...step,
			title: given.title,
			position: given.position,
			say: step.kind === 'in' ? given.sayIn : step.kind === 'work' ? given.sayAtWork : [],
			people: [],
			kit: step.kind === 'in' && step.side !== 2 ? given.kit : [],
			count: step.count?.unit === given.unit ? step.count : null,
			figure: figureKey(given.movement, given.form, step.leg)
		};
	}
}
