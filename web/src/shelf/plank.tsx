import { defined } from '@dewpot/core/math';
import { taskWords } from '@dewpot/core/casts';
import { memo } from 'react';
import { useNavigate } from 'react-router';
import { judgedBy } from '../ui/casts/reading';
import { WholePiece } from '../ui/whole-piece';
import { BOARD, FRONT, hasGutter, lineHeight, sizeOf, tagWidth, type PlacedGroup } from './layout';
import type { Group } from './reading';
import { useSay } from '../ui/say';

/** How far a piece that is due stands forward, px. */
const FORWARD = 9;

/** A tag of so many px, two of its corners cut. */
const tag = (width: number) => `M${-width / 2} 0h${width - 6}l6 6v18h${6 - width}l-6-6z`;

export interface PlankLineProps {
  readonly line: readonly PlacedGroup[];
  readonly label: string | undefined;
  readonly count: number;
  readonly width: number;
  readonly scale: number;
  readonly onDue: (group: Group) => void;
}

function Row({
  placed: { group, x, step },
  ground,
  scale,
  onDue,
}: {
  placed: PlacedGroup;
  ground: number;
  scale: number;
  onDue: (group: Group) => void;
}) {
  const say = useSay();
  const navigate = useNavigate();
  const { casts, look, due, plank, window } = group;
  const first = defined(casts[0]);
  const y = ground + (due ? FORWARD : 0);
  const codes = casts.length === 1 ? first.code : `${first.code}–${defined(casts[casts.length - 1]).code}`;
  const { height, width } = sizeOf(group, scale);
  const middle = x + (step * (casts.length - 1)) / 2;
  const judged = judgedBy(casts);
  const name = `${first.snapshot.mouldName}${casts.length > 1 ? ` × ${casts.length}` : ''}, ${codes}${judged ? `, ${say(judged)}` : ''}`;
  return (
    <g>
      {/* The foremost stands at the left and is painted last. */}
      {[...casts.entries()].reverse().map(([i, cast]) => (
        <g key={cast.id} transform={`translate(${x + step * i} ${y - 2})`}>
          <a
            href={`/casts/${cast.id}`}
            aria-label={`${cast.snapshot.mouldName} ${cast.code}`}
            className="piece-link"
            onClick={(event) => {
              event.preventDefault();
              void navigate(`/casts/${cast.id}`);
            }}
          >
            <title>{name}</title>
            <WholePiece shape={first.snapshot.shape} {...look} scale={scale} stage={plank} />
            <rect x={-width / 2} y={-height} width={width} height={height} fill="transparent" className="piece-hit" />
          </a>
        </g>
      ))}
      {due && window ? (
        <g
          className="due-tag"
          transform={`translate(${middle} ${ground + BOARD + 2})`}
          role="button"
          tabIndex={0}
          aria-label={`${say(taskWords[window.task])}: ${name}`}
          onClick={() => onDue(group)}
          onKeyDown={(event) => (event.key === 'Enter' || event.key === ' ') && onDue(group)}
        >
          <path d={tag(tagWidth(say(taskWords[window.task])))} />
          <text y={17} textAnchor="middle">
            {say(taskWords[window.task])}
          </text>
        </g>
      ) : (
        <text x={middle} y={ground + BOARD + 13} textAnchor="middle" className="code-mark">
          {judged && '≈ '}
          {codes}
        </text>
      )}
    </g>
  );
}

/** Letters of a name that the gutter holds. */
const LETTERS = 13;
const shortened = (name: string) => (name.length > LETTERS ? `${name.slice(0, LETTERS - 1)}…` : name);

/** One line of a plank with what stands on it, true to scale. */
export const PlankLine = memo(function PlankLine({ line, label, count, width, scale, onDue }: PlankLineProps) {
  const say = useSay();
  const { ground, height } = lineHeight(line, width, scale, label !== undefined);
  const gutter = hasGutter(width);
  return (
    <div className="plank-line" style={{ height }}>
      <svg
        width={width}
        height={height}
        viewBox={`0 0 ${width} ${height}`}
        className="plank block"
        role="group"
        aria-label={label ? `${label}: ${count}` : undefined}
      >
        <ellipse
          cx={width / 2}
          cy={ground + BOARD + FRONT + 4}
          rx={width * 0.49}
          ry={6}
          fill="var(--shade)"
          opacity={0.16}
        />
        <path d={`M7 ${ground - 7}H${width - 7}L${width} ${ground + BOARD}H0Z`} fill="var(--wood-top)" />
        <path d={`M7 ${ground - 7}H${width - 7}L${width - 5} ${ground - 2}H5Z`} fill="var(--shade)" opacity={0.13} />
        <rect y={ground + BOARD} width={width} height={FRONT} fill="var(--wood-front)" />
        <path
          d={`M0 ${ground + BOARD + 5.5}C${width * 0.3} ${ground + BOARD + 3} ${width * 0.5} ${ground + BOARD + 9} ${width} ${ground + BOARD + 5}M0 ${ground + BOARD + 13}C${width * 0.2} ${ground + BOARD + 15} ${width * 0.7} ${ground + BOARD + 10} ${width} ${ground + BOARD + 14}`}
          fill="none"
          stroke="var(--wood-edge)"
          opacity={0.35}
        />
        <rect y={ground + BOARD + FRONT - 2} width={width} height={2} fill="var(--wood-edge)" />
        {label && (
          <g transform={gutter ? `translate(12 ${ground - 34})` : 'translate(4 17)'}>
            <text className="plank-name">
              {shortened(label)}
              <title>{label}</title>
            </text>
            <text className="plank-count" {...(gutter ? { y: 17 } : { x: 122 })}>
              {say('shelf.plankCount', { count })}
            </text>
          </g>
        )}
        {line.map((placed) => (
          <Row key={placed.group.key} placed={placed} ground={ground + 6} scale={scale} onDue={onDue} />
        ))}
      </svg>
    </div>
  );
});
