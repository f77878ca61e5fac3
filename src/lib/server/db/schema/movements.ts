import { changes } from './columns';
import { mysqlTable, primaryKey } from 'drizzle-orm/mysql-core';
import { MOVEMENT, type Movement } from '../../../core/movement';
import { documentColumn } from '../document-column';
import { exactText } from '../exact-text';
import { studioId } from './studio';

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
