import { number, type ObjectSchema } from 'yup';
import { newestVersion, type DocumentKind } from '../validation';

/** The shape of a document inside a file: with the version that it says it has. */
export const inFile = (kind: DocumentKind) =>
	(kind.schema as ObjectSchema<object>).shape({
		version: number()
			.oneOf([newestVersion(kind)])
			.required()
	});
