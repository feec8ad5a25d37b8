import { sayScoops } from '@dewpot/core/materials';
import type { Measure } from '@dewpot/core/measuring';
import { Scale } from 'lucide-react';
import { ScoopTally } from './scoop-tally';
import { useUnits } from './units';
import { useSay } from './say';

/** The number of a measure in large, and what it is of beneath it. */
export function MeasureFigures({ measures }: { measures: readonly Measure[] }) {
  const say = useSay();
  const units = useUnits();
  return measures.map((one, i) => (
    <span key={i} className="block leading-tight">
      <span className="numeral text-3xl whitespace-nowrap sm:text-4xl">
        {one.kind === 'scoop' ? sayScoops(one.count) : units.say(one.mass, 'g')}
      </span>
      <span className="quiet block text-sm whitespace-nowrap">
        {one.kind === 'scoop' ? one.scoop.name : say('ui.onTheScale')}
      </span>
    </span>
  ));
}

/** Measures drawn: each scoop by its own size, the scale as itself. */
export function MeasureTally({
  name,
  measures,
  tappable = false,
}: {
  name: string;
  measures: readonly Measure[];
  tappable?: boolean;
}) {
  const say = useSay();
  const units = useUnits();
  return measures.map((one, i) =>
    one.kind === 'scoop' ? (
      <ScoopTally key={i} name={name} count={one.count} volume={one.scoop.volume} tappable={tappable} />
    ) : (
      <span key={i} className="quiet flex items-center gap-2 py-1">
        <Scale size={28} aria-hidden="true" /> {units.say(one.mass, 'g')} {say('ui.onTheScale')}
      </span>
    ),
  );
}

/** Each measure with its number beside what is drawn of it. */
export function Measures({
  name,
  measures,
  tappable,
}: {
  name: string;
  measures: readonly Measure[];
  tappable: boolean;
}) {
  return (
    <span className="flex flex-wrap items-center gap-x-6 gap-y-1">
      {measures.map((one, i) => (
        <span key={i} className="flex items-center gap-3">
          <span>
            <MeasureFigures measures={[one]} />
          </span>
          {one.kind === 'scoop' ? (
            <MeasureTally name={name} measures={[one]} tappable={tappable} />
          ) : (
            <Scale size={28} className="quiet" aria-hidden="true" />
          )}
        </span>
      ))}
    </span>
  );
}
