import { useState } from 'react';
import { sealers } from '@dewpot/core/materials';
import { readTile } from '@dewpot/core/sealing';
import type { TileView } from '@dewpot/contract';
import { useQuery } from '@tanstack/react-query';
import { tilesQuery, useRemoveTile } from '../api/finish';
import { Button } from '../ui/button';
import { sayDay } from '../ui/format-time';
import { Failure } from '../ui/states';
import { useNow } from '../ui/use-now';
import { TileDialog } from './tile-dialog';
import { useSay } from '../ui/say';

/** Trial tiles of a mix: how each sealer took to it, sealed and bare side by side. */
export function TilesSlab({ mixId }: { mixId: string }) {
  const { data = [], error } = useQuery(tilesQuery(mixId));
  const [adding, setAdding] = useState(false);
  return (
    <section className="card-slab space-y-3" aria-label="Trial tiles">
      <h2 className="text-xl">Trial tiles</h2>
      {data.length === 0 && (
        <p className="quiet">
          Before a piece is sealed, seal half a tile of the same mix: sheen, streaks, smell, a drop of water, a stain.
        </p>
      )}
      <ul className="divide-base-300 divide-y">
        {data.map((tile) => (
          <Tile key={tile.id} tile={tile} />
        ))}
      </ul>
      <Failure error={error} />
      <Button look="strong" onClick={() => setAdding(true)}>
        A tile was tried
      </Button>
      {adding && <TileDialog mixId={mixId} onClose={() => setAdding(false)} />}
    </section>
  );
}

function Tile({ tile }: { tile: TileView }) {
  const say = useSay();
  const now = useNow();
  const remove = useRemoveTile();
  const { good, told } = readTile(tile);
  const { product, sealer, tool, coats, sheen, at, note } = tile;
  const name = product ?? sealers[sealer].name;
  return (
    <li className="grid grid-cols-[1fr_auto] gap-2 py-2">
      <div>
        <p>
          <strong>{say.value(name)}</strong>, {coats} {coats === 1 ? 'coat' : 'coats'} by {tool}: {sheen},{' '}
          {good ? 'would do' : 'not like this'} <span className="quiet text-sm">{sayDay(at, now)}</span>
        </p>
        <p className="quiet text-sm">
          {told.map((one) => say(one)).join(' ')} {note}
        </p>
        <Failure error={remove.error} />
      </div>
      <Button
        look="plain"
        size="low"
        className="px-3 text-sm"
        disabled={remove.isPending}
        aria-label={`Remove the tile with ${say.value(name)}`}
        onClick={() => remove.mutate(tile.id)}
      >
        Remove
      </Button>
    </li>
  );
}
