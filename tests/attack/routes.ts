/** Every address of the app, as the tree of src/routes has it. */
import { readdirSync, readFileSync } from 'node:fs';

export interface Route {
	/** As in `/plan/[id]`. */
	id: string;
	/** GET of a page, or the methods that an endpoint exports. */
	methods: string[];
	/** Whether it is a page, not an endpoint. */
	isPage: boolean;
	/** Names of form actions; "default" for the one without a name. */
	actions: string[];
}

const ROOT = 'src/routes';

export function routesOfTree(): Route[] {
	const routes = new Map<string, Route>();
	for (const file of readdir()) {
		const id =
			'/' +
			file
				.slice(ROOT.length + 1)
				.split('/')
				.slice(0, -1)
				.join('/');
		const route = routes.get(id) ?? { id, methods: [], actions: [], isPage: false };
		routes.set(id, route);
		const text = readFileSync(file, 'utf8');
		if (file.endsWith('+page.svelte')) {
			route.methods.push('GET');
			route.isPage = true;
		}
		for (const [, method] of text.matchAll(/^export const (GET|POST|PUT|PATCH|DELETE)\b/gm))
			route.methods.push(method!);
		const actions = /^export const actions[^{]*\{([\s\S]*?)^\};/m.exec(text)?.[1] ?? '';
		for (const [, name] of actions.matchAll(/^\t(\w+): async/gm)) route.actions.push(name!);
	}
	return [...routes.values()].filter(({ methods, actions }) => methods.length + actions.length > 0);
}

function readdir(): string[] {
	return (readdirSync(ROOT, { recursive: true }) as string[])
		.filter((file) => /(^|\/)(\+page\.svelte|\+page\.server\.ts|\+server\.ts)$/.test(file))
		.map((file) => `${ROOT}/${file}`);
}
