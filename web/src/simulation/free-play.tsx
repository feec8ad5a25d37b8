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
    () => curvesOption([first.came, second.came].filter((came): came is Simulation => came !== undefined)),
    [first.came, second.came],
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
          label="Cast in"
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
      <section className="card-slab space-y-4" aria-label="One way">
        <SelectField label="The piece" value={key} options={options} onChange={choosePiece} />
        <h2 className="text-2xl">One way</h2>
        {form('One way', one, setOne)}
      </section>
      <section className="card-slab min-w-0" aria-label="Forty days">
        <Chart
          option={option}
          height={CURVES_HEIGHT}
          label={`Forty days of ${say.value(options.find(({ value }) => value === key)?.label ?? '')}`}
        />
        <div className={`grid gap-4 ${other ? 'md:grid-cols-2' : ''}`}>
          <CameOf label="What comes of one way" heading={other && 'One way (solid)'} {...first} />
          {other && <CameOf label="What comes of another" heading="Another (dashed)" {...second} />}
        </div>
        <p className="quiet mt-2 text-sm">
          A plain model for learning what follows from what. Your own pieces are calculated from their own weighings.
        </p>
      </section>
      <section className="card-slab space-y-4 self-start" aria-label="Another way">
        <h2 className="text-2xl">Another way</h2>
        {other ? (
          <>
            {form('Another way', other, setOther)}
            <Button look="plain" className="w-full" onClick={() => setOther(undefined)}>
              Take it away
            </Button>
          </>
        ) : (
          <Button look="strong" size="tall" className="w-full" onClick={() => setOther(one)}>
            Set one beside it
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
