import { fixed } from '@dewpot/core/units';
import { Button } from '../ui/button';
import { useSay } from '../ui/say';

const MB = 2 ** 20;

/** How far something large is on its way, and a way to stop it. `all`: about so many bytes. */
export function TransferBar({ label, bytes, all, onStop }: { label: string; bytes: number; all: number; onStop: () => void }) {
  const say = useSay();
  return (
    <div className="flex flex-wrap items-center gap-3">
      <span className="flex min-w-0 flex-1 flex-col gap-1">
        <span className="quiet text-sm">{label}</span>
        {/* Full rather than running to and fro once all is through: what runs takes a core from whoever reads it. */}
        <progress className="progress w-full" value={Math.min(bytes, all)} max={Math.max(all, 1)} aria-label={label} />
        <span className="quiet text-sm">{say('workshop.megabytesOf', { mb: fixed(bytes / MB, 1), all: fixed(Math.max(all, bytes) / MB, 1) })}</span>
      </span>
      <Button size="low" onClick={onStop}>
        {say('workshop.stop')}
      </Button>
    </div>
  );
} // prettier-ignore
