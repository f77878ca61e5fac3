import type { Schema } from 'yup';

/** Metadata of our schemas for code that describes them (the JSON Schemas of the file formats). */
declare module 'yup' {
	interface CustomSchemaMetadata {
		/** An array whose entries each have one of these shapes. */
		oneOf?: readonly Schema[];
		/** An object whose fields, whatever they are called, all have this shape. */
		each?: Schema;
		/** More words of a JSON Schema: a description. */
		jsonSchema?: { description: string };
	}
}

/** Says in words what a value means, for the published description of a format. */
export const means = (description: string) => ({ jsonSchema: { description } });
