import type { EntityTarget, FindOptionsOrder } from 'typeorm';
import { v7 as uuid } from 'uuid';
import type { RecipeOrder } from '@dewpot/contract';
import { rowWith, valuesOf } from './any-table.js';
import type { ListOrder } from './page.js';
import type { RevisionRow } from './row.js';
import type { WorkshopContext } from './workshop-context.js';

/** A recipe as its versions keep it. */
interface Recipe<Body> {
  readonly id: string;
  readonly revision: number;
  readonly name: string;
  readonly body: Body;
}

/** What lists of recipes are in the order of. */
export const recipeOrders: Record<RecipeOrder, ListOrder> = {
  name: { by: 'lower(row.name)', type: 'text' },
  changed: { by: 'extract(epoch from row.updatedAt)::double precision', type: 'double precision', down: true },
};

/** One version of a recipe. */
export const versionKey = ({ id, revision }: Pick<Recipe<unknown>, 'id' | 'revision'>): string => `${id} ${revision}`;

/** Keys of the versions that a query of `id` and `revision` finds: those of which some pour keeps a copy. */
export async function versionsFound(rows: WorkshopContext, query: string): Promise<ReadonlySet<string>> {
  const found = (await rows.manager.query(query)) as { id: string; revision: number }[];
  return new Set(found.map(versionKey));
}

/** Keeps the version at hand of a recipe: it stays as it is from the next one on. */
export async function keepRevision<Body extends object>(
  rows: WorkshopContext,
  entity: EntityTarget<RevisionRow<Body>>,
  { id: of, revision, name, body }: Recipe<Body>,
): Promise<void> {
  const repository = rows.of(entity);
  const known = await repository.findOneBy(rowWith<RevisionRow<Body>>({ of, revision }));
  if (known)
    await repository.update(rowWith<RevisionRow<Body>>({ id: known.id }), valuesOf<RevisionRow<Body>>({ name, body }));
  else
    await repository.insert(
      valuesOf<RevisionRow<Body>>({ id: uuid(), workshopId: rows.workshopId, of, revision, name, body }),
    );
}

/** Every version of a recipe, newest first; when it was made in ms. */
export async function revisionsOf<Body extends object>(
  rows: WorkshopContext,
  entity: EntityTarget<RevisionRow<Body>>,
  of: string,
) {
  const found = await rows.of(entity).find({
    where: rowWith<RevisionRow<Body>>({ of }),
    order: { revision: 'DESC' } as FindOptionsOrder<RevisionRow<Body>>,
  });
  return found.map(({ revision, name, body, madeAt }) => ({ revision, name, body, madeAt: madeAt.getTime() }));
}
