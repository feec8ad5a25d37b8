import type { MigrationInterface, QueryRunner } from 'typeorm';
import { closeDoors, enableRowSecurity, openDoors } from './frozen-policies.js';

const table = [
  `CREATE TABLE "photos" ("workshop_id" uuid NOT NULL, "sum" bytea NOT NULL, "large" bytea NOT NULL, "medium" bytea, "small" bytea, "bytes" integer NOT NULL,
     CONSTRAINT "PK_67192d194739d7ec4ad6fa2623e" PRIMARY KEY ("workshop_id", "sum"))`,
  `ALTER TABLE "photos" ADD CONSTRAINT "FK_87371437d473f2a6dbe6cecb9f2" FOREIGN KEY ("workshop_id") REFERENCES "workshops"("id") ON DELETE CASCADE ON UPDATE NO ACTION`,
  ...enableRowSecurity('photos'),
  `INSERT INTO "photos" ("workshop_id", "sum", "large", "bytes")
     SELECT DISTINCT ON (workshop_id, sha256(image)) workshop_id, sha256(image), image, octet_length(image)
     FROM (SELECT workshop_id, image FROM cast_pictures UNION ALL SELECT workshop_id, image FROM mould_pictures) AS kept`,
];

const showing: readonly (readonly [table: string, index: string, reference: string])[] = [
  ['cast_pictures', 'IDX_78655aff472168a425d564f93a', 'FK_7515f51a39c8116fae016de86f0'],
  ['mould_pictures', 'IDX_177dcdb0433f996ac80b409a32', 'FK_e37af381bbb94270e7b858aa4dc'],
];

const shows = ([table, index, reference]: (typeof showing)[number]) => [
  `ALTER TABLE "${table}" ADD "photo" bytea`,
  `UPDATE "${table}" SET "photo" = sha256("image")`,
  `ALTER TABLE "${table}" ALTER "photo" SET NOT NULL, DROP "image"`,
  `CREATE INDEX "${index}" ON "${table}" ("photo")`,
  `ALTER TABLE "${table}" ADD CONSTRAINT "${reference}" FOREIGN KEY ("workshop_id", "photo") REFERENCES "photos"("workshop_id", "sum") ON DELETE NO ACTION ON UPDATE NO ACTION`,
  `CREATE TRIGGER "photo_unseen" AFTER DELETE ON "${table}" FOR EACH ROW EXECUTE FUNCTION photo_unseen()`,
];

const holds = ([table]: (typeof showing)[number]) => [
  `DROP TRIGGER "photo_unseen" ON "${table}"`,
  `ALTER TABLE "${table}" ADD "image" bytea`,
  `UPDATE "${table}" p SET "image" = f.large FROM photos f WHERE f.workshop_id = p.workshop_id AND f.sum = p.photo`,
  `ALTER TABLE "${table}" ALTER "image" SET NOT NULL, DROP "photo"`,
];

const doors: Readonly<Record<string, string>> = {
  // Whoever shows it just now comes first, or keeps it anew.
  'photo_unseen()': `trigger
    LANGUAGE plpgsql $$ BEGIN
      PERFORM 1 FROM photos WHERE workshop_id = OLD.workshop_id AND sum = OLD.photo FOR UPDATE;
      DELETE FROM photos WHERE workshop_id = OLD.workshop_id AND sum = OLD.photo
        AND NOT EXISTS (SELECT 1 FROM cast_pictures p WHERE p.workshop_id = OLD.workshop_id AND p.photo = OLD.photo)
        AND NOT EXISTS (SELECT 1 FROM mould_pictures p WHERE p.workshop_id = OLD.workshop_id AND p.photo = OLD.photo);
      RETURN NULL;
    END $$`,
  // Photos whose smaller sizes were not drawn yet.
  'photos_undrawn()': `TABLE (workshop_id uuid, sum bytea)
    LANGUAGE sql STABLE $$ SELECT workshop_id, sum FROM photos WHERE small IS NULL LIMIT 50 $$`,
};

/** Each photo once, in three sizes, by its checksum. */
export class Photos1798500000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    for (const statement of [...table, ...openDoors(doors), ...showing.flatMap(shows)]) await runner.query(statement);
  }

  async down(runner: QueryRunner): Promise<void> {
    const down = [...showing.flatMap(holds), ...closeDoors(doors), 'DROP TABLE "photos"'];
    for (const statement of down) await runner.query(statement);
  }
}
