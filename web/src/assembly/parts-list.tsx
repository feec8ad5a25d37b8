import { ArrowDown, ArrowUp, X } from 'lucide-react';
import type { CastView } from '@dewpot/contract';
import { IconButton } from '../ui/icon-button';
import { stageWords } from '../ui/casts/stage-words';
import { swapped } from '../ui/swapped';
import { useSay } from '../ui/say';

/** A cast as it is to stand in an article. */
export interface ArticlePartRow {
  readonly cast: CastView;
  readonly over: boolean;
}

/** The parts of an article, from the ground up, and what could be added. */
export function PartsList({
  casts,
  parts,
  stacked,
  onChange,
}: {
  casts: readonly CastView[];
  parts: readonly ArticlePartRow[];
  stacked: boolean;
  onChange: (parts: readonly ArticlePartRow[]) => void;
}) {
  const say = useSay();
  const free = casts.filter(({ id }) => parts.every(({ cast }) => cast.id !== id));
  const swap = (i: number, k: number) => onChange(swapped(parts, i, k));
  return (
    <section className="card-slab space-y-3" aria-label={say('assembly.parts')}>
      <h2 className="text-xl">{stacked ? say('assembly.partsUppermost') : say('assembly.panelsInOrder')}</h2>
      <ol className="divide-base-300 divide-y">
        {(stacked ? [...parts.entries()].reverse() : [...parts.entries()]).map(([i, { cast, over }]) => (
          <li key={cast.id} className="flex flex-wrap items-center gap-1 py-1">
            <span className="min-w-0 flex-1">
              <span className="numeral text-lg">{cast.code}</span>{' '}
              <span className="quiet text-sm">{cast.snapshot.mouldName}</span>
            </span>
            {stacked && (
              <label className="flex min-h-11 items-center gap-1 text-sm">
                <input
                  type="checkbox"
                  className="checkbox checkbox-sm"
                  checked={over}
                  onChange={() => onChange(parts.map((part, k) => (k === i ? { ...part, over: !over } : part)))}
                />
                {say('assembly.onHead')}
              </label>
            )}
            <IconButton
              label={say('assembly.raise', { code: cast.code })}
              icon={ArrowUp}
              disabled={i === parts.length - 1}
              onClick={() => swap(i, i + 1)}
            />
            <IconButton
              label={say('assembly.lower', { code: cast.code })}
              icon={ArrowDown}
              disabled={i === 0}
              onClick={() => swap(i, i - 1)}
            />
            <IconButton
              label={say('assembly.leaveOut', { code: cast.code })}
              icon={X}
              onClick={() => onChange(parts.filter((_, k) => k !== i))}
            />
          </li>
        ))}
      </ol>
      <label className="block text-sm font-semibold">
        {say('assembly.putOn')}
        <select
          className="select select-bordered mt-1 h-12 w-full"
          value=""
          onChange={({ target }) => {
            const cast = free.find(({ id }) => id === target.value);
            if (cast) onChange([...parts, { cast, over: false }]);
          }}
        >
          <option value="">{say('assembly.castFromShelf')}</option>
          {free.map(({ id, code, snapshot, stage }) => (
            <option key={id} value={id}>
              {code} {snapshot.mouldName}, {say(stageWords[stage])}
            </option>
          ))}
        </select>
      </label>
    </section>
  );
}
