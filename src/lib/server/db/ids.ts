import { randomBytes } from 'node:crypto';

/** A random id of 16 characters that is safe in a URL (96 bits). */
export function newRowId(): string {
	return randomBytes(12).toString('base64url');
}
