import { lazy, Suspense, useState } from 'react';
import { defined } from '@dewpot/core/math';
import { meshUnits, type MeshParts, type MeshRole, type MeshUnit, type Up } from '@dewpot/core/meshes';
import { Button } from '../ui/button';
import { Choice } from '../ui/choice';
import { SelectField } from '../ui/select-field';
import { useUnits } from '../ui/units';
import type { FirstReading, FullReading } from '../workers/files.worker';
import type { Start } from './starts';
import type { Work } from '../workers/use-file-work';

const TurningSolid = lazy(async () => ({ default: (await import('./turning-view')).TurningSolid }));

const roles: readonly { readonly value: MeshRole; readonly label: string; readonly hint: string }[] = [
  { value: 'piece', label: 'The piece', hint: 'as it comes out' },
  { value: 'cavity', label: 'The cavity', hint: 'what the mix fills' },
  { value: 'block', label: 'The mould block', hint: 'the mix goes into its hollow' },
];
const ups: readonly { readonly value: Up; readonly label: string }[] = [
  { value: 'z', label: 'z' },
  { value: '-z', label: 'z, on its head' },
  { value: 'y', label: 'y' },
  { value: '-y', label: 'y, on its head' },
  { value: 'x', label: 'x' },
  { value: '-x', label: 'x, on its head' },
];

/** What the body is, which way is up, and what its numbers are: asked, not guessed. Then what was found. */
export function MeshAsk({
  name,
  first,
  work,
  onStart,
}: {
  name: string;
  first: FirstReading;
  work: Work;
  onStart: (start: Start) => void;
}) {
  const units = useUnits();
  const [role, setRole] = useState<MeshRole>();
  const [up, setUp] = useState<Up>('z');
  const [unit, setUnit] = useState<MeshUnit>(first.unit);
  const [reading, setReading] = useState<FullReading>();
  const { measure } = first;
  const scale = meshUnits[unit];
  const sizes = measure.high.map((n, k) => (n - defined(measure.low[k])) * scale);
  const measuredAgain =
    <T,>(set: (value: T) => void) =>
    (value: T) => {
      setReading(undefined);
      set(value);
    };
  const analyse = async () => {
    if (!role) return;
    setReading(await work.run<FullReading>((files, progress) => files.analyse(up, unit, role, progress)));
  };
  return (
    <div className="mt-4 grid items-start gap-4 lg:grid-cols-2">
      <section className="card-slab" aria-label="The body">
        <Turning
          positions={reading?.picture ?? first.picture}
          label={reading ? `${name}, thinnest places marked` : name}
          places={reading?.thinnest}
        />
        <p className="quiet text-sm">
          {measure.triangles.toLocaleString()} triangles, {measure.closed ? 'shut all round' : 'not shut'}
        </p>
      </section>
      <section className="card-slab space-y-4" aria-label="What is it">
        <h2 className="text-2xl">{name}</h2>
        <Choice legend="The file shows" value={role} options={roles} onChange={measuredAgain(setRole)} />
        <div className="grid gap-3 sm:grid-cols-2">
          <SelectField label="Upward axis" value={up} options={ups} onChange={measuredAgain(setUp)} />
          <SelectField
            label="File units"
            value={unit}
            options={(Object.keys(meshUnits) as MeshUnit[]).map((value) => ({
              value,
              label: value === first.unit ? `${value}, likeliest by its size` : value,
            }))}
            onChange={measuredAgain(setUnit)}
          />
        </div>
        <p>
          So it is <strong>{sizes.map((n) => units.split(n, 'mm').number).join(' × ')}</strong>{' '}
          {units.split(defined(sizes[0]), 'mm').unit}.
        </p>
        {!reading && (
          <Button
            look="main"
            size="tall"
            className="w-full"
            disabled={!role || work.done !== undefined}
            onClick={() => void analyse()}
          >
            {role ? 'Yes, look into it' : 'Say what the body is'}
          </Button>
        )}
        {reading && <Found name={name} reading={reading} onStart={onStart} />}
      </section>
    </div>
  );
}

/** The body to turn about, once that is asked for. */
function Turning({
  positions,
  label,
  places,
}: {
  positions: FirstReading['picture'];
  label: string;
  places: FullReading['thinnest'] | undefined;
}) {
  const [looking, setLooking] = useState(false);
  if (!looking)
    return (
      <Button size="tall" className="w-full" onClick={() => setLooking(true)}>
        Look at it from all sides
      </Button>
    );
  return (
    <Suspense fallback={<p className="quiet h-80">The turning view is coming…</p>}>
      <TurningSolid positions={positions} label={label} {...(places && { places })} />
    </Suspense>
  );
}

/** What was found in the mesh, and on to the mould. */
function Found({
  name,
  reading: { measure, parts, solid, turned, undercut, thinnest },
  onStart,
}: {
  name: string;
  reading: FullReading;
  onStart: (start: Start) => void;
}) {
  const units = useUnits();
  const held = undercut.share > 0.01;
  const start: Start = {
    key: `mesh-${name}`,
    name,
    hint: 'Read from a file: its outlines at heights, its volume by its triangles.',
    shape: { outer: solid, cores: [], inserts: [] },
    flexibility: held ? 'flexible' : 'rigid',
    piece: 'ornament',
  };
  const [thin] = thinnest;
  return (
    <>
      <dl className="grid grid-cols-2 gap-x-4 gap-y-3">
        <Row name="It holds" value={units.say(defined(solid.curve[solid.curve.length - 1]), 'mL')} />
        <Row name="Its faces" value={units.say(measure.area, 'mm²')} />
        {thin && (
          <Row name="Thinnest place" value={`${units.say(thin.thickness, 'mm')}, ${units.say(thin.at[2], 'mm')} up`} />
        )}
        <Row
          name="Undercuts"
          value={
            held ? `${(undercut.share * 100).toFixed(0)} % of its faces hold it back` : 'none against the pull upwards'
          }
        />
      </dl>
      {turned && <p className="quiet text-sm">Its faces pointed inwards; they were turned.</p>}
      {parts && <Parts parts={parts} />}
      <Button look="main" size="tall" className="w-full" onClick={() => onStart(start)}>
        Make a mould of it
      </Button>
    </>
  );
}

const counted = (n: number, one: string, many: string) => `${n === 1 ? `one ${one}` : `${n} ${many}`}`;

/** What a mesh is made of, and what was put right or is wrong with it. */
function Parts({ parts: { bodies, mended, shared, degenerate } }: { parts: MeshParts }) {
  const told = [
    `It is ${counted(bodies, 'body', 'bodies')}.`,
    ...(mended > 0
      ? [`${counted(mended, 'face', 'faces')} pointed otherwise than those beside them, and were turned.`]
      : []),
    ...(shared > 0 ? [`${counted(shared, 'edge is', 'edges are')} shared by more than two triangles.`] : []),
    ...(degenerate > 0 ? [`${counted(degenerate, 'triangle has', 'triangles have')} no area.`] : []),
  ];
  return <p className="quiet text-sm">{told.join(' ')}</p>;
}

function Row({ name, value }: { name: string; value: string }) {
  return (
    <div>
      <dt className="quiet text-sm">{name}</dt>
      <dd className="numeral text-xl">{value}</dd>
    </div>
  );
}
