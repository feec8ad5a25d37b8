import { isIP } from 'node:net';
import { dirname } from 'node:path';
import { SECOND } from '@dewpot/core/units';

/** How much one address may ask for. */
export interface Rates {
  /** Requests in a minute. */
  readonly requests: number;
  /** Requests in a minute of what guesses or makes accounts. */
  readonly accounts: number;
  /** Requests in a minute of calendars at their secret addresses. */
  readonly calendars: number;
  /** Tries to sign in within an hour that cost no wait: several people may sit behind one address. */
  readonly freeTries: number;
}

const usualRates: Rates = { requests: 600, accounts: 10, calendars: 60, freeTries: 30 };

/** How this server was started. */
export interface ServerConfig {
  readonly ownerUrl: string;
  /** A pgbouncer before the database, as host and port, by which requests reach it; none where it is left out. */
  readonly bouncer?: string;
  /** A replica of the database, as host and port, that is read where it is not behind; none where it is left out. */
  readonly replica?: string;
  readonly host: string;
  readonly port: number;
  /** Whether only this machine can reach it. */
  readonly loopback: boolean;
  /** Proxies before the server, by address or network: what they say of who asks is believed, of nobody else. */
  readonly proxies?: readonly string[];
  /** Names that the server answers to beside the loopback ones. */
  readonly hostNames?: readonly string[];
  /** Code without which nobody registers; anybody may where there is none. */
  readonly registrationCode?: string;
  /** Folder of the built programs, among them the one that calculates on threads of its own. */
  readonly programs: string;
  readonly rates: Rates;
  /** How long one calculation may take, ms. */
  readonly calculationTime?: number;
  /** What a hash of a passphrase costs, memory in KiB; as its library has it where it is left out, and far less in tests alone. */
  readonly hashing?: { readonly memoryCost: number; readonly timeCost: number; readonly parallelism: number };
  /** What the photos of a workshop may take together, MB; as usual where it is left out. */
  readonly photoMegabytes?: number;
  /** Months for which every reading of a place is kept; older ones have the mean of each hour. */
  readonly readingMonths?: number;
  /** The mail server by its address, and who mails come from; where none is named they are kept for the owners to read. */
  readonly mail?: { readonly server: string; readonly from: string };
  /** The MQTT broker to which devices publish, by its address; none where it is left out. */
  readonly mqtt?: string;
  /** How the server's log is written: as text where it is left out. */
  readonly log?: 'text' | 'json';
  /** The port at which this machine is told the server's figures; nowhere where it is left out. */
  readonly metricsPort?: number;
  /** Where a collector of OpenTelemetry takes traces; nobody is told where it is left out. */
  readonly traces?: string;
  /** Folder of the built web application; none in development and in tests of the API. */
  readonly web?: string;
}

export const CONFIG = Symbol('server configuration');

/** The usual rates, or those of a trial, in which one address stands for many. */
function ratesFrom({ DEWPOT_REQUEST_LIMIT: all, DEWPOT_SIGN_IN_LIMIT: signIn }: NodeJS.ProcessEnv): Rates {
  return {
    ...usualRates,
    ...(all && { requests: Number(all), calendars: Number(all) }),
    ...(signIn && { accounts: Number(signIn), freeTries: Number(signIn) }),
  };
}

/** The mail server. @throws Error where it is not said who mails come from */
function mailFrom({ DEWPOT_SMTP: server, DEWPOT_MAIL_FROM: from }: NodeJS.ProcessEnv): ServerConfig['mail'] {
  if (!server) return undefined;
  if (!/^smtps?:\/\//.test(server))
    throw new Error('DEWPOT_SMTP is no address of a mail server: write smtp://… or smtps://….');
  if (!from) throw new Error('DEWPOT_MAIL_FROM is not set: say the address that mails come from.');
  return { server, from };
}

/** A whole number that is set by a name; undefined where it is not. @throws Error where it is none from 1 to `most` */
function wholeFrom(env: NodeJS.ProcessEnv, name: string, unit: string, most: number): number | undefined {
  const written = env[name];
  if (!written) return undefined;
  if (!/^[1-9]\d*$/.test(written) || Number(written) > most)
    throw new Error(`${name} is “${written}”: write a whole number ${unit && `of ${unit} `}from 1 to ${most}.`);
  return Number(written);
}

/** The MQTT broker. @throws Error where its address is none */
function mqttFrom({ DEWPOT_MQTT: broker }: NodeJS.ProcessEnv): Pick<ServerConfig, 'mqtt'> {
  if (!broker) return {};
  if (!/^mqtts?:\/\//.test(broker))
    throw new Error('DEWPOT_MQTT is no address of a broker: write mqtt://… or mqtts://….');
  return { mqtt: broker };
}

/** Whether something is an address, or a network such as 10.0.0.0/8. */
function isNetwork(written: string): boolean {
  const [address = '', bits, ...more] = written.split('/');
  const most = { 0: -1, 4: 32, 6: 128 }[isIP(address)] ?? -1;
  return more.length === 0 && most > 0 && (bits === undefined || (/^\d{1,3}$/.test(bits) && Number(bits) <= most));
}

/** The proxies before the server. @throws Error where one of them is no address */
function proxiesFrom({ DEWPOT_PROXIES: written = '' }: NodeJS.ProcessEnv): Pick<ServerConfig, 'proxies'> {
  const proxies = listed(written);
  const wrong = proxies.find((one) => !isNetwork(one));
  if (wrong !== undefined)
    throw new Error(
      `DEWPOT_PROXIES has “${wrong}”: write addresses such as 10.0.0.2 or 10.0.0.0/24, with commas between.`,
    );
  return proxies.length > 0 ? { proxies } : {};
}

const listed = (written: string) =>
  written
    .split(',')
    .map((one) => one.trim())
    .filter(Boolean);

/** A host and a port that are set by a name. @throws Error where it is none */
function hostAndPort(name: string, written: string, example: string): string {
  if (!/^[\w.-]+:\d{1,5}$/.test(written))
    throw new Error(`${name} is “${written}”: write a host and a port, such as ${example}.`);
  return written;
}

/** The pgbouncer before the database, and a replica of it. @throws Error where one is no host and port */
const besideFrom = ({
  DEWPOT_BOUNCER,
  DEWPOT_REPLICA,
}: NodeJS.ProcessEnv): Pick<ServerConfig, 'bouncer' | 'replica'> => ({
  ...(DEWPOT_BOUNCER && { bouncer: hostAndPort('DEWPOT_BOUNCER', DEWPOT_BOUNCER, '127.0.0.1:6432') }),
  ...(DEWPOT_REPLICA && { replica: hostAndPort('DEWPOT_REPLICA', DEWPOT_REPLICA, '127.0.0.1:5433') }),
});

/** How the log is written. @throws Error where it is in no known way */
function logFrom({ DEWPOT_LOG: log }: NodeJS.ProcessEnv): Pick<ServerConfig, 'log'> {
  if (!log) return {};
  if (log !== 'text' && log !== 'json') throw new Error(`DEWPOT_LOG is “${log}”: write text or json.`);
  return { log };
}

/** Where traces go. @throws Error where it is no address */
function tracesFrom({ DEWPOT_TRACES: traces }: NodeJS.ProcessEnv): Pick<ServerConfig, 'traces'> {
  if (!traces) return {};
  if (!/^https?:\/\//.test(traces) || !URL.canParse(traces))
    throw new Error(`DEWPOT_TRACES is “${traces}”: write an address such as http://127.0.0.1:4318/v1/traces.`);
  return { traces };
}

/** Reads the configuration from the environment. @throws Error where the database's address is missing. */
export function configFrom(env: NodeJS.ProcessEnv): ServerConfig {
  const ownerUrl = env.DATABASE_URL;
  if (!ownerUrl) throw new Error('DATABASE_URL is not set: start with “npm start”, or name a PostgreSQL database.');
  const mail = mailFrom(env);
  const photoMegabytes = wholeFrom(env, 'DEWPOT_PHOTO_MB', 'MB', 9_999_999);
  const calculationSeconds = wholeFrom(env, 'DEWPOT_CALCULATION_SECONDS', 'seconds', 600);
  const readingMonths = wholeFrom(env, 'DEWPOT_READING_MONTHS', 'months', 1_200);
  const metricsPort = wholeFrom(env, 'DEWPOT_METRICS_PORT', '', 65_535);
  const proxies = proxiesFrom(env);
  const host = env.DEWPOT_HOST ?? '127.0.0.1';
  return {
    ownerUrl,
    host,
    port: Number(env.DEWPOT_PORT ?? 8137),
    // Behind a proxy others reach it too.
    loopback: ['127.0.0.1', 'localhost', '::1'].includes(host) && !proxies.proxies,
    ...proxies,
    programs: env.DEWPOT_PROGRAMS ?? dirname(process.argv[1] ?? ''),
    rates: ratesFrom(env),
    hostNames: listed(env.DEWPOT_HOST_NAMES ?? ''),
    ...(env.DEWPOT_REGISTRATION_CODE && { registrationCode: env.DEWPOT_REGISTRATION_CODE }),
    ...(mail && { mail }),
    ...mqttFrom(env),
    ...logFrom(env),
    ...tracesFrom(env),
    ...besideFrom(env),
    ...(metricsPort && { metricsPort }),
    ...(photoMegabytes && { photoMegabytes }),
    ...(readingMonths && { readingMonths }),
    ...(calculationSeconds && { calculationTime: calculationSeconds * SECOND }),
    ...(env.DEWPOT_WEB && { web: env.DEWPOT_WEB }),
  };
}

// To look it up takes 0.3 ms, and each event asks for it several times.
const OWN_ZONE = Intl.DateTimeFormat().resolvedOptions().timeZone;

/** The zone of a workshop by its IANA name; the server's own where it named none. */
export const zoneOf = ({ zone }: { readonly zone?: string }): string => zone ?? OWN_ZONE;
