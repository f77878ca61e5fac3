import { and, eq } from 'drizzle-orm';
import { SERIES_KIND, type Series } from '../../core/series';
import { withVersion } from '../../core/validation';
import { keptDocument } from '../db/document-column';
import type { Db } from '../db/open';
import { plan, series } from '../db/schema';
import { deleteFrom, moveFrom } from '../db/versioned';
import { groupComesBack } from '../group/groups';
import { holdQuota } from '../http/quotas';
import type { Removal } from '../http/save-result';
import { onePlan } from '../plan/plan-rows';
import { forgetOneRemoved, keepRemoved, lookAtRemoved } from '../studio/trash';
import { plansById, seriesColumns } from './series';

/** A series as it was, with the ids of its classes. */
interface RemovedSeries {
	title: string;
	row: typeof series.$inferSelect;
	planIds: string[];
}

/** Lets a series go; its classes stay as classes of the group. For some weeks it can be brought back. */
export function removeSeries(db: Db, studioId: string, id: string, fromVersion: number): Promise<Removal> {
	return db.transaction(async (tx) => {
		const one = and(eq(series.id, id), eq(series.studioId, studioId))!;
		const [row] = await tx.select().from(series).where(one).for('update');
		if (!row) return 'missing';
		const classes = await tx
			.select({ id: plan.id })
			.from(plan)
			.where(and(eq(plan.studioId, studioId), eq(plan.seriesId, id)));
		if (!(await deleteFrom(tx, series, one, fromVersion))) return 'stale';
		const kept: RemovedSeries = {
			title: row.title,
			row: { ...row, document: withVersion(SERIES_KIND, row.document) },
			planIds: classes.map((c) => c.id)
		};
		await keepRemoved(tx, studioId, 'series', id, kept);
		return 'removed';
	});
}

/** Puts a removed series back, with those of its classes that are still there and in no other series. */
export function restoreSeries(db: Db, studioId: string, id: string): Promise<boolean> {
	return db.transaction(async (tx) => {
		const kept = await lookAtRemoved<RemovedSeries>(tx, studioId, 'series', id);
		if (!kept || !(await groupComesBack(tx, studioId, kept.row.groupId))) return false;
		const { groupId, version } = kept.row;
		const document = keptDocument<Series>(SERIES_KIND, kept.row.document);
		await holdQuota(tx, 'series', series, eq(series.studioId, studioId));
		await tx
			.insert(series)
			.values({ id, studioId, groupId, ...seriesColumns(document), version: version + 1 });
		for (const row of await plansById(tx, studioId, kept.planIds)) {
			if (row.seriesId !== null) continue;
			await moveFrom(tx, plan, onePlan(studioId, row.id), row.version, { seriesId: id });
		}
		await forgetOneRemoved(tx, studioId, 'series', id);
		return true;
	});
}
