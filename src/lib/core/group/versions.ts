import type { DocumentKind } from '../validation';
import { groupSchema } from './schema';
import { studentSchema } from './student';

/** A group as it is kept. */
export const GROUP: DocumentKind = { name: 'group', schema: groupSchema, steps: [] };

/** A person of a group as they are kept. */
export const STUDENT: DocumentKind = { name: 'person', schema: studentSchema, steps: [] };
