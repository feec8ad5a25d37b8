import type { MigrationInterface, QueryRunner } from 'typeorm';

const casts = [
  `ALTER TABLE "casts" ADD "poured_at" bigint, ADD "mould_name" text, ADD "mix_name" text, ADD "damaged" boolean`,
  `UPDATE "casts" SET
     "poured_at" = coalesce(round(("projection" #>> '{life,pouredAt}')::numeric), 0),
     "mould_name" = coalesce("snapshot" ->> 'mouldName', ''),
     "mix_name" = coalesce("snapshot" ->> 'mixName', ''),
     "damaged" = coalesce("projection" #> '{life,damage}', '[]') NOT IN ('[]', 'null')`,
  `ALTER TABLE "casts" ALTER "poured_at" SET NOT NULL, ALTER "mould_name" SET NOT NULL, ALTER "mix_name" SET NOT NULL,
     ALTER "damaged" SET NOT NULL`,
];

const pours = [
  `ALTER TABLE "pours" ADD "pieces" jsonb, ADD "mixes" text array, ADD "taught" jsonb`,
  `UPDATE "pours" SET
     "pieces" = (SELECT coalesce(jsonb_agg(jsonb_build_object('v', 1, 'mouldId', item ->> 'mouldId', 'name', item ->> 'name',
         'count', item -> 'count', 'colour', part ->> 'colour')), '[]')
       FROM jsonb_array_elements("parts") AS part, jsonb_path_query(part, '$.plan.items[*]') AS item),
     "mixes" = ARRAY(SELECT coalesce(part ->> 'mixName', '') FROM jsonb_array_elements("parts") AS part)`,
  `ALTER TABLE "pours" ALTER "pieces" SET NOT NULL, ALTER "mixes" SET NOT NULL`,
];

const moulds = [
  `ALTER TABLE "moulds" ADD "volume" double precision, ADD "height" double precision, ADD "reach" double precision`,
];

const indexes = [
  `CREATE INDEX "IDX_71c3a3dc716cbf32fc6e427140" ON "casts" ("workshop_id", "poured_at", "id")`,
  `CREATE INDEX "IDX_f9dd05e8413b128eda5202da77" ON "pours" ("workshop_id", "number")`,
];

/** Lists come page by page: what they are ordered and searched by stands in columns. */
export class Lists1796700000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    for (const statement of [...casts, ...pours, ...moulds, ...indexes]) await runner.query(statement);
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query('DROP INDEX "IDX_f9dd05e8413b128eda5202da77"');
    await runner.query('DROP INDEX "IDX_71c3a3dc716cbf32fc6e427140"');
    await runner.query(`ALTER TABLE "moulds" DROP "volume", DROP "height", DROP "reach"`);
    await runner.query(`ALTER TABLE "pours" DROP "pieces", DROP "mixes", DROP "taught"`);
    await runner.query(`ALTER TABLE "casts" DROP "poured_at", DROP "mould_name", DROP "mix_name", DROP "damaged"`);
  }
}
