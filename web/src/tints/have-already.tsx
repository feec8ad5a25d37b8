import { useMemo } from 'react';
import { fixed } from '@dewpot/core/units';
import { nearestColours } from '@dewpot/core/tints';
import { Link } from 'react-router';
import type { Palette } from '../api/tints';
import { CastFace } from '../ui/cast-face';
import { useSay } from '../ui/say';
import { tellAway } from '../ui/tell-away';
import { dryOf } from './tint-words';

const SHOWN = 6;

/** Before a search: what the workshop has already that comes near the wanted colour, its tints and its measured chips. */
export function HaveAlready({ wanted, palette }: { wanted: string; palette: Palette }) {
  const say = useSay();
  const known = useMemo(() => {
    const tints = palette.tints.flatMap((tint) => {
      const colour = dryOf(tint, palette);
      return colour ? [{ key: tint.id, name: tint.name, colour, to: `/tints/${tint.id}` }] : [];
    });
    const chips = palette.swatches.flatMap(({ id, name, measured }) =>
      measured
        ? [{ key: id, name: say('tints.chipNamed', { name }), colour: measured.colour, to: '/tints/chips' }]
        : [],
    );
    return [...tints, ...chips];
  }, [palette, say]);
  const near = useMemo(() => nearestColours(wanted, known, SHOWN), [wanted, known]);
  return (
    <section className="card-slab" aria-label={say('tints.whatComesNear')}>
      <h2 className="text-2xl">{say('tints.whatComesNear')}</h2>
      <p className="quiet">{say('tints.chooseAndLook')}</p>
      {near.length > 0 && <h3 className="mt-4 mb-2 text-xl">{say('tints.haveAlready')}</h3>}
      <ul className="grid grid-cols-2 gap-4 xl:grid-cols-3">
        {near.map(({ key, name, colour, to, away }) => (
          <li key={key}>
            <Link to={to} className="hover:text-secondary block">
              <CastFace
                colour={colour}
                other={wanted}
                label={say('tints.besideWanted', { words: name })}
                className="h-28 w-full"
              />
              <span className="mt-1 block leading-tight font-semibold">{name}</span>
            </Link>
            <span className="numeral text-xl">{say('tints.deltaE', { away: fixed(away, 1) })}</span>{' '}
            <span className="quiet text-sm">{say(tellAway(away))}</span>
          </li>
        ))}
      </ul>
    </section>
  );
}
