import { useMemo, useState } from 'react';
import {
  InputError,
  inScoops,
  measuredVolume,
  sayScoops,
  type Figure,
  type FieldIssue,
  type MeasuredSolid,
} from '@dewpot/core';
import { useQuery } from '@tanstack/react-query';
import { Link } from 'react-router';
import { storesQuery } from '../api/work';
import { PageHead } from '../ui/page-head';
import { QuantityField } from '../ui/quantity-field';
import { BigFigure } from '../ui/reckoning';
import { SelectField } from '../ui/select-field';
import { TextField } from '../ui/text-field';
import { useUnits } from '../ui/units';
import { CM2, measureKinds, polyhedronWords, type Asked } from './measure-kinds';
import { SolidSketch } from './solid-sketch';

interface Reckoned {
  readonly volume?: Figure;
  readonly issues: readonly FieldIssue[];
}

function reckon(solid: MeasuredSolid): Reckoned {
  try {
    return { volume: measuredVolume(solid), issues: [] };
  } catch (error) {
    if (!(error instanceof InputError)) throw error;
    return { issues: error.issues };
  }
}

/** How much does it hold? Chosen by what it looks like in the hands, then measured with a tape. */
export function MeasurePage() {
  const [chosen, setChosen] = useState(0);
  const [solids, setSolids] = useState<readonly MeasuredSolid[]>(() => measureKinds.map(({ first }) => first));
  const kind = measureKinds[chosen]!;
  const solid = solids[chosen]!;
  const { volume, issues } = useMemo(() => reckon(solid), [solid]);
  const [drawn, setDrawn] = useState(solid);
  if (volume && drawn !== solid) setDrawn(solid);
  const change = (part: object) =>
    setSolids(solids.map((one, i) => (i === chosen ? ({ ...one, ...part } as MeasuredSolid) : one)));
  return (
    <div className="mx-auto max-w-6xl p-4">
      <PageHead title="How much does it hold?">
        <Link to="/moulds" className="btn btn-ghost bg-base-300/60 h-12">
          All moulds
        </Link>
      </PageHead>
      <ul className="mb-4 grid grid-cols-2 gap-2 sm:grid-cols-5">
        {measureKinds.map(({ name, first }, i) => (
          <li key={name}>
            <button
              type="button"
              aria-pressed={i === chosen}
              className={`flex h-full w-full items-center gap-2 border p-2 text-left text-sm leading-tight ${i === chosen ? 'border-secondary bg-base-100 outline-secondary font-semibold outline-2' : 'border-base-300 bg-base-100'}`}
              onClick={() => setChosen(i)}
            >
              <SolidSketch solid={first} size={64} />
              {name}
            </button>
          </li>
        ))}
      </ul>
      <div className="grid items-start gap-4 lg:grid-cols-[22rem_minmax(0,1fr)_18rem]">
        <section className="card-slab grid place-items-center" aria-label="Drawing">
          <div className={volume ? '' : 'opacity-35'}>
            <SolidSketch solid={drawn} size={300} />
          </div>
        </section>
        <section className="card-slab space-y-3" aria-label="Measurements">
          <h2 className="text-2xl">{kind.name}</h2>
          <p className="quiet">{kind.hint}</p>
          {solid.kind === 'polyhedron' && (
            <SelectField
              label="Its faces"
              value={solid.which}
              options={polyhedronWords}
              onChange={(which) => change({ which })}
            />
          )}
          <div className="grid gap-3 sm:grid-cols-2">
            {kind.asked.map((asked) => (
              <AskedField
                key={`${chosen}-${asked.field}`}
                asked={asked}
                value={(solid as unknown as Record<string, number | undefined>)[asked.field]}
                issue={issues.find(({ field }) => field === asked.field)}
                onChange={(value) => change({ [asked.field]: value })}
              />
            ))}
          </div>
        </section>
        <Answer volume={volume} />
      </div>
    </div>
  );
}

function AskedField({
  asked: { field, label, as },
  value,
  issue,
  onChange,
}: {
  asked: Asked;
  value: number | undefined;
  issue: FieldIssue | undefined;
  onChange: (value: number | undefined) => void;
}) {
  const { system } = useUnits();
  const wrong = issue && `${issue.message} ${issue.remedy}`;
  if (as === 'length')
    return (
      <QuantityField
        label={label}
        name={field}
        dimension="length"
        system={system}
        value={value}
        error={wrong}
        onChange={onChange}
      />
    );
  const per = field === 'area' ? CM2 : 1;
  return (
    <TextField
      label={label}
      type="number"
      min="0"
      step="any"
      defaultValue={value === undefined ? '' : value / per}
      error={wrong}
      onChange={(event) => onChange(event.target.value === '' ? undefined : event.target.valueAsNumber * per)}
    />
  );
}

function Answer({ volume }: { volume: Figure | undefined }) {
  const scoops = useQuery(storesQuery).data?.scoops ?? [];
  return (
    <section className="card-slab space-y-3" aria-label="Answer">
      {volume ? (
        <>
          <BigFigure label="It holds" figure={volume} size="text-5xl" />
          {scoops.length > 0 && (
            <ul className="divide-base-300 divide-y">
              {scoops.map((scoop) => (
                <li key={scoop.id} className="flex items-baseline justify-between gap-3 py-1.5">
                  <span>{scoop.name}</span>
                  <span className="numeral text-2xl">{sayScoops(inScoops(volume.value, scoop, 0.25).count)}</span>
                </li>
              ))}
            </ul>
          )}
          <p className="quiet text-sm">
            In scoops of fresh mix. A core, a plug or a pipe in it takes away what it holds itself.
          </p>
        </>
      ) : (
        <p className="quiet">Mend the measurements and the answer comes back.</p>
      )}
      <p className="text-sm">
        <Link to="/moulds/new" className="link">
          Measure a nested pot to keep
        </Link>
      </p>
    </section>
  );
}
