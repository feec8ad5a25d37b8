import { useState } from 'react';
import { identity, quantity, msg } from '@dewpot/core/units';
import { defined } from '@dewpot/core/math';
import { hexOf, lookNames, type Look, type TintFigures } from '@dewpot/core/tints';
import type { MouldView } from '@dewpot/contract';
import { CastFace } from '../ui/cast-face';
import { PieceThumb } from '../ui/piece-thumb';
import { SelectField } from '../ui/select-field';
import { useSay } from '../ui/say';

/** Looks beside the dry one, in the order a piece goes through them. */
const others: readonly Look[] = ['fresh', 'wet', 'penetrating', 'matt', 'film'];

/** The mould that is filled most: the one a caster sees the tint on. */
const mostPoured = (moulds: readonly MouldView[]) =>
  moulds.reduce<MouldView | undefined>(
    (most, mould) => (most && most.cycles >= mould.cycles ? most : mould),
    undefined,
  );

/** A tint in every look, next to each other and on a mould, with the band that it may come to. */
export function LooksSlab({
  name,
  figures,
  moulds,
}: {
  name: string;
  figures: TintFigures;
  moulds: readonly MouldView[];
}) {
  const say = useSay();
  const { base, looks, strength, warnings } = figures;
  const of = (look: Look) => defined(looks.find((one) => one.look === look)).colour;
  return (
    <section className="card-slab" aria-label={say('tints.howItLooks')}>
      <div className="grid gap-4 sm:grid-cols-[minmax(0,1.6fr)_minmax(0,1fr)]">
        <DryLook name={name} dry={of('dry')} figures={figures} />
        <div>
          <ul className="grid grid-cols-2 gap-2">
            {others.map((look) => (
              <li key={look}>
                <CastFace
                  colour={of(look)}
                  label={say('tints.lookNamed', { name: name || msg('tints.theTint'), look: lookNames[look] })}
                  className="h-20 w-full"
                />
                <span className="block text-sm leading-tight">{say(lookNames[look])}</span>
              </li>
            ))}
            <li>
              <CastFace colour={hexOf(base)} label={say('tints.baseDry')} className="h-20 w-full" />
              <span className="quiet block text-sm leading-tight">{say('tints.baseItselfDry')}</span>
            </li>
          </ul>
        </div>
      </div>
      {warnings.length > 0 && (
        <ul className="border-warning mt-3 space-y-1 border-l-4 pl-3">
          {warnings.map((warning) => (
            <li key={identity(warning)}>{say(warning)}</li>
          ))}
        </ul>
      )}
      {strength < 1 && (
        <p className="mt-2">
          {say('tints.pigmentCosts', { strength: quantity(Math.round((1 - strength) * 100), '%', 0) })}
        </p>
      )}
      <OnMould moulds={moulds} colourOf={of} />
    </section>
  );
}

/** The tint cured and dry, with the band that it may come to. */
function DryLook({
  name,
  dry,
  figures: { doubt, restsOn, chips },
}: {
  name: string;
  dry: string;
  figures: TintFigures;
}) {
  const say = useSay();
  // Until a chip told of every pigment, only a band of likely colours is honest.
  const untried = chips === 0;
  return (
    <figure>
      <CastFace
        colour={dry}
        across={untried ? doubt : undefined}
        label={say('tints.curedDry', { name: name || msg('tints.theTint'), untried: untried ? 'yes' : 'no' })}
        className="h-56 w-full"
      />
      <figcaption className="mt-1 flex items-baseline justify-between gap-2">
        <strong>{untried ? say('tints.somewhereBetween', { look: lookNames.dry }) : say(lookNames.dry)}</strong>
        <code className="quiet text-xs">{dry}</code>
      </figcaption>
      {untried && <p className="text-warning mt-1 text-sm font-semibold">{say(restsOn)}</p>}
      {!untried && doubt.length > 1 && (
        <>
          <div className="mt-2 flex h-9" role="img" aria-label={say('tints.mayComeTo')}>
            {doubt.map((colour, i) => (
              <span key={i} className="flex-1" style={{ background: colour }} />
            ))}
          </div>
          <p className="quiet mt-1 text-sm">{say(restsOn)}</p>
        </>
      )}
      {doubt.length === 1 && <p className="quiet mt-1 text-sm">{say(restsOn)}</p>}
    </figure>
  );
}

/** A mould's silhouette in the looks that matter most. */
function OnMould({ moulds, colourOf }: { moulds: readonly MouldView[]; colourOf: (look: Look) => string }) {
  const say = useSay();
  const [mouldId, setMouldId] = useState(() => mostPoured(moulds)?.id);
  const mould = moulds.find(({ id }) => id === mouldId);
  if (!mould) return null;
  return (
    <div className="border-base-300 mt-4 flex flex-wrap items-end gap-x-6 gap-y-2 border-t pt-3">
      <SelectField
        label={say('tints.onSilhouette')}
        className="w-56"
        value={mould.id}
        options={moulds.map(({ id, name: label }) => ({ value: id, label }))}
        onChange={setMouldId}
      />
      {(['wet', 'dry', 'film'] as const).map((look) => (
        <figure key={look} className="text-center">
          <PieceThumb shape={mould.shape} colour={colourOf(look)} size={120} />
          <figcaption className="text-sm">{say(lookNames[look])}</figcaption>
        </figure>
      ))}
    </div>
  );
}
