import { defined } from '@dewpot/core/math';
import express, { type NextFunction, type Response } from 'express';
import type { AppRequest } from './request.js';

const KB = 1024;

/** How large a body may be, by its route; the first that fits counts. */
const limits: readonly (readonly [path: RegExp, bytes: number])[] = [
  [/^\/api\/(session|workshops|people|account|door)\b/, 16 * KB],
  [/^\/api\/(mixes|tints)\/import$/, 1024 * KB],
  [/^\/api\/places\/[^/]+\/readings$/, 1024 * KB],
  [/^\/api\/calculate\//, 1024 * KB],
  [/^\/api\/(moulds|pours|tubs)\//, 512 * KB],
  [/^\/api\//, 64 * KB],
];

const parsers = new Map(limits.map(([, bytes]) => [bytes, express.json({ limit: bytes })]));

/** Reads a JSON body of at most what its route takes. Only the API takes any. */
export function readBody(request: AppRequest, response: Response, next: NextFunction): void {
  const found = limits.find(([path]) => path.test(request.path));
  if (!found) return next();
  defined(parsers.get(found[1]))(request, response, next);
}
