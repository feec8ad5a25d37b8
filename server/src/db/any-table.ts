import type { FindOptionsWhere, ObjectLiteral } from 'typeorm';
import type { QueryDeepPartialEntity } from 'typeorm/query-builder/QueryPartialEntity.js';

// TypeORM works its types out from a table. Of a table that is only a parameter it can tell nothing, so these two say what holds.

/** Conditions on a row of whichever table. */
export const rowWith = <E extends ObjectLiteral>(fields: Partial<E>): FindOptionsWhere<E> =>
  fields as FindOptionsWhere<E>;

/** Values for a row of whichever table. */
export const valuesOf = <E extends ObjectLiteral>(fields: object): QueryDeepPartialEntity<E> =>
  fields as QueryDeepPartialEntity<E>;
