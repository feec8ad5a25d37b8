import type { ReactNode } from 'react';
import { Plus, Trash2 } from 'lucide-react';
import { msg } from '@dewpot/core/units';
import { houseWalls, type CutPattern, type Opening, type TapedDiagonal } from '@dewpot/core/patterns';
import { Button } from '../ui/button';
import { IconButton } from '../ui/icon-button';
import { QuantityField } from '../ui/quantity-field';
import { SelectField } from '../ui/select-field';
import { useSay } from '../ui/say';

type Gap = Extract<CutPattern, { kind: 'gap' }>;
type House = Extract<CutPattern, { kind: 'house' }>;

const replaced = <T,>(list: readonly T[], at: number, next: T): T[] => list.map((one, i) => (i === at ? next : one));
const without = <T,>(list: readonly T[], at: number): T[] => list.filter((_, i) => i !== at);

function Row({ children, remove, onRemove }: { children: ReactNode; remove: string; onRemove: () => void }) {
  return (
    <li className="flex items-end gap-2">
      {children}
      <IconButton label={remove} icon={Trash2} onClick={onRemove} />
    </li>
  );
}

/** The lengths that were taped of a gap: its sides in order, and its diagonals. */
function Lengths({ pattern, onChange }: { pattern: Gap; onChange: (pattern: Gap) => void }) {
  const say = useSay();
  const { sides, diagonals } = pattern;
  const corners = sides.map((_, i) => ({ value: i, label: msg('patterns.corner', { number: i + 1 }) }));
  const setDiagonal = (at: number, part: Partial<TapedDiagonal>) => onChange({ ...pattern, diagonals: diagonals.map((one, i) => (i === at ? { ...one, ...part } : one)) }); // prettier-ignore
  return (
    <div className="mt-4 space-y-4">
      <section aria-label={say('patterns.sides')}>
        <h3 className="text-lg">{say('patterns.sides')}</h3>
        <ul className="space-y-2">
          {sides.map((side, i) => (
            <Row key={i} remove={say('patterns.removeSide', { from: i + 1 })} onRemove={() => onChange({ ...pattern, sides: without(sides, i) })}>
              <QuantityField className="flex-1" label={say('patterns.sideOf', { from: i + 1, to: ((i + 1) % sides.length) + 1 })} name={`sides.${i}`} dimension="length" value={side} onChange={(next = NaN) => onChange({ ...pattern, sides: replaced(sides, i, next) })} />
            </Row>
          ))}
        </ul>
        <Button size="low" className="mt-2" onClick={() => onChange({ ...pattern, sides: [...sides, 300] })}>
          <Plus size={16} aria-hidden="true" /> {say('patterns.addSide')}
        </Button>
      </section>
      <section aria-label={say('patterns.diagonals')}>
        <h3 className="text-lg">{say('patterns.diagonals')}</h3>
        <ul className="space-y-2">
          {diagonals.map((one, i) => (
            <Row key={i} remove={say('patterns.removeDiagonal', { from: one.from + 1, to: one.to + 1 })} onRemove={() => onChange({ ...pattern, diagonals: without(diagonals, i) })}>
              <SelectField className="w-24" label={say('patterns.fromCorner')} value={one.from} options={corners} onChange={(from) => setDiagonal(i, { from })} />
              <SelectField className="w-24" label={say('patterns.toCorner')} value={one.to} options={corners} onChange={(to) => setDiagonal(i, { to })} />
              <QuantityField className="flex-1" label={say('patterns.length')} name={`diagonals.${i}.length`} dimension="length" value={one.length} onChange={(length = NaN) => setDiagonal(i, { length })} />
            </Row>
          ))}
        </ul>
        <Button size="low" className="mt-2" onClick={() => onChange({ ...pattern, diagonals: [...diagonals, { from: 1, to: 3, length: 500 }] })}>
          <Plus size={16} aria-hidden="true" /> {say('patterns.addDiagonal')}
        </Button>
      </section>
    </div>
  );
} // prettier-ignore

const places = [
  ['x', msg('patterns.fromLeft')],
  ['y', msg('patterns.fromBelow')],
  ['width', msg('patterns.openingWidth')],
  ['height', msg('patterns.openingHeight')],
] as const;

/** Windows and doors of a house. */
function Openings({ pattern, onChange }: { pattern: House; onChange: (pattern: House) => void }) {
  const say = useSay();
  const { openings } = pattern;
  const walls = houseWalls.map((value) => ({ value, label: msg(`patterns.${value}Side`) }));
  const set = (at: number, part: Partial<Opening>) => onChange({ ...pattern, openings: openings.map((one, i) => (i === at ? { ...one, ...part } : one)) }); // prettier-ignore
  return (
    <section className="mt-4" aria-label={say('patterns.openings')}>
      <h3 className="text-lg">{say('patterns.openings')}</h3>
      <ul className="space-y-3">
        {openings.map((one, i) => (
          <Row key={i} remove={say('patterns.removeOpening', { number: i + 1 })} onRemove={() => onChange({ ...pattern, openings: without(openings, i) })}>
            <div className="grid flex-1 grid-cols-2 gap-2">
              <SelectField label={say('patterns.inWall')} value={one.wall} options={walls} onChange={(wall) => set(i, { wall })} />
              {places.map(([field, label]) => (
                <QuantityField key={field} label={say(label)} name={`openings.${i}.${field}`} dimension="length" value={one[field]} onChange={(next = NaN) => set(i, { [field]: next })} />
              ))}
            </div>
          </Row>
        ))}
      </ul>
      <Button size="low" className="mt-2" onClick={() => onChange({ ...pattern, openings: [...openings, { wall: 'back', x: 60, y: 60, width: 60, height: 50 }] })}>
        <Plus size={16} aria-hidden="true" /> {say('patterns.addOpening')}
      </Button>
    </section>
  );
} // prettier-ignore

/** Lists of a pattern that one adds to: lengths of a gap, openings of a house. */
export function PatternLists({ pattern, onChange }: { pattern: CutPattern; onChange: (pattern: CutPattern) => void }) {
  if (pattern.kind === 'gap' && !pattern.outline) return <Lengths pattern={pattern} onChange={onChange} />;
  if (pattern.kind === 'house') return <Openings pattern={pattern} onChange={onChange} />;
  return null;
}
