import { type Speaker } from '@dewpot/locales';
import { useState } from 'react';
import type { TracedOutline } from '@dewpot/core/photos';
import { Choice } from '../ui/choice';
import { PhotoTracing } from '../ui/photo-tracing';
import { useSay } from '../ui/say';
import type { Work } from '../workers/use-file-work';
import type { Start } from './starts';

type OnPhoto = 'leaf' | 'tray';

/** A mould of what was traced: a leaf cast on sand, or a slab of the outline. */
function startFrom(say: Speaker, name: string, what: OnPhoto, { outline, area }: TracedOutline): Start {
  return {
    key: `photo-${name}`,
    name,
    hint: say('moulds.tracedFromPhoto'),
    flexibility: 'flexible',
    piece: what === 'leaf' ? 'leaf' : 'slab',
    ...(what === 'leaf' && { material: 'sand', once: true, remake: say('moulds.leafRemake') }),
    shape: {
      outer:
        what === 'leaf'
          ? { kind: 'leaf', area, middle: 20, edge: 12, rise: 60, outline }
          : { kind: 'prism', outline, depth: 45, draft: 0 },
      cores: [],
      inserts: [],
    },
  };
}

/** A leaf or a tray on a photo beside a card. */
export function PhotoAsk({ name, file, work, onStart }: { name: string; file: File; work: Work; onStart: (start: Start) => void }) {
  const say = useSay();
  const [what, setWhat] = useState<OnPhoto>('leaf');
  return (
    <PhotoTracing title={name} file={file} work={work} takeIt={say('moulds.makeMould')} onTake={(traced) => onStart(startFrom(say, name, what, traced))}>
      <Choice
        legend={say('moulds.onItLies')}
        value={what}
        options={[
          { value: 'leaf', label: say('moulds.aLeaf') },
          { value: 'tray', label: say('moulds.trayOrTemplate') },
        ]}
        onChange={setWhat}
      />
    </PhotoTracing>
  );
} // prettier-ignore
