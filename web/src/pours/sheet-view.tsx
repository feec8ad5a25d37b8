import { sayScoops, type CautionStep, type Sheet } from '@dewpot/core';
import type { ReactNode } from 'react';
import { BigFigure, Reckoning } from '../ui/reckoning';
import { ScoopTally } from '../ui/scoop-tally';
import { useUnits } from '../ui/units';
import { WaterGlass } from '../ui/water-glass';

function Cautions({ sheet, step }: { sheet: Sheet; step: CautionStep }) {
  const here = sheet.cautions.filter((caution) => caution.step === step);
  return here.map(({ text }) => (
    <p key={text} className="border-accent my-2 border-l-4 pl-3 text-sm">
      {text}
    </p>
  ));
}

function Step({ n, title, children }: { n: number; title: string; children: ReactNode }) {
  return (
    <section className="border-base-300 border-t py-3 first:border-0" aria-label={title}>
      <h2 className="mb-1 text-xl">
        <span className="quiet mr-2">{n}</span>
        {title}
      </h2>
      {children}
    </section>
  );
}

/** The mixing sheet: what goes into the bucket in order, in the caster's own scoops and in grams. */
export function SheetView({ sheet, scoop, tappable = false }: { sheet: Sheet; scoop: string; tappable?: boolean }) {
  const units = useUnits();
  const { batch, batches, amount, leftover, cost, short, warnings } = sheet;
  return (
    <div>
      <div className="grid grid-cols-2 gap-4 sm:grid-cols-5">
        <BigFigure label="To mix in all" figure={amount} />
        <div>
          <p className="quiet text-sm">In batches</p>
          <p className="numeral text-3xl">{batches.count}</p>
          <p className="quiet text-sm">
            {batches.count > 1 ? `alike, ${units.say(batch.volume, 'mL')} each` : 'one bucketful'}
          </p>
        </div>
        <BigFigure
          label={leftover.value < 0 ? 'Falls short by' : 'Left over'}
          figure={leftover.value < 0 ? { ...leftover, value: -leftover.value } : leftover}
        />
        <BigFigure label="Workable for" figure={sheet.potLife} />
        {cost && <BigFigure label="Materials" figure={cost} />}
      </div>
      {warnings.length > 0 && (
        <ul className="border-warning my-3 space-y-1 border-l-4 pl-3">
          {warnings.map((warning) => (
            <li key={warning}>{warning}</li>
          ))}
        </ul>
      )}
      {short.length > 0 && (
        <p className="border-warning my-3 border-l-4 pl-3">
          Short in store:{' '}
          {short.map(({ name, missing }) => `${units.say(missing, 'g')} of ${name.toLowerCase()}`).join(', ')}.
        </p>
      )}
      <div className="mt-2">
        <Step n={1} title={`Measure, with ${scoop}${batches.count > 1 ? ', for each batch' : ''}`}>
          <Cautions sheet={sheet} step="measure" />
          <ul className="divide-base-300 divide-y">
            {batch.lines.map((line) => (
              <li
                key={line.materialId}
                className="grid grid-cols-[4.5rem_1fr] gap-x-3 py-2 sm:grid-cols-[5.5rem_11rem_1fr]"
              >
                <span className="numeral text-4xl">{sayScoops(line.scoops.count)}</span>
                <span>
                  <span className="block font-semibold">{line.name}</span>
                  <span className="quiet block">{units.sayFigure(line.mass)}</span>
                  <Reckoning figure={line.mass} label="Why so much?" />
                </span>
                <span className="col-span-2 sm:col-span-1">
                  <ScoopTally name={line.name} count={line.scoops.count} tappable={tappable} />
                </span>
              </li>
            ))}
          </ul>
        </Step>
        <Step n={2} title="Blend dry, then water">
          <Cautions sheet={sheet} step="mix" />
          <div className="flex flex-wrap items-center gap-x-8 gap-y-2">
            <WaterGlass water={batch.water} />
            <div className="min-w-52 flex-1">
              <p>
                Put in <strong>{units.say(batch.water.first, 'mL')}</strong>, then splashes of{' '}
                <strong>{units.say(batch.water.splash, 'mL')}</strong> until it looks right.
              </p>
              {batch.water.brought > 0 && (
                <p className="quiet">The damp materials bring {units.say(batch.water.brought, 'mL')} by themselves.</p>
              )}
              <p className="quiet">Past {units.say(batch.water.ceiling, 'mL')} it turns weak for where it will live.</p>
              <Reckoning figure={batch.water.tap} />
            </div>
          </div>
        </Step>
        <Step n={3} title="Stand, place, tap">
          <p>
            Let it stand one to three minutes. Fill a fifth to a third, work the corners and round the core, then slowly
            to the rim, tapping until the bubbles stop.
          </p>
          <Cautions sheet={sheet} step="place" />
        </Step>
        <Step n={4} title="What comes out">
          <Cautions sheet={sheet} step="lift" />
          <ul className="divide-base-300 divide-y">
            {sheet.pieces.map((piece) => (
              <li key={piece.mouldId} className="grid gap-x-4 py-2 sm:grid-cols-[1fr_auto_auto]">
                <span className="font-semibold">
                  {piece.count} × {piece.name}
                </span>
                <span>{units.sayFigure(piece.fresh)} fresh</span>
                <span>
                  {units.sayFigure(piece.dry)} dry <Reckoning figure={piece.dry} label="Why?" />
                </span>
              </li>
            ))}
          </ul>
          <Cautions sheet={sheet} step="clean" />
        </Step>
      </div>
    </div>
  );
}
