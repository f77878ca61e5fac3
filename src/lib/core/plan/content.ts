import type { ClassPlan } from './types';

/** Keys in order, so that the same content has the same text however it was put together. */
function ordered(value: unknown): unknown {
	if (Array.isArray(value)) return value.map(ordered);
	if (typeof value !== 'object' || value === null) return value;
	return Object.fromEntries(
		Object.entries(value)
			.filter(([, v]) => v !== undefined)
			.sort(([a], [b]) => (a < b ? -1 : 1))
			.map(([key, v]) => [key, ordered(v)])
	);
}

/** A document as text: two have the same text when they say the same, in whatever order their keys stand. */
export const contentText = (document: unknown): string => JSON.stringify(ordered(document));

/**
 * A mark of what is in a class: FNV-1a, 32 bits, over its sections. Two plans with different content have different
 * marks but for one chance in four thousand million; title, time and what it was made with do not count.
 */
export function sectionsHash({ sections }: Pick<ClassPlan, 'sections'>): string {
	const text = contentText(sections.map(({ kind, blocks }) => [kind, blocks]));
	let hash = 0x811c9dc5;
	for (let i = 0; i < text.length; i++) hash = Math.imul(hash ^ text.charCodeAt(i), 0x01000193);
	return (hash >>> 0).toString(16).padStart(8, '0');
}

/**
 * The plan after a change that no hand made, such as bringing it to its length: it remembers which content it had before
 * the first of them.
 */
export function changedByNoHand(before: ClassPlan, after: ClassPlan): ClassPlan {
	const [from, to] = [sectionsHash(before), sectionsHash(after)];
	if (from === to) return after;
	const first = before.carried?.to === from ? before.carried.from : from;
	return { ...after, carried: { from: first, to } };
}

/** Whether a class is as it was when it had a mark, but for changes that no hand made. */
export function isAsMarked(plan: ClassPlan, mark: string | undefined): boolean {
	const now = sectionsHash(plan);
	return now === mark || (plan.carried?.to === now && plan.carried.from === mark);
}
