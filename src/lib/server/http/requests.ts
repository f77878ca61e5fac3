import { error } from '@sveltejs/kit';
import { isPropertyOfAll } from '../../core/validation';
import { TOKEN } from './accepted';

/** Deeper than any document of ours; what is nested further is no document, and walking it would overflow the stack. */
const MOST_NESTED = 40;

/**
 * The body of a request as JSON. 413 for one that is too large, 400 for one that is no JSON, 422 for one that is nested
 * without end.
 */
export async function readJson(request: Request): Promise<unknown> {
	const text = await bodyOf(() => request.text());
	let value: unknown;
	try {
		value = JSON.parse(text);
	} catch {
		error(400, 'The request is not JSON.');
	}
	if (nestedDeeper(value, MOST_NESTED))
		error(422, `The request is nested deeper than ${MOST_NESTED} levels.`);
	return value;
}

/** The same, as an object; anything else reads as an empty one, so that every field of it is missing. */
export async function readJsonObject(request: Request): Promise<Record<string, unknown>> {
	const value = await readJson(request);
	return typeof value === 'object' && value !== null && !Array.isArray(value)
		? (value as Record<string, unknown>)
		: {};
}

/** The fields of a form, each as text and each once; 400 for a body that is no form, or for a file in a field. */
export async function readForm(request: Request): Promise<Record<string, string>> {
	const form = await bodyOf(() => request.formData());
	const fields: Record<string, string> = Object.create(null) as Record<string, string>;
	for (const [name, value] of form) {
		if (typeof value !== 'string') error(400, 'A field of the form holds a file.');
		if (isPropertyOfAll(name)) error(400, 'A field of the form has a name that no form has.');
		fields[name] ??= value;
	}
	return fields;
}

async function bodyOf<T>(read: () => Promise<T>): Promise<T> {
	try {
		return await read();
	} catch (thrown) {
		if ((thrown as { status?: unknown }).status === 413) error(413, 'This is too large to be sent.');
		error(400, 'The request could not be read.');
	}
}

function nestedDeeper(value: unknown, levels: number): boolean {
	let here: unknown[] = [value];
	for (let level = 0; here.length; level++) {
		if (level > levels) return true;
		here = here.flatMap((v) => (typeof v === 'object' && v !== null ? Object.values(v) : []));
	}
	return false;
}

/** The token of a request that makes something, from its `idempotency-key` header or a field of its form. */
export function tokenOf(given: string | null | undefined): string {
	if (!given || !TOKEN.test(given)) error(400, 'The request names no token of its own; open the page again.');
	return given;
}

/** The version that a form was filled in from. */
export function versionOf(given: unknown): number {
	const isVersion = typeof given === 'number' || typeof given === 'string';
	if (!isVersion || !/^\d{1,9}$/.test(String(given)))
		error(400, 'The version that the change began from is missing.');
	return Number(given);
}
