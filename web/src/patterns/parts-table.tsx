import type { CutPart } from '@dewpot/core/patterns';
import { outlineBox } from '@dewpot/core/solids';
import { defined } from '@dewpot/core/math';
import { unparse } from 'papaparse';
import type { Speaker } from '@dewpot/locales';
import { useSay } from '../ui/say';
import { useUnits } from '../ui/units';

/** The mitres of a part, each once, degrees. */
const mitresOf = ({ mitres }: CutPart): number[] => [...new Set(mitres.map((mitre) => Math.round(mitre * 10) / 10))].filter((mitre) => mitre > 0); // prettier-ignore

/** The cut list as CSV: one part a row, sizes in mm. */
export const cutListCsv = (parts: readonly CutPart[], say: Speaker): string =>
  unparse(
    parts.map((part) => {
      const { width: length, height: width } = outlineBox(part.outline);
      return {
        part: part.key,
        name: say(part.name),
        of: part.stuff,
        count: part.count,
        length_mm: length.toFixed(1),
        width_mm: width.toFixed(1),
        thickness_mm: part.thickness.toFixed(1),
        mitres_deg: mitresOf(part).join(' '),
        grain: part.grain ? 'along' : '',
        outline_mm: part.outline.map(([x, y]) => `${x.toFixed(2)} ${y.toFixed(2)}`).join('; '),
      };
    }),
  );

/** The parts to cut, in a table; one is picked in it or in the drawing. */
export function PartsTable({ parts, picked, onPick }: { parts: readonly CutPart[]; picked: string | undefined; onPick: (part: string | undefined) => void }) {
  const say = useSay();
  const units = useUnits();
  const size = (part: CutPart) => {
    const { width: length, height: width } = outlineBox(part.outline);
    // A number and its unit stay on one line.
    return [length, width, part.thickness].map((mm, i) => <span key={i} className="whitespace-nowrap">{i > 0 && '× '}{units.say(mm, 'mm')} </span>);
  };
  return (
    <div className="overflow-x-auto">
      <table className="table">
        <thead>
          <tr>
            <th scope="col">{say('patterns.part')}</th>
            <th scope="col" className="text-right">{say('patterns.count')}</th>
            <th scope="col">{say('patterns.size')}</th>
            <th scope="col">{say('patterns.mitre')}</th>
          </tr>
        </thead>
        <tbody>
          {parts.map((part) => (
            <tr key={part.key} className={part.key === picked ? 'bg-base-200' : ''}>
              <th scope="row">
                <button type="button" aria-pressed={part.key === picked} className="inline-flex min-h-8 items-center gap-2 text-left font-semibold" onClick={() => onPick(part.key === picked ? undefined : part.key)}>
                  <span className="border-base-content inline-block min-w-7 border px-1 text-center">{part.key}</span>
                  {say(part.name)}
                </button>
                <span className="quiet block text-xs font-normal">{say(`patterns.of${defined(part.stuff[0]).toUpperCase()}${part.stuff.slice(1)}`)}</span>
              </th>
              <td className="text-right">{part.count}</td>
              <td>{size(part)}</td>
              <td>{mitresOf(part).map((mitre) => units.say(mitre, '°')).join(', ')}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
} // prettier-ignore
