import { DataSource } from 'typeorm';
import { v7 as uuid } from 'uuid';
import { expect, it } from 'vitest';
import { ownerOptions } from '../src/db/connection.js';
import { Limits1765900000000 } from '../src/db/migrations/09-limits.js';
import { prepareDatabase } from '../src/index.js';
import { databaseBefore } from './harness.js';

it('a database of before keys began with their workshop opens with nothing lost but what was simulated', async () => {
  const { ownerUrl, owner: before } = await databaseBefore(Limits1765900000000);
  const [workshop, founder, other, mould, mix, place, shed, pour, cast] = Array.from({ length: 9 }, () => uuid());
  const at = Date.UTC(2026, 5, 3);
  await before.query(`INSERT INTO workshops (id, version, settings) VALUES ($1, 1, '{}')`, [workshop]);
  for (const [id, email] of [
    [other, 'b@example.org'],
    [founder, 'a@example.org'],
  ])
    await before.query(`INSERT INTO people (id, workshop_id, name, email) VALUES ($1, $2, 'x', $3)`, [
      id,
      workshop,
      email,
    ]);
  await before.query(
    `INSERT INTO sessions (id, workshop_id, person_id, token_hash, expires_at) VALUES ($1, $2, $3, 'h', now() + interval '1 day')`,
    [uuid(), workshop, founder],
  );
  await before.query(
    `INSERT INTO lift_out_lessons (id, workshop_id, mould_id, mix_id, ways, records) VALUES ($1, $2, $3, $4, '{}', '[]')`,
    [uuid(), workshop, mould, mix],
  );
  // What a removed mould left behind goes; a photo stays, though the event that it shows is gone.
  await before.query(`INSERT INTO mould_copies (id, workshop_id, mould_id, mark) VALUES ($1, $2, $3, 'A')`, [
    uuid(),
    workshop,
    mould,
  ]);
  await before.query(
    `INSERT INTO pours (id, workshop_id, version, number, status, input, parts) VALUES ($1, $2, 1, 1, 'finished', '{}', '[]')`,
    [pour, workshop],
  );
  await before.query(
    `INSERT INTO casts (id, workshop_id, pour_id, mould_id, code, stage, snapshot, expected, projection) VALUES ($1, $2, $3, $4, 'A', 'out', '{}', '{}', $5)`,
    [cast, workshop, pour, mould, { life: { stage: 'out', outAt: 5, snoozed: { 'Lift out': 7, 'Look back': 9 } } }],
  );
  const snoozed = { type: 'snoozed', stroke: 'Lift out', until: 7 };
  await before.query(`INSERT INTO cast_events (id, workshop_id, cast_id, event) VALUES ($1, $2, $3, $4)`, [
    uuid(),
    workshop,
    cast,
    snoozed,
  ]);
  await before.query(
    `INSERT INTO cast_pictures (id, workshop_id, cast_id, event_id, width, height, image, at) VALUES ($1, $2, $3, $4, 1, 1, '', 0)`,
    [uuid(), workshop, cast, uuid()],
  );
  await before.query('SELECT air_month($1)', [at]);
  // A place with readings of its own, and one that the simulated logger told of.
  for (const [id, body] of [
    [place, { kind: 'shed', source: 'files' }],
    [shed, { kind: 'shed', source: 'logger', simulated: true }],
  ]) {
    await before.query(`INSERT INTO places (id, workshop_id, version, name, body) VALUES ($1, $2, 1, 'x', $3)`, [
      id,
      workshop,
      body,
    ]);
    await before.query(`INSERT INTO air_readings (workshop_id, place_id, at, temperature) VALUES ($1, $2, $3, 14)`, [
      workshop,
      id,
      at,
    ]);
  }
  await before.destroy();

  expect(await prepareDatabase(ownerUrl)).toEqual({ empty: false });

  const after = await new DataSource(ownerOptions(ownerUrl)).initialize();
  // Keys are in the order of time: who came first founded the workshop.
  expect(await after.query('SELECT id, role FROM people ORDER BY id')).toEqual([
    { id: founder, role: 'owner' },
    { id: other, role: 'caster' },
  ]);
  expect(await after.query(`SELECT kind, created_at IS NOT NULL AS made FROM sessions`)).toEqual([
    { kind: 'browser', made: true },
  ]);
  expect(await after.query('SELECT mould_id, mix_id FROM demould_lessons')).toEqual([{ mould_id: mould, mix_id: mix }]);
  expect(await after.query('SELECT id FROM mould_copies')).toEqual([]);
  expect(await after.query('SELECT stage, projection FROM casts')).toEqual([
    {
      stage: 'finished',
      projection: {
        life: { stage: 'finished', finishedAt: 5, postponed: { demould: 7, 'record-condition': 9 } },
      },
    },
  ]);
  expect(await after.query('SELECT event FROM cast_events')).toEqual([
    { event: { type: 'postponed', task: 'demould', until: 7 } },
  ]);
  expect(await after.query('SELECT cast_id, event_id FROM cast_pictures')).toEqual([{ cast_id: cast, event_id: null }]);
  expect(await after.query('SELECT place_id, at, temperature FROM ambient_readings')).toEqual([
    { place_id: place, at: String(at), temperature: 14 },
  ]);
  expect(await after.query('SELECT id, body FROM places ORDER BY id')).toEqual([
    { id: place, body: { kind: 'shed', source: 'files' } },
    { id: shed, body: { kind: 'shed', source: 'unknown' } },
  ]);
  // Months that are made from here on have the new key as well.
  await after.query('SELECT ambient_month($1)', [Date.UTC(2026, 6, 3)]);
  await after.destroy();
});
