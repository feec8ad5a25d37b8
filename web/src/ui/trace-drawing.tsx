import { defined } from '@dewpot/core/math';
import type { PhotoPoint, PhotoTrace } from '@dewpot/core/photos';
import { movable } from './movable';
import { useSay } from './say';

/** Points of the outline that can be dragged. */
const HANDLES = 60;

interface TraceDrawingProps {
  readonly address: string;
  readonly size: { readonly width: number; readonly height: number };
  readonly trace: PhotoTrace;
  readonly onChange: (trace: PhotoTrace) => void;
}

/** Card and outline over the photo, their points dragged or moved by the arrow keys. */
export function TraceDrawing({ address, size, trace, onChange }: TraceDrawingProps) {
  const { width, height } = size;
  const say = useSay();
  const every = Math.max(1, Math.ceil(trace.outline.length / HANDLES));
  const unit = Math.max(width, height) / 700;
  const put = (which: 'card' | 'outline', i: number, at: PhotoPoint) =>
    onChange({ ...trace, [which]: trace[which].map((p, k) => (k === i ? at : p)) });
  const handle = (which: 'card' | 'outline', i: number) => {
    const [x, y] = defined(trace[which][i]);
    return (
      <circle
        key={`${which}-${i}`}
        cx={x}
        cy={y}
        r={(which === 'card' ? 7 : 4.5) * unit}
        aria-label={which === 'card' ? say('ui.cardCorner', { i: i + 1 }) : say('ui.outlinePoint', { i: i + 1 })}
        fill={which === 'card' ? 'var(--color-accent)' : 'var(--color-secondary)'}
        stroke="#fff"
        strokeWidth={1.5 * unit}
        {...movable(size, [x, y], 1, (at) => put(which, i, at))}
      />
    );
  };
  const path = (points: readonly PhotoPoint[]) => `M${points.map((p) => p.join(' ')).join('L')}Z`;
  return (
    <svg
      viewBox={`0 0 ${width} ${height}`}
      className="block w-full touch-none select-none"
      role="group"
      aria-label={say('ui.cardAndOutline')}
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
