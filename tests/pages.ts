/** All pages of the app, by their routes: tests and the bench take their lists from here, and a new page is in them by itself. */
import { routesOfTree } from './attack/routes';

/** Pages for whoever is not signed in, and one that needs a movement of the studio's own. */
const LEFT_OUT = new Set(['/sign-in', '/sign-up', '/catalogue/own/[slug]']);
/** A page that has a link to each kind of thing, and how the link begins. */
const LINKS: Record<string, { page: string; begins: string }> = {
	'/plan/[id]': { page: '/', begins: '/plan/' },
	'/group/[id]': { page: '/group', begins: '/group/' },
	'/series/[id]': { page: '/series', begins: '/series/' },
	'/teach': { page: '/', begins: '/teach\\?plan=' }
};

/**
 * Returns the address of each page in the demo studio, by its route.
 * @param textOf returns a page as the server sends it
 */
export async function pagesOfDemo(
	textOf: (path: string) => Promise<string>
): Promise<Record<string, string>> {
	const things: Record<string, string> = { '/catalogue/[slug]': '/catalogue/low-lunge' };
	for (const [route, { page, begins }] of Object.entries(LINKS)) {
		const link = new RegExp(`href="(${begins}[\\w-]+)"`).exec(await textOf(page))?.[1];
		if (!link) throw new Error(`${page} has no link to ${route}`);
		things[route] = link;
	}
	const addresses = routesOfTree()
		.filter(({ id, isPage }) => isPage && !LEFT_OUT.has(id))
		.map(({ id }): [string, string] => {
			if (id === '/teach/script') return [id, things['/teach']!.replace('/teach', id)];
			const thing = Object.keys(things).find(
				(route) => id === route || (route.endsWith(']') && id.startsWith(`${route}/`))
			);
			return [id, thing === undefined ? id : things[thing]! + id.slice(thing.length)];
		});
	return Object.fromEntries(addresses);
}
