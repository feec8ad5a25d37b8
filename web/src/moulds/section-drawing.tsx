import { useRef, type KeyboardEvent, type PointerEvent } from 'react';
import {
  fullVolume,
  heightFor,
  outerLine,
  rulerSteps,
  sideLine,
  volumeTo,
  writeQuantity,
  type MouldShape,
  type ThinPlace,
} from '@dewpot/core';
import { DimensionLines } from './dimensions';
import { frameOf, VIEW, type SectionFrame } from './section-frame';
import { useUnits } from '../ui/units';

/** Outline of what is filled to `height`: outer less cores and inserts, as one even-odd path. */
function sectionPath(shape: MouldShape, { x, y }: SectionFrame): string {
  const [b, t] = outerLine(shape);
  const outer = `M${x(-b.r)} ${y(b.z)}L${x(b.r)} ${y(b.z)}L${x(t.r)} ${y(t.z)}L${x(-t.r)} ${y(t.z)}Z`;
  const holes = [...shape.cores, ...shape.inserts].map((placed) => {
    const [cb, ct] = sideLine(placed, shape.outer.height);
    return `M${x(-cb.r)} ${y(cb.z)}L${x(cb.r)} ${y(cb.z)}L${x(ct.r)} ${y(ct.z)}L${x(-ct.r)} ${y(ct.z)}Z`;
  });
  return [outer, ...holes].join('');
}

function Ruler({ shape, frame, fill }: { shape: MouldShape; frame: SectionFrame; fill: number }) {
  const units = useUnits();
  const rim = shape.outer.height;
  const x = VIEW.width - VIEW.right + 34;
  const steps = rulerSteps[units.system];
  const marks = (most: number, every: readonly number[]) => {
    const step = every.find((one) => most / one <= 8) ?? every[every.length - 1]!;
    return Array.from({ length: Math.floor(most / step + 1e-9) + 1 }, (_, i) => i * step);
  };
  const heights = marks(rim, steps.mm);
  const full = fullVolume(shape);
  const volumes = marks(full, steps.mL);
  const far = (z: number) => Math.abs(frame.y(z) - frame.y(fill)) > 11;
  return (
    <g fontSize={11} fill="currentColor" aria-hidden="true">
      <path d={`M${x} ${frame.y(0)}V${frame.y(rim)}`} stroke="currentColor" />
      {heights.map((z) => (
        <g key={`h${z}`}>
          <path d={`M${x - 5} ${frame.y(z)}h5`} stroke="currentColor" />
          {far(z) && (
            <text x={x - 8} y={frame.y(z) + 4} textAnchor="end" opacity={0.8}>
              {writeQuantity(z, 'mm', units.system).split(' ')[0]}
            </text>
          )}
        </g>
      ))}
      {volumes.map((v) => {
        const z = heightFor(shape, Math.min(v, full));
        return (
          <g key={`v${v}`}>
            <path d={`M${x} ${frame.y(z)}h5`} stroke="currentColor" />
            {far(z) && (
              <text x={x + 8} y={frame.y(z) + 4} opacity={0.8}>
                {writeQuantity(v, 'mL', units.system)}
              </text>
            )}
          </g>
        );
      })}
    </g>
  );
}

export interface SectionDrawingProps {
  readonly shape: MouldShape;
  readonly thinnest?: ThinPlace | undefined;
  /** Height of the fill line, mm. */
  readonly fill: number;
  readonly onFill: (height: number) => void;
}

/** Section through mould and core, true to scale: concrete hatched, ruler in height and volume, fill line to drag. */
export function SectionDrawing({ shape, thinnest, fill, onFill }: SectionDrawingProps) {
  const units = useUnits();
  const svg = useRef<SVGSVGElement>(null);
  const frame = frameOf(shape);
  const rim = shape.outer.height;
  const level = Math.min(fill, rim);
  const path = sectionPath(shape, frame);
  const half = Math.max(shape.outer.bottomDiameter, shape.outer.topDiameter) / 2;
  const set = (height: number) => onFill(Math.min(rim, Math.max(0, height)));
  const drag = (event: PointerEvent<SVGGElement>) => {
    if (event.buttons === 0 || !svg.current) return;
    const box = svg.current.getBoundingClientRect();
    const y = ((event.clientY - box.top) / box.height) * VIEW.height;
    set(Math.round((frame.ground - y) / frame.scale));
  };
  const key = ({ key: pressed }: KeyboardEvent) => {
    const step: Record<string, number> = { ArrowUp: 1, ArrowDown: -1, PageUp: 10, PageDown: -10 };
    if (pressed in step) set(level + step[pressed]!);
    if (pressed === 'Home') set(0);
    if (pressed === 'End') set(rim);
  };
  const volume = units.say(volumeTo(shape, level), 'mL');
  const y = frame.y(level);
  const [outerBottom, outerTop] = outerLine(shape);
  const skin = `M${frame.x(-outerTop.r)} ${frame.y(rim) - 5}L${frame.x(-outerBottom.r)} ${frame.y(0)}H${frame.x(outerBottom.r)}L${frame.x(outerTop.r)} ${frame.y(rim) - 5}`;
  return (
    <svg
      ref={svg}
      viewBox={`0 0 ${VIEW.width} ${VIEW.height}`}
      className="block w-full touch-pan-x select-none"
      role="group"
      aria-label="Section through the mould"
    >
      <defs>
        <pattern id="hatch" width="9" height="9" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
          <rect width="9" height="9" fill="var(--concrete)" />
          <path d="M0 0V9" stroke="var(--shade)" strokeWidth="1.6" opacity="0.5" />
        </pattern>
        <clipPath id="filled">
          <rect x="0" y={y} width={VIEW.width} height={VIEW.height - y} />
        </clipPath>
      </defs>
      <path d={path} fillRule="evenodd" fill="var(--concrete)" opacity={0.16} />
      <path d={path} fillRule="evenodd" fill="url(#hatch)" clipPath="url(#filled)" />
      <path d={path} fillRule="evenodd" fill="none" stroke="currentColor" strokeWidth={1.3} />
      <path
        d={skin}
        fill="none"
        stroke="var(--color-secondary)"
        strokeWidth={5}
        strokeLinejoin="round"
        opacity={0.75}
      />
      <path
        d={`M${frame.axis} ${frame.y(rim) - 30}V${frame.ground + 30}`}
        stroke="currentColor"
        strokeDasharray="12 4 2 4"
        opacity={0.45}
      />
      <DimensionLines shape={shape} />
      <Ruler shape={shape} frame={frame} fill={level} />
      {thinnest && (
        <g aria-hidden="true">
          <path
            d={`M${frame.x(-thinnest.from.r)} ${frame.y(thinnest.from.z)}L${frame.x(-thinnest.to.r)} ${frame.y(thinnest.to.z)}`}
            stroke="var(--color-accent)"
            strokeWidth={3}
          />
          <circle cx={frame.x(-thinnest.from.r)} cy={frame.y(thinnest.from.z)} r={3.5} fill="var(--color-accent)" />
          <circle cx={frame.x(-thinnest.to.r)} cy={frame.y(thinnest.to.z)} r={3.5} fill="var(--color-accent)" />
          <text
            x={frame.x(-thinnest.to.r) + 10}
            y={frame.y(thinnest.to.z) + 20}
            fontSize={12}
            fontWeight={700}
            fill="var(--color-accent)"
          >
            {units.say(thinnest.thickness, 'mm')}
          </text>
        </g>
      )}
      <g
        role="slider"
        tabIndex={0}
        aria-label="Fill line"
        aria-valuemin={0}
        aria-valuemax={Math.round(rim)}
        aria-valuenow={Math.round(level)}
        aria-valuetext={`${units.say(level, 'mm')} high, ${volume}`}
        aria-orientation="vertical"
        className="fill-line cursor-ns-resize"
        onKeyDown={key}
        onPointerDown={(event) => event.currentTarget.setPointerCapture(event.pointerId)}
        onPointerMove={drag}
      >
        <rect x={frame.x(-half) - 16} y={y - 15} width={VIEW.width - frame.x(-half)} height={30} fill="transparent" />
        <path
          d={`M${frame.x(-half) - 14} ${y}H${VIEW.width - VIEW.right + 46}`}
          stroke="var(--color-secondary)"
          strokeWidth={2.5}
        />
        <path d={`M${VIEW.width - VIEW.right + 40} ${y}l9 -15h93v30h-93z`} fill="var(--color-secondary)" />
        <text
          x={VIEW.width - VIEW.right + 96}
          y={y + 5.5}
          textAnchor="middle"
          fontSize={16}
          fontWeight={700}
          fill="var(--color-secondary-content)"
        >
          {volume}
        </text>
      </g>
    </svg>
  );
}
