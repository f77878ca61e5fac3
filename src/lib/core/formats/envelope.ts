import type { Fault } from '../validation';

export type Read<T> = { ok: true; value: T } | { ok: false; faults: Fault[] };

/** More than any plan or group needs; larger input is refused before it is parsed. */
const MAX_CHARACTERS = 4_000_000;

/** Parses JSON that shall be an object of one of our formats; the faults say in which line reading stopped. */
export function readEnvelope(text: string, format: string, version: number): Read<Record<string, unknown>> {
	const no = (path: string, message: string): Read<never> => ({ ok: false, faults: [{ path, message }] });
	if (text.length > MAX_CHARACTERS) return no('', `the file has over ${MAX_CHARACTERS} characters`);
	let value: unknown;
	try {
		value = JSON.parse(text.replace(/^\uFEFF/, ''));
	} catch (error) {
		return no('', `this is not JSON: ${whereInText(text, error as SyntaxError)}`);
	}
	if (typeof value !== 'object' || value === null || Array.isArray(value))
		return no('', 'the file must hold one JSON object');
	const envelope = value as Record<string, unknown>;
	if (envelope.format !== format)
		return no(
			'format',
			`must be "${format}"; this file says ${JSON.stringify(envelope.format)?.slice(0, 60)}`
		);
	if (envelope.version !== version)
		return no(
			'version',
			`this program reads version ${version}; the file has ${JSON.stringify(envelope.version)}`
		);
	return { ok: true, value: envelope };
}

function whereInText(text: string, error: SyntaxError): string {
	const position = /position (\d+)/.exec(error.message)?.[1];
	if (position === undefined) return error.message.slice(0, 120);
	const before = text.slice(0, Number(position));
	const line = before.split('\n').length;
	const column = before.length - before.lastIndexOf('\n');
	return `line ${line}, column ${column}`;
}

/** Faults as lines for a person: `plan.sections[0].id: what is wrong`. */
export function faultLines(faults: readonly Fault[]): string[] {
	return faults.map(({ path, message }) =>
		path && !message.startsWith(path) ? `${path}: ${message}` : message
	);
}

export function unknownKeys(value: Record<string, unknown>, known: readonly string[]): Fault[] {
	return Object.keys(value)
		.filter((key) => !known.includes(key))
		.map((key) => ({ path: key, message: 'is not a field of this format' }));
}
