import { useRef, type KeyboardEvent, type PointerEvent } from 'react';
import { defined } from '@dewpot/core/math';
import type { PhotoPoint, PhotoTrace } from '@dewpot/core/photos';
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
export function TraceDrawing({ address, size: { width, height }, trace, onChange }: TraceDrawingProps) {
  const say = useSay();
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
        aria-label={which === 'card' ? say('ui.cardCorner', { i: i + 1 }) : say('ui.outlinePoint', { i: i + 1 })}
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
