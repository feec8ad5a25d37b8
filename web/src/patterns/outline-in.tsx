import { identity, issueInWords } from '@dewpot/core/units';
import type { OutlineReading } from '@dewpot/core/meshes';
import type { CutPattern } from '@dewpot/core/patterns';
import { simplified } from '@dewpot/core/solids';
import { Button } from '../ui/button';
import { FileButton } from '../ui/file-button';
import { useSay } from '../ui/say';
import { useFileWork } from '../workers/use-file-work';

/** An outline that is read keeps its points to so many mm. */
const FINE = 0.05;

/** Whether a pattern goes by an outline that may be read from a file. */
const takesOutline = (pattern: CutPattern): pattern is Extract<CutPattern, { kind: 'strip' | 'gap' }> =>
  pattern.kind === 'gap' || (pattern.kind === 'strip' && pattern.line.shape === 'free');

/** The outline of a pattern out of a drawing; of a gap in place of its lengths, until it is taped again. */
export function OutlineIn({ pattern, onChange }: { pattern: CutPattern; onChange: (pattern: CutPattern) => void }) {
  const say = useSay();
  const work = useFileWork();
  if (!takesOutline(pattern)) return null;
  const read = async (file: File) => {
    const text = await file.text();
    const reading = await work.run<OutlineReading>((files) => files.outlines(text));
    const [largest] = reading?.outlines ?? [];
    if (!largest) return;
    const points = simplified(largest, FINE);
    onChange(pattern.kind === 'gap' ? { ...pattern, outline: points } : { ...pattern, line: { shape: 'free', closed: true, points } }); // prettier-ignore
  };
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
