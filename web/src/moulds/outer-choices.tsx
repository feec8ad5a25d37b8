import { useState } from 'react';
import { msg, type Message } from '@dewpot/core/units';
import { defined } from '@dewpot/core/math';
import { insideOf, mouldIssues, type MouldShape } from '@dewpot/core/moulds';
import {
  openingsOf,
  type FaceName,
  type Polyhedron,
  type Revolution,
  type ShellSide,
  type Solid,
} from '@dewpot/core/solids';
import { Plus, X } from 'lucide-react';
import { Button } from '../ui/button';
import { Choice } from '../ui/choice';
import { QuantityField } from '../ui/quantity-field';
import { SelectField } from '../ui/select-field';
import { faceWords, polyhedronWords } from './solid-fields';
import { useSay } from '../ui/say';

interface ChoicesProps {
  readonly shape: MouldShape;
  readonly errors: ReadonlyMap<string, Message>;
  readonly onChange: (shape: MouldShape) => void;
}

/** What a tape does not measure of the outer mould: its faces, its profile, and whether it is a form that is pressed. */
export function OuterChoices({ shape, errors, onChange }: ChoicesProps) {
  const { outer } = shape;
  const set = (solid: Solid) => onChange({ ...shape, outer: solid });
  return (
    <div className="space-y-3 px-2">
      {outer.kind === 'polyhedron' && <Faces solid={outer} error={errors.get('outer.open')} onChange={set} />}
      {outer.kind === 'revolution' && <Profile solid={outer} errors={errors} onChange={set} />}
      {shape.pressed && <Pressed shape={shape} errors={errors} onChange={onChange} />}
      {!shape.pressed && hasWall.includes(outer.kind) && <MeasuredOutside outer={outer} onChange={set} />}
    </div>
  );
}

function Faces({
  solid,
  error,
  onChange,
}: {
  solid: Polyhedron;
  error: Message | undefined;
  onChange: (solid: Solid) => void;
}) {
  const say = useSay();
  const openings = openingsOf(solid.which);
  return (
    <div className="grid gap-3 sm:grid-cols-2">
      <SelectField
        label={say('moulds.itsFaces')}
        value={solid.which}
        options={polyhedronWords}
        onChange={(which) => onChange({ ...solid, which, open: defined(openingsOf(which)[0]) })}
      />
      <div>
        <SelectField<FaceName>
          label={say('moulds.openFaceTop')}
          value={solid.open}
          options={openings.map((value) => ({ value, label: faceWords[value] }))}
          onChange={(open) => onChange({ ...solid, open })}
        />
        {error && <p className="text-error mt-1 text-sm">{say(error)}</p>}
      </div>
    </div>
  );
}

function Profile({
  solid,
  errors,
  onChange,
}: {
  solid: Revolution;
  errors: ReadonlyMap<string, Message>;
  onChange: (solid: Solid) => void;
}) {
  const say = useSay();
  const { points } = solid;
  const put = (i: number, part: object) =>
    onChange({ ...solid, points: points.map((point, k) => (k === i ? { ...point, ...part } : point)) });
  const last = defined(points[points.length - 1]);
  return (
    <div>
      <Choice
        legend={say('moulds.betweenPoints')}
        value={solid.smooth ? 'smooth' : 'straight'}
        options={[
          { value: 'smooth', label: say('moulds.smooth') },
          { value: 'straight', label: say('moulds.straight') },
        ]}
        onChange={(way) => onChange({ ...solid, smooth: way === 'smooth' })}
      />
      <ol className="mt-3 grid gap-x-4 gap-y-2 sm:grid-cols-2">
        {points.map((point, i) => (
          <li key={i} className="flex items-end gap-2">
            <QuantityField
              label={say('moulds.pointHeight', { i: i + 1 })}
              name={`points.${i}.height`}
              dimension="length"
              value={Number.isNaN(point.height) ? undefined : point.height}
              error={errors.get(`outer.points.${i}.height`)}
              onChange={(height = NaN) => put(i, { height })}
            />
            <QuantityField
              label={say('moulds.pointRadius', { i: i + 1 })}
              name={`points.${i}.radius`}
              dimension="length"
              value={Number.isNaN(point.radius) ? undefined : point.radius}
              error={errors.get(`outer.points.${i}.radius`)}
              onChange={(radius = NaN) => put(i, { radius })}
            />
            <Button
              look="plain"
              size="low"
              className="w-11 p-0"
              aria-label={say('moulds.leavePointOut', { i: i + 1 })}
              disabled={points.length <= 2}
              onClick={() => onChange({ ...solid, points: points.filter((_, k) => k !== i) })}
            >
              <X size={16} aria-hidden="true" />
            </Button>
          </li>
        ))}
      </ol>
      <Button
        size="low"
        className="mt-2"
        onClick={() => onChange({ ...solid, points: [...points, { height: last.height + 20, radius: last.radius }] })}
      >
        <Plus size={16} aria-hidden="true" /> {say('moulds.pointAbove')}
      </Button>
    </div>
  );
}

/** Vessels whose outside tells their inside once their wall is known. */
const hasWall: readonly Solid['kind'][] = ['round-frustum', 'rect-frustum', 'polygon-frustum', 'cap'];

/** What was measured outside is made the inside: every face but the open one moves in by the wall. */
function MeasuredOutside({ outer, onChange }: { outer: Solid; onChange: (solid: Solid) => void }) {
  const say = useSay();
  const [wall, setWall] = useState<number | undefined>(2);
  const [wrong, setWrong] = useState<string>();
  const convert = () => {
    const inside = wall === undefined ? undefined : insideOf(outer, wall);
    const fits = inside !== undefined && mouldIssues({ outer: inside, cores: [], inserts: [] }).length === 0;
    setWrong(fits ? undefined : say('moulds.wallTooThick'));
    if (fits) onChange(inside);
  };
  return (
    <details>
      <summary className="quiet min-h-11 cursor-pointer content-center text-sm">
        {say('moulds.measuredOutside')}
      </summary>
      <div className="flex flex-wrap items-end gap-3 pb-2">
        <QuantityField
          className="w-40"
          label={say('moulds.wallThickness')}
          name="wall"
          dimension="length"
          value={wall}
          error={wrong}
          onChange={setWall}
        />
        <Button onClick={convert}>{say('moulds.subtractWall')}</Button>
      </div>
    </details>
  );
}

const sides: readonly { readonly value: ShellSide; readonly label: Message; readonly hint: Message }[] = [
  { value: 'over', label: msg('moulds.pressOver'), hint: msg('moulds.pressOverHow') },
  { value: 'inside', label: msg('moulds.pressInside'), hint: msg('moulds.pressInsideHow') },
  { value: 'against', label: msg('moulds.pressRound'), hint: msg('moulds.pressRoundHow') },
];

function Pressed({ shape, errors, onChange }: ChoicesProps) {
  const say = useSay();
  const pressed = defined(shape.pressed);
  return (
    <div className="flex flex-wrap items-end gap-4">
      <Choice
        legend={say('moulds.pressed')}
        value={pressed.side}
        options={sides}
        onChange={(side) => onChange({ ...shape, pressed: { ...pressed, side } })}
      />
      <QuantityField
        className="w-40"
        label={say('moulds.shellThickness')}
        name="pressed.thickness"
        dimension="length"
        value={Number.isNaN(pressed.thickness) ? undefined : pressed.thickness}
        error={errors.get('pressed.thickness')}
        onChange={(thickness = NaN) => onChange({ ...shape, pressed: { ...pressed, thickness } })}
      />
    </div>
  );
}
