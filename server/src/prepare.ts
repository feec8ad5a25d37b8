import 'reflect-metadata';
import { configFrom } from './config.js';
import { prepareDatabase } from './db/connection.js';

const { empty } = await prepareDatabase(configFrom(process.env).ownerUrl);
process.stdout.write(empty ? 'empty\n' : 'filled\n');
