import type { OutdatedMovement } from '../../core/movement';
import { type PaceModel } from '../../core/pace';
import type { SeriesInput } from '../compute/tasks';
import type { Db } from '../db/open';
import { getGroup, type StoredGroup } from '../group/groups';
import { metBefore } from '../record/records';
import { getSeries, type StoredSeries } from './series';
import {
	outdatedMovements,
	movementsFor,
	studioCatalogue,
	type StudioCatalogue
} from '../studio/studio-catalogue';

/** Everything that a series is read against. */
export interface StoredSeriesContext {
	stored: StoredSeries;
	group: StoredGroup;
	current: StudioCatalogue;
	/** Movements that are not what they were when its plans were made. */
	moved: OutdatedMovement[];
	/** Movements that the group met before the series began. */
	knownBefore: readonly string[];
	/** The pace of who teaches; the usual one where no teacher is signed in (a calendar that subscribes). */
	pace: PaceModel;
}

/** Loads a series of this studio with its setting; null for another studio's and for none at all. */
export async function loadSeriesContext(
	db: Db,
	studioId: string,
	id: string,
	pace: PaceModel
): Promise<StoredSeriesContext | null> {
	const stored = await getSeries(db, studioId, id);
	const group = stored && (await getGroup(db, studioId, stored.groupId));
	if (!stored || !group) return null;
	const current = await studioCatalogue(db, studioId);
	const moved = (await outdatedMovements(db, studioId, current, Object.values(stored.planned.plans))).flat();
	const { startsOn } = stored.planned.series;
	return {
		stored,
		group,
		current,
		moved: [...new Map(moved.map((m) => [m.slug, m])).values()],
		knownBefore: (await metBefore(db, studioId, group.id, startsOn, startsOn)).known.slugs,
		pace
	};
}

/** The same as plain data, for what is worked out in threads. */
export function seriesInput({
	stored,
	group,
	current,
	moved,
	knownBefore,
	pace
}: StoredSeriesContext): SeriesInput {
	return {
		planned: stored.planned,
		group: group.group,
		movements: movementsFor(current, moved),
		knownBefore,
		pace
	};
}
