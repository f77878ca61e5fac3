/** After this long the first view is there, and what may be needed next can be fetched. */
const AT_REST_MS = 1500;

/** Fetches parts of a page once it is at rest, so that they open at once later, also without a connection. Returns what cancels it. */
export function prefetchAfterLoad(parts: Readonly<Record<string, () => Promise<unknown>>>): () => void {
	const timer = setTimeout(async () => {
		for (const load of Object.values(parts)) await load().catch(() => null);
	}, AT_REST_MS);
	return () => clearTimeout(timer);
}
