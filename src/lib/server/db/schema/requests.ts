import { index, int, mysqlTable, primaryKey, text, timestamp, varchar } from 'drizzle-orm/mysql-core';
import { jsonColumn } from '../document-column';
import { exactText } from '../exact-text';
import { studioId } from './studio';

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
