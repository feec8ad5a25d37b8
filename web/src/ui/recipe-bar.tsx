import { msg } from '@dewpot/core/units';
import type { MaterialView } from '@dewpot/contract';
import { ListBar, ListChoice, ListOrder } from './list-bar';
import { useSay } from './say';
import type { Listing } from './use-listing';

const orders = [
  { value: 'name', label: msg('ui.byName') },
  { value: 'changed', label: msg('ui.lastChanged') },
];

/** Which mixes or tints are shown, and in which order. */
export function RecipeBar<Row>({
  listing,
  materials,
}: {
  listing: Listing<Row>;
  /** What they can be looked for by. */
  materials: readonly MaterialView[];
}) {
  const say = useSay();
  return (
    <ListBar listing={listing}>
      <ListChoice
        listing={listing}
        field="material"
        label={say('ui.containing')}
        className="max-w-56"
        options={materials.map(({ id, name }) => ({ value: id, label: name }))}
      />
      <ListOrder listing={listing} options={orders} />
    </ListBar>
  );
}
