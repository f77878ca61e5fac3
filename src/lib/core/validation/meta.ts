import type { Schema } from 'yup';

/** What our schemas say about themselves for whoever describes them to others (the JSON Schemas of the file formats). */
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
