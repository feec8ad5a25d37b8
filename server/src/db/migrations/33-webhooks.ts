import type { MigrationInterface, QueryRunner } from 'typeorm';
import { closeDoors, enableRowSecurity, openDoors } from './frozen-policies.js';

const tables = [
  `CREATE TABLE "webhooks" ("id" uuid NOT NULL, "workshop_id" uuid NOT NULL, "label" text NOT NULL, "address" text NOT NULL, "secret" text NOT NULL,
     "made_at" bigint NOT NULL, "looked_at" bigint NOT NULL, "told" text array,
     CONSTRAINT "PK_ef75b83988e731f131880c3bc06" PRIMARY KEY ("workshop_id", "id"))`,
  `CREATE TABLE "webhook_deliveries" ("id" uuid NOT NULL, "workshop_id" uuid NOT NULL, "webhook_id" uuid NOT NULL, "at" bigint NOT NULL, "body" jsonb NOT NULL,
     "tries" integer NOT NULL DEFAULT 0, "delivered_at" bigint, "error" text,
     CONSTRAINT "PK_79a4b4ecfb3ba23d66ccf6f8600" PRIMARY KEY ("workshop_id", "id"))`,
  `CREATE INDEX "IDX_a432174ce6a5bbf11e1404518c" ON "webhook_deliveries" ("workshop_id", "webhook_id", "id")`,
  `ALTER TABLE "webhooks" ADD CONSTRAINT "FK_07b2a5b3eebdbbb0acb32ba400c" FOREIGN KEY ("workshop_id") REFERENCES "workshops"("id") ON DELETE CASCADE ON UPDATE NO ACTION`,
  `ALTER TABLE "webhook_deliveries" ADD CONSTRAINT "FK_5915242062d5381f12d06a8c596" FOREIGN KEY ("workshop_id") REFERENCES "workshops"("id") ON DELETE CASCADE ON UPDATE NO ACTION`,
  `ALTER TABLE "webhook_deliveries" ADD CONSTRAINT "FK_2e117b1ad2bdfed0f853e900371" FOREIGN KEY ("workshop_id", "webhook_id") REFERENCES "webhooks"("workshop_id", "id") ON DELETE CASCADE ON UPDATE NO ACTION`,
  ...enableRowSecurity('webhooks'),
  ...enableRowSecurity('webhook_deliveries'),
];

/** Which webhooks were not looked after since a time, of workshops that were not deleted. */
const doors: Readonly<Record<string, string>> = {
  'webhooks_waiting(since bigint)': `TABLE (workshop_id uuid, webhook_id uuid)
    LANGUAGE sql STABLE $$ SELECT h.workshop_id, h.id FROM webhooks h JOIN workshops w ON w.id = h.workshop_id
      WHERE h.looked_at < since AND w.removed_at IS NULL ORDER BY h.looked_at LIMIT 200 $$`,
};

/** Addresses that are told of what comes due, and what was sent to each. */
export class Webhooks1798300000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    for (const statement of [...tables, ...openDoors(doors)]) await runner.query(statement);
  }

  async down(runner: QueryRunner): Promise<void> {
    const down = [...closeDoors(doors), 'DROP TABLE "webhook_deliveries"', 'DROP TABLE "webhooks"'];
    for (const statement of down) await runner.query(statement);
  }
}
