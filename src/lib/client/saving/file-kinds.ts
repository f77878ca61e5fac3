/** Result of opening a file: its contents, or the reasons why it cannot be used, line by line. */
export type FileResult =
	{ ok: true; value: Record<string, unknown> } | { ok: false; lines: readonly string[] };

/** A kind of file that can be imported. */
export interface OpenableFile {
	name: string;
	label: string;
	/** Field under which the contents are returned. */
	becomes: string;
	api: string;
	page: string;
}

export const OPENABLE_FILES = {
	plan: {
		name: 'plan',
		label: 'Plan file (JSON)',
		becomes: 'It becomes a new plan of the group that you choose.',
		api: '/api/plans',
		page: '/plan'
	},
	series: {
		name: 'series',
		label: 'Series file (JSON)',
		becomes: 'It becomes a new series of the group that you choose, with all of its classes.',
		api: '/api/series',
		page: '/series'
	}
} as const satisfies Record<string, OpenableFile>;
export type FileKind = keyof typeof OPENABLE_FILES;
