import { msg } from '@dewpot/core/units';
import { SURE_ENOUGH, wantedStill, type LineOutcome, type OpenLine } from '@dewpot/core/calendar';
import { PieceThumb } from '../ui/piece-thumb';
import { useSay } from '../ui/say';
import { chanceTold } from './chance-told';
import { DayLines } from './rail-days';
import type { RailLane, RailPhase, RailScale } from './rail-layout';
import { RailRow } from './rail-row';
import { stateWords } from './state-words';
import type { ShownLine } from './use-calendar-data';

const LEAST_HEIGHT = 66;
const LANE = 9;
const GAP = 3;

export const phaseFill: Record<RailPhase, string> = {
  setting: 'url(#rail-setting)',
  curing: 'var(--water)',
  drying: 'url(#rail-drying)',
  ready: 'var(--good)',
};

/** Hatching of what sets, and the paling of what dries. */
export function RailPatterns() {
  return (
    <defs>
      <pattern id="rail-setting" width="5" height="5" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
        <rect width="5" height="5" fill="var(--concrete)" />
        <rect width="1.6" height="5" fill="currentColor" opacity="0.6" />
      </pattern>
      <linearGradient id="rail-drying">
        <stop offset="0" stopColor="var(--water)" stopOpacity="0.75" />
        <stop offset="1" stopColor="var(--concrete)" stopOpacity="0.45" />
      </linearGradient>
    </defs>
  );
}

/** The way of what one session pours of a line. */
function Lane({ lane, y, scale }: { lane: RailLane; y: number; scale: RailScale }) {
  const { ready, longest, spans, count } = lane;
  return (
    <g transform={`translate(0 ${y})`}>
      {spans.map(({ phase, from, to }) => (
        <rect
          key={`${phase} ${from}`}
          x={scale.x(from)}
          width={Math.max(1, scale.x(to) - scale.x(from))}
          height={LANE}
          fill={phaseFill[phase]}
        />
      ))}
      {ready !== undefined && longest !== undefined && longest > ready && (
        <line
          x1={scale.x(ready)}
          x2={scale.x(longest)}
          y1={LANE / 2}
          y2={LANE / 2}
          stroke="currentColor"
          strokeDasharray="2 3"
          opacity={0.7}
        />
      )}
      {ready !== undefined && <circle cx={scale.x(ready)} cy={LANE / 2} r={LANE / 2 - 0.5} fill="var(--good)" />}
      <text
        x={lane.stands ? scale.x(lane.pouredAt) + 4 : scale.x(lane.pouredAt) - 3}
        y={LANE - 0.5}
        fontSize={11}
        fontWeight={600}
        textAnchor={lane.stands ? 'start' : 'end'}
        fill="currentColor"
        stroke="var(--color-base-100)"
        strokeWidth={lane.stands ? 3 : 0}
        paintOrder="stroke"
      >
        {count}
      </text>
    </g>
  );
}

/** Name of a line: what, how many, how far. */
function LineName({ shown: { line, mould, colour } }: { shown: ShownLine }) {
  const say = useSay();
  return (
    <div className="flex items-center gap-2">
      {mould && <PieceThumb shape={mould.shape} colour={colour} size={38} />}
      <div className="min-w-0 leading-tight">
        <p className="line-clamp-2 text-sm font-semibold">{mould?.name ?? say('calendar.goneMould')}</p>
        <p className="quiet text-xs">
          {say('calendar.countState', { count: line.count, still: wantedStill(line), state: stateWords[line.state] })}
        </p>
      </div>
    </div>
  );
}

/** How likely a line is ready by its date, and when it is. */
function LineChance({ line, outcome }: { line: OpenLine; outcome: LineOutcome | undefined }) {
  const say = useSay();
  if (!outcome) return <p className="text-error text-sm">{say('calendar.notPlanned')}</p>;
  const { chance, likely, wanted } = outcome;
  const sure = chance >= SURE_ENOUGH;
  const date = (at: number) => msg('units.plain', { value: { at, as: 'date' } });
  return (
    <div className="leading-tight">
      {line.by !== undefined && (
        <p className={`numeral text-2xl ${sure ? 'text-success' : 'text-error'}`}>
          {say(msg('units.plain', { value: chanceTold(chance) }))}
        </p>
      )}
      <p className="quiet text-xs">
        {likely === undefined
          ? wanted > 0 && say('calendar.outOfSight')
          : say('calendar.readyBy', { at: date(likely) })}
      </p>
    </div>
  );
}

/** A line of an order on its way. */
export function LineRow({
  shown,
  lanes,
  outcome,
  scale,
  now,
}: {
  shown: ShownLine;
  lanes: readonly RailLane[];
  outcome: LineOutcome | undefined;
  scale: RailScale;
  now: number;
}) {
  // prettier-ignore
  const say = useSay();
  const { line } = shown;
  const height = Math.max(LEAST_HEIGHT, lanes.length * (LANE + GAP) + 14);
  const top = (height - lanes.length * (LANE + GAP)) / 2;
  return (
    <RailRow name={<LineName shown={shown} />} aside={<LineChance line={line} outcome={outcome} />}>
      <svg
        width={scale.width}
        height={height}
        className="block"
        role="img"
        aria-label={say('calendar.laneTold', { name: shown.mould?.name ?? '', lanes: lanes.length })}
      >
        <DayLines scale={scale} now={now} height={height} />
        {lanes.map((lane, i) => (
          <Lane key={lane.key} lane={lane} y={top + i * (LANE + GAP)} scale={scale} />
        ))}
        {line.by !== undefined && <ByLine at={line.by} scale={scale} height={height} />}
      </svg>
    </RailRow>
  );
}

/** The day by which a line is wanted. */
function ByLine({ at, scale, height }: { at: number; scale: RailScale; height: number }) {
  const x = scale.x(at);
  return (
    <g className="text-accent">
      <line x1={x} x2={x} y2={height} stroke="currentColor" strokeWidth={2} />
      <path d={`M${x} 0h9l-3 4 3 4h-9z`} fill="currentColor" />
    </g>
  );
}
