import 'reflect-metadata';
import { configFrom } from './config.js';
import { appUrl } from './db/connection.js';

const { username, password } = new URL(appUrl(configFrom(process.env).ownerUrl));
process.stdout.write(`"${username}" "${password}"\n`);
