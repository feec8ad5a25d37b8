import { identity, exactly, quantity, fixed } from '@dewpot/core/units';
import { defined } from '@dewpot/core/math';
import { hexOf, type FoundTint } from '@dewpot/core/tints';
import { Link } from 'react-router';
import type { Palette } from '../api/tints';
import { buttonClass } from '../ui/button';
import { CastFace } from '../ui/cast-face';
import { HaveAlready } from './have-already';
import { FAR, tellAway } from '../ui/tell-away';
import { calculateTintBody, tellDoses } from './tint-words';
import { useSay } from '../ui/say';

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
  const say = useSay();
  if (!found) return <HaveAlready wanted={wanted} palette={palette} />;
  const nearest = found[0];
  return (
    <section className="card-slab" aria-label={say('tints.whatComesNear')}>
      <h2 className="text-2xl">
        {!nearest
          ? say('tints.nothingNear')
          : nearest.away <= FAR
            ? say('tints.whatComesNear')
            : say('tints.outOfReach')}
      </h2>
      {nearest && nearest.away > FAR && <p className="text-warning">{say('tints.outOfReachHow')}</p>}
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
  const rounded = doses.map(({ id, dose }) => ({ materialId: id, amount: Number((dose / 100).toFixed(4)) }));
  const { figures } = calculateTintBody({ base, doses: rounded }, palette);
  const words = say.value(
    tellDoses(rounded.map(({ materialId, amount }) => ({ material: defined(palette.find(materialId)), amount }))),
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
          label={say('tints.besideWanted', { words })}
          className="h-28 w-full"
        />
        <span className="quiet flex justify-between text-xs">
          <span>{say('tints.this')}</span>
          <span>{say('tints.wanted')}</span>
        </span>
      </span>
      <span>
        <strong className="block text-lg leading-tight">{words}</strong>
        <span className="block">
          <span className="numeral text-2xl">{say('tints.deltaE', { away: fixed(away, 1) })}</span>{' '}
          <span className="quiet">{say(tellAway(away))}</span>
        </span>
        <span className="quiet block text-sm">
          {[
            cost !== undefined &&
              say('tints.pigmentCost', { cost: quantity(cost, 'money'), binder: exactly(1000, 'g') }),
            figures &&
              (figures.strength < 1
                ? say('tints.costsStrength', { strength: quantity((1 - figures.strength) * 100, '%', 0) })
                : say('tints.costsNoStrength')),
            figures?.chips === 0 && say('tints.notTriedCast'),
          ]
            .filter(Boolean)
            .join(' ')}
        </span>
        {figures?.warnings.map((warning) => (
          <span key={identity(warning)} className="text-warning block text-sm">
            {say(warning)}
          </span>
        ))}
        <Link to={`/tints/new?${address}`} className={buttonClass({ className: 'mt-2' })}>
          {say('tints.takeAsTint')}
        </Link>
      </span>
    </li>
  );
}
