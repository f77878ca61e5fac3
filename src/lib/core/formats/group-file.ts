import { GROUP, groupFaults, unmeasured, type Group } from '../group';
import { readWith, withVersion, type Read } from '../validation';
import { fileSchema, part, readEnvelope, writeEnvelope, type FileFormat } from './envelope';
import { inFile } from './versions';

export const GROUP_FILE: FileFormat = {
	format: 'humble-orbit/group',
	version: 1,
	schemaPath: '/schemas/group-1.schema.json'
};

export const groupFileSchema = fileSchema(GROUP_FILE, { group: inFile(GROUP).required() });

/** A group in the open format. */
export function writeGroupFile(group: Group): string {
	return writeEnvelope(GROUP_FILE, { group: withVersion(GROUP, unmeasured(group)) });
}

/** Reads a group file. A wrong one gives everything that is wrong and where. */
export function readGroupFile(text: string): Read<Group> {
	const envelope = readEnvelope(text, GROUP_FILE, ['group']);
	if (!envelope.ok) return envelope;
	return part('group', readWith<Group>(GROUP, envelope.value.group, groupFaults));
}
