import type { CopyView } from '@dewpot/contract';
import { Plus, X } from 'lucide-react';
import { v7 as uuid } from 'uuid';

interface Copy {
  readonly id: string;
  readonly mark: string;
}

function nextMark(copies: readonly Copy[]): string {
  const letters = Array.from({ length: 26 }, (_, i) => String.fromCharCode(65 + i));
  return letters.find((letter) => copies.every(({ mark }) => mark !== letter)) ?? String(copies.length + 1);
}

/** The copies of a mould that the caster owns, each with its mark and its cycles. */
export function Copies({
  copies,
  cycles,
  onChange,
}: {
  copies: readonly Copy[];
  cycles: readonly CopyView[];
  onChange: (copies: Copy[]) => void;
}) {
  return (
    <section className="card-slab" aria-label="Copies">
      <h2 className="mb-2 text-xl">Copies</h2>
      <ul className="flex flex-wrap gap-2">
        {copies.map((copy) => (
          <li key={copy.id} className="bg-base-200 flex items-center gap-2 pl-3">
            <span className="numeral text-xl">{copy.mark}</span>
            <span className="quiet text-sm">{cycles.find(({ id }) => id === copy.id)?.cycles ?? 0} pours</span>
            <button
              type="button"
              className="btn btn-ghost h-11 w-11 p-0"
              aria-label={`Take copy ${copy.mark} out`}
              onClick={() => onChange(copies.filter(({ id }) => id !== copy.id))}
            >
              <X size={16} aria-hidden="true" />
            </button>
          </li>
        ))}
        <li>
          <button
            type="button"
            className="btn btn-ghost bg-base-300/60 h-11"
            onClick={() => onChange([...copies, { id: uuid(), mark: nextMark(copies) }])}
          >
            <Plus size={16} aria-hidden="true" /> One more
          </button>
        </li>
      </ul>
    </section>
  );
}
