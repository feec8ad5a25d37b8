import 'reflect-metadata';
import { configFrom } from './config.js';
import { prepareDatabase } from './db/connection.js';

/** What the start command is told, as one line of JSON. */
type Prepared = { readonly empty: boolean } | { readonly problem: string };

async function prepare(): Promise<Prepared> {
  try {
    return await prepareDatabase(configFrom(process.env).ownerUrl);
  } catch (error) {
    const { code, message } = error as { code?: string; message?: string };
    return { problem: [message, code].filter(Boolean).join(', ') || String(error) };
  }
}

process.stdout.write(`${JSON.stringify(await prepare())}\n`);
