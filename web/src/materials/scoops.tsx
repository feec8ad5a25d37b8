import { useState } from 'react';
import type { ScoopView } from '@dewpot/contract';
import { Plus } from 'lucide-react';
import { Button } from '../ui/button';
import { useUnits } from '../ui/units';
import { ScoopEditor } from './scoop-editor';
import { useSay } from '../ui/say';

const TALLEST = 92;

/** The measuring vessels that the caster owns, drawn to one scale. */
export function Scoops({ scoops }: { scoops: readonly ScoopView[] }) {
  const say = useSay();
  const units = useUnits();
  const [editing, setEditing] = useState<ScoopView | 'new'>();
  const largest = Math.max(1, ...scoops.map(({ volume }) => Math.cbrt(volume)));
  return (
    <section className="card-slab" aria-label={say('materials.scoops')}>
      <h2 className="mb-2 text-2xl">{say('materials.scoops')}</h2>
      <ul className="flex flex-wrap items-end gap-x-6 gap-y-3">
        {scoops.map((scoop) => (
          <li key={scoop.id}>
            <button type="button" className="hover:bg-base-200 p-2 text-center" onClick={() => setEditing(scoop)}>
              <ScoopDrawing size={(Math.cbrt(scoop.volume) / largest) * TALLEST} />
              <span className="block font-semibold">{scoop.name}</span>
              <span className="numeral block text-xl">{units.say(scoop.volume, 'mL')}</span>
            </button>
          </li>
        ))}
        <li>
          <Button onClick={() => setEditing('new')}>
            <Plus size={18} aria-hidden="true" /> {say('materials.aScoop')}
          </Button>
        </li>
      </ul>
      {editing && <ScoopEditor scoop={editing === 'new' ? undefined : editing} onClose={() => setEditing(undefined)} />}
    </section>
  );
}

function ScoopDrawing({ size }: { size: number }) {
  const w = size * 0.82;
  return (
    <svg width={w + 4} height={size + 8} viewBox={`-2 -4 ${w + 4} ${size + 8}`} className="mx-auto" aria-hidden="true">
      <path
        d={`M0 0V${size - 3}A${w / 2} 5 0 0 0 ${w} ${size - 3}V0`}
        fill="var(--concrete)"
        stroke="currentColor"
        strokeWidth={1.6}
      />
      <ellipse
        cx={w / 2}
        cy={0}
        rx={w / 2}
        ry={3.4}
        fill="var(--color-base-200)"
        stroke="currentColor"
        strokeWidth={1.6}
      />
    </svg>
  );
}
