import { error, json } from '@sveltejs/kit';
import type { Fault } from '../core/plan';
import { sameContent } from './fingerprint';
import type { Saved } from './saved';
import type { Studio } from './studios';

/** The studio of the signed-in teacher; without one nothing of the database may be touched. */
export function studioOfRequest(locals: App.Locals): Studio {
	if (!locals.studio) error(401, 'Sign in first.');
	return locals.studio;
}

/** The signed-in teacher and their studio, for what belongs to the teacher alone. */
export function ownerOfRequest(locals: App.Locals): { studioId: string; teacherId: string } {
	const studio = studioOfRequest(locals);
	if (!locals.teacher) error(401, 'Sign in first.');
	return { studioId: studio.id, teacherId: locals.teacher.id };
}

/** Another studio's things answer as if they were not there. */
export function found<T>(value: T | null): T {
	if (value === null) error(404, 'There is nothing at this address.');
	return value;
}

/** What a client sends to save a document: the version that it began from, and the document. */
export interface SaveRequest {
	version: number;
	document: unknown;
}

/** The body of a save, or the faults that it has; never throws for what a client sent. */
export async function readSave(request: Request): Promise<SaveRequest | { faults: Fault[] }> {
	const no = (path: string, message: string) => ({ faults: [{ path, message }] });
	let body: unknown;
	try {
		body = await request.json();
	} catch {
		return no('', 'the request is not JSON');
	}
	if (typeof body !== 'object' || body === null) return no('', 'the request must be an object');
	const { version, document } = body as Partial<SaveRequest>;
	if (!Number.isInteger(version)) return no('version', 'the version that the change began from is missing');
	return { version: version as number, document };
}

/**
 * The answer to a save: 200 with the version, 404, or 409 with what is stored. A save that says just what is stored
 * is no conflict: it is one whose answer never arrived, sent again.
 */
export function saveAnswer<T>(
	saved: Saved<T>,
	sent: unknown,
	current: (stored: T) => { version: number; document: unknown }
): Response {
	if (saved.kind === 'saved') return json({ version: saved.version });
	const stored = current(found(saved.kind === 'stale' ? saved : null).current);
	if (sameContent(stored.document, sent)) return json({ version: stored.version });
	return json({ current: stored }, { status: 409 });
}
