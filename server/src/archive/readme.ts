import { ARCHIVE_FORMAT, ARCHIVE_VERSION } from '@dewpot/contract';
import { recordsPath, tablePath } from './paths.js';
import type { ArchiveTable } from './tables.js';

/** What lies in an archive, for whoever opens it without Dew Pot. */
export const readme = (workshop: string, madeAt: number, tables: readonly ArchiveTable[]): string => `# ${workshop}

All records of this workshop, taken out of Dew Pot on ${new Date(madeAt).toISOString()}.
Format: ${ARCHIVE_FORMAT}, version ${ARCHIVE_VERSION}.

- \`records/\` holds every table as JSON lines (UTF-8, one record in each line). Dew Pot reads these in again.
- \`tables/\` holds the same as CSV (UTF-8, comma, a head line), for a spreadsheet. A field that has parts is JSON.
- \`pictures/\` holds every photo once, as WebP, under its SHA-256 checksum. Records name it as \`picture\`.
- \`schema.json\` says what each field of a record is (JSON Schema, draft 7).
- \`manifest.json\` lists every file with its size and its SHA-256 checksum.

Times are milliseconds since 1970, or ISO 8601 in UTC. Lengths are mm, volumes mL, masses g, temperatures °C.
Keys are UUIDs. Accounts, passphrases, sessions, invitations and mails belong to people, and are not here.

| file | table | fields |
| ---- | ----- | ------ |
${tables.map(({ name, columns }) => `| \`${recordsPath(name)}\` | \`${tablePath(name)}\` | ${columns.map((one) => one.name).join(', ')} |`).join('\n')}
`;
