import type { MigrationInterface, QueryRunner } from 'typeorm';

/** What a migration says on its way up, told to nobody. */
export async function statementsOf(migration: MigrationInterface): Promise<string[]> {
  const said: string[] = [];
  const query = (statement: string) => (said.push(statement), Promise.resolve([]));
  await migration.up({ query } as unknown as QueryRunner);
  return said;
}

/** Text between quotes, and bodies of functions, are data to a schema. */
const bare = (statement: string) => statement.replace(/\$\$[^]*\$\$/g, '').replace(/'(?:[^']|'')*'/g, "''");

/** What a server of before would stumble over. */
const narrow = [
  /^DROP (?!TRIGGER)/i,
  /^TRUNCATE/i,
  /^REVOKE (?!ALL ON FUNCTION)/i,
  /^CREATE UNIQUE INDEX/i,
  /^ALTER TABLE .*\b(DROP|RENAME|TYPE|SET NOT NULL|ADD CONSTRAINT)\b/is,
  /^ALTER TABLE .*\bADD\b(?!.*\bDEFAULT\b).*\bNOT NULL\b/is,
];

/** The statements that take away or tighten what there was: not those on a table that the same migration makes. */
export function narrowing(statements: readonly string[]): string[] {
  const made = statements.flatMap((statement) => /^CREATE TABLE ("?[\w.]+"?)/i.exec(statement)?.[1] ?? []);
  return statements.filter((statement) => {
    const text = bare(statement.trim());
    return narrow.some((pattern) => pattern.test(text)) && !made.some((table) => text.includes(` ${table} `));
  });
}
