import type { FindMovement, Movement } from '../movement';
import { emptyPlan, planFaults, type Block } from '../plan';
import { readEnvelope, unknownKeys, type Read } from './envelope';
import { readMovements } from './plan-file';

export const BLOCKS_FORMAT = 'humble-orbit/blocks';
export const BLOCKS_FORMAT_VERSION = 1;

/** Some blocks on their way from one place or plan to another, as text on the clipboard. */
export interface BlocksFile {
	blocks: Block[];
	/** Movements that they use and that do not ship with the app. */
	movements: Movement[];
}

export function writeBlocks({ blocks, movements }: BlocksFile): string {
	const file = { format: BLOCKS_FORMAT, version: BLOCKS_FORMAT_VERSION, blocks };
	return JSON.stringify({ ...file, ...(movements.length ? { movements } : {}) });
}

/** Reads blocks; whatever else lies on a clipboard gives faults and nothing more. */
export function readBlocks(text: string, find: FindMovement): Read<BlocksFile> {
	const envelope = readEnvelope(text, BLOCKS_FORMAT, BLOCKS_FORMAT_VERSION);
	if (!envelope.ok) return envelope;
	const { blocks, movements = [] } = envelope.value;
	const own = readMovements(movements, find);
	if (!own.ok) return own;
	const bySlug = new Map(own.value.map((movement) => [movement.slug, movement]));
	const holder = emptyPlan('', '00:00', 3600);
	const [first, ...rest] = holder.sections;
	const held = { ...holder, sections: [{ ...first, blocks }, ...rest] };
	const faults = [
		...unknownKeys(envelope.value, ['format', 'version', 'blocks', 'movements']),
		...planFaults(held, (slug) => find(slug) ?? bySlug.get(slug)).map(({ path, message }) => ({
			path: path.replace(/^sections\[0\]\./, ''),
			message
		}))
	];
	return faults.length
		? { ok: false, faults }
		: { ok: true, value: { blocks: blocks as Block[], movements: own.value } };
}
