import type { Message } from '@dewpot/core/units';
import type { Pattern, PlacedSolid } from '@dewpot/core/moulds';
import { sizeNamed, type Solid } from '@dewpot/core/solids';
import { ChevronDown, X } from 'lucide-react';
import { Button } from '../ui/button';
import { CheckField } from '../ui/check-field';
import { QuantityField } from '../ui/quantity-field';
import { SelectField } from '../ui/select-field';
import { TextField } from '../ui/text-field';
import { firstOfKind } from './first-sizes';
import { SizeField } from './size-field';
import { fieldsAskedOf, solidKindWords } from './solid-fields';
import { withChange, type Change } from '../ui/change';
import { useSay } from '../ui/say';

/** Kinds that stand in a mould; the rest are moulds by themselves. */
const partKinds: readonly Solid['kind'][] = [
  'round-frustum',
  'rect-frustum',
  'polygon-frustum',
  'cap',
  'half-ellipsoid',
  'lying-pipe',
];

export interface PartEditorProps {
  readonly placed: PlacedSolid;
  /** Path of it in the shape. */
  readonly path: string;
  readonly errors: ReadonlyMap<string, Message>;
  readonly open: boolean;
  readonly onChange: (placed: PlacedSolid) => void;
  readonly onRemove: () => void;
}

/** One core or insert: what it is, its sizes, where it stands, and its copies. */
export function PartEditor({ placed, path, errors, open, onChange, onRemove }: PartEditorProps) {
  const say = useSay();
  const { solid, pattern } = placed;
  const kinds = partKinds.includes(solid.kind) ? partKinds : [solid.kind, ...partKinds];
  const wrong = [...errors.keys()].some((field) => field.startsWith(`${path}.`));
  const set: Setter = (part) => onChange(withChange(placed, part));
  const put = (field: string, value: number | undefined) =>
    set({ solid: { ...solid, [field]: value ?? NaN } as Solid });
  return (
    <div className="bg-base-200 relative">
      <Button
        look="plain"
        size="low"
        className="absolute top-0.5 right-0.5 w-11 p-0"
        aria-label={say('moulds.takePartOut', { placed: placed.name })}
        onClick={onRemove}
      >
        <X size={16} aria-hidden="true" />
      </Button>
      <details className="group" open={open || wrong}>
        <summary className="mr-12 flex min-h-12 cursor-pointer list-none items-center gap-2 px-3">
          <ChevronDown size={16} aria-hidden="true" className="quiet transition-transform group-open:rotate-180" />
          <span className="flex-1 font-semibold">
            {placed.name}
            {pattern && <span className="quiet font-normal"> × {pattern.count}</span>}
          </span>
        </summary>
        <div className="space-y-3 p-3 pt-1">
          <div className="grid gap-3 sm:grid-cols-2">
            <TextField
              label={say('moulds.isCalled')}
              value={placed.name}
              maxLength={60}
              onChange={(event) => set({ name: event.target.value })}
            />
            <SelectField
              label={say('moulds.shape')}
              value={solid.kind}
              options={kinds.map((value) => ({ value, label: solidKindWords[value] }))}
              onChange={(kind) => set({ solid: firstOfKind(kind, solid) })}
            />
          </div>
          <div className="grid grid-cols-2 gap-3 sm:grid-cols-3">
            {fieldsAskedOf(solid).map((asked) => (
              <SizeField
                key={`${solid.kind}-${asked.field}`}
                asked={asked}
                owner="none"
                value={sizeOf(solid, asked.field)}
                error={errors.get(`${path}.solid.${asked.field}`)}
                onChange={(value) => put(asked.field, value)}
              />
            ))}
          </div>
          <Standing placed={placed} path={path} errors={errors} set={set} />
          <Copies pattern={pattern} path={path} errors={errors} onChange={(next) => set({ pattern: next })} />
          <div className="flex flex-wrap gap-x-5 gap-y-1">
            <CheckField label={say('moulds.onHead')} on={placed.over} onChange={(over) => set({ over })} />
            <CheckField label={say('moulds.staysInCast')} on={placed.stays} onChange={(stays) => set({ stays })} />
            <CheckField label={say('moulds.compressible')} on={placed.soft} onChange={(soft) => set({ soft })} />
          </div>
        </div>
      </details>
    </div>
  );
}

const sizeOf = (solid: Solid, field: string) => {
  const size = sizeNamed(solid, field);
  return size === undefined || Number.isNaN(size) ? undefined : size;
};

type Setter = (part: Change<PlacedSolid>) => void;

/** Where it stands: above the bottom, off the middle, turned. */
function Standing({
  placed,
  path,
  errors,
  set,
}: Pick<PartEditorProps, 'placed' | 'path' | 'errors'> & { set: Setter }) {
  const say = useSay();
  const place = (label: string, field: 'bottom' | 'x' | 'y') => (
    <QuantityField
      label={label}
      name={field}
      dimension="length"
      value={Number.isNaN(placed[field]) ? undefined : (placed[field] ?? 0)}
      error={errors.get(`${path}.${field}`)}
      onChange={(value) => set({ [field]: value ?? (field === 'bottom' ? NaN : 0) })}
    />
  );
  return (
    <div className="grid grid-cols-2 gap-3 sm:grid-cols-4">
      {place(say('moulds.aboveBottom'), 'bottom')}
      {place(say('moulds.rightOfMiddle'), 'x')}
      {place(say('moulds.behindMiddle'), 'y')}
      <TextField
        label={say('moulds.turnedDegrees')}
        type="number"
        step="any"
        defaultValue={placed.turn ?? 0}
        error={errors.get(`${path}.turn`)}
        onChange={(event) => set({ turn: event.target.valueAsNumber || 0 })}
      />
    </div>
  );
}

/** Copies of it: one, on a circle, or in a row. */
function Copies({
  pattern,
  path,
  errors,
  onChange,
}: {
  pattern: Pattern | undefined;
  path: string;
  errors: ReadonlyMap<string, Message>;
  onChange: (pattern: Pattern | undefined) => void;
}) {
  const say = useSay();
  const kind = pattern?.kind ?? 'one';
  const first: Record<string, Pattern | undefined> = {
    circle: { kind: 'circle', count: 4, radius: 40 },
    row: { kind: 'row', count: 2, step: 80 },
  };
  return (
    <div className="grid grid-cols-2 gap-3 sm:grid-cols-3">
      <SelectField
        label={say('moulds.howMany')}
        value={kind}
        options={[
          { value: 'one', label: say('moulds.patternOne') },
          { value: 'circle', label: say('moulds.patternCircle') },
          { value: 'row', label: say('moulds.patternRow') },
        ]}
        onChange={(next) => onChange(first[next])}
      />
      {pattern && (
        <TextField
          key={pattern.kind}
          label={say('moulds.numberOfThem')}
          type="number"
          min="1"
          step="1"
          defaultValue={pattern.count}
          error={errors.get(`${path}.pattern.count`)}
          onChange={(event) => onChange({ ...pattern, count: event.target.valueAsNumber })}
        />
      )}
      {pattern && (
        <QuantityField
          key={`${pattern.kind}-size`}
          label={pattern.kind === 'circle' ? say('moulds.radiusOfCircle') : say('moulds.oneToNext')}
          name="pattern"
          dimension="length"
          value={pattern.kind === 'circle' ? pattern.radius : pattern.step}
          error={errors.get(
            `${path}.pattern.${pattern.kind === 'circle' ? say('moulds.fieldRadius') : say('moulds.fieldStep')}`,
          )}
          onChange={(value = NaN) =>
            onChange(pattern.kind === 'circle' ? { ...pattern, radius: value } : { ...pattern, step: value })
          }
        />
      )}
    </div>
  );
}
