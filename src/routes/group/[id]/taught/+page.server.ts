import { dayInZone, shortDay } from '$lib/core/calendar';
import { overWeeks, weeksTable, weeksWords } from '$lib/core/record';
import { db } from '$lib/server/db';
import { orNotFound, ownerOfRequest, studioOfRequest } from '$lib/server/http/endpoint';
import { groupHistory, lastTaught } from '$lib/server/record/history';
import { QUOTAS } from '$lib/server/http/quotas';
import type { PageServerLoad } from './$types';

/** As many classes as a season has. */
const MOST_CLASSES = 30;
/** The longest search that is looked for. */
const MOST_CHARACTERS = 200;

/** Classes on one page. */
const PAGE = 50;

export const load: PageServerLoad = async ({ params, locals, url }) => {
	const owner = ownerOfRequest(locals);
	const asked = (url.searchParams.get('q') ?? '').slice(0, MOST_CHARACTERS);
	const from = Math.max(0, Math.min(QUOTAS.runs, Math.floor(Number(url.searchParams.get('from')) || 0)));
	const history = orNotFound(await groupHistory(db(), owner, params.id, { from, size: PAGE, asked }));
	const today = dayInZone(new Date(), studioOfRequest(locals).timeZone);
	const lately = await lastTaught(db(), owner.studioId, params.id, MOST_CLASSES);
	return {
		id: params.id,
		group: history.group,
		asked,
		all: history.all,
		found: history.found,
		from,
		today,
		rows: history.rows.map(({ id, planId, title, run, leftOut }) => ({
			id,
			planId,
			title,
			run,
			leftOut,
			day: shortDay(run.on)
		})),
		/** Where the older and the newer classes begin; null where there are none. */
		older: from + PAGE < history.found ? from + PAGE : null,
		newer: from > 0 ? Math.max(0, from - PAGE) : null,
		/** Over the last weeks, whatever is searched for. */
		words: weeksWords(overWeeks(lately, today), history.nameOf),
		weeks: lately.length > 1 ? weeksTable(lately, shortDay) : null
	};
};
