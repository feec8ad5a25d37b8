import { useMemo, useState } from 'react';
import { useSay } from '../ui/say';
import type { Phrase } from '@dewpot/core/units';
import {
  simulate,
  simulationPieces,
  usualChoices,
  type Simulation,
  type SimulationChoices,
} from '@dewpot/core/simulation';
import { Button } from '../ui/button';
import { Chart } from '../ui/chart';
import { SelectField } from '../ui/select-field';
import { ChoicesForm } from './choices-form';
import { CURVES_HEIGHT, curvesOption } from './curves-option';
import { OutcomeList } from './outcome-list';
import { usePieces, type Pieces } from './use-pieces';

/** One way of treating a piece; of the workshop's own moulds also what it is cast in. */
interface Way {
  readonly choices: SimulationChoices;
  readonly mixId?: string;
}

/** What comes of a way; nothing where its piece cannot be cast. */
function useSimulation(pieces: Pieces, key: string, way: Way | undefined) {
  const { choices, mixId } = way ?? {};
  const { piece, trouble } = useMemo(() => pieces.make(key, mixId), [pieces, key, mixId]);
  const came = useMemo(() => (piece && choices ? simulate(piece, choices) : undefined), [piece, choices]);
  return { came, trouble };
}

/** Two ways of treating one piece, side by side, over forty days. */
export function FreePlay() {
  const say = useSay();
  const pieces = usePieces();
  const { options, mixes } = pieces;
  const [key, setKey] = useState('pot');
  const [one, setOne] = useState<Way>({ choices: usualChoices(simulationPieces.pot) });
  const [other, setOther] = useState<Way>();
  const first = useSimulation(pieces, key, one);
  const second = useSimulation(pieces, key, other);
  const option = useMemo(
    () =>
      curvesOption(
        [first.came, second.came].filter((came): came is Simulation => came !== undefined),
        say,
      ),
    [first.came, second.came, say],
  );
  // Another piece begins with a demoulding that suits it; what else was chosen stays.
  const choosePiece = (next: string) => {
    setKey(next);
    const { piece } = pieces.make(next, undefined);
    if (!piece) return;
    const { demould } = usualChoices(piece);
    const suited = (way: Way): Way => ({ ...way, choices: { ...way.choices, demould } });
    setOne(suited);
    setOther((way) => way && suited(way));
  };
  const form = (name: string, way: Way, onChange: (way: Way) => void) => (
    <>
      {pieces.isOwn(key) && (
        <SelectField
          label={say('simulation.castIn')}
          value={way.mixId ?? mixes[0]?.value ?? ''}
          options={mixes}
          onChange={(mixId) => onChange({ ...way, mixId })}
        />
      )}
      <ChoicesForm name={name} choices={way.choices} onChange={(choices) => onChange({ ...way, choices })} />
    </>
  );
  return (
    <div className="grid gap-4 lg:grid-cols-[19rem_minmax(0,1fr)_19rem]">
      <section className="card-slab space-y-4" aria-label={say('simulation.oneWay')}>
        <SelectField label={say('simulation.thePiece')} value={key} options={options} onChange={choosePiece} />
        <h2 className="text-2xl">{say('simulation.oneWay')}</h2>
        {form(say('simulation.oneWay'), one, setOne)}
      </section>
      <section className="card-slab min-w-0" aria-label={say('simulation.fortyDays')}>
        <Chart
          option={option}
          height={CURVES_HEIGHT}
          label={say('simulation.fortyDaysOf', { label: options.find(({ value }) => value === key)?.label ?? '' })}
        />
        <div className={`grid gap-4 ${other ? 'md:grid-cols-2' : ''}`}>
          <CameOf label={say('simulation.comesOfOne')} heading={other && say('simulation.oneWaySolid')} {...first} />
          {other && (
            <CameOf label={say('simulation.comesOfOther')} heading={say('simulation.otherDashed')} {...second} />
          )}
        </div>
        <p className="quiet mt-2 text-sm">{say('simulation.plainModel')}</p>
      </section>
      <section className="card-slab space-y-4 self-start" aria-label={say('simulation.anotherWay')}>
        <h2 className="text-2xl">{say('simulation.anotherWay')}</h2>
        {other ? (
          <>
            {form(say('simulation.anotherWay'), other, setOther)}
            <Button look="plain" className="w-full" onClick={() => setOther(undefined)}>
              {say('simulation.takeAway')}
            </Button>
          </>
        ) : (
          <Button look="strong" size="tall" className="w-full" onClick={() => setOther(one)}>
            {say('simulation.setBeside')}
          </Button>
        )}
      </section>
    </div>
  );
}

function CameOf({
  label,
  heading,
  came,
  trouble,
}: {
  label: string;
  heading: string | undefined;
  came: Simulation | undefined;
  trouble?: Phrase | undefined;
}) {
  const say = useSay();
  return (
    <section aria-label={label}>
      {heading && <h3 className="mb-1 text-lg">{heading}</h3>}
      {came && <OutcomeList outcomes={came.outcomes} />}
      {trouble && <p role="alert">{say.value(trouble)}</p>}
    </section>
  );
}
