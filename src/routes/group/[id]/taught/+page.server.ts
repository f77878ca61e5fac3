import { dayInZone, shortDay } from '$lib/core/calendar';
import { foundInHistory, overWeeks, weeksTable, weeksWords } from '$lib/core/run';
import { db } from '$lib/server/db';
import { found, studioOfRequest } from '$lib/server/endpoint';
import { groupHistory } from '$lib/server/history';
import type { PageServerLoad } from './$types';

/** As many classes as a season has. */
const MOST_CLASSES = 30;
/** The longest search that is looked for. */
const MOST_CHARACTERS = 200;

export const load: PageServerLoad = async ({ params, locals, url }) => {
	const { group, rows, nameOf } = found(await groupHistory(db(), studioOfRequest(locals).id, params.id));
	const today = dayInZone(new Date(), studioOfRequest(locals).timeZone);
	const lately = rows.slice(0, MOST_CLASSES);
	const asked = (url.searchParams.get('q') ?? '').slice(0, MOST_CHARACTERS);
	return {
		id: params.id,
		group,
		asked,
		all: rows.length,
		today,
		rows: foundInHistory(rows, asked).map(({ id, planId, title, run, leftOut }) => ({
			id,
			planId,
			title,
			run,
			leftOut,
			day: shortDay(run.on)
		})),
		/** Over the last weeks, whatever is searched for. */
		words: weeksWords(overWeeks(lately, today), nameOf),
		weeks: lately.length > 1 ? weeksTable(lately, shortDay) : null
	};
};
