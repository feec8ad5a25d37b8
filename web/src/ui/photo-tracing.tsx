import { useState, type ReactNode } from 'react';
import { exactly, type Message } from '@dewpot/core/units';
import { measureTrace, type PhotoTrace, type TracedOutline } from '@dewpot/core/photos';
import type { Work } from '../workers/use-file-work';
import { Button } from './button';
import { firstIssue } from './input-error-message';
import { pixelsOf, useAddress } from './picture';
import { QuantityField } from './quantity-field';
import { useSay } from './say';
import { TraceDrawing } from './trace-drawing';
import { useUnits } from './units';
import { Wrong } from './wrong';

type Card = Parameters<typeof measureTrace>[1];

function measure(trace: PhotoTrace, card: Card): { traced?: TracedOutline; wrong?: Message | undefined } {
  try {
    return { traced: measureTrace(trace, card) };
  } catch (error) {
    return { wrong: firstIssue(error) };
  }
}

/** A bank card, mm: something that most have at hand. */
export const BANK_CARD: Card = { cardWidth: 85.6, cardHeight: 54 };

/** An outline on a photo beside a card: found, corrected by dragging, measured, taken. `children` ask what else is wanted of it. */
export function PhotoTracing({ title, file, work, children, takeIt, onTake }: { title: string; file: File; work: Work; children?: ReactNode; takeIt: string; onTake: (traced: TracedOutline) => void }) {
  const say = useSay();
  const address = useAddress(file);
  const [card, setCard] = useState(BANK_CARD);
  const [size, setSize] = useState<{ width: number; height: number }>();
  const [trace, setTrace] = useState<PhotoTrace>();
  const look = async () => {
    const pixels = await pixelsOf(file);
    setSize({ width: pixels.width, height: pixels.height });
    setTrace(await work.run<PhotoTrace>((files, progress) => files.trace(pixels, card, progress)));
  };
  const { traced, wrong } = trace ? measure(trace, card) : {};
  const side = (label: string, field: keyof Card) => (
    <QuantityField label={label} name={field} dimension="length" value={card[field]} onChange={(value = 0) => setCard({ ...card, [field]: value })} />
  );
  return (
    <div className="mt-4 grid items-start gap-4 lg:grid-cols-[minmax(0,1.6fr)_minmax(0,1fr)]">
      <section className="card-slab p-2" aria-label={say('ui.thePhoto')}>
        {trace && size ? (
          <TraceDrawing address={address} size={size} trace={trace} onChange={setTrace} />
        ) : (
          <img src={address} alt={say('ui.chosenPhoto')} className="block w-full" />
        )}
      </section>
      <section className="card-slab space-y-4" aria-label={say('ui.whatIsOnIt')}>
        <h2 className="text-2xl">{title}</h2>
        {children}
        <div className="grid grid-cols-2 gap-3">
          {side(say('ui.cardWide'), 'cardWidth')}
          {side(say('ui.andHigh'), 'cardHeight')}
        </div>
        <p className="quiet text-sm">
          {say('ui.cardHow', { cardWidth: exactly(BANK_CARD.cardWidth, 'mm'), cardHeight: exactly(BANK_CARD.cardHeight, 'mm') })}
        </p>
        <Button size="tall" className="w-full" disabled={work.done !== undefined} onClick={() => void look()}>
          {trace ? say('ui.lookAgain') : say('ui.findCard')}
        </Button>
        <Wrong>{wrong}</Wrong>
        {traced && (
          <>
            <Measured traced={traced} />
            <Button look="main" size="tall" className="w-full" onClick={() => onTake(traced)}>
              {takeIt}
            </Button>
          </>
        )}
      </section>
    </div>
  );
} // prettier-ignore

function Measured({ traced: { area, perimeter } }: { traced: TracedOutline }) {
  const say = useSay();
  const units = useUnits();
  return (
    <>
      <dl className="grid grid-cols-2 gap-3">
        <div>
          <dt className="quiet text-sm">{say('ui.itsArea')}</dt>
          <dd className="numeral text-2xl">{units.say(area, 'mm²')}</dd>
        </div>
        <div>
          <dt className="quiet text-sm">{say('ui.roundEdge')}</dt>
          <dd className="numeral text-2xl">{units.say(perimeter, 'mm')}</dd>
        </div>
      </dl>
      <p className="quiet text-sm">{say('ui.dragWhereOff')}</p>
    </>
  );
}
