/** A plain text table: columns as wide as their widest cell, a rule under the headings. */
export function table(headings: string[], rows: string[][]): string {
	const widths = headings.map((h, i) => Math.max(h.length, ...rows.map((row) => (row[i] ?? '').length)));
	const line = (cells: string[]) =>
		cells
			.map((cell, i) => cell.padEnd(widths[i] as number))
			.join('  ')
			.trimEnd();
	return [line(headings), widths.map((w) => '-'.repeat(w)).join('  '), ...rows.map(line)].join('\n');
}
