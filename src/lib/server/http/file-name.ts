/** A title as the name of a file, without what some systems do not take. */
export function fileName(title: string, otherwise: string): string {
	const name = title
		.normalize('NFKD')
		.replace(/[^\w -]/g, '')
		.trim()
		.slice(0, 60);
	return name || otherwise;
}
