import { error, json } from '@sveltejs/kit';
import type { Fault, Read } from '../../core/validation';
import { readJson } from './requests';
import { sameContent } from '../studio/content-hash';
import type { Removal, SaveResult } from './save-result';
import type { Studio } from '../studio/studios';
import type { Owner } from './owner';

/** The studio of the signed-in teacher; without one nothing of the database may be touched. */
export function studioOfRequest(locals: App.Locals): Studio {
	if (!locals.studio) error(401, 'Sign in first.');
	return locals.studio;
}

/** The signed-in teacher and their studio, for what belongs to the teacher alone. */
export function ownerOfRequest(locals: App.Locals): Owner {
	const studio = studioOfRequest(locals);
	if (!locals.teacher) error(401, 'Sign in first.');
	return { studioId: studio.id, teacherId: locals.teacher.id };
}

/** Another studio's things answer as if they were not there. */
export function orNotFound<T>(value: T | null): T {
	if (value === null) error(404, 'There is nothing at this address.');
	return value;
}

/** A client's request to save a document: the version on which it is based, and the document. */
export interface SaveRequest {
	version: number;
	document: unknown;
	/** Of a series: the versions of its plans that the change began from. */
	planVersions?: unknown;
	/** Of this request alone: sent again, it is done once. */
	token: string | null;
}

/** The body of a save with its document in today's shape, or the faults that it has. What the document holds is not looked at. */
export async function readSave(
	request: Request,
	broughtUp: (document: unknown) => Read<unknown>
): Promise<SaveRequest | { faults: Fault[] }> {
	const no = (path: string, message: string) => ({ faults: [{ path, message }] });
	const body = await readJson(request);
	if (typeof body !== 'object' || body === null) return no('', 'the request must be an object');
	const { version, document, planVersions } = body as Partial<SaveRequest>;
	if (!Number.isInteger(version) || Math.abs(version as number) > 2 ** 31 - 1)
		return no('version', 'the version that the change began from is missing');
	const up = broughtUp(document);
	if (!up.ok) return up;
	return {
		version: version as number,
		document: up.value,
		planVersions,
		token: request.headers.get('idempotency-key')
	};
}

/**
 * The answer to a save: 200 with the version, 404, or 409 with what is stored. A save that says just what is stored
 * is no conflict: it is one whose answer never arrived, sent again.
 */
export function saveAnswer<T>(
	saved: SaveResult<T>,
	sent: unknown,
	current: (stored: T) => { version: number; document: unknown }
): Response {
	if (saved.kind === 'saved') {
		const { kind: _saved, ...versions } = saved;
		return json(versions);
	}
	const stored = current(orNotFound(saved.kind === 'stale' ? saved : null).current);
	if (sameContent(stored.document, sent)) {
		const { document: _known, ...versions } = stored;
		return json(versions);
	}
	return json({ current: stored }, { status: 409 });
}

/** The answer to a removal: 204, 404, or 409 when it is no longer what was looked at. */
export function removalAnswer(removal: Removal): Response {
	orNotFound(removal === 'missing' ? null : removal);
	if (removal === 'stale') error(409, 'It was changed in another window. Reload the page.');
	return new Response(null, { status: 204 });
}
