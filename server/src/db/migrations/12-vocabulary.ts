import type { MigrationInterface, QueryRunner } from 'typeorm';

/** Keys of stored JSON that were renamed, and what they are called from here on. */
const keys = {
  setting: 'binderClass',
  stuff: 'flexibility',
  dampDays: 'moistCuringDays',
  dampCure: 'moistCuring',
  colourReckoned: 'colourCalculated',
  liftOut: 'demould',
  liftedAt: 'demouldedAt',
  stroke: 'task',
  overruled: 'overridden',
  edition: 'revision',
  mixEdition: 'mixRevision',
  skin: 'faceColouring',
  'Lift out': 'Demould',
};
/** Values that were renamed: kinds of events and of tasks. They are looked for under `type` and `stroke` alone. */
const values = { 'lifted-out': 'demoulded', 'Lift out': 'Demould' };

const invert = (words: Record<string, string>) => Object.fromEntries(Object.entries(words).map(([a, b]) => [b, a]));

/** Columns of JSON in which those words may stand. */
const columns = [
  ['workshops', 'settings'],
  ['moulds', 'body'],
  ['mixes', 'body'],
  ['mix_editions', 'body'],
  ['pours', 'input'],
  ['pours', 'parts'],
  ['casts', 'snapshot'],
  ['casts', 'projection'],
  ['cast_events', 'event'],
  ['lift_out_lessons', 'ways'],
  ['lift_out_lessons', 'records'],
  ['seal_lessons', 'records'],
  ['trial_tiles', 'body'],
] as const;

const define = `CREATE FUNCTION renamed_words(value jsonb, keys jsonb, words jsonb) RETURNS jsonb LANGUAGE plpgsql IMMUTABLE AS $$
BEGIN
  IF jsonb_typeof(value) = 'object' THEN
    RETURN coalesce((SELECT jsonb_object_agg(coalesce(keys ->> key, key),
      CASE WHEN key IN ('type', 'stroke', 'task') AND jsonb_typeof(item) = 'string' THEN coalesce(words -> (item #>> '{}'), item)
           ELSE renamed_words(item, keys, words) END)
      FROM jsonb_each(value) AS pair(key, item)), '{}');
  ELSIF jsonb_typeof(value) = 'array' THEN
    RETURN coalesce((SELECT jsonb_agg(renamed_words(item, keys, words) ORDER BY place)
      FROM jsonb_array_elements(value) WITH ORDINALITY AS one(item, place)), '[]');
  END IF;
  RETURN value;
END $$`;

/** Tables that were renamed, with their columns, and the indexes and keys that are named after them. */
const renamed = [
  ['TABLE', 'lift_out_lessons', 'demould_lessons'],
  ['INDEX', 'IDX_1c07d73f9162fce990f257b2b0', 'IDX_b9c5870ba6698b9aad0637b1cf'],
  ['TABLE', 'mix_editions', 'mix_revisions'],
  ['INDEX', 'IDX_2f68b3ebd0fcfe790358e84309', 'IDX_2d21dc9e8384063693f516be3d'],
  ['TABLE', 'tint_editions', 'tint_revisions'],
  ['INDEX', 'IDX_2e7fdd87a2ccaff21e1de498b0', 'IDX_8572a1e9e122a7a936bc49e5c7'],
] as const;
const tables = renamed.filter(([what]) => what === 'TABLE');
const withRevisions = ['mixes', 'mix_revisions', 'tints', 'tint_revisions'];

async function rename(runner: QueryRunner, renamedKeys: object, renamedValues: object): Promise<void> {
  await runner.query(define);
  for (const [table, column] of columns)
    await runner.query(
      `UPDATE "${table}" SET "${column}" = renamed_words("${column}", $1::jsonb, $2::jsonb)
       WHERE "${column}" IS NOT NULL AND "${column}" <> renamed_words("${column}", $1::jsonb, $2::jsonb)`,
      [JSON.stringify(renamedKeys), JSON.stringify(renamedValues)],
    );
  await runner.query('DROP FUNCTION renamed_words(jsonb, jsonb, jsonb)');
}

/** What is stored uses the words of the field, as the code does. */
export class Vocabulary1796200000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await rename(runner, keys, values);
    for (const [what, from, to] of renamed) await runner.query(`ALTER ${what} "${from}" RENAME TO "${to}"`);
    for (const [, from, to] of tables)
      await runner.query(`ALTER POLICY "${from}_own" ON "${to}" RENAME TO "${to}_own"`);
    for (const table of withRevisions)
      await runner.query(`ALTER TABLE "${table}" RENAME COLUMN "edition" TO "revision"`);
  }

  async down(runner: QueryRunner): Promise<void> {
    for (const table of withRevisions)
      await runner.query(`ALTER TABLE "${table}" RENAME COLUMN "revision" TO "edition"`);
    for (const [what, from, to] of renamed) await runner.query(`ALTER ${what} "${to}" RENAME TO "${from}"`);
    for (const [, from, to] of tables)
      await runner.query(`ALTER POLICY "${to}_own" ON "${from}" RENAME TO "${from}_own"`);
    await rename(runner, invert(keys), invert(values));
  }
}
