import { scoopByWater } from '@dewpot/core/materials';
import { useState, type FormEvent } from 'react';
import { exactly, msg } from '@dewpot/core/units';
import type { PlaceInput, PlaceView, ScoopInput } from '@dewpot/contract';
import { useQuery } from '@tanstack/react-query';
import { useNavigate } from 'react-router';
import { v7 as uuid } from 'uuid';
import { placesQuery, useSavePlace } from '../api/places';
import { useSaveSettings, useSettings } from '../api/session';
import { useSaveStore } from '../api/materials';
import { Button } from '../ui/button';
import { Choice } from '../ui/choice';
import { NumberField } from '../ui/number-field';
import { PageHead } from '../ui/page-head';
import { QuantityField } from '../ui/quantity-field';
import { Busy, Failure } from '../ui/states';
import { TextField } from '../ui/text-field';
import { ReadingFields } from './reading-fields';
import { useSay } from '../ui/say';

const step = (value: number) => ({ value, label: msg('units.plain', { value: exactly(value, 'g') }) });
const scaleSteps = [
  step(0.1),
  { ...step(1), hint: msg('workshop.kitchenScale') },
  step(5),
  { ...step(20), hint: msg('workshop.coarseScale') },
];

/** What a caster says of the things they work with. */
interface Answers {
  readonly scoopName: string;
  readonly scoop: number | undefined;
  readonly bucket: number | undefined;
  readonly scaleStep: number;
  readonly placeName: string;
  readonly temperature: number | undefined;
  /** Share. */
  readonly humidity: number;
}

const nothingYet: Answers = { scoopName: '', scoop: undefined, bucket: undefined, scaleStep: 1, placeName: '', temperature: undefined, humidity: 0.65 }; // prettier-ignore

/** Keeps what was said: the scoop, the bucket and the scale, and the air of the first place. */
function useKeepAnswers(place: PlaceView | undefined) {
  const say = useSay();
  const before = useSettings();
  const [settings, store, places] = [useSaveSettings(), useSaveStore(), useSavePlace()];
  const [scoopId] = useState(() => uuid());
  const keep = async ({ scoopName, scoop, bucket, scaleStep, placeName, temperature, humidity }: Answers) => {
    if (scoop !== undefined) {
      const input: ScoopInput = { name: scoopName.trim() || say('workshop.myScoop'), volume: scoop, version: 0 };
      await store.mutateAsync({ id: scoopId, kind: 'scoops', input });
    }
    const name = placeName.trim() || place?.name;
    if (place && name && (temperature !== undefined || name !== place.name)) {
      const { id, kind, version, source } = place;
      const air: Pick<PlaceInput, 'source' | 'typed'> = temperature === undefined ? { source } : { source: 'typed', typed: { temperature, humidity, wind: 0 } }; // prettier-ignore
      await places.mutateAsync({ id, name, kind, version, ...air });
    }
    await settings.mutateAsync({ ...before, scaleStep, setUp: true, ...(bucket !== undefined && { bucket }) });
  };
  const error = store.error ?? places.error ?? settings.error;
  return { keep, error, busy: store.isPending || places.isPending || settings.isPending };
}

/** Asks a new workshop which scoop, bucket and scale there are, and how warm it is: nothing is assumed unsaid. */
export function SetUpPage() {
  const say = useSay();
  const places = useQuery(placesQuery);
  if (places.isPending) return <Busy what={say('shell.yourWorkshop')} />;
  return <SetUp place={places.data?.[0]} />;
}

function SetUp({ place }: { place: PlaceView | undefined }) {
  const say = useSay();
  const navigate = useNavigate();
  const [answers, setAnswers] = useState(nothingYet);
  const { keep, error, busy } = useKeepAnswers(place);
  const set = (part: Partial<Answers>) => setAnswers((now) => ({ ...now, ...part }));
  const save = async (event: FormEvent) => {
    event.preventDefault();
    await keep(answers).then(
      () => navigate('/'),
      () => undefined,
    );
  };
  return (
    <div className="mx-auto max-w-3xl p-4">
      <PageHead title={say('workshop.workWith')} />
      <form className="card-slab space-y-6" onSubmit={(event) => void save(event)}>
        <ReadingFields />
        <p className="quiet">{say('workshop.everySheet')}</p>
        <ScoopAndBucket answers={answers} onChange={set} />
        <Choice
          legend={say('workshop.scaleStep')}
          options={scaleSteps}
          value={answers.scaleStep}
          onChange={(scaleStep) => set({ scaleStep })}
        />
        <AmbientFields answers={answers} place={place?.name} onChange={set} />
        <Failure error={error} />
        <Button needs="caster" type="submit" look="main" size="tall" className="w-full text-lg" disabled={busy}>
          {say('care.keep')}
        </Button>
      </form>
    </div>
  );
}

interface FieldsProps {
  readonly answers: Answers;
  readonly onChange: (part: Partial<Answers>) => void;
}

function ScoopAndBucket({ answers: { scoopName, scoop, bucket }, onChange }: FieldsProps) {
  const say = useSay();
  return (
    <div className="grid items-end gap-3 sm:grid-cols-2">
      <TextField
        label={say('workshop.yourScoop')}
        maxLength={60}
        placeholder={say('workshop.beanCan')}
        value={scoopName}
        onChange={({ target }) => onChange({ scoopName: target.value })}
      />
      <QuantityField
        label={say('workshop.holdsLevel')}
        name="scoop"
        dimension="volume"
        value={scoop}
        onChange={(value) => onChange({ scoop: value })}
      />
      <QuantityField
        label={say('materials.waterWeighs')}
        name="water"
        dimension="mass"
        value={undefined}
        onChange={(mass) => mass !== undefined && mass > 0 && onChange({ scoop: scoopByWater(mass).value })}
      />
      <QuantityField
        label={say('workshop.bucketBrim')}
        name="bucket"
        dimension="volume"
        value={bucket}
        onChange={(value) => onChange({ bucket: value })}
      />
    </div>
  );
}

/** How warm and humid it is where casts stand; a table, a file or a logger is told at the places. */
function AmbientFields({
  answers: { placeName, temperature, humidity },
  place,
  onChange,
}: FieldsProps & { readonly place: string | undefined }) {
  const say = useSay();
  return (
    <div className="grid items-end gap-3 sm:grid-cols-3">
      <TextField
        label={say('workshop.wherePlace')}
        maxLength={60}
        placeholder={place}
        value={placeName}
        onChange={({ target }) => onChange({ placeName: target.value })}
      />
      <QuantityField
        label={say('workshop.tempWhere')}
        name="temperature"
        dimension="temperature"
        value={temperature}
        onChange={(value) => onChange({ temperature: value })}
      />
      <label className="text-sm font-semibold">
        {say('workshop.relHumidity')}
        <NumberField
          label={say('workshop.relHumidityIn')}
          className="mt-1 w-full"
          value={humidity * 100}
          onChange={(percent) => onChange({ humidity: percent / 100 })}
        />
      </label>
      <p className="quiet text-sm sm:col-span-3">{say('workshop.monthsUnder')}</p>
    </div>
  );
}
