import { lazy, Suspense, useMemo, useState, type ReactNode } from 'react';
import { distinct, type Message } from '@dewpot/core/units';
import { cavityOf, layerHeights, rimOf, type MouldShape, type ThinPlace } from '@dewpot/core/moulds';
import { Button } from '../ui/button';
import { SelectField } from '../ui/select-field';
import { FieldsBeside, FieldsOnDrawing } from './dimension-fields';
import { dimensionsOf } from './dimensions';
import { PlanDrawing } from './plan-drawing';
import { SectionDrawing } from './section-drawing';
import { frameOf } from './section-frame';
import { useSay } from '../ui/say';

const TurningView = lazy(async () => ({ default: (await import('./turning-view')).TurningView }));

/** What the drawing shows: the last measurements that made a shape. */
export interface Drawn {
  readonly shape: MouldShape;
  readonly thinnest: ThinPlace | undefined;
}

/** Layers of even volume. */
const evenShares = (count: number) => Array.from({ length: count }, () => 1 / count);

export interface MouldDrawingProps {
  readonly shape: MouldShape;
  readonly drawn: Drawn | undefined;
  readonly errors: ReadonlyMap<string, Message>;
  readonly onChange: (shape: MouldShape) => void;
  /** What else can be done with the drawing. */
  readonly children?: ReactNode;
}

/** The mould on paper: section with its measurements, plan where it has no axis, layers, and a turning view when asked. */
export function MouldDrawing({ shape, drawn, errors, onChange, children }: MouldDrawingProps) {
  const say = useSay();
  const [fill, setFill] = useState<number>();
  const [layers, setLayers] = useState(1);
  const [turning, setTurning] = useState(false);
  const frame = useMemo(() => drawn && frameOf(drawn.shape), [drawn]);
  const dimensions = useMemo(() => (drawn && frame ? dimensionsOf(drawn.shape, frame) : []), [drawn, frame]);
  const heights = useMemo(
    () => (drawn && layers > 1 ? layerHeights(drawn.shape, evenShares(layers)) : []),
    [drawn, layers],
  );
  const wrong = distinct([...errors.values()]).map((one) => say(one));
  const fields = { shape, dimensions, height: frame?.height ?? 1, errors, onChange };
  return (
    <>
      <div className="relative">
        {drawn && frame && (
          <div className={wrong.length === 0 ? '' : 'opacity-35'}>
            <SectionDrawing
              shape={drawn.shape}
              frame={frame}
              dimensions={dimensions}
              thinnest={drawn.thinnest}
              fill={fill ?? rimOf(drawn.shape)}
              layers={heights}
              onFill={setFill}
            />
          </div>
        )}
        <FieldsOnDrawing {...fields} />
      </div>
      {wrong.length > 0 && (
        <ul role="alert" className="border-error m-2 border-l-4 pl-3">
          {wrong.map((one) => (
            <li key={one}>{one}</li>
          ))}
        </ul>
      )}
      <FieldsBeside {...fields} />
      {drawn && !cavityOf(drawn.shape).turned && (
        <div className="border-base-300 mt-2 border-t p-2">
          <p className="quiet text-sm">{say('moulds.fromAbove')}</p>
          <PlanDrawing shape={drawn.shape} thinnest={drawn.thinnest} />
        </div>
      )}
      {drawn && turning && (
        <Suspense fallback={<p className="quiet p-4">{say('moulds.turningComing')}</p>}>
          <TurningView shape={drawn.shape} />
        </Suspense>
      )}
      <div className="flex flex-wrap items-end gap-4 px-2 pb-1">
        <SelectField
          label={say('moulds.pouredIn')}
          value={layers}
          options={[1, 2, 3, 4, 5].map((value) => ({
            value,
            label: value === 1 ? say('moulds.oneGo') : say('moulds.evenLayers', { value }),
          }))}
          onChange={setLayers}
        />
        <Button aria-pressed={turning} onClick={() => setTurning(!turning)}>
          {turning ? say('moulds.putTurningAway') : say('moulds.turnOver')}
        </Button>
        {children}
      </div>
      <p className="quiet px-2 pb-1 text-sm">{say('moulds.anyUnit')}</p>
    </>
  );
}
