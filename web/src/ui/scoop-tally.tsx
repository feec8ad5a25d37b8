import { useState } from 'react';
import { sayScoops } from '@dewpot/core/materials';
import { useSay } from './say';

const CAN = { width: 40, height: 46 };
/** Scoops drawn one by one up to this many; beyond, the number alone is told. */
const MOST_DRAWN = 60;

/** Volume of the scoop that is drawn at its own size, mL, and how far others may differ from it. */
const USUAL = 400;
const SIZES = [0.6, 1.25] as const;

/** A scoop of so many mL as the caster's own can, filled to a share. */
function Can({ share, done, volume }: { share: number; done: boolean; volume: number }) {
  const level = 8 + (1 - share) * 32;
  const size = Math.min(SIZES[1], Math.max(SIZES[0], Math.cbrt(volume / USUAL)));
  return (
    <svg viewBox="0 0 40 46" width={CAN.width * size} height={CAN.height * size} aria-hidden="true">
      <path
        d={`M6 ${level}L${6 + (level - 8) * 0.06} ${level}V42Q20 46 34 42V${level}Z`}
        fill={done ? 'var(--color-primary)' : 'var(--concrete)'}
      />
      <path d="M5 8V41Q20 46 35 41V8" fill="none" stroke="currentColor" strokeWidth={1.6} />
      <ellipse
        cx={20}
        cy={8}
        rx={15}
        ry={3.6}
        fill={share >= 1 ? (done ? 'var(--color-primary)' : 'var(--concrete)') : 'none'}
        stroke="currentColor"
        strokeWidth={1.6}
      />
      {share < 1 && <path d="M5 16h4M5 24h4M5 32h4" stroke="currentColor" />}
      {done && <path d="M12 27l6 6 11-14" fill="none" stroke="var(--color-primary-content)" strokeWidth={4} />}
    </svg>
  );
}

/** One material as scoops, whole and part, to be tapped off as they go in. */
export function ScoopTally({
  name,
  count,
  volume = USUAL,
  tappable = false,
}: {
  name: string;
  count: number;
  /** Of the scoop, mL. */
  volume?: number;
  tappable?: boolean;
}) {
  const say = useSay();
  const [done, setDone] = useState(0);
  const scoops = Array.from({ length: Math.ceil(count) }, (_, i) => Math.min(1, count - i));
  if (scoops.length > MOST_DRAWN) return null;
  if (!tappable) {
    return (
      <span
        className="flex flex-wrap gap-0.5"
        role="img"
        aria-label={say('ui.scoopsOf', { count: sayScoops(count), name })}
      >
        {scoops.map((share, i) => (
          <Can key={i} share={share} done={false} volume={volume} />
        ))}
      </span>
    );
  }
  return (
    <span
      className="flex flex-wrap"
      role="group"
      aria-label={say('ui.scoopsIn', { name, done: Math.min(done, scoops.length), scoops: scoops.length })}
    >
      {scoops.map((share, i) => (
        <button
          key={i}
          type="button"
          aria-pressed={i < done}
          aria-label={say('ui.scoopNumber', { i: i + 1, name, share: share < 1 ? sayScoops(share) : 'full' })}
          className="p-1.5"
          onClick={() => setDone(i < done ? i : i + 1)}
        >
          <Can share={share} done={i < done} volume={volume} />
        </button>
      ))}
    </span>
  );
}
