// Writes the files that are made from the core: JSON Schemas and the examples. A test fails when they are stale. The
// series take a minute, for all of their classes are proposed.
import { mkdirSync, writeFileSync } from 'node:fs';
import { dirname } from 'node:path';
import { generatedFiles } from '../src/lib/demo/files';
import { cautionsDoc } from './cautions-doc';
import { countedDocs } from './counted-docs';
import { schemaFiles } from './json-schemas';
import { seriesFiles } from '../src/lib/demo/make-series';

for (const files of [schemaFiles, cautionsDoc, countedDocs, generatedFiles, seriesFiles])
	for (const [path, text] of Object.entries(files())) {
		mkdirSync(dirname(path), { recursive: true });
		writeFileSync(path, text);
		console.log(path);
	}
