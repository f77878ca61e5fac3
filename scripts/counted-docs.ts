// Documents that count what is there. `npm run files` writes the counts; a test fails when they are stale.
import { readFileSync } from 'node:fs';
import { CATALOGUE } from '../src/lib/catalogue';
import { CHECKS } from '../src/lib/core/checks';
import { SERIES_CHECKS } from '../src/lib/core/series';

const COUNTS: readonly (readonly [path: string, before: RegExp, now: string])[] = [
	['README.md', /\d+ checks/, `${CHECKS.length} checks`],
	['docs/checks.md', /\d+ checks/, `${CHECKS.length} checks`],
	['docs/catalogue.md', /\d+ movements/, `${CATALOGUE.length} movements`],
	['docs/features.md', /\d+ movements/, `${CATALOGUE.length} movements`],
	['docs/features.md', /\d+ checks/, `${CHECKS.length} checks`],
	['docs/features.md', /\d+(?=\s+checks over the weeks)/, String(SERIES_CHECKS.length)],
	['docs/benchmarks.md', /all \d+ checks/, `all ${CHECKS.length} checks`]
];

/** Returns the documents with the counts as they should stand, by path; throws where a document lost its count. */
export function countedDocs(): Record<string, string> {
	const texts: Record<string, string> = {};
	for (const [path, before, now] of COUNTS) {
		const text = (texts[path] ??= readFileSync(path, 'utf8'));
		if (!before.test(text)) throw new Error(`${path} has no count for ${before}`);
		texts[path] = text.replace(before, now);
	}
	return texts;
}
