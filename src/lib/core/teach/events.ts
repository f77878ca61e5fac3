import { array, boolean, number, object, string, type ObjectShape } from 'yup';
import { FORM_IDS, DOSE_UNITS, POSITIONS } from '../movement';
import { checkInFaults, groupCheckInFields, type GroupCheckIn } from '../hip-tests';
import { hereSchema, type Attendance } from '../people';
import { schemaFaults, type Fault } from '../validation';
import { groupCheckInOf } from './counts';
import { line, lines, SCRIPT_LIMITS, sayings } from './parts';
import { LEADS, STEP_KINDS, type Lead, type Replacement, type StepKind } from './types';

/** Actions in a led class; steps are named by their ids. */
export type SessionAction =
	| { do: 'here'; here: Attendance }
	| { do: 'start'; plannedStartAt: number }
	| { do: 'next' }
	| { do: 'back' }
	| { do: 'pause' }
	| { do: 'resume' }
	| { do: 'more'; seconds: number }
	| { do: 'one more set' }
	| { do: 'leave out'; steps: string[] }
	| { do: 'bring back'; steps: string[] }
	| { do: 'jump'; step: string }
	| { do: 'lead'; by: Lead; waitsIn: StepKind[] }
	| { do: 'wait'; step: string; waits: boolean }
	| { do: 'swap'; item: string; to: Replacement | null }
	| { do: 'adjust'; seconds: Record<string, number>; leftOut: string[] }
	| { do: 'take back'; event: string }
	| { do: 'reopened'; alive: EventTime }
	/** The device slept, and its clock with it: `taught` says whether the class went on meanwhile. */
	| { do: 'slept'; ms: number; taught: boolean }
	| { do: 'note'; words: string }
	| ({ do: 'count' } & Omit<GroupCheckIn, 'kind'>)
	| { do: 'end' }
	/** Another device goes on with the class. */
	| { do: 'hand over' };
export type SessionActionName = SessionAction['do'];

/**
 * When it happened: on the wall's clock, and on one that only runs on, counted from when the page was opened. The second
 * is right also where the clock of the device is changed; `boot` says from which opening of the page it counts.
 */
export interface EventTime {
	/** Milliseconds since 1970. */
	at: number;
	monoMs: number;
	boot: string;
}

/** One thing that happened in a run; `id` is chosen where it happens, and is accepted once. */
export type SessionEvent = { id: string } & EventTime & SessionAction;

export const EVENT_LIMITS = {
	steps: SCRIPT_LIMITS.steps,
	noteCharacters: 500,
	moreSeconds: 3600,
	sleptMs: 12 * 3600_000,
	/** A class of three hours with two presses a second. */
	events: 20_000,
	/** Most events in one request. */
	eventsAtOnce: 5000
} as const;

const time = {
	at: number().min(0).required(),
	monoMs: number().min(0).required(),
	boot: string().min(1).max(40).required()
};
const stepId = string().min(1).max(120).required();
const steps = array().of(stepId).max(EVENT_LIMITS.steps).defined();
const replacement = object({
	movement: string().min(1).max(80).required(),
	form: string().oneOf(FORM_IDS).required(),
	title: line,
	position: string().oneOf(POSITIONS).required(),
	unit: string().oneOf(DOSE_UNITS).required(),
	sayIn: sayings,
	sayAtWork: sayings,
	kit: lines
})
	.noUnknown()
	.nullable()
	.default(undefined)
	.defined();
const acts: Record<SessionActionName, ObjectShape> = {
	here: { here: hereSchema.required() },
	start: { plannedStartAt: number().min(0).required() },
	next: {},
	back: {},
	pause: {},
	resume: {},
	more: { seconds: number().min(1).max(EVENT_LIMITS.moreSeconds).required() },
	'one more set': {},
	'leave out': { steps },
	'bring back': { steps },
	jump: { step: stepId },
	lead: {
		by: string().oneOf(LEADS).required(),
		waitsIn: array().of(string().oneOf(STEP_KINDS).required()).max(STEP_KINDS.length).defined()
	},
	wait: { step: stepId, waits: boolean().required() },
	swap: { item: stepId, to: replacement },
	adjust: {
		seconds: object()
			.required()
			.test(
				'seconds',
				'each step gets whole seconds from 1 to 3600',
				(given: object) =>
					Object.keys(given).length <= EVENT_LIMITS.steps &&
					Object.values(given).every((s) => Number.isInteger(s) && s >= 1 && s <= EVENT_LIMITS.moreSeconds)
			),
		leftOut: steps
	},
	'take back': { event: string().min(1).max(40).required() },
	reopened: { alive: object(time).noUnknown().required() },
	slept: { ms: number().min(0).max(EVENT_LIMITS.sleptMs).required(), taught: boolean().required() },
	note: { words: string().min(1).max(EVENT_LIMITS.noteCharacters).required() },
	count: groupCheckInFields,
	end: {},
	'hand over': {}
};
const schemas = Object.fromEntries(
	Object.entries(acts).map(([name, fields]) => [
		name,
		object({
			id: string().min(8).max(40).required(),
			...time,
			do: string().oneOf([name]).required(),
			...fields
		})
			.noUnknown()
			.required()
	])
);

/** Everything wrong with what is given as an event; empty: it can be used as {@link SessionEvent}. */
export function eventFaults(value: unknown): Fault[] {
	const name = typeof value === 'object' && value !== null && 'do' in value ? String(value.do) : '';
	const schema = Object.hasOwn(schemas, name) ? schemas[name] : undefined;
	if (!schema) return [{ path: 'do', message: `an event is one of ${Object.keys(acts).join(', ')}` }];
	const faults = schemaFaults(schema, value);
	const event = value as SessionEvent;
	if (faults.length || event.do !== 'count') return faults;
	return checkInFaults(groupCheckInOf(event));
}
