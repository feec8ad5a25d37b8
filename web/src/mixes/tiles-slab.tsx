import { sheenWords } from './tile-words';
import { toolWords } from '../ui/casts/seal-words';
import { useState } from 'react';
import { sealers } from '@dewpot/core/materials';
import { readTile } from '@dewpot/core/sealing';
import type { TileView } from '@dewpot/contract';
import { useQuery } from '@tanstack/react-query';
import { tilesQuery, useRemoveTile } from '../api/finish';
import { Button } from '../ui/button';
import { dayOf } from '../ui/format-time';
import { Failure } from '../ui/states';
import { useNow } from '../ui/use-now';
import { TileDialog } from './tile-dialog';
import { useSay } from '../ui/say';

/** Trial tiles of a mix: how each sealer took to it, sealed and bare side by side. */
export function TilesSlab({ mixId }: { mixId: string }) {
  const say = useSay();
  const { data = [], error } = useQuery(tilesQuery(mixId));
  const [adding, setAdding] = useState(false);
  return (
    <section className="card-slab space-y-3" aria-label={say('sealing.trialTiles')}>
      <h2 className="text-xl">{say('sealing.trialTiles')}</h2>
      {data.length === 0 && <p className="quiet">{say('sealing.trialTilesHow')}</p>}
      <ul className="divide-base-300 divide-y">
        {data.map((tile) => (
          <Tile key={tile.id} tile={tile} />
        ))}
      </ul>
      <Failure error={error} />
      <Button needs="caster" look="strong" onClick={() => setAdding(true)}>
        {say('sealing.tileTried')}
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
          {say('sealing.tileTold', {
            name,
            coats,
            tool: toolWords[tool],
            sheen: sheenWords[sheen],
            good: good ? 'yes' : 'no',
          })}{' '}
          <span className="quiet text-sm">{say(dayOf(at, now))}</span>
        </p>
        <p className="quiet text-sm">
          {told.map((one) => say(one)).join(' ')} {note}
        </p>
        <Failure error={remove.error} />
      </div>
      <Button
        needs="caster"
        look="plain"
        size="low"
        className="px-3 text-sm"
        disabled={remove.isPending}
        aria-label={say('sealing.removeTile', { name: say.value(name) })}
        onClick={() => remove.mutate(tile.id)}
      >
        {say('ui.remove')}
      </Button>
    </li>
  );
}
