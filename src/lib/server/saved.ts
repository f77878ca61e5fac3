/** What became of a save: done, begun from an older version than is stored, or nothing there to save to. */
export type Saved<T> =
	{ kind: 'saved'; version: number } | { kind: 'stale'; current: T } | { kind: 'missing' };

/** What became of a removal: done, begun from an older version than is stored, or nothing there. */
export type Removal = 'removed' | 'stale' | 'missing';
