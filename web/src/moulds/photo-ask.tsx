import { type Speaker } from '@dewpot/locales';
import { useState } from 'react';
import { type Message, exactly } from '@dewpot/core/units';
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
import { useSay } from '../ui/say';

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

/** A bank card, mm: something that most have at hand. */
const BANK_CARD = { cardWidth: 85.6, cardHeight: 54 };

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
  const say = useSay();
  const address = useAddress(file);
  const [card, setCard] = useState(BANK_CARD);
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
      <section className="card-slab p-2" aria-label={say('moulds.thePhoto')}>
        {trace && size ? (
          <TraceDrawing address={address} size={size} trace={trace} onChange={setTrace} />
        ) : (
          <img src={address} alt={say('moulds.chosenPhoto')} className="block w-full" />
        )}
      </section>
      <section className="card-slab space-y-4" aria-label={say('moulds.whatIsOnIt')}>
        <h2 className="text-2xl">{name}</h2>
        <Choice
          legend={say('moulds.onItLies')}
          value={what}
          options={[
            { value: 'leaf', label: say('moulds.aLeaf') },
            { value: 'tray', label: say('moulds.trayOrTemplate') },
          ]}
          onChange={setWhat}
        />
        <div className="grid grid-cols-2 gap-3">
          {side(say('moulds.cardWide'), 'cardWidth')}
          {side(say('moulds.andHigh'), 'cardHeight')}
        </div>
        <p className="quiet text-sm">
          {say('moulds.cardHow', {
            cardWidth: exactly(BANK_CARD.cardWidth, 'mm'),
            cardHeight: exactly(BANK_CARD.cardHeight, 'mm'),
          })}
        </p>
        <Button size="tall" className="w-full" disabled={work.done !== undefined} onClick={() => void look()}>
          {trace ? say('moulds.lookAgain') : say('moulds.findCard')}
        </Button>
        <Wrong>{wrong}</Wrong>
        {traced && <Traced traced={traced} onMake={() => onStart(startFrom(say, name, what, traced))} />}
      </section>
    </div>
  );
}

function Traced({ traced, onMake }: { traced: TracedOutline; onMake: () => void }) {
  const say = useSay();
  const units = useUnits();
  return (
    <>
      <dl className="grid grid-cols-2 gap-3">
        <div>
          <dt className="quiet text-sm">{say('moulds.itsArea')}</dt>
          <dd className="numeral text-2xl">{units.say(traced.area, 'mm²')}</dd>
        </div>
        <div>
          <dt className="quiet text-sm">{say('moulds.roundEdge')}</dt>
          <dd className="numeral text-2xl">{units.say(traced.perimeter, 'mm')}</dd>
        </div>
      </dl>
      <p className="quiet text-sm">{say('moulds.dragWhereOff')}</p>
      <Button look="main" size="tall" className="w-full" onClick={onMake}>
        {say('moulds.makeMould')}
      </Button>
    </>
  );
}
