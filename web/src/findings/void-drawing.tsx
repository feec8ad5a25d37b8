import { useRef, type KeyboardEvent, type PointerEvent } from 'react';
import type { PhotoPoint, VoidMark } from '@dewpot/core/photos';
import { useSay } from '../ui/say';

/** What is told on a photo: the ends of a known length, two corners of the patch, and the marks of voids. px */
export interface VoidPlan {
  readonly ends: readonly [PhotoPoint, PhotoPoint];
  readonly corners: readonly [PhotoPoint, PhotoPoint];
  readonly marks: readonly VoidMark[];
}

const steps: Readonly<Record<string, PhotoPoint>> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
};

interface VoidDrawingProps {
  readonly address: string;
  readonly size: { readonly width: number; readonly height: number };
  readonly plan: VoidPlan;
  readonly scale: number;
  readonly onChange: (plan: VoidPlan) => void;
  /** A place of the patch that was tapped. */
  readonly onTap: (at: PhotoPoint) => void;
}

/** A photo of a face with what was told and found on it; ends and corners are dragged or moved by the arrow keys, marks tapped on and off. */
export function VoidDrawing({ address, size: { width, height }, plan, scale, onChange, onTap }: VoidDrawingProps) {
  const say = useSay();
  const svg = useRef<SVGSVGElement>(null);
  const unit = Math.max(width, height) / 700;
  const { ends, corners, marks } = plan;
  const placeOf = ({ clientX, clientY }: PointerEvent): PhotoPoint => {
    const box = svg.current?.getBoundingClientRect() ?? new DOMRect(0, 0, 1, 1);
    const held = (share: number) => Math.min(1, Math.max(0, share));
    return [held((clientX - box.left) / box.width) * width, held((clientY - box.top) / box.height) * height];
  };
  const put = (which: 'ends' | 'corners', i: number, at: PhotoPoint) =>
    onChange({ ...plan, [which]: plan[which].map((one, k) => (k === i ? at : one)) });
  const handle = (which: 'ends' | 'corners', i: 0 | 1) => {
    const [x, y] = plan[which][i];
    const onKey = (event: KeyboardEvent) => {
      const step = steps[event.key];
      if (!step) return;
      event.preventDefault();
      put(which, i, [x + step[0] * unit, y + step[1] * unit]);
    };
    const shared = {
      tabIndex: 0,
      role: 'button',
      'aria-label': which === 'ends' ? say('findings.lengthEnd', { end: i + 1 }) : say('findings.patchCorner', { corner: i + 1 }),
      stroke: '#fff',
      strokeWidth: 1.5 * unit,
      className: 'cursor-move',
      onPointerDown: (event: PointerEvent<SVGElement>) => {
        event.stopPropagation();
        event.currentTarget.setPointerCapture(event.pointerId);
      },
      onPointerMove: (event: PointerEvent) => event.buttons > 0 && put(which, i, placeOf(event)),
      onKeyDown: onKey,
    };
    const r = 8 * unit;
    return which === 'ends' ? (
      <circle key={`end ${i}`} {...shared} cx={x} cy={y} r={r} fill="var(--color-accent)" />
    ) : (
      <rect key={`corner ${i}`} {...shared} x={x - r} y={y - r} width={2 * r} height={2 * r} fill="var(--color-secondary)" />
    );
  };
  const [[ax, ay], [bx, by]] = [ends[0], ends[1]];
  const [[cx, cy], [dx, dy]] = [corners[0], corners[1]];
  return (
    <svg ref={svg} viewBox={`0 0 ${width} ${height}`} className="block w-full touch-none" role="group" aria-label={say('findings.voidPhoto', { voids: marks.length })} onPointerDown={(event) => onTap(placeOf(event))}>
      <image href={address} width={width} height={height} />
      <line x1={ax} y1={ay} x2={bx} y2={by} stroke="var(--color-accent)" strokeWidth={3 * unit} />
      <rect x={Math.min(cx, dx)} y={Math.min(cy, dy)} width={Math.abs(dx - cx)} height={Math.abs(dy - cy)} fill="none" stroke="var(--color-secondary)" strokeWidth={3 * unit} />
      {marks.map(({ x, y, diameter }) => (
        <circle key={`${x} ${y}`} cx={x} cy={y} r={Math.max(4 * unit, (diameter * scale) / 2 + 2 * unit)} fill="none" stroke="var(--color-error)" strokeWidth={2 * unit} />
      ))}
      {([0, 1] as const).map((i) => handle('ends', i))}
      {([0, 1] as const).map((i) => handle('corners', i))}
    </svg>
  );
} // prettier-ignore
