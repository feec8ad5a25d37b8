import { Plus, X } from 'lucide-react';
import type { MassBandInput } from '@dewpot/contract';
import { Button } from '../ui/button';
import { IconButton } from '../ui/icon-button';
import { NumberField } from '../ui/number-field';
import { QuantityField } from '../ui/quantity-field';
import { useSay } from '../ui/say';

const MOST = 50;
const FIRST: MassBandInput = { upTo: 2000, price: 0 };

/** What it costs to send up to each mass, as the caster's own post has it. */
export function MassBands({ bands, onChange }: { bands: readonly MassBandInput[]; onChange: (bands: readonly MassBandInput[]) => void }) {
  const say = useSay();
  const at = (i: number, part: Partial<MassBandInput>) => onChange(bands.map((band, n) => (n === i ? { ...band, ...part } : band)));
  const next = () => onChange([...bands, { ...FIRST, upTo: Math.min(1e7, 2 * (bands.at(-1)?.upTo ?? FIRST.upTo / 2)) }]);
  return (
    <fieldset className="space-y-2">
      <legend className="text-sm font-semibold">{say('money.sendingUpTo')}</legend>
      {bands.map(({ upTo, price }, i) => (
        <div key={i} className="grid grid-cols-[minmax(0,1fr)_minmax(0,1fr)_auto] items-center gap-2">
          <QuantityField hideLabel label={say('money.bandUpTo', { n: i + 1 })} name={`bands.${i}.upTo`} dimension="mass" value={upTo} onChange={(mass) => mass !== undefined && at(i, { upTo: mass })} />
          <NumberField label={say('money.bandCosts', { n: i + 1 })} className="w-full" value={price} onChange={(value) => at(i, { price: Number.isNaN(value) ? 0 : value })} />
          <IconButton label={say('money.removeBand', { n: i + 1 })} icon={X} onClick={() => onChange(bands.filter((_, n) => n !== i))} />
        </div>
      ))}
      <Button size="low" className="px-3 text-sm" disabled={bands.length >= MOST} onClick={next}>
        <Plus size={16} aria-hidden="true" /> {say('money.addBand')}
      </Button>
    </fieldset>
  );
} // prettier-ignore
