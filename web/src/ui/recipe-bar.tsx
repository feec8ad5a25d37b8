import { msg } from '@dewpot/core/units';
import type { MaterialView } from '@dewpot/contract';
import { ListBar } from './list-bar';
import { SelectField } from './select-field';
import { useSay } from './say';
import type { Listing } from './use-listing';

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
  const { asked, choose } = listing;
  return (
    <ListBar listing={listing}>
      <SelectField
        label={say('ui.containing')}
        className="max-w-56"
        value={asked['material'] ?? ''}
        options={[
          { value: '', label: msg('ui.any') },
          ...materials.map(({ id, name }) => ({ value: id, label: name })),
        ]}
        onChange={(material) => choose({ material })}
      />
      <SelectField
        label={say('ui.order')}
        value={asked['order'] ?? 'name'}
        options={[
          { value: 'name', label: msg('ui.byName') },
          { value: 'changed', label: msg('ui.lastChanged') },
        ]}
        onChange={(order) => choose({ order })}
      />
    </ListBar>
  );
}
