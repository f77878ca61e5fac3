/**
 * Returns the parts of an error that a log may hold: kinds, codes and the place where it was thrown. Never its
 * message, which may hold an address, a name or the values of a query. Query texts appear with their placeholders
 * only.
 */
export function withoutValues(thrown: unknown): string {
	const lines: string[] = [];
	for (let error = thrown, depth = 0; error instanceof Error && depth < 5; error = error.cause, depth++) {
		const { code, errno, query, status } = error as {
			code?: unknown;
			errno?: unknown;
			query?: unknown;
			status?: unknown;
		};
		const facts = [
			error.name === 'Error' ? error.constructor.name : error.name,
			typeof code === 'string' || typeof code === 'number' ? `code ${code}` : '',
			typeof errno === 'number' ? `errno ${errno}` : '',
			typeof status === 'number' || typeof status === 'string' ? `status ${status}` : '',
			typeof query === 'string' ? `query: ${query}` : ''
		].filter(Boolean);
		lines.push(`${depth ? 'caused by ' : ''}${facts.join(', ')}`);
		const stack = (error.stack ?? '').split('\n').filter((line) => /^\s+at /.test(line));
		lines.push(...stack.slice(0, 6));
	}
	return lines.length ? lines.join('\n') : `a thrown ${typeof thrown}`;
}

/** One error in the log, under the reference that the teacher is shown. */
export function logError(reference: string, where: string, thrown: unknown): void {
	console.error(`[${reference}] ${where}\n${withoutValues(thrown)}`);
}
