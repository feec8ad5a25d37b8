import { identity } from '@dewpot/core/units';
import { defined } from '@dewpot/core/math';
import { hexOf, SEEN, type FoundTint } from '@dewpot/core/tints';
import { Link } from 'react-router';
import type { Palette } from '../api/tints';
import { buttonClass } from '../ui/button';
import { CastFace } from '../ui/cast-face';
import { useUnits } from '../ui/units';
import { calculateTintBody, sayDoses } from './tint-words';
import { useSay } from '../ui/say';

/** Further than this, a colour is another one to any eye, ΔE00. */
const FAR = 5;

function sayAway(away: number): string {
  if (away <= SEEN) return 'nobody tells it from what you want';
  return away <= FAR ? 'close: side by side it is told apart' : 'another colour: see it beside yours';
}

/** What a search found: each recipe beside the wanted colour. */
export function FoundTints({
  wanted,
  base,
  found,
  palette,
}: {
  wanted: string;
  base: { binderId: string; sandId?: string };
  found: readonly FoundTint[] | undefined;
  palette: Palette;
}) {
  if (!found)
    return (
      <section className="card-slab quiet" aria-label="What comes near">
        <h2 className="text-base-content text-2xl">What comes near</h2>
        <p>Choose a colour and look: up to three recipes, each beside the colour that you want.</p>
      </section>
    );
  const nearest = found[0];
  return (
    <section className="card-slab" aria-label="What comes near">
      <h2 className="text-2xl">
        {!nearest
          ? 'Nothing comes near'
          : nearest.away <= FAR
            ? 'What comes near'
            : 'Out of reach: this is the nearest'}
      </h2>
      {nearest && nearest.away > FAR && (
        <p className="text-warning">
          No dose under the ceiling makes this colour on this base. A paler base, or a pigment of that hue, takes it
          further.
        </p>
      )}
      <ol className="divide-base-300 divide-y">
        {found.map((one) => (
          <FoundRow key={one.doses.map(({ id }) => id).join()} found={one} {...{ wanted, base, palette }} />
        ))}
      </ol>
    </section>
  );
}

function FoundRow({
  found: { doses, spectrum, away, cost },
  wanted,
  base,
  palette,
}: {
  found: FoundTint;
  wanted: string;
  base: { binderId: string; sandId?: string };
  palette: Palette;
}) {
  const say = useSay();
  const units = useUnits();
  const rounded = doses.map(({ id, dose }) => ({ materialId: id, amount: Number((dose / 100).toFixed(4)) }));
  const { figures } = calculateTintBody({ base, doses: rounded }, palette);
  const words = sayDoses(
    rounded.map(({ materialId, amount }) => ({ material: defined(palette.find(materialId)), amount })),
  );
  const address = new URLSearchParams({
    binder: base.binderId,
    ...(base.sandId && { sand: base.sandId }),
    doses: rounded.map(({ materialId, amount }) => `${materialId}:${amount}`).join(','),
  });
  return (
    <li className="grid gap-4 py-3 sm:grid-cols-[12rem_1fr]">
      <span>
        <CastFace
          colour={hexOf(spectrum)}
          other={wanted}
          label={`${words}, beside the colour that you want`}
          className="h-28 w-full"
        />
        <span className="quiet flex justify-between text-xs">
          <span>this</span>
          <span>wanted</span>
        </span>
      </span>
      <span>
        <strong className="block text-lg leading-tight">{words}</strong>
        <span className="block">
          <span className="numeral text-2xl">ΔE {away.toFixed(1)}</span> <span className="quiet">{sayAway(away)}</span>
        </span>
        <span className="quiet block text-sm">
          {cost !== undefined && `${units.say(cost, 'money')} of pigment for a kilogram of binder. `}
          {figures &&
            (figures.strength < 1
              ? `Costs ${Math.round((1 - figures.strength) * 100)} % of the strength. `
              : 'Costs no strength. ')}
          {figures?.chips === 0 && 'Not tried yet: cast a chip of it before the piece.'}
        </span>
        {figures?.warnings.map((warning) => (
          <span key={identity(warning)} className="text-warning block text-sm">
            {say(warning)}
          </span>
        ))}
        <Link to={`/tints/new?${address}`} className={buttonClass({ className: 'mt-2' })}>
          Take it as a tint
        </Link>
      </span>
    </li>
  );
}
