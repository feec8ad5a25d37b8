import type { MixInput } from '@dewpot/contract';
import { useSay } from '../ui/say';

/** How a mix dries: calculated from what is in it, until somebody has seen it. */
export function DriesTo({
  draft,
  calculated,
  onChange,
}: {
  draft: MixInput;
  /** As its materials, its tints and the chips make it. */
  calculated: string;
  onChange: (part: Partial<MixInput>) => void;
}) {
  const say = useSay();
  const seen = !draft.colourCalculated;
  return (
    <div>
      <label htmlFor="colour" className="mb-1 block text-sm font-semibold">
        {say('mixes.dryColour')}
      </label>
      <input
        id="colour"
        type="color"
        className="h-10 w-24 cursor-pointer"
        value={seen ? draft.colour : calculated}
        onChange={(event) => onChange({ colour: event.target.value, colourCalculated: false })}
      />
      <button
        type="button"
        className="link block text-xs"
        onClick={() => onChange({ colour: calculated, colourCalculated: seen })}
      >
        {seen ? say('mixes.seenCalculate') : say('mixes.calculatedSeen')}
      </button>
    </div>
  );
}
