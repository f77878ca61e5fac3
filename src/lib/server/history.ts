import type { HistoryRow } from '../core/run';
import type { Db } from './db/open';
import { getGroup } from './groups';
import { historyOfGroup } from './runs';
import { studioCatalogue } from './studio-catalogue';

/** The history of a group with the names of movements; null for another studio's group. */
export async function groupHistory(
	db: Db,
	studioId: string,
	groupId: string
): Promise<{ group: string; rows: (HistoryRow & { id: string; planId: string | null })[] } | null> {
	const group = await getGroup(db, studioId, groupId);
	if (!group) return null;
	const [classes, { catalogue }] = await Promise.all([
		historyOfGroup(db, studioId, groupId),
		studioCatalogue(db, studioId)
	]);
	const rows = classes.map((taught) => ({
		...taught,
		leftOut: taught.run.leftOut.map((slug) => catalogue.find(slug)?.english ?? slug)
	}));
	return { group: group.group.name, rows };
}
