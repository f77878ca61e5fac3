/**
 * JSON Schemas (2020-12) of the open file formats, converted from the Yup schemas that files are read with. What Yup
 * checks by a function of ours (a value once in a list, limits that rise) JSON Schema cannot say, and leaves out.
 */
import { convertSchema } from '@sodaru/yup-to-json-schema';
import type { Schema } from 'yup';
import { groupFileSchema, planFileSchema, seriesFileSchema } from '../src/lib/core/formats';

export type Json = Record<string, unknown>;

/** Description of a schema by Yup, the parts used here. */
interface Described {
	type: string;
	optional: boolean;
	fields?: Record<string, Described>;
	tests?: { name?: string; params?: Record<string, unknown> }[];
	meta?: { oneOf?: readonly Schema[]; each?: Schema; jsonSchema?: Json };
}
type Convert = (described: Described, converters: Record<string, Convert>) => Json;

const has = ({ tests = [] }: Described, name: string) => tests.some((test) => test.name === name);

/** The converter's own ways for a type, and what it does not know: unknown fields, text that must not be empty, choices. */
const usual = (type: string, described: Described, converters: Record<string, Convert>): Json => {
	const { [type]: _own, ...others } = converters;
	const only = { describe: () => described } as unknown as Schema;
	return convertSchema(only as never, { converters: others as never }) as Json;
};

const CONVERTERS: Record<string, Convert> = {
	object(described, converters) {
		if (described.meta?.each) return { type: 'object', additionalProperties: converted(described.meta.each) };
		const fields = Object.entries(described.fields ?? {});
		return {
			type: 'object',
			properties: Object.fromEntries(
				fields.map(([name, field]) => [name, converters[field.type]!(field, converters)])
			),
			required: fields.filter(([, field]) => !field.optional).map(([name]) => name),
			...(has(described, 'noUnknown') ? { additionalProperties: false } : {})
		};
	},
	array(described, converters) {
		const { default: _none, ...list } = usual('array', described, converters);
		const choices = described.meta?.oneOf;
		return choices ? { ...list, items: { oneOf: choices.map(converted) } } : list;
	},
	string(described, converters) {
		const { default: _none, pattern: _last, ...text } = usual('string', described, converters);
		const patterns = (described.tests ?? []).flatMap(({ name, params }) =>
			name === 'matches' ? [{ pattern: (params!.regex as RegExp).source }] : []
		);
		return {
			...text,
			...(has(described, 'required') ? { minLength: 1 } : {}),
			...(patterns.length === 1 ? patterns[0] : patterns.length ? { allOf: patterns } : {})
		};
	},
	number: (described, converters) => usual('number', described, converters)
};

const converted = (schema: Schema): Json =>
	convertSchema(schema as never, { converters: CONVERTERS as never }) as Json;

const published = (title: string, schema: Schema): Json => ({
	$schema: 'https://json-schema.org/draft/2020-12/schema',
	title,
	...converted(schema)
});

/** By their file names in static/schemas. */
export const JSON_SCHEMAS = {
	'plan-3.schema.json': published('Humble Orbit class plan', planFileSchema),
	'group-1.schema.json': published('Humble Orbit group', groupFileSchema),
	'series-3.schema.json': published('Humble Orbit series', seriesFileSchema)
} satisfies Record<string, Json>;

/** The files that they are kept in. */
export const schemaFiles = (): Record<string, string> =>
	Object.fromEntries(
		Object.entries(JSON_SCHEMAS).map(([name, schema]) => [
			`static/schemas/${name}`,
			`${JSON.stringify(schema, null, 2)}\n`
		])
	);
