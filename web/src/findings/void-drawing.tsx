import type { PhotoPoint, VoidMark } from '@dewpot/core/photos';
import { movable, placeOn } from '../ui/movable';
import { useSay } from '../ui/say';

/** What is told on a photo: the ends of a known length, two corners of the patch, and the marks of voids. px */
export interface VoidPlan {
  readonly ends: readonly [PhotoPoint, PhotoPoint];
  readonly corners: readonly [PhotoPoint, PhotoPoint];
  readonly marks: readonly VoidMark[];
}

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
export function VoidDrawing({ address, size, plan, scale, onChange, onTap }: VoidDrawingProps) {
  const { width, height } = size;
  const say = useSay();
  const unit = Math.max(width, height) / 700;
  const { ends, corners, marks } = plan;
  const within = ([x, y]: PhotoPoint): PhotoPoint => [Math.min(width, Math.max(0, x)), Math.min(height, Math.max(0, y))];
  const put = (which: 'ends' | 'corners', i: number, at: PhotoPoint) =>
    onChange({ ...plan, [which]: plan[which].map((one, k) => (k === i ? at : one)) });
  const handle = (which: 'ends' | 'corners', i: 0 | 1) => {
    const [x, y] = plan[which][i];
    const shared = {
      'aria-label': which === 'ends' ? say('findings.lengthEnd', { end: i + 1 }) : say('findings.patchCorner', { corner: i + 1 }),
      stroke: '#fff',
      strokeWidth: 1.5 * unit,
      ...movable(size, [x, y], unit, (at) => put(which, i, within(at))),
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
    <svg viewBox={`0 0 ${width} ${height}`} className="block w-full touch-none" role="group" aria-label={say('findings.voidPhoto', { voids: marks.length })} onPointerDown={(event) => onTap(placeOn(size, event))}>
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
