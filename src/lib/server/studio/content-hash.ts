import { createHash } from 'node:crypto';
import type { Movement } from '../../core/movement';
import { contentText } from '../../core/plan';

/** Whether two documents say the same, in whatever order their keys stand. */
export function sameContent(a: unknown, b: unknown): boolean {
	return contentText(a) === contentText(b);
}

/**
 * 16 hexadecimal digits of the SHA-256 of a movement's content: the same content, the same content hash. Where kit is drawn
 * does not count (how it is said does), nor does what only helps to teach or to choose it: a plan means the same without,
 * and what was recorded before there were such fields keeps its content hash.
 */
export function contentHash(movement: Movement): string {
	const { purposes: _for, felt: _felt, breath: _breath, sets: _sets, closingHold: _hold, ...rest } = movement;
	const { withoutKit: _bare, ...content } = rest;
	const forms = content.forms.map((form) => ({
		...form,
		props: form.props.map(({ site: _site, ...prop }) => prop)
	}));
	return createHash('sha256')
		.update(contentText({ ...content, forms }))
		.digest('hex')
		.slice(0, 16);
}
