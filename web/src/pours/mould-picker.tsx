import { useState } from 'react';
import { Plus } from 'lucide-react';
import { Button } from '../ui/button';
import { Piece, pieceSize } from '../ui/piece';
import { freeOf } from './full-moulds';
import type { PlanSources } from './plan';
import { useSay } from '../ui/say';

/** Size of a tile's picture, px. */
const [WIDTH, HEIGHT] = [112, 84];

/** All moulds of the workshop as silhouettes to one scale, with how many of each are free: a tap takes one more into the pour. */
export function MouldPicker({
  sources: { moulds, full },
  colour,
  onAdd,
}: {
  sources: PlanSources;
  colour: string;
  onAdd: (mouldId: string) => void;
}) {
  const say = useSay();
  const [open, setOpen] = useState(false);
  const sizes = moulds.map(({ shape }) => pieceSize(shape, 1));
  const scale = Math.min(...sizes.map(({ width, height }) => Math.min((WIDTH - 6) / width, (HEIGHT - 6) / height)));
  return (
    <div className={open ? 'w-full' : ''}>
      <Button aria-expanded={open} onClick={() => setOpen(!open)}>
        <Plus size={18} aria-hidden="true" /> {say('pours.anotherMould')}
      </Button>
      {open && (
        <ul
          className="mt-3 grid grid-cols-[repeat(auto-fill,minmax(7.5rem,1fr))] gap-2"
          aria-label={say('pours.mouldsToChoose')}
        >
          {moulds.map((mould) => {
            const { free } = freeOf(mould, full, 1);
            return (
              <li key={mould.id}>
                <button
                  type="button"
                  className="bg-base-100 border-base-300 hover:border-secondary flex h-full w-full flex-col items-center border p-2"
                  aria-label={say('pours.addMould', { mould: mould.name })}
                  onClick={() => {
                    onAdd(mould.id);
                    setOpen(false);
                  }}
                >
                  <svg
                    viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
                    className={`w-full ${free === 0 ? 'opacity-50' : ''}`}
                    aria-hidden="true"
                  >
                    <g transform={`translate(${WIDTH / 2} ${HEIGHT - 4})`}>
                      <Piece shape={mould.shape} colour={colour} scale={scale} />
                    </g>
                  </svg>
                  <span className="line-clamp-2 text-sm leading-tight font-semibold">{mould.name}</span>
                  {free !== undefined && (
                    <span className="quiet text-xs">{free === 0 ? say('pours.noneFree') : `${free} free`}</span>
                  )}
                </button>
              </li>
            );
          })}
        </ul>
      )}
    </div>
  );
}
