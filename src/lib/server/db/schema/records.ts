import {
	bigint,
	boolean,
	date,
	datetime,
	index,
	int,
	mysqlTable,
	primaryKey,
	timestamp,
	varchar
} from 'drizzle-orm/mysql-core';
import { TAUGHT_TIME, type PaceEvidence } from '../../../core/pace';
import { KEPT_NOTES, type ClassNotes } from '../../../core/record';
import { type SessionEvent, type Script } from '../../../core/teach';
import { teacher } from '../auth-schema';
import { documentColumn, jsonColumn } from '../document-column';
import { exactText } from '../exact-text';
import { id, changes } from './columns';
import { studioId, classGroup } from './studio';

/** Classes that were taught, from a plan or without one. */
export const classRecord = mysqlTable(
	'class_record',
	{
		id: id(),
		studioId: studioId(),
		groupId: exactText('group_id', { length: 24 })
			.notNull()
			.references(() => classGroup.id, { onDelete: 'cascade' }),
		/** Who taught it; null when they have left. */
		teacherId: exactText('teacher_id', { length: 36 }).references(() => teacher.id, { onDelete: 'set null' }),
		/** The plan that it was taught from. What was taught stays written down when the plan goes. */
		planId: exactText('plan_id', { length: 24 }),
		title: varchar('title', { length: 200 }).notNull(),
		/** The studio's calendar day, and when it was to begin on the studio's clock, "HH:MM". */
		taughtOn: date('taught_on', { mode: 'string' }).notNull(),
		startsAt: varchar('starts_at', { length: 5 }).notNull(),
		/** The moments at which it really began and ended, where they are known. */
		startedAt: datetime('started_at', { fsp: 3 }),
		endedAt: datetime('ended_at', { fsp: 3 }),
		document: documentColumn<ClassNotes>('document', KEPT_NOTES).notNull(),
		/** The version that was written down by itself from what a device led; null once a teacher wrote it. */
		ledVersion: int('led_version'),
		/** The class that it was written down from then. */
		ledBy: exactText('led_by', { length: 24 }),
		...changes
	},
	(t) => [
		index('class_record_group').on(t.studioId, t.groupId, t.taughtOn),
		index('class_record_plan').on(t.studioId, t.planId)
	]
);

/** A class that was led with a device: its script as it was when it began. What happened in it are its events. */
export const teachingSession = mysqlTable(
	'teaching_session',
	{
		/** Chosen by the device, which may have had no network then. */
		id: id(),
		studioId: studioId(),
		groupId: exactText('group_id', { length: 24 })
			.notNull()
			.references(() => classGroup.id, { onDelete: 'cascade' }),
		teacherId: exactText('teacher_id', { length: 36 }).references(() => teacher.id, { onDelete: 'set null' }),
		planId: exactText('plan_id', { length: 24 }).notNull(),
		startedAt: datetime('started_at', { fsp: 3 }).notNull(),
		/** When the device said that it began, where its clock could not be right; null where it was believed. */
		deviceStartedAt: datetime('device_started_at', { fsp: 3 }),
		script: jsonColumn<Script>('script').notNull(),
		receivedAt: timestamp('received_at', { fsp: 3 }).notNull().defaultNow(),
		/** When the device was last heard, and how far its clock was ahead of ours then. */
		heardAt: timestamp('heard_at', { fsp: 3 }).notNull().defaultNow(),
		aheadMs: bigint('ahead_ms', { mode: 'number' }).notNull().default(0),
		/** The last state that the device sent. */
		isOver: boolean('is_over').notNull().default(false)
	},
	(t) => [
		index('teaching_session_plan').on(t.studioId, t.planId),
		index('teaching_session_heard').on(t.studioId, t.heardAt)
	]
);

/** Events of a class, one row each, append-only; `place` is the index in the log of the device. */
export const teachingEvent = mysqlTable(
	'teaching_event',
	{
		sessionId: exactText('session_id', { length: 24 })
			.notNull()
			.references(() => teachingSession.id, { onDelete: 'cascade' }),
		eventId: exactText('event_id', { length: 40 }).notNull(),
		place: int('place').notNull(),
		event: jsonColumn<SessionEvent>('event').notNull(),
		receivedAt: timestamp('received_at', { fsp: 3 }).notNull().defaultNow()
	},
	(t) => [primaryKey({ columns: [t.sessionId, t.eventId] })]
);

/** The movements that each class really gave, so that "when did they last do this" is told without reading documents. */
export const recordMovement = mysqlTable(
	'record_movement',
	{
		recordId: exactText('record_id', { length: 24 })
			.notNull()
			.references(() => classRecord.id, { onDelete: 'cascade' }),
		slug: exactText('slug', { length: 60 }).notNull()
	},
	(t) => [primaryKey({ columns: [t.recordId, t.slug] })]
);

/** Evidence of each taught class on the pace of its teacher; derived from the class and deleted with it. */
export const taughtTime = mysqlTable(
	'taught_time',
	{
		recordId: exactText('record_id', { length: 24 })
			.primaryKey()
			.references(() => classRecord.id, { onDelete: 'cascade' }),
		teacherId: exactText('teacher_id', { length: 36 })
			.notNull()
			.references(() => teacher.id, { onDelete: 'cascade' }),
		taughtOn: date('taught_on', { mode: 'string' }).notNull(),
		document: documentColumn<PaceEvidence>('document', TAUGHT_TIME).notNull(),
		learnedAt: timestamp('learned_at', { fsp: 3 }).notNull().defaultNow()
	},
	(t) => [index('taught_time_teacher').on(t.teacherId, t.taughtOn)]
);
