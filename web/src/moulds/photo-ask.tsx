import { useRef, useState, type KeyboardEvent, type PointerEvent } from 'react';
import { InputError, measureTrace, type PhotoPoint, type PhotoTrace, type TracedOutline, defined } from '@dewpot/core';
import { Button } from '../ui/button';
import { Choice } from '../ui/choice';
import { pixelsOf, useAddress } from '../ui/picture';
import { QuantityField } from '../ui/quantity-field';
import { useUnits } from '../ui/units';
import type { Start } from './starts';
import type { Work } from '../workers/use-worker';

/** Points of the outline that can be dragged. */
const HANDLES = 60;

function measure(
  trace: PhotoTrace,
  card: { cardWidth: number; cardHeight: number },
): { traced?: TracedOutline; wrong?: string } {
  try {
    return { traced: measureTrace(trace, card) };
  } catch (error) {
    if (!(error instanceof InputError)) throw error;
    return { wrong: `${defined(error.issues[0]).message} ${defined(error.issues[0]).remedy}` };
  }
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
  const units = useUnits();
  const address = useAddress(file);
  const [card, setCard] = useState({ cardWidth: 85.6, cardHeight: 54 });
  const [what, setWhat] = useState<'leaf' | 'tray'>('leaf');
  const [size, setSize] = useState<{ width: number; height: number }>();
  const [trace, setTrace] = useState<PhotoTrace>();
  const look = async () => {
    const pixels = await pixelsOf(file);
    setSize({ width: pixels.width, height: pixels.height });
    setTrace(await work.run<PhotoTrace>((files, progress) => files.trace(pixels, card, progress)));
  };
  const { traced, wrong } = trace ? measure(trace, card) : {};
  const make = (found: TracedOutline) => {
    const outline = found.outline;
    onStart({
      key: `photo-${name}`,
      name,
      hint: 'Traced from a photo.',
      flexibility: 'flexible',
      piece: what === 'leaf' ? 'leaf' : 'slab',
      ...(what === 'leaf' && { material: 'sand', once: true, remake: 'The mound of damp sand, and a fresh leaf' }),
      shape: {
        outer:
          what === 'leaf'
            ? { kind: 'leaf', area: found.area, middle: 20, edge: 12, rise: 60, outline }
            : { kind: 'prism', outline, depth: 45, draft: 0 },
        cores: [],
        inserts: [],
      },
    });
  };
  const side = (label: string, field: 'cardWidth' | 'cardHeight') => (
    <QuantityField
      label={label}
      name={field}
      dimension="length"
      system={units.system}
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
        {wrong && (
          <p role="alert" className="text-error">
            {wrong}
          </p>
        )}
        {traced && (
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
            <Button look="main" size="tall" className="w-full" onClick={() => make(traced)}>
              Make a mould of it
            </Button>
          </>
        )}
      </section>
    </div>
  );
}

interface TraceDrawingProps {
  readonly address: string;
  readonly size: { readonly width: number; readonly height: number };
  readonly trace: PhotoTrace;
  readonly onChange: (trace: PhotoTrace) => void;
}

/** Card and outline over the photo, their points dragged or moved by the arrow keys. */
function TraceDrawing({ address, size: { width, height }, trace, onChange }: TraceDrawingProps) {
  const svg = useRef<SVGSVGElement>(null);
  const every = Math.max(1, Math.ceil(trace.outline.length / HANDLES));
  const unit = Math.max(width, height) / 700;
  const put = (which: 'card' | 'outline', i: number, at: PhotoPoint) =>
    onChange({ ...trace, [which]: trace[which].map((p, k) => (k === i ? at : p)) });
  const handle = (which: 'card' | 'outline', i: number) => {
    const [x, y] = defined(trace[which][i]);
    const drag = (event: PointerEvent) => {
      if (event.buttons === 0 || !svg.current) return;
      const box = svg.current.getBoundingClientRect();
      put(which, i, [
        ((event.clientX - box.left) / box.width) * width,
        ((event.clientY - box.top) / box.height) * height,
      ]);
    };
    const key = (event: KeyboardEvent) => {
      const steps: Record<string, PhotoPoint> = {
        ArrowLeft: [-1, 0],
        ArrowRight: [1, 0],
        ArrowUp: [0, -1],
        ArrowDown: [0, 1],
      };
      const step = steps[event.key];
      if (!step) return;
      event.preventDefault();
      put(which, i, [x + step[0], y + step[1]]);
    };
    return (
      <circle
        key={`${which}-${i}`}
        cx={x}
        cy={y}
        r={(which === 'card' ? 7 : 4.5) * unit}
        tabIndex={0}
        role="button"
        aria-label={which === 'card' ? `Corner ${i + 1} of the card` : `Point ${i + 1} of the outline`}
        fill={which === 'card' ? 'var(--color-accent)' : 'var(--color-secondary)'}
        stroke="#fff"
        strokeWidth={1.5 * unit}
        className="cursor-move"
        onPointerDown={(event) => event.currentTarget.setPointerCapture(event.pointerId)}
        onPointerMove={drag}
        onKeyDown={key}
      />
    );
  };
  const path = (points: readonly PhotoPoint[]) => `M${points.map((p) => p.join(' ')).join('L')}Z`;
  return (
    <svg
      ref={svg}
      viewBox={`0 0 ${width} ${height}`}
      className="block w-full touch-none select-none"
      role="group"
      aria-label="Card and outline on the photo"
    >
      <image href={address} width={width} height={height} preserveAspectRatio="none" />
      <path
        d={path(trace.outline)}
        fill="var(--color-secondary)"
        fillOpacity={0.25}
        stroke="var(--color-secondary)"
        strokeWidth={2 * unit}
      />
      <path d={path(trace.card)} fill="none" stroke="var(--color-accent)" strokeWidth={2.5 * unit} />
      {trace.card.map((_, i) => handle('card', i))}
      {trace.outline.flatMap((_, i) => (i % every === 0 ? [handle('outline', i)] : []))}
    </svg>
  );
}
