import { and, eq, sql, type SQL } from 'drizzle-orm';
import type { MySqlColumn, MySqlTable, MySqlUpdateSetSource } from 'drizzle-orm/mysql-core';
import type { Db } from './open';

/**
 * Every change of a stored document goes through here and names the version that it began from, so that no window can
 * write over what another one saved. Lint forbids `update` and `delete` on the database in the repositories themselves.
 */
type Versioned = MySqlTable & { version: MySqlColumn };
type VersionedUpdate<T extends MySqlTable> = Omit<MySqlUpdateSetSource<T>, 'version'>;

const from = (table: Versioned, row: SQL, version: number) => and(row, eq(table.version, version))!;

/** Changes the row if it still has this version, which rises by one. False: it has another one, or is not there. */
export function updateFrom<T extends Versioned>(
	db: Db,
	table: T,
	row: SQL,
	version: number,
	changes: VersionedUpdate<T>
): Promise<boolean> {
	const raised = { ...changes, version: sql`${table.version} + 1` };
	return updateUnversioned(db, table, from(table, row, version), raised as MySqlUpdateSetSource<T>);
}

/**
 * Changes what stands beside the document (its day, its series) if the row still has this version, which stays: nobody
 * who has the document open needs to hear of it.
 */
export function moveFrom<T extends Versioned>(
	db: Db,
	table: T,
	row: SQL,
	version: number,
	changes: VersionedUpdate<T>
): Promise<boolean> {
	return updateUnversioned(db, table, from(table, row, version), changes as MySqlUpdateSetSource<T>);
}

/** Removes the row if it still has this version. False: it has another one, or is not there. */
export async function deleteFrom(db: Db, table: Versioned, row: SQL, version: number): Promise<boolean> {
	const [result] = await db.delete(table).where(from(table, row, version));
	return result.affectedRows === 1;
}

/** Raises the version of a row whose content changed elsewhere, so that whoever has it open learns of it. */
export async function raiseVersion(db: Db, table: Versioned, row: SQL): Promise<void> {
	await db
		.update(table)
		.set({ version: sql`${table.version} + 1` } as never)
		.where(row);
}

/**
 * Sets what is no document and has no earlier state worth keeping: a switch, a secret, a mark of our own. Nothing that a
 * teacher wrote may pass here.
 */
export async function updateUnversioned<T extends MySqlTable>(
	db: Db,
	table: T,
	row: SQL,
	changes: MySqlUpdateSetSource<T>
): Promise<boolean> {
	const [result] = await db.update(table).set(changes).where(row);
	return result.affectedRows === 1;
}

/** Takes rows out that are no documents of their own: switches, parts of a row that was changed by version, old marks. */
export async function clearRows(db: Db, table: MySqlTable, rows: SQL): Promise<number> {
	const [result] = await db.delete(table).where(rows);
	return result.affectedRows;
}
