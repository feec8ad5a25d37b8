import 'reflect-metadata';
import { Client, type QueryConfig } from 'pg';
import { getMetadataArgsStorage } from 'typeorm';
import { afterAll, expect } from 'vitest';
import { APP_ROLE } from '../src/db/app-role.js';
import { entities } from '../src/db/entities.js';

/** Tables of a workshop, by their names. */
const tables = getMetadataArgsStorage()
  .tables.filter(({ target }) => (entities as readonly unknown[]).includes(target))
  .map(({ name }) => name!);
const ofWorkshop = new RegExp(`\\b(?:from|join|into|update|table)\\s+"?(?:${tables.join('|')})"?(?![\\w.])`, 'i');

/** Which workshop a statement says the transaction is of: one, none any more, or undefined where it says nothing of it. */
function saysWorkshop(text: string, values: readonly unknown[]): boolean | undefined {
  if (/^\s*(commit|rollback|end)\b/i.test(text)) return false;
  const [, said] = /set_config\('app\.workshop', ('[^']*'|\$1)/.exec(text) ?? [];
  if (said === undefined) return undefined;
  return (said === '$1' ? String(values[0]) : said.slice(1, -1)).length === 36;
}

type Query = (this: Client, asked: string | QueryConfig, ...more: unknown[]) => unknown;
const WATCHED = Symbol.for('dewpot: statements of no workshop');
const prototype = Client.prototype as unknown as { query: Query; [WATCHED]?: string[] };

/** Every test file has this one run anew; the driver is watched once. */
function watchStatements(): string[] {
  const homeless: string[] = [];
  const atHome = new WeakSet<Client>();
  const { query } = prototype;
  prototype.query = function (asked, ...more) {
    const text = typeof asked === 'string' ? asked : (asked.text ?? '');
    const values = Array.isArray(more[0]) ? (more[0] as unknown[]) : [];
    const said = this.user === APP_ROLE ? saysWorkshop(text, values) : undefined;
    if (said === true) atHome.add(this);
    else if (said === false) atHome.delete(this);
    else if (this.user === APP_ROLE && ofWorkshop.test(text) && !atHome.has(this)) homeless.push(text);
    return query.call(this, asked, ...more);
  };
  return homeless;
}

const homeless = (prototype[WATCHED] ??= watchStatements());

/** The application's statements that were of no workshop: on a database that is spread by workshops they would ask all of them. Told once. */
export const homelessStatements = (): string[] => homeless.splice(0);

afterAll(() => {
  expect(homelessStatements(), 'statements of no workshop').toEqual([]);
});
