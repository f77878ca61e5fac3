import { CLASS_NOTES, type ClassNotes } from '$lib/core/record';
import { withVersion } from '$lib/core/validation';
import { remove, save } from '../api';

/**
 * Writes down how the class of a plan went, over the version that was looked at (0: nothing yet); null takes it back.
 * Answers with a sentence for what stood in the way.
 */
export async function writeDown(
	planId: string,
	version: number,
	notes: ClassNotes | null
): Promise<{ ok: boolean; said: string }> {
	const path = `/api/plans/${planId}/record`;
	const answer = notes
		? await save(path, version, withVersion(CLASS_NOTES, notes))
		: await remove(path, version);
	if (answer.ok) return { ok: true, said: notes ? 'Recorded' : 'Record deleted' };
	const isStale = answer.status === 409;
	const stale = 'It was recorded in another window. Reload the page.';
	return { ok: false, said: isStale ? stale : answer.messages.join(' ') };
}
