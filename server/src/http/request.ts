import { createParamDecorator, SetMetadata, type ExecutionContext } from '@nestjs/common';
import type { Role } from '@dewpot/contract';
import type { Language, UnitSystem } from '@dewpot/core/units';
import type { Reflector } from '@nestjs/core';
import type { Request } from 'express';

/** Who sent a request. */
export interface CurrentUser {
  readonly sessionId: string;
  readonly personId: string;
  readonly name: string;
  readonly workshopId: string;
}

/** What a person is told things in: the language that they chose, and the units and the currency of their workshop. */
export interface ReadsIn {
  readonly language: Language | null;
  readonly units: UnitSystem;
  readonly currency: string;
}

/** What is told apart of a workshop's rows; the areas stand in the migration that made them. */
export type Area = 'workshop' | 'moulds' | 'materials' | 'recipes' | 'ambient' | 'pours' | 'casts' | 'lessons' | 'rest';

/** What the state of each area is told apart by; none of an area in which nothing has changed yet. */
export type Revisions = Readonly<Partial<Record<Area, string>>>;

/** What an answer depends on beside its address: as what somebody asks, and for which state of the workshop. */
export interface Standing {
  readonly revisions: Revisions;
  readonly personId: string;
  readonly workshopId: string;
  readonly role: Role;
  readonly readsIn: ReadsIn;
}

export interface AppRequest extends Request {
  requestId: string;
  visitor?: CurrentUser;
  standing?: Standing;
  readsIn?: ReadsIn;
}

/** Whether an address is the API's; the others are the web application's. */
export const ofApi = ({ path }: { readonly path: string }): boolean => path.startsWith('/api');

export const PUBLIC = 'dewpot:public';
/** When a route needs no session: always, or only while nobody but this machine can reach the server. */
export type PublicWhen = 'always' | 'on loopback';

/** How a route is marked: on itself, else on its controller. */
export const marked = <Mark>(reflector: Reflector, key: string, context: ExecutionContext): Mark | undefined =>
  reflector.getAllAndOverride<Mark | undefined>(key, [context.getHandler(), context.getClass()]);

/** Marks a route that needs no session. */
export const Public = (when: PublicWhen = 'always') => SetMetadata(PUBLIC, when);

export const NEEDS_NO_DATABASE = 'dewpot:needs-no-database';

/** Marks routes that are answered while the database is away. */
export const NeedsNoDatabase = () => SetMetadata(NEEDS_NO_DATABASE, true);

export const OWN_TRANSACTIONS = 'dewpot:own-transactions';

/** Marks a route that opens its transactions itself: one that goes on and on, or that calculates between two of them. */
export const OwnTransactions = () => SetMetadata(OWN_TRANSACTIONS, true);

export const IN_TURN = 'dewpot:in-turn';
/** Runs work when it is its turn. */
export type Turn = <T>(work: () => Promise<T>) => Promise<T>;

/** Marks a route whose requests wait for their turn before they take a connection to the database. */
export const InTurn = (turn: Turn) => SetMetadata(IN_TURN, turn);

export const LEAST_ROLE = 'dewpot:least-role';

/** Marks a route by who may use it at the least. Unmarked, guests may read and casters may change. */
export const ForRole = (least: Role) => SetMetadata(LEAST_ROLE, least);

export const IN_PERSON = 'dewpot:in-person';

/** Marks a route for people at a browser: a token that leaked makes no other tokens and lets nobody in. */
export const InPerson = () => SetMetadata(IN_PERSON, true);

export const EVEN_REMOVED = 'dewpot:even-removed';

/** Marks a route that is open in a workshop that was deleted, as long as it can be brought back. */
export const EvenRemoved = () => SetMetadata(EVEN_REMOVED, true);

/** The visitor of a route that needs a session. */
export const CurrentUser = createParamDecorator((_: unknown, context: ExecutionContext): CurrentUser => {
  const { visitor } = context.switchToHttp().getRequest<AppRequest>();
  if (!visitor) throw new Error('This route has no visitor: it is public.');
  return visitor;
});
