import { fixed } from '@dewpot/core/units';
import { knownPigment } from '@dewpot/core/tints';
import type { MaterialView } from '@dewpot/contract';
import { Link } from 'react-router';
import type { Palette } from '../api/tints';
import { PigmentDot } from './pigment-dot';
import { pigmentsOf } from './tint-words';
import { useSay } from '../ui/say';

/** What the workshop knows of each pigment: the first chip is the way in. */
export function PigmentsSlab({ palette }: { palette: Palette }) {
  const say = useSay();
  const pigments = pigmentsOf(palette);
  const held = (id: string) => palette.store.lots.some((lot) => lot.materialId === id && lot.left > 0);
  const sorted = [...pigments].sort((a, b) => Number(held(b.id)) - Number(held(a.id)));
  return (
    <section className="card-slab" aria-label={say('tints.pigments')}>
      <h2 className="text-xl">{say('tints.pigments')}</h2>
      <p className="quiet mb-2 text-sm">{say('tints.chipsTell')}</p>
      <ul className="divide-base-300 divide-y">
        {sorted.map((pigment) => (
          <PigmentRow key={pigment.id} pigment={pigment} palette={palette} held={held(pigment.id)} />
        ))}
      </ul>
    </section>
  );
}

function PigmentRow({ pigment, palette, held }: { pigment: MaterialView; palette: Palette; held: boolean }) {
  const say = useSay();
  const { fit } = knownPigment(pigment, palette.colours);
  return (
    <li className="grid grid-cols-[2rem_1fr] gap-3 py-2">
      <PigmentDot colour={pigment.colour} size={32} />
      <span className="leading-tight">
        <span className="font-semibold">{pigment.name}</span>
        {!held && <span className="quiet text-sm">{say('tints.noneInStore')}</span>}
        {fit.chips > 0 ? (
          <span className="quiet block text-sm">
            {say('tints.fitTold', {
              strength: fixed(fit.strength, 0),
              chips: fit.chips,
              after: fixed(fit.after, 1),
              before: fixed(fit.before, 1),
            })}
          </span>
        ) : pigment.colour === undefined ? (
          <Link to="/materials" className="link block py-1 text-sm">
            {say('tints.ownColourUnknownField')}
          </Link>
        ) : (
          <Link to={`/tints/ladder?pigment=${pigment.id}&chips=1`} className="link block py-1 text-sm">
            {say('tints.noChipCastOne')}
          </Link>
        )}
        {pigment.tinting?.fades && <span className="text-warning block text-sm">{say('tints.fadesField')}</span>}
      </span>
    </li>
  );
}
