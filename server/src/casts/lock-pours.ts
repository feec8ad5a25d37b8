import type { WorkshopContext } from '../db/workshop-context.js';

/**
 * Locks the pours of casts before anything of these is locked: the casts of a pour judge each other, and two requests that lock
 * each other's would wait for ever.
 */
export async function lockPours(rows: WorkshopContext, castIds: readonly string[]): Promise<void> {
  await rows.manager.query(
    `select 1 from pours where id in (select pour_id from casts where id = any($1)) order by id for no key update`,
    [castIds],
  );
}
