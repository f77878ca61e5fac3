import { date, foreignKey, index, int, mysqlTable, primaryKey, varchar } from 'drizzle-orm/mysql-core';
import { PLAN, type ClassPlan } from '../../../core/plan';
import { SERIES_KIND, type Series } from '../../../core/series';
import { documentColumn } from '../document-column';
import { exactText } from '../exact-text';
import { id, changes } from './columns';
import { studioId, classGroup } from './studio';

/** Weeks of classes that follow from one another; their plans are plans, and name their series. */
export const series = mysqlTable(
	'series',
	{
		id: id(),
		studioId: studioId(),
		groupId: exactText('group_id', { length: 24 })
			.notNull()
			.references(() => classGroup.id, { onDelete: 'cascade' }),
		title: varchar('title', { length: 120 }).notNull(),
		startsOn: date('starts_on', { mode: 'string' }).notNull(),
		document: documentColumn<Series>('document', SERIES_KIND).notNull(),
		/** SHA-256 of the secret of the link by which a calendar subscribes; null where there is no link. */
		linkHash: exactText('link_hash', { length: 64 }).unique(),
		...changes
	},
	(t) => [index('series_studio').on(t.studioId, t.startsOn), index('series_group').on(t.groupId)]
);

export const plan = mysqlTable(
	'plan',
	{
		/** Of the studio: a series names its classes itself, so an id may be another studio's too. */
		id: exactText('id', { length: 24 }).notNull(),
		studioId: studioId(),
		groupId: exactText('group_id', { length: 24 })
			.notNull()
			.references(() => classGroup.id, { onDelete: 'cascade' }),
		title: varchar('title', { length: 200 }).notNull(),
		lengthSeconds: int('length_seconds').notNull(),
		/** The studio's calendar day on which it shall be taught; null while it has none. */
		plannedOn: date('planned_on', { mode: 'string' }),
		document: documentColumn<ClassPlan>('document', PLAN).notNull(),
		/** The series that it is a class of; it has the id of that class. */
		seriesId: exactText('series_id', { length: 24 }).references(() => series.id, { onDelete: 'set null' }),
		...changes
	},
	(t) => [
		primaryKey({ columns: [t.studioId, t.id] }),
		index('plan_studio_day').on(t.studioId, t.plannedOn),
		index('plan_group').on(t.groupId)
	]
);

/** The movements of each plan, so that what a group has met is told without reading documents. */
export const planMovement = mysqlTable(
	'plan_movement',
	{
		studioId: studioId(),
		planId: exactText('plan_id', { length: 24 }).notNull(),
		slug: exactText('slug', { length: 60 }).notNull()
	},
	(t) => [
		primaryKey({ columns: [t.studioId, t.planId, t.slug] }),
		foreignKey({
			name: 'plan_movement_plan',
			columns: [t.studioId, t.planId],
			foreignColumns: [plan.studioId, plan.id]
		}).onDelete('cascade')
	]
);

/** Classes kept to begin others with: of no group and no day. */
export const template = mysqlTable(
	'template',
	{
		id: id(),
		studioId: studioId(),
		title: varchar('title', { length: 200 }).notNull(),
		document: documentColumn<ClassPlan>('document', PLAN).notNull(),
		...changes
	},
	(t) => [index('template_studio').on(t.studioId)]
);
