import { createHash } from 'node:crypto';
import { customType } from 'drizzle-orm/mysql-core';
import { LRUCache } from 'lru-cache';
import { isObject, readDocument, withVersion, type DocumentKind, type Fault } from '../../core/validation';

/** A stored document that this program cannot read: written by a newer one, or changed by hand. */
export class DamagedDocument extends Error {
	constructor(kind: string, kept: unknown, faults: readonly Fault[]) {
		const { title, name, english } = isObject(kept) ? kept : {};
		const called = [title, name, english].find((word) => typeof word === 'string' && word !== '');
		const [first] = faults;
		const wrong = first?.path ? `${first.path}: ${first.message}` : first?.message;
		super(`The stored ${kind}${called ? ` “${String(called)}”` : ''} cannot be read: ${wrong ?? ''}`);
	}
}

/** Of all texts together whose documents are kept; a class has some ten thousand. */
const MOST_CHARACTERS = 32_000_000;

/**
 * Documents that were read, by their text: validating one takes milliseconds, and most are read again and again. They are
 * frozen, for everybody who asks gets the same object.
 */
const read = new LRUCache<string, object>({ max: 5000, maxSize: MOST_CHARACTERS });

/**
 * A JSON column for documents of a kind: written with the version of their shape, brought up to today's shape and
 * validated when they are read.
 * @throws DamagedDocument when a row is read that is not such a document
 */
export const documentColumn = <T extends object>(name: string, kind: DocumentKind) =>
	customType<{ data: T; driverData: string }>({
		dataType: () => 'json',
		toDriver: (document) => JSON.stringify(withVersion(kind, document)),
		fromDriver: (stored) => fromText<T>(stored, kind)
	})(name);

function fromText<T extends object>(stored: unknown, kind: DocumentKind): T {
	const text = typeof stored === 'string' ? stored : JSON.stringify(stored);
	const key = `${kind.name} ${text.length > LONG ? createHash('sha256').update(text).digest('base64') : text}`;
	const before = read.get(key);
	if (before) return before as T;
	const document = frozen(keptDocument<T>(kind, JSON.parse(text)));
	if (text.length <= MOST_CHARACTERS) read.set(key, document, { size: text.length });
	return document;
}

/**
 * A document that was kept somewhere else than in a column of its own, brought up to today's shape.
 * @throws DamagedDocument
 */
export function keptDocument<T>(kind: DocumentKind, kept: unknown): T {
	const document = readDocument<T>(kind, kept);
	if (!document.ok) throw new DamagedDocument(kind.name, kept, document.faults);
	return document.value;
}

/** Longer texts are known by their hash, so that the cache does not hold them twice. */
const LONG = 200;

function frozen<T extends object>(value: T): T {
	for (const part of Object.values(value))
		if (typeof part === 'object' && part !== null) frozen(part as object);
	return Object.freeze(value);
}

/** A JSON column for what has no versions of its own. */
export const jsonColumn = <T>(name: string) =>
	customType<{ data: T; driverData: string }>({
		dataType: () => 'json',
		toDriver: (value) => JSON.stringify(value),
		fromDriver: (stored) => (typeof stored === 'string' ? JSON.parse(stored) : stored) as T
	})(name);
