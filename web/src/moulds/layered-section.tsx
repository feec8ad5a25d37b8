import { useMemo } from 'react';
import { listed } from '@dewpot/core/units';
import type { MouldShape } from '@dewpot/core/moulds';
import { outlinePath } from '../ui/outline-path';
import { useUnits } from '../ui/units';
import { Concrete } from './concrete';
import { frameOf, VIEW } from './section-frame';
import { useSay } from '../ui/say';

/** A layer as it is drawn: its colour, and where it begins and ends, mm. */
export interface DrawnLayer {
  readonly colour: string;
  readonly from: number;
  readonly to: number;
  /** mL */
  readonly volume: number;
}

/** A section through a mould with its layers in their tints, true to scale, each with its volume beside it. */
export function LayeredSection({ shape, layers }: { shape: MouldShape; layers: readonly DrawnLayer[] }) {
  const say = useSay();
  const units = useUnits();
  const frame = useMemo(() => frameOf(shape), [shape]);
  const { cuts, x, y } = frame;
  const path = cuts
    .filter((cut) => !cut.beyond)
    .map(({ outlines }) => outlinePath(outlines, ([px, pz]) => [x(px), y(pz)]))
    .join('');
  const top = layers[layers.length - 1]?.to ?? 0;
  const right = x(frame.right);
  return (
    <svg
      viewBox={`0 ${VIEW.top - 24} ${VIEW.width} ${frame.height - VIEW.top - VIEW.bottom + 56}`}
      className="block w-full"
      role="img"
      aria-label={say('moulds.sectionLayers', {
        layers: layers.length,
        layers2: listed(layers.map(({ volume }) => units.say(volume, 'mL'))),
      })}
    >
      <Concrete
        path={path}
        frame={frame}
        level={top}
        layers={layers.map(({ to }) => to)}
        tones={layers.map(({ colour }) => colour)}
      />
      <path d={path} fillRule="evenodd" fill="none" stroke="currentColor" strokeWidth={1.6} />
      {layers.map(({ from, to, volume }, i) => (
        <g key={i}>
          <path
            d={`M${x(frame.left) - 8} ${y(to)}H${right + 18}`}
            stroke="currentColor"
            strokeDasharray="4 3"
            opacity={0.55}
          />
          <text x={right + 24} y={y((from + to) / 2) + 8} fontSize={24} fontWeight={600} fill="currentColor">
            {units.say(volume, 'mL')}
          </text>
          <text x={x(frame.left) - 14} y={y(to) + 5} fontSize={19} textAnchor="end" fill="currentColor" opacity={0.75}>
            {units.say(to, 'mm')}
          </text>
        </g>
      ))}
    </svg>
  );
}
