import { Injectable, type CallHandler, type ExecutionContext, type NestInterceptor } from '@nestjs/common';
import { auditDeeds, auditThings, type AuditDeed, type AuditThing } from '@dewpot/contract';
import { Reflector } from '@nestjs/core';
import { isUUID } from 'class-validator';
import { mergeMap, type Observable } from 'rxjs';
import { WorkshopContext } from '../db/workshop-context.js';
import { marked, OWN_TRANSACTIONS, type AppRequest } from '../http/request.js';
import { AuditService } from './audit.service.js';

/** Of what is done to something whose route ends with no word of its own. */
const byMethod: Readonly<Record<string, AuditDeed>> = { POST: 'added', PUT: 'changed', DELETE: 'removed' };
const MOST_NAME = 80;

const isOneOf = <One extends string>(all: readonly One[], word: string): word is One => (all as readonly string[]).includes(word); // prettier-ignore

/** What a request does to what, by its route; undefined of what only reads or only says what would be, and of what is not kept: the simulated scale, and signing out. */
export function deedOf(method: string, route: string): { thing: AuditThing; deed: AuditDeed } | undefined {
  const usual = byMethod[method];
  if (!usual) return undefined;
  const [thing = '', ...rest] = route.replace(/^\/?api\//, '').split('/');
  const words = rest.filter((word) => !word.startsWith(':'));
  const last = words.at(-1) ?? '';
  if (last === 'check') return undefined;
  const deed = isOneOf(auditDeeds, last) ? last : usual;
  return isOneOf(auditThings, thing) ? { thing, deed } : undefined;
}

const textOf = (value: unknown): string | null =>
  typeof value === 'string' && value.trim() !== '' ? value.trim().slice(0, MOST_NAME) : null;

/** Keeps who did what: in the transaction of the request where that wrote something; of those that open their own, right after. */
@Injectable()
export class AuditTrail implements NestInterceptor {
  constructor(
    private readonly rows: WorkshopContext,
    private readonly audit: AuditService,
    private readonly reflector: Reflector,
  ) {}

  intercept(context: ExecutionContext, next: CallHandler): Observable<unknown> {
    const request = context.switchToHttp().getRequest<AppRequest>();
    const { visitor, method, params } = request;
    const did = deedOf(method, (request.route as { readonly path: string }).path);
    if (!visitor || !did) return next.handle();
    const own = marked<boolean>(this.reflector, OWN_TRANSACTIONS, context) === true;
    const { personId, name: person } = visitor;
    const body = (request.body ?? {}) as Record<string, unknown>;
    const id = params.id ?? params.mouldId ?? body.id;
    const recordId = isUUID(id) ? String(id) : null;
    const record = textOf(body.name) ?? textOf(body.label);
    const event = did.thing === 'casts' && did.deed === 'events' ? textOf(body.type) : null;
    return next.handle().pipe(
      mergeMap(async (answer: unknown) => {
        const entry = { ...did, personId, person, recordId, record, event };
        await this.rows.transaction(() => this.audit.add(entry, own));
        return answer;
      }),
    );
  }
}
