import type { Schema } from 'yup';
import { schemaFaults, type Fault } from './faults';

/** A value from outside, or everything that is wrong with it. */
export type Read<T> = { ok: true; value: T } | { ok: false; faults: Fault[] };

/** A JSON object of which nothing is known yet. */
export type Json = Record<string, unknown>;

/** A kind of document that is kept in the database, in files and in browsers, and whose shape changes over the years. */
export interface DocumentKind {
	/** Its name in a sentence: "class", "series". */
	name: string;
	/** The shape of today. */
	schema: Schema;
	/**
	 * `steps[0]` brings a document of version 1 up to 2, and so on; the newest version is one more than there are steps.
	 * A step is pure and leaves alone what it does not understand: what is wrong with it is said afterwards.
	 */
	steps: readonly ((document: Json) => Json)[];
	/** Adds to a document that steps have changed. */
	afterSteps?: (before: Json, after: Json) => Json;
}

/** The version of today: one more than there are steps. */
export const newestVersion = ({ steps }: DocumentKind): number => steps.length + 1;

/** A document as it is kept: with the version of its shape. Without one it counts as version 1. */
export function withVersion<T extends object>(kind: DocumentKind, document: T): T & { version: number } {
	return { version: newestVersion(kind), ...document };
}

/** Brings a kept document up to the newest version; its shape is not looked at. What is no object stays as it is. */
export function broughtUp(kind: DocumentKind, value: unknown): Read<unknown> {
	if (!isObject(value)) return { ok: true, value };
	const { version = 1, ...document } = value;
	const newest = newestVersion(kind);
	const no = (message: string): Read<never> => ({ ok: false, faults: [{ path: 'version', message }] });
	if (typeof version !== 'number' || !Number.isInteger(version) || version < 1)
		return no(`the version of a ${kind.name} is a whole number from 1 on`);
	if (version > newest)
		return no(`this ${kind.name} has version ${version}; this program reads up to version ${newest}`);
	const steps = kind.steps.slice(version - 1);
	const now = steps.reduce((old, step) => step(old), document);
	return { ok: true, value: steps.length && kind.afterSteps ? kind.afterSteps(document, now) : now };
}

/** The same for documents of one kind. */
export const upTo =
	(kind: DocumentKind) =>
	(value: unknown): Read<unknown> =>
		broughtUp(kind, value);

/** Reads a kept document: brought up to today's shape and validated. Whether what it names is there is not looked at. */
export function readDocument<T>(kind: DocumentKind, value: unknown): Read<T> {
	return readWith(kind, value, (document) => schemaFaults(kind.schema, document));
}

/** Whether a value is a JSON object: neither null nor a list. */
export const isObject = (value: unknown): value is Json =>
	typeof value === 'object' && value !== null && !Array.isArray(value);

/** A step of {@link DocumentKind} that changes each object of a list; what is no list of objects stays as it is. */
export function eachIn(document: Json, key: string, change: (entry: Json) => Json): Json {
	const list = document[key];
	if (!Array.isArray(list)) return document;
	return { ...document, [key]: list.map((entry: unknown) => (isObject(entry) ? change(entry) : entry)) };
}

/** Reads a kept or sent document: brought up to today's shape, and then whatever `faultsOf` finds in it. */
export function readWith<T>(
	kind: DocumentKind,
	value: unknown,
	faultsOf: (document: unknown) => Fault[]
): Read<T> {
	const up = broughtUp(kind, value);
	if (!up.ok) return up;
	const faults = faultsOf(up.value);
	return faults.length ? { ok: false, faults } : { ok: true, value: up.value as T };
}
