import type { CookieOptions, Request } from 'express';
import { SESSION_DAYS } from './sessions.js';

export const COOKIE = 'dewpot_session';

/** The session's cookie: no script reads it, no other site sends it, and what came over TLS goes nowhere else. */
export const cookieFor = ({ secure }: Pick<Request, 'secure'>): CookieOptions => ({
  httpOnly: true,
  secure,
  sameSite: 'strict',
  path: '/',
  maxAge: SESSION_DAYS * 24 * 3_600_000,
});
