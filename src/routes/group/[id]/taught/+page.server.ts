import { dayName } from '$lib/core/calendar';
import { foundInHistory } from '$lib/core/run';
import { db } from '$lib/server/db';
import { found, studioOfRequest } from '$lib/server/endpoint';
import { groupHistory } from '$lib/server/history';
import type { PageServerLoad } from './$types';

/** The longest search that is looked for. */
const MOST_CHARACTERS = 200;

export const load: PageServerLoad = async ({ params, locals, url }) => {
	const { group, rows } = found(await groupHistory(db(), studioOfRequest(locals).id, params.id));
	const asked = (url.searchParams.get('q') ?? '').slice(0, MOST_CHARACTERS);
	return {
		id: params.id,
		group,
		asked,
		all: rows.length,
		rows: foundInHistory(rows, asked).map((row) => ({ ...row, day: dayName(row.run.on) }))
	};
};
