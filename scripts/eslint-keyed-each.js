/**
 * A lint rule: the key of an each block is unique by construction. Two entries with one key end a page for good
 * (each_key_duplicate), and words, names or sums of words come twice sooner or later. A key is the index; or a field
 * that is unique where the list is made (an id, a slug, the number of a week); or, in a list that is a constant of the
 * program, the entry itself.
 */
const UNIQUE_FIELDS = new Set(['id', 'itemId', 'blockId', 'slug', 'iso', 'key', 'number', 'href']);

export const keyedEach = {
	meta: {
		type: 'problem',
		schema: [],
		messages: {
			missing: 'an each block needs a key: the index, or a field that is unique',
			unsure:
				'this key may come twice: use the index, or one of the fields {{fields}}, or the entry of a constant list'
		}
	},
	create(context) {
		return {
			SvelteEachBlock(node) {
				if (!node.key) return context.report({ node, messageId: 'missing' });
				if (isUnique(node)) return;
				context.report({
					node: node.key,
					messageId: 'unsure',
					data: { fields: [...UNIQUE_FIELDS].join(', ') }
				});
			}
		};
	}
};

function isUnique({ key, index, expression, context: entry }) {
	if (index && key.type === 'Identifier' && key.name === index.name) return true;
	if (key.type === 'MemberExpression') return !key.computed && UNIQUE_FIELDS.has(key.property.name);
	if (key.type !== 'Identifier') return false;
	// taken out of the entry under its own name: `{#each groups as { id, group } (id)}`
	if (entry?.type === 'ObjectPattern' && UNIQUE_FIELDS.has(key.name)) return true;
	return isConstant(expression);
}

/** A list that the program itself writes down: CONSTANT, CONSTANT.filter(...), [...CONSTANT, 'strength'], ['a', 'b']. */
function isConstant(list) {
	if (list.type === 'TSAsExpression') return isConstant(list.expression);
	if (list.type === 'Identifier') return /^[A-Z][A-Z_]+$/.test(list.name);
	if (list.type === 'CallExpression')
		return list.callee.type === 'MemberExpression' && list.callee.property.name === 'filter'
			? isConstant(list.callee.object)
			: false;
	if (list.type === 'ArrayExpression')
		return list.elements.every(
			(e) =>
				e.type === 'Literal' ||
				(e.type === 'TSAsExpression' && e.expression.type === 'Literal') ||
				(e.type === 'SpreadElement' && isConstant(e.argument))
		);
	return false;
}
