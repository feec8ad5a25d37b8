import { useState } from 'react';
import {
  againstSealer,
  coatTools,
  coatToolWords,
  pieceUses,
  sealAdvice,
  sealerOf,
  sealers,
  sealerVolume,
  sealingGate,
  sides,
  type CoatTool,
  type PieceUse,
  type Sealer,
  type Side,
} from '@dewpot/core';
import type { CastView, MaterialView } from '@dewpot/contract';
import { useQuery } from '@tanstack/react-query';
import { useSession } from '../api/session';
import { storesQuery } from '../api/work';
import { Choice } from '../ui/choice';
import { Picks } from '../ui/picks';
import { Reckoning } from '../ui/reckoning';
import { useNow } from '../ui/use-now';
import { useUnits } from '../ui/units';
import type { ActionProps } from './cast-actions';
import { areaToSeal, porousOf } from './faces-of';
import { Overrule } from './overrule';
import { toolWords, usualUses, useWords } from './seal-words';
import { sideWords } from './words';

interface Product {
  readonly id: string;
  readonly sealer: Sealer;
  readonly materialId?: string;
}

/** Sealers to choose from: those of the stores, else the handbook's kinds. */
function productsOf(materials: readonly MaterialView[] | undefined): Product[] {
  const own = (materials ?? []).flatMap(({ id, name, sealer }) =>
    sealer ? [{ id, materialId: id, sealer: sealerOf(name, sealer) }] : [],
  );
  return own.length > 0 ? own : Object.values(sealers).map((sealer) => ({ id: sealer.kind, sealer }));
}

/** Casts that are not dry enough for a sealer yet, each with what is missing. */
function shutFor(casts: readonly CastView[], sealer: Sealer, drying: 'scale' | 'clear-film' | 'calendar', now: number) {
  return casts
    .filter(({ life }) => life.coats.length === 0)
    .flatMap((cast) => {
      const { life, expected, snapshot, dry } = cast;
      if (dry.inferredFrom && !sealer.film) return dry.dryEnough ? [] : [{ cast, reasons: dry.missing }];
      const gate = sealingGate(life, expected, snapshot.setting, sealer, now, { drying });
      return gate.open ? [] : [{ cast, reasons: gate.reasons }];
    });
}

/** A coat of sealer by what the piece is for. A damp piece is refused with the reason; that can be overruled, and is kept. */
export function CoatForm({ casts, busy, record }: ActionProps) {
  const units = useUnits();
  const now = useNow();
  const { workshop } = useSession();
  const products = productsOf(useQuery(storesQuery).data?.materials);
  const first = casts[0]!;
  const plan = first.life.sealPlan;
  const [uses, setUses] = useState<readonly PieceUse[]>(plan?.uses ?? usualUses(first.snapshot.piece));
  const [chosen, setChosen] = useState<string | undefined>(plan?.materialId ?? plan?.sealer);
  const advice = sealAdvice(uses);
  const [coats, setCoats] = useState<number | undefined>(plan?.coats || undefined);
  const [side, setSide] = useState<Side | undefined>(plan?.side);
  const [tool, setTool] = useState<CoatTool>('brush');
  const [reason, setReason] = useState('');
  const { sealer, materialId } =
    products.find(({ id, sealer: one }) => id === chosen || one.kind === chosen) ??
    products.find(({ sealer: one }) => one.kind === (advice.sealer ?? 'penetrating')) ??
    products[0]!;
  const many = coats ?? Math.max(1, advice.coats);
  const where = side ?? advice.side;
  const shut = shutFor(casts, sealer, workshop.drying ?? 'scale', now);
  const against = againstSealer(sealer, uses, where);
  const volume = sealerVolume(areaToSeal(casts, where), 1, sealer, porousOf(first) ? 'porous' : 'dense');
  const overruled = reason.trim();
  const done = first.life.coats.length;
  const planned = { type: 'seal-planned' as const, uses: [...uses], side: where };
  const save = () =>
    record(
      casts.length > 1 ? `${casts.length} coated.` : 'Coated.',
      casts.flatMap((cast) => {
        const product = { sealer: sealer.kind, ...(materialId && { materialId }) };
        const isShut = shut.some((one) => one.cast.id === cast.id);
        return [
          ...(done === 0 ? [{ cast, event: { ...planned, ...product, coats: many } }] : []),
          {
            cast,
            event: {
              type: 'coated' as const,
              ...product,
              side: where,
              tool,
              volume: volume.value / casts.length,
              ...(isShut && { overruled }),
            },
          },
        ];
      }),
    );
  const leaveBare = () =>
    record(
      'It stays bare.',
      casts.map((cast) => ({ cast, event: { ...planned, coats: 0 } })),
    );
  return (
    <form className="space-y-4" onSubmit={(event) => event.preventDefault()}>
      {done === 0 && (
        <>
          <Picks
            legend="What is it for?"
            options={pieceUses.map((value) => ({ value, label: useWords[value] }))}
            value={uses}
            onChange={setUses}
          />
          <p>
            <strong>
              {advice.sealer
                ? `${sealers[advice.sealer].name}, ${advice.coats} ${advice.coats > 1 ? 'coats' : 'coat'}.`
                : 'Leave it bare.'}
            </strong>{' '}
            {advice.reason}
          </p>
          {advice.cautions.map((caution) => (
            <p key={caution} className="border-accent border-l-4 pl-3">
              {caution}
            </p>
          ))}
          {!advice.sealer && (
            <button type="button" disabled={busy} className="btn btn-primary h-14 w-full text-lg" onClick={leaveBare}>
              Leave it bare
            </button>
          )}
        </>
      )}
      <Choice
        legend="With"
        options={products.map(({ id, sealer: one }) => ({ value: id, label: one.name }))}
        value={products.find(({ sealer: one }) => one === sealer)?.id}
        onChange={setChosen}
      />
      <div className="flex flex-wrap gap-x-6 gap-y-3">
        {done === 0 && (
          <Choice
            legend="Coats"
            options={[1, 2, 3].map((value) => ({ value, label: `${value}` }))}
            value={many}
            onChange={setCoats}
          />
        )}
        <Choice
          legend="Where"
          options={sides.map((value) => ({ value, label: sideWords[value] }))}
          value={where}
          onChange={setSide}
        />
        <Choice
          legend="How"
          options={coatTools.map((value) => ({ value, label: toolWords[value] }))}
          value={tool}
          onChange={setTool}
        />
      </div>
      <p className="quiet text-sm">
        {toolWords[tool]}: {coatToolWords[tool]}.
      </p>
      <div>
        <p>
          One thin coat takes about <strong>{units.sayFigure(volume)}</strong> for{' '}
          {casts.length > 1 ? `these ${casts.length}` : 'this piece'}; wipe what stands. Full cure {sealer.cureDays}{' '}
          days.
        </p>
        <Reckoning figure={volume} />
      </div>
      {against.length > 0 && (
        <ul className="border-accent list-none space-y-1 border-l-4 pl-3">
          {against.map((one) => (
            <li key={one}>{one}</li>
          ))}
        </ul>
      )}
      {shut.length > 0 && (
        <Overrule
          title={
            shut.length === casts.length
              ? 'not dry enough to seal'
              : `${shut.map(({ cast }) => cast.code).join(', ')} not dry enough`
          }
          reasons={[...new Set(shut.flatMap(({ reasons }) => reasons))]}
          note="Sealed damp, a film blisters, peels or clouds."
          label="Coat it all the same, because"
          reason={reason}
          onReason={setReason}
        />
      )}
      <button
        type="submit"
        disabled={busy || (shut.length > 0 && overruled === '')}
        className={`btn h-16 w-full text-lg ${shut.length > 0 ? 'btn-accent' : 'btn-primary'}`}
        onClick={save}
      >
        {shut.length > 0
          ? 'Coat against the advice'
          : many > 1
            ? `Coat ${done + 1} of ${Math.max(many, done + 1)} is on`
            : 'One coat is on'}
      </button>
    </form>
  );
}
