import { customType } from 'drizzle-orm/mysql-core';

/**
 * A varchar that is compared byte by byte: `abc`, `ABC` and `abc ` are three values. For ids, tokens and slugs, whose
 * equality must not depend on the database's collation.
 */
export const exactText = customType<{ data: string; config: { length: number }; configRequired: true }>({
	dataType: ({ length }) => `varchar(${length}) COLLATE utf8mb4_nopad_bin`
});
