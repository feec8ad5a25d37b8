import { useId } from 'react';
import { defined } from '@dewpot/core/math';
import { pinPlaces, rimOf, sectionCut, type MouldShape } from '@dewpot/core/moulds';
import type { PlanPoint } from '@dewpot/core/solids';
import { outlinePath } from '../ui/outline-path';

/** Size of the drawing, px, and the room for its line beside the mould. */
const SIZE = 96;
const PAD = 8;

/** A mould's section as it is drawn, px. */
function draw(shape: MouldShape) {
  const cuts = sectionCut(shape).filter(({ beyond }) => !beyond);
  const across = defined(cuts[0])
    .outlines.flat()
    .map(([px]) => px);
  const [left, right] = [Math.min(...across), Math.max(...across)];
  const rim = rimOf(shape);
  const scale = (SIZE - 2 * PAD) / Math.max(rim, right - left);
  const put = ([px, z]: PlanPoint): PlanPoint => [SIZE / 2 + (px - (left + right) / 2) * scale, SIZE - PAD - z * scale];
  return {
    path: cuts.map(({ outlines }) => outlinePath(outlines, put)).join(''),
    pins: shape.pressed ? pinPlaces(shape).map(put) : [],
    x: put([left, 0])[0],
    y: (z: number) => put([0, z])[1],
    width: (right - left) * scale,
    top: rim,
  };
}

const known = new WeakMap<MouldShape, ReturnType<typeof draw>>();

/** The same, calculated once for each mould: every lift and every bucket shows it again. */
function drawn(shape: MouldShape) {
  const section = known.get(shape) ?? draw(shape);
  known.set(shape, section);
  return section;
}

/** A section through a mould, small, with the line to which it is now filled, or where its thickness is checked with a pin. */
export function FillDrawing({ shape, to, colour }: { shape: MouldShape; to: number | undefined; colour: string }) {
  const id = useId();
  const { path, pins, x, y, width, top } = drawn(shape);
  const level = y(to ?? top);
  return (
    <svg viewBox={`0 0 ${SIZE} ${SIZE}`} className="h-20 w-20 shrink-0" aria-hidden="true">
      <clipPath id={id}>
        <rect x={0} y={level} width={SIZE} height={SIZE} />
      </clipPath>
      <path d={path} fill={colour} fillRule="evenodd" clipPath={`url(#${CSS.escape(id)})`} />
      <path d={path} fill="none" stroke="currentColor" strokeWidth={1.2} />
      {to !== undefined && <path d={`M${x - 6} ${level}h${width + 12}`} stroke="var(--color-accent)" strokeWidth={3} />}
      {pins.map(([px, py], i) => (
        <circle key={i} cx={px} cy={py} r={4} fill="var(--color-accent)" stroke="var(--color-base-100)" />
      ))}
    </svg>
  );
}
