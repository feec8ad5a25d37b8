/** How this server was started. */
export interface ServerConfig {
  readonly ownerUrl: string;
  readonly host: string;
  readonly port: number;
  /** Whether only this machine can reach it. */
  readonly loopback: boolean;
  /** Folder of the built web application; none in development and in tests of the API. */
  readonly web?: string;
}

export const CONFIG = Symbol('server configuration');

/** Reads the configuration from the environment. @throws Error where the database's address is missing. */
export function configFrom(env: NodeJS.ProcessEnv): ServerConfig {
  const ownerUrl = env.DATABASE_URL;
  if (!ownerUrl) throw new Error('DATABASE_URL is not set: start with “npm start”, or name a PostgreSQL database.');
  const host = env.DEWPOT_HOST ?? '127.0.0.1';
  return {
    ownerUrl,
    host,
    port: Number(env.DEWPOT_PORT ?? 8137),
    loopback: ['127.0.0.1', 'localhost', '::1'].includes(host),
    ...(env.DEWPOT_WEB && { web: env.DEWPOT_WEB }),
  };
}

/** The zone of a workshop by its IANA name; the server's own where it named none. */
export const zoneOf = ({ zone }: { readonly zone?: string }): string =>
  zone ?? Intl.DateTimeFormat().resolvedOptions().timeZone;
