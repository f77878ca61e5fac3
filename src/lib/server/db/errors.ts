const CONNECTION_CODES = new Set([
	'ECONNREFUSED',
	'ECONNRESET',
	'EPIPE',
	'ETIMEDOUT',
	'ENOTFOUND',
	'EHOSTUNREACH',
	'PROTOCOL_CONNECTION_LOST',
	'ER_SERVER_SHUTDOWN',
	'ER_CONNECTION_KILLED',
	'ER_QUERY_INTERRUPTED',
	'POOL_CLOSED'
]);

/**
 * Errors after which the database allows a retry: a deadlock, a lock wait that timed out, a row that changed. A
 * deadlock rolls back the whole transaction; a nested one then finds its savepoint gone.
 */
const AGAIN_CODES = new Set([
	'ER_LOCK_DEADLOCK',
	'ER_LOCK_WAIT_TIMEOUT',
	'ER_CHECKREAD',
	'ER_SP_DOES_NOT_EXIST'
]);

/** Whether an error, or what caused it, says that the database cannot be reached, or went away meanwhile. */
export const isConnectionError = (thrown: unknown): boolean =>
	// the driver calls an error fatal after which its connection is of no use
	anyCause(thrown, ({ code, fatal }) => CONNECTION_CODES.has(String(code)) || fatal === true);

/** Whether an error, or what caused it, says that the same may be tried again at once. */
export const mayBeTriedAgain = (thrown: unknown): boolean =>
	anyCause(thrown, ({ code }) => AGAIN_CODES.has(String(code)));

function anyCause(thrown: unknown, is: (error: { code?: unknown; fatal?: unknown }) => boolean): boolean {
	for (let error = thrown; error instanceof Error; error = error.cause as unknown)
		if (is(error as { code?: unknown; fatal?: unknown })) return true;
	return false;
}
