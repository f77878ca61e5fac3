import { isSymmetrical, writeHips, type ActionProfile } from '../anatomy';
import type { Movement } from './types';

/** One field in which two states of a movement differ, in words. */
export interface Difference {
	field: string;
	before: string;
	after: string;
}

const inWords = (value: unknown): string => {
	if (value === undefined) return '';
	if (typeof value === 'string') return value;
	if (Array.isArray(value) && value.every((v) => typeof v === 'string')) return value.join(', ');
	return JSON.stringify(value);
};

function actionInWords(action: ActionProfile): string {
	if (isSymmetrical(action)) return writeHips(action.both);
	return `lead ${writeHips(action.lead)}; trail ${writeHips(action.trail)}`;
}

/**
 * Returns the differences between two states of a movement, field by field, forms by their names. Empty where they
 * are equal.
 */
export function movementDifference(before: Movement, after: Movement): Difference[] {
	const differences: Difference[] = [];
	const compare = (field: string, a: unknown, b: unknown, say: (value: never) => string = inWords) => {
		if (JSON.stringify(a) !== JSON.stringify(b))
			differences.push({ field, before: say(a as never), after: say(b as never) });
	};
	const fields = Object.keys({ ...before, ...after }) as (keyof Movement)[];
	for (const field of fields) {
		if (field === 'forms') continue;
		compare(field, before[field], after[field], field === 'action' ? actionInWords : inWords);
	}
	const ids = new Set([...before.forms, ...after.forms].map((form) => form.id));
	for (const id of ids) {
		const a = before.forms.find((form) => form.id === id);
		const b = after.forms.find((form) => form.id === id);
		if (!a || !b) differences.push({ field: `form ${id}`, before: a ? a.how : '', after: b ? b.how : '' });
		else
			for (const key of Object.keys({ ...a, ...b }) as (keyof typeof a)[])
				compare(`${id} ${key}`, a[key], b[key]);
	}
	return differences;
}

/** A movement that changed since a plan was made with it. */
export interface OutdatedMovement {
	slug: string;
	english: string;
	/** Content hash today; null where the catalogue no longer has the movement. */
	now: string | null;
	/** The state that the plan was made with. */
	kept: Movement;
	differences: Difference[];
}
