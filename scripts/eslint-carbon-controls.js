/**
 * A lint rule: controls are Carbon's. What Carbon has nothing for stands in src/lib/ui/primitives, with a line that says
 * why; a test counts them.
 */
export const NATIVE = new Set(['button', 'details', 'dialog', 'input', 'select', 'table', 'textarea']);
export const PRIMITIVES = /src[\\/]lib[\\/]ui[\\/]primitives[\\/]/;

export const carbonControls = {
	meta: {
		type: 'problem',
		schema: [],
		messages: {
			native:
				'<{{name}}> is built from Carbon (src/lib/ui/fields has the usual ones); what it has nothing for goes to src/lib/ui/primitives'
		}
	},
	/** @param {any} context */
	create(context) {
		if (PRIMITIVES.test(context.filename)) return {};
		return {
			/** @param {any} node */
			SvelteElement(node) {
				const { name } = node.name;
				if (node.kind === 'html' && NATIVE.has(name))
					context.report({ node: node.startTag, messageId: 'native', data: { name } });
			}
		};
	}
};
