/**
 * A lint rule: a comment is a plain statement. It does not begin with "What ..." (a noun riddle: begin with what is returned,
 * done or meant), and an amount has a number or a unit instead of a vague word.
 */
const RULES = [
	[/^[\s*]*what\b/i, 'begin with a subject and a verb, as in "Returns the seconds until ..."'],
	[/\bso (many|much)\b/i, 'name the amount or its unit instead of "so many" or "so much"']
];

export const plainComments = {
	meta: { type: 'suggestion', schema: [], messages: { riddle: '{{words}}' } },
	create(context) {
		return {
			Program() {
				for (const comment of context.sourceCode.getAllComments())
					for (const [pattern, words] of RULES)
						if (pattern.test(comment.value))
							context.report({ loc: comment.loc, messageId: 'riddle', data: { words } });
			}
		};
	}
};
