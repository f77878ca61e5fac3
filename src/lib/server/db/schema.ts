import {
	bigint,
	boolean,
	date,
	datetime,
	foreignKey,
	index,
	int,
	mysqlTable,
	primaryKey,
	text,
	timestamp,
	varchar
} from 'drizzle-orm/mysql-core';
import { GROUP, groupSchema, STUDENT, type Group, type Student } from '../../core/group';
import { CHECK_IN, type CheckIn } from '../../core/hip-tests';
import { MOVEMENT, type KitKind, type Movement } from '../../core/movement';
import { PACE_MODEL, TAUGHT_TIME, type PaceModel, type PaceEvidence } from '../../core/pace';
import type { StyleChoices } from '../../core/style';
import { PLAN, type ClassPlan } from '../../core/plan';
import { KEPT_NOTES, type ClassNotes } from '../../core/record';
import type { SessionEvent, Script } from '../../core/teach';
import { SERIES_KIND, type Series } from '../../core/series';
import { teacher } from './auth-schema';
import { documentColumn, jsonColumn } from './document-column';
import { exactText } from './exact-text';

export * from './auth-schema';

const id = () => exactText('id', { length: 24 }).primaryKey();
const studioId = () =>
	exactText('studio_id', { length: 24 })
		.notNull()
		.references(() => studio.id, { onDelete: 'cascade' });
const changes = {
	/** Rises by one with each change; who saves names the version that they started from. */
	version: int('version').notNull().default(1),
	updatedAt: timestamp('updated_at', { fsp: 3 }).notNull().defaultNow().onUpdateNow()
};

/** Owns every group and plan. A teacher gets one at sign-up and may become a member of others. */
export const studio = mysqlTable('studio', {
	id: id(),
	name: varchar('name', { length: 120 }).notNull(),
	/** IANA name, e.g. Europe/Lisbon. */
	timeZone: varchar('time_zone', { length: 64 }).notNull(),
	/** For how many years what was measured of people, and step by step of classes, is kept. */
	keepYears: int('keep_years').notNull().default(2),
	...changes
});

/** Kit of the studio's room, for all groups that do not count their own. */
export const studioKit = mysqlTable(
	'studio_kit',
	{
		studioId: studioId(),
		kind: varchar('kind', { length: 24 }).$type<KitKind>().notNull(),
		count: int('count').notNull()
	},
	(t) => [primaryKey({ columns: [t.studioId, t.kind] })]
);

export const membership = mysqlTable(
	'membership',
	{
		studioId: studioId(),
		teacherId: exactText('teacher_id', { length: 36 })
			.notNull()
			.references(() => teacher.id, { onDelete: 'cascade' })
	},
	(t) => [primaryKey({ columns: [t.studioId, t.teacherId] })]
);

/** A group without its kit, which is counted in a table of its own. */
export type GroupDocument = Omit<Group, 'kit'>;
const GROUP_ROW = { ...GROUP, schema: groupSchema.omit(['kit']).noUnknown() };

export const classGroup = mysqlTable(
	'class_group',
	{
		id: id(),
		studioId: studioId(),
		name: varchar('name', { length: 80 }).notNull(),
		weekday: int('weekday').notNull(),
		startsAt: varchar('starts_at', { length: 5 }).notNull(),
		document: documentColumn<GroupDocument>('document', GROUP_ROW).notNull(),
		/** Since when it is removed; null while it is there. It keeps all that hangs on it until it is taken out for good. */
		removedAt: timestamp('removed_at', { fsp: 3 }),
		...changes
	},
	(t) => [index('class_group_studio').on(t.studioId)]
);

export const groupKit = mysqlTable(
	'group_kit',
	{
		groupId: exactText('group_id', { length: 24 })
			.notNull()
			.references(() => classGroup.id, { onDelete: 'cascade' }),
		kind: varchar('kind', { length: 24 }).$type<KitKind>().notNull(),
		count: int('count').notNull()
	},
	(t) => [primaryKey({ columns: [t.groupId, t.kind] })]
);

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
		/** The version that was written down by itself from what a device led; null once somebody wrote it. */
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

/** Movements that a studio wrote itself. */
export const ownMovement = mysqlTable(
	'own_movement',
	{
		studioId: studioId(),
		slug: exactText('slug', { length: 60 }).notNull(),
		document: documentColumn<Movement>('document', MOVEMENT).notNull(),
		...changes
	},
	(t) => [primaryKey({ columns: [t.studioId, t.slug] })]
);

/** Movements, of the catalogue or its own, that a studio does not want to be offered. */
export const leftOut = mysqlTable(
	'left_out',
	{ studioId: studioId(), slug: exactText('slug', { length: 60 }).notNull() },
	(t) => [primaryKey({ columns: [t.studioId, t.slug] })]
);

/**
 * Every state in which a movement was ever used, by its content hash: what a plan was made with stays readable.
 * `scope` is "catalogue", or the studio whose own movement (or imported one) it is.
 */
export const movementState = mysqlTable(
	'movement_state',
	{
		scope: exactText('scope', { length: 24 }).notNull(),
		contentHash: exactText('content_hash', { length: 16 }).notNull(),
		slug: exactText('slug', { length: 60 }).notNull(),
		document: documentColumn<Movement>('document', MOVEMENT).notNull()
	},
	(t) => [primaryKey({ columns: [t.scope, t.contentHash] })]
);

/** How a teacher teaches: what new plans begin with. */
export const teacherStyle = mysqlTable('teacher_style', {
	teacherId: exactText('teacher_id', { length: 36 })
		.primaryKey()
		.references(() => teacher.id, { onDelete: 'cascade' }),
	choices: jsonColumn<StyleChoices>('choices').notNull(),
	pace: documentColumn<PaceModel>('pace', PACE_MODEL).notNull(),
	...changes
});

/** Checks that a teacher does not want to hear of in any class, and why. */
export const silencedCheck = mysqlTable(
	'silenced_check',
	{
		teacherId: exactText('teacher_id', { length: 36 })
			.notNull()
			.references(() => teacher.id, { onDelete: 'cascade' }),
		checkId: exactText('check_id', { length: 60 }).notNull(),
		reason: varchar('reason', { length: 300 }).notNull()
	},
	(t) => [primaryKey({ columns: [t.teacherId, t.checkId] })]
);

/** People of a group, seen by the teacher who wrote them down and by nobody else. */
export const student = mysqlTable(
	'student',
	{
		id: id(),
		studioId: studioId(),
		groupId: exactText('group_id', { length: 24 })
			.notNull()
			.references(() => classGroup.id, { onDelete: 'cascade' }),
		teacherId: exactText('teacher_id', { length: 36 })
			.notNull()
			.references(() => teacher.id, { onDelete: 'cascade' }),
		document: documentColumn<Student>('document', STUDENT).notNull(),
		/** Since when they are removed; null while they are there. What was measured of them stays until they are taken out. */
		removedAt: timestamp('removed_at', { fsp: 3 }),
		...changes
	},
	(t) => [index('student_group').on(t.groupId, t.teacherId)]
);

/** Measurements: of a whole group as counts, or of one person. */
export const checkIn = mysqlTable(
	'check_in',
	{
		id: id(),
		studioId: studioId(),
		groupId: exactText('group_id', { length: 24 })
			.notNull()
			.references(() => classGroup.id, { onDelete: 'cascade' }),
		/** Who counted or measured. */
		teacherId: exactText('teacher_id', { length: 36 })
			.notNull()
			.references(() => teacher.id, { onDelete: 'cascade' }),
		/** Whom: null for a whole group. What is known of somebody goes with them. */
		studentId: exactText('student_id', { length: 24 }).references(() => student.id, { onDelete: 'cascade' }),
		/** The studio's calendar day. */
		takenOn: date('taken_on', { mode: 'string' }).notNull(),
		/** The day that the device said, where its clock could not be right; null where it was believed. */
		deviceOn: date('device_on', { mode: 'string' }),
		/** From here on it is kept for so long as the studio says. */
		receivedAt: timestamp('received_at', { fsp: 3 }).notNull().defaultNow(),
		document: documentColumn<CheckIn>('document', CHECK_IN).notNull(),
		...changes
	},
	(t) => [
		index('check_in_group').on(t.studioId, t.groupId, t.takenOn),
		index('check_in_student').on(t.studentId)
	]
);

/**
 * Results of requests by a token that the client chose: a request that is sent twice (a double click, a lost answer)
 * is done once. Kept for some days.
 */
export const accepted = mysqlTable(
	'accepted',
	{
		studioId: studioId(),
		token: exactText('token', { length: 40 }).notNull(),
		/** Hash of the request; null for requests from before this column existed. */
		askedHash: exactText('asked_hash', { length: 64 }),
		/** The answer, as JSON. */
		answer: text('answer').notNull(),
		acceptedAt: timestamp('accepted_at', { fsp: 3 }).notNull().defaultNow()
	},
	(t) => [primaryKey({ columns: [t.studioId, t.token] }), index('accepted_at').on(t.acceptedAt)]
);

/** Plans, series and templates that were removed, as they were: for some weeks they can be brought back. */
export const removed = mysqlTable(
	'removed',
	{
		studioId: studioId(),
		kind: varchar('kind', { length: 10 }).$type<RemovedKind>().notNull(),
		id: exactText('id', { length: 24 }).notNull(),
		document: jsonColumn<unknown>('document').notNull(),
		removedAt: timestamp('removed_at', { fsp: 3 }).notNull().defaultNow()
	},
	(t) => [primaryKey({ columns: [t.studioId, t.kind, t.id] }), index('removed_at').on(t.removedAt)]
);
export type RemovedKind = 'plan' | 'series' | 'template';

/** Wrong passwords in a row for one account, whether or not there is such an account. */
export const signInFailure = mysqlTable('sign_in_failure', {
	/** SHA-256 of the e-mail address; of tries from a place that the account was used from, of both. */
	accountHash: exactText('account_hash', { length: 64 }).primaryKey(),
	failures: int('failures').notNull(),
	lastAt: timestamp('last_at', { fsp: 3 }).notNull()
});

/** Devices and addresses from which an account was signed in to with the right password: guessing elsewhere does not lock them out. */
export const signInPlace = mysqlTable(
	'sign_in_place',
	{
		/** SHA-256 of the e-mail address, and of what tells the device or the address. */
		accountHash: exactText('account_hash', { length: 64 }).notNull(),
		placeHash: exactText('place_hash', { length: 64 }).notNull(),
		lastAt: timestamp('last_at', { fsp: 3 }).notNull()
	},
	(t) => [primaryKey({ columns: [t.accountHash, t.placeHash] })]
);
