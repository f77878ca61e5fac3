/** Result of a save: saved, based on an older version than is stored, or nothing there. */
export type SaveResult<T> =
	{ kind: 'saved'; version: number } | { kind: 'stale'; current: T } | { kind: 'missing' };

/** Result of a removal: removed, based on an older version than is stored, or nothing there. */
export type Removal = 'removed' | 'stale' | 'missing';
