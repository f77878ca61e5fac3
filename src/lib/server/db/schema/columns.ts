import { int, timestamp } from 'drizzle-orm/mysql-core';
import { exactText } from '../exact-text';

export const id = () => exactText('id', { length: 24 }).primaryKey();

export const changes = {
	/** Rises by one with each change; who saves names the version that they started from. */
	version: int('version').notNull().default(1),
	updatedAt: timestamp('updated_at', { fsp: 3 }).notNull().defaultNow().onUpdateNow()
};
