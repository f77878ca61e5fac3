import { historyCsv } from '$lib/core/formats';
import { db } from '$lib/server/db';
import { orNotFound, ownerOfRequest } from '$lib/server/http/endpoint';
import { fileName } from '$lib/server/http/file-name';
import { groupHistory } from '$lib/server/record/history';
import type { RequestHandler } from './$types';

/** Every class of a group that was written down, as CSV (RFC 4180): 200, 404. */
export const GET: RequestHandler = async ({ params, locals }) => {
	const { group, rows } = orNotFound(await groupHistory(db(), ownerOfRequest(locals), params.id));
	return new Response(historyCsv(rows), {
		headers: {
			'content-type': 'text/csv; charset=utf-8; header=present',
			'content-disposition': `attachment; filename="${fileName(`${group} taught`, 'taught')}.csv"`
		}
	});
};
