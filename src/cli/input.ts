import { readFile } from 'node:fs/promises';
import { findMovement } from '../lib/catalogue';
import { faultLines, readGroupFile, readPlanFile, type PlanFile } from '../lib/core/formats';
import type { Group } from '../lib/core/group';

/** A message for the person at the terminal; anything else that is thrown is a bug. */
export class Complaint extends Error {}

/** The text of a file, or of standard input for "-". */
export async function readText(file: string): Promise<string> {
	if (file === '-') {
		const chunks: Buffer[] = [];
		for await (const chunk of process.stdin) chunks.push(chunk as Buffer);
		return Buffer.concat(chunks).toString('utf8');
	}
	try {
		return await readFile(file, 'utf8');
	} catch (error) {
		const { code } = error as NodeJS.ErrnoException;
		throw new Complaint(code === 'ENOENT' ? `there is no file ${file}` : `cannot read ${file} (${code})`);
	}
}

/** The plan in a file; a wrong one is complained of with everything that is wrong and where. */
export async function planAt(file: string): Promise<PlanFile> {
	const read = readPlanFile(await readText(file), findMovement);
	if (!read.ok) throw new Complaint(`${file} is not a plan:\n  ${faultLines(read.faults).join('\n  ')}`);
	return read.value;
}

export async function groupAt(file: string): Promise<Group> {
	const read = readGroupFile(await readText(file));
	if (!read.ok) throw new Complaint(`${file} is not a group:\n  ${faultLines(read.faults).join('\n  ')}`);
	return read.value;
}
