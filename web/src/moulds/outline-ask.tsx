import { useState } from 'react';
import { defined } from '@dewpot/core/math';
import type { OutlineReading } from '@dewpot/core/meshes';
import { outlineArea, type PlanPoint } from '@dewpot/core/solids';
import { Button } from '../ui/button';
import { QuantityField } from '../ui/quantity-field';
import { SelectField } from '../ui/select-field';
import { useUnits } from '../ui/units';
import { ShapeThumb } from './shape-thumb';
import type { Start } from './starts';
import { useSay } from '../ui/say';

const MOST = 12;

function centred(outline: readonly PlanPoint[], scale: number): PlanPoint[] {
  const xs = outline.map(([x]) => x);
  const ys = outline.map(([, y]) => y);
  const [mx, my] = [(Math.min(...xs) + Math.max(...xs)) / 2, (Math.min(...ys) + Math.max(...ys)) / 2];
  const round = (n: number) => Math.round(n * 100) / 100;
  return outline.map(([x, y]): PlanPoint => [round((x - mx) * scale), round((y - my) * scale)]);
}

/** Which of the outlines is the open face, and how wide it really is. */
export function OutlineAsk({
  name,
  reading,
  onStart,
}: {
  name: string;
  reading: OutlineReading;
  onStart: (start: Start) => void;
}) {
  const say = useSay();
  const units = useUnits();
  const [chosen, setChosen] = useState(0);
  const [width, setWidth] = useState<number>();
  const outline = defined(reading.outlines[chosen]);
  const xs = outline.map(([x]) => x);
  const own = Math.max(...xs) - Math.min(...xs);
  const points = centred(outline, (width ?? own) / own);
  const start: Start = {
    key: `outline-${name}`,
    name,
    hint: say('moulds.readFromOutline'),
    shape: { outer: { kind: 'prism', outline: points, depth: 45, draft: 0 }, cores: [], inserts: [] },
    flexibility: 'flexible',
    piece: 'slab',
  };
  return (
    <section
      className="card-slab mt-4 grid max-w-3xl items-center gap-4 sm:grid-cols-[20rem_1fr]"
      aria-label={say('moulds.theOutline')}
    >
      <ShapeThumb shape={start.shape} size={300} />
      <div className="space-y-3">
        <h2 className="text-2xl">{name}</h2>
        {reading.outlines.length > 1 && (
          <SelectField
            label={say('moulds.openFaceIs')}
            value={chosen}
            options={reading.outlines.slice(0, MOST).map((one, value) => ({
              value,
              label: say('moulds.outlineNumber', {
                value: value + 1,
                one: units.say(Math.abs(outlineArea(one)), 'mm²'),
              }),
            }))}
            onChange={setChosen}
          />
        )}
        <QuantityField
          label={reading.unit === undefined ? say('moulds.reallyThisWide') : say('moulds.itsWidth')}
          name="width"
          dimension="length"
          value={width ?? own}
          onChange={setWidth}
        />
        <p className="quiet">
          {say('moulds.outlinePoints', {
            outline: outline.length,
            points: units.say(Math.abs(outlineArea(points)), 'mm²'),
          })}
        </p>
        <Button look="main" size="tall" onClick={() => onStart(start)}>
          {say('moulds.makeMould')}
        </Button>
      </div>
    </section>
  );
}
