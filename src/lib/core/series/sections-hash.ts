import { contentText, type ClassPlan } from '../plan';

/**
 * A mark of what is in a class: FNV-1a, 32 bits, over its sections. Two plans with different content have different
 * marks but for one chance in four thousand million; title, time and what it was made with do not count.
 */
export function sectionsHash({ sections }: ClassPlan): string {
	const text = contentText(sections.map(({ kind, blocks }) => [kind, blocks]));
	let hash = 0x811c9dc5;
	for (let i = 0; i < text.length; i++) hash = Math.imul(hash ^ text.charCodeAt(i), 0x01000193);
	return (hash >>> 0).toString(16).padStart(8, '0');
}
