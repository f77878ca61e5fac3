import { HIP_TESTS } from '$lib/core/hip-test';
import { ladderLines, weekCards } from '$lib/core/drawing';
import { readSeries } from '$lib/core/series';
import { db } from '$lib/server/db';
import { found, studioOfRequest } from '$lib/server/scope';
import { seriesSetting, settingOfSeries } from '$lib/server/series-setting';
import type { PageServerLoad } from './$types';

/** One page for the studio wall: dates, themes and ladders, and nothing of the people. */
export const load: PageServerLoad = async ({ params, locals }) => {
	const studio = studioOfRequest(locals);
	const setting = found(await seriesSetting(db(), studio.id, params.id));
	const { series } = setting.stored.planned;
	const reading = readSeries(setting.stored.planned, settingOfSeries(setting));
	return {
		id: setting.stored.id,
		title: series.title,
		goal: series.goal,
		group: setting.group.group.name,
		room: setting.group.group.room,
		test: HIP_TESTS[series.retest.test].name,
		weeks: weekCards(reading).map(({ number, theme, easier, retest, ring, empty, classes }) => ({
			number,
			theme,
			easier,
			retest,
			ring,
			empty,
			classes: classes.map(({ id, day, startsAt, rungs }) => ({
				id,
				day,
				startsAt,
				rungs: rungs.map(({ words }) => words)
			}))
		})),
		ladders: ladderLines(reading).lines.map(({ name, rungs }) => ({ name, rungs }))
	};
};
