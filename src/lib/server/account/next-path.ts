/** Any host will do: only whether a path leads away from it is asked. */
const HERE = 'http://here.invalid';

/**
 * Where to go after signing in: the path of this app that was asked for, or the week. Never another host, however the
 * path is written: it is read as a browser would read it.
 */
export function nextPath(asked: string | null): string {
	if (!asked?.startsWith('/') || !URL.canParse(asked, HERE)) return '/';
	const url = new URL(asked, HERE);
	const path = url.pathname + url.search + url.hash;
	return url.origin === HERE && !path.startsWith('//') ? path : '/';
}
