import { lazy, Suspense, useState } from 'react';
import { quantity, msg, type Message, type Phrase } from '@dewpot/core/units';
import { defined } from '@dewpot/core/math';
import { meshUnits, type MeshParts, type MeshRole, type MeshUnit, type Up } from '@dewpot/core/meshes';
import { Button } from '../ui/button';
import { Choice } from '../ui/choice';
import { SelectField } from '../ui/select-field';
import { useUnits } from '../ui/units';
import type { FirstReading, FullReading } from '../workers/files.worker';
import type { Start } from './starts';
import type { Work } from '../workers/use-file-work';
import { useSay } from '../ui/say';

const TurningSolid = lazy(async () => ({ default: (await import('./turning-view')).TurningSolid }));

const roles: readonly { readonly value: MeshRole; readonly label: Message; readonly hint: Message }[] = [
  { value: 'piece', label: msg('moulds.thePiece'), hint: msg('moulds.asComesOut') },
  { value: 'cavity', label: msg('moulds.theCavity'), hint: msg('moulds.mixFills') },
  { value: 'block', label: msg('moulds.mouldBlock'), hint: msg('moulds.mixIntoHollow') },
];
const ups: readonly { readonly value: Up; readonly label: Phrase }[] = [
  { value: 'z', label: 'z' },
  { value: '-z', label: msg('moulds.zOnHead') },
  { value: 'y', label: 'y' },
  { value: '-y', label: msg('moulds.yOnHead') },
  { value: 'x', label: 'x' },
  { value: '-x', label: msg('moulds.xOnHead') },
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
  const say = useSay();
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
      <section className="card-slab" aria-label={say('moulds.theBody')}>
        <Turning
          positions={reading?.picture ?? first.picture}
          label={reading ? say('moulds.thinnestMarked', { name }) : name}
          places={reading?.thinnest}
        />
        <p className="quiet text-sm">
          {say('moulds.trianglesShut', { triangles: measure.triangles, shut: measure.closed ? 'yes' : 'no' })}
        </p>
      </section>
      <section className="card-slab space-y-4" aria-label={say('moulds.whatIsIt')}>
        <h2 className="text-2xl">{name}</h2>
        <Choice legend={say('moulds.fileShows')} value={role} options={roles} onChange={measuredAgain(setRole)} />
        <div className="grid gap-3 sm:grid-cols-2">
          <SelectField label={say('moulds.upwardAxis')} value={up} options={ups} onChange={measuredAgain(setUp)} />
          <SelectField
            label={say('moulds.fileUnits')}
            value={unit}
            options={(Object.keys(meshUnits) as MeshUnit[]).map((value) => ({
              value,
              label: value === first.unit ? say('moulds.likeliestUnit', { value }) : value,
            }))}
            onChange={measuredAgain(setUnit)}
          />
        </div>
        <p>
          {say('moulds.soItIs')} <strong>{sizes.map((n) => units.split(n, 'mm').number).join(' × ')}</strong>{' '}
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
            {role ? say('moulds.yesLookIntoIt') : say('moulds.sayWhatBody')}
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
  const say = useSay();
  const [looking, setLooking] = useState(false);
  if (!looking)
    return (
      <Button size="tall" className="w-full" onClick={() => setLooking(true)}>
        {say('moulds.lookAllSides')}
      </Button>
    );
  return (
    <Suspense fallback={<p className="quiet h-80">{say('moulds.turningComing')}</p>}>
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
  const say = useSay();
  const units = useUnits();
  const held = undercut.share > 0.01;
  const start: Start = {
    key: `mesh-${name}`,
    name,
    hint: say('moulds.readFromMesh'),
    shape: { outer: solid, cores: [], inserts: [] },
    flexibility: held ? 'flexible' : 'rigid',
    piece: 'ornament',
  };
  const [thin] = thinnest;
  return (
    <>
      <dl className="grid grid-cols-2 gap-x-4 gap-y-3">
        <Row name={say('moulds.itHolds')} value={units.say(defined(solid.curve[solid.curve.length - 1]), 'mL')} />
        <Row name={say('moulds.itsFaces')} value={units.say(measure.area, 'mm²')} />
        {thin && (
          <Row
            name={say('moulds.thinnestPlace')}
            value={say('moulds.thinUp', { thickness: quantity(thin.thickness, 'mm'), up: quantity(thin.at[2], 'mm') })}
          />
        )}
        <Row
          name={say('moulds.undercuts')}
          value={
            held ? say('moulds.holdsBack', { share: quantity(undercut.share * 100, '%', 0) }) : say('moulds.noUndercut')
          }
        />
      </dl>
      {turned && <p className="quiet text-sm">{say('moulds.facesTurned')}</p>}
      {parts && <Parts parts={parts} />}
      <Button look="main" size="tall" className="w-full" onClick={() => onStart(start)}>
        {say('moulds.makeMould')}
      </Button>
    </>
  );
}

/** What a mesh is made of, and what was put right or is wrong with it. */
function Parts({ parts: { bodies, mended, shared, degenerate } }: { parts: MeshParts }) {
  const say = useSay();
  const told = [
    msg('moulds.meshBodies', { bodies }),
    ...(mended > 0 ? [msg('moulds.meshMended', { mended })] : []),
    ...(shared > 0 ? [msg('moulds.meshShared', { shared })] : []),
    ...(degenerate > 0 ? [msg('moulds.meshDegenerate', { degenerate })] : []),
  ];
  return <p className="quiet text-sm">{told.map((one) => say(one)).join(' ')}</p>;
}

function Row({ name, value }: { name: string; value: string }) {
  return (
    <div>
      <dt className="quiet text-sm">{name}</dt>
      <dd className="numeral text-xl">{value}</dd>
    </div>
  );
}
