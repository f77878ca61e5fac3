import { date, index, int, mysqlTable, primaryKey, timestamp, varchar } from 'drizzle-orm/mysql-core';
import { GROUP, groupSchema, STUDENT, type Group, type Student } from '../../../core/group';
import { CHECK_IN, type CheckIn } from '../../../core/hip-tests';
import { type KitKind } from '../../../core/movement';
import { PACE_MODEL, type PaceModel } from '../../../core/pace';
import { type StyleChoices } from '../../../core/style';
import { teacher } from '../auth-schema';
import { documentColumn, jsonColumn } from '../document-column';
import { exactText } from '../exact-text';
import { id, changes } from './columns';

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

export const studioId = () =>
	exactText('studio_id', { length: 24 })
		.notNull()
		.references(() => studio.id, { onDelete: 'cascade' });

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

/** People of a group, seen by the teacher who wrote them down and by no other. */
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
		/** Whom: null for a whole group. What is known of a person goes with them. */
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
