import { msg } from '@dewpot/core/units';
import type { NextFunction, Response } from 'express';
import type { ServerConfig } from '../config.js';
import { ProblemError } from './problem-error.js';
import type { AppRequest } from './request.js';

const LOOPBACK = ['localhost', '127.0.0.1', '[::1]'];
const READS = ['GET', 'HEAD', 'OPTIONS'];
/** Questions keep nothing, whoever asks them. */
const KEEPS_NOTHING = '/api/calculate/';

/** Where a request comes from: as the browser says it, or by the name that the server was called. */
export const originOf = ({ headers, protocol }: Pick<AppRequest, 'headers' | 'protocol'>): string =>
  headers.origin ?? `${protocol}://${headers.host ?? ''}`;

/** Answers only to the names that the server was given: another name that leads here is somebody's trick. */
export function allowedHosts({ hostNames = [] }: ServerConfig) {
  const allowed = new Set([...LOOPBACK, ...hostNames.map((name) => name.toLowerCase())]);
  return (request: AppRequest, _: Response, next: NextFunction): void => {
    const name = (request.headers.host ?? '').replace(/:\d+$/, '').toLowerCase();
    if (!allowed.has(name))
      throw new ProblemError(421, msg('server.notThisServer'), {
        detail: msg('server.unknownHost', { name }),
      });
    next();
  };
}

/**
 * Refuses what would change something and comes from another site. A browser says where a request comes from; a script that has no
 * browser sends a token, which no site can make a browser send.
 */
export function sameOrigin(request: AppRequest, _: Response, next: NextFunction): void {
  const { method, path, headers } = request;
  if (READS.includes(method) || path.startsWith(KEEPS_NOTHING) || headers.authorization) return next();
  const { origin, host, 'sec-fetch-site': site } = headers;
  const own = origin === undefined ? site === 'same-origin' : sameHost(origin, host);
  if (!own)
    throw new ProblemError(403, msg('server.notFromHere'), {
      detail: msg('server.foreignRequest'),
    });
  next();
}

const sameHost = (origin: string, host: string | undefined) => URL.canParse(origin) && new URL(origin).host === host;
