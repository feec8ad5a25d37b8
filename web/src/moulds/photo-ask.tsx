import { useState } from 'react';
import type { Message } from '@dewpot/core/units';
import { measureTrace, type PhotoTrace, type TracedOutline } from '@dewpot/core/photos';
import { Button } from '../ui/button';
import { Choice } from '../ui/choice';
import { pixelsOf, useAddress } from '../ui/picture';
import { QuantityField } from '../ui/quantity-field';
import { useUnits } from '../ui/units';
import type { Start } from './starts';
import type { Work } from '../workers/use-file-work';
import { TraceDrawing } from './trace-drawing';
import { Wrong } from '../ui/wrong';
import { firstIssue } from '../ui/input-error-message';

function measure(
  trace: PhotoTrace,
  card: { cardWidth: number; cardHeight: number },
): { traced?: TracedOutline; wrong?: Message | undefined } {
  try {
    return { traced: measureTrace(trace, card) };
  } catch (error) {
    return { wrong: firstIssue(error) };
  }
}

type OnPhoto = 'leaf' | 'tray';

/** A mould of what was traced: a leaf cast on sand, or a slab of the outline. */
function startFrom(name: string, what: OnPhoto, { outline, area }: TracedOutline): Start {
  return {
    key: `photo-${name}`,
    name,
    hint: 'Traced from a photo.',
    flexibility: 'flexible',
    piece: what === 'leaf' ? 'leaf' : 'slab',
    ...(what === 'leaf' && { material: 'sand', once: true, remake: 'The mound of damp sand, and a fresh leaf' }),
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

/** A leaf or a tray on a photo beside a card: found, corrected by dragging, measured. */
export function PhotoAsk({
  name,
  file,
  work,
  onStart,
}: {
  name: string;
  file: File;
  work: Work;
  onStart: (start: Start) => void;
}) {
  const address = useAddress(file);
  const [card, setCard] = useState({ cardWidth: 85.6, cardHeight: 54 });
  const [what, setWhat] = useState<OnPhoto>('leaf');
  const [size, setSize] = useState<{ width: number; height: number }>();
  const [trace, setTrace] = useState<PhotoTrace>();
  const look = async () => {
    const pixels = await pixelsOf(file);
    setSize({ width: pixels.width, height: pixels.height });
    setTrace(await work.run<PhotoTrace>((files, progress) => files.trace(pixels, card, progress)));
  };
  const { traced, wrong } = trace ? measure(trace, card) : {};
  const side = (label: string, field: 'cardWidth' | 'cardHeight') => (
    <QuantityField
      label={label}
      name={field}
      dimension="length"
      value={card[field]}
      onChange={(value = 0) => setCard({ ...card, [field]: value })}
    />
  );
  return (
    <div className="mt-4 grid items-start gap-4 lg:grid-cols-[minmax(0,1.6fr)_minmax(0,1fr)]">
      <section className="card-slab p-2" aria-label="The photo">
        {trace && size ? (
          <TraceDrawing address={address} size={size} trace={trace} onChange={setTrace} />
        ) : (
          <img src={address} alt="The photo that was chosen" className="block w-full" />
        )}
      </section>
      <section className="card-slab space-y-4" aria-label="What is on it">
        <h2 className="text-2xl">{name}</h2>
        <Choice
          legend="On it lies"
          value={what}
          options={[
            { value: 'leaf', label: 'A leaf' },
            { value: 'tray', label: 'A tray or a template' },
          ]}
          onChange={setWhat}
        />
        <div className="grid grid-cols-2 gap-3">
          {side('The card is wide', 'cardWidth')}
          {side('and high', 'cardHeight')}
        </div>
        <p className="quiet text-sm">
          The card lies beside it on a plain ground of another colour; all four corners are seen. A bank card measures
          85.6 by 54 mm.
        </p>
        <Button size="tall" className="w-full" disabled={work.done !== undefined} onClick={() => void look()}>
          {trace ? 'Look again' : 'Find the card and the outline'}
        </Button>
        <Wrong>{wrong}</Wrong>
        {traced && <Traced traced={traced} onMake={() => onStart(startFrom(name, what, traced))} />}
      </section>
    </div>
  );
}

function Traced({ traced, onMake }: { traced: TracedOutline; onMake: () => void }) {
  const units = useUnits();
  return (
    <>
      <dl className="grid grid-cols-2 gap-3">
        <div>
          <dt className="quiet text-sm">Its area</dt>
          <dd className="numeral text-2xl">{units.say(traced.area, 'mm²')}</dd>
        </div>
        <div>
          <dt className="quiet text-sm">Round its edge</dt>
          <dd className="numeral text-2xl">{units.say(traced.perimeter, 'mm')}</dd>
        </div>
      </dl>
      <p className="quiet text-sm">Drag a corner of the card or a point of the outline where it is off.</p>
      <Button look="main" size="tall" className="w-full" onClick={onMake}>
        Make a mould of it
      </Button>
    </>
  );
}
