import type { CookieOptions } from 'express';
import { SESSION_DAYS } from './sessions.js';

export const COOKIE = 'dewpot_session';

/** The session's cookie: no script reads it, and no other site sends it. */
export const cookie: CookieOptions = {
  httpOnly: true,
  sameSite: 'strict',
  path: '/',
  maxAge: SESSION_DAYS * 24 * 3_600_000,
};
