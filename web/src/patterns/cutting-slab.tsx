import { useState } from 'react';
import { quantity } from '@dewpot/core/units';
import type { CutLengths, LengthWanted } from '@dewpot/core/cutting';
import { outlineBox, type CutPart } from '@dewpot/core/patterns';
import { QuantityField } from '../ui/quantity-field';
import { Failure } from '../ui/states';
import { Wrong } from '../ui/wrong';
import { useSay } from '../ui/say';
import { useUnits } from '../ui/units';
import { useCutLengths } from './use-cut-lengths';

/** Sticks as they are usually sold, mm, and what a saw takes. Handbook 19. */
const USUAL_STICK = 2400;
const USUAL_KERF = 3;
const MOST_STICKS = 50;

/** Parts that are cut from a stick: their grain runs along it. */
export const cutFromSticks = (parts: readonly CutPart[]): LengthWanted[] =>
  parts
    .filter(({ grain, stuff }) => grain && (stuff === 'board' || stuff === 'strip'))
    .map(({ key, count, outline }) => ({ key, count, length: Math.round(outlineBox(outline).width * 10) / 10 }));

/** The fewest sticks for the parts that are cut from sticks, drawn as they lie on them. */
export function CuttingSlab({ wanted }: { wanted: readonly LengthWanted[] }) {
  const say = useSay();
  const [length, setLength] = useState<number | undefined>(Math.max(USUAL_STICK, ...wanted.map((one) => one.length)));
  const [kerf, setKerf] = useState<number | undefined>(USUAL_KERF);
  const sticks = [{ key: 'stick', length: length ?? 0, count: MOST_STICKS }];
  const { wrong, busy, cut, error } = useCutLengths(wanted, sticks, kerf ?? NaN);
  return (
    <section className="card-slab" aria-label={say('patterns.fromSticks')}>
      <h2 className="text-xl">{say('patterns.fromSticks')}</h2>
      <div className="mt-2 grid grid-cols-2 gap-3">
        <QuantityField label={say('patterns.stickLength')} name="stick" dimension="length" value={length} onChange={setLength} />
        <QuantityField label={say('patterns.kerf')} name="kerf" dimension="length" value={kerf} onChange={setKerf} />
      </div>
      <Wrong className="mt-2">{wrong}</Wrong>
      <Failure error={error} />
      <div aria-live="polite" className={busy || wrong ? 'opacity-50' : ''}>
        {cut ? <CutSticks cut={cut} wanted={wanted} length={length ?? 1} /> : !busy && !wrong && !error && <p className="mt-2">{say('patterns.sticksShort')}</p>}
      </div>
    </section>
  );
} // prettier-ignore

function CutSticks({ cut, wanted, length }: { cut: CutLengths; wanted: readonly LengthWanted[]; length: number }) {
  const say = useSay();
  const units = useUnits();
  const lengthOf = (key: string) => wanted.find((one) => one.key === key)?.length ?? 0;
  return (
    <>
      <p className="mt-3 text-lg">
        {say('patterns.sticksTold', { count: cut.sticks.length, waste: quantity(100 * cut.waste, '%') })}
      </p>
      <p className="quiet text-sm">
        {cut.best ? say('patterns.sticksProven') : say('patterns.sticksBest', { least: Math.ceil(cut.least / length) })}
      </p>
      <ol className="mt-2 space-y-1.5">
        {cut.sticks.map(({ pieces, left }, i) => (
          <li key={i} className="border-base-content flex h-9 overflow-hidden border" title={say('patterns.leftOver', { left: units.say(left, 'mm') })}>
            {pieces.flatMap(({ key, count }) =>
              Array.from({ length: count }, (_, k) => (
                <span key={`${key}${k}`} className="border-base-content flex items-center justify-center border-r text-sm font-semibold [background:var(--concrete)]" style={{ width: `${(100 * lengthOf(key)) / length}%` }}>
                  {key}
                </span>
              )),
            )}
            <span className="quiet flex flex-1 items-center justify-end overflow-hidden px-1 text-xs whitespace-nowrap">{units.say(Math.max(0, left), 'mm')}</span>
          </li>
        ))}
      </ol>
    </>
  );
} // prettier-ignore
