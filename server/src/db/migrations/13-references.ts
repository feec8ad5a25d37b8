import type { MigrationInterface, QueryRunner } from 'typeorm';

/** Tables, and the names of their references to the workshop that they are of. */
const ofWorkshop = [
  ['people', 'FK_dd967e471da8b1ec6e3869b520c'],
  ['sessions', 'FK_98e19fc1b0f859ea689ac45444f'],
  ['mixes', 'FK_160839e13d6d78f6faf9a0dc686'],
  ['mix_revisions', 'FK_141652a7c96c74638df8c9abda2'],
  ['trial_tiles', 'FK_ee1bd91aa46508f6895ed9791d3'],
  ['moulds', 'FK_5d40867c7fa97ce2bc651051ca6'],
  ['mould_copies', 'FK_6a40a81fb8692ba3405d31c12a8'],
  ['mould_pictures', 'FK_1bcfd24c898e87471362dee477e'],
  ['tubs', 'FK_c7810b8ddde106811640edd816c'],
  ['findings_aside', 'FK_ec2d39abaf1183c46d4ebd1ec91'],
  ['materials', 'FK_75979d2d3ab81d5ddd6652cfcdf'],
  ['lots', 'FK_84097fee57973a231c4b95f919c'],
  ['scoops', 'FK_84d2b0d90488294b668a2fe9a65'],
  ['tints', 'FK_05501645d6d278cb902ed74021b'],
  ['tint_revisions', 'FK_5ea4de3ca819407bff406771a16'],
  ['swatches', 'FK_01a75fbb03fc9db2a4b26d0b668'],
  ['pours', 'FK_4bd497ef521f09a5d3bd765d5d1'],
  ['run_events', 'FK_9b5c9737f39af338d5d74565452'],
  ['casts', 'FK_770f6a0710e67f41c7859b8c940'],
  ['cast_events', 'FK_a7d84ba905abff518dc51f60913'],
  ['cast_pictures', 'FK_f49ed279532b01ac9a42108b35f'],
  ['bench_scales', 'FK_bba4dc9a80a65d864f2df706ee6'],
  ['places', 'FK_f2222023d2dc38725409ed5715a'],
  ['air_asides', 'FK_77a75e65bc9be2d2d39dc65ea5b'],
  ['demould_lessons', 'FK_8b763a20f18811d10fd8e6d1c59'],
  ['seal_lessons', 'FK_6130bf85a07313408902d0996cd'],
  ['calendar_keys', 'FK_d547e1b3eb7146c267c85d6ac8d'],
] as const;

/** Tables, the names of their references, the columns that hold the key, and the tables that they are of; parents first. */
const partOf = [
  ['sessions', 'FK_fc11e5300a299013c652a995f63', 'person_id', 'people'],
  ['mix_revisions', 'FK_a17bf1318a7170b5547bf5450f0', 'mix_id', 'mixes'],
  ['trial_tiles', 'FK_17ec7b2146876f1731dbc104015', 'mix_id', 'mixes'],
  ['mould_copies', 'FK_937c40a80732cac97dd728f8ca9', 'mould_id', 'moulds'],
  ['mould_pictures', 'FK_adefbf8065b6381776eacb63ab0', 'mould_id', 'moulds'],
  ['findings_aside', 'FK_33225502ba092559bf305fdfe8c', 'mix_id', 'mixes'],
  ['findings_aside', 'FK_40c7b6b681f679e0e99e4b051fb', 'mould_id', 'moulds'],
  ['lots', 'FK_0d0dab175f34a4ab88239f34f9b', 'material_id', 'materials'],
  ['tint_revisions', 'FK_419866677bdb7dac8d79c7daa57', 'tint_id', 'tints'],
  ['run_events', 'FK_eb4f55862305badf199a5366109', 'pour_id', 'pours'],
  ['air_asides', 'FK_d89eca948b78758d89144d80920', 'place_id', 'places'],
  ['calendar_keys', 'FK_0e5cd1bb9320c9a7c9e00181677', 'person_id', 'people'],
  ['casts', 'FK_4c4e1d12a26c715c6284e696116', 'pour_id', 'pours'],
  ['cast_events', 'FK_c0cb32ad6bc1a2061acb24fa823', 'cast_id', 'casts'],
  ['cast_pictures', 'FK_0b8ba61fb690e0c8faaf63cbf8a', 'event_id', 'cast_events'],
  ['cast_pictures', 'FK_2322d02df42c92e0b6626acc970', 'cast_id', 'casts'],
] as const;

/** Every row is of a row of its own workshop, or of the workshop, and gone with it. */
export class References1796300000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    for (const [table, name] of ofWorkshop)
      await runner.query(
        `ALTER TABLE "${table}" ADD CONSTRAINT "${name}" FOREIGN KEY ("workshop_id") REFERENCES "workshops"("id") ON DELETE CASCADE`,
      );
    for (const [table, name, column, parent] of partOf) {
      const lost = `"${column}" IS NOT NULL AND NOT EXISTS
        (SELECT 1 FROM "${parent}" AS parent WHERE parent."workshop_id" = child."workshop_id" AND parent."id" = child."${column}")`;
      // What belonged to something that was removed could not be reached any more; a photo can be, whatever event it showed.
      await runner.query(
        column === 'event_id'
          ? `UPDATE "${table}" AS child SET "${column}" = NULL WHERE ${lost}`
          : `DELETE FROM "${table}" AS child WHERE ${lost}`,
      );
      await runner.query(
        `ALTER TABLE "${table}" ADD CONSTRAINT "${name}" FOREIGN KEY ("workshop_id", "${column}") REFERENCES "${parent}"("workshop_id", "id") ON DELETE CASCADE`,
      );
    }
    await runner.query(`CREATE INDEX "IDX_e8b32d90d7c8278a37a66df6e9" ON "cast_pictures" ("event_id")`);
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query(`DROP INDEX "IDX_e8b32d90d7c8278a37a66df6e9"`);
    for (const [table, name] of [...partOf, ...ofWorkshop])
      await runner.query(`ALTER TABLE "${table}" DROP CONSTRAINT "${name}"`);
  }
}
