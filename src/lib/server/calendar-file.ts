import { momentOf, rungOf, rungWords, schedule } from '../core/series';
import { writeCalendar } from '../core/icalendar';
import type { StoredSetting } from './series-setting';
import { shelfWith } from './shelves';

/** The classes of a series as an iCalendar file, with nothing of the people. `stamp`: now. */
export function seriesCalendar(setting: StoredSetting, studioName: string, stamp: Date): string {
	const { planned, version } = setting.stored;
	const { series, plans } = planned;
	const { find } = shelfWith(setting.today, setting.moved);
	const scheduled = schedule(planned, setting.knownBefore);
	return writeCalendar(
		`${series.title}, ${studioName}`,
		series.classes.map((c, i) => ({
			uid: `${c.id}@humble-orbit.invalid`,
			title: plans[c.id]?.title || `${series.title}, class ${i + 1}`,
			start: momentOf(c, series.timeZone),
			lengthSeconds: plans[c.id]?.lengthSeconds ?? series.lengthSeconds,
			where: setting.group.group.room,
			note: (scheduled.get(c.id) ?? []).map((given) => rungWords(rungOf(series, given), find)).join('\n'),
			sequence: version
		})),
		stamp
	);
}

export const CALENDAR_HEADERS = { 'content-type': 'text/calendar; charset=utf-8' };
