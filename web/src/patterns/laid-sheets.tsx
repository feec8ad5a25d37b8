import { quantity } from '@dewpot/core/units';
import { defined } from '@dewpot/core/math';
import { laidOutline, type LaidSheet, type OutlineWanted, type Sheet, type SheetLayout } from '@dewpot/core/cutting';
import { writeDxf, writeSvg } from '@dewpot/core/exports';
import { outlinesOf, sheetsDrawing, type CutGroup } from '@dewpot/core/patterns';
import { outlineBox } from '@dewpot/core/solids';
import { Button } from '../ui/button';
import { saveFile } from '../ui/save-file';
import { Failure } from '../ui/states';
import { Wrong } from '../ui/wrong';
import { useSay } from '../ui/say';
import { useUnits } from '../ui/units';
import { CutCost } from './cut-sticks';
import { useLaidSheets } from './use-cutting';

/** What stays whole of a sheet is told of from this length on, mm. */
const LEAST_LEFT = 50;

/** The sheets for parts with the parts laid on them; better layouts are shown as they come. */
export function SheetsGroup({ name, group, kerf, saw, sheets, nameOf }: { name: string; group: CutGroup; kerf: number; saw: boolean; sheets: readonly Sheet[]; nameOf: (key: string) => string | undefined }) {
  const say = useSay();
  const wanted = outlinesOf(group);
  const { wrong, busy, found, error, stop } = useLaidSheets({ wanted, sheets, kerf, saw });
  // What was laid of other parts or sheets is not drawn with these.
  const laid = found?.sheets.every(({ sheet, placed }) => sheets.some(({ key }) => key === sheet) && placed.every(({ key }) => wanted.some((one) => one.key === key)));
  return (
    <>
      <Wrong className="mt-2">{wrong}</Wrong>
      <Failure error={error} />
      {busy && (
        <p role="status" className="mt-2 flex flex-wrap items-center gap-3">
          {say(found ? 'patterns.layingBetter' : 'patterns.laying')}
          <Button size="low" onClick={stop}>{say('patterns.stopLaying')}</Button>
        </p>
      )}
      {found && laid ? (
        <div className={wrong ? 'opacity-50' : ''}>
          <Laid {...{ name, wanted, sheets, nameOf }} layout={found} />
        </div>
      ) : (
        !busy && !wrong && !error && <p className="mt-2">{say('patterns.sheetsShort')}</p>
      )}
    </>
  );
} // prettier-ignore

function Laid({ name, layout, wanted, sheets, nameOf }: { name: string; layout: SheetLayout; wanted: readonly OutlineWanted[]; sheets: readonly Sheet[]; nameOf: (key: string) => string | undefined }) {
  const say = useSay();
  const drawing = () => sheetsDrawing(layout.sheets, wanted, sheets);
  const file = say('patterns.sheetsFile', { name });
  return (
    <>
      <p className="mt-3 text-lg">
        {say('patterns.sheetsTold', { count: layout.sheets.length, waste: quantity(100 * layout.waste, '%') })}
        <CutCost of={sheets} cost={layout.cost} />
      </p>
      {layout.left >= LEAST_LEFT && <p>{say('patterns.sheetLeft', { left: quantity(layout.left, 'mm') })}</p>}
      {layout.fewest && layout.sheets.length > 1 && <p className="quiet text-sm">{say('patterns.sheetsFewest')}</p>}
      <ol className="mt-2 space-y-3">
        {layout.sheets.map((one, i) => (
          <li key={i}>
            <SheetDrawn laid={one} number={i + 1} wanted={wanted} sheet={defined(sheets.find(({ key }) => key === one.sheet))} name={nameOf(one.sheet)} />
          </li>
        ))}
      </ol>
      <div className="mt-2 flex flex-wrap gap-2">
        <Button size="low" onClick={() => saveFile(`${file}.svg`, writeSvg(drawing()), 'image/svg+xml')}>{say('patterns.sheetsSvg')}</Button>
        <Button size="low" onClick={() => saveFile(`${file}.dxf`, writeDxf(drawing()), 'image/vnd.dxf')}>{say('patterns.sheetsDxf')}</Button>
      </div>
    </>
  );
} // prettier-ignore

/** A sheet from above, its first corner at the lower left. */
function SheetDrawn({ laid, number, wanted, sheet, name }: { laid: LaidSheet; number: number; wanted: readonly OutlineWanted[]; sheet: Sheet; name: string | undefined }) {
  const say = useSay();
  const units = useUnits();
  const { length, width } = sheet;
  const size = `${units.say(length, 'mm')} × ${units.say(width, 'mm')}`;
  return (
    <figure>
      <figcaption className="text-sm">{[say('patterns.sheetNumber', { number }), name, size].filter(Boolean).join(' · ')}</figcaption>
      <svg viewBox={`${-length / 200} ${-length / 200} ${length * 1.01} ${width + length / 100}`} className="w-full" role="img" aria-label={say('patterns.sheetHolds', { number, parts: laid.placed.map(({ key }) => key).join(', ') })}>
        <rect width={length} height={width} className="fill-base-200 stroke-base-content" vectorEffect="non-scaling-stroke" />
        {laid.placed.map((one, i) => {
          const outline = laidOutline(defined(wanted.find(({ key }) => key === one.key)).outline, one);
          const box = outlineBox(outline);
          return (
            <g key={i}>
              <path d={`M${outline.map(([x, y]) => `${x.toFixed(1)} ${(width - y).toFixed(1)}`).join('L')}Z`} className="stroke-base-content [fill:var(--concrete)]" vectorEffect="non-scaling-stroke" />
              <text x={box.x0 + box.width / 2} y={width - box.y0 - box.height / 2} textAnchor="middle" dominantBaseline="central" fontSize={Math.min(length / 24, Math.max(box.width, box.height) / 2)} className="fill-base-content font-semibold">
                {one.key}
              </text>
            </g>
          );
        })}
      </svg>
    </figure>
  );
} // prettier-ignore
