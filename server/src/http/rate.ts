import type { ExecutionContext } from '@nestjs/common';
import type { Application, Request } from 'express';
import type { Rates } from '../config.js';

const MINUTE = 60_000;

/** Tells the application what one address may ask for, where the routes' limits find it. */
export function setRates(application: Application, rates: Rates): void {
  application.locals.rates = rates;
}

/** The limit of a route for one address, for the throttler: the server's own rate of that kind. */
export const rate = (kind: Exclude<keyof Rates, 'freeTries'>) => ({
  default: {
    limit: (context: ExecutionContext): number =>
      (context.switchToHttp().getRequest<Request>().app.locals.rates as Rates)[kind],
    ttl: MINUTE,
  },
});
