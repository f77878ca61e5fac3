import type { Schema } from 'yup';

/** The part of the browser's storage that is used. */
export interface BrowserStorage {
	getItem(key: string): string | null;
	setItem(key: string, value: string): void;
}

/** A value that this browser keeps. */
export interface Persisted<T> {
	read(): T;
	/** Stores a value; where that is forbidden or there is no room, the value lasts as long as the page. */
	write(value: T): void;
}

/** Returns the storage of this browser; null where it is forbidden, and on the server. */
export function browserStorage(): BrowserStorage | null {
	try {
		return typeof localStorage === 'undefined' ? null : localStorage;
	} catch {
		return null;
	}
}

/**
 * A value under a key of the browser's storage.
 * @param schema checks what is read: anybody can write there, and older versions did
 * @param usual the value where nothing is stored, or what is stored does not fit the schema
 */
export function persisted<T>(
	key: string,
	schema: Schema,
	usual: T,
	storage: BrowserStorage | null = browserStorage()
): Persisted<T> {
	return {
		read() {
			try {
				const text = storage?.getItem(key) ?? null;
				if (text === null) return usual;
				return schema.validateSync(parsed(text), { strict: true }) as T;
			} catch {
				return usual;
			}
		},
		write(value) {
			try {
				storage?.setItem(key, JSON.stringify(value));
			} catch {
				// see above: it lasts as long as the page
			}
		}
	};
}

/** Returns what a text holds; older versions stored some texts as they are, without quotes. */
function parsed(text: string): unknown {
	try {
		return JSON.parse(text);
	} catch {
		return text;
	}
}
