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

/** The table of what demouldings taught, and its index, which is named after it. */
const renamed = [
  ['TABLE', 'lift_out_lessons', 'demould_lessons'],
  ['INDEX', 'IDX_1c07d73f9162fce990f257b2b0', 'IDX_b9c5870ba6698b9aad0637b1cf'],
] as const;

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
    await runner.query('ALTER POLICY "lift_out_lessons_own" ON "demould_lessons" RENAME TO "demould_lessons_own"');
  }

  async down(runner: QueryRunner): Promise<void> {
    for (const [what, from, to] of renamed) await runner.query(`ALTER ${what} "${to}" RENAME TO "${from}"`);
    await runner.query('ALTER POLICY "demould_lessons_own" ON "lift_out_lessons" RENAME TO "lift_out_lessons_own"');
    await rename(runner, invert(keys), invert(values));
  }
}
