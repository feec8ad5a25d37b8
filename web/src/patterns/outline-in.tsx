import { useState } from 'react';
import { identity, issueInWords } from '@dewpot/core/units';
import type { OutlineReading } from '@dewpot/core/meshes';
import type { CutPattern } from '@dewpot/core/patterns';
import { simplified, type PlanPoint } from '@dewpot/core/solids';
import { Button } from '../ui/button';
import { Dialog } from '../ui/dialog';
import { FileButton } from '../ui/file-button';
import { PhotoTracing } from '../ui/photo-tracing';
import { useSay } from '../ui/say';
import { useFileWork } from '../workers/use-file-work';

/** An outline that is read keeps its points to so many mm; one that is seen on a photo is no finer than a photo is, and its straight sides are to be straight. */
const FINE = 0.05;
const SEEN = 3;

/** Whether a pattern goes by an outline that may be read from a file. */
const takesOutline = (pattern: CutPattern): pattern is Extract<CutPattern, { kind: 'strip' | 'gap' }> =>
  pattern.kind === 'gap' || (pattern.kind === 'strip' && pattern.line.shape === 'free');

/** The outline of a pattern out of a drawing; of a gap in place of its lengths, until it is taped again. */
export function OutlineIn({ pattern, onChange }: { pattern: CutPattern; onChange: (pattern: CutPattern) => void }) {
  const say = useSay();
  const work = useFileWork();
  const [photo, setPhoto] = useState<File>();
  if (!takesOutline(pattern)) return null;
  const read = async (file: File) => {
    const text = await file.text();
    const reading = await work.run<OutlineReading>((files) => files.outlines(text));
    const [largest] = reading?.outlines ?? [];
    if (largest) take(simplified(largest, FINE));
  };
  const take = (points: readonly PlanPoint[]) =>
    onChange(pattern.kind === 'gap' ? { ...pattern, outline: points } : { ...pattern, line: { shape: 'free', closed: true, points } }); // prettier-ignore
  const byTape = () => {
    if (pattern.kind !== 'gap') return;
    const { outline: _, ...taped } = pattern;
    onChange(taped);
  };
  return (
    <div className="mt-4 flex flex-wrap items-center gap-2">
      <FileButton size="low" label={say('patterns.outlineFile')} accept=".svg,.dxf" onFile={read}>
        {say('patterns.readOutline')}
      </FileButton>
      <FileButton size="low" label={say('patterns.photoFile')} accept="image/*" onFile={async (file) => setPhoto(file)}>
        {say('patterns.tracePhoto')}
      </FileButton>
      {photo && (
        <Dialog title={say('patterns.tracePhoto')} wide onClose={() => setPhoto(undefined)}>
          <PhotoTracing
            title={say('patterns.theOutline')}
            file={photo}
            work={work}
            takeIt={say('patterns.takeOutline')}
            onTake={({ outline }) => {
              take(simplified(outline, SEEN));
              setPhoto(undefined);
            }}
          />
        </Dialog>
      )}
      {pattern.kind === 'gap' && pattern.outline && (
        <Button size="low" onClick={byTape}>
          {say('patterns.byTape')}
        </Button>
      )}
      {work.issues.length > 0 && (
        <ul role="alert" className="text-error w-full text-sm">
          {work.issues.map((issue) => (
            <li key={identity(issue.message)}>{say(issueInWords(issue))}</li>
          ))}
        </ul>
      )}
    </div>
  );
}
