import { groupFaults, type Group } from '../group';
import { readEnvelope, unknownKeys, type Read } from './envelope';

export const GROUP_FORMAT = 'humble-orbit/group';
export const GROUP_FORMAT_VERSION = 1;

export function writeGroupFile(group: Group): string {
	const file = {
		$schema: '/schemas/group-1.schema.json',
		format: GROUP_FORMAT,
		version: GROUP_FORMAT_VERSION,
		group
	};
	return `${JSON.stringify(file, null, 2)}\n`;
}

/** Reads a group file. A wrong one gives everything that is wrong and where. */
export function readGroupFile(text: string): Read<Group> {
	const envelope = readEnvelope(text, GROUP_FORMAT, GROUP_FORMAT_VERSION);
	if (!envelope.ok) return envelope;
	const { group } = envelope.value;
	const faults = [
		...unknownKeys(envelope.value, ['$schema', 'format', 'version', 'group']),
		...groupFaults(group).map(({ path, message }) => ({ path: path ? `group.${path}` : 'group', message }))
	];
	return faults.length ? { ok: false, faults } : { ok: true, value: group as Group };
}
