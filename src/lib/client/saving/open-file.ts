import type { FileKind, FileResult } from './file-kinds';

/** Reads a file of a kind; returns what is sent to the server to store it. */
export async function readFile(kind: FileKind, text: string): Promise<FileResult> {
	const { READERS } = await import('./file-readers');
	return READERS[kind](text);
}
