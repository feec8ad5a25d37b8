// @ts-check
// Writes the schema of archives again, after the types of rows changed.
import { writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { archiveSchema } from './lib/archive-schema.mjs';
import { root } from './lib/paths.mjs';

writeFileSync(join(root, 'server/src/archive/schema.json'), archiveSchema(root));
