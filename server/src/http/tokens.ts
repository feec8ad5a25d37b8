import { createHash, randomBytes } from 'node:crypto';

/** A new token, which nobody can guess. */
export const newToken = (): string => randomBytes(32).toString('base64url');

/** What is kept of a token. */
export const hashToken = (token: string): Buffer => createHash('sha256').update(token).digest();
