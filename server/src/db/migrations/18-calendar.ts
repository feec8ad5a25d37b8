import type { MigrationInterface, QueryRunner } from 'typeorm';
import { enableRowSecurity } from './frozen-policies.js';

const edited = `"id" uuid NOT NULL, "workshop_id" uuid NOT NULL, "version" integer NOT NULL,
  "created_at" TIMESTAMP WITH TIME ZONE NOT NULL DEFAULT now(), "updated_at" TIMESTAMP WITH TIME ZONE NOT NULL DEFAULT now()`;

const ofWorkshop = (table: string, name: string) =>
  `ALTER TABLE "${table}" ADD CONSTRAINT "${name}" FOREIGN KEY ("workshop_id") REFERENCES "workshops"("id") ON DELETE CASCADE ON UPDATE NO ACTION`;

const up = [
  `CREATE TABLE "orders" (${edited}, "name" text NOT NULL, "closed" boolean NOT NULL DEFAULT false, "body" jsonb NOT NULL,
     CONSTRAINT "PK_b4b9a5b2e15f4db4cd5fd65d8af" PRIMARY KEY ("workshop_id", "id"))`,
  `CREATE INDEX "IDX_617eb6f9a37aa0068b3f5497a0" ON "orders" ("closed")`,
  ofWorkshop('orders', 'FK_61f46108a50368482ec70ffffdb'),
  `CREATE TABLE "caster_weeks" (${edited}, "person_id" uuid NOT NULL, "body" jsonb NOT NULL,
     CONSTRAINT "PK_a6f4af83f867a5746d860a51237" PRIMARY KEY ("workshop_id", "id"))`,
  `CREATE UNIQUE INDEX "IDX_42cbc338e0053bf01450acf3db" ON "caster_weeks" ("workshop_id", "person_id")`,
  ofWorkshop('caster_weeks', 'FK_fed2f75de5978966ed1dfb4dfe3'),
  `ALTER TABLE "caster_weeks" ADD CONSTRAINT "FK_42cbc338e0053bf01450acf3db2" FOREIGN KEY ("workshop_id", "person_id")
     REFERENCES "people"("workshop_id", "id") ON DELETE CASCADE ON UPDATE NO ACTION`,
  `CREATE TABLE "calendar_plans" (${edited}, "body" jsonb NOT NULL,
     CONSTRAINT "PK_2b484523529aeb027f75dbdb0d0" PRIMARY KEY ("workshop_id", "id"))`,
  ofWorkshop('calendar_plans', 'FK_2d83d91e5f207460194e5a3ce04'),
  ...['orders', 'caster_weeks', 'calendar_plans'].flatMap((table) => enableRowSecurity(table)),
  `ALTER TABLE "casts" ADD "order_line" uuid`,
  `CREATE INDEX "IDX_fe5bab1d3419883af80d57de3c" ON "casts" ("order_line")`,
];

const down = [
  `DROP INDEX "IDX_fe5bab1d3419883af80d57de3c"`,
  `ALTER TABLE "casts" DROP "order_line"`,
  ...['calendar_plans', 'caster_weeks', 'orders'].map((table) => `DROP TABLE "${table}"`),
];

/** Orders, the week of each person, and the plan of a workshop. */
export class Calendar1796800000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    for (const statement of up) await runner.query(statement);
  }

  async down(runner: QueryRunner): Promise<void> {
    for (const statement of down) await runner.query(statement);
  }
}
