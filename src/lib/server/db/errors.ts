const CONNECTION_CODES = new Set([
	'ECONNREFUSED',
	'ECONNRESET',
	'EPIPE',
	'ETIMEDOUT',
	'ENOTFOUND',
	'EHOSTUNREACH',
	'PROTOCOL_CONNECTION_LOST',
	'ER_SERVER_SHUTDOWN'
]);

/** Whether an error, or what caused it, says that the database cannot be reached. */
export function isConnectionError(thrown: unknown): boolean {
	for (let error = thrown; error instanceof Error; error = error.cause as unknown) {
		const code = (error as { code?: unknown }).code;
		if (typeof code === 'string' && CONNECTION_CODES.has(code)) return true;
	}
	return false;
}
