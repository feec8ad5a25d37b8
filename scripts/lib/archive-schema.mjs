// @ts-check
import { createGenerator } from 'ts-json-schema-generator';

/** What every row has, of which the generator loses the types on the way from class to class. */
const common = {
  id: { type: 'string' },
  version: { type: 'integer', minimum: 1 },
  createdAt: { type: 'string' },
  updatedAt: { type: 'string' },
};

/**
 * The JSON schema of an archive's records, made from the types of the rows. What a row has beyond it is let through:
 * a workshop that is years old may hold fields that nothing reads any more, and sentences that nothing says any more.
 * @param {string} root folder of the project @returns {string} JSON
 */
export function archiveSchema(root) {
  const generator = createGenerator({
    path: `${root}/server/src/archive/rows.ts`,
    tsconfig: `${root}/scripts/lib/archive-schema.tsconfig.json`,
    type: 'ArchiveRows',
    expose: 'export',
    topRef: false,
    skipTypeCheck: true,
    additionalProperties: true,
  });
  const schema = generator.createSchema('ArchiveRows');
  Object.assign(schema.definitions?.MessageKey ?? {}, { enum: undefined });
  for (const table of Object.values(schema.properties ?? {})) {
    if (typeof table === 'boolean') continue;
    delete table.description;
    for (const name of Object.keys(table.properties ?? {}))
      if (name in common) Object.assign(table.properties ?? {}, { [name]: common[/** @type {'id'} */ (name)] });
  }
  return `${JSON.stringify(schema, undefined, 1)}\n`;
}
