import type { MixInput } from '@dewpot/contract';

/** How a mix dries: reckoned from what is in it, until somebody has seen it. */
export function DriesTo({
  draft,
  reckoned,
  onChange,
}: {
  draft: MixInput;
  /** As its materials, its tints and the chips make it. */
  reckoned: string;
  onChange: (part: Partial<MixInput>) => void;
}) {
  const seen = !draft.colourReckoned;
  return (
    <div>
      <label htmlFor="colour" className="mb-1 block text-sm font-semibold">
        Dries to
      </label>
      <input
        id="colour"
        type="color"
        className="h-10 w-24 cursor-pointer"
        value={seen ? draft.colour : reckoned}
        onChange={(event) => onChange({ colour: event.target.value, colourReckoned: false })}
      />
      <button
        type="button"
        className="link block text-xs"
        onClick={() => onChange({ colour: reckoned, colourReckoned: seen })}
      >
        {seen ? 'as seen: reckon it' : 'reckoned: I have seen it'}
      </button>
    </div>
  );
}
