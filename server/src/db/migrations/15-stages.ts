import type { MigrationInterface, QueryRunner } from 'typeorm';

const stages = { damp: 'curing', out: 'finished' };
const events = { 'put-out': 'finished', snoozed: 'postponed' };
const tasks = {
  Pull: 'remove-core',
  Demould: 'demould',
  Unclamp: 'unclamp',
  Cover: 'cover',
  Wet: 'wet',
  'End bath': 'end-soak',
  Uncover: 'end-moist-curing',
  Weigh: 'weigh',
  Test: 'moisture-test',
  Coat: 'coat',
  Check: 'seal-test',
  'Put out': 'finish',
  'Look back': 'record-condition',
  'Seal again': 'reseal',
};
/** Keys of what a cast's events come to; a task that was postponed is a key of its own. */
const keys = { outAt: 'finishedAt', snoozed: 'postponed', ...tasks };

const invert = (words: Record<string, string>) => Object.fromEntries(Object.entries(words).map(([a, b]) => [b, a]));

const renameKeys = `CREATE FUNCTION renamed_keys(value jsonb, keys jsonb) RETURNS jsonb LANGUAGE sql IMMUTABLE AS $$
  SELECT coalesce((SELECT jsonb_object_agg(coalesce(keys ->> key, key), item) FROM jsonb_each(value) AS pair(key, item)), '{}')
$$`;

/** Renames a value under a key of a column of JSON. */
const renameValue = (table: string, column: string, path: string) =>
  `UPDATE "${table}" SET "${column}" = jsonb_set("${column}", '{${path}}', $1::jsonb -> ("${column}" #>> '{${path}}'))
   WHERE $1::jsonb ? ("${column}" #>> '{${path}}')`;

interface Words {
  readonly stages: Record<string, string>;
  readonly events: Record<string, string>;
  readonly tasks: Record<string, string>;
  readonly keys: Record<string, string>;
}

async function rename(runner: QueryRunner, words: Words, postponed: string): Promise<void> {
  await runner.query(`UPDATE "casts" SET "stage" = $1::jsonb ->> "stage" WHERE $1::jsonb ? "stage"`, [words.stages]);
  await runner.query(renameValue('casts', 'projection', 'life,stage'), [words.stages]);
  await runner.query(renameValue('cast_events', 'event', 'type'), [words.events]);
  await runner.query(renameValue('cast_events', 'event', 'task'), [words.tasks]);
  await runner.query(renameKeys);
  for (const path of ['life', `life,${postponed}`])
    await runner.query(
      `UPDATE "casts" SET "projection" = jsonb_set("projection", '{${path}}', renamed_keys("projection" #> '{${path}}', $1::jsonb))
       WHERE "projection" #> '{${path}}' ?| ARRAY(SELECT jsonb_object_keys($1::jsonb))`,
      [words.keys],
    );
  await runner.query('DROP FUNCTION renamed_keys(jsonb, jsonb)');
}

/** Stages, events and tasks of casts have the terms of the trade; a task is a code, and its name stands on the screen. */
export class Stages1796500000000 implements MigrationInterface {
  up(runner: QueryRunner): Promise<void> {
    return rename(runner, { stages, events, tasks, keys }, 'postponed');
  }

  down(runner: QueryRunner): Promise<void> {
    return rename(
      runner,
      { stages: invert(stages), events: invert(events), tasks: invert(tasks), keys: invert(keys) },
      'snoozed',
    );
  }
}
