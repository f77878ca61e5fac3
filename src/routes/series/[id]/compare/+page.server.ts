import { ladderLines } from '$lib/core/drawing';
import { compareSeries, readSeries } from '$lib/core/series';
import { db } from '$lib/server/db';
import { found, studioOfRequest } from '$lib/server/scope';
import { listSeries } from '$lib/server/series';
import { seriesSetting, settingOfSeries } from '$lib/server/series-setting';
import type { PageServerLoad } from './$types';

/** Two series side by side: the one at this address, and another one (`?with=`). */
export const load: PageServerLoad = async ({ params, locals, url }) => {
	const studio = studioOfRequest(locals);
	const others = (await listSeries(db(), studio.id)).filter(({ id }) => id !== params.id);
	const withId = url.searchParams.get('with') ?? others[0]?.id ?? '';
	const here = found(await seriesSetting(db(), studio.id, params.id));
	const there = found(await seriesSetting(db(), studio.id, withId));
	const [a, b] = [here, there].map((s) => readSeries(s.stored.planned, settingOfSeries(s)));
	const side = (s: typeof here, reading: NonNullable<typeof a>) => ({
		id: s.stored.id,
		title: s.stored.planned.series.title,
		group: s.group.group.name,
		ladders: ladderLines(reading).lines.map(({ name, goal, rungs }) => ({ name, goal, rungs }))
	});
	return {
		others: others.map(({ id, series }) => ({ id, title: series.title })),
		a: side(here, a!),
		b: side(there, b!),
		lines: compareSeries(a!, b!)
	};
};
