import type { FindMovement, Movement } from '../movement';
import { emptyPlan, PLAN, planFaults, type Block, type ClassPlan } from '../plan';
import { newestVersion, readWith, type Read } from '../validation';
import { readEnvelope, writeEnvelope, type FileFormat } from './envelope';
import { readMovements, writeMovements } from './movements';

/** 2: with the version of the class that the blocks are from. */
const BLOCKS_FILE: FileFormat = { format: 'humble-orbit/blocks', version: 2 };

/** Some blocks on their way from one place or plan to another, as text on the clipboard. */
export interface BlocksFile {
	blocks: Block[];
	/** Movements that they use and that do not ship with the app. */
	movements: Movement[];
}

/** Blocks as text for the clipboard. */
export function writeBlocks({ blocks, movements }: BlocksFile): string {
	return writeEnvelope(BLOCKS_FILE, {
		planVersion: newestVersion(PLAN),
		blocks,
		...writeMovements(movements)
	});
}

/** Reads blocks; whatever else lies on a clipboard gives faults and nothing more. */
export function readBlocks(text: string, find: FindMovement): Read<BlocksFile> {
	const envelope = readEnvelope(text, BLOCKS_FILE, ['planVersion', 'blocks', 'movements']);
	if (!envelope.ok) return envelope;
	const { blocks, planVersion } = envelope.value;
	const own = readMovements(envelope.value.movements ?? [], find);
	if (!own.ok) return own;
	const bySlug = new Map(own.value.map((movement) => [movement.slug, movement]));
	// blocks have no shape of their own: they are read as those of a class that has nothing else
	const [first, ...rest] = emptyPlan('', '00:00', 3600).sections;
	const held = {
		...emptyPlan('', '00:00', 3600),
		version: planVersion,
		sections: [{ ...first, blocks }, ...rest]
	};
	const read = readWith<ClassPlan>(PLAN, held, (value) =>
		planFaults(value, (slug) => find(slug) ?? bySlug.get(slug))
	);
	if (!read.ok)
		return {
			ok: false,
			faults: read.faults.map(({ path, message }) => ({
				path: path.replace(/^sections\[0\]\./, ''),
				message
			}))
		};
	return { ok: true, value: { blocks: read.value.sections[0]!.blocks, movements: own.value } };
}
