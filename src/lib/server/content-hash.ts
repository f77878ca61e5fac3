import { createHash } from 'node:crypto';
import type { Movement } from '../core/movement';
import { contentText } from '../core/plan';

/** Whether two documents say the same, in whatever order their keys stand. */
export function sameContent(a: unknown, b: unknown): boolean {
	return contentText(a) === contentText(b);
}

/**
 * 16 hexadecimal digits of the SHA-256 of a movement's content: the same content, the same content hash. Where kit is drawn
 * does not count: how it is said does, and what was recorded before there was such a field keeps its content hash.
 */
export function contentHash(movement: Movement): string {
	const forms = movement.forms.map((form) => ({
		...form,
		props: form.props.map(({ site: _site, ...prop }) => prop)
	}));
	return createHash('sha256')
		.update(contentText({ ...movement, forms }))
		.digest('hex')
		.slice(0, 16);
}
