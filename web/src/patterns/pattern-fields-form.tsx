import { issueInWords, type FieldIssue, type Message } from '@dewpot/core/units';
import type { CutPattern, InsidePiece } from '@dewpot/core/patterns';
import { CheckField } from '../ui/check-field';
import { NumberField } from '../ui/number-field';
import { QuantityField } from '../ui/quantity-field';
import { SelectField } from '../ui/select-field';
import { useSay } from '../ui/say';
import { firstPatterns } from './first-patterns';
import { fieldsOf, valueAt, withValue, type PatternField } from './pattern-fields';

/** What a choice brings with it: a line of another shape begins with sizes of its own, a solid with a face that it has. */
function withChoice(pattern: CutPattern, path: string, value: string): CutPattern {
  if (pattern.kind === 'solid' && path === 'which') {
    const next = { ...pattern, which: value } as typeof pattern;
    const faces = fieldsOf(next).find((field) => field.path === 'open');
    const has = faces?.kind === 'choice' && faces.options.some((one) => one.value === next.open);
    return has || faces?.kind !== 'choice' ? next : withValue(next, 'open', faces.options[0]?.value);
  }
  if (pattern.kind === 'strip' && path === 'line.shape') return { ...pattern, ...lineOf(value) };
  if (pattern.kind === 'inside' && path === 'piece.what')
    return { ...pattern, piece: firstPieces[value as InsidePiece['what']] };
  return withValue(pattern, path, value);
}

/** A line of a shape with sizes to begin from. */
function lineOf(shape: string): Pick<Extract<CutPattern, { kind: 'strip' }>, 'line'> {
  switch (shape) {
    case 'arc':
      return { line: { shape, radius: 300, angle: 120 } };
    case 'spiral':
      return { line: { shape, start: 60, pitch: 100, turns: 2 } };
    case 'heart':
      return { line: { shape, width: 400 } };
    case 'free':
      return { line: { shape, closed: true, points: [[0, 0], [400, 0], [400, 250], [200, 380], [0, 250]] } }; // prettier-ignore
    default:
      return firstPatterns.strip;
  }
}

/** What stands in a mould, with sizes to begin from. */
const firstPieces: { readonly [W in InsidePiece['what']]: InsidePiece } = {
  mesh: firstPatterns.inside.piece,
  wire: { what: 'wire', pipe: 50, wire: 1.5, turns: 12, pitch: 20 },
  core: { what: 'core', bottom: 120, top: 150, height: 160, card: 1, overlap: 20 },
  plug: { what: 'plug', hole: 15, slab: 40, draft: 3, count: 3 },
  sand: { what: 'sand', length: 420, width: 360, rise: 60, board: 12 },
};

/** The fields of a pattern; what is wrong stands beside the field that is. */
export function PatternFieldsForm({ pattern, issues, onChange }: { pattern: CutPattern; issues: readonly FieldIssue[]; onChange: (pattern: CutPattern) => void }) {
  const wrong = (path: string) => issues.find(({ field }) => field === path);
  return (
    <div className="grid grid-cols-2 items-end gap-x-3 gap-y-2">
      {fieldsOf(pattern).map((field) => (
        <Field key={field.path} {...{ field, pattern, onChange }} wrong={wrong(field.path)} />
      ))}
    </div>
  );
} // prettier-ignore

function Field({ field, pattern, wrong, onChange }: { field: PatternField; pattern: CutPattern; wrong: FieldIssue | undefined; onChange: (pattern: CutPattern) => void }) {
  const say = useSay();
  const { path } = field;
  const value = valueAt(pattern, path);
  if (field.kind === 'choice')
    return <SelectField className="col-span-2" label={say(field.label)} value={String(value)} options={field.options} onChange={(next) => onChange(withChoice(pattern, path, next))} />;
  if (field.kind === 'part')
    return <div className="col-span-2"><CheckField label={say(field.label)} on={value !== undefined} onChange={(on) => onChange(withValue(pattern, path, on ? field.first : undefined))} /></div>;
  const number = typeof value === 'number' ? value : undefined;
  const error: Message | undefined = wrong && issueInWords(wrong);
  const set = (next: number | undefined) => onChange(withValue(pattern, path, next ?? (field.optional ? undefined : NaN)));
  if (field.kind === 'length')
    return <QuantityField label={say(field.label)} name={path} dimension="length" value={number} error={error} onChange={set} />;
  return (
    <div>
      <span className="mb-1 block text-sm font-semibold" aria-hidden="true">
        {say(field.label)}
      </span>
      <NumberField label={say(field.label)} value={number ?? NaN} wrong={wrong !== undefined} className="w-full" onChange={set} />
      {error && <p className="text-error mt-1 text-sm">{say(error)}</p>}
    </div>
  );
} // prettier-ignore
