import { memo, useRef, type KeyboardEvent, type PointerEvent } from 'react';
import { defined } from '@dewpot/core/math';
import { rulerSteps, quantity } from '@dewpot/core/units';
import { writeQuantity } from '@dewpot/locales';
import {
  fullVolume,
  heightFor,
  rimOf,
  volumeTo,
  type CutSolid,
  type MouldShape,
  type ThinPlace,
} from '@dewpot/core/moulds';
import { DimensionLines, type DimensionLine } from './dimensions';
import { Concrete } from './concrete';
import { VIEW, type SectionFrame } from './section-frame';
import { outlinePath } from '../ui/outline-path';
import { useUnits } from '../ui/units';
import { useSay } from '../ui/say';

const cutPath = ({ outlines }: CutSolid, { x, y }: SectionFrame) => outlinePath(outlines, ([px, pz]) => [x(px), y(pz)]);

/** Marks along the ruler at even steps up to `most`. */
function marks(most: number, every: readonly number[]): number[] {
  const step = every.find((one) => most / one <= 8) ?? defined(every[every.length - 1]);
  return Array.from({ length: Math.floor(most / step + 1e-9) + 1 }, (_, i) => i * step);
}

/** Least distance between two figures of the ruler, px. */
const LINE = 13;

/** Which of the places along the ruler, px from the foot up, have room for their figure. */
function written(places: readonly number[]): boolean[] {
  let last = Infinity;
  return places.map((place) => {
    const room = last - place >= LINE;
    if (room) last = place;
    return room;
  });
}

/** Half the height of the fill line's tag and a little more, px. */
const TAG = 22;

function Ruler({ shape, frame, fill }: { shape: MouldShape; frame: SectionFrame; fill: number }) {
  const say = useSay();
  const { system } = say.reader;
  const rim = rimOf(shape);
  const x = VIEW.width - VIEW.right + 34;
  const steps = rulerSteps[system];
  const full = fullVolume(shape);
  const heights = marks(rim, steps.mm);
  const volumes = marks(full, steps.mL).map((v) => ({ v, z: heightFor(shape, Math.min(v, full)) }));
  const heightWritten = written(heights.map(frame.y));
  const volumeWritten = written(volumes.map(({ z }) => frame.y(z)));
  const far = (z: number, room = 11) => Math.abs(frame.y(z) - frame.y(fill)) > room;
  return (
    <g fontSize={11} fill="currentColor" aria-hidden="true">
      <path d={`M${x} ${frame.y(0)}V${frame.y(rim)}`} stroke="currentColor" />
      {heights.map((z, i) => (
        <g key={`h${z}`}>
          <path d={`M${x - 5} ${frame.y(z)}h5`} stroke="currentColor" />
          {far(z) && heightWritten[i] && (
            <text x={x - 8} y={frame.y(z) + 4} textAnchor="end" opacity={0.8}>
              {writeQuantity(z, 'mm', say.reader).split(' ')[0]}
            </text>
          )}
        </g>
      ))}
      {volumes.map(({ v, z }, i) => (
        <g key={`v${v}`}>
          <path d={`M${x} ${frame.y(z)}h5`} stroke="currentColor" />
          {far(z, TAG) && volumeWritten[i] && (
            <text x={x + 8} y={frame.y(z) + 4} opacity={0.8}>
              {writeQuantity(v, 'mL', say.reader)}
            </text>
          )}
        </g>
      ))}
    </g>
  );
}

/** What does not follow the fill line: the solids as they are cut, the axis, the thinnest place. */
const Solids = memo(function Solids({
  frame,
  thinnest,
  rim,
}: {
  frame: SectionFrame;
  thinnest: ThinPlace | undefined;
  rim: number;
}) {
  const units = useUnits();
  const { cuts, x, y } = frame;
  const [outer] = cuts;
  const beyond = cuts.filter((cut) => cut.beyond);
  const inside = thinnest && Math.abs(thinnest.from.y) < 1 && Math.abs(thinnest.to.y) < 1;
  return (
    <>
      <path
        d={cuts
          .filter((cut) => !cut.beyond)
          .map((cut) => cutPath(cut, frame))
          .join('')}
        fillRule="evenodd"
        fill="none"
        stroke="currentColor"
        strokeWidth={1.3}
      />
      {beyond.map((cut, i) => (
        <path key={i} d={cutPath(cut, frame)} fill="none" stroke="currentColor" strokeDasharray="5 4" opacity={0.5} />
      ))}
      <path
        d={cutPath(defined(outer), frame)}
        fill="none"
        stroke="var(--color-secondary)"
        strokeWidth={5}
        strokeLinejoin="round"
        opacity={0.75}
      />
      <path
        d={`M${x(frame.left) - 4} ${y(rim)}H${x(frame.right) + 4}`}
        stroke="var(--color-base-100)"
        strokeWidth={6}
        opacity={0.8}
      />
      <path
        d={`M${frame.axis} ${y(rim) - 30}V${frame.ground + 30}`}
        stroke="currentColor"
        strokeDasharray="12 4 2 4"
        opacity={0.45}
      />
      {inside && (
        <g aria-hidden="true" fill="var(--color-accent)">
          <path
            d={`M${x(thinnest.from.x)} ${y(thinnest.from.z)}L${x(thinnest.to.x)} ${y(thinnest.to.z)}`}
            stroke="var(--color-accent)"
            strokeWidth={3}
          />
          <circle cx={x(thinnest.from.x)} cy={y(thinnest.from.z)} r={3.5} />
          <circle cx={x(thinnest.to.x)} cy={y(thinnest.to.z)} r={3.5} />
          <text
            x={x(Math.max(thinnest.from.x, thinnest.to.x)) + 8}
            y={y(thinnest.from.z) + 20}
            fontSize={12}
            fontWeight={700}
          >
            {units.say(thinnest.thickness, 'mm')}
          </text>
        </g>
      )}
    </>
  );
});

export interface SectionDrawingProps {
  readonly shape: MouldShape;
  readonly frame: SectionFrame;
  readonly dimensions: readonly DimensionLine[];
  readonly thinnest: ThinPlace | undefined;
  /** Height of the fill line, mm. */
  readonly fill: number;
  /** Heights at which layers end, bottom up, mm. */
  readonly layers?: readonly number[];
  readonly onFill: (height: number) => void;
}

/** A section through the mould, true to scale: concrete hatched, ruler in height and volume, fill line to drag. */
export function SectionDrawing({ shape, frame, dimensions, thinnest, fill, layers = [], onFill }: SectionDrawingProps) {
  const say = useSay();
  const units = useUnits();
  const svg = useRef<SVGSVGElement>(null);
  const rim = rimOf(shape);
  const level = Math.min(fill, rim);
  const set = (height: number) => onFill(Math.min(rim, Math.max(0, height)));
  const drag = (event: PointerEvent<SVGGElement>) => {
    if (event.buttons === 0 || !svg.current) return;
    const box = svg.current.getBoundingClientRect();
    const y = ((event.clientY - box.top) / box.height) * frame.height;
    set(Math.round((frame.ground - y) / frame.scale));
  };
  const key = ({ key: pressed }: KeyboardEvent) => {
    const step: Record<string, number> = { ArrowUp: 1, ArrowDown: -1, PageUp: 10, PageDown: -10 };
    if (pressed in step) set(level + defined(step[pressed]));
    if (pressed === 'Home') set(0);
    if (pressed === 'End') set(rim);
  };
  const volume = units.say(volumeTo(shape, level), 'mL');
  const y = frame.y(level);
  const left = frame.x(frame.left);
  const concrete = frame.cuts
    .filter((cut) => !cut.beyond)
    .map((cut) => cutPath(cut, frame))
    .join('');
  return (
    <svg
      ref={svg}
      viewBox={`0 0 ${VIEW.width} ${frame.height}`}
      className="block w-full touch-pan-x select-none"
      role="group"
      aria-label={say('moulds.sectionThrough')}
    >
      <Concrete path={concrete} frame={frame} level={level} layers={layers} />
      <Solids frame={frame} thinnest={thinnest} rim={rim} />
      <DimensionLines dimensions={dimensions} />
      <Ruler shape={shape} frame={frame} fill={level} />
      <g
        role="slider"
        tabIndex={0}
        aria-label={say('moulds.fillLine')}
        aria-valuemin={0}
        aria-valuemax={Math.round(rim)}
        aria-valuenow={Math.round(level)}
        aria-valuetext={say('moulds.levelHigh', { level: quantity(level, 'mm'), volume })}
        aria-orientation="vertical"
        className="fill-line cursor-ns-resize"
        onKeyDown={key}
        onPointerDown={(event) => event.currentTarget.setPointerCapture(event.pointerId)}
        onPointerMove={drag}
      >
        <rect x={left - 16} y={y - 15} width={VIEW.width - left} height={30} fill="transparent" />
        <path
          d={`M${left - 14} ${y}H${VIEW.width - VIEW.right + 46}`}
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
