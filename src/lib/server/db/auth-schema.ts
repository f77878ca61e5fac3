import { exactText } from './exact-text';
import { bigint, boolean, index, int, mysqlTable, text, timestamp, varchar } from 'drizzle-orm/mysql-core';

/** The tables of the account library, under its field names; a "user" of the library is a teacher here. */

const id = () => exactText('id', { length: 36 }).primaryKey();
const moment = (name: string) => timestamp(name, { fsp: 3 });
const teacherId = () =>
	exactText('teacher_id', { length: 36 })
		.notNull()
		.references(() => teacher.id, { onDelete: 'cascade' });

export const teacher = mysqlTable('teacher', {
	id: id(),
	name: varchar('name', { length: 120 }).notNull(),
	email: varchar('email', { length: 254 }).notNull().unique(),
	emailVerified: boolean('email_verified').notNull().default(false),
	image: text('image'),
	createdAt: moment('created_at').notNull().defaultNow(),
	updatedAt: moment('updated_at').notNull().defaultNow()
});

export const session = mysqlTable(
	'session',
	{
		id: id(),
		token: exactText('token', { length: 255 }).notNull().unique(),
		userId: teacherId(),
		expiresAt: moment('expires_at').notNull(),
		ipAddress: varchar('ip_address', { length: 64 }),
		userAgent: text('user_agent'),
		createdAt: moment('created_at').notNull().defaultNow(),
		updatedAt: moment('updated_at').notNull().defaultNow()
	},
	(t) => [index('session_teacher').on(t.userId)]
);

export const account = mysqlTable(
	'account',
	{
		id: id(),
		accountId: exactText('account_id', { length: 255 }).notNull(),
		providerId: varchar('provider_id', { length: 64 }).notNull(),
		userId: teacherId(),
		accessToken: text('access_token'),
		refreshToken: text('refresh_token'),
		idToken: text('id_token'),
		accessTokenExpiresAt: moment('access_token_expires_at'),
		refreshTokenExpiresAt: moment('refresh_token_expires_at'),
		scope: text('scope'),
		password: text('password'),
		createdAt: moment('created_at').notNull().defaultNow(),
		updatedAt: moment('updated_at').notNull().defaultNow()
	},
	(t) => [index('account_teacher').on(t.userId)]
);

export const verification = mysqlTable('verification', {
	id: id(),
	identifier: varchar('identifier', { length: 255 }).notNull(),
	value: text('value').notNull(),
	expiresAt: moment('expires_at').notNull(),
	createdAt: moment('created_at').notNull().defaultNow(),
	updatedAt: moment('updated_at').notNull().defaultNow()
});

export const rateLimit = mysqlTable('rate_limit', {
	id: id(),
	key: exactText('key', { length: 255 }).notNull().unique(),
	count: int('count').notNull(),
	lastRequest: bigint('last_request', { mode: 'number' }).notNull()
});
