import { useState } from 'react';
import { useSearchParams } from 'react-router';
import { identity, issueInWords } from '@dewpot/core/units';
import { FileButton } from '../ui/file-button';
import { PageHead } from '../ui/page-head';
import { Button } from '../ui/button';
import { pixelsOf } from '../ui/picture';
import { useSay } from '../ui/say';
import { useFileWork } from '../workers/use-file-work';
import { VoidCounting, type FacePhoto } from './void-counting';

/** A photo of twelve megapixels is looked at whole. */
const LONGEST = 4000;

/** Voids counted on a photo of a face. */
export function VoidsPage() {
  const say = useSay();
  const [search] = useSearchParams();
  const work = useFileWork();
  const [photo, setPhoto] = useState<FacePhoto>();
  const open = async (file: File) => {
    const pixels = await pixelsOf(file, LONGEST);
    setPhoto({ file, pixels });
  };
  return (
    <div className="mx-auto max-w-7xl p-4">
      <PageHead title={say('findings.voidsTitle')}>
        <FileButton label={say('findings.choosePhoto')} accept="image/*" look={photo ? 'soft' : 'main'} onFile={open}>
          {say('findings.choosePhoto')}
        </FileButton>
      </PageHead>
      {work.issues.length > 0 && (
        <ul role="alert" className="border-error mb-3 border-l-4 pl-3">
          {work.issues.map((issue) => (
            <li key={identity(issue.message)}>{say(issueInWords(issue))}</li>
          ))}
        </ul>
      )}
      {work.done !== undefined && (
        <div className="mb-3 flex items-center gap-3">
          <progress className="progress flex-1" value={work.done} max={1} aria-label={say('findings.lookingAt')} />
          <Button size="low" onClick={work.stop}>
            {say('moulds.stop')}
          </Button>
        </div>
      )}
      {photo ? (
        <VoidCounting key={photo.file.name + photo.file.lastModified} photo={photo} work={work} castId={search.get('cast')} />
      ) : (
        <p className="card-slab">{say('findings.voidsHow')}</p>
      )}
    </div>
  );
} // prettier-ignore
