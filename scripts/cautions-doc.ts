// docs/cautions.md, made from the table of conditions. `npm run files` writes it; a test fails when it is stale.
import { CATALOGUE } from '../src/lib/catalogue';
import { accountOfConditions, CLINICIAN_DECIDES } from '../src/lib/core/movement';

const INTRO = `# Cautions

Made from the table of conditions (\`src/lib/core/movement/conditions/by-part\`) by \`npm run files\`; \`npx orbit cautions\` prints the
same. The rules look at every form of every movement, by angles, load, modes, position and kit, also of movements that a studio adds.
An entry of the catalogue may add a caution and never loosens one. Nobody is given anything with more intensity or effort than the
room does. Pain means stop; what is unclear belongs to a doctor or physiotherapist, and licensed practice decides.
`;

/** Returns the document as it should stand, by its path. */
export function cautionsDoc(): Record<string, string> {
	const parts = accountOfConditions(CATALOGUE).map(
		({ caution, hint, advice, source, rules, adjustment, movements }) => {
			const never = movements.filter(({ okIn }) => okIn.length === 0).map(({ slug }) => slug);
			const some = movements
				.filter(({ okIn, because }) => okIn.length > 0 && because.length > 0)
				.map(({ slug, okIn }) => `${slug} (${okIn.join(', ')})`);
			const adjusted = movements.filter(({ okIn, because }) => okIn.length > 0 && because.length === 0);
			return `
## ${caution[0]!.toUpperCase()}${caution.slice(1)}${hint ? ` (${hint})` : ''}

${advice}${CLINICIAN_DECIDES.has(caution) ? ' Nothing is proposed: the treating clinician decides.' : ''}

${rules.map((rule) => `- ${rule}`).join('\n')}
${adjustment ? `\nFine with one change, ${adjustment}\n` : ''}
Source: ${source}.

Given in no form (${never.length}): ${never.join(', ') || 'none'}.

Given in some forms (${some.length}): ${some.join(', ') || 'none'}.

Given with a word (${adjusted.length}): ${adjusted.map(({ slug }) => slug).join(', ') || 'none'}.
`;
		}
	);
	return { 'docs/cautions.md': INTRO + parts.join('') };
}
