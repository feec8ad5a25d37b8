import { sayScoops, SPOON, type CautionStep, type Sheet, type SheetDose, type ShoppingLine } from '@dewpot/core';
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

/** A dose as the scale gives it, or a level spoon. */
function DoseRow({ dose }: { dose: SheetDose }) {
  const units = useUnits();
  const { mass, onScale, name, words, spoons, milliliters, advice } = dose;
  return (
    <li className="grid grid-cols-[4.5rem_1fr] gap-x-3 py-2 sm:grid-cols-[5.5rem_1fr]">
      <span className="numeral text-2xl whitespace-nowrap">{units.say(onScale, 'g')}</span>
      <span>
        <span className="font-semibold">{name}</span>{' '}
        <span className="quiet">
          {words}, or{' '}
          {spoons === undefined ? units.say(milliliters!, 'mL') : `${sayScoops(spoons)} level spoons of ${SPOON} mL`}
        </span>
        {advice && <span className="text-warning block text-sm">{advice}</span>}
        <Reckoning figure={mass} label="Why so much?" />
      </span>
    </li>
  );
}

/** What the store has too little of, and what to buy in whole bags. */
function Shopping({ lines }: { lines: readonly ShoppingLine[] }) {
  const units = useUnits();
  if (lines.length === 0) return null;
  const cost = lines.reduce((sum, line) => sum + (line.cost ?? 0), 0);
  return (
    <section className="border-warning my-3 border-l-4 pl-3" aria-label="To buy">
      <p className="font-semibold">Short in store{cost > 0 && `: ${units.say(cost, 'money')} to buy`}</p>
      <ul>
        {lines.map(({ materialId, name, missing, bags, bag, cost: price }) => (
          <li key={materialId}>
            {units.say(missing, 'g')} of {name.toLowerCase()}
            {bags !== undefined &&
              `: ${bags} ${bags === 1 ? 'bag' : 'bags'} of ${units.say(bag!, 'g')}, ${units.say(price!, 'money')}`}
          </li>
        ))}
      </ul>
    </section>
  );
}

/** The mixing sheet: what goes into the bucket in order, in the caster's own scoops and in grams. */
export function SheetView({ sheet, scoop, tappable = false }: { sheet: Sheet; scoop: string; tappable?: boolean }) {
  const units = useUnits();
  const { batch, batches, amount, leftover, cost, short, warnings, method, better } = sheet;
  return (
    <div>
      <div className="grid grid-cols-[repeat(auto-fit,minmax(9.5rem,1fr))] gap-4">
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
      <Shopping lines={short} />
      {better && (
        <p className="my-2">
          {Math.abs(Math.round((better.factor - 1) * 100))} % {better.factor > 1 ? 'more' : 'less'} comes out{' '}
          {better.worst < 0.005 ? 'even' : `within ${(better.worst * 100).toFixed(0)} %`} in this scoop: change the
          spare, or the counts.
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
            {batch.doses.map((dose) => (
              <DoseRow key={dose.materialId} dose={dose} />
            ))}
          </ul>
        </Step>
        <Step n={2} title="Mix">
          <Cautions sheet={sheet} step="mix" />
          <ol className="mb-3 list-decimal space-y-0.5 pl-6">
            {method.map(({ text, why }) => (
              <li key={text}>
                {text} {why && <span className="quiet text-sm">({why})</span>}
              </li>
            ))}
          </ol>
          <div className="flex flex-wrap items-center gap-x-8 gap-y-2">
            <WaterGlass water={batch.water} />
            <div className="min-w-52 flex-1">
              <p>
                Put in <strong>{units.say(batch.water.first, 'mL')}</strong>
                {batch.water.powderHeld === undefined ? (
                  <>
                    , then splashes of <strong>{units.say(batch.water.splash, 'mL')}</strong> until it looks right.
                  </>
                ) : (
                  <>
                    , all of it, and hold back <strong>{units.say(batch.water.powderHeld, 'g')}</strong> of the powder
                    to add by eye.
                  </>
                )}
              </p>
              {batch.water.brought > 0 && (
                <p className="quiet">
                  Damp and liquid materials bring {units.say(batch.water.brought, 'mL')} by themselves.
                </p>
              )}
              <p className="quiet">
                Past {units.say(batch.water.ceiling, 'mL')} it turns weak
                {batch.water.floor === undefined
                  ? ' for where it will live.'
                  : `; under ${units.say(batch.water.floor, 'mL')} it has dry pockets and brittle edges.`}
              </p>
              <Reckoning figure={batch.water.tap} />
            </div>
          </div>
        </Step>
        <Step n={3} title="Stand, place, tap">
          <p>
            Fill a fifth to a third, work the corners and round the core, then slowly to the rim, tapping until the
            bubbles stop.
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
