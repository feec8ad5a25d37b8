-- Spreads the tables of workshops over several machines, on a PostgreSQL with the extension that shards it. Run it once as the owner, after
-- the migrations, on the machine that the servers reach. docs/scale.md says when that is due.
--
-- All rows of a workshop lie on one machine: every primary key and every reference begins with the workshop, and every statement of the
-- application is of one workshop. So nothing is joined or checked across machines.

BEGIN;

-- The revisions of a workshop are renewed by triggers on its tables, which lie beside them.
SET LOCAL citus.enable_unsafe_triggers = on;

-- A token is a hash of 256 bits: that there is one of a kind need not be looked for on every machine.
DROP INDEX "IDX_396be322d2e721d80f52f71e1a";
CREATE INDEX "IDX_396be322d2e721d80f52f71e1a" ON calendar_keys (token_hash);
DROP INDEX "IDX_872ac94a64b3d44fc4b554780c";
CREATE INDEX "IDX_872ac94a64b3d44fc4b554780c" ON invitations (token_hash);
DROP INDEX "IDX_abaa9e068cdd390bc5210f7988";
CREATE INDEX "IDX_abaa9e068cdd390bc5210f7988" ON sessions (token_hash);

-- Accounts stand before all workshops and are few: they are on every machine.
SELECT create_reference_table('door.accounts');
SELECT create_reference_table('door.passkeys');
SELECT create_reference_table('door.recovery_codes');

-- The workshops, and beside each what is of it. Tables stand after those that they refer to. Readings lie in a table a month, each spread likewise.
SELECT create_distributed_table('public.workshops', 'id');
SELECT create_distributed_table('public.people', 'workshop_id', colocate_with => 'public.workshops');
SELECT create_distributed_table('public.past_people', 'workshop_id', colocate_with => 'public.workshops');
SELECT create_distributed_table('public.moulds', 'workshop_id', colocate_with => 'public.workshops');
SELECT create_distributed_table('public.materials', 'workshop_id', colocate_with => 'public.workshops');
SELECT create_distributed_table('public.mixes', 'workshop_id', colocate_with => 'public.workshops');
SELECT create_distributed_table('public.tints', 'workshop_id', colocate_with => 'public.workshops');
SELECT create_distributed_table('public.patterns', 'workshop_id', colocate_with => 'public.workshops');
SELECT create_distributed_table('public.places', 'workshop_id', colocate_with => 'public.workshops');
SELECT create_distributed_table('public.pours', 'workshop_id', colocate_with => 'public.workshops');
SELECT create_distributed_table('public.casts', 'workshop_id', colocate_with => 'public.workshops');
SELECT create_distributed_table('door.revisions', 'workshop_id', colocate_with => 'public.workshops');
SELECT create_distributed_table('public.ambient_asides', 'workshop_id', colocate_with => 'public.workshops');
SELECT create_distributed_table('public.ambient_readings', 'workshop_id', colocate_with => 'public.workshops');
SELECT create_distributed_table('public.audit_entries', 'workshop_id', colocate_with => 'public.workshops');
SELECT create_distributed_table('public.bench_scales', 'workshop_id', colocate_with => 'public.workshops');
SELECT create_distributed_table('public.calendar_keys', 'workshop_id', colocate_with => 'public.workshops');
SELECT create_distributed_table('public.calendar_plans', 'workshop_id', colocate_with => 'public.workshops');
SELECT create_distributed_table('public.cast_events', 'workshop_id', colocate_with => 'public.workshops');
SELECT create_distributed_table('public.cast_pictures', 'workshop_id', colocate_with => 'public.workshops');
SELECT create_distributed_table('public.caster_weeks', 'workshop_id', colocate_with => 'public.workshops');
SELECT create_distributed_table('public.costings', 'workshop_id', colocate_with => 'public.workshops');
SELECT create_distributed_table('public.demould_lessons', 'workshop_id', colocate_with => 'public.workshops');
SELECT create_distributed_table('public.findings_aside', 'workshop_id', colocate_with => 'public.workshops');
SELECT create_distributed_table('public.forgotten_lessons', 'workshop_id', colocate_with => 'public.workshops');
SELECT create_distributed_table('public.invitations', 'workshop_id', colocate_with => 'public.workshops');
SELECT create_distributed_table('public.kept_ways', 'workshop_id', colocate_with => 'public.workshops');
SELECT create_distributed_table('public.lots', 'workshop_id', colocate_with => 'public.workshops');
SELECT create_distributed_table('public.mails', 'workshop_id', colocate_with => 'public.workshops');
SELECT create_distributed_table('public.mix_revisions', 'workshop_id', colocate_with => 'public.workshops');
SELECT create_distributed_table('public.mould_copies', 'workshop_id', colocate_with => 'public.workshops');
SELECT create_distributed_table('public.mould_pictures', 'workshop_id', colocate_with => 'public.workshops');
SELECT create_distributed_table('public.orders', 'workshop_id', colocate_with => 'public.workshops');
SELECT create_distributed_table('public.pattern_revisions', 'workshop_id', colocate_with => 'public.workshops');
SELECT create_distributed_table('public.photos', 'workshop_id', colocate_with => 'public.workshops');
SELECT create_distributed_table('public.run_events', 'workshop_id', colocate_with => 'public.workshops');
SELECT create_distributed_table('public.scoops', 'workshop_id', colocate_with => 'public.workshops');
SELECT create_distributed_table('public.seal_lessons', 'workshop_id', colocate_with => 'public.workshops');
SELECT create_distributed_table('public.sessions', 'workshop_id', colocate_with => 'public.workshops');
SELECT create_distributed_table('public.stock', 'workshop_id', colocate_with => 'public.workshops');
SELECT create_distributed_table('public.swatches', 'workshop_id', colocate_with => 'public.workshops');
SELECT create_distributed_table('public.tint_revisions', 'workshop_id', colocate_with => 'public.workshops');
SELECT create_distributed_table('public.trial_tiles', 'workshop_id', colocate_with => 'public.workshops');
SELECT create_distributed_table('public.trials', 'workshop_id', colocate_with => 'public.workshops');
SELECT create_distributed_table('public.tubs', 'workshop_id', colocate_with => 'public.workshops');
SELECT create_distributed_table('public.webhook_deliveries', 'workshop_id', colocate_with => 'public.workshops');
SELECT create_distributed_table('public.webhooks', 'workshop_id', colocate_with => 'public.workshops');

COMMIT;
