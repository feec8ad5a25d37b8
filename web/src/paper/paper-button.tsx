import { msg, type Message } from '@dewpot/core/units';
import { FileText } from 'lucide-react';
import { useState } from 'react';
import { Button } from '../ui/button';
import { saveFile } from '../ui/save-file';
import type { Speaker } from '@dewpot/locales';
import { useUnits } from '../ui/units';
import { Failure } from '../ui/states';
import type { PaperFaces, PaperName } from './paper';
import { useSay } from '../ui/say';

const paperNames: Record<PaperName, Message> = { a4: msg('paper.a4'), letter: msg('paper.letter') };

/** Makes a paper as PDF when it is asked for, in A4 or Letter as the workshop's units go, and hands it out. */
export function PaperButton({
  name,
  file,
  make,
}: {
  name: string;
  /** Without its ending. */
  file: string;
  make: (ways: { paper: PaperName; faces: PaperFaces; say: Speaker }) => Promise<Uint8Array>;
}) {
  const say = useSay();
  const { system } = useUnits();
  const [paper, setPaper] = useState<PaperName>(system === 'us' ? 'letter' : 'a4');
  const [busy, setBusy] = useState(false);
  const [error, setError] = useState<unknown>();
  const hand = async () => {
    setBusy(true);
    setError(undefined);
    try {
      const { fetchFaces } = await import('./faces');
      const bytes = await make({ paper, faces: await fetchFaces(), say });
      saveFile(`${file}.pdf`, bytes.slice(), 'application/pdf');
    } catch (wrong) {
      setError(wrong);
    }
    setBusy(false);
  };
  return (
    <span className="no-print inline-flex flex-wrap items-center gap-1">
      <Button disabled={busy} onClick={() => void hand()}>
        <FileText size={18} aria-hidden="true" /> {busy ? say('paper.oneMoment') : name}
      </Button>
      <select
        className="select select-bordered h-12 w-24"
        aria-label={say('paper.paperOf', { name })}
        value={paper}
        onChange={({ target }) => setPaper(target.value as PaperName)}
      >
        {(Object.keys(paperNames) as PaperName[]).map((one) => (
          <option key={one} value={one}>
            {say(paperNames[one])}
          </option>
        ))}
      </select>
      <Failure error={error} />
    </span>
  );
}
