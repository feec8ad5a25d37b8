import { useMemo, useState } from 'react';
import { lessons, rehearsalPieces, rehearse, type RehearsalChoices, type RehearsalPieceKey } from '@dewpot/core';
import { Chart } from '../ui/chart';
import { SelectField } from '../ui/select-field';
import { ChoicesForm } from './choices-form';
import { CURVES_HEIGHT, curvesOption } from './curves-option';
import { OutcomeList } from './outcome-list';

const pieces = (Object.keys(rehearsalPieces) as RehearsalPieceKey[]).map((value) => ({
  value,
  label: rehearsalPieces[value].name,
}));
const usual: RehearsalChoices = {
  ...lessons['cold shed'].start,
  climate: 'mild shed',
  liftOut: 32,
  uncover: 12 * 24,
  coat: 30 * 24,
};

/** Two ways of treating one piece, side by side, over forty days. */
export function FreePlay() {
  const [key, setKey] = useState<RehearsalPieceKey>('pot');
  const [one, setOne] = useState<RehearsalChoices>(usual);
  const [other, setOther] = useState<RehearsalChoices>();
  const piece = rehearsalPieces[key];
  const first = useMemo(() => rehearse(piece, one), [piece, one]);
  const second = useMemo(() => (other ? rehearse(piece, other) : undefined), [piece, other]);
  const option = useMemo(() => curvesOption(piece, second ? [first, second] : [first]), [piece, first, second]);
  return (
    <div className="grid gap-4 lg:grid-cols-[19rem_minmax(0,1fr)_19rem]">
      <section className="card-slab space-y-4" aria-label="One way">
        <SelectField label="The piece" value={key} options={pieces} onChange={setKey} />
        <h2 className="text-2xl">One way</h2>
        <ChoicesForm name="One way" choices={one} onChange={setOne} />
      </section>
      <section className="card-slab min-w-0" aria-label="Forty days">
        <Chart option={option} height={CURVES_HEIGHT} label={`Forty days of ${piece.name}`} />
        <div className={`grid gap-4 ${second ? 'md:grid-cols-2' : ''}`}>
          <section aria-label="What comes of one way">
            {second && <h3 className="mb-1 text-lg">One way (solid)</h3>}
            <OutcomeList outcomes={first.outcomes} />
          </section>
          {second && (
            <section aria-label="What comes of another">
              <h3 className="mb-1 text-lg">Another (dashed)</h3>
              <OutcomeList outcomes={second.outcomes} />
            </section>
          )}
        </div>
        <p className="quiet mt-2 text-sm">
          A plain model for learning what follows from what. Your own pieces are reckoned from their own weighings.
        </p>
      </section>
      <section className="card-slab space-y-4 self-start" aria-label="Another way">
        <h2 className="text-2xl">Another way</h2>
        {other && second ? (
          <>
            <ChoicesForm name="Another way" choices={other} onChange={setOther} />
            <button type="button" className="btn btn-ghost h-12 w-full" onClick={() => setOther(undefined)}>
              Take it away
            </button>
          </>
        ) : (
          <button type="button" className="btn btn-neutral h-14 w-full" onClick={() => setOther(one)}>
            Set one beside it
          </button>
        )}
      </section>
    </div>
  );
}
