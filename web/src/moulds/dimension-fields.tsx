import { msg, type Message } from '@dewpot/core/units';
import type { MouldShape } from '@dewpot/core/moulds';
import type { DimensionLine } from './dimensions';
import { VIEW } from './section-frame';
import { readPath, writePath } from './shape-path';
import { fieldOf, type Owner } from './field-owner';
import { SizeField } from './size-field';
import { fieldsAskedOf, type AskedField } from './solid-fields';
import { useSay } from '../ui/say';

const BASE: AskedField = { field: 'bottom', label: msg('moulds.fieldUnderCore'), as: 'length' };
const PLUG: AskedField = { field: 'bottomDiameter', label: msg('moulds.fieldDiameter'), as: 'length' };

interface Entry {
  readonly path: string;
  readonly owner: Owner;
  readonly asked: AskedField;
}

/** Every measurement that belongs to the outer mould, its first core and its plug. */
function entriesOf(shape: MouldShape, onDrawing: ReadonlySet<string>): Entry[] {
  const owner = shape.pressed ? 'form' : shape.outer.kind === 'leaf' ? 'none' : 'inside';
  const outer: Entry[] = fieldsAskedOf(shape.outer).map((asked) => ({
    path: `outer.${asked.field}`,
    owner,
    asked,
  }));
  const [core] = shape.cores;
  const inner: Entry[] = core
    ? fieldsAskedOf(core.solid).map((asked) => ({
        path: `cores.0.solid.${asked.field}`,
        owner: { name: core.name },
        asked,
      }))
    : [];
  const drawn: Entry[] = [
    { path: 'cores.0.bottom', owner: 'base', asked: BASE },
    { path: 'inserts.0.solid.bottomDiameter', owner: { name: shape.inserts[0]?.name ?? '' }, asked: PLUG },
  ];
  return [
    ...outer,
    ...inner.filter(({ path }) => onDrawing.has(path)),
    ...drawn.filter(({ path }) => onDrawing.has(path)),
  ];
}

/** A straight plug is one size: both its ends follow. */
function writeSize(shape: MouldShape, path: string, value: number | undefined): MouldShape {
  const written = writePath(shape, path, value);
  return path === 'inserts.0.solid.bottomDiameter' ? writePath(written, 'inserts.0.solid.topDiameter', value) : written;
}

export interface DimensionFieldsProps {
  readonly shape: MouldShape;
  /** Where dimensions stand on the drawing; none while there is no shape to draw. */
  readonly dimensions: readonly DimensionLine[];
  /** Height of the drawing, px. */
  readonly height: number;
  readonly errors: ReadonlyMap<string, Message>;
  readonly onChange: (shape: MouldShape) => void;
}

/** The measurements that stand on the drawing, edited there. */
export function FieldsOnDrawing({ shape, dimensions, height, errors, onChange }: DimensionFieldsProps) {
  const say = useSay();
  const places = new Map(dimensions.map(({ path, field }) => [path, field]));
  return entriesOf(shape, new Set(places.keys())).map(({ path, owner, asked }) => {
    const place = places.get(path);
    if (!place) return null;
    return (
      <div
        key={path}
        className="dimension absolute"
        style={{ left: `${(place[0] / VIEW.width) * 100}%`, top: `${(place[1] / height) * 100}%` }}
        title={say(fieldOf(owner, asked.label))}
      >
        <SizeField
          asked={asked}
          owner={owner}
          hideLabel
          value={readPath(shape, path)}
          error={errors.get(path)}
          onChange={(value) => onChange(writeSize(shape, path, value))}
        />
      </div>
    );
  });
}

/** The outer mould's measurements that find no place on the drawing. */
export function FieldsBeside({ shape, dimensions, errors, onChange }: DimensionFieldsProps) {
  const places = new Set(dimensions.map(({ path }) => path));
  const entries = entriesOf(shape, places).filter(({ path }) => !places.has(path));
  if (entries.length === 0) return null;
  return (
    <div className="grid grid-cols-2 gap-3 p-2 sm:grid-cols-3">
      {entries.map(({ path, owner, asked }) => (
        <SizeField
          key={`${shape.outer.kind}-${path}`}
          asked={asked}
          owner={owner}
          value={readPath(shape, path)}
          error={errors.get(path)}
          onChange={(value) => onChange(writeSize(shape, path, value))}
        />
      ))}
    </div>
  );
}
