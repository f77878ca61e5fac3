import type { DocumentKind } from '../validation';
import type { Purpose } from '../movement';
import { preset } from './presets';
import { groupSchema } from './schema';
import { studentSchema } from './student';
import { PRESETS } from './types';

/** A group as it is kept. 2: what its classes are to serve; until then what kind of group it is said so. */
export const GROUP: DocumentKind = {
	name: 'group',
	schema: groupSchema,
	steps: [(group) => ({ ...group, purposes: purposesBefore2(group.preset) })]
};

function purposesBefore2(id: unknown): readonly Purpose[] {
	const known = PRESETS.find((preset) => preset === id);
	return known ? preset(known).purposes : [];
}

/** A person of a group as they are kept. */
export const STUDENT: DocumentKind = { name: 'person', schema: studentSchema, steps: [] };
