import type { MixInput } from '@dewpot/contract';

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
  const seen = !draft.colourCalculated;
  return (
    <div>
      <label htmlFor="colour" className="mb-1 block text-sm font-semibold">
        Dry colour
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
        {seen ? 'as seen: calculate it' : 'calculated: I have seen it'}
      </button>
    </div>
  );
}
