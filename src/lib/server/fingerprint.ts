import { createHash } from 'node:crypto';
import type { Movement } from '../core/movement';
import { contentText } from '../core/plan';

/** Whether two documents say the same, in whatever order their keys stand. */
export function sameContent(a: unknown, b: unknown): boolean {
	return contentText(a) === contentText(b);
}

/** 16 hexadecimal digits of the SHA-256 of a movement's content: the same content, the same fingerprint. */
export function fingerprint(movement: Movement): string {
	return createHash('sha256').update(contentText(movement)).digest('hex').slice(0, 16);
}
