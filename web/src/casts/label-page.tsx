import { useCallback, useState } from 'react';
import { Camera } from 'lucide-react';
import type { PhotoPixels } from '@dewpot/core/photos';
import { useNavigate } from 'react-router';
import { castOnLabel } from '../ui/casts/cast-on-label';
import { FileButton } from '../ui/file-button';
import { PageHead } from '../ui/page-head';
import { pixelsOf } from '../ui/picture';
import { useSay } from '../ui/say';
import { useAskedWork } from '../workers/use-asked-work';
import type { LabelWork } from '../workers/label.worker';
import { useLabelCamera } from './use-label-camera';

const start = () => new Worker(new URL('../workers/label.worker.ts', import.meta.url), { type: 'module' });
const none = (): LabelWork => ({ read: () => undefined });

/** What became of the last picture that was looked into. */
type Seen = 'nothing' | 'noCode' | 'otherCode' | 'noPicture';

/** Looks for a label in a picture, and opens its cast. */
function useLabel() {
  const { ask } = useAskedWork<LabelWork>(start, none);
  const navigate = useNavigate();
  const [seen, setSeen] = useState<Seen>('nothing');
  const look = useCallback(
    async (pixels: PhotoPixels): Promise<boolean> => {
      const text = await ask((work) => work.read(pixels));
      const cast = text === undefined ? undefined : castOnLabel(text);
      if (text !== undefined && !cast) setSeen('otherCode');
      if (cast) void navigate(`/casts/${cast}`, { replace: true });
      return cast !== undefined;
    },
    [ask, navigate],
  );
  return { seen, setSeen, look };
}

/** Opens a cast by the code on its label: before the camera, or on a photo of it. */
export function LabelPage() {
  const say = useSay();
  const { seen, setSeen, look } = useLabel();
  const { camera, video } = useLabelCamera(look);
  const photo = async (file: File) => {
    setSeen('nothing');
    const found = await pixelsOf(file).then(look, () => 'noPicture' as const);
    if (found === 'noPicture') setSeen(found);
    else if (!found) setSeen((before) => (before === 'otherCode' ? before : 'noCode'));
  };
  return (
    <div className="mx-auto max-w-xl p-4">
      <PageHead title={say('casts.readLabel')} />
      <section className="card-slab space-y-4" aria-label={say('casts.readLabel')}>
        <p>{say(camera === 'none' ? 'casts.noCamera' : 'casts.holdLabel')}</p>
        <video
          ref={video}
          muted
          playsInline
          aria-label={say('casts.cameraPicture')}
          className={camera === 'none' ? 'hidden' : 'bg-base-300 aspect-square w-full object-cover'}
        />
        <FileButton accept="image/*" capture="environment" label={say('casts.labelPhoto')} look={camera === 'none' ? 'main' : 'soft'} size="tall" className="w-full" onFile={photo}>
          <Camera size={20} aria-hidden="true" /> {say('casts.labelPhoto')}
        </FileButton>
        {seen !== 'nothing' && <p role="alert">{say('casts.labelSeen', { seen })}</p>}
      </section>
    </div>
  );
} // prettier-ignore
