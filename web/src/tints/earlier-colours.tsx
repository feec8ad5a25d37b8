import { useQuery } from '@tanstack/react-query';
import type { CastRow } from '@dewpot/contract';
import { pageQuery } from '../api/pages';
import type { Palette } from '../api/tints';
import { dryOf } from './tint-words';
import { useSay } from '../ui/say';

interface Earlier {
  readonly key: string;
  readonly name: string;
  readonly colour: string;
}

/** Most casts that are offered. */
const MOST = 40;

/** Colours that were there before: of casts, of chips as they were measured, and of tints. */
function useEarlier(palette: Palette): readonly Earlier[] {
  const say = useSay();
  const casts = useQuery(pageQuery<CastRow>('casts')).data?.rows ?? [];
  const chips = palette.swatches.flatMap(({ id, name, measured }) =>
    measured ? [{ key: id, name: say('tints.chipNamed', { name }), colour: measured.colour }] : [],
  );
  const tints = palette.tints.flatMap((tint) => {
    const colour = dryOf(tint, palette);
    return colour ? [{ key: tint.id, name: say('tints.tintNamed', { name: tint.name }), colour }] : [];
  });
  const pieces = new Map(
    casts.map(({ id, snapshot: { mixName, mouldName, colour } }) => [
      `${mixName} ${colour}`,
      { key: id, name: `${mixName}, ${mouldName}`, colour },
    ]),
  );
  return [...[...pieces.values()].slice(0, MOST), ...chips, ...tints];
}

/** Takes a colour from an earlier cast, chip or tint. */
export function EarlierColours({
  palette,
  value,
  onChange,
}: {
  palette: Palette;
  value: string;
  onChange: (colour: string) => void;
}) {
  const say = useSay();
  const earlier = useEarlier(palette);
  if (earlier.length === 0) return <p className="quiet">{say('tints.noEarlierColours')}</p>;
  return (
    <ul className="max-h-64 space-y-1 overflow-y-auto">
      {earlier.map(({ key, name, colour }) => (
        <li key={key}>
          <button
            type="button"
            aria-pressed={value === colour}
            className={`flex min-h-11 w-full items-center gap-3 px-1 text-left text-sm ${value === colour ? 'bg-base-300 font-semibold' : 'hover:bg-base-200'}`}
            onClick={() => onChange(colour)}
          >
            <span className="chamfer h-8 w-12 shrink-0" style={{ background: colour }} aria-hidden="true" />
            {name}
          </button>
        </li>
      ))}
    </ul>
  );
}
