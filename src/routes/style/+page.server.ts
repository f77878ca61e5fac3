import { db } from '$lib/server/db';
import { ownerOfRequest } from '$lib/server/endpoint';
import { silencedChecks } from '$lib/server/silenced-checks';
import { getStyle } from '$lib/server/styles';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals }) => ({
	stored: await getStyle(db(), ownerOfRequest(locals).teacherId),
	silenced: await silencedChecks(db(), ownerOfRequest(locals).teacherId)
});
