import { useState } from 'react';
import {
  againstSealer,
  coatTools,
  coatToolWords,
  sealAdvice,
  sealerVolume,
  sides,
  type CoatTool,
  type PieceUse,
  type Side,
} from '@dewpot/core';
import { useQuery } from '@tanstack/react-query';
import { useAir } from '../api/session';
import { storesQuery } from '../api/materials';
import { Button } from '../ui/button';
import { Choice } from '../ui/choice';
import { FigureWorking } from '../ui/figure-working';
import { sayDay } from '../ui/format-time';
import { useNow } from '../ui/use-now';
import { useUnits } from '../ui/units';
import type { ActionProps } from '../ui/casts/action-props';
import { lotOf, productsOf, remarksOn, shutFor, useGateGrounds } from './coat-grounds';
import { areaToSeal, porousOf } from './faces-of';
import { OverrideField } from '../ui/casts/override-field';
import { SealUse } from './seal-use';
import { toolWords, usualUses } from '../ui/casts/seal-words';
import { sideWords } from '../ui/casts/event-words';

/** A coat of sealer by what the piece is for. A damp piece is refused with the reason; that can be overridden, and is kept. */
export function CoatForm({ casts, busy, record }: ActionProps) {
  const units = useUnits();
  const now = useNow();
  const stores = useQuery(storesQuery).data;
  const air = useAir().data?.now;
  const products = productsOf(stores?.materials);
  const first = casts[0]!;
  const plan = first.life.sealPlan;
  const [uses, setUses] = useState<readonly PieceUse[]>(plan?.uses ?? usualUses(first.snapshot.piece));
  const [chosen, setChosen] = useState<string | undefined>(plan?.materialId ?? plan?.sealer);
  const advice = sealAdvice(uses);
  const [coats, setCoats] = useState<number | undefined>(plan?.coats || undefined);
  const [side, setSide] = useState<Side | undefined>(plan?.side);
  const [tool, setTool] = useState<CoatTool>('brush');
  const [reason, setReason] = useState('');
  const product =
    products.find(({ id, sealer: one }) => id === chosen || one.kind === chosen) ??
    products.find(({ sealer: one }) => one.kind === (advice.sealer ?? 'penetrating')) ??
    products[0]!;
  const { sealer, materialId } = product;
  const lot = lotOf(product, stores?.lots ?? [], now);
  const remarks = remarksOn(casts, sealer, now, air, lot?.openMonths);
  const soon = remarks.filter(({ severity }) => severity === 'refuse');
  const many = coats ?? Math.max(1, advice.coats);
  const where = side ?? advice.side;
  const shut = shutFor(casts, sealer, useGateGrounds(), now);
  const against = againstSealer(sealer, uses, where);
  const volume = sealerVolume(areaToSeal(casts, where), 1, sealer, porousOf(first) ? 'porous' : 'dense');
  const overridden = reason.trim();
  const advised = shut.length > 0 || soon.length > 0;
  const done = first.life.coats.length;
  const planned = { type: 'seal-planned' as const, uses: [...uses], side: where };
  const save = () =>
    record(
      casts.length > 1 ? `${casts.length} coated.` : 'Coated.',
      casts.flatMap((cast) => {
        const by = { sealer: sealer.kind, ...(materialId && { materialId }) };
        const isShut = soon.length > 0 || shut.some((one) => one.cast.id === cast.id);
        return [
          ...(done === 0 ? [{ cast, event: { ...planned, ...by, coats: many } }] : []),
          {
            cast,
            event: {
              type: 'coated' as const,
              ...by,
              side: where,
              tool,
              volume: volume.value / casts.length,
              ...(isShut && { overridden }),
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
      {done === 0 && <SealUse uses={uses} onUses={setUses} busy={busy} onLeaveBare={leaveBare} />}
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
        {lot && (
          <p className="quiet text-sm">
            From the lot of {sayDay(lot.boughtAt, now)}: {units.say(lot.left, 'mL')} left
            {lot.left < volume.value && ', too little for it'}.
          </p>
        )}
        <FigureWorking figure={volume} />
      </div>
      {remarks
        .filter(({ severity }) => severity === 'tell')
        .map(({ told, remedy }) => (
          <p key={told} className="border-accent border-l-4 pl-3">
            {told} {remedy}
          </p>
        ))}
      {against.length > 0 && (
        <ul className="border-accent list-none space-y-1 border-l-4 pl-3">
          {against.map((one) => (
            <li key={one}>{one}</li>
          ))}
        </ul>
      )}
      {advised && (
        <OverrideField
          title={
            shut.length === 0
              ? 'not yet'
              : shut.length === casts.length
                ? 'not dry enough to seal'
                : `${shut.map(({ cast }) => cast.code).join(', ')} not dry enough`
          }
          reasons={[...new Set([...shut.flatMap(({ reasons }) => reasons), ...soon.map(({ told }) => told)])]}
          note="Sealed damp, a film blisters, peels or clouds."
          label="Coat it all the same, because"
          reason={reason}
          onReason={setReason}
        />
      )}
      <Button
        type="submit"
        disabled={busy || (advised && overridden === '')}
        look={advised ? 'warning' : 'main'}
        size="bench"
        className="w-full text-lg"
        onClick={save}
      >
        {advised
          ? 'Coat against the advice'
          : many > 1
            ? `Coat ${done + 1} of ${Math.max(many, done + 1)} is on`
            : 'One coat is on'}
      </Button>
    </form>
  );
}
