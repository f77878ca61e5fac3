import { number, object, string, type ObjectShape } from 'yup';
import { isObject, type Fault, type Json, type Read } from '../validation';

/** One of our file formats: what it calls itself, and its newest version. */
export interface FileFormat {
	format: string;
	version: number;
	/** Of the JSON Schema that describes it, within the app. */
	schemaPath?: string;
}

/** The shape of a file of a format in its newest version. */
export function fileSchema({ format, version }: FileFormat, parts: ObjectShape) {
	return object({
		$schema: string(),
		format: string().oneOf([format]).required(),
		version: number().oneOf([version]).required(),
		...parts
	}).noUnknown();
}

/** A file of a format as text: JSON, described by the schema that ships with the app. */
export function writeEnvelope({ format, version, schemaPath }: FileFormat, parts: Json, indent = 2): string {
	const file = { ...(schemaPath ? { $schema: schemaPath } : {}), format, version, ...parts };
	return `${JSON.stringify(file, null, indent)}\n`;
}

/** More than any plan or group needs; larger input is refused before it is parsed. */
const MAX_CHARACTERS = 4_000_000;

/**
 * Parses JSON that shall be an object of one of our formats, in any version up to the newest; `parts`: the fields that it
 * may have beside those of every file. The faults say in which line reading stopped.
 */
export function readEnvelope(
	text: string,
	{ format, version: newest }: FileFormat,
	parts: readonly string[]
): Read<Json> {
	const no = (path: string, message: string): Read<never> => ({ ok: false, faults: [{ path, message }] });
	if (text.length > MAX_CHARACTERS) return no('', `the file has over ${MAX_CHARACTERS} characters`);
	let envelope: unknown;
	try {
		envelope = JSON.parse(text.replace(/^\uFEFF/, ''));
	} catch (error) {
		return no('', `this is not JSON: ${whereInText(text, error as SyntaxError)}`);
	}
	if (!isObject(envelope)) return no('', 'the file must hold one JSON object');
	if (envelope.format !== format)
		return no(
			'format',
			`must be "${format}"; this file says ${JSON.stringify(envelope.format)?.slice(0, 60)}`
		);
	const { version } = envelope;
	if (typeof version !== 'number' || !Number.isInteger(version) || version < 1 || version > newest)
		return no(
			'version',
			`this program reads versions up to ${newest}; the file has ${JSON.stringify(version)?.slice(0, 60)}`
		);
	const unknown = Object.keys(envelope).filter(
		(key) => !['$schema', 'format', 'version', ...parts].includes(key)
	);
	return unknown.length
		? { ok: false, faults: unknown.map((path) => ({ path, message: 'is not a field of this format' })) }
		: { ok: true, value: envelope };
}

function whereInText(text: string, error: SyntaxError): string {
	const position = /position (\d+)/.exec(error.message)?.[1];
	if (position === undefined) return error.message.slice(0, 120);
	const before = text.slice(0, Number(position));
	const line = before.split('\n').length;
	const column = before.length - before.lastIndexOf('\n');
	return `line ${line}, column ${column}`;
}

/** A part of a file, with its faults named by where it stands in the file. */
export function part<T>(root: string, read: Read<T>): Read<T> {
	if (read.ok) return read;
	return {
		ok: false,
		faults: read.faults.map(({ path, message }) => ({ path: path ? `${root}.${path}` : root, message }))
	};
}

/** Every fault of some parts; none where all could be read. */
export const faultsOf = (...parts: Read<unknown>[]): Fault[] =>
	parts.flatMap((read) => (read.ok ? [] : read.faults));
