import { readFile } from 'node:fs/promises';
import { parseArgs, type ParseArgsConfig } from 'node:util';
import { findMovement } from '../lib/catalogue';
import { readGroupFile, readPlanFile, type PlanFile } from '../lib/core/formats';
import {
	paceChangesSchema,
	USUAL_PACE,
	withPaceSaid,
	type PaceChanges,
	type PaceModel
} from '../lib/core/pace';
import { faultLines, schemaFaults } from '../lib/core/validation';
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

/** The figures of a pace in a file, `{ "classKind": "flow", "setUpSeconds": 12 }`: those left out are the usual ones. */
export async function paceAt(file: string): Promise<PaceModel> {
	let value: unknown;
	try {
		value = JSON.parse(await readText(file));
	} catch (error) {
		if (!(error instanceof SyntaxError)) throw error;
		throw new Complaint(`${file} is not JSON: ${error.message}`);
	}
	const faults = schemaFaults(paceChangesSchema, value);
	if (faults.length) throw new Complaint(`${file} is not a pace:\n  ${faultLines(faults).join('\n  ')}`);
	return withPaceSaid(USUAL_PACE, value as PaceChanges);
}

/**
 * Returns the options and the other words of a command.
 * @throws Complaint where an option is unknown or lacks its value
 */
export function parsed<O extends NonNullable<ParseArgsConfig['options']>>(args: string[], options: O) {
	try {
		return parseArgs({ args, strict: true, allowPositionals: true, options });
	} catch (error) {
		const { code, message } = error as { code?: string; message: string };
		const option = /'(-[^' ]*)/.exec(message)?.[1] ?? '';
		if (code === 'ERR_PARSE_ARGS_UNKNOWN_OPTION') throw new Complaint(`there is no option ${option}`);
		throw new Complaint(`${option} needs a value`);
	}
}

/** Returns the options of a command that takes no other words. */
export function optionsIn<O extends NonNullable<ParseArgsConfig['options']>>(args: string[], options: O) {
	const { values, positionals } = parsed(args, options);
	if (positionals.length) throw new Complaint(`what is "${positionals[0]}"?`);
	return values;
}

/** A whole number of the command line; `usual` where nothing is said. */
export function wholeNumberOption(
	name: string,
	text: string | undefined,
	usual: number,
	least = -Infinity,
	most = Infinity
) {
	const value = text === undefined ? usual : Number(text);
	if (Number.isInteger(value) && value >= least && value <= most) return value;
	const limits = least === -Infinity ? '' : ` from ${least} to ${most}`;
	throw new Complaint(`--${name} must be a whole number${limits}`);
}
