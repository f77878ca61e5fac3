import type { TeachPack } from '$lib/core/teach';
import { faultLines, type Fault } from '$lib/core/validation';
import { newId } from './page/ids';

/** Result of a request: the server's answer, or a sentence for each problem. */
export type Answer<T> = { ok: true; value: T } | { ok: false; status: number; messages: string[] };

const UNREACHABLE = 'The server cannot be reached just now; nothing was changed.';
const TRIES = 3;
const BETWEEN_TRIES_MS = 400;

async function request<T>(path: string, init: RequestInit): Promise<Answer<T>> {
	let response: Response;
	try {
		response = await fetch(path, init);
	} catch {
		return { ok: false, status: 0, messages: [UNREACHABLE] };
	}
	const answer = (await response.json().catch(() => ({}))) as T & { faults?: Fault[]; message?: string };
	if (response.ok) return { ok: true, value: answer };
	const messages = answer.faults?.length
		? faultLines(answer.faults)
		: [answer.message ?? 'That did not work; try again.'];
	return { ok: false, status: response.status, messages };
}

const sending = (method: string, body: unknown, headers: Record<string, string> = {}): RequestInit => ({
	method,
	headers: { 'content-type': 'application/json', ...headers },
	body: JSON.stringify(body)
});

/**
 * Sends something new to be kept. A lost connection is tried again under the same token, so that an answer that never
 * arrived makes no second one.
 */
export async function create<T extends object>(path: string, body: unknown): Promise<Answer<T>> {
	const init = sending('POST', body, { 'idempotency-key': newId() });
	let answer = await request<T>(path, init);
	for (let tries = 1; !answer.ok && answer.status === 0 && tries < TRIES; tries++) {
		await new Promise((done) => setTimeout(done, tries * BETWEEN_TRIES_MS));
		answer = await request<T>(path, init);
	}
	return answer;
}

/** Saves a small document over the version that the change began from, also when the page is left meanwhile. */
export const save = (
	path: string,
	version: number,
	document: unknown
): Promise<Answer<{ version: number }>> =>
	request(path, { ...sending('PUT', { version, document }), keepalive: true });

/** Changes one thing of what was looked at in this version. */
export const change = (path: string, version: number, body: object): Promise<Answer<object>> =>
	request(path, sending('PATCH', { version, ...body }));

/** Fetches the document at a path of the server. */
export const read = <T>(path: string): Promise<Answer<T>> => request<T>(path, {});

/** Does something that is named by its path alone. */
export const act = <T>(path: string): Promise<Answer<T>> => request<T>(path, { method: 'POST' });

/** Removes what was looked at in this version. */
export const remove = (path: string, version: number, more: object = {}): Promise<Answer<object>> =>
	request(path, sending('DELETE', { version, ...more }));

/** Leaves a movement out of planning, or offers it again. */
export const leaveOut = (slug: string, out: boolean): Promise<Answer<object>> =>
	request(`/api/left-out/${slug}`, { method: out ? 'PUT' : 'DELETE' });

/** Silences a check in all classes of the teacher, with the reason; or asks again. */
export const silenceCheck = (check: string, reason: string): Promise<Answer<object>> =>
	request(`/api/silenced/${check}`, sending('PUT', { reason }));
export const askCheckAgain = (check: string): Promise<Answer<object>> =>
	request(`/api/silenced/${check}`, { method: 'DELETE' });

/** The response to a save, with everything that the server says of it. `id`: accepted once, however often it is sent. */
export const send = (path: string, body: unknown, id: string): Promise<Response> =>
	fetch(path, sending('PUT', body, { 'idempotency-key': id }));

/** A class made ready to teach, for this device to keep; null where it is not possible just now. */
export async function getPack(planId: string): Promise<TeachPack | null> {
	try {
		const response = await fetch(`/api/teach/packs/${planId}`);
		return response.ok ? ((await response.json()) as TeachPack) : null;
	} catch {
		return null;
	}
}

/** Sends what happened in a class; the response says what became of it. */
export const sendEvents = (run: string, body: unknown): Promise<Response> =>
	fetch(`/api/teach/sessions/${run}`, sending('POST', body));
