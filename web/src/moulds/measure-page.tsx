import { type Speaker } from '@dewpot/locales';
import { useMemo, useState } from 'react';
import { defined } from '@dewpot/core/math';
import { InputError, type FieldIssue, type Figure, msg, type Message } from '@dewpot/core/units';
import { sizeNamed, volumeFigure, type Solid } from '@dewpot/core/solids';
import { inScoops, sayScoops } from '@dewpot/core/materials';
import { useQuery } from '@tanstack/react-query';
import { Link } from 'react-router';
import { storeQuery } from '../api/materials';
import { buttonClass } from '../ui/button';
import { PageHead } from '../ui/page-head';
import { BigFigure } from '../ui/figure-working';
import { OuterChoices } from './outer-choices';
import { ShapeThumb } from './shape-thumb';
import { errorsByField, SizeField } from './size-field';
import { fieldsAskedOf } from './solid-fields';
import { startsIn, type Start } from './starts';
import { useSay } from '../ui/say';

interface Calculated {
  readonly volume?: Figure;
  readonly issues: readonly FieldIssue[];
}

function calculate(solid: Solid): Calculated {
  try {
    return { volume: volumeFigure(solid), issues: [] };
  } catch (error) {
    if (!(error instanceof InputError)) throw error;
    return { issues: error.issues.map((issue) => ({ ...issue, field: `outer.${issue.field}` })) };
  }
}

/** Ways to make something that are one solid each; nested ones and pressed ones are measured as moulds. */
const kindsIn = (say: Speaker) =>
  startsIn(say)
    .filter(({ shape }) => !shape.pressed && shape.outer.kind !== 'known-volume')
    .map((start) => ({ ...start, shape: { outer: start.shape.outer, cores: [], inserts: [] } }))
    .filter((start, i, all) => all.findIndex((one) => one.shape.outer.kind === start.shape.outer.kind) === i);

const names: Partial<Record<Solid['kind'], Message>> = {
  'round-frustum': msg('moulds.pailTubPipe'),
  'rect-frustum': msg('moulds.kindBox'),
  cap: msg('moulds.kindCap'),
  prism: msg('moulds.startOutline'),
};

/** How much does it hold? Chosen by what it looks like in the hands, then measured with a tape. */
export function MeasurePage() {
  const say = useSay();
  const kinds = useMemo(() => kindsIn(say), [say]);
  const [chosen, setChosen] = useState(0);
  const [solids, setSolids] = useState<readonly Solid[]>(() => kinds.map(({ shape }) => shape.outer));
  const kind = defined(kinds[chosen]);
  const solid = defined(solids[chosen]);
  const { volume, issues } = calculate(solid);
  const errors = errorsByField(issues);
  const [drawn, setDrawn] = useState(solid);
  if (volume && drawn !== solid) setDrawn(solid);
  const put = (next: Solid) => setSolids(solids.map((one, i) => (i === chosen ? next : one)));
  return (
    <div className="mx-auto max-w-6xl p-4">
      <PageHead title={say('moulds.howMuchHolds')}>
        <Link to="/moulds" className={buttonClass()}>
          {say('moulds.allMoulds')}
        </Link>
      </PageHead>
      <ul className="mb-4 grid grid-cols-2 gap-2 sm:grid-cols-5">
        {kinds.map(({ name, shape, key }, i) => (
          <li key={key}>
            <button
              type="button"
              aria-pressed={i === chosen}
              className={`flex h-full w-full items-center gap-2 border p-2 text-left text-sm leading-tight ${i === chosen ? 'border-secondary bg-base-100 outline-secondary font-semibold outline-2' : 'border-base-300 bg-base-100'}`}
              onClick={() => setChosen(i)}
            >
              <ShapeThumb shape={shape} size={64} />
              {say.value(names[shape.outer.kind] ?? name)}
            </button>
          </li>
        ))}
      </ul>
      <div className="grid items-start gap-4 lg:grid-cols-[22rem_minmax(0,1fr)_18rem]">
        <section className="card-slab grid place-items-center" aria-label={say('moulds.drawing')}>
          <div className={volume ? '' : 'opacity-35'}>
            <ShapeThumb shape={{ outer: drawn, cores: [], inserts: [] }} size={300} />
          </div>
        </section>
        <section className="card-slab space-y-3" aria-label={say('moulds.measurements')}>
          <h2 className="text-2xl">{say.value(names[solid.kind] ?? kind.name)}</h2>
          <p className="quiet">{kind.hint}</p>
          <OuterChoices
            shape={{ outer: solid, cores: [], inserts: [] }}
            errors={errors}
            onChange={({ outer }) => put(outer)}
          />
          <div className="grid gap-3 sm:grid-cols-2">
            {fieldsAskedOf(solid).map((asked) => (
              <SizeField
                key={`${chosen}-${asked.field}`}
                asked={asked}
                owner="none"
                value={sizeNamed(solid, asked.field)}
                error={errors.get(`outer.${asked.field}`)}
                onChange={(value) => put({ ...solid, [asked.field]: value ?? NaN } as Solid)}
              />
            ))}
          </div>
        </section>
        <Answer volume={volume} start={{ ...kind, name: '', shape: { ...kind.shape, outer: solid } }} />
      </div>
    </div>
  );
}

function Answer({ volume, start }: { volume: Figure | undefined; start: Start }) {
  const say = useSay();
  const scoops = useQuery(storeQuery).data?.scoops ?? [];
  return (
    <section className="card-slab space-y-3" aria-label={say('moulds.answer')}>
      {volume ? (
        <>
          <BigFigure label={say('moulds.volumeTitle')} figure={volume} size="text-5xl" />
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
          <p className="quiet text-sm">{say('moulds.inScoopsNote')}</p>
          <Link to="/moulds/new" state={{ start }} className={buttonClass({ look: 'main', className: 'w-full' })}>
            {say('moulds.saveAsMould')}
          </Link>
        </>
      ) : (
        <p className="quiet">{say('moulds.mendMeasurements')}</p>
      )}
    </section>
  );
}
