import { quantity } from '@dewpot/core/units';
import type { CutLengths, LengthWanted, Stick } from '@dewpot/core/cutting';
import { lengthsOf, type CutGroup } from '@dewpot/core/patterns';
import { defined } from '@dewpot/core/math';
import { Failure } from '../ui/states';
import { Wrong } from '../ui/wrong';
import { useSay } from '../ui/say';
import { useUnits } from '../ui/units';
import { useCutLengths } from './use-cutting';

/** The fewest sticks for parts, drawn as they lie on them. */
export function SticksGroup({ group, kerf, sticks, nameOf }: { group: CutGroup; kerf: number; sticks: readonly Stick[]; nameOf: (key: string) => string | undefined }) {
  const say = useSay();
  const wanted = lengthsOf(group);
  const { wrong, busy, found, error } = useCutLengths({ wanted, sticks, kerf });
  return (
    <>
      <Wrong className="mt-2">{wrong}</Wrong>
      <Failure error={error} />
      <div aria-live="polite" className={busy || wrong ? 'opacity-50' : ''}>
        {found ? <CutSticks cut={found} wanted={wanted} sticks={sticks} nameOf={nameOf} /> : !busy && !wrong && !error && <p className="mt-2">{say('patterns.sticksShort')}</p>}
      </div>
    </>
  );
} // prettier-ignore

function CutSticks({ cut, wanted, sticks, nameOf }: { cut: CutLengths; wanted: readonly LengthWanted[]; sticks: readonly Stick[]; nameOf: (key: string) => string | undefined }) {
  const say = useSay();
  const units = useUnits();
  const lengthOf = (key: string) => wanted.find((one) => one.key === key)?.length ?? 0;
  const longest = Math.max(...sticks.map(({ length }) => length));
  return (
    <>
      <p className="mt-3 text-lg">
        {say('patterns.sticksTold', { count: cut.sticks.length, waste: quantity(100 * cut.waste, '%') })}
        <CutCost of={sticks} cost={cut.cost} />
      </p>
      {(cut.best || sticks.length === 1) && (
        <p className="quiet text-sm">
          {cut.best ? say('patterns.sticksProven') : say('patterns.sticksBest', { least: Math.ceil(cut.least / (sticks[0]?.price ?? longest)) })}
        </p>
      )}
      <ol className="mt-2 space-y-1.5">
        {cut.sticks.map(({ stick, pieces, left }, i) => {
          const { length } = defined(sticks.find(({ key }) => key === stick));
          return (
            <li key={i} className="border-base-content flex h-9 overflow-hidden border" style={{ width: `${(100 * length) / longest}%` }} title={[nameOf(stick), say('patterns.leftOver', { left: units.say(left, 'mm') })].filter(Boolean).join(': ')}>
              {pieces.flatMap(({ key, count }) =>
                Array.from({ length: count }, (_, k) => (
                  <span key={`${key}${k}`} className="border-base-content flex items-center justify-center border-r text-sm font-semibold [background:var(--concrete)]" style={{ width: `${(100 * lengthOf(key)) / length}%` }}>
                    {key}
                  </span>
                )),
              )}
              <span className="quiet flex flex-1 items-center justify-end overflow-hidden px-1 text-xs whitespace-nowrap">{units.say(Math.max(0, left), 'mm')}</span>
            </li>
          );
        })}
      </ol>
    </>
  );
} // prettier-ignore

/** What sticks or sheets cost, where all have prices. */
export function CutCost({ of, cost }: { of: readonly { readonly price?: number }[]; cost: number }) {
  const units = useUnits();
  return of.every(({ price }) => price !== undefined) ? <>, {units.say(cost, 'money')}</> : null;
}
