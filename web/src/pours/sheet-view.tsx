import { anyOf, identity, msg, quantity } from '@dewpot/core/units';
import { alike, type CautionStep, type Placing, type Sheet } from '@dewpot/core/pours';
import type { ReactNode } from 'react';
import { BigFigure, FigureWorking } from '../ui/figure-working';
import { useUnits } from '../ui/units';
import { Placings } from './placings-view';
import { SheetRows } from './sheet-rows';
import { BucketTurns } from './bucket-turns';
import { wayNames } from '../ui/measuring-words';
import { WaterSlab } from './water-slab';
import { LocalRules } from '../ui/local-rules';
import { useSay } from '../ui/say';

function Cautions({ sheet, step }: { sheet: Sheet; step: CautionStep }) {
  const say = useSay();
  const here = sheet.cautions.filter((caution) => caution.step === step);
  return here.map(({ text }) => (
    <p key={identity(text)} className="border-accent my-2 border-l-4 pl-3 text-sm">
      {say(text)}
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

/** How a sheet's buckets are to be told: one for all, or each by itself. */
function bucketsOf({ bucketfuls, batches: { count } }: Sheet) {
  const turns = alike(bucketfuls);
  const tinted = turns.some(({ one }) => one.tint);
  return { turns, tinted, inTurns: tinted || turns.length > 1, count };
}

type Buckets = ReturnType<typeof bucketsOf>;

/** The mixing sheet: what goes into the bucket in order, in the caster's own scoops and in grams. */
export function SheetView({
  sheet,
  placings,
  tappable = false,
}: {
  sheet: Sheet;
  placings: readonly Placing[];
  tappable?: boolean;
}) {
  const say = useSay();
  const { batch, warnings, way } = sheet;
  const buckets = bucketsOf(sheet);
  const { turns, tinted, inTurns, count } = buckets;
  const each = tinted ? 'tint' : inTurns ? 'bucket' : count > 1 ? 'batch' : 'none';
  return (
    <div>
      {sheet.cautions.length > 0 && <LocalRules />}
      {warnings.length > 0 && (
        <ul className="border-warning my-3 space-y-1 border-l-4 pl-3">
          {warnings.map((warning) => (
            <li key={identity(warning)}>{say(warning)}</li>
          ))}
        </ul>
      )}
      <div>
        <Step n={1} title={say('pours.measureStep', { way: wayNames[way.way], each })}>
          <Cautions sheet={sheet} step="measure" />
          {inTurns ? (
            <BucketTurns turns={turns} tappable={tappable} />
          ) : (
            <SheetRows lines={batch.lines} doses={batch.doses} water={batch.water} tappable={tappable} />
          )}
          <Totals sheet={sheet} buckets={buckets} />
          <ComesOutEven even={sheet.even} />
        </Step>
        <Step n={2} title={say('pours.mix')}>
          <Cautions sheet={sheet} step="mix" />
          <Method steps={sheet.method} />
          {!inTurns && <WaterSlab water={batch.water} />}
        </Step>
        <Step n={3} title={say('pours.place')}>
          <Cautions sheet={sheet} step="place" />
          <Placings placings={placings} />
        </Step>
        <Step n={4} title={say('pours.expectedCasts')}>
          <Cautions sheet={sheet} step="lift" />
          <Pieces pieces={sheet.pieces} />
          <Cautions sheet={sheet} step="clean" />
        </Step>
      </div>
    </div>
  );
}

function Totals({ sheet, buckets: { tinted, inTurns, count } }: { sheet: Sheet; buckets: Buckets }) {
  const say = useSay();
  const { amount, batch, leftover, potLife, cost } = sheet;
  // Less than half a millilitre is neither missing nor left over.
  const short = leftover.value < -0.5;
  return (
    <div className="border-base-300 grid grid-cols-[repeat(auto-fit,minmax(8.5rem,1fr))] gap-x-4 gap-y-2 border-t pt-2">
      <BigFigure size="text-2xl" label={say('pours.toMixInAll')} figure={amount} />
      <div>
        <p className="quiet text-sm">{say('pours.inBatches')}</p>
        <p className="numeral text-2xl">{count}</p>
        <p className="quiet text-sm">
          {tinted
            ? say('pours.tintByTint')
            : inTurns
              ? say('pours.eachBelow')
              : count > 1
                ? say('pours.alikeEach', { volume: quantity(batch.volume, 'mL') })
                : say('pours.oneBucketful')}
        </p>
      </div>
      <BigFigure
        size="text-2xl"
        label={short ? say('pours.fallsShortBy') : say('pours.leftOverTitle')}
        figure={{ ...leftover, value: Math.abs(leftover.value) }}
      />
      <BigFigure size="text-2xl" label={say('pours.potLife')} term="pot-life" figure={potLife} />
      {cost && <BigFigure size="text-2xl" label={say('pours.materials')} figure={cost} />}
    </div>
  );
}

function ComesOutEven({ even }: { even: Sheet['even'] }) {
  const say = useSay();
  if (!even) return null;
  const ways = [
    even.spare !== undefined && msg('pours.evenSpare', { spare: quantity(even.spare * 100, '%', 0) }),
    even.count !== undefined && msg('pours.evenCount', { count: even.count }),
  ];
  return <p className="my-2">{say('pours.comesOutEven', { ways: anyOf(ways.filter((way) => way !== false)) })}</p>;
}

function Method({ steps }: { steps: Sheet['method'] }) {
  const say = useSay();
  return (
    <ol className="mb-3 list-decimal space-y-0.5 pl-6">
      {steps.map(({ text, why }) => (
        <li key={identity(text)}>
          {say(text)} {why && <span className="quiet text-sm">({say(why)})</span>}
        </li>
      ))}
    </ol>
  );
}

function Pieces({ pieces }: { pieces: Sheet['pieces'] }) {
  const say = useSay();
  const units = useUnits();
  return (
    <ul className="divide-base-300 divide-y">
      {pieces.map((piece, i) => (
        <li key={i} className="grid gap-x-4 py-2 sm:grid-cols-[1fr_auto_auto]">
          <span className="font-semibold">
            {piece.count} × {piece.name}
          </span>
          <span>{say('pours.freshMass', { fresh: units.sayFigure(piece.fresh) })}</span>
          <span>
            {say('pours.dryMass', { dry: piece.dry })} <FigureWorking figure={piece.dry} label={say('pours.why')} />
          </span>
        </li>
      ))}
    </ul>
  );
}
