import { InputError } from '@dewpot/core/units';
import type { PourPart } from '@dewpot/core/planning';
import { faceColouringOf, type FaceColouring, type PourItem } from '@dewpot/core/pours';
import type { MixView, MouldView, PourItemInput } from '@dewpot/contract';
import { Minus, Plus, X } from 'lucide-react';
import { Button } from '../ui/button';
import { Piece, pieceSize } from '../ui/piece';
import { FreeNote } from './free-note';
import { freeOf } from './full-moulds';
import { MouldPicker } from './mould-picker';
import { itemOf } from './plan';
import type { ChoicesProps } from './pour-choices';
import { useSay } from '../ui/say';

/** Most pieces of one mould in a pour. */
const MOST = 500;

/** What a piece is drawn in before its mix is chosen. */
const NO_COLOUR = '#b3ada1';

/** How a piece of a plan is coloured; undefined while its shares do not come to the whole. */
function faceColouringFor(item: PourItem | undefined): FaceColouring | undefined {
  try {
    return item && faceColouringOf(item);
  } catch (error) {
    if (error instanceof InputError) return undefined;
    throw error;
  }
}

/** The pieces of a pour as silhouettes with counts. */
export function PourItems({ input, sources, parts, onChange }: ChoicesProps & { readonly parts: readonly PourPart[] }) {
  const say = useSay();
  const { moulds, mixes, full } = sources;
  const wantedOf = (id: string) =>
    input.items.reduce((sum, { mouldId, count }) => sum + (mouldId === id ? count : 0), 0);
  const chosen = input.items.flatMap((item, at) =>
    moulds.filter(({ id }) => id === item.mouldId).map((mould) => ({ item, at, mould, planned: itemOf(parts, at) })),
  );
  const gone = input.items.flatMap(({ mouldId }, at) => (moulds.some(({ id }) => id === mouldId) ? [] : [at]));
  const tallest = Math.max(
    1,
    ...chosen.map(({ mould: { shape } }) => {
      const { width, height } = pieceSize(shape, 1);
      return Math.max(height * 1.1, width * 0.7);
    }),
  );
  const put = (at: number, part: Partial<PourItemInput>) =>
    onChange({ items: input.items.map((item, i) => (i === at ? { ...item, ...part } : item)) });
  const leaveOut = (at: number) => onChange({ items: input.items.filter((_, i) => i !== at) });
  return (
    <section aria-label={say('moulds.whichMoulds')}>
      <div className="space-y-4">
        <ul className="space-y-4">
          {chosen.map(({ item, at, mould, planned }) => (
            <ChosenMould
              key={at}
              {...{ item, mould, planned, mixes }}
              mixId={input.mixId}
              scale={98 / tallest}
              free={freeOf(mould, full, wantedOf(mould.id))}
              onPut={(part) => put(at, part)}
              onLeaveOut={chosen.length > 1 ? () => leaveOut(at) : undefined}
            />
          ))}
          {gone.map((at) => (
            <li key={at} className="border-error flex items-center justify-between gap-3 border-l-4 pl-3">
              <span>{say('pours.mouldGoneField', { at: at + 1 })}</span>
              <Button onClick={() => leaveOut(at)}>{say('pours.leaveItOut')}</Button>
            </li>
          ))}
        </ul>
        <MouldPicker
          sources={sources}
          colour={parts[0]?.colour ?? NO_COLOUR}
          onAdd={(mouldId) => onChange({ items: [...input.items, { mouldId, count: 1 }] })}
        />
      </div>
    </section>
  );
}

function ChosenMould({
  item,
  mould,
  planned,
  mixes,
  mixId,
  scale,
  free,
  onPut,
  onLeaveOut,
}: {
  item: PourItemInput;
  mould: MouldView;
  planned: ReturnType<typeof itemOf>;
  mixes: readonly MixView[];
  /** The pour's own mix. */
  mixId: string;
  scale: number;
  free: ReturnType<typeof freeOf>;
  onPut: (part: Partial<PourItemInput>) => void;
  /** Undefined for the only one. */
  onLeaveOut: (() => void) | undefined;
}) {
  const say = useSay();
  const faceColouring = faceColouringFor(planned?.item);
  const setCount = (count: number) => onPut({ count: Math.min(MOST, Math.max(1, count)) });
  return (
    <li className="flex items-center gap-3">
      <svg viewBox="0 0 160 112" className="w-20 shrink-0" aria-hidden="true">
        <g transform="translate(80 104)">
          <Piece
            shape={mould.shape}
            colour={faceColouring?.parts[0]?.colour ?? planned?.part.colour ?? NO_COLOUR}
            faceColouring={faceColouring}
            scale={scale}
          />
        </g>
      </svg>
      <div className="min-w-0 flex-1">
        <p className="flex items-start justify-between gap-1 leading-tight">
          <span className="line-clamp-2 font-semibold" title={mould.name}>
            {mould.name}
          </span>
          {onLeaveOut && (
            <Button
              look="plain"
              size="own"
              className="h-9 w-9 min-h-9 p-0"
              aria-label={say('pours.leaveMouldOut', { mould: mould.name })}
              onClick={onLeaveOut}
            >
              <X size={16} aria-hidden="true" />
            </Button>
          )}
        </p>
        <Count mould={mould} count={item.count} onCount={setCount} />
        <FreeNote free={free} onTake={setCount} />
        {mixes.length > 1 && onLeaveOut && (
          <select
            className="select select-bordered mt-1 h-11 w-full ps-2 text-xs"
            aria-label={say('pours.mixOf', { mould: mould.name })}
            value={item.mixId ?? mixId}
            onChange={({ target: { value } }) => onPut({ mixId: value })}
          >
            {mixes.map(({ id, name }) => (
              <option key={id} value={id}>
                {name}
              </option>
            ))}
          </select>
        )}
      </div>
    </li>
  );
}

function Count({ mould, count, onCount }: { mould: MouldView; count: number; onCount: (count: number) => void }) {
  const say = useSay();
  return (
    <div className="mt-1 flex items-center gap-1">
      <Button
        className="w-12 p-0"
        aria-label={say('pours.oneLess', { mould: mould.name })}
        onClick={() => onCount(count - 1)}
      >
        <Minus aria-hidden="true" />
      </Button>
      <input
        type="number"
        min={1}
        max={MOST}
        aria-label={say('pours.howManyOf', { mould: mould.name })}
        className="input input-bordered numeral h-12 w-14 text-center text-xl"
        value={count}
        onChange={(event) => onCount(Math.round(event.target.valueAsNumber) || 1)}
      />
      <Button
        className="w-12 p-0"
        aria-label={say('pours.oneMoreOf', { mould: mould.name })}
        onClick={() => onCount(count + 1)}
      >
        <Plus aria-hidden="true" />
      </Button>
    </div>
  );
}
